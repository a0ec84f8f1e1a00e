import { describe, expect, test } from 'vitest';
import { seededUniform } from '../../base/numeric/random.ts';
import { type MachineMoment, type MachineSensor, machineVerdict } from './machineSensors.ts';
import { simulateMachine } from './simulateMachine.ts';

const rest = (airC: number | null = null): MachineMoment => ({ rested: true, airC });
const machine = (...values: (number | (number | null)[])[]): MachineSensor[] =>
  values.map((v, i) => ({ id: `s${i}`, valuesC: Array.isArray(v) ? v : [v], shares: [] }));

describe('after a rest', () => {
  test('all alike: none is out', () => {
    expect(machineVerdict(machine(18, 19, 18, 17, 19), [rest()])).toMatchObject({
      kind: 'none',
      named: [],
      next: null,
    });
  });
  test('one reads 12 K too cold: it is named, with how far and how surely; the next step is its check', () => {
    const verdict = machineVerdict(machine(18, 19, 6, 17, 19), [rest()]);
    expect(verdict).toMatchObject({ kind: 'off', named: ['s2'], next: 'check' });
    expect(verdict.probability).toBeGreaterThan(0.9);
    expect(verdict.sensors[2].offK).toBeCloseTo(-12, 0);
    expect(verdict.sensors[2].warm).toBeLessThan(0.01);
    expect(verdict.sensors[0].off).toBeLessThan(0.03);
  });
  test('one reads 9 K too warm: heat that is left, the sun or a heater may be why, so it is waited for', () => {
    const verdict = machineVerdict(machine(18, 19, 27, 17, 19), [rest(18)]);
    expect(verdict).toMatchObject({ kind: 'off', named: ['s2'], next: 'wait' });
    expect(verdict.sensors[2].warm / verdict.sensors[2].off).toBeGreaterThan(0.5);
  });
  test('two that disagree cannot be told apart without the air; with it they can', () => {
    expect(machineVerdict(machine(18, 4), [rest()])).toMatchObject({ kind: 'cannot-tell', named: [], next: 'air' });
    expect(machineVerdict(machine(18, 4), [rest(18)])).toMatchObject({ kind: 'off', named: ['s1'] });
    const apart = machineVerdict(machine(30, 4), [rest(17)]);
    expect(apart.kind === 'cannot-tell' ? apart.next : apart.named).toEqual(['s0', 's1']);
  });
  test('several off together are off by what they share, where that is said and the air is known', () => {
    const sensors = machine(18, 19, 30, 29, 31).map((s, i) => ({ ...s, shares: i > 1 ? ['plug C'] : [] }));
    expect(machineVerdict(sensors, [rest(18)])).toMatchObject({
      kind: 'shared',
      named: ['s2', 's3', 's4'],
      shares: 'plug C',
    });
    expect(machineVerdict(machine(30, 29, 31, 30), [rest(12)])).toMatchObject({ kind: 'shared', shares: '' });
  });
  test('a second morning makes it surer; a value that was not read counts for nothing', () => {
    const once = machineVerdict(machine(18, 18, 23), [rest()]);
    const twice = machineVerdict(machine([18, 7], [18, 7], [23, 12]), [rest(), rest()]);
    expect(twice.sensors[2].off).toBeGreaterThan(once.sensors[2].off);
    const gap = machineVerdict(machine([18, null], [18, 7], [23, 12]), [rest(), rest()]);
    expect(gap.sensors.every((s) => Number.isFinite(s.off))).toBe(true);
  });
  test('nothing, and one alone', () => {
    expect(machineVerdict([], [rest()])).toMatchObject({ sensors: [], named: [] });
    expect(machineVerdict(machine(18), [rest()])).toMatchObject({ kind: 'cannot-tell' });
  });
});

test('while it runs no sensor is excused by heat, and more scatter is', () => {
  const running = { rested: false, airC: null };
  const verdict = machineVerdict(machine(84, 86, 85, 60), [running]);
  expect(verdict).toMatchObject({ kind: 'off', named: ['s3'], next: 'check' });
  expect(verdict.sensors.every((s) => s.warm === 0)).toBe(true);
  expect(machineVerdict(machine(84, 88, 85, 82), [running]).kind).toBe('none');
});

test('the inference is exact: three sensors by summing over a fine grid of temperatures', () => {
  const values = [18, 21, 9];
  const normal = (x: number, sigma: number): number =>
    Math.exp(-0.5 * (x / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI));
  // The model once more, written out: sound ± 1.2 and 0.8, out by about 8 or 35 K either way, warm by 7 ± 4 K; a shift of all by 14 K in 2 of 100.
  const ways = [
    [0.86, 0, 0],
    [0.025, -8, 3.5],
    [0.025, 8, 3.5],
    [0.025, -35, 18],
    [0.025, 35, 18],
    [0.04, 7, 4],
  ] as const;
  const place = 0.8;
  let all = 0;
  const off = [0, 0, 0];
  // All three at once, each for itself, is left out of both.
  for (const [share, shared] of [
    [0.02, 14],
    [0.98, 0],
  ] as const)
    for (let shift = shared === 0 ? 0 : -70; shift <= (shared === 0 ? 0 : 70); shift += 0.5)
      for (let t = -120; t <= 160; t += 0.1) {
        const each = values.map((x) =>
          ways.map(([p, middle, sigma]) => p * normal(x - t - shift - middle, Math.hypot(1.2, sigma, place))),
        );
        const sums = each.map((e) => e.reduce((a, b) => a + b, 0));
        const bad = each.map((e, i) => sums[i] - e[0]);
        const weight = share * (shared === 0 ? 1 : 0.5 * normal(shift, shared)) * normal(t - 20, 25);
        const allBad = weight * bad[0] * bad[1] * bad[2];
        const w = weight * sums[0] * sums[1] * sums[2] - allBad;
        all += w;
        sums.forEach((sum, i) => {
          off[i] += shared === 0 ? weight * sums[0] * sums[1] * sums[2] * (bad[i] / sum) - allBad : w;
        });
      }
  const verdict = machineVerdict(machine(...values), [rest()]);
  verdict.sensors.forEach((s, i) => expect(s.off).toBeCloseTo(off[i] / all, 3));
});

test('eighty made-up machines: the right set, few false alarms, probabilities that hold', () => {
  const uniform = seededUniform(20261201);
  const said = { right: 0, clear: 0, alarms: 0, sound: 0, sum: 0, hits: 0, n: 0 };
  for (let k = 0; k < 80; k++) {
    const { sensors, moments, off, between, knowable } = simulateMachine(uniform);
    const verdict = machineVerdict(sensors, moments);
    for (const s of between ? [] : verdict.sensors) {
      said.n++;
      said.sum += s.off;
      said.hits += Number(off.includes(s.id));
    }
    if (off.length === 0 && !between) {
      said.sound++;
      said.alarms += Number(verdict.kind === 'off' || verdict.kind === 'shared');
    }
    if (!knowable || between) continue;
    said.clear++;
    said.right += Number(verdict.kind !== 'cannot-tell' && verdict.named.join() === off.join());
  }
  expect(said.clear).toBeGreaterThan(50);
  expect(said.right / said.clear).toBeGreaterThanOrEqual(0.93);
  expect(said.alarms).toBeLessThanOrEqual(1);
  expect(Math.abs(said.sum - said.hits) / said.n).toBeLessThan(0.03);
});
