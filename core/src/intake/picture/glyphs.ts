import { middleOf } from '../../base/numeric/middleOf.ts';
import type { Box, GrayPicture } from './grayPicture.ts';
import { type Blot, blotsOf, inkOf } from './inkMap.ts';

/** What the ink of a cell is made of, whatever it says. */
export interface CellShape {
  /** Figures of full height, from the left. */
  figures: Box[];
  /** Decimal marks: before how many figures, and whether it is a comma. */
  marks: { after: number; comma: boolean }[];
  minus: boolean;
  /** Something stands there that is neither figure, mark nor minus. */
  odd: boolean;
}

/** Columns and rows of the grid a figure is looked at through. */
const [ACROSS, DOWN] = [10, 14];

/** Shares of the usual threshold at which the ink is looked at: figures that touch part at a darker one, a pale point shows at a lighter one. */
const SHARES = [1, 0.85, 1.15, 0.7, 0.55];
/** Marks and minus are looked for at these only: at a darker one a pale figure falls to pieces. */
const FOR_MARKS = 3;

/**
 * The shapes of the ink in each cell: figures, decimal marks at their feet, a minus at their left. They count what a reader of text drops: a lone
 * 0, a point in a row without blanks, a minus. Whether marks are commas is told by all of them together.
 *
 * @param figure usual height of a figure, px
 * @param counts how many figures the reader of text found in each cell: of several ways to part the ink, the one that fits is taken
 */
export function shapesOf(
  page: GrayPicture,
  cells: readonly Box[],
  figure: number,
  counts: readonly number[],
): CellShape[] {
  const looked = SHARES.map((share) => {
    const blots = blotsOf(inkOf(page, share)).filter((b) => b.area >= Math.max(3, 0.008 * figure * figure));
    return cells.map((cell) => shapeOf(insideOf(blots, cell), figure));
  });
  const shapes = cells.map((_, i) => {
    const all = looked.map((shapesThere) => shapesThere[i]);
    const clear =
      all.find((s) => !s.odd && s.figures.length === counts[i]) ??
      all.slice(0, FOR_MARKS).find((s) => !s.odd) ??
      all[0];
    const same = all.slice(0, FOR_MARKS).filter((s) => !s.odd && s.figures.length === clear.figures.length);
    const marks = same.reduce((most, s) => (s.marks.length > most.length ? s.marks : most), clear.marks);
    return { ...clear, marks, minus: clear.minus || same.some((s) => s.minus) };
  });
  const drops = shapes.flatMap((s) => (s.marks.length === 1 ? [s.marks[0].drop] : []));
  const comma = drops.length > 0 && middleOf(drops) > COMMA_DROP;
  return shapes.map((s) => ({
    ...s,
    marks: s.marks.map((m) => ({ after: m.after, comma: s.marks.length === 1 ? comma : m.drop > COMMA_DROP })),
  }));
}

/** A comma hangs this far below the feet of the figures, in figures; a point stands on their line. */
const COMMA_DROP = 0.07;

const insideOf = (blots: readonly Blot[], cell: Box): Blot[] =>
  blots
    .filter((b) => {
      const [x, y] = [(b.left + b.right) / 2, (b.top + b.bottom) / 2];
      return x >= cell.left - 2 && x <= cell.right + 2 && y >= cell.top - 2 && y <= cell.bottom + 2;
    })
    .sort((a, b) => a.left + a.right - b.left - b.right);

interface LookedAt extends Omit<CellShape, 'marks'> {
  marks: { after: number; drop: number }[];
}

function shapeOf(inside: readonly Blot[], figure: number): LookedAt {
  const tall = inside.filter((b) => b.bottom - b.top >= 0.7 * figure);
  const shape: LookedAt = { figures: [], marks: [], minus: false, odd: tall.length === 0 };
  if (tall.length === 0) return shape;
  const [top, foot] = [middleOf(tall.map((b) => b.top)), middleOf(tall.map((b) => b.bottom))];
  // The dot in a 0 is a part of it.
  const dotOf = (b: Blot): boolean => tall.some((t) => b.left >= t.left && b.right <= t.right && b.bottom < t.bottom);
  for (const blot of inside.filter((b) => tall.includes(b) || !dotOf(b))) {
    const [w, h] = [blot.right - blot.left, blot.bottom - blot.top];
    const at = ((blot.top + blot.bottom) / 2 - top) / (foot - top);
    if (tall.includes(blot)) {
      shape.figures.push(blot);
      // Two figures that run into each other, or a figure and its mark.
      if (w > 1.02 * (foot - top) || blot.bottom > foot + 0.12 * figure) shape.odd = true;
    } else if (h < 0.55 * figure && w < 0.45 * figure && at > 0.7)
      shape.marks.push({ after: shape.figures.length, drop: (blot.bottom - foot) / figure });
    else if (h < 0.35 * figure && w > 1.2 * h && at > 0.25 && at < 0.8 && shape.figures.length === 0)
      shape.minus = true;
    else shape.odd = true;
  }
  return shape;
}

/** A figure through a grid of 10 × 14: how dark each part is, of length 1, with its breadth as one value more. */
export function lookOf(page: GrayPicture, { left, top, right, bottom }: Box): Float64Array {
  const look = new Float64Array(ACROSS * DOWN + 1);
  const [w, h] = [(right - left) / ACROSS, (bottom - top) / DOWN];
  let sum = 0;
  for (let gy = 0; gy < DOWN; gy++)
    for (let gx = 0; gx < ACROSS; gx++) {
      const value = darkness(page, left + gx * w, top + gy * h, left + (gx + 1) * w, top + (gy + 1) * h);
      look[gy * ACROSS + gx] = value;
      sum += value * value;
    }
  const length = Math.sqrt(sum) || 1;
  for (let i = 0; i < ACROSS * DOWN; i++) look[i] /= length;
  look[ACROSS * DOWN] = (0.7 * (right - left)) / (bottom - top);
  return look;
}

/** How far two looks are apart: 0 the same. */
export function apart(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] - b[i]) ** 2;
  return Math.sqrt(sum);
}

/** Mean darkness of a part of the page, edges by their share. */
function darkness({ width, height, data }: GrayPicture, x0: number, y0: number, x1: number, y1: number): number {
  let [sum, weight] = [0, 0];
  for (let y = Math.max(0, Math.floor(y0)); y < Math.min(height, Math.ceil(y1)); y++) {
    const wy = Math.min(y + 1, y1) - Math.max(y, y0);
    for (let x = Math.max(0, Math.floor(x0)); x < Math.min(width, Math.ceil(x1)); x++) {
      const w = wy * (Math.min(x + 1, x1) - Math.max(x, x0));
      sum += w * (255 - data[y * width + x]);
      weight += w;
    }
  }
  return weight > 0 ? sum / weight / 255 : 0;
}
