import Papa from 'papaparse';
import { parseReading } from '../units/parseReading.ts';

/** A row of a table as read: °C, Ω, and the limits where the table has them. `line` counts from 1 in the text. */
export interface PointRow {
  line: number;
  temperatureC: number;
  resistanceOhm: number;
  minOhm: number | null;
  maxOhm: number | null;
}

export type PointReason =
  | 'no-rows'
  | 'too-many'
  | 'one-column'
  | 'not-a-temperature'
  | 'not-a-resistance'
  | 'ambiguous'
  | 'limits-swapped'
  | 'same-temperature';

/** What is wrong with one line. */
export interface PointFault {
  line: number;
  reason: PointReason;
  text: string;
}

export interface PointsRead {
  /** Good rows in ascending temperature. */
  rows: PointRow[];
  faults: PointFault[];
}

/** Most rows of a table of points. */
export const MAX_POINTS = 2000;
const SHOWN_FAULTS = 50;

/**
 * Points of a curve from text as it is pasted, typed or stands in a CSV: columns by tab, semicolon, bar, comma or blanks; a header in any
 * language (units and min/max are recognised in it); decimal comma or point, told from the whole column; °F in the header or behind a figure;
 * `k` for thousands. Four columns without a header are temperature, min, nominal, max. Every bad line is named.
 */
