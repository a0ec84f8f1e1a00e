import type { ColourPicture } from './grayPicture.ts';
import type { Spot } from './straighten.ts';

/** Tiles across the longer side, in each of which the brightness of the paper is looked up, and the quantile that is taken for it. */
const [TILES, PAPER] = [24, 0.85];
/** Ink absorbs at least so much in all, as the length of −ln of its share of the paper's light. */
const LEAST_INK = 0.3;
/** A pixel belongs to the line from this share of its ink on, wholly from that; and its colour may be so far off, as a share of its own ink and in itself. */
const [FROM_SHARE, WHOLE_SHARE, OFF_SHARE, OFF_ALONE] = [0.25, 0.6, 0.38, 0.1];
/** A step along the line, px; what is looked at on either side of it at least; and the longest gap of a dashed line. */
const [STEP, BESIDE, GAP] = [2, 4, 18];
/** Shorter than this is no line, px; its ends are rounded, and left out. */
const [LEAST_LENGTH, ENDS] = [40, 3];
/** A gap that is one, px, and what must come after it to belong to the line. */
const [REAL_GAP, LEAST_AFTER_GAP] = [6, 30];
/** A turn by so many degrees over so many steps is too sharp for a curve. */
const TURN = { degrees: 20, over: 9 } as const;
const MOST_POINTS = 24;

/** Share of the line's own ink at a place, 0 … 1, whatever the light falls on it. */
type Ink = (x: number, y: number) => number;

/**
 * Follows the line that was tapped by its colour, step by step along its own direction, over grid lines that cross it and over the gaps of a dashed
 * line; shade and the blur of a JPEG change the light, not the kind of ink. Null where there is no ink, or what hangs together is no line.
 */
export function followLine(picture: ColourPicture, from: Spot): Spot[] | null {
  const absorbed = absorbance(picture);
  const start = mostInkNear(picture, absorbed, from);
  const line = absorbed(start.x, start.y);
  const most = Math.hypot(...line);
  if (most < LEAST_INK) return null;
  const ink = inkLike(absorbed, line, most);
  const direction = directionAt(ink, start);
  const thick = thicknessAt(ink, start, direction);
  const back = track(picture, ink, start, { x: -direction.x, y: -direction.y }, thick);
  const on = track(picture, ink, start, direction, thick);
  const whole = smoothed([...back.reverse(), start, ...on]);
  const inner = whole.slice(Math.ceil(ENDS / STEP), whole.length - Math.ceil(ENDS / STEP));
  if (inner.length * STEP < LEAST_LENGTH || thick > 0.1 * picture.height) return null;
  const rising = inner[0].x <= inner[inner.length - 1].x ? inner : inner.reverse();
  return evenly(
    rising.map(({ x, y }) => ({ x: x + 0.5, y: y + 0.5 })),
    MOST_POINTS,
  );
}

/** What each pixel takes from the light of the paper about it, by colour: −ln of its share. */
function absorbance(picture: ColourPicture): (x: number, y: number) => [number, number, number] {
  const { width, height, data } = picture;
  const paper = paperOf(picture);
  return (x, y) => {
    const [px, py] = [Math.min(width - 1, Math.max(0, x)), Math.min(height - 1, Math.max(0, y))];
    const light = paper(px, py);
    const i = 4 * (py * width + px);
    const of = (c: number): number => Math.max(0, Math.log(light[c] / Math.max(4, data[i + c])));
    return [of(0), of(1), of(2)];
  };
}

