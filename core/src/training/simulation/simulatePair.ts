import { happens, seededUniform } from '../../base/numeric/random.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import { type Hypothesis, Predictor } from '../../inference/model/predictor.ts';
import { drawHypothesis, readingsOf, simulateCase, taker } from './simulateCase.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { shifts } from './shifts.ts';
import { type Fault, positionOf } from '../../circuit/faults/fault.ts';
import { canStandTogether } from '../../circuit/faults/together.ts';

/** A made-up case with two faults, the readings taken, and which two. */
export interface SimulatedPair {
  seed: number;
  problem: Problem;
  faults: [Fault, Fault];
}

/**
 * Draws two faults that can stand together, each of which shifts at least one of these tests by 5 σ with the other present, and takes
 * the tests. Same seed, same case.
 */
export function simulatePair(seed: number, testsOf: (problem: Problem) => readonly PlannedTest[]): SimulatedPair {
  const { problem } = simulateCase(seed);
  const uniform = seededUniform(seed * 7717 + 29);
  const predictor = new Predictor(problem, true);
  const { latent } = predictor;
  const tests = testsOf(problem);
  for (;;) {
    const [a, b] = [drawHypothesis(problem, uniform), drawHypothesis(problem, uniform)];
    const u = new Float64Array(latent.dimension);
    latent.draw(() => normalQuantile(uniform()), uniform, u);
    const [p, q] = [positionOf(a.branch, uniform()), positionOf(b.branch, uniform())];
    const { fault, branch } = b;
    if (!canStandTogether(a.fault, fault)) continue;
    u[latent.secondSize] = 0;
    const both: Hypothesis = { ...a, ratiometric: happens(0.5, uniform), second: { branch, from: q, to: q } };
    const onlyFirst: Hypothesis = { ...both, second: undefined };
    const onlySecond: Hypothesis = { ...onlyFirst, fault, branch };
    const predict = (h: Hypothesis, position: number): number[] =>
      tests.map(({ measurement, conditions, state }) =>
        measurement.predict(predictor.solvedAt(h, position, u, state), conditions),
      );
    const all = predict(both, p);
    if (![predict(onlyFirst, p), predict(onlySecond, q)].every((w) => shifts(problem, tests, all, w))) continue;
    const take = taker({ predictor, hypothesis: both, position: p, u }, uniform, []);
    const readings = readingsOf(tests, take);
    return { seed, problem: { ...problem, readings }, faults: [a.fault, fault] };
  }
}
