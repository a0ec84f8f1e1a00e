import { describe, expect, test } from 'vitest';
import { CATALOGUE_CURVES } from '../../catalogue/parts/curves.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { identifySensor, type IdentifyPair } from './identifySensor.ts';
import { moduleSweep } from './moduleSweep.ts';

const SHELF = CATALOGUE_CURVES.map((c) => ({ id: c.id, name: c.name, model: curveModel(c.curve) }));
const pair = (temperatureC: number, resistanceOhm: number, k = 0.5): IdentifyPair => ({
  temperatureC,
  temperatureSigmaK: k,
  resistanceOhm,
  resistanceSigmaOhm: 0.008 * resistanceOhm,
});
const range = { lowC: 0, highC: 100 };

describe('what sensor is this?', () => {
  test('11 883 Ω at 70 °F: one of the 10 kΩ curves, told apart by one hot pair (common practice, no source)', () => {
    const one = identifySensor([pair(21.11, 11_883)], SHELF, range);
    expect(
      one.candidates
        .slice(0, 4)
        .map((c) => c.id)
        .sort(),
    ).toEqual(['ntc-10k-b3435', 'ntc-10k-b3950', 'ntc-10k-flat', 'ntc-10k-steep']);
    expect(one.separateAt!.temperatureC).toBeGreaterThan(60);
    const two = identifySensor([pair(21.11, 11_883), pair(80, 1255)], SHELF, range);
    // B 3950 and B 3978 are a third of a kelvin apart: nothing measured here tells one from the other.
    const steep = two.candidates.filter((c) => ['ntc-10k-steep', 'ntc-10k-b3950'].includes(c.id));
    expect(steep.reduce((sum, c) => sum + c.probability, 0)).toBeGreaterThan(0.98);
  });
  test('every curve of the shelf is found again from two noisy pairs of its own, or its twin is named beside it', () => {
    const uniform = seededUniform(8);
    let [first, firstTwo, tries] = [0, 0, 0];
    for (const c of SHELF) {
      for (let k = 0; k < 4; k++) {
        const factor = Math.exp(c.model.toleranceLog * normalQuantile(uniform()));
        const pairs = [5, 70].map((t) =>
          pair(
            t + 0.5 * normalQuantile(uniform()),
            c.model.resistanceOhm(t) * factor * (1 + 0.008 * normalQuantile(uniform())),
          ),
        );
        const { candidates } = identifySensor(pairs, SHELF, range);
        tries++;
        first += Number(candidates[0].id === c.id);
        firstTwo += Number(candidates.slice(0, 2).some((x) => x.id === c.id));
      }
    }
    expect(firstTwo / tries).toBeGreaterThan(0.97);
    expect(first / tries).toBeGreaterThan(0.85);
  });
  test('probabilities sum to one; nothing measured: all alike; nothing near: said', () => {
    const none = identifySensor([], SHELF, range);
    const [first] = none.candidates;
    for (const c of none.candidates) expect(c.probability).toBeCloseTo(first.probability, 9);
    expect(none.other.probability).toBeCloseTo(0.15, 9);
    const odd = identifySensor([pair(20, 444), pair(60, 443)], SHELF, range);
    const sum = odd.candidates.reduce((s, c) => s + c.probability, 0) + odd.other.probability;
    expect(sum).toBeCloseTo(1, 9);
    expect(odd.noneFits).toBe(true);
    expect(identifySensor([pair(20, 3520)], SHELF, range).noneFits).toBe(false);
  });
  test('a curve that is not on the shelf is not forced onto it; what the pairs say of it', () => {
    const own = curveModel({ kind: 'beta', r25Ohm: 10_000, betaK: 4700 });
    const { other, candidates } = identifySensor(
      [0, 25, 80].map((t) => pair(t, own.resistanceOhm(t))),
      SHELF,
      range,
    );
    expect(other.probability).toBeGreaterThan(0.9);
    expect(other.estimate!.r25Ohm / 10_000).toBeCloseTo(1, 3);
    expect(other.estimate!.betaK / 4700).toBeCloseTo(1, 3);
    // By how much the best of the shelf misses.
    expect(Math.max(...candidates[0].missK.map(Math.abs))).toBeGreaterThan(1);
  });
  test('a single reading far from all of the shelf is hardly any of it', () => {
    // 2 kΩ at 20 °C: a silicon sensor would be 5 K off.
    expect(identifySensor([pair(20, 2000)], SHELF, range).other.probability).toBeGreaterThan(0.5);
    const rising = identifySensor(
      [pair(20, 444), pair(60, 560)],
      SHELF.filter((c) => c.model.slope === 'ntc'),
      range,
    );
    expect(rising.other.probability).toBeGreaterThan(0.99);
    expect(rising.other.estimate).toBeNull();
  });
  test('the same curve under two names is one candidate and keeps its probability', () => {
    const twice = [...SHELF, { ...SHELF.find((c) => c.id === 'ntc-2252')!, id: 'own', name: 'from page 12' }];
    const pairs = [pair(20, 2814), pair(60, 560)];
    const [once, again] = [identifySensor(pairs, SHELF, range), identifySensor(pairs, twice, range)];
    expect(again.candidates[0]).toMatchObject({ id: 'ntc-2252', also: ['from page 12'] });
    expect(again.candidates[0].probability).toBeCloseTo(once.candidates[0].probability, 9);
    expect(once.candidates[0].probability).toBeGreaterThan(0.9);
  });
});

describe('the module’s own curve from a sweep', () => {
  const module = curveModel(CATALOGUE_CURVES.find((c) => c.id === 'ntc-2k8')!.curve);
  const shown = (ohm: number): number => Math.max(-40, Math.min(150, Math.round(module.temperatureC(ohm))));
  const volts = (ohm: number): number => Number(((5 * ohm) / (ohm + 2490)).toFixed(2));
  const ohms = [22, 33, 100, 220, 470, 1000, 2200, 4700, 10_000, 47_000, 220_000, 470_000];
  const rows = ohms.map((ohm) => ({ ohm, shownC: shown(ohm), volts: ohm >= 470 && ohm <= 10_000 ? volts(ohm) : null }));

  test('curve, ends of the scale, pull-up, and which part it expects', () => {
    const view = moduleSweep(rows, 5, SHELF, module);
    expect(view).toMatchObject({ minC: -40, maxC: 150 });
    const fitted = curveModel(view.fit!.curve);
    for (const t of [0, 20, 60, 90])
      expect(Math.abs(fitted.temperatureC(module.resistanceOhm(t)) - t)).toBeLessThan(1.5);
    expect(Math.abs(view.pullUp!.value / 2490 - 1)).toBeLessThan(0.03);
    expect(view.expects.candidates[0].id).toBe('ntc-2k8');
    for (const a of view.against) expect(Math.abs(a.errorK)).toBeLessThan(1);
  });
  test('a sensor of another type against this module: off by what its curve says', () => {
    const other = curveModel(CATALOGUE_CURVES.find((c) => c.id === 'ntc-5k')!.curve);
    const view = moduleSweep(rows, 5, SHELF, other);
    expect(Math.max(...view.against.map((a) => Math.abs(a.errorK)))).toBeGreaterThan(8);
  });
  test('one row is no curve', () => {
    expect(moduleSweep([{ ohm: 1000, shownC: 48, volts: null }], 5, SHELF, module)).toMatchObject({
      fit: null,
      pullUp: null,
      minC: null,
    });
    expect(moduleSweep([], 5, SHELF, module).against).toEqual([]);
  });
});
