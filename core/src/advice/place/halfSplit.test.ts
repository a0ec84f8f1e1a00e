import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  after,
  alwaysMiddle,
  bestSplit,
  chanceBeyond,
  cutsLeft,
  endToEnd,
  expectedMinutes,
  minutesFor,
  type SplitRule,
  type SplitState,
  type SplitTask,
  startOf,
  USUAL_MINUTES,
} from './halfSplit.ts';

/** A row of places with a cut between every two, each at a stop of its own. */
const row = (weights: readonly number[], change: Partial<SplitTask> = {}): SplitTask => {
  const stops = weights.length - 1;
  return {
    weights,
    cuts: Array.from({ length: stops }, (_, i) => ({ before: i + 1, stop: i })),
    reach: new Array<number>(stops).fill(0),
    opening: Array.from({ length: stops }, (_, i) => i),
    open: new Array<boolean>(stops).fill(false),
    here: -1,
    minutes: { beside: 1, probe: 1, again: 0 },
    sure: 0.9,
    ...change,
  };
};
/** Least expected minutes by trying every policy there is, without remembering anything. */
function byTryingAll(task: SplitTask, at: SplitState = startOf(task)): number {
  const left = cutsLeft(task, at);
  if (left.length === 0) return 0;
  return Math.min(
    ...left.map((cut) => {
      const beyond = chanceBeyond(task, cut, at);
      const rest = (side: boolean): number => byTryingAll(task, after(task, cut, at, side));
      return (
        minutesFor(task, cut, at) +
        (beyond > 0 ? beyond * rest(true) : 0) +
        (beyond < 1 ? (1 - beyond) * rest(false) : 0)
      );
    }),
  );
}

describe('the order of looking', () => {
  test('equal places and minutes: the binary search of the textbook, log2 n readings', () => {
    for (const depth of [1, 2, 3, 4]) {
      const n = 2 ** depth;
      const task = row(new Array<number>(n).fill(1));
      const best = bestSplit(task);
      expect(best.minutes).toBeCloseTo(depth, 9);
      expect(task.cuts[best.rule(task, startOf(task))].before).toBe(n / 2);
      expect(expectedMinutes(task, alwaysMiddle)).toBeCloseTo(depth, 9);
    }
    // End to end over n places: n − 1 readings at most, (n − 1)(n + 2) / 2n in the mean.
    expect(expectedMinutes(row([1, 1, 1, 1]), endToEnd)).toBeCloseTo((3 * 6) / 8, 9);
  });

  test('worked by hand: a near contact is read before a far middle', () => {
    // Three places; the cut before the last is 1 minute away, the one before the second 20.
    const task = row([0.3, 0.3, 0.4], { reach: [20, 1], minutes: { beside: 1, probe: 2, again: 1 } });
    const best = bestSplit(task);
    // 3 minutes at the near cut; with 0.6 it goes on: 22 more.
    expect(best.rule(task, startOf(task))).toBe(1);
    expect(best.minutes).toBeCloseTo(3 + 0.6 * 22, 9);
  });

  test('laid open in one go: the second stop of an opening costs the walk alone; where one stands, the reading alone', () => {
    const task = row([1, 1, 1], { reach: [30, 30], opening: [7, 7], minutes: USUAL_MINUTES });
    const first = after(task, 0, startOf(task), true);
    expect(minutesFor(task, 0, startOf(task))).toBe(32);
    expect(minutesFor(task, 1, first)).toBe(3);
    expect(minutesFor(task, 0, first)).toBe(1);
    expect(minutesFor({ ...task, opening: [7, 8] }, 1, first)).toBe(32);
    const standing = { ...task, here: 1, open: [false, true] };
    expect(minutesFor(standing, 1, startOf(standing))).toBe(1);
    expect(minutesFor(standing, 0, startOf(standing))).toBe(3);
  });

  test('nothing is asked where a place is known, or where no cut is left', () => {
    expect(bestSplit(row([0.95, 0.05])).minutes).toBe(0);
    expect(bestSplit(row([0.89, 0.11])).minutes).toBe(1);
    expect(bestSplit(row([1])).minutes).toBe(0);
    expect(bestSplit(row([0, 0])).minutes).toBe(0);
    expect(expectedMinutes(row([0.95, 0.05]), endToEnd)).toBe(0);
    // Known in the end although no cut parts the last two.
    const task = row([1, 1, 1], { cuts: [{ before: 1, stop: 0 }] });
    expect(bestSplit(task).minutes).toBe(1);
  });

  test('no policy is better, on any small loom (property, against trying all)', () => {
    const minutes = fc.integer({ min: 0, max: 30 });
    const task = fc.integer({ min: 2, max: 6 }).chain((n) =>
      fc.record({
        weights: fc.array(fc.integer({ min: 0, max: 20 }), { minLength: n, maxLength: n }),
        reach: fc.array(minutes, { minLength: n, maxLength: n }),
        opening: fc.array(fc.integer({ min: 0, max: 2 }), { minLength: n, maxLength: n }),
        open: fc.array(fc.boolean(), { minLength: n, maxLength: n }),
        here: fc.integer({ min: -1, max: n - 2 }),
        // Two cuts may share a stop: the two sides of a connector.
        stops: fc.array(fc.integer({ min: 0, max: n - 2 }), { minLength: n - 1, maxLength: n - 1 }),
      }),
    );
    fc.assert(
      fc.property(task, ({ weights, stops, here, ...rest }) => {
        const chain = row(weights, {
          ...rest,
          here,
          cuts: stops.map((stop, i) => ({ before: i + 1, stop })),
          minutes: USUAL_MINUTES,
        });
        const best = bestSplit(chain);
        expect(best.minutes).toBeCloseTo(byTryingAll(chain), 6);
        expect(expectedMinutes(chain, best.rule)).toBeCloseTo(best.minutes, 6);
        for (const rule of [endToEnd, alwaysMiddle] satisfies SplitRule[])
          expect(expectedMinutes(chain, rule)).toBeGreaterThanOrEqual(best.minutes - 1e-9);
      }),
      { seed: 31, numRuns: 300 },
    );
  });
});

