import { expect, test } from 'vitest';
import { problemWith } from '../../../test/problems.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import { proposeTests } from './nextTest.ts';

const proposed = (measurement: string, readings: Parameters<typeof problemWith>[0]) => {
  const problem = problemWith(readings, { thermometers: { steady: { readC: 20, sigmaK: 1.5 } } });
  const all = proposeTests(problem, posteriorOf(problem), EVERYTHING_AT_HAND, 30);
  return { all, outcomes: all.find((p) => p.measurement === measurement)?.outcomes ?? [] };
};

test('an empty job: what the display can show falls into classes that leave different suspects', () => {
  const { all, outcomes } = proposed('displayed', []);
  expect(all[0].measurement).toBe('displayed');
  expect(outcomes).toHaveLength(4);
  const leaders = outcomes.map((o) => o.leaves[0].fault);
  expect(new Set(leaders).size).toBe(4);
  const healthy = outcomes.find((o) => o.leaves[0].fault === 'healthy')!;
  expect(healthy.interval.low).toBeLessThan(20);
  expect(healthy.interval.high).toBeGreaterThan(20);
  expect(healthy.interval.high - healthy.interval.low).toBeLessThan(20);
});

test('reads as cold as it can: about 5 V leaves the sensor, 0 V the wires, more than 5 V the supply', () => {
  const { outcomes } = proposed('open-voltage-return', [['displayed', -40]]);
  const at = (volts: number): string[] =>
    outcomes.find((o) => o.interval.low <= volts && o.interval.high >= volts)?.leaves.map((l) => l.fault) ?? [];
  expect(at(4.95)[0]).toBe('sensor-open');
  expect([...at(0.5)].sort()).toEqual(['return-open', 'signal-open']);
  expect(at(12)).toEqual(['signal-to-supply']);
});

test('OL is a class of its own', () => {
  const { outcomes } = proposed('sensor-ohms', [['displayed', -40]]);
  const open = outcomes.find((o) => o.interval.low === Infinity)!;
  expect(open.leaves[0].fault).toBe('sensor-open');
  expect(open.probability).toBeGreaterThan(0.2);
});

test('a test that changes nothing is not proposed', () => {
  const { all } = proposed('displayed', [
    ['sensor-ohms', Infinity],
    ['displayed', -40],
    ['open-voltage', 5],
    ['supply-to-return', 12.6],
    ['displayed-bridged', 150],
  ]);
  expect(all.every((p) => p.bits > 0.005)).toBe(true);
  expect(all.length).toBeLessThan(20);
});
