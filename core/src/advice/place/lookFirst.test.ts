import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { HINTS, hintFactor } from '../../circuit/harness/hints.ts';
import { newHarness, newStop } from '../../circuit/harness/harnessSchema.ts';
import { genericKit } from '../../catalogue/kit/kitSchema.ts';
import { after, bestSplit, minutesFor, type SplitTask, startOf } from './halfSplit.ts';
import { lookFirst as lookBefore } from './lookFirst.ts';
import { reachOf, usualReach } from './harnessReach.ts';

/** Three stops between module and plug, read on either side: places are the contacts and the runs between. */
const CONNECTORS = 3;
const CUTS = [1, 2, 3].flatMap((stop) => [2 * stop, 2 * stop + 1].map((point) => ({ stop, point })));
const BORDERS = [0, ...CUTS.map((c) => c.point), 2 * CONNECTORS + 3];
const weigh = (shares: readonly number[]): number[] =>
  BORDERS.slice(1).map((to, i) => shares.slice(BORDERS[i], to).reduce((a, b) => a + b, 0));
const taskOf = (shares: readonly number[], reach: readonly number[], change: Partial<SplitTask> = {}): SplitTask => ({
  weights: weigh(shares),
  cuts: CUTS.map(({ stop }, i) => ({ before: i + 1, stop })),
  reach,
  opening: reach.map((_, i) => i),
  open: reach.map(() => false),
  here: -1,
  minutes: { beside: 1, probe: 2, again: 1 },
  sure: 0.9,
  ...change,
});
const { looks } = usualReach(CONNECTORS);
type Rest = Parameters<typeof lookBefore> extends [unknown, unknown, ...infer R] ? R : never;
const lookFirst = (task: SplitTask, ...rest: Rest) => lookBefore(task, bestSplit(task).minutes, ...rest);
const EVEN = new Array<number>(9).fill(1);
/** The sensor plug is got at in no time, the connectors lie deep in the plant. */
const DEEP = [20, 20, 20, 20, 3];
const PLUG = 4;
const SHARES = [1, 1, 1, 1, 1, 1, 1, 1, 6];

/** Minutes of the search for a bad place (by the places of the task) that follows the best order for `task`. */
function spent(task: SplitTask, bad: number): number {
  const { rule } = bestSplit(task);
  let at = startOf(task);
  let minutes = 0;
  for (let cut = rule(task, at); cut >= 0; cut = rule(task, at)) {
    minutes += minutesFor(task, cut, at);
    at = after(task, cut, at, bad >= task.cuts[cut].before);
  }
  return minutes;
}

