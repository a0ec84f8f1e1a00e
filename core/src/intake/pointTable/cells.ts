import Papa from 'papaparse';
import { eitherFigure, isEmptyCell, isSteady } from './cellFigure.ts';

/** A line of a table, in cells. `line` counts from 1 in the text. */
export interface CellLine {
  line: number;
  raw: string;
  cells: string[];
}

/** A text in lines and cells: what stands above the first figures, and the lines with figures. */
export interface CellTable {
  /** What the lines above say of each column, joined; '' where they say nothing. */
  head: string[];
  lines: CellLine[];
}

/** Widest table that is taken apart: more columns than this are no table of points. */
const MOST_COLUMNS = 24;

const isFigure = (cell: string): boolean => eitherFigure(cell) !== null;
const figuresIn = (cells: readonly string[]): number => cells.filter(isFigure).length;

/**
 * Lines that hold something (blank ones and remarks from # on fall out) in cells. Columns are parted by tab, semicolon, bar, comma or blanks,
 * whichever makes most cells figures; a table that lies on its side is stood up.
 */
export function cellTable(text: string): CellTable {
  const lines = text
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .map((raw, i) => ({ raw, line: i + 1 }))
    .filter(({ raw }) => raw.trim() !== '' && !/^\s*#/.test(raw) && !/^[\s|+=-]+$/.test(raw));
  const split = splitter(lines.map((l) => l.raw));
  const all = lines.map(({ raw, line }) => ({ line, raw, cells: split(raw) }));
  const upright = stoodUp(all) ?? all;
  const first = upright.findIndex(({ cells }) => isDataLine(cells));
  if (first < 0) return { head: [], lines: upright.slice(1) };
  const width = upright[first].cells.length;
  const above = upright.slice(0, first).filter(({ cells }) => cells.length >= 2 && cells.length <= width + 1);
  const head = Array.from({ length: width }, (_, k) =>
    above
      .map(({ cells }) => cells[k] ?? '')
      .filter((c) => c !== '')
      .join(' '),
  );
  return { head: head.some((h) => h !== '') ? head : [], lines: upright.slice(first) };
}

/** A line of the table itself: figures, not a heading with a figure in it ("R at 25 °C"). */
function isDataLine(cells: readonly string[]): boolean {
  const figures = figuresIn(cells);
  return figures >= 2 || (figures === 1 && cells.length <= 2);
}

/** How the lines fall into cells: the way that makes the most of them whole figures in even columns. */
function splitter(lines: readonly string[]): (line: string) => string[] {
  const sample = lines.length <= 60 ? lines : lines.filter((_, i) => i % Math.ceil(lines.length / 60) === 0 || i < 5);
  const by =
    (delimiter: string) =>
    (l: string): string[] =>
      Papa.parse<string[]>(l, { delimiter }).data[0] ?? [];
  const ways: ((line: string) => string[])[] = [
    by('\t'),
    by(';'),
    (l) => by('|')(l.trim().replace(/^\||\|$/g, '')),
    (l) => l.trim().split(/\s{2,}/),
    (l) => l.split(/,(?=\s)/),
    by(','),
    // `2.5 kΩ at 20 °C`
    (l) => l.trim().split(/\s*(?:[@＠]|\s(?:at|bei|à)\s)\s*/i),
    (l) => l.trim().split(/\s*[:=→]\s*/),
    (l) => l.trim().split(/\s+(?=(?:[~≈]\s*|(?:approx|ca|about)\b\.?\s*)?[-−–+]?[\d.,])/i),
    (l) => l.trim().split(/\s+/),
  ];
  const trimmed = (cells: string[]): string[] =>
    cells.map((c) => c.trim()).filter((c, i, every) => c !== '' || i < every.length - 1);
  const score = (way: (line: string) => string[]): number => {
    const rows = sample.map((l) => trimmed(way(l))).filter((c) => c.length >= 2 && c.length <= MOST_COLUMNS);
    const whole = rows.filter((c) => c.every((cell) => isFigure(cell) || isEmptyCell(cell)));
    const widths = new Map<number, number>();
    for (const c of rows) widths.set(c.length, (widths.get(c.length) ?? 0) + 1);
    return whole.length + 0.4 * Math.max(0, ...widths.values()) + 0.01 * rows.length;
  };
  let best = ways[0];
  let most = -1;
  for (const way of ways) {
    const own = score(way);
    if (own > most) [best, most] = [way, own];
  }
  return (line) => trimmed(best(line));
}

/** Least and most of a temperature in any of the units of a table. */
const [COLDEST, HOTTEST] = [-330, 1300];

/**
 * A table on its side (a line of temperatures, a line of resistances under it) with each pair on a line of its own; null where it stands. The
 * first of its lines runs on steadily through temperatures, which no row of an upright table does.
 */
function stoodUp(lines: readonly CellLine[]): CellLine[] | null {
  const rows = lines.filter(({ cells }) => figuresIn(cells) >= 3);
  if (rows.length < 2 || rows.length > 5) return null;
  const [first] = rows;
  const width = first.cells.length;
  if (width < 4 || rows.some((r) => r.cells.length !== width)) return null;
  const named = !isFigure(first.cells[0]);
  const figures = first.cells.slice(named ? 1 : 0).map((c) => eitherFigure(c)?.value ?? NaN);
  if (!isSteady(figures) || !figures.every((v) => v >= COLDEST && v <= HOTTEST)) return null;
  // Limits run on steadily as well; round figures throughout, and no headings above, are temperatures.
  if (!figures.every((v) => v % 5 === 0 || (v - 32) % 9 === 0 || Math.abs(v % 1) === 0.15)) return null;
  if (lines.some(({ cells }) => cells.length === width && figuresIn(cells) === 0)) return null;
  const columns = first.cells.map((_, k) => rows.map((r) => r.cells[k]));
  const heading = named ? [{ line: first.line, raw: columns[0].join(' '), cells: columns[0] }] : [];
  return [
    ...heading,
    ...columns.slice(named ? 1 : 0).map((cells) => ({ line: first.line, raw: cells.join('  '), cells })),
  ];
}
