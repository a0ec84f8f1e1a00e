import { execFileSync } from 'node:child_process';
import { describe, expect, test } from 'vitest';
import { CATALOGUE_CIRCUITS } from '../catalogue/circuits.ts';
import { circuitCurve } from '../job/circuitCurve.ts';
import type { Job } from '../job/jobSchema.ts';
import { newJob } from '../job/newJob.ts';
import { newReading } from '../job/newReading.ts';
import { curveModel } from '../curves/curve.ts';
import { normalQuantile } from '../numeric/normal.ts';
import { seededUniform } from '../numeric/random.ts';
import { figure } from '../units/entry.ts';
import { trendPointText, trendText } from '../wording/trendText.ts';
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
  job.temperatureC = figure(20);
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
    expect(trendPointText(ohms)).toBe(`Sensor ohms at 20 °C: +1.5 K ± ${(2 * ohms.sigmaK).toFixed(1)}`);
  });
  test('a drift is told with the day it is out; a changed sensor begins anew, its proof being its first figure', () => {
    const drifting = trendOf(placesOf(Array.from({ length: 12 }, (_, i) => check(2010 + i, 0.6 * i)))[0]);
    expect(drifting.drift!.perYearK).toBeCloseTo(0.6, 2);
    expect(drifts(drifting.drift!)).toBe(true);
    expect(drifting.outOn).toMatch(/^20\d\d-\d\d-\d\d$/);
    expect(trendText(drifting)).toMatch(
      /^12 figures: it drifts by \+0\.6 K a year .* It is out of its tolerance of ± \d\.\d K\.$/,
    );
    const slow = trendOf(placesOf(Array.from({ length: 12 }, (_, i) => check(2010 + i, 0.03 * i - 0.3)))[0]);
    const near = { ...drifting, outOn: '2041-05-06' };
    expect(trendText(near)).toMatch(/Out of its tolerance of ± \d\.\d K about 2041-05-06\.$/);
    expect(trendText(slow)).toMatch(/no drift to be told/);
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
    expect(trendText(changed)).toBe(
      '2 figures since the sensor was changed on 2011-06-02: too few, or too near together, to tell a drift.',
    );
  });
});
