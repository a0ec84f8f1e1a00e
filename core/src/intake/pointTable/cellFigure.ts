import { parseReading } from '../../base/units/parseReading.ts';
import { readUnit } from '../../base/units/readUnit.ts';

/** Units of the columns of a table. */
export const COLUMN_UNITS = ['°C', '°F', 'K', 'Ω', 'kΩ', 'MΩ', 'V'] as const;
export type ColumnUnit = (typeof COLUMN_UNITS)[number];
export type DecimalMark = '.' | ',';

/** The figure of one cell, with the unit that stands in the cell itself; as written, not yet in °C or Ω. */
export interface CellFigure {
  value: number;
  unit: ColumnUnit | null;
  /** Where the cell holds a whole range (`9.2 … 9.8`, `9.4 ± 2 %`). */
  low?: number;
  high?: number;
  /** The cell gives only the ends of its range: \`value\` is their geometric mean. */
  middle?: true;
}

/** Ω in one unit of a column of resistances, where K stands for thousands; NaN where it is no resistance. */
export function ohmsIn(unit: ColumnUnit): number {
  return { Ω: 1, kΩ: 1e3, K: 1e3, MΩ: 1e6, '°C': NaN, '°F': NaN, V: NaN }[unit];
}

/** A temperature in °C; NaN where the unit is none of temperature. */
export function celsiusOf(value: number, unit: ColumnUnit): number {
  if (unit === '°C') return value;
  if (unit === '°F') return ((value - 32) * 5) / 9;
  return unit === 'K' ? value - 273.15 : NaN;
}

/** What stands where a table has nothing. */
export const isEmptyCell = (cell: string): boolean => /^\s*(?:[-–—−.*]+|n\/?a|)\s*$/i.test(cell);

/** `2.5E-01`, as sheets write it: its minus is no dash between two figures. */
const POWER_OF_TEN = /^[+-]?[\d.,]+e-\d+/i;

/** Digits set high, in the order of their values. */
const HIGH_DIGITS = '⁰¹²³⁴⁵⁶⁷⁸⁹';
/** `× 10³`: the one place where digits set high are a power and no footnote. */
const POWER_SET_HIGH = /\s*[×x·*]\s*10(⁻?)([⁰¹²³⁴-⁹]+)/gi;
/** Marks of a footnote, behind a figure or its unit. */
const FOOTNOTES = /(?<=[\dΩa-z%°)])\s*[⁰¹²³⁴-⁹†‡§*]+\)?(?=[\s/~]|$)/gi;
/** Words before a figure that is not exact. */
const ABOUT =
  /^(?:[~≈∼]|(?:approx(?:imately)?|appr|circa|ca|env|about|around|environ|etwa|typ(?:ical(?:ly)?)?)\b\.?:?)\s*(?=[-+\d.,])/i;

