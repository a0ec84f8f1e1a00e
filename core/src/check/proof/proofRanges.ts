import { healthyRanges, plainTests } from '../../inference/model/healthyRanges.ts';
import type { Interval } from '../../base/numeric/interval.ts';
import type { Problem, Thermometer } from '../../inference/model/problem.ts';
import { PROOF_TESTS } from './proofPlan.ts';

/** What sound readings of the repaired circuit are at the temperature of the proof (95 %), by measurement; tests that do not exist here are left out. */
export function proofRanges(problem: Problem, steady: Thermometer): Record<string, Interval> {
  const at: Problem = { ...problem, readings: [], thermometers: { steady } };
  const tests = plainTests(at).filter((t) => (PROOF_TESTS as readonly string[]).includes(t.measurement.id));
  return Object.fromEntries(healthyRanges(at, tests).map((range, i) => [tests[i].measurement.id, range]));
}
