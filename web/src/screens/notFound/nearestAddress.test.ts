import { expect, test } from 'vitest';
import { nearestAddress } from './nearestAddress.ts';

test.each([
  ['/logbok', '/logbook'],
  ['/Shelf/curves', '/shelf'],
  ['/LOG', '/logs'],
  ['/safeway', '/'],
  ['/trian/course', '/train'],
  ['/wholly-else', '/'],
  ['/', '/'],
  ['', '/'],
] as const)('“%s” is probably %s: at most two letters differ', (asked, meant) => {
  expect(nearestAddress(asked).path).toBe(meant);
});
