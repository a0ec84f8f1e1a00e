import { medianOf, quantileOf } from '../../../base/numeric/quantiles.ts';
import { runningMedian } from '../../../base/numeric/runningMedian.ts';
import type { LogEvent } from '../finding.ts';
import { LONG_LOG, type Series, span, take } from './series.ts';

/** Stretches in which neighbours scatter several times as much as elsewhere. */
const NOISE_TIMES = 3.3;
const BLOCK = 12;
/** Blocks on either side whose noise is what is usual there, and how long they are at least, s: longer than a noisy stretch itself. */
const NOISE_AROUND = { blocks: 40, seconds: 400 } as const;

export function findNoise(s: Series): LogEvent[] {
  const n = s.x.length;
  const blocks = Math.floor(n / BLOCK);
  if (blocks < 6) return [];
  const rough = new Float64Array(blocks);
  const bends = new Float64Array(BLOCK - 2);
  for (let b = 0; b < blocks; b++) {
    for (let k = 1; k < BLOCK - 1; k++) {
      const i = b * BLOCK + k;
      bends[k - 1] = Math.abs(s.x[i + 1] - 2 * s.x[i] + s.x[i - 1]);
    }
    // The middle one: a few far ones are an event of another kind. Bends, for a rush is no noise.
    rough[b] = medianOf(bends) / 0.6745 / Math.sqrt(6);
  }
  const least = Math.max(quantileOf(rough, 0.5), s.quantum * 0.5);
  // Against what is usual about it: a meter's noise grows with its reading.
  const side = Math.max(NOISE_AROUND.blocks, Math.ceil(NOISE_AROUND.seconds / (BLOCK * s.stepS)));
  const around =
    n > LONG_LOG
      ? runningMedian(rough, side)
      : rough.map((_, b) => medianOf(rough, Math.max(0, b - side), Math.min(blocks, b + side + 1)));
  const usual = around.map((v) => Math.max(least, v));
  const events: LogEvent[] = [];
  const loud = (k: number): boolean => k < blocks && rough[k] >= NOISE_TIMES * usual[k];
  const restless = (k: number): boolean => k >= 0 && k < blocks && rough[k] >= (NOISE_TIMES / 2) * usual[k];
  for (let b = 0; b < blocks; b++) {
    if (!loud(b) || !(loud(b + 1) || loud(b + 2))) continue;
    // It begins and ends where the blocks are quiet again.
    let [first, end] = [b, b];
    while (restless(end + 1) || restless(end + 2)) end++;
    while (restless(first - 1)) first--;
    const [from, to] = [first * BLOCK, (end + 1) * BLOCK];
    if (turns(s, from, to, usual[b]) >= 4) {
      const level = medianOf(s.x, from, to);
      const sigmas = quantileOf(rough.slice(first, end + 1), 0.5) / usual[b];
      events.push({ ...span(s, from, to), kind: 'noise', before: level, level, end: null, sigmas });
      take(s, from - BLOCK, to + BLOCK);
    }
    b = end;
  }
  return events;
}

/** How often the values turn round by more than their noise. */
function turns(s: Series, from: number, to: number, usual: number): number {
  let [count, direction] = [0, 0];
  for (let i = from + 1; i < to; i++) {
    const move = s.x[i] - s.x[i - 1];
    if (Math.abs(move) < 2 * usual) continue;
    if (direction !== 0 && Math.sign(move) !== direction) count++;
    direction = Math.sign(move);
  }
  return count;
}
