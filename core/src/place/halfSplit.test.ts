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
