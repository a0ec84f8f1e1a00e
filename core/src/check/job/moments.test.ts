import { describe, expect, test } from 'vitest';
import { catalogueCircuit } from '../../catalogue/parts/catalogueCircuit.ts';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { figure } from '../../base/units/entry.ts';
import { groupProbabilities } from '../../inference/verdict/assessment.ts';
import { healthyRanges } from '../../inference/model/healthyRanges.ts';
import { LatentSpace } from '../../inference/model/latent.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { checkJob } from './checkJob.ts';
import type { Job } from './jobSchema.ts';
import { joinMoments, keepApart, momentOf, newMoment, ownTemperature, readingsAt } from './moments.ts';
import { newJob } from './newJob.ts';
import { newReading } from './newReading.ts';

const NOW = '2026-02-03T04:05:06.000Z';
const ENGINE = 'engine-coolant-2k';
const { curve } = catalogueCircuit(ENGINE);
const reading = (id: string, measurement: string, value: number, change = {}) =>
  newReading(id, measurement, { text: String(value), value, ...change });

/** Five readings of a sound coolant circuit at 18 °C, as a mechanic would write them down. */
function fiveCold(): Job {
  const job = newJob(
    'a',
    NOW,
    CATALOGUE_CIRCUITS.find((c) => c.id === ENGINE)!,
  );
  const ohm = Math.round(curve.resistanceOhm(18));
  const volts = (5 * ohm) / (ohm + job.circuit.pullUpOhm.value!);
  job.moments[0].temperatureC = figure(18);
  job.readings = [
    reading('displayed', 'displayed', 18),
    reading('sensor-ohms', 'sensor-ohms', ohm),
    reading('open-voltage', 'open-voltage', 5.0),
    reading('loaded-voltage', 'loaded-voltage', Number(volts.toFixed(2))),
    reading('return-drop', 'return-drop', 0.003),
  ];
  return job;
}
const healthy = (job: Job): number =>
  groupProbabilities(posteriorOf(checkJob(job).problem!).faults).find((g) => g.group === 'healthy')!.probability;
let made = 0;
const newId = (): string => `m${++made}`;
const hotOhm = Math.round(curve.resistanceOhm(85));
const DRAFT = { moment: 'steady', state: 'steady' } as const;

describe('five cold readings fit, then one is repeated hot', () => {
  test('with the temperature of the repeat at the repeat, nothing is wrong', () => {
    const job = fiveCold();
    const cold = healthy(job);
    expect(cold).toBeGreaterThan(0.85);
    const repeat = reading('r2', 'sensor-ohms', hotOhm);
    job.readings.push(repeat);
    ownTemperature(job, repeat, DRAFT, figure(85), newId, NOW);
    expect(job.moments[0].temperatureC.value).toBe(18);
    expect(momentOf(job, repeat).temperatureC.value).toBe(85);
    expect(healthy(job)).toBeGreaterThan(cold - 0.02);
  });
  test('the general temperature jumps: the five keep 18 °C until it is said that all were taken at 85 °C', () => {
    const job = fiveCold();
    const before = job.moments[0].temperatureC;
    job.moments[0].temperatureC = figure(85);
    const apart = keepApart(job, before, newId, NOW)!;
    expect(readingsAt(job, apart)).toHaveLength(5);
    expect(healthy(job)).toBeGreaterThan(0.85);
    job.moments.find((m) => m.id === apart)!.temperatureC = job.moments[0].temperatureC;
    joinMoments(job, apart, 'steady');
    expect(job.moments.map((m) => m.id)).toEqual(['steady', 'hot']);
    expect(readingsAt(job, 'steady')).toHaveLength(5);
    expect(job.moments[0].temperatureC.value).toBe(85);
    expect(healthy(job)).toBeLessThan(0.2);
  });
});