export function readPoints(text: string): PointsRead {
  const lines = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .map((raw, i) => ({ raw, line: i + 1 }))
    .filter(({ raw }) => raw.trim() !== '' && !/^\s*#/.test(raw));
  if (lines.length === 0) return { rows: [], faults: [{ line: 1, reason: 'no-rows', text: '' }] };
  if (lines.length > MAX_POINTS + 1) {
    return {
      rows: [],
      faults: [{ line: lines[MAX_POINTS + 1].line, reason: 'too-many', text: `${lines.length} rows` }],
    };
  }
  const split = splitter(lines.map((l) => l.raw));
  const cells = lines.map(({ raw, line }) => ({ line, raw, cells: split(raw) }));
  const head = isHeader(cells[0].cells) ? cells.shift()!.cells : null;
  if (cells.length === 0) return { rows: [], faults: [{ line: 1, reason: 'no-rows', text: '' }] };
  const columns = columnsOf(
    head,
    cells.map((c) => c.cells),
  );
  const decimal = [columns.nominal, columns.min, columns.max].map((k) =>
    k === null ? null : decimalMark(cells.map((c) => c.cells[k] ?? '')),
  );
  const mark = decimal.find((d) => d !== null) ?? decimalMark(cells.map((c) => c.cells[columns.temperature] ?? ''));
  const faults: PointFault[] = [];
  const rows: PointRow[] = [];
  for (const { line, raw, cells: row } of cells) {
    const read = readRow(row, columns, mark, head);
    if (typeof read === 'string') faults.push({ line, reason: read, text: raw.trim().slice(0, 80) });
    else rows.push({ line, ...read });
  }
  rows.sort((a, b) => a.temperatureC - b.temperatureC || a.line - b.line);
  for (let i = rows.length - 1; i > 0; i--) {
    if (rows[i].temperatureC !== rows[i - 1].temperatureC) continue;
    faults.push({
      line: rows[i].line,
      reason: 'same-temperature',
      text: `${rows[i].temperatureC} °C, also on line ${rows[i - 1].line}`,
    });
    rows.splice(i, 1);
  }
  faults.sort((a, b) => a.line - b.line);
  return { rows, faults: faults.slice(0, SHOWN_FAULTS) };
}

/** How the lines fall into columns: the separator with which most lines have the same number of them, two at least. */
function splitter(lines: readonly string[]): (line: string) => string[] {
  const sample = lines.slice(0, 40);
  const by =
    (delimiter: string) =>
    (l: string): string[] =>
      Papa.parse<string[]>(l, { delimiter }).data[0] ?? [];
  const ways: ((line: string) => string[])[] = [
    by('\t'),
    by(';'),
    by('|'),
    (l) => l.trim().split(/\s{2,}/),
    (l) => l.split(/,(?=\s)/),
    by(','),
    (l) => l.trim().split(/\s+(?=[-−+]?[\d.,])/),
  ];
  const tidy = (cells: string[]): string[] =>
    cells.map((c) => c.trim()).filter((c, i, all) => c !== '' || i < all.length - 1);
  const score = (way: (line: string) => string[]): number => {
    const counts = sample.map((l) => tidy(way(l))).map((c) => (c.length >= 2 && c.length <= 5 ? c.length : 0));
    return Math.max(...[2, 3, 4, 5].map((n) => counts.filter((x) => x === n).length));
  };
  const best = ways.reduce((a, b) => (score(b) > score(a) ? b : a));
  return (line) => tidy(best(line));
}

function isHeader(cells: readonly string[]): boolean {
  return cells.every((cell) => !/^[-−+]?[\d.,]/.test(cell)) || (cells.length > 0 && !/\d/.test(cells[0]));
}

interface Columns {
  temperature: number;
  nominal: number;
  min: number | null;
  max: number | null;
}

function columnsOf(head: readonly string[] | null, rows: readonly string[][]): Columns {
  if (head) {
    const find = (pattern: RegExp): number => head.findIndex((h) => pattern.test(h));
    const [min, max] = [find(/\bm[ií]n/i), find(/\bm[aá]x/i)];
    const temperature = Math.max(0, find(/temp|темп|温|°\s*[cf]|^\s*[tϑθ]\b/i));
    const others = head.map((_, i) => i).filter((i) => i !== temperature && i !== min && i !== max);
    const named = others.find((i) => /nom|typ|centr|Ω|ohm|resist|widerst|résist|сопрот|^\s*r\b/i.test(head[i]));
    const nominal = named ?? others[0] ?? (temperature === 0 ? 1 : 0);
    return {
      temperature,
      nominal,
      min: min < 0 || min === nominal ? null : min,
      max: max < 0 || max === nominal ? null : max,
    };
  }
  if (rows[0].length >= 4) return { temperature: 0, nominal: 2, min: 1, max: 3 };
  return { temperature: 0, nominal: 1, min: null, max: null };
}

/** The decimal mark of a column, where any of its cells gives it away; null where none does. */
function decimalMark(cells: readonly string[]): ',' | '.' | null {
  for (const cell of cells) {
    const both = /([.,])\d+([.,])(\d+)/.exec(cell.replace(/[\s'’]/g, ''));
    if (both && both[1] !== both[2]) return both[2] as ',' | '.';
    const single = /^[^.,]*([.,])(\d+)[^.,\d]*$/.exec(cell);
    if (single && single[2].length !== 3) return single[1] as ',' | '.';
    // A mark that comes twice only groups thousands.
    const twice = /([.,])\d{3}\1\d{3}/.exec(cell);
    if (twice) return twice[1] === ',' ? '.' : ',';
  }
  return null;
}

type Row = Omit<PointRow, 'line'>;

function readRow(
  cells: readonly string[],
  columns: Columns,
  mark: ',' | '.' | null,
  head: readonly string[] | null,
): Row | PointReason {
  if (cells.length < 2) return 'one-column';
  const fahrenheit = head !== null && /°?\s*F\b|fahrenheit/i.test(head[columns.temperature] ?? '');
  const temperature = parseReading(plain(cells[columns.temperature] ?? '', mark), 'celsius', {
    temperatureUnit: fahrenheit ? 'F' : 'C',
  });
  if (!temperature.ok) return temperature.reason === 'ambiguous' ? 'ambiguous' : 'not-a-temperature';
  const ohmIn = (column: number | null): number | null | PointReason => {
    if (column === null || (cells[column] ?? '').trim() === '') return null;
    const parsed = parseReading(plain(cells[column], mark), 'ohms', { overload: false });
    if (!parsed.ok) return parsed.reason === 'ambiguous' ? 'ambiguous' : 'not-a-resistance';
    if (!(parsed.value > 0)) return 'not-a-resistance';
    const scale =
      head === null ? 1 : /kΩ|kohm|\bk\b/i.test(head[column]) ? 1000 : /MΩ|Mohm/.test(head[column]) ? 1e6 : 1;
    return parsed.value * (/[kKM]/.test(cells[column]) ? 1 : scale);
  };
  const [nominal, min, max] = [ohmIn(columns.nominal), ohmIn(columns.min), ohmIn(columns.max)];
  for (const value of [nominal, min, max]) if (typeof value === 'string') return value;
  if (nominal === null) return 'not-a-resistance';
  if ((min !== null && min > nominal) || (max !== null && max < nominal)) return 'limits-swapped';
  return {
    temperatureC: temperature.value,
    resistanceOhm: nominal as number,
    minOhm: min as number | null,
    maxOhm: max as number | null,
  };
}

/** A figure with the column's own decimal mark turned into a point and the other mark taken out as grouping. */
function plain(cell: string, mark: ',' | '.' | null): string {
  if (mark === null) return cell;
  const group = mark === ',' ? '.' : ',';
  return cell.split(group).join('').replace(mark, '.');
}
