import { middleOf } from '../../base/numeric/middleOf.ts';

/** A series in even blocks of time: the median of each, where it has values. */
export interface Blocks {
  t: number[];
  x: number[];
}

/** Most blocks of a series. */
const MOST = 2000;

/**
 * A long series as few points: the median of the values in each block of `stepS` (longer where that makes more than 2000 blocks), at the middle of the block.
 *
 * @param leave stretches that are left out, s
 */
export function blocksOf(
  timeS: Float64Array,
  values: Float64Array,
  stepS: number,
  leave: readonly { fromS: number; toS: number }[] = [],
): Blocks {
  const n = timeS.length;
  const out: Blocks = { t: [], x: [] };
  if (n === 0) return out;
  const start = timeS[0];
  const step = Math.max(stepS, (timeS[n - 1] - start) / MOST, 1e-6);
  const gaps = [...leave].sort((a, b) => a.fromS - b.fromS);
  let [block, gap] = [0, 0];
  let inside: number[] = [];
  const close = (): void => {
    if (inside.length > 0) {
      out.t.push(start + (block + 0.5) * step);
      out.x.push(middleOf(inside));
    }
    inside = [];
  };
  for (let i = 0; i < n; i++) {
    const own = Math.floor((timeS[i] - start) / step);
    if (own !== block) {
      close();
      block = own;
    }
    while (gap < gaps.length && gaps[gap].toS < timeS[i]) gap++;
    if (gap < gaps.length && timeS[i] >= gaps[gap].fromS) continue;
    if (Number.isFinite(values[i])) inside.push(values[i]);
  }
  close();
  return out;
}

/** Value of a series at a time, between its points; NaN outside. */
export function valueAt({ t, x }: Blocks, atS: number): number {
  let [low, high] = [0, t.length - 1];
  if (t.length === 0 || atS < t[0] || atS > t[high]) return NaN;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (t[middle] <= atS) low = middle;
    else high = middle;
  }
  const span = t[high] - t[low];
  return span > 0 ? x[low] + ((x[high] - x[low]) * (atS - t[low])) / span : x[low];
}
