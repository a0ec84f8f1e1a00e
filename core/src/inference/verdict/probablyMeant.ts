import type { Interval } from '../../base/numeric/interval.ts';

/**
 * A reading that is off by a power of a thousand from what a healthy circuit gives is more often a missed k than a fault. Returns the value
 * that was probably meant (same unit), or null. Ranges in the unit of the value.
 */
export function probablyMeant(value: number, healthy: Interval): number | null {
  if (!Number.isFinite(value) || value <= 0 || !(healthy.low > 0) || !Number.isFinite(healthy.high)) return null;
  const near = (v: number): boolean => v > healthy.low / 3 && v < healthy.high * 3;
  if (near(value)) return null;
  for (const factor of [1000, 1e-3]) if (near(value * factor)) return value * factor;
  return null;
}
