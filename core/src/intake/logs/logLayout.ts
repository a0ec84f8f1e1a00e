import Papa from 'papaparse';
import { figureOf, type LogChoices, type LogColumn, logColumns } from './logColumns.ts';

/** How a file is written. */
export interface LogLayout {
  delimiter: string;
  comma: boolean;
  columns: LogColumn[];
  /** Lines above the first row. */
  above: number;
  timeAt: number;
  /** Where no column holds the time: seconds from row to row, as a person said; null while that is not known. */
  everyS: number | null;
}

/** Lines that are looked at to find it out. */
const LOOK_LINES = 200;

/** Lines in cells. */
export function split(text: string, delimiter: string): string[][] {
  const given = delimiter === ' ' ? text.replace(/^ +| +$/gm, '').replace(/ +/g, '\t') : text;
  const parted = delimiter === ' ' ? '\t' : delimiter;
  const { data } = Papa.parse<string[]>(given, { delimiter: parted, skipEmptyLines: false });
  // The end of the last line is no line of its own.
  if (data.length > 0 && data[data.length - 1].length === 1 && data[data.length - 1][0] === '') data.pop();
  return data;
}

const DELIMITERS = ['\t', ';', '|', ',', ' '] as const;

/** How a file is written, from its first lines; null where there are no figures in it. */
export function layoutOf(text: string, choices: LogChoices, everyS: number | null = null): LogLayout | null {
  const lines = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .slice(0, LOOK_LINES);
  let best: { delimiter: string; table: string[][]; score: number } | null = null;
  for (const delimiter of DELIMITERS) {
    const table = split(lines.join('\n'), delimiter);
    const filled = table.filter((r) => r.some((c) => c.trim() !== ''));
    const widths = new Map<number, number>();
    for (const r of filled) widths.set(r.length, (widths.get(r.length) ?? 0) + 1);
    const [width, count] = [...widths].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0] ?? [1, 0];
    const figures = filled.filter((r) => r.length === width && isRow(r)).length;
    // A comma between digits is a decimal mark where another sign parts the columns as well.
    const score = figures + (width > 1 ? 0.5 * count : 0) - (delimiter === ',' || delimiter === ' ' ? 0.3 : 0);
    if (figures > 0 && (!best || score > best.score)) best = { delimiter, table, score };
  }
  if (!best) return null;
  const { delimiter, table } = best;
  const first = table.findIndex(
    (r, i) => isRow(r) && (table[i + 1] === undefined || isRow(table[i + 1]) || table.length < 4),
  );
  if (first < 0) return null;
  const width = table[first].length;
  const named = table
    .slice(0, first)
    .filter((r) => r.length >= Math.max(2, width - 1) && r.some((c) => /[^\d\s.,;:+-]/.test(c)));
  const heads = Array.from({ length: width }, (_, k) =>
    named
      .slice(-2)
      .map((r) => (r[k] ?? '').trim())
      .filter(Boolean)
      .join(' '),
  );
  const data = table.slice(first).filter(isRow);
  const cells = data.flat();
  const comma =
    delimiter !== ',' &&
    cells.filter((c) => /^[+-]?\d+,\d+$/.test(c.trim())).length >
      cells.filter((c) => /^[+-]?\d+\.\d+$/.test(c.trim())).length;
  const columns = logColumns(heads, data.slice(0, 100), choices, comma);
  return { delimiter, comma, columns, above: first, timeAt: columns.findIndex((c) => c.use === 'time'), everyS };
}

/** A row of a log: a figure or a time in most of its cells. */
function isRow(cells: readonly string[]): boolean {
  const filled = cells.filter((c) => c.trim() !== '');
  const told = filled.filter(
    (c) =>
      !Number.isNaN(figureOf(c.trim(), c.includes(',') && !c.includes('.'))) ||
      /\d:\d\d/.test(c) ||
      /^\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}/.test(c.trim()),
  );
  return told.length >= 1 && told.length >= 0.5 * filled.length && told.some((c) => /\d/.test(c));
}
