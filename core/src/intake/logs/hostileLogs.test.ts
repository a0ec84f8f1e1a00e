import { expect, test } from 'vitest';
import { hostileLog, wrongWith } from '../../../test/hostileLogs.ts';

// A fixed sample of the campaign, which tries a hundred thousand.
test('a damaged log is read or refused: no figure that is none, no sentence with one, no crash', () => {
  const wrong = Array.from({ length: 80 }, (_, seed) => ({ seed, wrong: wrongWith(hostileLog(seed)) }));
  expect(wrong.filter((w) => w.wrong !== null)).toEqual([]);
});
test('the same number is the same damage, so that a fault of the campaign can be looked at', () => {
  expect(hostileLog(3)).not.toBe(hostileLog(4));
  expect(hostileLog(243)).not.toBe(hostileLog(3));
  expect(hostileLog(3)).toBe(hostileLog(3));
});
