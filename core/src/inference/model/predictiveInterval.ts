import type { Interval } from '../../base/numeric/interval.ts';
import { weightedQuantile } from '../../base/numeric/weightedQuantile.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import type { NoiseModel } from './noise.ts';

/** Probability that an interval of this kind holds a sound reading. */
export const COVERAGE = 0.95;

/**
 * Range that holds 95 % of the readings to be expected when the ideal values are `predictions` with these weights: spread of the
 * unknowns and noise of the meter together. Repeatable: the noise is an even sample of the normal in a fixed shuffled order.
 */
export function predictiveInterval(
  predictions: ArrayLike<number>,
  weights: ArrayLike<number>,
  noise: NoiseModel,
  lowest = -Infinity,
): Interval {
  const z = shuffledNormal(predictions.length);
  const noisy = Float64Array.from({ length: predictions.length }, (_, i) => {
    const p = predictions[i];
    if (!Number.isFinite(p)) return p;
    return Math.max(lowest, p + noise.sigma(p) * z[i]);
  });
  const [low, high] = weightedQuantile(noisy, weights, [(1 - COVERAGE) / 2, (1 + COVERAGE) / 2]);
  return { low, high };
}

const shuffled = new Map<number, Float64Array>();

/** `count` even quantiles of the standard normal in a shuffled order, the same on every call. */
function shuffledNormal(count: number): Float64Array {
  const known = shuffled.get(count);
  if (known) return known;
  const uniform = seededUniform(1);
  const z = Float64Array.from({ length: count }, (_, i) => normalQuantile((i + 0.5) / count));
  for (let i = count - 1; i > 0; i--) {
    const j = Math.floor(uniform() * (i + 1));
    [z[i], z[j]] = [z[j], z[i]];
  }
  shuffled.set(count, z);
  return z;
}
