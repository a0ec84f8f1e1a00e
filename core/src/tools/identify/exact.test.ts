import { describe, expect, test } from 'vitest';
import { python } from '../../../test/python.ts';
import { slopeLog } from '../comparing/comparePairs.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { pullUpFromPair } from '../divider/divider.ts';
import { identifySensor, type IdentifyPair } from './identifySensor.ts';
import { moduleSweep } from './moduleSweep.ts';

const pair = (temperatureC: number, resistanceOhm: number, k = 0.5, share = 0.008): IdentifyPair => ({
  temperatureC,
  temperatureSigmaK: k,
  resistanceOhm,
  resistanceSigmaOhm: share * resistanceOhm,
});
const beta = (id: string, r25Ohm: number, betaK: number) => ({
  id,
  name: id.toUpperCase(),
  model: curveModel({ kind: 'beta', r25Ohm, betaK }),
});
const SHELF = [
  beta('a', 2000, 3600),
  beta('b', 2250, 3500),
  beta('c', 2000, 3900),
  { id: 'si', name: 'SI', model: curveModel({ kind: 'silicon-ptc' as const, r25Ohm: 2000 }) },
];
const RANGE = { lowC: 0, highC: 100 };

describe('probabilities against the multivariate normal of scipy (Debian’s python3-scipy, live)', () => {
  test.each([
    ['one cold pair', [pair(10, 3900)]],
    ['two pairs', [pair(10, 3900), pair(60, 590, 1.2)]],
    ['three, one of them coarse', [pair(0, 6100, 3), pair(25, 2040, 0.2, 0.02), pair(70, 430)]],
    ['a rising one', [pair(10, 1790), pair(60, 2580)]],
  ])('%s', (_, pairs) => {
    const t = pairs.map((p) => p.temperatureC);
    const curves = SHELF.map(({ model }) => ({
      off: pairs.map((p) => Math.log(p.resistanceOhm / model.resistanceOhm(p.temperatureC))),
      sigma: pairs.map((p) =>
        Math.hypot(
          p.resistanceSigmaOhm / p.resistanceOhm,
          // ln R by T, from two places half a kelvin away on either side.
          Math.log(model.resistanceOhm(p.temperatureC + 0.5) / model.resistanceOhm(p.temperatureC - 0.5)) *
            p.temperatureSigmaK,
          model.formErrorLog(p.temperatureC),
        ),
      ),
      tolerance: model.toleranceLog,
    }));
    const program = `
import json,numpy as np
from scipy.stats import multivariate_normal as mvn
t=np.array(${JSON.stringify(t)}); l=np.log(np.array(${JSON.stringify(pairs.map((p) => p.resistanceOhm))}))
k=np.array(${JSON.stringify(pairs.map((p) => p.temperatureSigmaK))}); s=np.array(${JSON.stringify(pairs.map((p) => p.resistanceSigmaOhm / p.resistanceOhm))})
p=[]
for c in json.loads('''${JSON.stringify(curves)}'''):
    p.append(0.85/${SHELF.length}*mvn.pdf(c['off'],np.zeros(len(t)),np.diag(np.array(c['sigma'])**2)+c['tolerance']**2))
def generic(x,prior,perK):
    P=np.array([x**i for i in range(3)]).T
    m=P@np.array([a for a,_ in prior])
    C=P@np.diag([b*b for _,b in prior])@P.T+np.diag(s**2+(perK*k)**2)
    return mvn.pdf(l,m,C)
p.append(0.1*generic(1000*(1/(t+273.15)-1/298.15),[(8.4,1.5),(3.9,.35),(-.13,.1)],3900/(t+273.15)**2)
  +0.05*generic((t-25)/100,[(6.5,1),(.5,.2),(-.05,.08)],.005))
p=np.array(p); print(json.dumps((p/p.sum()).tolist()))`;
    const theirs = python(program) as number[];
    const own = identifySensor(pairs, SHELF, RANGE);
    SHELF.forEach(({ id }, i) => {
      const found = own.candidates.find((c) => c.id === id)!;
      expect(Math.abs(found.probability - theirs[i]), id).toBeLessThan(2e-3 * theirs[i] + 1e-9);
    });
    expect(Math.abs(own.other.probability - theirs[SHELF.length])).toBeLessThan(2e-3 * theirs[SHELF.length] + 1e-9);
    expect(own.candidates.map((c) => c.probability)).toEqual(
      own.candidates.map((c) => c.probability).sort((a, b) => b - a),
    );
  });
});

