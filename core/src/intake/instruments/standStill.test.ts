import { expect, test } from 'vitest';
import { standStill } from './standStill.ts';

/** Values a third of a second apart. */
const shown = (...values: number[]) => values.map((value, i) => ({ timeS: i / 3, value }));

test.each([
  ['a whole degree that comes late in the window', [20, 20, 20, 20, 20, 20, 20, 21, 21]],
  ['a display that flickers between two degrees', [20, 21, 20, 21, 21, 20, 21, 20, 21]],
  ['one that shows every second degree', [20, 22, 20, 20, 22, 22, 20, 22, 22]],
])('%s is steady', (_, values) => {
  expect(standStill(shown(...values), 'celsius')).toMatchObject({ still: true });
});
test('two degrees in three seconds are a movement, and its speed is told', () => {
  const rising = standStill(shown(20, 20, 20, 21, 21, 21, 22, 22, 22), 'celsius');
  expect(rising).toMatchObject({ still: false, why: 'moving' });
  // The line through them climbs 0.9 °C a second.
  expect('amount' in rising && rising.amount).toBeCloseTo(54, 0);
  const falling = standStill(shown(22, 22, 22, 21, 21, 21, 20, 20, 20), 'celsius');
  expect('amount' in falling && falling.amount).toBeCloseTo(-54, 0);
});
test('a jump is no step of a display', () => {
  expect(standStill(shown(20, 20, 20, 20, 60, 60, 60, 60, 60), 'celsius')).toMatchObject({ still: false });
  expect(standStill(shown(5, 0, 5, 0, 5, 0, 5, 0, 5), 'volts')).toMatchObject({ still: false, why: 'noisy' });
});
test('volts in hundredths that flicker are steady; a fine meter that drifts moves', () => {
  expect(standStill(shown(2.49, 2.5, 2.49, 2.5, 2.5, 2.49, 2.5, 2.5, 2.5), 'volts')).toMatchObject({
    still: true,
    value: 2.5,
  });
  const drifting = Array.from({ length: 9 }, (_, i) => 2.5 + 0.004 * i);
  expect(standStill(shown(...drifting), 'volts')).toMatchObject({ still: false, why: 'moving' });
});
