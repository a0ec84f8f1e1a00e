import { describe, expect, test } from 'vitest';
import { nonFinite, randomProblem } from '../../../test/randomProblems.ts';
import { proposeTests } from '../../advice/nextTest/nextTest.ts';
import { undecidedPairs } from '../../advice/nextTest/separation.ts';
import { posteriorOf } from '../posterior/posterior.ts';
import { EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import { GENERIC_INSTRUMENTS } from '../../catalogue/kit/instruments.ts';
import { chartLines } from './chartLines.ts';
import { explain } from './assessment.ts';
import type { Problem } from '../model/problem.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { coolantCircuit } from '../../../test/problems.ts';

/** Everything a person is shown of a problem. */
function everythingSaid(problem: Problem, advice = true): object {
  const posterior = posteriorOf(problem);
  const assessment = explain(problem, posterior);
  const said = { assessment, chart: chartLines(problem, assessment) };
  if (!advice) return said;
  return {
    ...said,
    proposals: proposeTests(problem, posterior, EVERYTHING_AT_HAND),
    undecided: undecidedPairs(problem, posterior, EVERYTHING_AT_HAND),
  };
}
/** OL is a reading, a prediction, or the end of a range of either. */
const mayBeOverload = (path: string): boolean => /values|healthy|predicts|interval|value/.test(path);

describe('never NaN', () => {
  test(
    '20 problems that a person could type: every figure said is one, and probabilities sum to one',
    { timeout: 240_000 },
    () => {
      for (let seed = 1; seed <= 20; seed++) {
        const said = everythingSaid(randomProblem(seed, true), seed % 6 === 0) as {
          assessment: { ranking: { probability: number }[] };
        };
        expect(nonFinite(said, mayBeOverload), `seed ${seed}`).toEqual([]);
        expect(said.assessment.ranking.reduce((s, r) => s + r.probability, 0)).toBeCloseTo(1, 9);
      }
    },
  );
  test.each([
    ['shallow', 500],
    ['usual', 3600],
    ['steep', 10_000],
  ])('R25 and a %s B, no thermometer, nine readings', (_, betaK) => {
    const curve = curveModel({ kind: 'beta', r25Ohm: 2000, betaK });
    const readings = [
      ['displayed', -40],
      ['displayed-unplugged', -40],
      ['open-voltage', 5],
      ['open-voltage-return', 5],
      ['loaded-voltage', 4.9],
      ['return-drop', 0.01],
      ['sensor-ohms', 60_000],
      ['signal-wire-ohms', 0.4],
      ['isolation-ground', Infinity],
    ] as const;
    const problem: Problem = {
      circuit: coolantCircuit({ curve }),
      thermometers: {},
      readings: readings.map(([measurement, value], i) => ({
        id: `r${i}`,
        measurement,
        value,
        conditions: {},
        state: 'steady',
      })),
      instruments: GENERIC_INSTRUMENTS,
      factors: {},
    };
    expect(nonFinite(everythingSaid(problem), mayBeOverload)).toEqual([]);
  });
});
