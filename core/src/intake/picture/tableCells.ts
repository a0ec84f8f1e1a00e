import type { Box, GrayPicture } from './grayPicture.ts';
import { type Blot, blotsOf, figureHeight, inkOf } from './inkMap.ts';
import { withoutRules } from './rules.ts';

/** Where the figures of a table stand on its page. */
export interface TableCells {
  /** The page without rules. */
  page: GrayPicture;
  /** Usual height of a figure, px. */
  figure: number;
  /** Rows from the top; a cell for each column, null where it is empty. */
  rows: (Box | null)[][];
}

/** Pieces of ink that stand closer than this many figures are of one cell. */
const ONE_CELL = 0.85;
/** A column runs through at least this share of the rows that have more than one cell. */
const COLUMN_SHARE = 0.2;
const MOST_ROWS = 400;
const MOST_COLUMNS = 12;

/**
 * Finds the cells of a table on a levelled, straight page: rules are taken out, pieces of ink are gathered into rows and, along each row, into
 * cells; columns are where cells of many rows stand above each other. Empty where there is nothing that looks like a table.
 */
export function tableCells(levelledPage: GrayPicture): TableCells {
  const first = figureHeight(blotsOf(inkOf(levelledPage)));
  const none = { page: levelledPage, figure: first, rows: [] };
  if (first < 6) return none;
  const page = withoutRules(levelledPage, first);
  const blots = blotsOf(inkOf(page));
  const figure = figureHeight(blots);
  if (figure < 6) return none;
  const marks = blots.filter((b) => {
    const [w, h] = [b.right - b.left, b.bottom - b.top];
    return h <= 2.2 * figure && w <= 6 * figure && b.area >= Math.max(3, 0.006 * figure * figure);
  });
  const lines = rowsOf(marks, figure).map((row) => cellsOf(row, figure));
  const spans = columnSpans(lines);
  if (spans.length === 0) return { ...none, page, figure };
  const rows = lines
    .map((cells) => spans.map((span) => joined(cells.filter((c) => spanOf(c, spans) === span))))
    .filter((cells) => cells.some((c) => c !== null));
  return { page, figure, rows: rows.slice(0, MOST_ROWS) };
}

/** Rows by the figures: a full-height piece opens or joins a row at its middle; points and signs join the row they lie in. */
function rowsOf(marks: readonly Blot[], figure: number): Blot[][] {
  const middle = (b: Box): number => (b.top + b.bottom) / 2;
  const full = marks.filter((b) => b.bottom - b.top >= 0.6 * figure).sort((a, b) => middle(a) - middle(b));
  const rows: { at: number; blots: Blot[] }[] = [];
  for (const blot of full) {
    const row = rows.at(-1);
    if (row && middle(blot) - row.at < 0.6 * figure) {
      row.blots.push(blot);
      row.at += (middle(blot) - row.at) / row.blots.length;
    } else rows.push({ at: middle(blot), blots: [blot] });
  }
  for (const small of marks.filter((b) => b.bottom - b.top < 0.6 * figure)) {
    const row = rows.reduce<(typeof rows)[number] | null>(
      (best, r) => (!best || Math.abs(r.at - middle(small)) < Math.abs(best.at - middle(small)) ? r : best),
      null,
    );
    if (row && Math.abs(row.at - middle(small)) < 0.8 * figure) row.blots.push(small);
  }
  return rows.map((r) => r.blots);
}

/** Along a row: pieces that stand close are one cell. A cell without a piece of full height is a speck. */
function cellsOf(row: readonly Blot[], figure: number): Box[] {
  const cells: { box: Box; tall: boolean }[] = [];
  for (const blot of [...row].sort((a, b) => a.left - b.left)) {
    const cell = cells.at(-1);
    const tall = blot.bottom - blot.top >= 0.6 * figure;
    if (cell && blot.left - cell.box.right < ONE_CELL * figure) {
      cell.box = around(cell.box, blot);
      cell.tall ||= tall;
    } else cells.push({ box: { left: blot.left, top: blot.top, right: blot.right, bottom: blot.bottom }, tall });
  }
  return cells.filter((c) => c.tall).map((c) => c.box);
}

interface Span {
  left: number;
  right: number;
}

/** The columns, from the left: where cells of rows that have more than one stand above each other. */
function columnSpans(lines: readonly Box[][]): Span[] {
  const body = lines.filter((cells) => cells.length > 1);
  const edge = Math.max(0, ...body.flat().map((c) => c.right));
  const cover = new Int32Array(edge + 1);
  for (const c of body.flat()) for (let x = c.left; x < c.right; x++) cover[x]++;
  const enough = Math.max(2, COLUMN_SHARE * body.length);
  const spans: Span[] = [];
  let start = -1;
  for (let x = 0; x <= edge; x++) {
    if (cover[x] >= enough && start < 0) start = x;
    else if (cover[x] < enough && start >= 0) {
      spans.push({ left: start, right: x });
      start = -1;
    }
  }
  // Every second pair stands beside the first: many columns are fine, but a page of running text has more.
  return spans.length > MOST_COLUMNS ? [] : spans;
}

/** The column in which most of a cell lies; null where it lies in none. */
function spanOf(cell: Box, spans: readonly Span[]): Span | null {
  const shared = (s: Span): number => Math.min(cell.right, s.right) - Math.max(cell.left, s.left);
  const best = spans.reduce((a, b) => (shared(b) > shared(a) ? b : a));
  return shared(best) > 0 ? best : null;
}

function around(a: Box, b: Box): Box {
  return {
    left: Math.min(a.left, b.left),
    top: Math.min(a.top, b.top),
    right: Math.max(a.right, b.right),
    bottom: Math.max(a.bottom, b.bottom),
  };
}

const joined = (cells: readonly Box[]): Box | null => (cells.length === 0 ? null : cells.reduce(around));
