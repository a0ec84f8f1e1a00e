import { KELVIN } from '../../circuit/curves/curveModel.ts';
import type { Spot } from './straighten.ts';

/** A known place on an axis: px along it, and the value that is printed there (°C, or Ω). */
export interface AxisMark {
  at: number;
  value: number;
}

/** An axis by two known places on it. */
export interface Axis {
  scale: 'linear' | 'log';
  marks: readonly [AxisMark, AxisMark];
}

/** What is wrong with an axis: its places lie too close (under 40 px), have one value, or a logarithmic one has a value that is not above 0. */
export type AxisFault = 'too-close' | 'same-value' | 'not-positive';

export function axisFault({ scale, marks: [a, b] }: Axis): AxisFault | null {
  if (scale === 'log' && !(a.value > 0 && b.value > 0)) return 'not-positive';
  if (a.value === b.value) return 'same-value';
  return Math.abs(a.at - b.at) < 40 ? 'too-close' : null;
}

/** A value read off an axis. `ratio`: what one pixel is worth, in the unit of the axis (linear) or as ln of the value (logarithmic). */
export function valueAt(
  { scale, marks: [a, b] }: Axis,
  at: number,
): { value: number; perPixel: number; share: number } {
  const on = scale === 'log' ? Math.log : (v: number) => v;
  const share = (at - a.at) / (b.at - a.at);
  const value = on(a.value) + share * (on(b.value) - on(a.value));
  return {
    value: scale === 'log' ? Math.exp(value) : value,
    perPixel: Math.abs((on(b.value) - on(a.value)) / (b.at - a.at)),
    share,
  };
}

/** A point read off a diagram: °C, Ω, and the half-width within which its resistance lies, as ln. */
export interface DiagramPoint {
  temperatureC: number;
  resistanceOhm: number;
  halfLog: number;
}

/** Coverage factor for about 95 of 100: GUM 6.3.3. */
const COVERAGE = 2;

/** A hand puts a point within this many pixels, rectangular: common practice, no source. */
export const HAND_PX = 2;

/**
 * Reads points off a diagram. Click and both marks of each axis are each off by up to `handPx` (rectangular); their errors add as GUM 5.1 says and,
 * by the slope of the line, an error of the temperature is one of the resistance. The half-width is twice the standard uncertainty (about 95 of 100).
 * Points that are no resistance or lie below absolute zero are left out; of two at one temperature the first stays. Ascending temperature. Throws a `RangeError`
 * for an axis that has a fault.
 */
export function diagramPoints(across: Axis, up: Axis, clicks: readonly Spot[], handPx = HAND_PX): DiagramPoint[] {
  for (const axis of [across, up]) {
    const fault = axisFault(axis);
    if (fault) throw new RangeError(`diagramPoints: ${fault}`);
  }
  const oneSigma = handPx / Math.sqrt(3);
  const spread = (share: number): number => oneSigma * Math.sqrt(1 + (1 - share) ** 2 + share ** 2);
  const read = clicks
    .map(({ x, y }) => ({ t: valueAt(across, x), r: valueAt(up, y) }))
    .filter(({ t, r }) => t.value > -KELVIN && r.value > 0)
    .sort((a, b) => a.t.value - b.t.value)
    .filter(({ t }, i, all) => i === 0 || t.value > all[i - 1].t.value);
  return read.map(({ t, r }, i) => {
    const [before, after] = [read[Math.max(0, i - 1)], read[Math.min(read.length - 1, i + 1)]];
    const slope = before === after ? 0 : Math.log(after.r.value / before.r.value) / (after.t.value - before.t.value);
    const sigmaLog = (up.scale === 'log' ? 1 : 1 / r.value) * r.perPixel * spread(r.share);
    const sigmaK = t.perPixel * (across.scale === 'log' ? t.value : 1) * spread(t.share);
    return {
      temperatureC: t.value,
      resistanceOhm: r.value,
      halfLog: COVERAGE * Math.hypot(sigmaLog, slope * sigmaK),
    };
  });
}

