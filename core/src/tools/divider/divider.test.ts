import { jointOhm, leakOhm } from './deskSliders.ts';
import { spawnSync } from 'node:child_process';
import fc from 'fast-check';
import { normalCdf } from '../../base/numeric/normal.ts';
import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { reference } from '../../../test/reference.ts';
import { seriesBetween, seriesDecade, type SeriesName } from '../../catalogue/parts/resistorSeries.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import {
  acceptanceInterval,
  conformanceProbability,
  globalRisks,
  judgeResistance,
} from '../judging/judgeResistance.ts';
import { genericKit } from '../../catalogue/kit/kitSchema.ts';
import { ownResistors } from '../../catalogue/kit/ownResistors.ts';
import {
  bestPullUp,
  deskCurve,
  deskReadings,
  NO_DESK_FAULTS,
  pullUpFromPair,
  sensitivityAt,
  sensorFromVolts,
} from './divider.ts';
import { substitutesFor, sweepSteps } from './substitutes.ts';

describe('the sliders of the desk', () => {
  const volts = (leak: number, joint = 0): number =>
    (5 * (2000 + jointOhm(joint)) * leakOhm(leak)) /
    ((2000 + jointOhm(joint) + 2490) * leakOhm(leak) + 2490 * (2000 + jointOhm(joint)));
  test('none changes nothing; a touch of a leak changes no meter, all of it pulls the signal down to next to nothing', () => {
    expect([leakOhm(0), jointOhm(0)]).toEqual([Infinity, 0]);
    const sound = (5 * 2000) / 4490;
    expect(sound - volts(0.001)).toBeLessThan(0.001);
    expect(sound - volts(0.001)).toBeGreaterThan(0.0001);
    expect(volts(1)).toBeLessThan(0.03);
    // In the middle it is about as large as the sensor: the signal drops by a quarter.
    expect(volts(0.55) / sound).toBeGreaterThan(0.6);
    expect(volts(0.55) / sound).toBeLessThan(0.9);
  });
  test('all of a joint reads as good as open, half of it is a third of a kilohm', () => {
    expect(volts(1e-9, 1)).toBeGreaterThan(4.8);
    expect(jointOhm(0.5)).toBeCloseTo(316, 0);
  });
});

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

describe('what each figure contributes, by its own derivative', () => {
  /** 1σ of `f` at the figures given, each moved by its own: the law of propagation with differences in place of derivatives. */
  const moved = (f: (x: number[]) => number, at: readonly [number, number][]): number[] =>
    at.map(([, sigma], i) => {
      const by = (d: number): number => f(at.map(([v], k) => (k === i ? v + d : v)));
      return Math.abs(by(sigma / 100) - by(-sigma / 100)) * 50;
    });
  const told = ([value, sigma]: readonly [number, number]) => ({ value, sigma });
  test.each([
    [
      sensorFromVolts,
      ([v, r, p]: number[]) => (p * v) / (r - v),
      [
        [1.88, 0.012],
        [5, 0.05],
        [8132, 60],
      ],
    ],
    [
      pullUpFromPair,
      ([r, v, ref]: number[]) => (r * (ref - v)) / v,
      [
        [4900, 40],
        [1.88, 0.012],
        [5, 0.05],
      ],
    ],
  ] as [typeof sensorFromVolts, (x: number[]) => number, [number, number][]][])('%o', (derive, f, figures) => {
    const [a, b, c] = figures.map(told);
    const d = derive(a, b, c);
    if (!d.ok) throw new Error(d.reason);
    const parts = moved(f, figures);
    expect(d.value).toBeCloseTo(f(figures.map(([v]) => v)), 9);
    parts.forEach((part, i) => expect(d.parts[i] / part).toBeCloseTo(1, 5));
    expect(d.sigma).toBeCloseTo(Math.hypot(...d.parts), 9);
  });
  test('nothing, and what is at an end of the divider, gives no resistance', () => {
    const sure = (value: number) => ({ value, sigma: 0.01 });
    for (const derive of [
      (v: number, ref: number, ohm: number) => sensorFromVolts(sure(v), sure(ref), sure(ohm)),
      (v: number, ref: number, ohm: number) => pullUpFromPair(sure(ohm), sure(v), sure(ref)),
    ]) {
      expect([derive(0, 5, 100), derive(5, 5, 100), derive(2, 5, 0), derive(NaN, 5, 100)].map((d) => d.ok)).toEqual([
        false,
        false,
        false,
        false,
      ]);
      expect([derive(0.001, 5, 100), derive(4.999, 5, 100), derive(2, 5, 0.001)].map((d) => d.ok)).toEqual([
        true,
        true,
        true,
      ]);
    }
  });
});

