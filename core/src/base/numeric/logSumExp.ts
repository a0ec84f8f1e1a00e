/**
 * ln Σ exp(x), without overflow; −Infinity for an empty list.
 *
 * @example logSumExp([-1e4, -1e4]) // -1e4 + Math.log(2)
 */
export function logSumExp(values: ArrayLike<number>): number {
  let top = -Infinity;
  for (let i = 0; i < values.length; i++) if (values[i] > top) top = values[i];
  if (top === -Infinity) return -Infinity;
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += Math.exp(values[i] - top);
  return top + Math.log(sum);
}
