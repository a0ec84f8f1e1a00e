/** Longest part of a long series that a quantile is taken from. */
const MOST = 20_000;

/**
 * Quantile of the values of an array (of an even sample of them where there are more than 20 000), linear between neighbours (type 7 of
 * Hyndman & Fan 1996). NaN where it is empty.
 *
 * @param p 0 … 1
 * @example quantileOf([4, 1, 3, 2], 0.5) // 2.5
 */
export function quantileOf(values: ArrayLike<number>, p: number): number {
  const step = Math.max(1, Math.ceil(values.length / MOST));
  const part = new Float64Array(Math.ceil(values.length / step));
  for (let i = 0; i < part.length; i++) part[i] = values[i * step];
  if (part.length === 0) return NaN;
  part.sort();
  const at = p * (part.length - 1);
  const low = Math.floor(at);
  return part[low] + (at - low) * (part[Math.min(low + 1, part.length - 1)] - part[low]);
}

/**
 * Median of `values` from one place up to (not with) another.
 *
 * @example medianOf([1, 9, 2], 0, 3) // 2
 */
export function medianOf(values: ArrayLike<number>, from = 0, to = values.length): number {
  const n = to - from;
  if (n <= 0) return NaN;
  const part = new Float64Array(n);
  for (let i = 0; i < n; i++) part[i] = values[from + i];
  part.sort();
  return n % 2 ? part[n >> 1] : (part[n / 2 - 1] + part[n / 2]) / 2;
}
