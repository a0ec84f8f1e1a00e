import { spawnSync } from 'node:child_process';
import fc from 'fast-check';
import { normalCdf } from '../numeric/normal.ts';
import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../test/problems.ts';
import { reference } from '../../test/reference.ts';
import { seriesBetween, seriesDecade, type SeriesName } from '../catalogue/resistorSeries.ts';
import { curveModel } from '../curves/curve.ts';
import {
  acceptanceInterval,
  conformanceProbability,
  globalRisks,
  judgeResistance,
} from '../judging/judgeResistance.ts';
import { genericKit } from '../kit/kitSchema.ts';
import { ownResistors } from '../kit/ownResistors.ts';
import { bestPullUp, deskCurve, NO_DESK_FAULTS, pullUpFromPair, sensitivityAt, sensorFromVolts } from './divider.ts';
import { substitutesFor, sweepSteps } from './substitutes.ts';

describe('uncertainty of the divider', () => {
  test('worked example of python3-uncertainties: 2490.00 Ω, u = 34.988 Ω in its parts', () => {
    const d = sensorFromVolts({ value: 2.5, sigma: 0.01 }, { value: 5, sigma: 0.025 }, { value: 2490, sigma: 14.4 });
    if (!d.ok) throw new Error(d.reason);
    expect(d.value).toBeCloseTo(2490, 9);
    expect(d.sigma).toBeCloseTo(34.988, 3);
    expect(d.parts.map((p) => Number(p.toFixed(2)))).toEqual([19.92, 24.9, 14.4]);
  });
  test('4.9 kΩ and 1.88 V at 5 V: a pull-up near 8.1 kΩ (common practice, no source)', () => {
    const d = pullUpFromPair({ value: 4900, sigma: 40 }, { value: 1.88, sigma: 0.012 }, { value: 5, sigma: 0.05 });
    if (!d.ok) throw new Error(d.reason);
    expect(d.value).toBeCloseTo(8132, 0);
    expect(d.sigma).toBeGreaterThan(100);
    expect(pullUpFromPair({ value: 4900, sigma: 1 }, { value: 5.2, sigma: 0.01 }, { value: 5, sigma: 0.05 })).toEqual({
      ok: false,
      reason: 'outside',
    });
  });
  test('Steinhart–Hart at 3603(18) Ω: u = 0.13133 K (python3-uncertainties)', () => {
    const sh = curveModel({
      kind: 'steinhart-hart',
      a: 1.129241e-3,
      b: 2.341077e-4,
      c: 8.775468e-8,
      minC: -50,
      maxC: 150,
    });
    const slope = (sh.temperatureC(3603.5) - sh.temperatureC(3602.5)) / 1;
    expect(Math.abs(slope * 18)).toBeCloseTo(0.13133, 4);
  });
});

describe('the desk', () => {
  const circuit = coolantCircuit();
  test('plain divider by hand; wire, joint and leaks move it the right way', () => {
    const [p] = deskCurve(circuit, 2490, [20], NO_DESK_FAULTS);
    // The middle of what a module's input may be: √(0.3 MΩ · 300 MΩ).
    const parallel = 1 / (1 / p.sensorOhm + 1 / Math.sqrt(3e5 * 3e8));
    expect(p.volts).toBeCloseTo((5 * parallel) / (parallel + 2490), 4);
    const with_ = (change: object): number => deskCurve(circuit, 2490, [20], { ...NO_DESK_FAULTS, ...change })[0].volts;
    expect(with_({ seriesOhm: 1000 })).toBeGreaterThan(p.volts + 0.2);
    expect(with_({ leakGroundOhm: 5000 })).toBeLessThan(p.volts - 0.2);
    expect(with_({ leakAcrossOhm: 5000 })).toBeLessThan(p.volts - 0.2);
    expect(with_({ meterOn: true })).toBeLessThan(p.volts);
    expect(with_({ wireOhm: 50 })).toBeGreaterThan(p.volts);
  });
  test('one Ω of wire matters on platinum, hardly on an NTC', () => {
    const pt = coolantCircuit({ curve: curveModel({ kind: 'platinum', r0Ohm: 200 }), pullUpOhm: 1000 });
    expect(sensitivityAt(pt, 1000, 20).kelvinPerOhm).toBeGreaterThan(1);
    expect(Math.abs(sensitivityAt(circuit, 2490, 20).kelvinPerOhm)).toBeLessThan(0.02);
  });
  test('the best pull-up lies between the two ends, near their geometric mean for an NTC', () => {
    const best = bestPullUp(circuit, 0, 100);
    const [cold, hot] = [circuit.curve.resistanceOhm(0), circuit.curve.resistanceOhm(100)];
    expect(best.ohm).toBeGreaterThan(hot);
    expect(best.ohm).toBeLessThan(cold);
    const worst = (ohm: number): number =>
      Math.min(...[0, 50, 100].map((t) => Math.abs(sensitivityAt(circuit, ohm, t).milliVoltPerK)));
    for (const factor of [0.3, 3]) expect(worst(best.ohm * factor)).toBeLessThan(worst(best.ohm));
  });
});

