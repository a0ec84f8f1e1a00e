import { writeBy, type Writing } from '@mellow-probe/core/base/units/writing';
import dayjs from 'dayjs';
import { computed, shallowReactive } from 'vue';

/** How the reader wants figures: as this device writes them, or with this mark. */
export const DECIMAL_CHOICES = ['device', '.', ','] as const;
export type DecimalChoice = (typeof DECIMAL_CHOICES)[number];
/** How the reader wants days: as this device writes them, or year first. */
export const DAY_CHOICES = ['device', 'iso'] as const;
export type DayChoice = (typeof DAY_CHOICES)[number];

/** The decimal mark of this device's language. */
export function deviceDecimal(languages?: string): '.' | ',' {
  const part = new Intl.NumberFormat(languages).formatToParts(0.5).find(({ type }) => type === 'decimal');
  return part?.value === ',' || part?.value === '٫' ? ',' : '.';
}

const YEAR_FIRST = 'YYYY-MM-DD';
const TOKENS: Partial<Record<Intl.DateTimeFormatPartTypes, string>> = { year: 'YYYY', month: 'MM', day: 'DD' };

/** Order and marks of a day in this device's language, as a pattern: `DD.MM.YYYY`. Figures are Latin ones whatever the language. */
export function deviceDayPattern(languages?: string): string {
  return new Intl.DateTimeFormat(languages, {
    ...{ year: 'numeric', month: '2-digit', day: '2-digit', calendar: 'gregory', numberingSystem: 'latn' },
    timeZone: 'UTC',
  })
    .formatToParts(new Date(0))
    .map(({ type, value }) => (type === 'literal' ? value : (TOKENS[type] ?? '')))
    .join('')
    .replace(/[\u200E\u200F]/g, '')
    .trim();
}

const chosen = shallowReactive<{ decimal: DecimalChoice; days: DayChoice }>({ decimal: 'device', days: 'device' });
// The device is asked when the first figure or day is written: asking takes a phone a quarter of a second, and an empty ledger has none.
const decimal = computed(() => (chosen.decimal === 'device' ? deviceDecimal() : chosen.decimal));
const dayPattern = computed(() => (chosen.days === 'device' ? deviceDayPattern() : YEAR_FIRST));

/** The mark of figures, and the pattern days are written by now. Whatever shows a text by them is drawn anew when they change. */
export const reader: { readonly decimal: '.' | ','; readonly dayPattern: string } = {
  get decimal() {
    return decimal.value;
  },
  get dayPattern() {
    return dayPattern.value;
  },
};

const writing: Writing = {
  get decimal() {
    return reader.decimal;
  },
  day: (iso) => dayjs(iso).format(reader.dayPattern),
  moment: (iso) => dayjs(iso).format(`${reader.dayPattern} HH:mm`),
};

/** From here on figures and days are written as was chosen. */
export function writeAsChosen(mark: DecimalChoice, days: DayChoice): void {
  Object.assign(chosen, { decimal: mark, days });
  writeBy(writing);
}
