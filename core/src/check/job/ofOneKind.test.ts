import { expect, test } from 'vitest';
import type { ReadingInput } from '../../inference/model/problem.ts';
import { MOST_OF_A_KIND, ofOneKind } from './ofOneKind.ts';

const read = (id: string, value: number, more: Partial<ReadingInput> = {}): ReadingInput => ({
  ...{ id, value, measurement: 'open-voltage', conditions: {}, state: 'steady' },
  ...more,
});
const many = (n: number, value: (i: number) => number, more: Partial<ReadingInput> = {}): ReadingInput[] =>
  Array.from({ length: n }, (_, i) => read(`r${i}`, value(i), more));

test('few of a kind are weighed one by one, whatever else there is', () => {
  const all = [
    ...many(MOST_OF_A_KIND, (i) => i),
    ...many(MOST_OF_A_KIND, (i) => i, { state: 'hot' }),
    ...many(MOST_OF_A_KIND, (i) => i, { measurement: 'displayed' }),
    ...many(MOST_OF_A_KIND, (i) => i, { conditions: { bathC: 60 } }),
  ];
  expect(ofOneKind(all)).toEqual(all);
});
test('of many of a kind the middle and the width stay, outliers fall out, in the order they were taken', () => {
  const noisy = many(400, (i) => (i === 7 ? 99 : ((i * 37) % 400) / 100));
  const left = ofOneKind(noisy);
  expect(left).toHaveLength(MOST_OF_A_KIND);
  const values = left.map((r) => r.value);
  expect(Math.max(...values)).toBeLessThan(4);
  expect(values.reduce((a, b) => a + b, 0) / values.length).toBeCloseTo(2, 1);
  expect(Math.max(...values) - Math.min(...values)).toBeCloseTo((4 * 7) / 8, 1);
  const order = left.map((r) => Number(r.id.slice(1)));
  expect(order).toEqual([...order].sort((a, b) => a - b));
});
test('while wiggled the ends are kept: one dropout in a hundred is the finding; OL sorts above all', () => {
  const left = ofOneKind(many(100, (i) => (i === 50 ? Infinity : i === 20 ? 0 : 2200), { state: 'wiggling' }));
  expect(left).toHaveLength(MOST_OF_A_KIND);
  expect(left.map((r) => r.value)).toEqual(expect.arrayContaining([0, Infinity]));
});
