import type { FigureQuantity } from './quantity.ts';

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

/** One way to read an ambiguous figure. */
export interface Choice {
  text: string;
  value: number;
}

export type Parsed =
  | { ok: true; value: number; unit: 'V' | 'Ω' | '°C' | '°F' | 'K' | '' }
  | { ok: false; reason: Exclude<ParseReason, 'ambiguous'>; unit?: string }
  | { ok: false; reason: 'ambiguous'; choices: Choice[] };

export interface ParseOptions {
  /** Unit of a bare temperature. */
  temperatureUnit?: 'C' | 'F';
  /** May the answer be OL? */
  overload?: boolean;
}

const OVERLOAD = /^(?:o\.?l\.?|0l|0\.l|open|over|overload|inf|infinity|infinite|∞)\s*(?:[km]?(?:Ω|ohms?))?$/i;
const RANGE: Record<FigureQuantity, [number, number]> = {
  volts: [-60, 60],
  ohms: [0, 1e10],
  celsius: [-273.15, 2000],
  number: [-1e12, 1e12],
};

/**
 * Reads a figure as a person types it: `4k7`, `2.88k`, `11 883`, `OL`, `1880 mV`, `64F`, `-40`, decimal comma or point. Returns V, Ω
 * (Infinity for OL) or °C. A figure that can be read in two plausible ways (`11,883` Ω) is returned with both; nothing is guessed.
 *
 * @example parseReading('4k7', 'ohms') // { ok: true, value: 4700, unit: 'Ω' }
 */
