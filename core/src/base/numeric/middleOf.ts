/**
 * The middle of some values by their size; of an even number the upper of the two middle ones, so that it is always one of them. NaN of none.
 *
 * @example middleOf([5, 1, 9, 7]) // 7
 */
export function middleOf(values: readonly number[]): number {
  return values.length === 0 ? NaN : [...values].sort((a, b) => a - b)[values.length >> 1];
}
