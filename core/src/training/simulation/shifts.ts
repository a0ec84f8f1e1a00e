import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import type { Problem } from '../../inference/model/problem.ts';

/** Something shows where a test differs by so many σ from the same machine without it. */
const SHIFTS = 5;

/** Do two machines differ in any of these tests by 5 σ, or by a figure where the other has OL? What each shows, in the order of the tests: V, Ω or °C. */
export function shifts(
  problem: Problem,
  tests: readonly PlannedTest[],
  one: readonly number[],
  other: readonly number[],
): boolean {
  return tests.some(({ measurement, conditions }, i) => {
    const [a, b] = [one[i], other[i]];
    if (!Number.isFinite(a) || !Number.isFinite(b)) return Number.isFinite(a) !== Number.isFinite(b);
    const noise = noiseOf(problem, measurement, conditions);
    return Math.abs(a - b) > SHIFTS * Math.max(noise.sigma(a), noise.sigma(b));
  });
}