const tidy = (cell: string): string =>
  cell
    .replace(/[º˚]/g, '°')
    .replace(POWER_SET_HIGH, (_, minus: string, high: string) => {
      const digits = [...high].map((c) => HIGH_DIGITS.indexOf(c)).join('');
      return `e${minus === '' ? '' : '-'}${digits}`;
    })
    .replace(/^["']|["']$/g, '')
    // `100²` is a hundred with a footnote, not 1002: high digits must go before they are made plain.
    .replace(FOOTNOTES, '')
    .normalize('NFKC')
    .replace(/[−–—\u2010\u2011]/g, '-')
    .trim()
    .replace(ABOUT, '');

/**
 * Reads one cell, with the decimal mark of its column; null where it is no figure. The other mark only ever groups thousands.
 *
 * @example cellFigure('1.459,5 Ω', ',') // { value: 1459.5, unit: 'Ω' }
 */
export function cellFigure(cell: string, decimal: DecimalMark): CellFigure | null {
  // A power of ten, or ten with a footnote: nobody can tell.
  if (/^\s*10[⁰¹²³⁴-⁹]\s*$/.test(cell)) return null;
  const clean = tidy(cell);
  for (const form of [plusMinus, wholeRange]) {
    const read = form(clean, decimal);
    if (read !== undefined) return read;
  }
  return plainFigure(clean, decimal);
}

/** As `cellFigure` where the decimal mark is not settled: read as a point where it can be, else as a comma. */
export const eitherFigure = (cell: string): CellFigure | null => cellFigure(cell, '.') ?? cellFigure(cell, ',');

/** Do the figures only rise or only fall? */
export function isSteady(values: readonly number[]): boolean {
  const steps = values.slice(1).map((v, i) => Math.sign(v - values[i]));
  return steps.every((s) => s !== 0 && s === steps[0]);
}

/** `9.4 kΩ ± 5 %`, `2.45 ± 0.24 kΩ`; undefined where the cell holds no such mark. */
function plusMinus(clean: string, decimal: DecimalMark): CellFigure | null | undefined {
  const parts = /^(.*\d.*?)\s*(?:±|\+\s?\/?\s?-)\s*([\d.,]+)\s*(.*)$/.exec(clean);
  if (!parts) return undefined;
  const [, before, by, unit] = parts;
  const middle = plainFigure(unit === '%' || /[a-zΩ°]$/i.test(before) ? before : `${before} ${unit}`, decimal);
  const spread = plainFigure(unit === '%' ? by : `${by} ${unit}`, decimal);
  if (!middle || !spread || !(middle.value > 0)) return null;
  // Without a unit of its own it is in that of the figure.
  const units =
    spread.unit === null || spread.unit === middle.unit ? 1 : ohmsIn(spread.unit) / ohmsIn(middle.unit ?? 'Ω');
  const share = unit === '%' ? spread.value / 100 : (spread.value * units) / middle.value;
  if (!(share > 0) || !(share < 1)) return null;
  return { ...middle, low: middle.value * (1 - share), high: middle.value * (1 + share) };
}

const BETWEEN_TWO = /^([\d.,' ]+?)\s*([a-zΩ]*)\s*(?:…|\.{2,3}|-|~|to|bis|à)\s*(\d[\d.,' ]*)\s*([a-zΩ]*)$/i;
const BETWEEN_THREE = /^([\d.,' ]+?)\s*[/~-]\s*([\d.,' ]+?)\s*[/~-]\s*([\d.,' ]+?)\s*([a-zΩ]*)$/i;

/** `9.2 … 9.8`, `2.21 ~ 2.69 kΩ`, `31.7 / 32.6 / 33.6`; undefined where the cell holds no range. */
function wholeRange(clean: string, decimal: DecimalMark): CellFigure | null | undefined {
  if (POWER_OF_TEN.test(clean)) return undefined;
  const three = BETWEEN_THREE.exec(clean);
  if (three) {
    const read = three.slice(1, 4).map((figure) => plainFigure(figure + three[4], decimal));
    const [low, middle, high] = read.map((figure) => figure?.value ?? NaN);
    if (!(low > 0) || !(middle > low) || !(high > middle)) return null;
    return { value: middle, unit: read[1]!.unit, low, high };
  }
  const two = BETWEEN_TWO.exec(clean);
  if (!two) return undefined;
  const unit = two[4] || two[2];
  const [low, high] = [plainFigure(two[1] + (two[2] || unit), decimal), plainFigure(two[3] + unit, decimal)];
  if (!low || !high || !(low.value > 0) || !(high.value > low.value) || low.unit !== high.unit) return null;
  return { value: Math.sqrt(low.value * high.value), unit: high.unit, low: low.value, high: high.value, middle: true };
}

function plainFigure(text: string, decimal: DecimalMark): CellFigure | null {
  if (/^\d*[kKMRrΩ]\d+$/.test(text)) {
    const parsed = parseReading(text, 'ohms');
    return parsed.ok ? { value: parsed.value, unit: 'Ω' } : null;
  }
  const match = /^([+-]?\s?[\d.,][\d.,'’ _]*(?:[eE][+-]?\d+)?)(?![eE]?\d)\s*(.*)$/.exec(text);
  if (!match) return null;
  const value = plainNumber(match[1].trim(), decimal);
  if (Number.isNaN(value)) return null;
  if (match[2] === '') return { value, unit: null };
  const found = unitOf(match[2]);
  return found ? { value: value * found.scale, unit: found.unit } : null;
}

/** A number whose decimal mark is known; NaN where it is none. */
function plainNumber(text: string, decimal: DecimalMark): number {
  const [mantissa, exponent = ''] = text.replace(/^([+-])\s/, '$1').split(/[eE]/);
  const [whole, fraction, ...rest] = mantissa.split(decimal);
  const grouped = decimal === '.' ? /^[+-]?\d{1,3}(?:[, '’_]\d{3})+$/ : /^[+-]?\d{1,3}(?:[. '’_]\d{3})+$/;
  if (rest.length > 0 || !(grouped.test(whole) || /^[+-]?\d*$/.test(whole)) || !/^\d*$/.test(fraction ?? ''))
    return NaN;
  const digits = whole.replace(/[^\d+-]/g, '');
  if (!/\d/.test(digits + (fraction ?? ''))) return NaN;
  return Number(`${digits || '0'}.${fraction || '0'}${exponent === '' ? '' : `e${exponent}`}`);
}

/** A unit of the trade, with what its figures are multiplied by to be in a unit of the columns; null where it is none, or two (`m`). */
export function unitOf(text: string): { unit: ColumnUnit; scale: number } | null {
  const clean = tidy(text)
    .replace(/_/g, ' ')
    .replace(/^\/\s*/, '')
    .trim();
  // In a column of temperatures kelvins, in one of resistances kilohms: the column knows.
  if (/^(?:K|kelvins?|°\s?K)$/.test(clean)) return { unit: 'K', scale: 1 };
  const ohms = readUnit(clean, 'ohms', 'C');
  const [read] = ohms.length > 0 ? ohms : readUnit(clean, 'celsius', 'C');
  if (clean === '' || !read || ohms.length > 1) return null;
  if (read.unit === 'V') return { unit: 'V', scale: 10 ** read.power };
  if (read.unit !== 'Ω') return read.unit === '' ? null : { unit: read.unit, scale: 1 };
  if (read.power === 3) return { unit: 'kΩ', scale: 1 };
  return read.power === 6 ? { unit: 'MΩ', scale: 1 } : { unit: 'Ω', scale: 10 ** read.power };
}
