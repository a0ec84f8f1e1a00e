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
  const { ordered, share } = inOrder(values, weights);
  const count = ordered.length;
  let total = 0;
  for (let i = 0; i < count; i++) total += share[i];
  if (!(total > 0)) return levels.map(() => NaN);
  // Where the weight of each value ends, of the whole.
  const ends = new Float64Array(count);
  let sum = 0;
  for (let i = 0; i < count; i++) ends[i] = (sum += share[i]) / total;
  const middle = (i: number): number => ends[i] - share[i] / (2 * total);
  return levels.map((level) => {
    let at = 0;
    while (at < count && middle(at) < level) at++;
    if (at === count) return ordered[count - 1];
    if (at === 0) return ordered[0];
    const [low, high] = [ordered[at - 1], ordered[at]];
    const part = (level - middle(at - 1)) / (middle(at) - middle(at - 1));
    return Number.isFinite(low) && Number.isFinite(high)
      ? low + part * (high - low)
      : level < ends[at - 1]
        ? low
        : high;
  });
}

/** Ascending values with their weights, those without weight left out. */
function inOrder(
  values: ArrayLike<number>,
  weights: ArrayLike<number>,
): { ordered: Float64Array; share: Float64Array } {
  const count = values.length;
  let even = count > 0 && weights[0] > 0;
  for (let i = 1; even && i < count; i++) even = weights[i] === weights[0];
  // Equal weights need no bookkeeping: sorting bare numbers is several times as fast.
  if (even) return { ordered: Float64Array.from(values).sort(), share: new Float64Array(count).fill(weights[0]) };
  const order = ascending(values, weights);
  return {
    ordered: Float64Array.from(order, (i) => values[i]),
    share: Float64Array.from(order, (i) => weights[i]),
  };
}

/** Bits of a number's fraction that give way to its place in the list: 2⁻³² of it stays to be ordered by. */
const PLACE_BITS = 20;

/** Places of the values that have weight, ascending by value (to 2⁻³² of it); NaN has none. */
function ascending(values: ArrayLike<number>, weights: ArrayLike<number>): Uint32Array {
  const count = values.length;
  if (count > 1 << PLACE_BITS) throw new RangeError(`at most ${1 << PLACE_BITS} values`);
  const keys = new Float64Array(count);
  const halves = new Uint32Array(keys.buffer);
  const mask = 2 ** PLACE_BITS - 1;
  let kept = 0;
  for (let i = 0; i < count; i++) {
    if (!(weights[i] > 0)) continue;
    // Bare numbers are sorted several times as fast as places by a comparison; an infinite one has no fraction to spare.
    keys[kept] = Math.max(-Number.MAX_VALUE, Math.min(Number.MAX_VALUE, values[i]));
    halves[2 * kept + LOW_HALF] = ((halves[2 * kept + LOW_HALF] & ~mask) | i) >>> 0;
    kept++;
  }
  const order = keys.subarray(0, kept).sort();
  return Uint32Array.from(order, (_, j) => halves[2 * j + LOW_HALF] & mask);
}

/** Which of the two halves of a number holds the end of its fraction on this machine. */
const LOW_HALF = new Uint32Array(Float64Array.of(2).buffer)[0] === 0 ? 0 : 1;