describe('whose temperature is changed', () => {
  test('a reading alone in its moment: that of the moment', () => {
    const job = fiveCold();
    job.readings = job.readings.slice(0, 1);
    expect(ownTemperature(job, job.readings[0], DRAFT, figure(20), newId, NOW)).toBe('steady');
    expect(job.moments[0].temperatureC.value).toBe(20);
    expect(job.moments).toHaveLength(2);
  });
  test('one of several: its own, and typing on changes no other', () => {
    const job = fiveCold();
    const [one] = job.readings;
    const own = ownTemperature(job, one, DRAFT, figure(2), newId, NOW);
    expect(ownTemperature(job, one, DRAFT, figure(21), newId, NOW)).toBe(own);
    expect(job.moments).toHaveLength(3);
    expect(job.moments[2]).toMatchObject({ state: 'steady', at: NOW, temperatureC: { value: 21 } });
    expect(job.moments[0].temperatureC.value).toBe(18);
    expect(readingsAt(job, 'steady')).toHaveLength(4);
  });
  test('one still to be taken; excluded and empty ones hold nothing fast', () => {
    const job = fiveCold();
    const own = ownTemperature(job, null, DRAFT, figure(30), newId, NOW);
    expect(own).not.toBe('steady');
    expect(ownTemperature(job, null, { moment: own, state: 'steady' }, figure(31), newId, NOW)).toBe(own);
    const empty = fiveCold();
    empty.readings = [
      reading('a', 'displayed', 18, { text: '', value: null }),
      reading('b', 'sensor-ohms', 2500, { voided: { reason: 'bad contact', at: NOW } }),
    ];
    expect(ownTemperature(empty, null, DRAFT, figure(30), newId, NOW)).toBe('steady');
  });
  test('after all at one temperature: the readings join, and the moment goes', () => {
    const job = fiveCold();
    const own = ownTemperature(job, job.readings[0], DRAFT, figure(21), newId, NOW);
    joinMoments(job, own, 'steady');
    expect(job.moments.map((m) => [m.id, m.temperatureC.value])).toEqual([
      ['steady', 21],
      ['hot', null],
    ]);
    expect(readingsAt(job, 'steady')).toHaveLength(5);
    joinMoments(job, 'hot', 'steady');
    expect(job.moments).toHaveLength(2);
  });
  test('a small step of the general temperature, an unknown one and one without readings are believed', () => {
    const step = (from: number | null, to: number | null): string | null => {
      const job = fiveCold();
      job.moments[0].temperatureC = to === null ? { text: '', value: null } : figure(to);
      return keepApart(job, from === null ? { text: '', value: null } : figure(from), newId, NOW);
    };
    expect(step(18, 37)).toBeNull();
    expect(step(18, 38)).not.toBeNull();
    expect(step(38, 18)).not.toBeNull();
    expect(step(null, 60)).toBeNull();
    expect(step(60, null)).toBeNull();
    const bare = fiveCold();
    bare.readings = [];
    bare.moments[0].temperatureC = figure(85);
    expect(keepApart(bare, figure(18), newId, NOW)).toBeNull();
  });
});

describe('what the engine makes of moments', () => {
  test('each with readings has one temperature, the hot one only where it is used', () => {
    const job = fiveCold();
    const names = (): number =>
      new LatentSpace(checkJob(job).problem!).names.filter((name) => name === 'temperature').length;
    expect(names()).toBe(1);
    job.moments.push({ ...newMoment('noon', 'steady', NOW), temperatureC: figure(26) });
    expect(names()).toBe(1);
    job.readings.push(reading('r6', 'sensor-ohms', 2000, { moment: 'noon' }));
    expect(names()).toBe(2);
    job.readings.push(reading('r7', 'sensor-ohms', 300, { state: 'hot' }));
    expect(names()).toBe(3);
  });
  test('the healthy range of a reading is that of its own temperature', () => {
    const job = fiveCold();
    job.moments.push({ ...newMoment('noon', 'steady', NOW), temperatureC: figure(40) });
    job.readings.push(reading('r6', 'sensor-ohms', 1100, { moment: 'noon' }));
    const problem = checkJob(job).problem!;
    const ohms = { measurement: measurementById('sensor-ohms'), conditions: {}, state: 'steady' as const };
    const [cold, noon] = healthyRanges(problem, [ohms, { ...ohms, moment: 'noon' }]);
    expect(cold.low).toBeLessThan(curve.resistanceOhm(18));
    expect(cold.high).toBeGreaterThan(curve.resistanceOhm(18));
    expect(noon.low).toBeLessThan(curve.resistanceOhm(40));
    expect(noon.high).toBeGreaterThan(curve.resistanceOhm(40));
    expect(noon.high).toBeLessThan(cold.low);
  });
  test('a moment that is gone counts as the usual one of the state', () => {
    const job = fiveCold();
    expect(momentOf(job, reading('x', 'displayed', 18, { moment: 'gone' })).id).toBe('steady');
    expect(momentOf(job, reading('x', 'displayed', 18, { moment: 'gone', state: 'hot' })).id).toBe('hot');
  });
  test('another thermometer than that of the kit counts for its moment alone, without the limit of the kit', () => {
    const job = fiveCold();
    job.kit.thermometerK = figure(0.9);
    const sigma = (): number => checkJob(job).problem!.thermometers.steady!.sigmaK;
    expect(sigma()).toBeCloseTo(0.9 / Math.sqrt(3), 6);
    job.moments[0].thermometer = 'hand';
    expect(sigma()).toBe(6);
    job.moments[0].thermometer = job.kit.thermometer;
    expect(sigma()).toBeCloseTo(0.9 / Math.sqrt(3), 6);
  });
});
