import { describe, expect, test } from 'vitest';
import { channel, event, made, mark, seconds } from '../../../test/madeLog.ts';
import { analyseLog } from './analyseLog.ts';
import { compareOf, driftOf } from './compareChannels.ts';
import type { LogEvent } from './finding.ts';
import type { LogChannel, Mark } from './log.ts';
import { parseLog } from './parseLog.ts';

// Findings from the course of a log: where a channel is running to, how two sensors differ, and which column is the clock.

const celsius = (id: string, n: number, f: (t: number) => number): LogChannel =>
  channel(id, 'celsius', seconds(n).map(f));

describe('where a channel is running to', () => {
  /** Stays at 80 °C, jumps to 70 °C, and cools from there to 40 °C. */
  const jumps = (t: number): number => (t < 100 ? 80 : 40 + 30 * Math.exp(-(t - 100) / 60));
  const settlingAfter = (events: LogEvent[], marks: Mark[] = []) =>
    analyseLog(made(400, { c: ['celsius', jumps] }, marks), { roles: {} }, { c: events }).findings.flatMap((f) =>
      f.kind === 'settling' ? [f] : [],
    );
  test.each(['step', 'drop-out'] as const)('counts from a second after the last %s', (kind) => {
    const [found] = settlingAfter([event(kind, 49, 50), event(kind, 99, 100)]);
    expect(found.endsAt).toBeCloseTo(40, 1);
    expect(found.timeConstantS).toBeCloseTo(60, 0);
    expect(found.fromS).toBeGreaterThanOrEqual(101);
    expect(found.fromS).toBeLessThan(102);
  });
  test('counts from the last mark, where that is later', () => {
    const [found] = settlingAfter([event('step', 99, 100)], [mark('note', 150, 160, '', 'fan off')]);
    expect(found.fromS).toBeGreaterThanOrEqual(160);
    expect(found.fromS).toBeLessThan(161);
    expect(found.endsAt).toBeCloseTo(40, 1);
  });
  test('a noisy stretch does not start a new course: what came before belongs to it, and the end is not found', () => {
    const ends = settlingAfter([event('noise', 99, 100)]).map((f) => Math.round(f.endsAt));
    expect(ends).not.toContain(40);
  });
  test('a warm-up is reported as a warm-up, and not as settling', () => {
    const warms = made(1500, { c: ['celsius', (t) => (t < 60 ? 15 : 85 - 70 * Math.exp(-(t - 60) / 250))] });
    const kinds = analyseLog(warms, { roles: {} }).findings.map((f) => f.kind);
    expect(kinds).toContain('warm-up');
    expect(kinds).not.toContain('settling');
  });
});

describe('drift of a machine that is never at rest', () => {
  const n = 3600;
  /** Up in so many seconds and down in so many, over and over, between 60 and 80 °C. */
  const between = (upS: number, downS: number) => (t: number) => {
    const at = t % (upS + downS);
    return at < upS ? 60 + (20 * at) / upS : 80 - (20 * (at - upS)) / downS;
  };
  const drifting = (course: (t: number) => number): number | null =>
    driftOf(
      seconds(n),
      celsius('x', n, course),
      celsius('y', n, (t) => course(t) + (3 * t) / 3600 + (t % 10 < 5 ? 0.01 : -0.01)),
      [],
    )?.perHourK ?? null;
  test('a burner that cycles: what it gains up it loses down, and the drift is seen', () => {
    expect(drifting(between(200, 200))).toBeCloseTo(3, 1);
    expect(drifting(between(100, 300))).toBeCloseTo(3, 0);
  });
  test('five turns are too few, six are enough', () => {
    // The ends of the log are no turns: a rise and a fall of 600 s turn five times in an hour, of 514 s six times.
    expect(drifting(between(600, 600))).toBeNull();
    expect(drifting(between(514, 514))).toBeCloseTo(3, 0);
  });
  test('one that only ever warms or cools, or hardly ever does the other, is not judged', () => {
    expect(drifting((t) => 20 + t / 60)).toBeNull();
    expect(drifting((t) => 90 - t / 60)).toBeNull();
    expect(drifting(between(500, 20))).toBeNull();
    expect(drifting(between(20, 500))).toBeNull();
  });
});

test('a comparison says how sure each of its bins is: scatter by the middle deviation, over the root of their number', () => {
  const n = 3000;
  // A degree a minute, so that a bin of 4 K has many points; the difference is 2 and 4 K by turns, for ten seconds each.
  const course = (t: number): number => 20 + t / 60;
  const of = (difference: (t: number) => number) =>
    compareOf(
      seconds(n),
      celsius('x', n, course),
      celsius('y', n, (t) => course(t) + difference(t)),
      [],
    )!.bins;
  const points = 4 * 60;
  for (const bin of of((t) => (t % 20 < 10 ? 2 : 4)).slice(1, -1)) {
    expect(bin.differenceK).toBeGreaterThan(1.9);
    expect(bin.differenceK).toBeLessThan(4.1);
    const root = Math.sqrt(points / 2);
    expect(bin.sigmaK).toBeGreaterThan(0.5 / root);
    expect(bin.sigmaK).toBeLessThan(3.1 / root);
  }
  // Without scatter a fifth of a kelvin is taken, so that no bin is exact.
  for (const bin of of(() => 3).slice(1, -1)) {
    expect(bin.differenceK).toBeCloseTo(3, 2);
    expect(bin.sigmaK * Math.sqrt(points)).toBeGreaterThan(0.2);
    expect(bin.sigmaK * Math.sqrt(points)).toBeLessThan(0.4);
  }
});

describe('one column is the clock', () => {
  const uses = (text: string) => {
    const log = parseLog(text);
    return log.columns.map(({ use, time, unit }) => ({ use, time, unit }));
  };
  test('a date and a clock outrank seconds that have a name: those are left out', () => {
    expect(
      uses(
        'stamp,Elapsed (s),Volts\n2026-11-26 10:00:00,0,3.1\n2026-11-26 10:00:01,1,3.2\n2026-11-26 10:00:02,2,3.1\n',
      ),
    ).toEqual([
      { use: 'time', time: 'date-time', unit: null },
      { use: 'other', time: null, unit: null },
      { use: 'values', time: null, unit: 'V' },
    ]);
  });
  test('figures without a name that merely rise are values beside a clock', () => {
    const [clock, figures] = uses('Time,,Volts\n10:00:00,20.0 ,3.1\n10:00:01,20.5,3.2\n10:00:02,21.0,3.1\n');
    expect(clock).toMatchObject({ use: 'time', time: 'clock' });
    expect(figures).toMatchObject({ use: 'values', time: null });
  });
  test('a date beside a clock, and a second clock, hold no values', () => {
    expect(
      uses('A,B,C,Volts\n2026-11-26,10:00:00,11:00:00,3.1\n2026-11-26,10:00:01,11:00:01,3.2\n').map((c) => c.use),
    ).toEqual(['other', 'time', 'other', 'values']);
  });
});
