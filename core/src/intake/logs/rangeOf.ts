/** Where most values of a channel lie: the 5th, 50th and 95th percentile. */
export interface ValueRange {
  low: number;
  middle: number;
  high: number;
}

/** Where most values of a channel lie, of at most so many that are looked at; undefined where there are fewer than five. */
export function rangeOf(values: Float64Array): ValueRange | undefined {
  const step = Math.max(1, Math.floor(values.length / 2000));
  const some: number[] = [];
  for (let i = 0; i < values.length; i += step) if (Number.isFinite(values[i])) some.push(values[i]);
  if (some.length < 5) return undefined;
  some.sort((a, b) => a - b);
  const at = (share: number): number => some[Math.round(share * (some.length - 1))];
  return { low: at(0.05), middle: at(0.5), high: at(0.95) };
}
