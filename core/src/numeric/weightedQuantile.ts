/**
 * Quantiles of weighted values: `levels` in [0, 1], ascending or not; returns one value a level (midpoint rule, linear between;
 * beside an infinite value the step where the lower one's weight ends).
 * Weights need not sum to one. Returns NaN for each level when there is no weight at all.
 *
 * @example weightedQuantile([3, 1, 2], [1, 1, 1], [0.5]) // [2]
 */
export function weightedQuantile(
  values: ArrayLike<number>,
  weights: ArrayLike<number>,
  levels: readonly number[],
): number[] {
  const order = Array.from({ length: values.length }, (_, i) => i)
    .filter((i) => weights[i] > 0)
    .sort((a, b) => values[a] - values[b]);
  let total = 0;
  for (const i of order) total += weights[i];
  if (!(total > 0)) return levels.map(() => NaN);
  const middles: number[] = [];
  const ends: number[] = [];
  let sum = 0;
  for (const i of order) {
    middles.push((sum + weights[i] / 2) / total);
    sum += weights[i];
    ends.push(sum / total);
  }
  return levels.map((level) => {
    const at = middles.findIndex((m) => m >= level);
    if (at < 0) return values[order[order.length - 1]];
    if (at === 0) return values[order[0]];
    const [low, high] = [values[order[at - 1]], values[order[at]]];
    const share = (level - middles[at - 1]) / (middles[at] - middles[at - 1]);
    return Number.isFinite(low) && Number.isFinite(high)
      ? low + share * (high - low)
      : level < ends[at - 1]
        ? low
        : high;
  });
}