/** Brightness of the paper by colour, smooth between tiles. */
function paperOf({ width, height, data }: ColourPicture): (x: number, y: number) => number[] {
  const size = Math.max(8, Math.ceil(Math.max(width, height) / TILES));
  const [across, down] = [Math.ceil(width / size), Math.ceil(height / size)];
  const tiles = Array.from({ length: across * down }, (_, t) => {
    const [left, top] = [(t % across) * size, Math.floor(t / across) * size];
    return [0, 1, 2].map((c) => {
      const shades: number[] = [];
      for (let y = top; y < Math.min(height, top + size); y += 2)
        for (let x = left; x < Math.min(width, left + size); x += 2) shades.push(data[4 * (y * width + x) + c]);
      shades.sort((a, b) => a - b);
      return Math.max(30, shades[Math.floor(PAPER * (shades.length - 1))]);
    });
  });
  const at = (tx: number, ty: number): number[] =>
    tiles[Math.min(down - 1, Math.max(0, ty)) * across + Math.min(across - 1, Math.max(0, tx))];
  return (x, y) => {
    const [fx, fy] = [(x + 0.5) / size - 0.5, (y + 0.5) / size - 0.5];
    const [tx, ty] = [Math.floor(fx), Math.floor(fy)];
    const [u, v] = [fx - tx, fy - ty];
    const [a, b, c, d] = [at(tx, ty), at(tx + 1, ty), at(tx, ty + 1), at(tx + 1, ty + 1)];
    return [0, 1, 2].map((k) => (1 - v) * ((1 - u) * a[k] + u * b[k]) + v * ((1 - u) * c[k] + u * d[k]));
  };
}

/** The pixel with the most ink within four of the tap: a finger does not hit a thin line. */
function mostInkNear(
  { width, height }: ColourPicture,
  absorbed: (x: number, y: number) => readonly number[],
  { x, y }: Spot,
): Spot {
  let [best, most] = [{ x: Math.floor(x), y: Math.floor(y) }, -1];
  for (let py = Math.max(0, Math.floor(y) - 4); py <= Math.min(height - 1, Math.floor(y) + 4); py++)
    for (let px = Math.max(0, Math.floor(x) - 4); px <= Math.min(width - 1, Math.floor(x) + 4); px++) {
      const ink = Math.hypot(...absorbed(px, py));
      if (ink > most) [best, most] = [{ x: px, y: py }, ink];
    }
  return best;
}

function inkLike(absorbed: (x: number, y: number) => readonly number[], line: readonly number[], most: number): Ink {
  const unit = line.map((v) => v / most);
  const pixel = (x: number, y: number): number => {
    const a = absorbed(x, y);
    const along = a[0] * unit[0] + a[1] * unit[1] + a[2] * unit[2];
    const off = Math.hypot(...a.map((v, c) => v - along * unit[c]));
    if (off > OFF_SHARE * along + OFF_ALONE) return 0;
    return Math.min(1, Math.max(0, (along / most - FROM_SHARE) / (WHOLE_SHARE - FROM_SHARE)));
  };
  return (x, y) => {
    const [left, top] = [Math.floor(x), Math.floor(y)];
    const [u, v] = [x - left, y - top];
    return (
      (1 - v) * ((1 - u) * pixel(left, top) + u * pixel(left + 1, top)) +
      v * ((1 - u) * pixel(left, top + 1) + u * pixel(left + 1, top + 1))
    );
  };
}

/** The way in which the most ink lies on both sides of a place. */
function directionAt(ink: Ink, { x, y }: Spot): Spot {
  let [best, most] = [{ x: 1, y: 0 }, -1];
  for (let degrees = 0; degrees < 180; degrees += 4) {
    const way = { x: Math.cos((degrees * Math.PI) / 180), y: Math.sin((degrees * Math.PI) / 180) };
    let sum = 0;
    for (let r = -14; r <= 14; r++) sum += ink(x + r * way.x, y + r * way.y);
    if (sum > most) [best, most] = [way, sum];
  }
  return best;
}

/** How broad the line is there, px. */
function thicknessAt(ink: Ink, { x, y }: Spot, way: Spot): number {
  let sum = 0;
  for (let o = -20; o <= 20; o += 0.5) {
    const value = ink(x - o * way.y, y + o * way.x);
    // From the middle outwards: what lies beyond paper is something else.
    if (value === 0 && o > 0) break;
    sum = value === 0 ? 0 : sum + 0.5 * value;
  }
  return Math.max(1, sum);
}

