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

const tidy = (cell: string): string =>
  cell
    .replace(/[º˚]/g, '°')
    .normalize('NFKC')
    .replace(/[−–—]/g, '-')
    .replace(/^["']|["']$/g, '')
    .trim();

/**
 * Reads one cell, with the decimal mark of its column; null where it is no figure. The other mark only ever groups thousands.
 *
 * @example cellFigure('1.459,5 Ω', ',') // { value: 1459.5, unit: 'Ω' }
 */
export function cellFigure(cell: string, decimal: DecimalMark): CellFigure | null {
  const clean = tidy(cell);
  const percent = /^(.*\d.*?)\s*(?:±|\+\/?-)\s*([\d.,]+)\s*%$/.exec(clean);
  if (percent) return around(plainFigure(percent[1], decimal), plainNumber(percent[2], decimal) / 100);
  const range =
    !POWER_OF_TEN.test(clean) &&
    /^([\d.,' ]+?)\s*([a-zΩ]*)\s*(?:…|\.{2,3}|-|to|bis|à)\s*(\d[\d.,' ]*)\s*([a-zΩ]*)$/i.exec(clean);
  if (range) {
    const unit = range[4] || range[2];
    const [low, high] = [plainFigure(range[1] + (range[2] || unit), decimal), plainFigure(range[3] + unit, decimal)];
    if (!low || !high || !(low.value > 0) || !(high.value > low.value) || low.unit !== high.unit) return null;
    return { value: Math.sqrt(low.value * high.value), unit: high.unit, low: low.value, high: high.value };
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

function around(middle: CellFigure | null, share: number): CellFigure | null {
  if (!middle || !(share > 0) || !(share < 1)) return null;
  return { ...middle, low: middle.value * (1 - share), high: middle.value * (1 + share) };
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
