import { quantileOf } from '../../../base/numeric/quantiles.ts';
import { runningMedian } from '../../../base/numeric/runningMedian.ts';
import type { LogEvent } from '../finding.ts';

/** How far the course is looked at on either side of a value, s, and within which numbers of samples. */
const AROUND = { seconds: 12, least: 10, most: 20 } as const;
/** Chance of one false alarm in a whole clean series, of each kind. */
export const FALSE_ALARM = 0.0002;
/** What stands out by less than so many steps of the display is none. */
export const LEAST_STEPS = 1.6;
/** Beyond so many 1σ a value says nothing of the noise. */
const GROSS = 12;
/** A series without its gaps, and what is known of its noise. */
export interface Series {
  t: Float64Array;
  x: Float64Array;
  /** Median step of time, s, and of the display, in its unit (0: none seen). */
  stepS: number;
  quantum: number;
  /** Its course by running median, and what is left of it. */
  course: Float64Array;
  left: Float64Array;
  sigma: number;
  /** Samples on either side that are looked at. */
  half: number;
  /** By how much the noise about a sample is wider than that of the series as a whole, at least 1: a meter's grows with its reading. */
  wider: Float64Array;
  /** 1 where a sample belongs to an event that was found. */
  taken: Uint8Array;
}

export function seriesOf(t: Float64Array, x: Float64Array): Series | null {
  const n = x.length;
  if (n < 12) return null;
  const gaps = new Float64Array(n - 1);
  const moves = new Float64Array(n - 1);
  for (let i = 1; i < n; i++) {
    gaps[i - 1] = t[i] - t[i - 1];
    moves[i - 1] = Math.abs(x[i] - x[i - 1]);
  }
  const stepS = Math.max(1e-6, quantileOf(gaps, 0.5));
  const some = moves.filter((m) => m > 1e-9);
  const quantum = some.length > 0 ? quantileOf(some, 0.02) : 0;
  const half = Math.min(AROUND.most, Math.max(AROUND.least, Math.round(AROUND.seconds / stepS)));
  const course = courseOf(x, half, quantum);
  const left = new Float64Array(n);
  for (let i = 0; i < n; i++) left[i] = x[i] - course[i];
  const sigma = Math.max(scaleOf(left, quantum), quantum / Math.sqrt(12), 1e-12);
  return {
    t,
    x,
    stepS,
    quantum,
    course,
    left,
    sigma,
    half,
    wider: new Float64Array(n).fill(1),
    taken: new Uint8Array(n),
  };
}

/**
 * The course by running median; where it runs fast, by the median about its own slope: there a few samples that stand out would shift the plain one by
 * half of their number times the slope.
 */
function courseOf(x: Float64Array, half: number, quantum: number): Float64Array {
  const n = x.length;
  const plain = runningMedian(x, half);
  const sigma = scaleOf(
    x.map((v, i) => v - plain[i]),
    quantum,
  );
  const out = Float64Array.from(plain);
  const window = new Float64Array(2 * half + 1);
  /** The last value that stands out, and the last one that was looked at. */
  let [near, seen] = [-1, -1];
  for (let i = half; i < n - half; i++) {
    // Only where something stands out within the window: elsewhere both are alike.
    while (seen < i + half) if (Math.abs(x[++seen] - plain[seen]) > STANDS_OUT * sigma) near = seen;
    if (n > LONG_LOG && near < i - half) continue;
    // The lesser of both sides, none where they disagree: a step has no slope.
    const [before, after] = [plain[i] - plain[i - half], plain[i + half] - plain[i]];
    const slope = before * after > 0 ? (Math.sign(after) * Math.min(Math.abs(before), Math.abs(after))) / half : 0;
    if (Math.abs(slope) * half < sigma) continue;
    for (let k = -half; k <= half; k++) window[k + half] = x[i + k] - slope * k;
    out[i] = sortedInPlace(window)[half];
  }
  return out;
}

