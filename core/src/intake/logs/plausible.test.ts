import { describe, expect, test } from 'vitest';
import { evidenceOf } from '../../check/job/logEvidence.ts';
import { analyseLog } from './analyseLog.ts';
import { coldStart } from './compareChannels.ts';
import type { Log, LogChannel } from './log.ts';
import { figureOf } from './logColumns.ts';
import { logToCsv } from './logCsv.ts';
import { rangeOf } from './rangeOf.ts';
import { guessedRoles } from './settingOf.ts';

const N = 1200;
const timeS = Float64Array.from({ length: N }, (_, i) => i * 2);
/** A little scatter that is the same every time. */
const noise = (i: number): number => ((i * 7919) % 101) / 101 - 0.5;
const channel = (id: string, quantity: LogChannel['quantity'], at: (i: number) => number): LogChannel => ({
  id,
  name: id,
  quantity,
  values: Float64Array.from({ length: N }, (_, i) => at(i)),
});
const logOf = (...channels: LogChannel[]): Log => ({ timeS, channels, marks: [] });

describe('what a channel of volts is', () => {
  const role = (name: string, at: (i: number) => number) =>
    guessedRoles([{ id: name, name, quantity: 'volts', range: rangeOf(channel(name, 'volts', at).values) }])[name];
  test.each([
    ['Battery', () => 2.5, 'supply-volts'],
    ['Channel 1', (i: number) => 13.8 + 0.1 * noise(i), 'supply-volts'],
    ['Channel 1', (i: number) => 27.6 + 0.1 * noise(i), 'supply-volts'],
    ['Vref', (i: number) => 4 - i / N, 'reference-volts'],
    ['Channel 2', (i: number) => 5.01 + 0.005 * noise(i), 'reference-volts'],
    ['Channel 2', (i: number) => 3.29 + 0.005 * noise(i), 'reference-volts'],
    ['Return', () => 0.01, 'return-volts'],
    ['Signal', (i: number) => 2.5 + Math.sin(i / 200), 'signal-volts'],
    ['Channel 3', (i: number) => 5 - i / N, 'signal-volts'],
  ] as const)('%s', (name, at, wanted) => expect(role(name, at)).toBe(wanted));
  test('too few values say nothing', () => expect(rangeOf(new Float64Array([5, NaN, 5, 5, 5]))).toBeUndefined());
});

test('541 V are never put on a check; battery voltage on a signal is', () => {
  const found = (value: number, supplyV?: number) => {
    const stretch = { channel: 's', fromS: 0, toS: 10, value, samples: 9, independent: 3, sigma: 0.001 };
    const log = logOf(channel('s', 'volts', () => value));
    return evidenceOf({ kind: 'stretch', about: 'cold', stretches: [stretch] }, log, { s: 'signal-volts' }, supplyV);
  };
  expect(found(541)).toEqual([]);
  expect(found(14.4, 12.6)).toHaveLength(1);
  expect(found(16.2, 12.6)).toEqual([]);
  expect(found(28.8)).toHaveLength(1);
});

describe('a cold start', () => {
  const began = (...celsius: number[]) =>
    coldStart(
      timeS,
      celsius.map((c, k) => channel(`t${k}`, 'celsius', (i) => c + 0.02 * noise(i))),
    );
  test('a machine that is hot when the log begins has none, however far apart its sensors are', () => {
    expect(began(88, 26, 91, 85)).toBeNull();
    expect(began(20, 82)).toBeNull();
    expect(began(5, 20, 35, 50)).toBeNull();
  });
  test('one that stood: the odd one is named', () => {
    expect(began(18, 19, 18.5, 31)).toMatchObject({ oddOne: 't3' });
    expect(began(18, 19, 18.5)).toMatchObject({ oddOne: null });
    expect(began(18, 26)).toMatchObject({ kind: 'cold-start' });
  });
});

describe('a supply that changes over minutes', () => {
  const sag = (at: (i: number) => number, role: 'reference-volts' | 'signal-volts' = 'reference-volts') =>
    analyseLog(logOf(channel('v', 'volts', at)), { roles: { v: role } }).findings.filter((f) => f.kind === 'sag');
  test('from 5.0 to 4.2 V over the log', () => {
    const [found] = sag((i) => 5 - 0.8 * (i / N) + 0.01 * noise(i));
    expect(found).toMatchObject({ kind: 'sag', fromV: expect.closeTo(4.96, 1), toV: expect.closeTo(4.24, 1) });
  });
  test('a steady one, one that swings and a signal have none', () => {
    expect(sag((i) => 5 + 0.01 * noise(i))).toEqual([]);
    expect(sag((i) => 5 + 0.3 * Math.sin(i / 60))).toEqual([]);
    expect(sag((i) => 5 - 0.8 * (i / N), 'signal-volts')).toEqual([]);
    expect(sag((i) => (i < N / 2 ? 5 : 4.2))).toEqual([]);
  });
});

describe('drop-outs that come only when it is hot', () => {
  const run = (drops: readonly number[]) => {
    const warm = channel('c', 'celsius', (i) => 20 + 75 * Math.min(1, i / 900) + 0.1 * noise(i));
    const volts = channel('v', 'volts', (i) => (drops.includes(i) ? 5 : 2 + 0.005 * noise(i)));
    const { findings } = analyseLog(logOf(warm, volts), { roles: { c: 'displayed', v: 'signal-volts' } });
    return findings.find((f) => f.kind === 'events' && f.channel === 'v' && f.event !== 'noise');
  };
  test('all above 86 °C: said so', () => {
    const hot = [820, 850, 900, 960, 1010, 1080, 1130];
    expect(run(hot.flatMap((i) => [i, i + 1, i + 2]))).toMatchObject({ onlyAboveC: expect.closeTo(88, -1) });
  });
  test('spread over the log: nothing is said', () => {
    const spread = [60, 200, 420, 640, 860, 1080];
    expect(run(spread.flatMap((i) => [i, i + 1, i + 2]))).toMatchObject({ onlyAboveC: null });
  });
});

test('a heading that a spreadsheet would run is written as text', () => {
  const csv = logToCsv(logOf(channel('=HYPERLINK("x")', 'celsius', () => -3)));
  expect(csv.split('\r\n')[0]).toContain("'=HYPERLINK");
  expect(csv.split('\r\n')[1]).toBe('0,-3,');
});

test('a cell beyond all figures is over range, or none: never less than everything', () => {
  expect(['9.9E37', '1e999', '∞'].map((c) => figureOf(c, false))).toEqual([Infinity, Infinity, Infinity]);
  expect(['-1e999', '-9.9E37', '−1e400 V'].map((c) => figureOf(c, false))).toEqual([NaN, NaN, NaN]);
  expect(['-40', '−40 °C', '1e6'].map((c) => figureOf(c, false))).toEqual([-40, -40, 1e6]);
});
