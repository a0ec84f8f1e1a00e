import { useLogRoomWords as say } from '@mellow-probe/core/wording/screens/logs';
import { expect, test } from 'vitest';
import type { LogShape } from '../../workers/logs.ts';
import { besideText, headOfFile, isTooLarge, rangeWithin } from './labParts.ts';

const SHAPE = {
  rows: 150_000,
  channels: [
    { id: 'a', name: 'Coolant', quantity: 'celsius', values: 3 },
    { id: 'b', name: 'Signal', quantity: 'volts', values: 4 },
    { id: 'c', name: 'Speed', quantity: 'number', values: 0 },
  ],
  marks: [],
  lengthS: 60,
} as unknown as LogShape;

test('a range stays within the log, and never becomes next to nothing', () => {
  expect(rangeWithin(100, 20, 50)).toEqual([20, 50]);
  expect(rangeWithin(100, -10, 20)).toEqual([0, 30]);
  expect(rangeWithin(100, 90, 120)).toEqual([70, 100]);
  expect(rangeWithin(100, -50, 900)).toEqual([0, 100]);
  const [from, to] = rangeWithin(100, 40, 40);
  expect([from, Number((to - from).toFixed(6))]).toEqual([40, 0.2]);
});
test('a log is too large for the store above 600 000 values, its times counted', () => {
  expect(isTooLarge(SHAPE)).toBe(false);
  expect(isTooLarge({ ...SHAPE, rows: 150_001 })).toBe(true);
});
test('a log from a file is stored with its channels, and how many values they have', () => {
  expect(headOfFile('x.csv', SHAPE, 'id', 'now')).toMatchObject({
    ...{ id: 'id', title: 'x.csv', job: null, from: 'file', samples: 7, lengthS: 60, startedAt: 'now', endedAt: 'now' },
    channels: [
      { id: 'a', name: 'Coolant', quantity: 'celsius' },
      { id: 'b', name: 'Signal', quantity: 'volts' },
      { id: 'c', name: 'Speed', quantity: 'number' },
    ],
  });
});
test('what became of a second file: where it was put, by which way, or why it was not', () => {
  const beside = (offsetS: number, correlation: number | null) =>
    besideText('b.csv', { ok: true, shape: SHAPE, offsetS, correlation });
  expect(besideText('b.csv', null)).toBe(say.noMatchByShape);
  expect(besideText('b.csv', { ok: false } as never)).toBe(say.unreadable('b.csv'));
  expect(beside(-12.34, null)).toBe(say.liesEarlier('b.csv', '12.3'));
  expect(beside(12.34, null)).toBe(say.liesLater('b.csv', '12.3'));
  expect(beside(0, null)).toBe(say.liesLater('b.csv', '0.0'));
  expect(beside(-1, 0.987)).toBe(say.earlierByShape('b.csv', '1.0', '0.99'));
  expect(beside(1, 0.987)).toBe(say.laterByShape('b.csv', '1.0', '0.99'));
});
