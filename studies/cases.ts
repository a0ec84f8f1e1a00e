import { candidateTests } from '../core/src/advice/nextTest/nextTest.ts';
import { EVERYTHING_AT_HAND } from '../core/src/catalogue/kit/access.ts';
import type { PlannedTest } from '../core/src/inference/model/healthyRanges.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { catalogueCircuit } from '../core/src/catalogue/parts/catalogueCircuit.ts';
import { DRAWN_TESTS } from '../core/src/training/simulation/drawnFrom.ts';
import { simulateCase, type SimulatedCase, withReadings } from '../core/src/training/simulation/simulateCase.ts';
import { seededUniform } from '../core/src/base/numeric/random.ts';

const OTHER_LAYOUTS = ['gauge-sender', 'boiler-10k-mirrored'];

/**
 * A seeded case with so many readings, of tests drawn at random from all that fit its circuit. Every fourth case has one of the rarer
 * layouts.
 */
export function seededCase(
  seed: number,
  readings: number,
  unknownPullUp = false,
): { simulated: SimulatedCase; problem: Problem } {
  const simulated = simulateCase(seed, seed % 4 === 3 ? catalogueCircuit(OTHER_LAYOUTS[(seed >> 2) % 2]) : undefined);
  const problem = withReadings(simulated, testsAtRandom(seed, simulated.problem, readings));
  if (!unknownPullUp) return { simulated, problem };
  return { simulated, problem: { ...problem, circuit: { ...problem.circuit, pullUpOhm: null } } };
}

/** So many tests, drawn at random from all that fit a problem; the same for the same seed. */
export function testsAtRandom(seed: number, problem: Problem, count: number): PlannedTest[] {
  const uniform = seededUniform(seed + 500);
  // Of the frozen list: the stored evidence is of these tests, whatever is added later.
  const tests = candidateTests(problem, EVERYTHING_AT_HAND).filter((t) => DRAWN_TESTS.includes(t.measurement));
  for (let i = tests.length - 1; i > 0; i--) {
    const j = Math.floor(uniform() * (i + 1));
    [tests[i], tests[j]] = [tests[j], tests[i]];
  }
  return tests.slice(0, count);
}
