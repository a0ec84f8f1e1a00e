import type { Interval } from '@mellow-probe/core/base/numeric/interval';
import type { Quantity } from '@mellow-probe/core/base/units/quantity';

/**
 * A scale that holds these intervals and figures, as a meter would show them one beside the other: returns where a value lies, % of the width.
 * Ohms that span much are spread by decades; OL stands at the right end.
 */
export function meterScale(
  intervals: readonly Interval[],
  values: readonly number[],
  quantity: Quantity,
): (value: number) => number {
  const ends = [...intervals.flatMap((x) => [x.low, x.high]), ...values].filter(Number.isFinite);
  const [least, most] = [Math.min(...ends), Math.max(...ends)];
  const logarithmic = quantity === 'ohms' && least > 0 && most > 8 * least;
  const to = (v: number): number => (logarithmic ? Math.log(v) : v);
  const overload = intervals.some((x) => x.high === Infinity) || values.includes(Infinity);
  const span = overload ? 76 : 92;
  return (value) => {
    if (!Number.isFinite(value)) return 96;
    return most > least ? 4 + (span * (to(value) - to(least))) / (to(most) - to(least)) : 4 + span / 2;
  };
}
