import { execFileSync } from 'node:child_process';
import { describe, expect, test } from 'vitest';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { circuitCurve } from '../../check/job/circuitCurve.ts';
import type { Job } from '../../check/job/jobSchema.ts';
import { newJob } from '../../check/job/newJob.ts';
import { newReading } from '../../check/job/newReading.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { instrumentsOf, thermometerSigmaK } from '../../catalogue/kit/instrumentsOf.ts';
import { genericKit } from '../../catalogue/kit/kitSchema.ts';
import { MEASUREMENTS } from '../../circuit/measurements/list.ts';
import { ohmsNoise } from '../../inference/model/noise.ts';
import { toldOf } from '../../check/job/readFigure.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { figure } from '../../base/units/entry.ts';
import { trendPointText, trendText } from '../../wording/trendText.ts';
import { type Dated, driftAt, driftOf, drifts, outAt } from './drift.ts';
import { placesOf, trendOf } from './placeTrend.ts';

const uniform = seededUniform(11);
const normal = (): number => normalQuantile(uniform());
const course = (perYear: number, count: number, sigmaK = 0.8): Dated[] =>
  Array.from({ length: count }, (_, i) => {
    const own = sigmaK * (0.6 + uniform());
    const years = 2020 + (i * 5) / count + 0.1 * uniform();
    return { years, deviationK: 0.5 + perYear * (years - 2020) + own * normal(), sigmaK: own };
  });

describe('drift', () => {
  test('as scipy and numpy have it: weighted line with known errors (python3-scipy, live)', () => {
    for (const points of [course(0.8, 9), course(-0.2, 25), course(0, 4)]) {
      const program = `
import json, numpy as np
from scipy.optimize import curve_fit
t, y, s = (np.array(a) for a in json.loads('${JSON.stringify([points.map((p) => p.years - 2020), points.map((p) => p.deviationK), points.map((p) => p.sigmaK)])}'))
p, c = curve_fit(lambda t, a, b: a + b * t, t, y, sigma=s, absolute_sigma=True)
print(json.dumps([p[0], p[1], c[1][1] ** 0.5, float((((y - p[0] - p[1] * t) / s) ** 2).sum())]))`;
      const [at2020, perYear, sigma, chi] = JSON.parse(
        execFileSync('/usr/bin/python3', ['-c', program], { encoding: 'utf8' }),
      ) as number[];
      const own = driftOf(points)!;
      expect(own.perYearK).toBeCloseTo(perYear, 6);
      expect(own.perYearSigmaK).toBeCloseTo(sigma, 6);
      expect(own.levelK + own.perYearK * (2020 - own.pivotYears)).toBeCloseTo(at2020, 6);
      expect(own.chiSquare).toBeCloseTo(chi, 5);
    }
  });
  test('its interval holds the true rate as often as it says: of 400 courses about 95 in a hundred', () => {
    let held = 0;
    for (let i = 0; i < 400; i++) {
      const own = driftOf(course(0.3, 8))!;
      held += Number(Math.abs(own.perYearK - 0.3) < 1.96 * own.perYearSigmaK);
    }
    expect(held / 400).toBeGreaterThan(0.91);
    expect(held / 400).toBeLessThan(0.985);
  });
  test('too little is no drift: two figures, one day, nothing beyond chance', () => {
    expect(driftOf(course(1, 2))).toBeNull();
    expect(driftOf([1, 2, 3].map((k) => ({ years: 2020 + k * 1e-3, deviationK: k, sigmaK: 1 })))).toBeNull();
    expect(drifts({ ...driftOf(course(0, 5))!, perYearK: 0.1, perYearSigmaK: 0.1 })).toBe(false);
  });
  test('out of tolerance: where the line leaves it, at once where it is out, never where it does not drift', () => {
    const line = driftOf([0, 1, 2, 3].map((k) => ({ years: 2020 + k, deviationK: k, sigmaK: 0.1 })))!;
    expect(outAt(line, 5, 2023)).toBeCloseTo(2025, 9);
    expect(driftAt(line, 2022).k).toBeCloseTo(2, 9);
    // Four points of 0.1 K, a year apart: 0.05 K in their middle, 0.1 / √5 K a year.
    expect(driftAt(line, 2021.5).sigmaK).toBeCloseTo(0.05, 9);
    expect(driftAt(line, 2024.5).sigmaK).toBeCloseTo(Math.hypot(0.05, (3 * 0.1) / Math.sqrt(5)), 9);
    expect(outAt(line, 2, 2023)).toBe(2023);
    expect(outAt({ ...line, perYearSigmaK: 5 }, 5, 2023)).toBeNull();
    const back = driftOf([0, 1, 2, 3].map((k) => ({ years: 2020 + k, deviationK: 1 - k, sigmaK: 0.1 })))!;
    expect(outAt(back, 4, 2023)).toBeCloseTo(2025, 9);
  });
});

