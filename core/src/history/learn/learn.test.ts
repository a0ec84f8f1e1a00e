import { describe, expect, test } from 'vitest';
import { seededUniform } from '../../base/numeric/random.ts';
import { figure } from '../../base/units/entry.ts';
import { CATALOGUE_CURVES } from '../../catalogue/parts/curves.ts';
import { newJob } from '../../check/job/newJob.ts';
import { newReading } from '../../check/job/newReading.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { learnCurve, type LearnedPair } from './learnCurve.ts';
import { jobLine } from '../../check/job/jobLine.ts';
import { isOf, pairsOfChecks } from './pairsOfChecks.ts';
import { scoreLearned } from './simulatePairs.ts';

const NTC = CATALOGUE_CURVES.find((c) => c.id === 'ntc-2k8')!;
const ntc = curveModel(NTC.curve);
const pair = (model: CurveModel, t: number, change: Partial<LearnedPair> = {}): LearnedPair => ({
  id: `p${t}`,
  check: 'a',
  thermometer: 'a glass',
  temperatureC: t,
  sigmaK: 1.5,
  resistanceOhm: model.resistanceOhm(t),
  sigmaRelative: 0.01,
  ...change,
});
const exact = (...t: number[]): LearnedPair[] => t.map((x) => pair(ntc, x));

describe('a curve from pairs', () => {
  test('exact pairs give the curve back; the band is narrowest within them', () => {
    const learned = learnCurve(exact(5, 20, 35, 50, 65, 80));
    if (!learned.ok) throw new Error(learned.reason);
    const model = curveModel(learned.curve);
    for (const t of [5, 30, 60, 80]) expect(Math.abs(model.temperatureC(ntc.resistanceOhm(t)) - t)).toBeLessThan(0.6);
    expect([learned.fromC, learned.toC, learned.outliers]).toEqual([5, 80, []]);
    expect(learned.bandK(40)).toBeLessThan(learned.bandK(80));
    expect(learned.bandK(80)).toBeLessThan(learned.bandK(120));
  });
  test('too few, too near, and one that contradicts the others', () => {
    expect(learnCurve(exact(10, 40))).toEqual({ ok: false, reason: 'too-few' });
    expect(learnCurve(exact(20, 22, 24, 26))).toEqual({ ok: false, reason: 'too-near' });
    const bad = [
      ...exact(5, 15, 25, 35, 45, 55),
      pair(ntc, 30, { id: 'bad', resistanceOhm: 2 * ntc.resistanceOhm(30) }),
    ];
    expect(learnCurve(bad)).toMatchObject({ ok: true, outliers: ['bad'] });
  });
  test('what one thermometer has wrong in all its pairs keeps the band open; several narrow it', () => {
    const t = Array.from({ length: 40 }, (_, i) => 5 + 2 * i);
    const one = learnCurve(t.map((x) => pair(ntc, x)));
    const four = learnCurve(t.map((x, i) => pair(ntc, x, { thermometer: `t${i % 4}` })));
    if (!one.ok || !four.ok) throw new Error('no curve');
    // Half its variance is calibration: 1.5 K · √½ · 2.
    expect(one.bandK(45)).toBeGreaterThan(2.1);
    expect(four.bandK(45)).toBeLessThan(0.75 * one.bandK(45));
  });
  test('the temperature that helps most lies where nothing was read', () => {
    const cold = learnCurve(exact(5, 10, 15, 20));
    expect(cold.ok && cold.nextC).toBeGreaterThanOrEqual(35);
    const hot = learnCurve(exact(70, 75, 80, 85));
    expect(hot.ok && (hot.nextC < 65 || hot.nextC > 90)).toBe(true);
  });
  test('a sensor whose resistance rises becomes a smooth table', () => {
    const pt = curveModel(CATALOGUE_CURVES.find((c) => c.id === 'pt1000')!.curve);
    const learned = learnCurve([0, 20, 40, 60, 80].map((t) => pair(pt, t)));
    if (!learned.ok) throw new Error(learned.reason);
    expect(learned.form).toBe('table');
    expect(curveModel(learned.curve).temperatureC(pt.resistanceOhm(50))).toBeCloseTo(50, 0);
  });
});