/** What lies so many 1σ off its running median stands out. */
const STANDS_OUT = 3;
/** A log longer than this is a quick one: there a short cut is taken that a slow log would feel. */
export const LONG_LOG = 50_000;

/** Insertion sort: a window that runs along a slope, its slope taken out, is nearly in order. */
function sortedInPlace(window: Float64Array): Float64Array {
  for (let i = 1; i < window.length; i++) {
    const v = window[i];
    let k = i - 1;
    for (; k >= 0 && window[k] > v; k--) window[k + 1] = window[k];
    window[k + 1] = v;
  }
  return window;
}

/** Samples over which the noise is taken to be the same. */
const LOCAL = 150;

export function widerOf({ left, taken, sigma, quantum }: Series): Float64Array {
  const n = left.length;
  const blocks = Math.max(1, Math.floor(n / LOCAL));
  const local = Array.from({ length: blocks }, (_, b) => {
    const part: number[] = [];
    const end = b === blocks - 1 ? n : (b + 1) * LOCAL;
    for (let i = b * LOCAL; i < end; i++) if (!taken[i]) part.push(Math.abs(left[i]));
    return part.length < 20 ? 0 : Math.max(quantileOf(part, 0.5) / 0.6745, quantum / Math.sqrt(12));
  });
  const out = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const b = Math.min(blocks - 1, Math.floor(i / LOCAL));
    // The middle of three: one block that holds an event says nothing of its neighbours.
    const [x, y, z] = [local[Math.max(0, b - 1)], local[b], local[Math.min(blocks - 1, b + 1)]];
    const middle = Math.max(Math.min(x, y), Math.min(Math.max(x, y), z));
    out[i] = Math.max(1, middle / sigma);
  }
  return out;
}

/** Most values that a robust 1σ is taken from. */
const MOST_SAMPLED = 20_000;

/** Sizes of an even sample of those values whose sample belongs to no event. */
export function sizesOf(values: Float64Array, taken?: Uint8Array): Float64Array {
  const step = Math.max(1, Math.floor(values.length / MOST_SAMPLED));
  const out = new Float64Array(Math.ceil(values.length / step));
  let n = 0;
  for (let i = 0; i < values.length; i += step) if (!taken?.[i]) out[n++] = Math.abs(values[i]);
  return out.subarray(0, n);
}

/** Robust 1σ: by the middle half, widened to the nine tenths once the gross ones are set aside. */
export function scaleOf(values: Float64Array, quantum: number, taken?: Uint8Array): number {
  const size = sizesOf(values, taken);
  const core = Math.max(quantileOf(size, 0.5) / 0.6745, quantum / Math.sqrt(12));
  const kept = size.filter((v) => v <= GROSS * core);
  if (kept.length === 0) return core;
  return Math.max(quantileOf(kept, 0.683), quantileOf(kept, 0.9) / 1.645);
}

/** Marks samples as those of an event that was found; what lies outside the series is left out. */
export function take({ taken }: Series, from: number, to: number): void {
  taken.fill(1, Math.max(0, from), to);
}

export function mean(x: Float64Array, from: number, to: number): number {
  let sum = 0;
  for (let i = from; i < to; i++) sum += x[i];
  return sum / (to - from);
}

/** Slope of the line through part of a series, per sample. */
export function slopeOf(x: Float64Array, from: number, to: number): number {
  const [a, b] = [Math.max(0, from), Math.min(x.length, to)];
  const middle = (a + b - 1) / 2;
  let [up, down] = [0, 0];
  for (let i = a; i < b; i++) {
    up += (i - middle) * x[i];
    down += (i - middle) ** 2;
  }
  return down > 0 ? up / down : 0;
}

export const span = (s: Series, from: number, to: number): Pick<LogEvent, 'fromS' | 'toS' | 'samples'> => ({
  fromS: s.t[from],
  toS: s.t[to - 1],
  samples: to - from,
});