const ENTRY = CATALOGUE_CIRCUITS.find((c) => c.id === 'engine-coolant-2k8')!;
const model = curveModel(circuitCurve(newJob('x', '2020-01-01T00:00:00Z', ENTRY).circuit.curve)!);
function check(year: number, offK: number, change: (job: Job) => void = () => undefined): Job {
  const at = `${year}-06-01T08:00:00Z`;
  const job = newJob(`j${year}`, at, ENTRY);
  job.machine = ' Pump  3 ';
  job.moments[0].temperatureC = figure(20);
  const ohm = Math.round(model.resistanceOhm(20 + offK) * 100) / 100;
  job.readings = [
    newReading('sensor-ohms', 'sensor-ohms', { text: String(ohm), value: ohm, takenAt: at }),
    newReading('displayed', 'displayed', { text: '-40', value: -40, takenAt: at }),
  ];
  change(job);
  return job;
}

describe('a place over the years', () => {
  test('checks of one machine and circuit are one place, however its name is spaced; a nameless one is none', () => {
    const places = placesOf([
      check(2022, 0),
      check(2020, 0, (j) => (j.machine = 'pump 3')),
      check(2021, 0, (j) => (j.machine = '')),
    ]);
    expect(places.map((p) => [p.machine, p.jobs.map((j) => j.id)])).toEqual([['pump 3', ['j2020', 'j2022']]]);
  });
  test('ohms become kelvin off the curve; ends of the scale, voided and wiggled figures are none', () => {
    const [place] = placesOf([
      check(2020, 1.5, (j) => {
        j.readings.push(
          newReading('b', 'bench-ohms', {
            text: '1',
            value: model.resistanceOhm(63),
            conditions: { bathC: figure(60) },
          }),
          newReading('w', 'sensor-ohms', { text: '9', value: 9, state: 'wiggling' }),
          newReading('v', 'sensor-ohms', { text: '9', value: 9, voided: { reason: '', at: j.createdAt } }),
          newReading('l', 'loaded-voltage', {
            text: '',
            value: (5 * model.resistanceOhm(22)) / (model.resistanceOhm(22) + 2490),
          }),
        );
      }),
    ]);
    const { points } = trendOf(place);
    expect(points.map((p) => [p.measurement, Number(p.deviationK.toFixed(2)), p.atC])).toEqual([
      ['sensor-ohms', 1.5, 20],
      ['bench-ohms', 3, 60],
      ['loaded-voltage', 2, 20],
    ]);
    expect(points.map((p) => p.counts)).toEqual([true, true, false]);
    const [ohms, bath, volts] = points;
    expect(ohms.sigmaK).toBeGreaterThan(1.4);
    expect(bath.sigmaK).toBeLessThan(0.8);
    expect(volts.sigmaK).toBeGreaterThan(ohms.sigmaK);
    expect(trendPointText(ohms, 'C')).toBe(`Sensor resistance at 20 °C: +1.5 K ± ${(2 * ohms.sigmaK).toFixed(1)}`);
  });
  test('a drift is told with the day it is out; a changed sensor begins anew, its proof being its first figure', () => {
    const drifting = trendOf(placesOf(Array.from({ length: 12 }, (_, i) => check(2010 + i, 0.6 * i)))[0]);
    expect(drifting.drift!.perYearK).toBeCloseTo(0.6, 2);
    expect(drifts(drifting.drift!)).toBe(true);
    expect(drifting.outOn).toMatch(/^20\d\d-\d\d-\d\d$/);
    expect(trendText(drifting, 'C')).toMatch(
      /^12 figures: it drifts by \+0\.6 K a year .* It is out of its tolerance of ± \d\.\d K\.$/,
    );
    const slow = trendOf(placesOf(Array.from({ length: 12 }, (_, i) => check(2010 + i, 0.03 * i - 0.3)))[0]);
    const near = { ...drifting, outOn: '2041-05-06' };
    expect(trendText(near, 'C')).toMatch(/Out of its tolerance of ± \d\.\d K about 2041-05-06\.$/);
    expect(trendText(slow, 'C')).toMatch(/no clear drift/);
    const changed = trendOf(
      placesOf([
        check(2010, 9),
        check(2011, 9, (j) => {
          j.decision = {
            group: 'sensor',
            toolGroup: 'sensor',
            toolProbability: 0.9,
            reason: '',
            decidedAt: j.createdAt,
          };
          j.repair = { ...j.repair, doneAt: '2011-06-02T08:00:00Z' };
          j.proof = {
            ...{ temperatureC: figure(20), steps: {} },
            readings: [{ measurement: 'displayed', text: '20', value: 20 }],
          };
        }),
        check(2012, 0),
      ])[0],
    );
    expect(changed.points.map((p) => p.sensor)).toEqual([0, 0, 1, 1]);
    expect(changed.changes).toEqual([{ at: '2011-06-02T08:00:00Z', job: 'j2011' }]);
    expect(trendText(changed, 'C')).toBe(
      '2 figures since the sensor was changed on 2011-06-02: too few, or too near together, to tell a drift.',
    );
  });
});

