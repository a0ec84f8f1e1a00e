import { blocksOf, valueAt } from './blocks.ts';
import type { Log, LogChannel } from './log.ts';

/** Most points of either course that are held against each other. */
const MOST_POINTS = 1500;
/** Steps over which a slope is taken: over fewer the noise outweighs it. */
const SLOPE_STEPS = 8;

/**
 * By how many seconds a channel of one log must be moved so that its course fits that of another best: the greatest correlation of their slopes over
 * all offsets at which they overlap by a third of the shorter. Slopes, so that an offset of level or unit does not matter. Null below 0.5.
 */
export function offsetByCourse(
  a: { timeS: Float64Array; channel: LogChannel },
  b: { timeS: Float64Array; channel: LogChannel },
): { offsetS: number; correlation: number } | null {
  const span = ({ timeS }: { timeS: Float64Array }): number => timeS[timeS.length - 1] - timeS[0];
  const stepS = Math.max(0.5, Math.max(span(a), span(b)) / MOST_POINTS);
  const [sa, sb] = [slopes(a, stepS), slopes(b, stepS)];
  const least = Math.max(8, Math.floor(Math.min(sa.length, sb.length) / 3));
  let [best, at] = [0.5, NaN];
  for (let lag = least - sb.length; lag <= sa.length - least; lag++) {
    const r = correlation(sa, sb, lag);
    if (r > best) [best, at] = [r, lag];
  }
  if (Number.isNaN(at)) return null;
  return { offsetS: a.timeS[0] - b.timeS[0] + at * stepS, correlation: best };
}

function slopes({ timeS, channel }: { timeS: Float64Array; channel: LogChannel }, stepS: number): number[] {
  const blocks = blocksOf(timeS, channel.values, stepS);
  const n = Math.floor((timeS[timeS.length - 1] - timeS[0]) / stepS);
  const even = Array.from({ length: n }, (_, i) => valueAt(blocks, timeS[0] + (i + 0.5) * stepS));
  const out: number[] = [];
  for (let i = SLOPE_STEPS; i < n; i++) out.push(even[i] - even[i - SLOPE_STEPS]);
  return out.map((v) => (Number.isFinite(v) ? v : 0));
}

/** Correlation of a[i + lag] with b[i] over where both are. */
function correlation(a: readonly number[], b: readonly number[], lag: number): number {
  let [n, sa, sb, saa, sbb, sab] = [0, 0, 0, 0, 0, 0];
  for (let i = Math.max(0, -lag); i < b.length && i + lag < a.length; i++) {
    const [x, y] = [a[i + lag], b[i]];
    n++;
    sa += x;
    sb += y;
    saa += x * x;
    sbb += y * y;
    sab += x * y;
  }
  const [va, vb] = [saa - (sa * sa) / n, sbb - (sb * sb) / n];
  return va > 0 && vb > 0 ? (sab - (sa * sb) / n) / Math.sqrt(va * vb) : 0;
}

/**
 * By how many seconds the second of two logs began later than the first, by their own clocks; half a day either way where only one says the day. Null
 * where one of them has no clock.
 */
export function offsetByClock(
  a: { dayKnown: boolean; s: number } | null,
  b: { dayKnown: boolean; s: number } | null,
): number | null {
  if (!a || !b) return null;
  const later = b.s - a.s;
  if (a.dayKnown && b.dayKnown) return later;
  const day = 86_400;
  return ((((later + day / 2) % day) + day) % day) - day / 2;
}

/** Two logs on one clock: the times of both, b moved by `offsetS`; each channel holds a gap where the other log has its time. */
export function merged(a: Log, b: Log, offsetS: number): Log {
  const [na, nb] = [a.timeS.length, b.timeS.length];
  const timeS = new Float64Array(na + nb);
  const fromA = new Int32Array(na + nb).fill(-1);
  const fromB = new Int32Array(na + nb).fill(-1);
  let [i, j, n] = [0, 0, 0];
  while (i < na || j < nb) {
    const [ta, tb] = [i < na ? a.timeS[i] : Infinity, j < nb ? b.timeS[j] + offsetS : Infinity];
    timeS[n] = Math.min(ta, tb);
    if (ta <= tb) fromA[n] = i++;
    if (tb <= ta) fromB[n] = j++;
    n++;
  }
  const start = n > 0 ? timeS[0] : 0;
  const values = (from: Int32Array, of: Float64Array): Float64Array =>
    Float64Array.from({ length: n }, (_, k) => (from[k] >= 0 ? of[from[k]] : NaN));
  const taken = new Set(a.channels.map((c) => c.id));
  return {
    timeS: timeS.slice(0, n).map((t) => t - start),
    channels: [
      ...a.channels.map((c) => ({ ...c, values: values(fromA, c.values) })),
      ...b.channels.map((c) => ({ ...c, id: taken.has(c.id) ? `${c.id} (2)` : c.id, values: values(fromB, c.values) })),
    ],
    marks: [...a.marks.map((m) => moved(m, -start)), ...b.marks.map((m) => moved(m, offsetS - start))].sort(
      (x, y) => x.fromS - y.fromS,
    ),
  };
}

const moved = (m: Log['marks'][number], by: number): Log['marks'][number] => ({
  ...m,
  fromS: m.fromS + by,
  toS: m.toS === null ? null : m.toS + by,
});
