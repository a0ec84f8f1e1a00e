// @vitest-environment happy-dom
import { dayText, fixed, momentText } from '@mellow-probe/core/base/units/writing';
import { computed } from 'vue';
import { expect, test, vi } from 'vitest';
import { deviceDayPattern, deviceDecimal, reader, writeAsChosen } from './writing.ts';

test('mark and order of days of a language; Latin figures and the common calendar whatever the language', () => {
  expect(['en-US', 'en-GB', 'de-DE', 'fr-FR', 'sv-SE', 'ar-EG', 'ja-JP'].map(deviceDecimal)).toEqual([
    ...['.', '.', ',', ',', ',', ',', '.'],
  ]);
  expect(['en-US', 'en-GB', 'de-DE', 'sv-SE', 'fr-CA', 'hu-HU', 'th-TH'].map(deviceDayPattern)).toEqual([
    ...['MM/DD/YYYY', 'DD/MM/YYYY', 'DD.MM.YYYY', 'YYYY-MM-DD', 'YYYY-MM-DD', 'YYYY. MM. DD.', 'DD/MM/YYYY'],
  ]);
});

test('what is chosen holds at once, for texts that were written before as well', () => {
  writeAsChosen('.', 'iso');
  const text = computed(() => `${fixed(1.5, 1)} on ${dayText('2026-11-07')}`);
  expect(text.value).toBe('1.5 on 2026-11-07');
  writeAsChosen(',', 'iso');
  expect(text.value).toBe('1,5 on 2026-11-07');
  expect(reader.decimal).toBe(',');
  writeAsChosen('device', 'device');
  expect([reader.decimal, reader.dayPattern]).toEqual([deviceDecimal(), deviceDayPattern()]);
});

test('on a German device; it is asked once, and not before something is written', () => {
  const { NumberFormat, DateTimeFormat } = Intl;
  const asked = { figures: 0, days: 0 };
  vi.stubGlobal('Intl', {
    NumberFormat: function () {
      asked.figures++;
      return new NumberFormat('de-DE');
    },
    DateTimeFormat: function (_: unknown, options: Intl.DateTimeFormatOptions) {
      asked.days++;
      return new DateTimeFormat('de-DE', options);
    },
  });
  writeAsChosen('.', 'iso');
  writeAsChosen('device', 'device');
  expect(asked).toEqual({ figures: 0, days: 0 });
  expect(`${fixed(1.5, 1)} on ${dayText('2026-11-07')}`).toBe('1,5 on 07.11.2026');
  expect(`${fixed(2.5, 1)}, ${momentText('2026-11-07T12:30:00')}`).toBe('2,5, 07.11.2026 12:30');
  expect(asked).toEqual({ figures: 1, days: 1 });
  vi.unstubAllGlobals();
});