/** Follows the ink from a place in a direction, in even steps; the places on the line. */
function track({ width, height }: ColourPicture, ink: Ink, from: Spot, way: Spot, thick: number): Spot[] {
  const found: Spot[] = [];
  const ways: Spot[] = [];
  /** How many were found when the last real gap came. */
  let beforeGap = 0;
  const side = Math.max(BESIDE, 1.5 * thick);
  let [place, direction, gap] = [from, way, 0];
  while (gap <= GAP && found.length < width + height) {
    const next = { x: place.x + STEP * direction.x, y: place.y + STEP * direction.y };
    if (Math.min(next.x, next.y, width - 1 - next.x, height - 1 - next.y) < 1) break;
    const { across, off } = beside(ink, next, direction, side);
    if (across < 0.35 * thick) {
      gap += STEP;
      place = next;
      continue;
    }
    if (gap >= REAL_GAP) beforeGap = found.length;
    gap = 0;
    // At the end of a dash half of the line is there: its middle lies beside it.
    if (across < 0.6 * thick) {
      place = next;
      continue;
    }
    // Where a line of the same ink crosses, its middle says nothing.
    const shift = across > 2.2 * thick ? 0 : Math.min(1.6, Math.max(-1.6, off));
    place = { x: next.x - shift * direction.y, y: next.y + shift * direction.x };
    found.push(place);
    ways.push(direction);
    const earlier = ways[ways.length - 1 - TURN.over];
    // No curve of a sensor turns so sharply: here the frame or another line goes on.
    if (earlier && earlier.x * direction.x + earlier.y * direction.y < Math.cos((TURN.degrees * Math.PI) / 180))
      return found.slice(0, -TURN.over);
    direction = turned(direction, found[Math.max(0, found.length - 6)], place);
  }
  // A little ink beyond a gap at the end is the frame, or a letter.
  return (found.length - beforeGap) * STEP < LEAST_AFTER_GAP ? found.slice(0, beforeGap || found.length) : found;
}

/** A direction, turned a little towards the way from one place to another. */
function turned(direction: Spot, from: Spot, to: Spot): Spot {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length <= STEP) return direction;
  const x = 0.7 * direction.x + (0.3 * (to.x - from.x)) / length;
  const y = 0.7 * direction.y + (0.3 * (to.y - from.y)) / length;
  const norm = Math.hypot(x, y);
  return { x: x / norm, y: y / norm };
}

/** Each place with up to three on either side: the ends of dashes and the blocks of a JPEG shake it by a pixel. */
const smoothed = (line: readonly Spot[]): Spot[] =>
  line.map((_, i) => {
    const reach = Math.min(3, i, line.length - 1 - i);
    const part = line.slice(i - reach, i + reach + 1);
    const mean = (of: (s: Spot) => number): number => part.reduce((sum, s) => sum + of(s), 0) / part.length;
    return { x: mean((s) => s.x), y: mean((s) => s.y) };
  });

/** Ink across a line, px, and where its middle lies beside a place; what is nearer counts more. */
function beside(ink: Ink, at: Spot, way: Spot, side: number): { across: number; off: number } {
  let [across, weights, moments] = [0, 0, 0];
  for (let o = -side; o <= side; o += 0.5) {
    const value = ink(at.x - o * way.y, at.y + o * way.x);
    const weight = value * Math.exp(-0.5 * ((1.6 * o) / side) ** 2);
    across += 0.5 * value;
    weights += weight;
    moments += weight * o;
  }
  return { across, off: weights > 0 ? moments / weights : 0 };
}

/** Places at even distances along a line, both ends among them. */
function evenly(line: readonly Spot[], most: number): Spot[] {
  const along = [0];
  for (let i = 1; i < line.length; i++)
    along.push(along[i - 1] + Math.hypot(line[i].x - line[i - 1].x, line[i].y - line[i - 1].y));
  const total = along[along.length - 1];
  const number = Math.min(most, line.length);
  return Array.from({ length: number }, (_, k) => line[along.findIndex((a) => a >= (k * total) / (number - 1) - 1e-9)]);
}