describe('resistors', () => {
  test.each(['E6', 'E12', 'E24', 'E48', 'E96'] as SeriesName[])(
    '%s is the series of IEC 60063 (from memory)',
    (name) => {
      const row = reference('iec60063-series.csv').find((r) => r.series === name)!;
      expect(seriesDecade(name)).toEqual(row.values.split(' ').map(Number));
    },
  );
  test('a whole drawer, or what is typed', () => {
    expect(seriesBetween('E12', 1000, 10_000)).toHaveLength(13);
    const typed = (own: string) => ownResistors({ ...genericKit().resistors, series: 'own', own });
    expect(typed('4k7, 100; 2.2 kΩ\n1 M')).toEqual({ ohms: [100, 2200, 4700, 1e6], unread: [] });
    expect(typed('4k7 banana')).toEqual({ ohms: [4700], unread: ['banana'] });
    expect(typed('').ohms).toEqual([]);
    expect(typed('100 220 470').ohms).toEqual([100, 220, 470]);
    expect(typed('1k 100')).toEqual({ ohms: [100, 1000], unread: [] });
    expect(typed('100,220,470,1k').ohms).toEqual([100, 220, 470, 1000]);
    expect(typed('1k,2k2').ohms).toEqual([1000, 2200]);
    expect(typed('4,7 k 10 kΩ').ohms).toEqual([4700, 10_000]);
    // One comma and three digits: 100 Ω and 220 Ω, or 100.22 Ω? It is said, not guessed.
    expect(typed('100,220; 2.2m')).toEqual({ ohms: [], unread: ['100,220', '2.2m'] });
  });
  const curve = coolantCircuit().curve;
  test('no pair is better than the best found (against trying all, property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 110, noNaN: true }),
        fc.uniqueArray(fc.integer({ min: 10, max: 100_000 }), { minLength: 3, maxLength: 14 }),
        (wanted, ohms) => {
          const best = substitutesFor(wanted, curve, ohms, 0.01, 20);
          const found = Math.min(...best.map((b) => Math.abs(b.errorK)));
          let least = Infinity;
          for (const a of ohms) {
            least = Math.min(least, Math.abs(curve.temperatureC(a) - wanted));
            for (const b of ohms)
              for (const r of [a + b, (a * b) / (a + b)])
                least = Math.min(least, Math.abs(curve.temperatureC(r) - wanted));
          }
          expect(found).toBeLessThanOrEqual(least + 0.06);
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });
  test('steps for a sweep cover the range', () => {
    const steps = sweepSteps(-20, 110, 8, curve, seriesBetween('E12', 10, 1e6));
    expect(steps.length).toBeGreaterThanOrEqual(7);
    // Neighbours of E12 are 20 % apart: half of that is 4 K where the curve falls by 2.5 % per K.
    expect(Math.abs(steps[0].shownC + 20)).toBeLessThan(4);
    expect(Math.abs(steps[steps.length - 1].shownC - 110)).toBeLessThan(4);
    expect(sweepSteps(0, 100, 5, curve, [])).toEqual([]);
  });
});

