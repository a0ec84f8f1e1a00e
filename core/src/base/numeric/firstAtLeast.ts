/**
 * Place of the first of the values that is not below a bound; `count` where all are. Ascending values; by halving.
 *
 * @param count so many of the values, from the first, are in use
 * @example firstAtLeast(Float64Array.of(1, 3, 3, 7), 3) // 1
 */
export function firstAtLeast(values: Float64Array, bound: number, count = values.length): number {
  let [low, high] = [0, count];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (values[middle] < bound) low = middle + 1;
    else high = middle;
  }
  return low;
}
