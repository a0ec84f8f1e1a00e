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
  // A line that drops out has no slope, wherever in the window it does.
  for (const values of [
    [20, 20, 20, 20, 60, 60, 60, 60, 60],
    [88, 88, 88, 88, 88, 88, 88, 88, -40],
    [-40, 88, 88, 88, 88, 88, 88, 88, 88],
    [20, 20, 20, 20.4, 23.1, 23.4, 23.4, 23.4, 23.4],
  ])
    expect(standStill(shown(...values), 'celsius')).toMatchObject({ still: false, why: 'noisy' });
  expect(standStill(shown(5, 0, 5, 0, 5, 0, 5, 0, 5), 'volts')).toMatchObject({ still: false, why: 'noisy' });
});
test('what changes in several steps moves, however fast', () => {
  // Three values in the window, 30 K apart: a sensor under a hot air gun.
  expect(
    standStill(
      [20, 50, 80].map((value, i) => ({ timeS: 1.4 * i, value })),
      'celsius',
    ),
  ).toMatchObject({
    why: 'moving',
  });
  // Seven tenths of it in one step is still a movement, as is one step of a coarse display.
  expect(standStill(shown(20, 20, 21, 22, 29, 29, 30, 30, 30), 'celsius')).toMatchObject({ why: 'moving' });
  expect(standStill(shown(20, 20, 20, 20.5, 23, 23, 23, 23, 23), 'celsius')).toMatchObject({ why: 'moving' });
});
test('volts in hundredths that flicker are steady; a fine meter that drifts moves', () => {
  expect(standStill(shown(2.49, 2.5, 2.49, 2.5, 2.5, 2.49, 2.5, 2.5, 2.5), 'volts')).toMatchObject({
    still: true,
    value: 2.5,
  });
  const drifting = Array.from({ length: 9 }, (_, i) => 2.5 + 0.004 * i);
  expect(standStill(shown(...drifting), 'volts')).toMatchObject({ still: false, why: 'moving' });
});
