import { describe, expect, test } from 'vitest';
import type { FaultPosterior } from '../../inference/posterior/posterior.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { BINS } from './information.ts';
import { type Outcome, outcomesOf } from './outcomes.ts';

// Tables of outcomes by hand: a border lies at its own number, so that intervals read as bins.
const fault = (id: string): FaultPosterior => ({ fault: { id, name: `fault ${id}` } }) as unknown as FaultPosterior;
const NAMES = ['a', 'b', 'c', 'd', 'e'];
/** Each fault by the mass in its bins; OL is bin 96. */
function told(bins: readonly Record<number, number>[], shares: readonly number[]): Outcome[] {
  const given = bins.map((mass) => {
    const table = new Float64Array(BINS + 1);
    for (const [b, p] of Object.entries(mass)) table[Number(b)] = p;
    return table;
  });
  return outcomesOf(NAMES.slice(0, bins.length).map(fault), { given, shares, border: (b) => b });
}
const even = (from: number, to: number): Record<number, number> =>
  Object.fromEntries(Array.from({ length: to - from }, (_, i) => [from + i, 1 / (to - from)]));

describe('the classes of what a test can show', () => {
  test('suspects that show different things make a class each, likeliest first, with what it leaves', () => {
    const classes = told([even(0, 10), even(40, 50), even(80, 90)], [0.2, 0.5, 0.3]);
    expect(classes.map((c) => c.leaves)).toEqual([
      [{ fault: 'b', name: 'fault b', probability: 1 }],
      [{ fault: 'c', name: 'fault c', probability: 1 }],
      [{ fault: 'a', name: 'fault a', probability: 1 }],
    ]);
    expect(classes.map((c) => Number(c.probability.toFixed(9)))).toEqual([0.5, 0.3, 0.2]);
    expect(classes.map((c) => c.interval)).toEqual([
      { low: 40, high: 50 },
      { low: 80, high: 90 },
      { low: 0, high: 10 },
    ]);
  });
  test('an interval is the middle 95 % of its class: 2 % at either side are left out, 3 % are not', () => {
    const at = (tail: number): Outcome['interval'] =>
      told([{ 5: tail, 20: 1 - 2 * tail, 30: tail }, even(60, 61)], [0.5, 0.5]).find((c) => c.leaves[0].fault === 'a')!
        .interval;
    expect(at(0.02)).toEqual({ low: 20, high: 21 });
    expect(at(0.03)).toEqual({ low: 5, high: 31 });
  });
  test('OL is a class of its own, and a class that holds a little OL is told by its figures', () => {
    const classes = told([{ [BINS]: 1 }, even(10, 12)], [0.4, 0.6]);
    expect(classes[1]).toMatchObject({
      interval: { low: Infinity, high: Infinity },
      leaves: [{ fault: 'a', probability: 1 }],
    });
    expect(classes[1].probability).toBeCloseTo(0.4, 12);
    // One suspect shows both: figures and OL are then one class, unless OL is most of it.
    const both = (open: number): Outcome =>
      told([{ 90: 1 - open, [BINS]: open }, even(10, 12)], [0.5, 0.5]).find((c) => c.leaves[0].fault === 'a')!;
    expect(both(0.3).interval).toEqual({ low: 90, high: 91 });
    expect(both(0.3).probability).toBeCloseTo(0.5, 12);
    expect(both(0.7).interval.low).toBe(Infinity);
    expect(both(0.5).interval).toEqual({ low: 90, high: 91 });
  });
  test('no more than four classes, no more than three suspects named, none below 8 %, no class below 2 %', () => {
    const five = told(
      [0, 20, 40, 60, 80].map((b) => even(b, b + 4)),
      [0.3, 0.25, 0.2, 0.15, 0.1],
    );
    expect(five).toHaveLength(4);
    const alike = told([even(0, 4), even(0, 4), even(0, 4), even(0, 4), even(80, 84)], [0.24, 0.22, 0.21, 0.2, 0.13]);
    expect(alike[0].leaves.map((l) => l.fault)).toEqual(['a', 'b', 'c']);
    expect(alike[0].leaves[0].probability).toBeCloseTo(0.24 / 0.87, 9);
    const few = told([even(0, 4), even(0, 4), even(80, 84)], [0.47, 0.04, 0.49]);
    expect(few.find((c) => c.interval.low === 0)!.leaves.map((l) => l.fault)).toEqual(['a']);
    const just = told([even(0, 4), even(0, 4), even(80, 84)], [0.46, 0.041, 0.499]);
    expect(just.find((c) => c.interval.low === 0)!.leaves.map((l) => l.fault)).toEqual(['a', 'b']);
    expect(told([even(0, 4), even(80, 84)], [0.985, 0.015])).toHaveLength(1);
    expect(told([even(0, 4), even(80, 84)], [0.975, 0.025])).toHaveLength(2);
  });
  test('two classes are enough where a third would tell next to nothing', () => {
    // Both halves of the upper suspect are his: nothing is won by a cut between them.
    expect(told([even(0, 5), { ...even(40, 41), 40: 0.5, 80: 0.5 }], [0.5, 0.5])).toHaveLength(2);
  });
});

/** What classes tell of the fault, bits: each bin with mass belongs to the class whose interval holds it. */
function bitsOf(cells: readonly (readonly number[])[]): number {
  const log = (p: number): number => (p > 0 ? p * Math.log2(p) : 0);
  return cells.reduce((sum, row) => sum + row.reduce((s, p) => s + log(p), 0) - log(row.reduce((s, p) => s + p, 0)), 0);
}

test('against every possible cut: the classes tell as much as the best ones of their number', () => {
  const uniform = seededUniform(7);
  const BINS_USED = 8;
  let worst = 1;
  for (let round = 0; round < 60; round++) {
    const bins = Array.from({ length: 3 }, () => {
      const raw = Array.from({ length: BINS_USED }, () => 0.3 + uniform() * uniform() * 4);
      const total = raw.reduce((a, b) => a + b, 0);
      return Object.fromEntries(raw.map((p, b) => [b * 10, p / total]));
    });
    const shares = [0.4, 0.35, 0.25];
    const cell = (from: number, to: number): number[] =>
      bins.map((mass, i) => {
        let p = 0;
        for (let b = from; b < to; b++) p += mass[b * 10];
        return shares[i] * p;
      });
    const classes = told(bins, shares);
    // Each bin holds more than the tails that an interval leaves out.
    const found = classes.map((c) => cell(Math.ceil(c.interval.low / 10), Math.floor((c.interval.high - 1) / 10) + 1));
    expect(found.flat().reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    let best = -Infinity;
    const cut = (borders: number[], left: number): void => {
      if (left === 0) {
        const all = [0, ...borders, BINS_USED];
        best = Math.max(best, bitsOf(all.slice(1).map((to, k) => cell(all[k], to))));
        return;
      }
      for (let b = (borders[borders.length - 1] ?? 0) + 1; b < BINS_USED; b++) cut([...borders, b], left - 1);
    };
    cut([], classes.length - 1);
    const none = bitsOf([cell(0, BINS_USED)]);
    const share = (bitsOf(found) - none) / (best - none);
    worst = Math.min(worst, share);
  }
  expect(worst).toBeGreaterThan(1 - 1e-9);
});
