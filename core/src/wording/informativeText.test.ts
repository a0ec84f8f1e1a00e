import { expect, test } from 'vitest';
import { informativeText } from './informativeText.ts';

test('three words for what a test tells', () => {
  expect([1.4, 0.7, 0.69, 0.2, 0.19, 0].map(informativeText)).toEqual([
    'very informative',
    'very informative',
    'informative',
    'informative',
    'little information',
    'little information',
  ]);
});