describe('what to look at first', () => {
  test('what it saves is what a thousand searches would save: each bad place, each outcome, by its chance', () => {
    const numbers = fc.array(fc.double({ min: 0.2, max: 6, noNaN: true }), { minLength: 9, maxLength: 9 });
    const minutes = fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 5, maxLength: 5 });
    let said = 0;
    fc.assert(
      fc.property(numbers, minutes, fc.constantFrom('return' as const, 'leak' as const), (shares, reach, strand) => {
        const task = taskOf(shares, reach);
        const found = lookFirst(task, shares, weigh, strand, { looks });
        if (!found) return;
        said++;
        const [yes, no] = found.outcomes.map(({ hint }) => HINTS.find((h) => h.id === hint)!);
        const of = strand === 'leak' ? 'leak' : 'series';
        // Chance of the outcome where the contact is sound and where it is bad, by their ratios.
        const sound = (1 - no[of]) / (yes[of] - no[of]);
        const element = 2 * found.stop;
        const total = shares.reduce((a, b) => a + b, 0);
        const place = (e: number): number => BORDERS.slice(1).findIndex((to) => e < to);
        const [after, chance] = [
          [0, 0],
          [0, 0],
        ];
        let plain = 0;
        shares.forEach((share, e) => {
          plain += (share / total) * spent(task, place(e));
          [yes[of], no[of]].forEach((factor, i) => {
            const seen = e === element ? factor * (i === 0 ? sound : 1 - sound) : i === 0 ? sound : 1 - sound;
            const weights = weigh(shares.map((s, k) => (k === element ? s * factor : s)));
            after[i] += (share / total) * seen * spent({ ...task, weights }, place(e));
            chance[i] += (share / total) * seen;
          });
        });
        expect(found.outcomes[0].probability).toBeCloseTo(chance[0], 9);
        expect(found.outcomes[1].probability).toBeCloseTo(chance[1], 9);
        expect(found.saves).toBeCloseTo(plain - after[0] - after[1] - found.minutes, 6);
        expect(found.saves).toBeGreaterThanOrEqual(0.5);
      }),
      { numRuns: 300, seed: 12 },
    );
    expect(said).toBeGreaterThan(10);
  });

  test('the plug at hand is wiggled before connectors deep in the plant are laid open; where all are at hand, none', () => {
    const found = lookFirst(taskOf(SHARES, DEEP), SHARES, weigh, 'return', { looks })!;
    expect(found).toMatchObject({ kind: 'wiggle', stop: PLUG });
    expect(found.minutes).toBeCloseTo(1 + 0.3 * 3, 9);
    const [yes, no] = found.outcomes;
    // 12 · 6 to 8 others, 0.6 · 6 to 8 others: the weights of the hints.
    expect(yes).toMatchObject({ hint: 'wiggle-moves', likeliest: 8, share: 0.9 });
    expect(no).toMatchObject({ hint: 'wiggle-still', likeliest: 8 });
    expect(no.share).toBeCloseTo(3.6 / 11.6, 9);
    expect(yes.probability + no.probability).toBe(1);
    expect(lookFirst(taskOf(EVEN, [1, 1, 1, 1, 1]), EVEN, weigh, 'return', { looks })).toBeNull();
    // Not again where it was done, nor where the contact is hardly a suspect.
    const left = looks.filter((l) => l.stop !== PLUG);
    expect(lookFirst(taskOf(SHARES, DEEP), SHARES, weigh, 'return', { looks: left })?.stop).not.toBe(PLUG);
    const unlikely = [1, 1, 1, 1, 1, 1, 1, 1, 0.1];
    expect(lookFirst(taskOf(unlikely, DEEP), unlikely, weigh, 'return', { looks })?.stop).not.toBe(PLUG);
  });

  test('it costs a minute where one stands, a walk where it is open, and part of the way else', () => {
    const cost = (change: Partial<SplitTask>): number =>
      lookFirst(taskOf(SHARES, DEEP, change), SHARES, weigh, 'return', { looks })!.minutes;
    const open = [false, false, false, false, true];
    expect(cost({ here: PLUG, open })).toBe(1);
    expect(cost({ open })).toBe(2);
    expect(cost({ opening: [0, 1, 2, 3, 0], open: [true, false, false, false, false] })).toBe(2);
  });
});

describe('the looks of a loom', () => {
  test('two at every stop, with what the hints weigh; none where it was done', () => {
    const loom = { ...newHarness(), stops: [newStop('a', 'connector'), newStop('b', 'splice')] };
    loom.stops[0].hints = ['wiggle-still', 'wet'];
    loom.stops[1].hints = ['looked'];
    const found = reachOf(loom, genericKit()).looks;
    expect(found.map(({ stop, kind }) => `${stop} ${kind}`)).toEqual([
      '0 wiggle',
      '0 look',
      '1 look',
      '2 wiggle',
      '3 wiggle',
      '3 look',
    ]);
    const [, look, wet] = found;
    expect(look.outcomes).toEqual([
      { hint: 'corroded', series: 6, leak: 4 },
      { hint: 'looked', series: 0.5, leak: 0.4 },
    ]);
    // Together hints weigh like one good look at most: 0.6 · 4 · 6 stays below 30, for leaks 0.7 · 6 · 4 as well.
    expect(wet.outcomes[0].series).toBeCloseTo(hintFactor(['wiggle-still', 'wet', 'corroded'], 'series') / 2.4, 9);
    expect(found[3].outcomes[0]).toMatchObject({ hint: 'wiggle-moves', series: 12, leak: 8 });
  });
});