describe('judging one resistance (JCGM 106)', () => {
  test('worked by hand, in the manner of JCGM 106 (from memory): 10 with u = 0.1 against at most 10.1 is 84 %', () => {
    expect(conformanceProbability(10, 0.1, -Infinity, 10.1)).toBeCloseTo(0.8413, 4);
    expect(conformanceProbability(10, 0.1, 9.9, 10.1)).toBeCloseTo(0.6827, 4);
    const guarded = acceptanceInterval(9.5, 10.5, 0.1);
    expect(guarded.high).toBeCloseTo(10.5 - 1.645 * 0.1, 3);
    // At the edge of the acceptance interval the part conforms with 95 %.
    expect(conformanceProbability(guarded.high, 0.1, 9.5, 10.5)).toBeCloseTo(0.95, 3);
  });
  const curve = curveModel({
    kind: 'table',
    points: [
      [0, 9420],
      [20, 3520],
      [40, 1459],
      [60, 667],
      [80, 332],
    ].map(([temperatureC, resistanceOhm]) => ({ temperatureC, resistanceOhm })),
  });
  test('accept, reject, open; the error on the display', () => {
    const judge = (ohm: number) => judgeResistance(curve, 20, 0.3, ohm, 5, 0.05);
    expect(judge(3520)).toMatchObject({ ok: true, decision: 'accept' });
    expect(judge(5000)).toMatchObject({ ok: true, decision: 'reject' });
    expect(judge(3700)).toMatchObject({ ok: true, decision: 'open' });
    const off = judge(5000);
    expect(off.ok && off.errorK).toBeLessThan(-6);
    expect(judgeResistance(curve, 200, 0.3, 100, 5, 0.05)).toMatchObject({ ok: false, reason: 'outside-curve' });
    // A coarse thermometer can accept nothing.
    const coarse = judgeResistance(curve, 20, 5, 3520, 5, 0.02);
    expect(coarse.ok && coarse.acceptance.low > coarse.acceptance.high).toBe(true);
  });
  test('global risks of a decision rule, against the bivariate normal of scipy', () => {
    const program = `
import json
from scipy.stats import multivariate_normal as mvn
def box(t, a, u0, um):
    # Part and measured value are jointly normal: the probability of a rectangle by its corners.
    d = mvn(mean=[0, 0], cov=[[u0**2, u0**2], [u0**2, u0**2 + um**2]])
    c = lambda x, y: d.cdf([x, y])
    both = c(t, a) - c(-t, a) - c(t, -a) + c(-t, -a)
    far = 12 * (u0 + um)
    accepted = c(far, a) - c(far, -a)
    inside = c(t, far) - c(-t, far)
    return [accepted - both, inside - both]
print(json.dumps([box(0.2, a, 0.12, um) for a, um in [(0.2, 0.04), (0.18, 0.04), (0.15, 0.08)]]))`;
    const run = spawnSync('/usr/bin/python3', ['-c', program], { encoding: 'utf8' });
    expect(run.status, run.stderr).toBe(0);
    const expected = JSON.parse(run.stdout) as [number, number][];
    const rules = [
      [0.2, 0.04],
      [0.18, 0.04],
      [0.15, 0.08],
    ];
    for (const [i, [a, sigma]] of rules.entries()) {
      const risks = globalRisks({ low: 99.8, high: 100.2 }, { low: 100 - a, high: 100 + a }, 100, 0.12, sigma);
      expect(Math.abs(risks.consumer - expected[i][0])).toBeLessThan(2e-4);
      expect(Math.abs(risks.producer - expected[i][1])).toBeLessThan(2e-4);
    }
    // A rule that accepts nothing lets nothing through and throws all good parts away.
    const none = globalRisks({ low: 9, high: 11 }, { low: 10.1, high: 9.9 }, 10, 0.4, 0.5);
    expect(none.consumer).toBe(0);
    expect(none.producer).toBeCloseTo(normalCdf(2.5) - normalCdf(-2.5), 3);
  });
});
