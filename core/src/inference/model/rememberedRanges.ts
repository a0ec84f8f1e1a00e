import type { Interval } from '../../base/numeric/interval.ts';
import { healthyRanges, type PlannedTest } from './healthyRanges.ts';
import type { Problem } from './problem.ts';

/**
 * `healthyRanges` that remembers what it found while `key` stays the same; the key stands for all of the problem but its readings. While figures are
 * typed the circuit does not change, and these ranges are a good part of what a verdict costs.
 */
export function rememberedRanges(): (key: string, problem: Problem, tests: readonly PlannedTest[]) => Interval[] {
  let of = '';
  let known = new Map<string, Interval>();
  return (key, problem, tests) => {
    if (key !== of) [of, known] = [key, new Map<string, Interval>()];
    const names = tests.map((t) => `${t.measurement.id} ${t.state} ${t.moment ?? ''} ${JSON.stringify(t.conditions)}`);
    const missing = tests.filter((_, i) => !known.has(names[i]));
    const found = missing.length === 0 ? [] : healthyRanges(problem, missing);
    missing.forEach((test, i) => known.set(names[tests.indexOf(test)], found[i]));
    return names.map((name) => known.get(name)!);
  };
}