/** The points as a table: temperature, Ω, and the limits within which the picture places them. */
export function diagramText(points: readonly DiagramPoint[]): string {
  const figure = (r: number): string => String(Number(r.toPrecision(5)));
  const rows = points.map(({ temperatureC, resistanceOhm: r, halfLog }) =>
    [temperatureC.toFixed(2), figure(r), figure(r * Math.exp(-halfLog)), figure(r * Math.exp(halfLog))].join('\t'),
  );
  return ['°C\tΩ\tmin Ω\tmax Ω', ...rows].join('\n');
}

/** A picture in colour, four bytes a pixel. */
export interface ColourPicture {
  width: number;
  height: number;
  data: ArrayLike<number>;
}

/** Two colours this far apart (of 441) are two. */
const SAME_COLOUR = 90;
/** Gaps in a dashed line that are bridged, px. */
const GAP = 4;
const MOST_POINTS = 24;

/**
 * Follows the line that was tapped by its colour: the pixels of that colour that hang together, as places along it. Null where what hangs together
 * is no line: paper, or a line in the colour of its grid.
 */
export function followLine({ width, height, data }: ColourPicture, from: Spot): Spot[] | null {
  const start = darkestNear({ width, height, data }, from);
  const colour = [0, 1, 2].map((c) => data[4 * start + c]);
  const same = (i: number): boolean =>
    Math.hypot(data[4 * i] - colour[0], data[4 * i + 1] - colour[1], data[4 * i + 2] - colour[2]) < SAME_COLOUR;
  if (Math.hypot(...colour.map((v) => 255 - v)) < SAME_COLOUR) return null;
  const seen = new Uint8Array(width * height);
  const queue = [start];
  seen[start] = 1;
  const columns = new Map<number, { sum: number; number: number; top: number; bottom: number }>();
  for (let head = 0; head < queue.length; head++) {
    const [x, y] = [queue[head] % width, Math.floor(queue[head] / width)];
    const c = columns.get(x) ?? { sum: 0, number: 0, top: y, bottom: y };
    columns.set(x, { sum: c.sum + y, number: c.number + 1, top: Math.min(c.top, y), bottom: Math.max(c.bottom, y) });
    for (let py = Math.max(0, y - GAP); py <= Math.min(height - 1, y + GAP); py++)
      for (let px = Math.max(0, x - GAP); px <= Math.min(width - 1, x + GAP); px++) {
        const next = py * width + px;
        if (seen[next] === 1) continue;
        seen[next] = 1;
        if (same(next)) queue.push(next);
      }
  }
  const line = [...columns].sort(([a], [b]) => a - b);
  // A line is solid from top to bottom in each column, and there is one of it.
  const solid = line.filter(([, c]) => c.number >= 0.5 * (c.bottom - c.top + 1)).length;
  const thick = queue.length / line.length;
  if (line.length < 40 || solid < 0.8 * line.length || thick > 0.25 * height) return null;
  // The ends of a broad line are rounded: they lie off it.
  const inner = line.slice(3, -3).map(([x, c]) => ({ x: x + 0.5, y: c.sum / c.number + 0.5 }));
  return evenly(inner, MOST_POINTS);
}

/** The darkest pixel within three of the tap: a finger does not hit a thin line. */
function darkestNear({ width, height, data }: ColourPicture, { x, y }: Spot): number {
  let [best, least] = [0, Infinity];
  for (let py = Math.max(0, Math.floor(y) - 3); py <= Math.min(height - 1, Math.floor(y) + 3); py++)
    for (let px = Math.max(0, Math.floor(x) - 3); px <= Math.min(width - 1, Math.floor(x) + 3); px++) {
      const i = py * width + px;
      const light = data[4 * i] + data[4 * i + 1] + data[4 * i + 2];
      if (light < least) [best, least] = [i, light];
    }
  return best;
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