describe('what is said beside the probabilities', () => {
  test('how far each pair misses each curve, K, warmer positive', () => {
    const { candidates } = identifySensor([pair(30, 2000)], SHELF, RANGE);
    // 2 kΩ is 25 °C on the first curve: 5 K below the thermometer.
    expect(candidates.find((c) => c.id === 'a')!.missK[0]).toBeCloseTo(-5, 9);
  });
  test('a pair outside what a curve knows counts as 20 K off there', () => {
    const narrow = {
      id: 'n',
      name: 'N',
      model: curveModel({
        kind: 'table',
        points: [0, 20, 40].map((c) => ({ temperatureC: c, resistanceOhm: SHELF[0].model.resistanceOhm(c) })),
      }),
    };
    const beyond = identifySensor([pair(80, SHELF[0].model.resistanceOhm(80))], [SHELF[0], narrow], RANGE);
    const of = (found: ReturnType<typeof identifySensor>, id: string): number =>
      found.candidates.find((c) => c.id === id)?.probability ?? 0;
    expect(of(beyond, 'n')).toBeLessThan(1e-6);
    expect(of(beyond, 'a')).toBeGreaterThan(0.3);
    // Up to its ends it is in.
    const edge = identifySensor(
      [pair(40, SHELF[0].model.resistanceOhm(40))],
      [beta('far', 90_000, 3600), narrow],
      RANGE,
    );
    expect(of(edge, 'n')).toBeGreaterThan(0.5);
  });
  test('none fits where a pair is more than four of its own σ off the best', () => {
    const { model } = SHELF[0];
    const sigma = Math.hypot(0.008, slopeLog(model, 25) * 0.5, 0, model.toleranceLog);
    const off = (sigmas: number): boolean =>
      identifySensor([pair(25, 2000 * Math.exp(sigmas * sigma))], [SHELF[0]], RANGE).noneFits;
    expect([off(3.9), off(-3.9), off(4.1), off(-4.1)]).toEqual([false, false, true, true]);
    expect(identifySensor([], SHELF, RANGE).noneFits).toBe(false);
  });
  test('the next pair is best taken where the first two part most beyond a constant factor', () => {
    const two = [SHELF[0], SHELF[2]];
    const pairs = [pair(25, 2000)];
    const { separateAt, candidates } = identifySensor(pairs, two, RANGE);
    const [first, second] = candidates.map((c) => two.find((s) => s.id === c.id)!.model);
    const gap = (t: number): number => Math.log(first.resistanceOhm(t) / second.resistanceOhm(t));
    const sigmas = (t: number): number => {
      const sigma = Math.hypot(0.01, first.toleranceLog, Math.abs(slopeLog(first, t)) * 0.7);
      return Math.abs(gap(t) - gap(25)) / sigma + Math.abs(gap(t)) / sigma / 10;
    };
    const best = Array.from({ length: 61 }, (_, i) => (100 * i) / 60).reduce((a, b) => (sigmas(b) > sigmas(a) ? b : a));
    expect(separateAt!.temperatureC).toBe(Math.round(best));
    expect(separateAt!.sigmas).toBeCloseTo(sigmas(best), 9);
    expect(separateAt!.firstOhm).toBeCloseTo(first.resistanceOhm(Math.round(best)), 9);
    expect(separateAt!.secondOhm).toBeCloseTo(second.resistanceOhm(Math.round(best)), 9);
    // Nothing measured: the difference itself counts.
    expect(identifySensor([], two, { lowC: 50, highC: 51 }).separateAt!.temperatureC).toBeGreaterThanOrEqual(50);
    expect(identifySensor(pairs, two, { lowC: 300, highC: 400 }).separateAt).toBeNull();
    expect(identifySensor(pairs, [SHELF[0]], RANGE).separateAt).toBeNull();
    // A second that is out of the question needs no test.
    expect(
      identifySensor([pair(25, 2000), pair(80, 330)], [SHELF[0], beta('z', 90_000, 3600)], RANGE).separateAt,
    ).toBeNull();
  });
  test('R25 and B through the pairs, in whatever order, where they make an NTC of the trade', () => {
    const { model } = beta('x', 10_000, 4200);
    const at = (...c: number[]) =>
      identifySensor(
        c.map((t) => pair(t, model.resistanceOhm(t))),
        SHELF,
        RANGE,
      ).other.estimate;
    expect(at(60, 0)!.betaK).toBeCloseTo(4200, 3);
    expect(at(60, 0)!.r25Ohm).toBeCloseTo(10_000, 3);
    expect(at(20)).toBeNull();
    const steep = curveModel({ kind: 'beta', r25Ohm: 10_000, betaK: 7100 });
    expect(
      identifySensor(
        [0, 60].map((t) => pair(t, steep.resistanceOhm(t))),
        SHELF,
        RANGE,
      ).other.estimate,
    ).toBeNull();
    const flat = curveModel({ kind: 'beta', r25Ohm: 10_000, betaK: 1400 });
    expect(
      identifySensor(
        [0, 60].map((t) => pair(t, flat.resistanceOhm(t))),
        SHELF,
        RANGE,
      ).other.estimate,
    ).toBeNull();
  });
  test('curves that part by less than 0.3 % everywhere are one; by more at one end they are two', () => {
    const twin = { ...beta('t', 2000 * 1.002, 3600), name: 'twin' };
    expect(identifySensor([], [SHELF[0], twin], RANGE).candidates).toMatchObject([{ id: 'a', also: ['twin'] }]);
    expect(identifySensor([], [SHELF[0], beta('t', 2000 * 1.004, 3600)], RANGE).candidates).toHaveLength(2);
    expect(identifySensor([], [SHELF[0], beta('t', 2000 * 0.996, 3600)], RANGE).candidates).toHaveLength(2);
    expect(identifySensor([], [SHELF[0], beta('t', 2000, 3605)], RANGE).candidates).toHaveLength(2);
  });
});

