import { describe, expect, test } from 'vitest';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { analyseLog } from './analyseLog.ts';
import type { ChannelRole } from './channelRoles.ts';
import { driftOf } from './compareChannels.ts';
import { findEvents } from './events/findEvents.ts';
import type { Finding } from './finding.ts';
import type { LogChannel } from './log.ts';

/** A series at so many Hz, with a scatter that is the same every time. */
function series(seconds: number, hz: number, at: (t: number) => number, sigma: number, seed = 1) {
  const uniform = seededUniform(seed);
  const timeS = Float64Array.from({ length: seconds * hz }, (_, i) => i / hz);
  return { timeS, values: timeS.map((t) => at(t) + sigma * normalQuantile(uniform())) };
}
/** The same with the samples of a pause left out. */
function paused({ timeS, values }: ReturnType<typeof series>, fromS: number, toS: number) {
  const keep = (_: number, i: number): boolean => timeS[i] < fromS || timeS[i] > toS;
  return { timeS: timeS.filter(keep), values: values.filter(keep) };
}
const kinds = (timeS: Float64Array, values: Float64Array, quantity: LogChannel['quantity']): string[] =>
  findEvents(timeS, values, quantity).map((e) => e.kind);
function found(
  timeS: Float64Array,
  values: Float64Array,
  quantity: LogChannel['quantity'],
  role: ChannelRole,
): Finding[] {
  const channels = [{ id: 'a', name: 'a', quantity, values }];
  return analyseLog({ timeS, channels, marks: [] }, { roles: { a: role } }).findings;
}

describe('a pause of the logger', () => {
  const rising = (t: number): number => 20 + 0.15 * t;
  test('while nothing was written, a course that rises goes on: that is no step', () => {
    for (const [from, to] of [
      [200, 212],
      [100, 160],
    ] as const) {
      const { timeS, values } = paused(series(400, 2, rising, 0.15), from, to);
      expect(kinds(timeS, values, 'celsius')).toEqual([]);
    }
  });
  test('what leaps further than the course went on is a step all the same, with or without a pause', () => {
    const leaps = (t: number): number => rising(t) + (t > 206 ? 14 : 0);
    const { timeS, values } = paused(series(400, 2, leaps, 0.15), 200, 212);
    expect(kinds(timeS, values, 'celsius')).toEqual(['step']);
    expect(kinds(...(Object.values(series(400, 2, leaps, 0.15)) as [Float64Array, Float64Array]), 'celsius')).toEqual([
      'step',
    ]);
  });
});

describe('what is in order for what a channel is', () => {
  const battery = (dip: number) => series(300, 5, (t) => (t < 10 ? 12.5 : t < 11.5 ? dip : 14.2), 0.02);
  test('cranking and charging of a supply are no events; a supply that breaks down is', () => {
    const crank = battery(9.8);
    expect(found(crank.timeS, crank.values, 'volts', 'supply-volts').filter((f) => f.kind !== 'stretch')).toEqual([]);
    const breaks = series(300, 5, (t) => (t > 100 && t < 103 ? 4 : 14.2), 0.02);
    expect(found(breaks.timeS, breaks.values, 'volts', 'supply-volts').map((f) => f.kind)).toContain('events');
    // The same dip on a signal is one.
    expect(found(crank.timeS, crank.values, 'volts', 'signal-volts').some((f) => f.kind === 'events')).toBe(true);
  });
  test('exhaust gas follows the load: neither too fast nor air at the sensor; coolant as fast is', () => {
    const swings = (low: number, high: number) => {
      let value = low;
      return series(600, 5, (t) => (value += ((Math.floor(t / 60) % 2 ? high : low) - value) * 0.02), 0.3);
    };
    const exhaust = swings(200, 520);
    expect(found(exhaust.timeS, exhaust.values, 'celsius', 'displayed').filter((f) => f.kind !== 'warm-up')).toEqual(
      [],
    );
    const coolant = swings(40, 110);
    expect(found(coolant.timeS, coolant.values, 'celsius', 'displayed').some((f) => f.kind === 'events')).toBe(true);
  });
  test('a noisy stretch on a quick log is noise, however many samples it has', () => {
    const uniform = seededUniform(9);
    const { timeS, values } = series(900, 10, () => 66, 0.15);
    const noisy = values.map((v, i) => (timeS[i] > 400 && timeS[i] < 540 ? v + 1.2 * normalQuantile(uniform()) : v));
    const events = findEvents(timeS, noisy, 'celsius');
    expect(events.map((e) => e.kind)).toEqual(['noise']);
    expect(events[0].fromS).toBeCloseTo(400, -1);
    expect(events[0].toS).toBeCloseTo(540, -1);
  });
  test('the turn of a burner’s cycle is no spike', () => {
    for (let seed = 1; seed <= 12; seed++) {
      let water = 68;
      const burner = (t: number): number => 50 + 18 * Math.abs(((t % 300) / 300) * 2 - 1);
      const { timeS, values } = series(1200, 2, (t) => (water += (burner(t) - water) * 0.06), 0.3, seed);
      expect(
        kinds(
          timeS,
          values.map((v) => Math.round(v * 2) / 2),
          'celsius',
        ),
        String(seed),
      ).toEqual([]);
    }
  });
});

describe('drift against a thermometer', () => {
  const cycling = (t: number): number => 58 + 8 * Math.sin(t / 45);
  const channel = (id: string, values: Float64Array): LogChannel => ({ id, name: id, quantity: 'celsius', values });
  test('is found on a machine that never stands still, since it cycles', () => {
    const x = series(3600, 1, cycling, 0.1, 3);
    const y = series(3600, 1, (t) => cycling(t) + (4 * t) / 3600, 0.3, 4);
    const drift = driftOf(x.timeS, channel('x', x.values), channel('y', y.values), [])!;
    expect(drift.perHourK).toBeGreaterThan(3);
    expect(drift.perHourK).toBeLessThan(5);
    expect(drift.perHourK).toBeGreaterThan(3 * drift.sigma);
    const none = driftOf(x.timeS, channel('x', x.values), channel('y', series(3600, 1, cycling, 0.3, 4).values), [])!;
    expect(Math.abs(none.perHourK)).toBeLessThan(1);
  });
  test('of one way only nothing is said: a lag looks the same', () => {
    const up = series(1800, 1, (t) => 20 + t / 25, 0.1, 3);
    const lags = series(1800, 1, (t) => 20 + (t - 60) / 25, 0.1, 4);
    expect(driftOf(up.timeS, channel('x', up.values), channel('y', lags.values), [])).toBeNull();
  });
});
