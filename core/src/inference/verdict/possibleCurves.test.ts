import { expect, test } from 'vitest';
import { CATALOGUE_CURVES } from '../../catalogue/parts/curves.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import type { Posterior } from '../posterior/posterior.ts';
import { possibleCurves } from './possibleCurves.ts';

/** A posterior of one fault whose draws have these curves, by weight; nothing else of it is looked at. */
const standIn = (draws: readonly (readonly [CurveModel, number])[], probability = 1): Posterior =>
  ({
    faults: [{ probability, draws: draws.map(([curve, weight]) => ({ weight, hypothesis: { curve } })) }],
    predictor: { solvedAt: () => ({ state: { formError: 0, levelU: 0 } }) },
  }) as unknown as Posterior;
const AT_C = [0, 25, 50];
/** Mean square distance of two curves in ln R at 0, 25 and 50 °C. */
const apart = (a: CurveModel, b: CurveModel): number =>
  AT_C.reduce((sum, t) => sum + Math.log(a.resistanceOhm(t) / b.resistanceOhm(t)) ** 2, 0) / AT_C.length;
const MODELS = CATALOGUE_CURVES.map(({ name, curve }) => ({ name, model: curveModel(curve) }));
/** By how much each curve of the catalogue speaks for this one: normal with 8 % in R. */
const closeness = (to: CurveModel): Map<string, number> =>
  new Map(MODELS.map(({ name, model }) => [name, Math.exp(-apart(model, to) / (2 * 0.08 ** 2))]));
const times = (factor: number, model: CurveModel): CurveModel => ({
  ...model,
  resistanceOhm: (t) => factor * model.resistanceOhm(t),
});

test.each(MODELS.map(({ name, model }) => [name, model] as const))(
  '%s is named where it is what the readings leave',
  (name, model) => {
    const found = possibleCurves(standIn([[model, 1]]));
    const close = closeness(model);
    const total = [...close.values()].reduce((a, b) => a + b, 0);
    const expected = [...close]
      .map(([of, score]) => ({ of, share: score / total }))
      .filter(({ share }) => share >= 0.1 / total && share > 0.02)
      .sort((a, b) => b.share - a.share)
      .slice(0, 4);
    expect(found.map((f) => f.name)).toContain(name);
    expect(found).toHaveLength(expected.length);
    found.forEach((f, i) => expect(f.share).toBeCloseTo(expected[i].share, 6));
    expect(found.length).toBeLessThanOrEqual(4);
  },
);

test('two curves by their weights, the likelier first; one of a tenth of it is not named', () => {
  // Two that nothing else of the catalogue comes near.
  const alone = MODELS.filter(({ model }) => [...closeness(model).values()].filter((c) => c > 1e-6).length === 1);
  const [a, b] = [alone[0], alone[alone.length - 1]];
  expect(a.name).not.toBe(b.name);
  const found = possibleCurves(
    standIn(
      [
        [a.model, 0.3],
        [b.model, 0.7],
      ],
      0.4,
    ),
  );
  expect(found.map((f) => f.name)).toEqual([b.name, a.name]);
  expect(found[0].share).toBeCloseTo(0.7, 9);
  expect(found[1].share).toBeCloseTo(0.3, 9);
  expect(
    possibleCurves(
      standIn([
        [a.model, 0.09],
        [b.model, 0.91],
      ]),
    ).map((f) => f.name),
  ).toEqual([b.name]);
});

test('where nothing of the catalogue is near, nothing is named', () => {
  expect(possibleCurves(standIn([[times(1e6, MODELS[0].model), 1]]))).toEqual([]);
});
