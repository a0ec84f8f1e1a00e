import type { FigureQuantity } from './quantity.ts';
import { type NumberRead, readNumber } from './readNumber.ts';
import { readUnit, type UnitName } from './readUnit.ts';

export type ParseReason =
  | 'empty'
  | 'not-a-number'
  | 'wrong-unit'
  | 'negative'
  | 'below-absolute-zero'
  | 'out-of-range'
  | 'overload-not-here'
  | 'upside-down'
  | 'ambiguous';

/** One way to read an ambiguous figure. `text` reads as nothing else. */
export interface Choice {
  text: string;
  value: number;
}

export type Parsed =
  | {
      ok: true;
      value: number;
      unit: UnitName;
      /** Where the figure is a bound (`> 20 MΩ`): the resistance lies above this, Ω; the value is Infinity, as of OL. */
      aboveOhm?: number;
    }
  | { ok: false; reason: Exclude<ParseReason, 'ambiguous'>; unit?: string }
  | { ok: false; reason: 'ambiguous'; choices: Choice[] };

export interface ParseOptions {
  /** Unit of a bare temperature. */
  temperatureUnit?: 'C' | 'F';
  /** May the answer be OL, or of a display that it shows no value? */
  overload?: boolean;
}

/** What meters and people write where there is no end to a resistance; spaces, points and slashes left out. */
const OVERLOAD =
  /^(?:[o0]f?l|ovl|ovld|ovrl?|over(?:load|flow|range)?|open(?:circuit|loop)?|oc|inf(?:ini(?:t[eyo])?)?|unendlich|offen|ouvert|abierto|aperto|∞|nocontinuity)(?:[km]|[km]?(?:Ω|ohms?))?$/i;
/** What people write where a display shows no value. */
const NO_VALUE =
  /^(?:-{2,}|_{2,}|\*{2,}|(?:shows |display )?(?:dashes|dash|nothing|blank|dark|empty)|no (?:value|reading|display))$/i;
const ABOVE = /^(?:>|≥|>=|over|above|more than|greater than)\s*(?=[\d.,])(.+)$/i;

const RANGE: Record<FigureQuantity, [number, number]> = {
  volts: [-60, 60],
  ohms: [0, 1e10],
  celsius: [-273.15, 2000],
  number: [-1e12, 1e12],
};

/** A figure in K is a temperature only from here on; below it is a difference, or kilohms in the wrong field. Colder than any sensor here. */
const COLDEST_K = 180;

const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/**
 * Reads a figure as a person types it: `4k7`, `2.88k`, `R47`, `11 883`, `OL`, `> 20 MΩ`, `5V2`, `1880 mV`, `64F`, `-40`, decimal comma or point.
 * Returns V, Ω (Infinity for OL) or °C (Infinity for a display that shows dashes or nothing, where that may be). A figure that can be read in two plausible ways (`11,883` and `11.883` Ω, `2.2m`) is returned with both;
 * nothing is guessed.
 *
 * @example parseReading('4k7', 'ohms') // { ok: true, value: 4700, unit: 'Ω' }
 */
export function parseReading(text: string, quantity: FigureQuantity, options: ParseOptions = {}): Parsed {
  const clean = plain(text);
  if (clean === '') return { ok: false, reason: 'empty' };
  if (clean === null || clean.length > 60) return { ok: false, reason: 'not-a-number' };
  const mayBeOpen = quantity === 'ohms' && options.overload !== false;
  if (OVERLOAD.test(clean.replace(/[\s./]/g, ''))) {
    return mayBeOpen ? { ok: true, value: Infinity, unit: 'Ω' } : { ok: false, reason: 'overload-not-here' };
  }
  if (quantity === 'celsius' && options.overload === true && NO_VALUE.test(clean))
    return { ok: true, value: Infinity, unit: '°C' };
  const above = ABOVE.exec(clean);
  if (above) return mayBeOpen ? bound(parseReading(above[1], 'ohms', { overload: false })) : NO_NUMBER;
  return letterInside(clean, quantity) ?? figureAndUnit(clean, quantity, options.temperatureUnit ?? 'C');
}

const NO_NUMBER: Parsed = { ok: false, reason: 'not-a-number' };

/** One way to write each sign; null where it holds figures that would run into the others (`10²`). */
function plain(text: string): string | null {
  const powers = text.replace(/[×x*·⋅]\s*10(?:\^([+-]?\d+)|([⁰¹²³⁴-⁹]+))/gi, (_, caret: string, high: string) =>
    caret === undefined ? `e${[...high].map((c) => SUPERSCRIPTS.indexOf(c)).join('')}` : `e${caret}`,
  );
  if (/[²³¹⁰⁴-⁹₀-₉]/.test(powers)) return null;
  return powers
    .replace(/[º˚]/g, '°')
    .normalize('NFKC')
    .replace(/[−–—\u2010\u2011]/g, '-')
    .replace(/^(?:[~≈]|ca\.?\s|about\s)\s*(?=[-+\d.,])/i, '')
    .replace(/^[RUVT]\s*=\s*/i, '')
    .replace(/^(?:minus|plus)\s+/i, (sign) => (/^m/i.test(sign) ? '-' : ''))
    .replace(/^([+-])\s+/, '$1')
    .trim()
    .replace(/(\d|[a-zΩ])\.$/i, '$1');
}

