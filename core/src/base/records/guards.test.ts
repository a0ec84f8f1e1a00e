import { expect, test } from 'vitest';
import { deeperThan } from './deeperThan.ts';
import { FORMULA_CELL } from './formulaCell.ts';

test('depth and parts are counted without falling into them', () => {
  const nested = (levels: number): unknown => JSON.parse('['.repeat(levels) + ']'.repeat(levels));
  expect(deeperThan(7, 0, 0)).toBe(false);
  expect([deeperThan(nested(5), 5, 100), deeperThan(nested(6), 4, 100)]).toEqual([false, true]);
  expect(deeperThan(nested(200_000), 24, 1e9)).toBe(true);
  expect([deeperThan([1, 2, 3], 5, 3), deeperThan([1, 2, 3], 5, 2), deeperThan({ a: { b: 1 } }, 5, 1)]).toEqual([
    ...[false, true, true],
  ]);
});

test('cells that a spreadsheet would work out are known, figures are let alone', () => {
  for (const cell of ['=1+1', ' =1', '@x', '+cmd', '-2+3', '＝1+1', '＋1+1', '－x', '＠x', '\t=1', '-A1'])
    expect(FORMULA_CELL.test(cell), cell).toBe(true);
  for (const cell of ['-40', '-12,5', '+3.5', 'OL', '2.88 kΩ', 'a=b', '–5'])
    expect(FORMULA_CELL.test(cell), cell).toBe(false);
});