describe('plain ways of searching, by hand', () => {
  /** The same row, every stop 10 minutes away and read at the usual pace. */
  const task = (weights: readonly number[], change: Partial<SplitTask> = {}): SplitTask =>
    row(weights, { reach: weights.slice(1).map(() => 10), minutes: USUAL_MINUTES, ...change });
  test('from the sensor backwards: the last cut first, then the one before it', () => {
    const four = task([1, 1, 1, 1]);
    const start = startOf(four);
    expect(four.cuts[endToEnd(four, start)].before).toBe(3);
    const next = after(four, endToEnd(four, start), start, false);
    expect(four.cuts[endToEnd(four, next)].before).toBe(2);
    expect(endToEnd(four, after(four, endToEnd(four, start), start, true))).toBe(-1);
    // Three readings at worst: 12 min each, the last one only where the first two places are left.
    expect(expectedMinutes(four, endToEnd)).toBeCloseTo(12 + 0.75 * 12 + 0.5 * 12, 12);
    expect(four.cuts[alwaysMiddle(four, start)].before).toBe(2);
    expect(expectedMinutes(four, alwaysMiddle)).toBeCloseTo(24, 12);
    expect(bestSplit(four).minutes).toBeCloseTo(24, 12);
  });
  test('a place that cannot be it costs nothing: no search goes on beyond it', () => {
    const gone = task([1, 1, 0, 0]);
    expect(expectedMinutes(gone, endToEnd)).toBeCloseTo(12 + 12 + 12, 12);
    expect(chanceBeyond(gone, 1, startOf(gone))).toBe(0);
    expect(bestSplit(gone).minutes).toBeCloseTo(12, 12);
    expect(cutsLeft(task([1, 20, 1]), startOf(task([1, 20, 1])))).toEqual([]);
    expect(cutsLeft(task([0, 0, 0]), startOf(task([0, 0, 0])))).toEqual([]);
  });
  test('minutes of a reading: where one stands, where it is open, and where it is not', () => {
    const of = (change: Partial<SplitTask>): number => {
      const one = task([1, 1, 1], change);
      return minutesFor(one, 0, startOf(one));
    };
    expect(of({})).toBe(12);
    expect(of({ here: 0 })).toBe(1);
    expect(of({ open: [true, false] })).toBe(3);
    expect(of({ open: [false, true], opening: [1, 1] })).toBe(3);
  });
});
