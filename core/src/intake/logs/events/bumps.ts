import { normalQuantile } from '../../../base/numeric/normal.ts';
import { medianOf } from '../../../base/numeric/quantiles.ts';
import type { LogEvent } from '../finding.ts';
import { endOf, type ScaleEnds } from './ends.ts';
import { FALSE_ALARM, LEAST_STEPS, mean, scaleOf, type Series, slopeOf, take } from './series.ts';

const SCALES = [1, 2, 3, 4, 6, 8, 11, 15, 20] as const;
/** Short ones that come back: the sum over 1 … 20 samples of what is left of the course, against the scatter of such sums in the series itself. */
export function findBumps(s: Series, ends: ScaleEnds): LogEvent[] {
  const events: LogEvent[] = [];
  // The clearest first: what lies under one that was taken is the same event.
  for (const { at, length, z } of peaksOf(s).sort((a, b) => b.z - a.z)) {
    if (s.taken.subarray(at, at + length).includes(1)) continue;
    const [from, to] = edges(s, at, at + length);
    if (!isClear(s, from, to) || !isAbrupt(s, from, to) || !beyondBend(s, from, to)) continue;
    take(s, from - 1, to + 1);
    events.push(bump(s, from, to, z, ends));
  }
  return events;
}

/** Sums of 1 … 20 samples that stand out from the scatter of such sums, with by how many σ. */
function peaksOf(s: Series): { at: number; length: number; z: number }[] {
  const n = s.x.length;
  const sums = new Float64Array(n + 1);
  for (let i = 0; i < n; i++) sums[i + 1] = sums[i] + s.left[i];
  const limit = normalQuantile(1 - FALSE_ALARM / (3 * n));
  const peaks: { at: number; length: number; z: number }[] = [];
  const floor = s.quantum / Math.sqrt(12);
  const room = new Float64Array(n);
  for (const length of SCALES) {
    if (length > s.half || length > n) break;
    const moving = room.subarray(0, n - length + 1);
    for (let i = 0; i < moving.length; i++) moving[i] = sums[i + length] - sums[i];
    const scale = Math.max(scaleOf(moving, s.quantum, s.taken), floor * Math.sqrt(length), 1e-12);
    const least = Math.max(limit * scale, LEAST_STEPS * s.quantum * length);
    for (let i = 0; i < moving.length; i++) {
      const size = Math.abs(moving[i]);
      if (size >= least * s.wider[i]) peaks.push({ at: i, length, z: size / s.wider[i] / scale });
    }
  }
  return peaks;
}

/** What is left of a wider one must stand out by itself, 1σ of its mean: a bend of the course and one far sample are no bump together. */
const CLEAR_SIGMAS = 4.2;

function isClear({ x, left, sigma, wider, half }: Series, from: number, to: number): boolean {
  const turn = Math.abs(slopeOf(x, to, to + half) - slopeOf(x, from - half, from));
  // The running median cuts the corner of a turn by about this much.
  const cut = (turn * half) / 4;
  return (Math.abs(mean(left, from, to)) - cut) * Math.sqrt(to - from) > CLEAR_SIGMAS * sigma * wider[from];
}

/** From and to of a bump: as far as it stays beyond half of its height. */
function edges(s: Series, at: number, to: number): [number, number] {
  let peak = at;
  for (let i = at; i < to; i++) if (Math.abs(s.left[i]) > Math.abs(s.left[peak])) peak = i;
  const level = s.left[peak];
  const beyond = (i: number): boolean => i >= 0 && i < s.x.length && s.left[i] * Math.sign(level) > Math.abs(level) / 2;
  let [from, end] = [peak, peak + 1];
  while (from > 0 && (beyond(from - 1) || (from > at && beyond(from - 2)))) from--;
  while (end < s.x.length && (beyond(end) || (end < to - 1 && beyond(end + 1)))) end++;
  return [from, end];
}

/** Does it begin and end between neighbours? The turn of a slow course, or the side of a step, does not. */
function isAbrupt({ x, half, sigma }: Series, from: number, to: number): boolean {
  const k = Math.min(3, to - from);
  // What the course runs by itself from the one to the other.
  const [before, after] = [slopeOf(x, from - half, from), slopeOf(x, to, to + half)];
  const slope = before * after > 0 ? Math.sign(after) * Math.min(Math.abs(before), Math.abs(after)) : 0;
  const run = (slope * (k + 3)) / 2;
  const height =
    medianOf(x, from, to) -
    (medianOf(x, Math.max(0, from - 5), from) + medianOf(x, to, Math.min(x.length, to + 5))) / 2;
  const into = mean(x, from, from + k) - mean(x, Math.max(0, from - 3), from);
  const out = mean(x, to - k, to) - mean(x, to, Math.min(x.length, to + 3));
  // What stands out clearly must jump on one side at least: a dip with soft sides is none of a wire.
  const jump = Math.max(
    (x[from] - x[Math.max(0, from - 1)]) * Math.sign(height),
    (x[to - 1] - (x[to] ?? x[to - 1])) * Math.sign(height),
  );
  if (Math.abs(height) > 10 * sigma && to - from > 3 && jump < 0.3 * Math.abs(height)) return false;
  const least = 0.5 * Math.abs(height);
  return (into - run) * Math.sign(height) >= least && (out + run) * Math.sign(height) >= least;
}

/** Is it more than what the course itself bends by there? At the turn of a fast course the running median cuts the corner. */
function beyondBend({ course, x, half }: Series, from: number, to: number): boolean {
  const height = Math.abs(medianOf(x, from, to) - (course[from] + course[to - 1]) / 2);
  let bend = 0;
  for (let i = Math.max(half, from - 2); i < Math.min(course.length - half, to + 2); i++)
    bend = Math.max(bend, Math.abs(course[i + half] - 2 * course[i] + course[i - half]));
  return height > 0.75 * bend;
}

function bump(s: Series, from: number, to: number, sigmas: number, ends: ScaleEnds): LogEvent {
  const level = medianOf(s.x, from, to);
  const before = s.course[Math.max(0, from - 1)];
  const end = endOf(level, before, ends);
  return {
    kind: end ? 'drop-out' : 'spike',
    fromS: s.t[from],
    toS: s.t[to - 1],
    samples: to - from,
    before,
    level,
    end,
    sigmas,
  };
}