export function parseReading(text: string, quantity: FigureQuantity, options: ParseOptions = {}): Parsed {
  const clean = text
    .normalize('NFKC')
    .replace(/[−–—]/g, '-')
    .replace(/\u2126/g, 'Ω')
    .trim();
  if (clean === '') return { ok: false, reason: 'empty' };
  if (clean.length > 60) return { ok: false, reason: 'not-a-number' };
  if (OVERLOAD.test(clean)) {
    return quantity === 'ohms' && options.overload !== false
      ? { ok: true, value: Infinity, unit: 'Ω' }
      : { ok: false, reason: 'overload-not-here' };
  }
  const embedded = /^([+-]?)(\d+)\s*([kKmMrR])\s*(\d+)\s*(?:Ω|ohms?)?$/.exec(clean);
  if (embedded && quantity === 'ohms') {
    const [, sign, whole, letter, fraction] = embedded;
    return judge([Number(`${sign}${whole}.${fraction}`) * ohmPrefix(letter)], quantity, 'Ω', [clean]);
  }
  const match = /^([+-]?(?:\d[\d.,'’_ ]*|[.,]\d[\d.,]*)(?:[eE][+-]?\d+)?)\s*(.*)$/.exec(clean);
  if (!match) return { ok: false, reason: 'not-a-number' };
  const unit = readUnit(match[2].trim(), quantity, options.temperatureUnit ?? 'C');
  if (unit === 'unknown') return { ok: false, reason: 'not-a-number' };
  if (unit === 'wrong') return { ok: false, reason: 'wrong-unit', unit: match[2].trim() };
  const readings = readNumber(match[1].trim());
  if (readings.length === 0) return { ok: false, reason: 'not-a-number' };
  return judge(
    readings.map(unit.toInside),
    quantity,
    unit.unit,
    readings.map((n) => `${n}${match[2] ? ` ${match[2].trim()}` : ''}`),
  );
}

function judge(
  values: number[],
  quantity: FigureQuantity,
  unit: 'V' | 'Ω' | '°C' | '°F' | 'K' | '',
  texts: string[],
): Parsed {
  const [low, high] = RANGE[quantity];
  const plausible = values
    .map((value, i) => ({ value, text: texts[i] }))
    .filter(({ value }) => value >= low && value <= high);
  if (plausible.length > 1) return { ok: false, reason: 'ambiguous', choices: plausible };
  if (plausible.length === 1) return { ok: true, value: plausible[0].value, unit };
  if (quantity === 'ohms' && values.every((v) => v < 0)) return { ok: false, reason: 'negative' };
  if (quantity === 'celsius' && values.every((v) => v < low)) return { ok: false, reason: 'below-absolute-zero' };
  return { ok: false, reason: 'out-of-range' };
}

/** The one or two numbers a string of digits and separators can mean; none when it is no number. */
function readNumber(text: string): number[] {
  const [mantissa, exponent] = text.split(/[eE]/);
  const power = exponent === undefined ? 1 : Math.pow(10, Number(exponent));
  const done = (...digits: string[]): number[] =>
    digits.map((d) => Number(d) * power).filter((n) => Number.isFinite(n));
  const sign = mantissa.startsWith('-') ? '-' : '';
  const body = mantissa.replace(/^[+-]/, '');
  // Spaces, apostrophes and underscores only ever group thousands.
  const groups = body.split(/[ '’_]/);
  if (groups.length > 1) {
    const wholeGroups = groups.every((g, i) =>
      (i === 0 ? /^\d{1,3}$/ : i < groups.length - 1 ? /^\d{3}$/ : /^\d{3}([.,]\d+)?$/).test(g),
    );
    return wholeGroups ? done(sign + groups.join('').replace(',', '.')) : [];
  }
  const points = body.split('.').length - 1;
  const commas = body.split(',').length - 1;
  if (points + commas === 0) return /^\d+$/.test(body) ? done(sign + body) : [];
  if (points > 0 && commas > 0) {
    const decimal = body.lastIndexOf('.') > body.lastIndexOf(',') ? '.' : ',';
    const [whole, fraction, ...rest] = body.split(decimal);
    const grouped = decimal === '.' ? /^\d{1,3}(,\d{3})+$/ : /^\d{1,3}(\.\d{3})+$/;
    if (rest.length > 0 || !grouped.test(whole) || !/^\d*$/.test(fraction)) return [];
    return done(`${sign}${whole.replace(/[.,]/g, '')}.${fraction || '0'}`);
  }
  if (points + commas > 1) {
    return /^\d{1,3}([.,]\d{3})+$/.test(body) ? done(sign + body.replace(/[.,]/g, '')) : [];
  }
  if (!/^(\d+[.,]?\d*|[.,]\d+)$/.test(body)) return [];
  const asDecimal = sign + body.replace(',', '.');
  // One comma with exactly three digits behind: a decimal comma or a group of thousands.
  if (commas === 1 && /^[1-9]\d{0,2},\d{3}$/.test(body)) return done(asDecimal, sign + body.replace(',', ''));
  return done(asDecimal);
}

function ohmPrefix(letter: string): number {
  return letter === 'M' ? 1e6 : letter === 'm' ? 1e-3 : letter.toLowerCase() === 'k' ? 1e3 : 1;
}

type ReadUnit = { unit: 'V' | 'Ω' | '°C' | '°F' | 'K' | ''; toInside: (n: number) => number } | 'unknown' | 'wrong';

function readUnit(text: string, quantity: FigureQuantity, bare: 'C' | 'F'): ReadUnit {
  const unit = unitOf(text, quantity, bare);
  if (unit === null) return 'unknown';
  if (quantity === 'number') return text === '' || unit.unit === 'K' ? { ...unit, toInside: (n) => n } : 'wrong';
  const wanted = { volts: ['V'], ohms: ['Ω'], celsius: ['°C', '°F', 'K'] }[quantity];
  return wanted.includes(unit.unit) ? unit : 'wrong';
}

function unitOf(text: string, quantity: FigureQuantity, bare: 'C' | 'F'): Exclude<ReadUnit, string> | null {
  const times = (unit: 'V' | 'Ω', factor: number) => ({ unit, toInside: (n: number): number => n * factor });
  const fahrenheit = { unit: '°F' as const, toInside: (n: number): number => ((n - 32) * 5) / 9 };
  const celsius = { unit: '°C' as const, toInside: (n: number): number => n };
  const kelvin = { unit: 'K' as const, toInside: (n: number): number => n - 273.15 };
  if (text === '') {
    if (quantity === 'volts') return times('V', 1);
    if (quantity === 'celsius') return bare === 'F' ? fahrenheit : celsius;
    return quantity === 'ohms' ? times('Ω', 1) : { unit: '', toInside: (n) => n };
  }
  if (/^(°|deg|degrees?)?\s*C(elsius)?$/i.test(text)) return celsius;
  if (/^(°|deg|degrees?)?\s*F(ahrenheit)?$/i.test(text)) return fahrenheit;
  if (quantity !== 'ohms' && /^(K|kelvin)$/.test(text)) return kelvin;
  if (/^(v|volts?)(\s*dc)?$/i.test(text)) return times('V', 1);
  if (/^(m|milli\s*)(V|v|volts?)$/.test(text) || text === 'mv') return times('V', 1e-3);
  if (/^(k)(v|volts?)$/i.test(text)) return times('V', 1e3);
  if (/^(Ω|ohms?|r)$/i.test(text)) return times('Ω', 1);
  const prefixed = /^([kKMm])\s*(Ω|ohms?|[rR])?$/i.exec(text) ?? /^(kilo|mega)\s*-?ohms?$/i.exec(text);
  if (!prefixed) return null;
  if (prefixed[1].length > 1) return times('Ω', prefixed[1].toLowerCase() === 'kilo' ? 1e3 : 1e6);
  return times('Ω', ohmPrefix(prefixed[1]));
}
