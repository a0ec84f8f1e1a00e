import { expect, test } from 'vitest';
import { scoreDiagram } from './diagramBar.ts';

// Ten of the forty drawn diagrams of `npm run accuracy`: linear and logarithmic, four inks, one and two curves, askew, shaded, JPEG.
const SCORES = [1, 2, 3, 4, 9, 14, 21, 24, 30, 35].map(scoreDiagram);

test('a line of a photographed diagram is followed by one tap beside it', () => {
  expect(SCORES.filter((s) => !s.followed).map((s) => s.name)).toEqual([]);
});
test('temperatures are right where a pixel tells them, and what is stated holds', () => {
  const errors = SCORES.flatMap((s) => s.errorsK).sort((a, b) => a - b);
  expect(errors.length).toBeGreaterThan(60);
  expect(errors[errors.length >> 1]).toBeLessThan(0.3);
  const sum = (of: (s: (typeof SCORES)[number]) => number): number => SCORES.reduce((all, s) => all + of(s), 0);
  expect(sum((s) => s.held) / sum((s) => s.points)).toBeGreaterThanOrEqual(0.95);
});