describe('the desk', () => {
  const circuit = coolantCircuit();
  test('as it would be measured: the same figures as point by point, loaded by the meter; open and bridged at the ends', () => {
    const faults = { ...NO_DESK_FAULTS, seriesOhm: 300, wireOhm: 2 };
    const read = deskReadings(circuit, 2490, 20, faults);
    const [point] = deskCurve(circuit, 2490, [20], faults);
    expect(read).toMatchObject({ sensorOhm: point.sensorOhm, pinV: point.volts, shownC: point.shownC });
    expect(read.unpluggedC).toBe(-40);
    expect(read.bridgedC).toBeCloseTo(circuit.curve.temperatureC(304.02), 1);
    expect(read.plugV).toBeLessThan(read.pinV);
    expect(read.openV).toBeGreaterThan(4.98);
    // 300 Ω in the wire take their share of the current.
    expect(read.pinV - read.plugV).toBeCloseTo(((5 - read.pinV) / 2490) * 302, 2);
  });
  test('sensitivity by its own derivative: mV per K, and K per Ω of wire', () => {
    const { milliVoltPerK, kelvinPerOhm } = sensitivityAt(circuit, 2490, 20);
    const volts = (c: number, ohm = 0): number => {
      const r = 1 / (1 / (circuit.curve.resistanceOhm(c) + ohm) + 1 / Math.sqrt(3e5 * 3e8));
      return (5 * r) / (r + 2490);
    };
    expect(milliVoltPerK).toBeCloseTo(1000 * (volts(20.5) - volts(19.5)), 2);
    expect(kelvinPerOhm).toBeCloseTo((volts(20, 1) - volts(20)) / (volts(20.5) - volts(19.5)), 4);
  });
  test('the best pull-up for a range is found on a grid over both ends and three times beyond; nine temperatures count', () => {
    const hotter = bestPullUp(circuit, 0, 100);
    const worst = (ohm: number): number =>
      Math.min(...Array.from({ length: 9 }, (_, i) => Math.abs(sensitivityAt(circuit, ohm, 12.5 * i).milliVoltPerK)));
    expect(hotter.worstMilliVoltPerK).toBeCloseTo(worst(hotter.ohm), 9);
    for (let ohm = 40; ohm < 40_000; ohm *= 1.07)
      expect(worst(ohm)).toBeLessThanOrEqual(hotter.worstMilliVoltPerK * 1.002);
    // The same range told from the other end.
    expect(bestPullUp(circuit, 100, 0).ohm).toBeCloseTo(hotter.ohm, 6);
    // Over one temperature it is the sensor's own resistance there: V = Vref/2 is the steepest place of a divider.
    expect(Math.abs(bestPullUp(circuit, 20, 20).ohm / circuit.curve.resistanceOhm(20) - 1)).toBeLessThan(0.02);
  });
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
  test('one resistor that fits goes before a pair that is no better by more than the resistors are true', () => {
    const ohm = curve.resistanceOhm(40);
    const [first, second] = substitutesFor(40, curve, [ohm * 1.001, ohm / 2, 2 * ohm], 0.05);
    expect(first).toMatchObject({ how: 'one', parts: [ohm * 1.001] });
    expect(first.toleranceK).toBeCloseTo(0.05 / (3600 / 313.15 ** 2), 2);
    expect(first.errorK).toBeCloseTo(first.shownC - 40, 12);
    expect(second.how).not.toBe('one');
    // No single one near: the pair, either way round, each once.
    const series = substitutesFor(40, curve, [ohm * 0.7, ohm * 0.3], 0.01)[0];
    expect(series).toMatchObject({ how: 'series', parts: [ohm * 0.7, ohm * 0.3] });
    expect(series.ohm).toBeCloseTo(ohm, 9);
    const parallel = substitutesFor(40, curve, [ohm * 3, ohm * 1.5], 0.01)[0];
    expect(parallel).toMatchObject({ how: 'parallel', parts: [ohm * 1.5, ohm * 3] });
    expect(parallel.ohm).toBeCloseTo(ohm, 9);
    expect(substitutesFor(40, curve, [ohm * 0.5], 0.01)[0]).toMatchObject({
      how: 'series',
      parts: [ohm * 0.5, ohm * 0.5],
    });
    expect(substitutesFor(40, curve, [ohm * 2], 0.01)[0]).toMatchObject({ how: 'parallel', parts: [ohm * 2, ohm * 2] });
    const all = substitutesFor(40, curve, [ohm * 0.7, ohm * 0.3, ohm * 3, ohm * 1.5], 0.01, 50);
    expect(
      all.filter((s) => s.how === 'series' && s.parts.includes(ohm * 0.3) && s.parts.includes(ohm * 0.7)),
    ).toHaveLength(1);
    expect(
      all.filter((s) => s.how === 'parallel' && s.parts.includes(ohm * 3) && s.parts.includes(ohm * 1.5)),
    ).toHaveLength(1);
    expect(substitutesFor(40, curve, [ohm], 0.01).map((s) => s.how)[0]).toBe('one');
    expect(all).not.toHaveLength(5);
    expect(substitutesFor(40, curve, seriesBetween('E24', 10, 1e5), 0.01)).toHaveLength(5);
  });
  test('a sweep takes no resistor twice and comes in rising order, whichever end is told first', () => {
    const ohms = [500, 1000, 2000, 4000].map((o) => o * 1);
    const shown = (steps: { shownC: number }[]): number[] => steps.map((s) => s.shownC);
    const down = sweepSteps(100, -10, 9, curve, ohms);
    expect(down.map((s) => s.ohm)).toEqual([4000, 2000, 1000, 500]);
    expect(shown(down)).toEqual([...shown(down)].sort((a, b) => a - b));
    expect(sweepSteps(25, 90, 1, curve, ohms).map((s) => s.ohm)).toEqual([2000]);
    expect(sweepSteps(20, 26, 2, curve, [0, ...ohms]).map((s) => s.ohm)).toEqual([2000]);
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