/** A bound says no more than that it lies above. */
function bound(limit: Parsed): Parsed {
  if (limit.ok) return limit.value > 0 ? { ...limit, value: Infinity, aboveOhm: limit.value } : NO_NUMBER;
  if (limit.reason !== 'ambiguous') return limit;
  return { ...limit, choices: limit.choices.map(({ text }) => ({ text: `> ${text}`, value: Infinity })) };
}

/** A letter in the place of the point: `4k7`, `R47`, `2M2`, `5V2`. Nothing else may stand between, or it would be two figures. */
function letterInside(clean: string, quantity: FigureQuantity): Parsed | null {
  const match = /^([+-]?)(\d*)([kmrgeΩv])(\d+)(?:\s*(?:Ω|ohms?|r))?$/i.exec(clean);
  if (!match) return null;
  const [, sign, whole, letter, fraction] = match;
  const unit = /v/i.test(letter) ? 'V' : 'Ω';
  const number = `${sign}${whole || '0'}.${fraction}`;
  if (letter === 'e' || (letter === 'E' && (whole === '' || quantity !== 'ohms'))) return null;
  if (quantity !== (unit === 'V' ? 'volts' : 'ohms')) return { ok: false, reason: 'wrong-unit', unit };
  // 4E7 is 4.7 Ω to some and forty million to others.
  const written = { m: ['m', 'M'], E: ['Ω', 'power'] }[letter] ?? [letter];
  const ways = written.map((l): Choice => {
    if (l === 'power') return { value: Number(`${sign}${whole}e${fraction}`), text: `${sign}${whole}e${fraction} Ω` };
    const name = /[vrΩ]/i.test(l) ? unit : `${/k/i.test(l) ? 'k' : l}Ω`;
    return { value: readUnit(name, quantity, 'C')[0].toInside(Number(number)), text: `${Number(number)} ${name}` };
  });
  return judge(ways, quantity, unit);
}

function figureAndUnit(clean: string, quantity: FigureQuantity, bare: 'C' | 'F'): Parsed {
  const match = /^([+-]?(?:\d[\d.,'’_ ]*|[.,]\d[\d.,]*)(?:\s*e[+-]?\d+)?)\s*(.*)$/i.exec(clean);
  if (!match) return NO_NUMBER;
  const [digits, written] = [match[1].replace(/\s+e/i, 'e').trim(), match[2].trim()];
  const units = readUnit(written, quantity, bare);
  if (units.length === 0) return NO_NUMBER;
  const wanted: readonly UnitName[] = {
    volts: ['V' as const],
    ohms: ['Ω' as const],
    celsius: ['°C' as const, '°F' as const, 'K' as const],
    number: ['' as const, 'K' as const],
  }[quantity];
  const [{ unit, power }] = units;
  if (!wanted.includes(unit)) return { ok: false, reason: 'wrong-unit', unit: written };
  // Nobody says thousands of kilohms: 3,650 kΩ is three and a half.
  const found = readNumber(digits, power > 0 && units.length === 1 ? 'decimal' : 'either');
  if (found.length === 0) return NO_NUMBER;
  const noTemperature = (n: NumberRead): boolean =>
    quantity === 'celsius' && unit === 'K' && n.value >= 0 && n.value < COLDEST_K;
  const numbers = found.filter((n) => !noTemperature(n));
  if (numbers.length === 0) return { ok: false, reason: 'wrong-unit', unit: written };
  const inside = (n: NumberRead, u: (typeof units)[number]): number =>
    quantity === 'number' ? n.value : u.toInside(n.value);
  const ways = numbers.flatMap((n) =>
    units.map((u): Choice => ({ value: inside(n, u), text: u.text === '' ? n.text : `${n.text} ${u.text}` })),
  );
  return judge(ways, quantity, unit);
}

function judge(ways: readonly Choice[], quantity: FigureQuantity, unit: UnitName): Parsed {
  const [low, high] = RANGE[quantity];
  const plausible = ways.filter(({ value }) => value >= low && value <= high);
  if (plausible.length > 1) return { ok: false, reason: 'ambiguous', choices: [...plausible] };
  if (plausible.length === 1) return { ok: true, value: plausible[0].value, unit };
  if (quantity === 'ohms' && ways.every((w) => w.value < 0)) return { ok: false, reason: 'negative' };
  if (quantity === 'celsius' && ways.every((w) => w.value < low)) return { ok: false, reason: 'below-absolute-zero' };
  return { ok: false, reason: 'out-of-range' };
}
