import { type CellShape, shapesOf } from './glyphs.ts';
import { type Box, cutOut, graymapFile, type GrayPicture, noLargerThan } from './grayPicture.ts';
import { levelled } from './levelled.ts';
import { readFigures, type ReadFigure } from './readFigures.ts';
import { sharpened } from './sharpened.ts';
import { skewDegrees, turned } from './skew.ts';
import { type Corners, straightened } from './straighten.ts';
import { tableCells } from './tableCells.ts';

/** One letter or figure that a reader of text found, at its middle in the picture it was given, px. */
export interface ReaderSymbol {
  text: string;
  x: number;
  y: number;
}

/**
 * Reads the symbols of one line of text from a graymap file; `alphabet` is what may stand there, '' for anything. What does the reading is not the
 * business of this room.
 */
export type TextReader = (file: Uint8Array, alphabet: string) => Promise<ReaderSymbol[]>;

/** A page made ready for reading. */
export interface PreparedTable {
  /** The page as the figures are read from it: straight, level, without rules, black on white. */
  page: GrayPicture;
  figure: number;
  rows: (Box | null)[][];
}

/** A cell as it was read; `box` is its place on the prepared page. */
export interface ReadCell extends ReadFigure {
  box: Box | null;
}

export interface TableRead {
  /** What stands over each column, as far as it was read; empty without a heading. */
  heads: string[];
  rows: ReadCell[][];
}

/** The page is looked at with this many pixels on its longer side at most. */
export const MOST_PIXELS = 2600;
/** Height of a figure in the lines that the reader of text is given, px, and the white around them: at this it reads best (measured). */
const READ_HEIGHT = 30;
const MARGIN = 12;
export const FIGURES = '0123456789.,-';
/** Rows at the top that may be headings. */
const HEAD_ROWS = 3;

/** Makes a table between four corners of a picture ready for reading. `rows` is empty where no table is found. */
export function prepareTable(picture: GrayPicture, corners: Corners): PreparedTable {
  const level = levelled(noLargerThan(straightened(picture, corners), MOST_PIXELS));
  const straight = turned(level, skewDegrees(level));
  const { page, figure, rows } = tableCells(straight);
  return { page: sharpened(page, 0.15 * figure, 3), figure, rows };
}

/**
 * Reads a prepared table with a reader of text, row by row; what the reader drops or confuses is mended from the ink, and what stays open is marked
 * doubtful. `progress` is told the share done.
 */
export async function readTable(
  { page, figure, rows }: PreparedTable,
  reader: TextReader,
  progress: (share: number) => void = () => undefined,
): Promise<TableRead> {
  const said: string[][] = [];
  const heads: string[][] = [];
  for (const [i, row] of rows.entries()) {
    if (heads.length === i && i < HEAD_ROWS) {
      const words = await readRow(page, row, figure, reader, '');
      if (isHeading(words)) heads.push(words);
    }
    said.push(heads.length > i ? [] : await readRow(page, row, figure, reader, FIGURES));
    progress((i + 1) / rows.length);
  }
  const body = rows.slice(heads.length);
  const cells = body.flatMap((row, i) =>
    row.flatMap((box, column) => (box ? [{ box, i, column, said: said[heads.length + i][column] }] : [])),
  );
  const counts = cells.map((c) => c.said.replace(/\D/g, '').length);
  const shapes: CellShape[] = shapesOf(
    page,
    cells.map((c) => c.box),
    figure,
    counts,
  );
  const figures = readFigures(
    page,
    shapes,
    cells.map((c) => c.said),
  );
  const read: ReadCell[][] = body.map((row) => row.map((box) => ({ text: '', doubtful: true, box })));
  cells.forEach(({ i, column, box }, k) => (read[i][column] = { ...figures[k], box }));
  const words = (rows[0] ?? []).map((_, c) =>
    heads
      .map((h) => h[c])
      .join(' ')
      .trim(),
  );
  return withoutSmudges({ heads: words, rows: read });
}

/**
 * What a shadow or a stain left looks like rows and columns of their own, in which neither the reader nor the ink has a single figure: no part of
 * the table.
 */
export function withoutSmudges({ heads, rows }: TableRead): TableRead {
  const read = rows.filter((row) => row.some((cell) => cell.text !== ''));
  const column = heads.map((head, c) => head !== '' || read.some((row) => row[c].text !== ''));
  return {
    heads: heads.filter((_, c) => column[c]),
    rows: read.map((row) => row.filter((_, c) => column[c])),
  };
}

/** The text of each cell of one row: the row is read whole, for the reader needs a line, and its symbols go to the cell they stand in. */
async function readRow(
  page: GrayPicture,
  row: readonly (Box | null)[],
  figure: number,
  reader: TextReader,
  alphabet: string,
): Promise<string[]> {
  const boxes = row.flatMap((box, column) => (box ? [{ box, column }] : []));
  const texts = row.map(() => '');
  if (boxes.length === 0) return texts;
  const line = {
    left: Math.min(...boxes.map(({ box }) => box.left)) - 3,
    right: Math.max(...boxes.map(({ box }) => box.right)) + 3,
    top: Math.min(...boxes.map(({ box }) => box.top)) - 3,
    bottom: Math.max(...boxes.map(({ box }) => box.bottom)) + 3,
  };
  const scale = READ_HEIGHT / figure;
  for (const symbol of await reader(graymapFile(cutOut(page, line, scale, MARGIN)), alphabet)) {
    const x = line.left + (symbol.x - MARGIN) / scale;
    const away = ({ box }: { box: Box }): number => Math.max(box.left - x, x - box.right);
    texts[boxes.reduce((a, b) => (away(b) < away(a) ? b : a)).column] += symbol.text;
  }
  return texts;
}

/** A heading is made of letters; a row of figures is not, whatever the reader makes of a smudge. */
function isHeading(words: readonly string[]): boolean {
  const text = words.join('');
  const letters = text.replace(/[^A-Za-zΩ°*]/g, '').length;
  return letters > 0 && letters >= 0.4 * text.length;
}