describe('which figures count, and how surely', () => {
  const AT = '2020-06-01T08:00:00Z';
  const taken = (id: string, measurement: string, value: number | 'OL', more: object = {}) =>
    newReading(id, measurement, { text: String(value), value, takenAt: AT, ...more });
  const trendWith = (change: (job: Job) => void) =>
    trendOf({
      machine: '',
      circuit: '',
      jobs: [
        check(2020, 0, (j) => {
          j.readings = [];
          change(j);
        }),
      ],
    });
  const pointsWith = (change: (job: Job) => void) => trendWith(change).points.map((p) => p.measurement);
  const deviations = (change: (job: Job) => void) =>
    trendWith(change).points.map((p) => Number(p.deviationK.toFixed(2)));
  const ohmAt = (c: number): number => model.resistanceOhm(c);
  /** d ln R / dT by a difference of its own, 1/K. */
  const slope = (c: number): number => (ohmAt(c + 0.01) / ohmAt(c - 0.01) - 1) / 0.02;

  test('a place is called as its first check calls it, without the blanks around', () => {
    const [place] = placesOf([check(2020, 0, (j) => (j.circuit.name = ' coolant '))]);
    expect([place.machine, place.circuit]).toEqual(['Pump  3', 'coolant']);
  });
  test('a curve that is not complete, not known or only a band has nothing to be off', () => {
    for (const curve of [
      { source: 'points', points: [] },
      { source: 'unknown' },
      { source: 'band', bands: [{ temperatureC: figure(20), resistanceOhm: { text: '2-3k', value: 2500 } }] },
    ] as const) {
      const trend = trendWith((j) => {
        j.circuit.curve = structuredClone(curve) as Job['circuit']['curve'];
        j.readings = [taken('a', 'sensor-ohms', 2500)];
      });
      expect([trend.points, trend.drift, trend.outOn, trend.toleranceK], curve.source).toEqual([[], null, null, 0]);
    }
  });
  test('only a sensor that was changed begins anew: not one decided on alone, nor a wire that was mended', () => {
    const decided = { toolGroup: 'sensor', toolProbability: 0.9, reason: '', decidedAt: AT } as const;
    expect(trendWith((j) => (j.decision = { ...decided, group: 'sensor' })).changes).toEqual([]);
    const mended = trendWith((j) => {
      j.decision = { ...decided, group: 'wiring' };
      j.repair = { ...j.repair, doneAt: AT };
    });
    expect(mended.changes).toEqual([]);
  });
  test('the tolerance is that of the curve at the check’s temperature; without one at 25 °C', () => {
    const at = (c: number): number => (Math.sqrt(3) * model.toleranceLog) / Math.abs(slope(c));
    expect(trendWith(() => undefined).toleranceK).toBeCloseTo(at(20), 3);
    expect(trendWith((j) => (j.moments[0].temperatureC = figure(80))).toleranceK).toBeCloseTo(at(80), 3);
    expect(trendWith((j) => (j.moments[0].temperatureC = { text: '', value: null })).toleranceK).toBeCloseTo(at(25), 3);
  });
  test('a sensor that is out by now is out on the day of its last figure', () => {
    const jobs = Array.from({ length: 12 }, (_, i) => check(2010 + i, 0.6 * i));
    expect(trendOf({ machine: '', circuit: '', jobs }).outOn).toBe('2021-06-01');
  });
  test('voided, wiggled and OL figures are none, however sound they look', () => {
    expect(
      pointsWith((j) => {
        j.readings = [
          taken('a', 'sensor-ohms', ohmAt(20), { voided: { reason: '', at: AT } }),
          taken('b', 'sensor-ohms', ohmAt(20), { state: 'wiggling' }),
          taken('c', 'sensor-ohms', 'OL'),
          taken('d', 'sensor-ohms', -5),
          taken('e', 'sensor-ohms', 0),
        ];
      }),
    ).toEqual([]);
  });
  test('a hot reading is held to the hot temperature; without one it has no place', () => {
    const hot = (j: Job) => (j.readings = [taken('a', 'sensor-ohms', ohmAt(82), { state: 'hot' })]);
    expect(pointsWith(hot)).toEqual([]);
    const told = (j: Job) => {
      hot(j);
      j.moments[1].temperatureC = figure(80);
    };
    expect(deviations(told)).toEqual([2]);
    // In the air of a room both are that air.
    expect(
      deviations((j) => {
        told(j);
        j.readings = [taken('a', 'off-ohms', ohmAt(22), { conditions: { airC: figure(21) } })];
      }),
    ).toEqual([1]);
  });
  test('a figure without its moment is of the check’s; a proof of when it was closed, repaired or last changed', () => {
    expect(
      trendWith((j) => (j.readings = [taken('a', 'sensor-ohms', ohmAt(20), { takenAt: null })])).points[0].at,
    ).toBe(AT);
    const proved = (change: (job: Job) => void) =>
      trendWith((j) => {
        j.updatedAt = '2020-06-09T00:00:00Z';
        j.proof = {
          ...{ temperatureC: figure(20), steps: {} },
          readings: [
            { measurement: 'sensor-ohms', text: '1', value: ohmAt(21) },
            { measurement: 'sensor-ohms', text: 'OL', value: 'OL' },
            { measurement: 'displayed', text: '-40', value: -40 },
          ],
        };
        change(j);
      });
    expect(proved(() => undefined).points.map((p) => [p.at, p.counts])).toEqual([['2020-06-09T00:00:00Z', true]]);
    const repaired = (j: Job) => void (j.repair = { ...j.repair, doneAt: '2020-06-03T00:00:00Z' });
    expect(proved(repaired).points[0].at).toBe('2020-06-03T00:00:00Z');
    const closed = proved((j) => {
      repaired(j);
      j.closed = { at: '2020-06-04T00:00:00Z', how: 'unproved', reason: 'x' };
    });
    expect(closed.points[0].at).toBe('2020-06-04T00:00:00Z');
    expect(proved((j) => (j.proof.temperatureC = { text: '', value: null })).points).toEqual([]);
  });
  test('no temperature beside the sensor, or one beyond its curve: nothing to be off from; its very ends still count', () => {
    const displayed = (value: number, at: number | null) =>
      pointsWith((j) => {
        j.moments[0].temperatureC = at === null ? { text: '', value: null } : figure(at);
        j.readings = [taken('a', 'displayed', value)];
      });
    expect(displayed(60, null)).toEqual([]);
    expect(displayed(60, model.maxC + 1)).toEqual([]);
    expect(displayed(60, model.minC - 1)).toEqual([]);
    expect(displayed(60, model.maxC)).toEqual(['displayed']);
    expect(displayed(60, model.minC)).toEqual(['displayed']);
  });
  test('ends of the display’s scale, and of the curve, are no temperature', () => {
    const displayed = (value: number, minC: number | null, maxC: number | null) =>
      pointsWith((j) => {
        Object.assign(j.circuit.display, { minC: { text: '', value: minC }, maxC: { text: '', value: maxC } });
        j.readings = [taken('a', 'displayed', value)];
      });
    for (const value of [1, 99]) expect(displayed(value, 0, 100), String(value)).toEqual([]);
    for (const value of [1.01, 98.99]) expect(displayed(value, 0, 100), String(value)).toEqual(['displayed']);
    expect(displayed(-20, null, 100)).toEqual(['displayed']);
    expect(displayed(110, 0, null)).toEqual(['displayed']);
    for (const end of [model.minC, model.maxC, model.minC - 5, model.maxC + 5])
      expect(displayed(end, null, null), String(end)).toEqual([]);
  });
  test('another sensor, a pull-down, a divider that is not known: nothing of this sensor', () => {
    const loaded = (change: (job: Job) => void) =>
      pointsWith((j) => {
        j.readings = [taken('a', 'loaded-voltage', (5 * ohmAt(22)) / (ohmAt(22) + 2490))];
        change(j);
      });
    expect(loaded(() => undefined)).toEqual(['loaded-voltage']);
    expect(loaded((j) => (j.circuit.layout = 'pull-down'))).toEqual([]);
    expect(loaded((j) => (j.circuit.referenceV = { text: '', value: null }))).toEqual([]);
    expect(loaded((j) => (j.circuit.pullUpOhm = { text: '', value: null }))).toEqual([]);
    expect(loaded((j) => (j.readings[0].value = 5.2))).toEqual([]);
    for (const id of ['open-voltage', 'loop-ohms', 'return-drop'])
      expect(
        pointsWith((j) => (j.readings = [taken('a', id, ohmAt(20))])),
        id,
      ).toEqual([]);
    const others = MEASUREMENTS.filter((m) => m.ofAnotherSensor);
    expect(others.length).toBeGreaterThan(0);
    for (const { id } of others)
      expect(
        pointsWith((j) => (j.readings = [taken('a', id, ohmAt(20))])),
        id,
      ).toEqual([]);
  });
  test('1σ by hand: meter through the curve’s slope, beside thermometer or bath; a range by its half width', () => {
    const kit = genericKit();
    const meter = ohmsNoise(instrumentsOf(kit)).sigma(ohmAt(20)) / ohmAt(20) / Math.abs(slope(20));
    const sigmaWith = (change: (job: Job) => void): number =>
      trendWith((j) => {
        j.kit = kit;
        j.readings = [taken('a', 'sensor-ohms', ohmAt(20))];
        change(j);
      }).points[0].sigmaK;
    expect(sigmaWith(() => undefined)).toBeCloseTo(Math.hypot(meter, thermometerSigmaK(kit)), 4);
    const bath = (text: string, value: number) => (j: Job) =>
      (j.readings = [taken('a', 'bench-ohms', ohmAt(20), { conditions: { bathC: { text, value } } })]);
    expect(sigmaWith(bath('20', 20))).toBeCloseTo(Math.hypot(meter, instrumentsOf(kit).bathK), 4);
    // 18 … 22: even between, with edges as soft as they are told.
    const { edgeK } = toldOf({ text: '18…22', value: 20 })!;
    const range = sigmaWith((j) => (j.moments[0].temperatureC = { text: '18…22', value: 20 }));
    expect(range).toBeCloseTo(Math.hypot(meter, edgeK, 2 / Math.sqrt(3)), 4);
    expect(sigmaWith((j) => (j.readings = [taken('a', 'displayed', 21)]))).toBeCloseTo(
      Math.hypot(instrumentsOf(kit).displayedK, thermometerSigmaK(kit)),
      9,
    );
  });
});
