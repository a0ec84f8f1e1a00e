/** A range low … high, in whatever unit its owner says; high may be Infinity. */
export interface Interval {
  low: number;
  high: number;
}

/**
 * Is a value inside, allowing for rounding (a billionth)?
 *
 * @example inside({ low: 2.9, high: 3 }, 3.4) // 'high'
 */
export function inside(interval: Interval, value: number): 'inside' | 'low' | 'high' {
  const slack = 1e-9 * (1 + Math.abs(value === Infinity ? 0 : value));
  if (value < interval.low - slack) return 'low';
  if (value > interval.high + slack) return 'high';
  return 'inside';
}
