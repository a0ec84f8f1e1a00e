import { expect, test } from 'vitest';
import { curveModel } from '../../circuit/curves/curve.ts';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { Predictor } from '../model/predictor.ts';
import { yardCase, type YardRow } from '../../training/simulation/yardCase.ts';
import { groupProbabilities } from '../verdict/assessment.ts';
import { posteriorOf } from './posterior.ts';

/**
 * Cases of the yard in which a first estimate was up to 20 nat too low, or one draw carried the evidence of a wrong fault: the true group had 2·10⁻⁶,
 * 5·10⁻⁷ and 2 % where ideal inference (`studies/ideal.ts`) gives it 99.9, 99 and 57 %.
 */
test.each([
  ['curve not known', 9, 32, 0.6],
  ['curve not known', 18, 32, 0.6],
  ['curve not known', 18, 40, 0.03],
  ['scale ends', 18, 41, 0.25],
] satisfies [YardRow, number, number, number][])(
  '%s, %i readings, case %i: the true group is not lost',
  (row, readings, seed, least) => {
    const { problem, fault } = yardCase(seed, row, readings);
    const groups = groupProbabilities(posteriorOf(problem).faults);
    expect(groups.find((g) => g.group === fault.group)!.probability).toBeGreaterThan(least);
  },
);

test('a fit that leaps over an end of the scale is a figure all the same: its precision was indefinite by rounding, and every probability NaN', () => {
  const { problem } = yardCase(189, 'all together', 18);
  const { faults, logEvidence } = posteriorOf(problem);
  expect(Number.isFinite(logEvidence)).toBe(true);
  for (const f of faults) expect(f.logEvidence, f.fault.id).not.toBeNaN();
  expect(faults.reduce((sum, f) => sum + f.probability, 0)).toBeCloseTo(1, 9);
});

test('a curve not known sets out from the middle one of the resistances read, and from each other that is apart', () => {
  const circuit = coolantCircuit({ curve: curveModel({ kind: 'unknown' }) });
  const starts = (...ohms: number[]) => {
    const predictor = new Predictor(
      problemWith(
        ohms.map((ohm) => ['sensor-ohms', ohm] as const),
        { circuit },
      ),
    );
    const model = circuit.curve.alternatives!.find(({ model: m }) => m.level)!.model;
    const level = predictor.latent.names.indexOf('curve level');
    expect(predictor.start({ curve: model })).toBe(predictor.startsOf({ curve: model })[0]);
    return predictor.startsOf({ curve: model }).map((u) => u[level]);
  };
  const [middle, ...others] = starts(20, 2000, 9000);
  expect(others).toHaveLength(2);
  expect(Math.min(...others)).toBeLessThan(middle);
  expect(Math.max(...others)).toBeGreaterThan(middle);
  // Those that say the same are one, what is no resistance none, and there are never more than three.
  expect(starts(2000, 2010, 1990)).toHaveLength(1);
  expect(starts(Infinity)).toEqual([0]);
  expect(starts()).toEqual([0]);
  expect(starts(2, 20, 200, 2000, 20_000)).toHaveLength(3);
  // A curve that is known has one start, all at their middle.
  const known = new Predictor(problemWith([['sensor-ohms', 20]]));
  expect(known.startsOf(coolantCircuit()).map((u) => [...u].every((x) => x === 0))).toEqual([true]);
});