test('two hundred made-up sensors: the true curve lies in the band at 95 of 100 temperatures, and the band is little wider than need be', () => {
  const uniform = seededUniform(33);
  const scores = Array.from({ length: 200 }, (_, k) => scoreLearned(k, uniform));
  const sum = (of: (s: (typeof scores)[number]) => number): number => scores.reduce((all, s) => all + of(s), 0);
  expect(sum((s) => s.inside) / sum((s) => s.places)).toBeGreaterThanOrEqual(0.95);
  const widths = scores.flatMap((s) => s.width ?? []);
  expect(widths.length).toBeGreaterThan(15);
  expect(widths.filter((w) => w > 1.3)).toEqual([]);
});

describe('pairs that checks hold', () => {
  const check = (id: string) => {
    const job = newJob(id, '2026-03-01T10:00:00.000Z');
    job.moments[0].temperatureC = figure(20);
    return job;
  };
  const read = (measurement: string, value: number, change = {}) =>
    newReading(measurement, measurement, { text: String(value), value, ...change });
  test('ohms of the sensor, in place and in a bath, and pairs of a comparison', () => {
    const job = check('a');
    job.readings = [
      read('sensor-ohms', 2450),
      read('bench-ohms', 600, { conditions: { bathC: figure(60) } }),
      read('open-voltage', 5),
    ];
    job.comparison.pairs = [
      { id: 'q', sensor: 'this', phase: 'heating', temperatureC: figure(40), resistanceOhm: figure(1200) },
      { id: 'r', sensor: 'other', phase: 'heating', temperatureC: figure(50), resistanceOhm: figure(900) },
      { id: 's', sensor: 'this', phase: 'after', temperatureC: figure(50), resistanceOhm: figure(900) },
    ];
    expect(pairsOfChecks([job]).map((p) => [p.temperatureC, p.resistanceOhm])).toEqual([
      [20, 2450],
      [60, 600],
      [40, 1200],
    ]);
  });
  test('volts only where the pull-up is known, and away from the ends of the divider', () => {
    const job = check('a');
    job.readings = [read('loaded-voltage', 2.5)];
    expect(pairsOfChecks([job])).toEqual([]);
    job.circuit.pullUpSource = 'board';
    expect(pairsOfChecks([job])[0].resistanceOhm).toBeCloseTo(2490, 6);
    job.readings = [read('loaded-voltage', 4.9)];
    expect(pairsOfChecks([job])).toEqual([]);
  });
  test('not what was excluded, wiggled, judged bad, or read at no temperature', () => {
    const job = check('a');
    const at = '2026-03-01T11:00:00.000Z';
    job.readings = [
      read('sensor-ohms', 2450, { voided: { reason: 'wrong pin', at } }),
      read('off-ohms', 2450, { state: 'wiggling' }),
    ];
    expect(pairsOfChecks([job])).toEqual([]);
    job.readings = [read('sensor-ohms', 2450)];
    expect(pairsOfChecks([job])).toHaveLength(1);
    const decided = { toolGroup: 'sensor', toolProbability: 0.9, reason: '', decidedAt: at } as const;
    expect(pairsOfChecks([{ ...job, decision: { group: 'sensor', ...decided } }])).toEqual([]);
    expect(pairsOfChecks([{ ...job, decision: { group: 'wiring', ...decided } }])).toHaveLength(1);
    job.moments[0].temperatureC = { text: '', value: null };
    expect(pairsOfChecks([job])).toEqual([]);
  });
  test('a check is of a part number, a machine or a circuit', () => {
    const job = check('a');
    job.repair.partNumber = 'AB 12-34';
    job.machine = 'Tern';
    expect([
      isOf(jobLine(job), 'ab 12-34'),
      isOf(jobLine(job), 'tern'),
      isOf(jobLine(job), 'coolant'),
      isOf(jobLine(job), ''),
      isOf(jobLine(job), 'plover'),
    ]).toEqual([true, true, true, true, false]);
  });
});