describe('a sweep', () => {
  const { model } = SHELF[0];
  const row = (ohm: number, shownC: number, volts: number | null = null) => ({ ohm, shownC, volts });
  const inner = [300, 500, 1000, 2000, 5000].map((ohm) => row(ohm, model.temperatureC(ohm)));
  test('an end of the scale is one that two different resistors show; a row twice is none', () => {
    const view = (rows: ReturnType<typeof row>[]) => moduleSweep(rows, 5, SHELF, model);
    expect(view([...inner, row(10, 150), row(20, 150), row(1e6, -40), row(2e6, -40)])).toMatchObject({
      minC: -40,
      maxC: 150,
    });
    expect(view([...inner, row(10, 150), row(10, 150), row(1e6, -40)])).toMatchObject({ minC: null, maxC: null });
    const ends = view([...inner, row(10, 150), row(20, 150), row(1e6, -40), row(2e6, -40)]);
    expect(ends.against).toHaveLength(5);
    for (const a of ends.against) expect(a.errorK).toBeCloseTo(0, 9);
    expect(ends.fit!.worstK).toBeLessThan(0.01);
  });
  test('against another sensor: shown minus true at each of its own temperatures', () => {
    const other = SHELF[1].model;
    const { against } = moduleSweep(inner, 5, SHELF, other);
    const sorted = [...inner].sort((a, b) => a.shownC - b.shownC);
    against.forEach((a, i) => {
      expect(a.temperatureC).toBeCloseTo(other.temperatureC(sorted[i].ohm), 12);
      expect(a.errorK).toBeCloseTo(sorted[i].shownC - other.temperatureC(sorted[i].ohm), 12);
    });
  });
  test('1σ of the module’s curve: what it rounds and what the resistors are true to, less by the rows', () => {
    const { fit } = moduleSweep(inner, 5, SHELF, model);
    const slope = Math.abs(slopeLog(curveModel(fit!.curve), model.temperatureC(1000)));
    expect(fit!.sigmaK).toBeCloseTo(Math.hypot(0.65, 0.006 / slope) / Math.sqrt(5 / 3), 6);
    const two = moduleSweep(inner.slice(0, 2), 5, SHELF, model).fit!;
    expect(two.curve.kind).toBe('beta');
    expect(two.sigmaK).toBeGreaterThan(0.65);
    expect(fit!.curve.kind).toBe('steinhart-hart');
    expect(moduleSweep(inner.slice(0, 3), 5, SHELF, model).fit!.curve.kind).toBe('beta');
    expect(moduleSweep(inner.slice(0, 4), 5, SHELF, model).fit!.curve.kind).toBe('steinhart-hart');
    // A module of platinum: neither form bears it, a table does.
    const rising = [row(100, 0), row(110, 25.7), row(120, 51.6)];
    expect(moduleSweep(rising, 5, SHELF, model).fit!.curve.kind).toBe('table');
    // The same value shown twice counts once for the curve.
    expect(moduleSweep([...inner, row(1010, inner[2].shownC)], 5, SHELF, model).fit).not.toBeNull();
  });
  test('the pull-up from the rows with volts: weighted by their own σ, the reference’s share not averaged out', () => {
    const volts = (ohm: number): number => (5 * ohm) / (ohm + 2490);
    const rows = [row(500, 60, volts(500)), row(2000, 25, volts(2000)), row(5000, 3, volts(5000)), row(9000, -9)];
    const pairs = rows.slice(0, 3).map((r) => {
      const d = pullUpFromPair(
        { value: r.ohm, sigma: 0.006 * r.ohm },
        { value: r.volts!, sigma: 0.005 * r.volts! + 0.003 },
        { value: 5, sigma: 0.05 },
      );
      if (!d.ok) throw new Error(d.reason);
      return d;
    });
    const { pullUp } = moduleSweep(rows, 5, SHELF, model);
    expect(pullUp!.rows).toBe(3);
    expect(pullUp!.value).toBeCloseTo(2490, 6);
    const total = pairs.reduce((s, d) => s + 1 / d.sigma ** 2, 0);
    expect(pullUp!.sigma).toBeCloseTo(Math.max(1 / Math.sqrt(total), Math.min(...pairs.map((d) => d.parts[2]))), 9);
    // Unlike rows: the mean lies where their weights put it.
    const odd = moduleSweep([row(500, 60, volts(500) * 1.02), row(5000, 3, volts(5000))], 5, SHELF, model).pullUp!;
    const [a, b] = [volts(500) * 1.02, volts(5000)].map((v, i) => {
      const ohm = [500, 5000][i];
      const d = pullUpFromPair(
        { value: ohm, sigma: 0.006 * ohm },
        { value: v, sigma: 0.005 * v + 0.003 },
        { value: 5, sigma: 0.05 },
      );
      if (!d.ok) throw new Error(d.reason);
      return d;
    });
    const w = [1 / a.sigma ** 2, 1 / b.sigma ** 2];
    expect(odd.value).toBeCloseTo((a.value * w[0] + b.value * w[1]) / (w[0] + w[1]), 9);
    expect(moduleSweep([row(500, 60, 5.2)], 5, SHELF, model).pullUp).toBeNull();
  });
  test('which part the module expects: from the rows between its ends', () => {
    const view = moduleSweep([...inner, row(10, 150), row(20, 150)], 5, SHELF, model);
    expect(view.expects.candidates[0].id).toBe('a');
    expect(view.expects.candidates[0].missK).toHaveLength(5);
  });
});
