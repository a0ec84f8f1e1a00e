import { expect, test } from 'vitest';
import type { Interval } from '@mellow-probe/core/base/numeric/interval';
import { chartRows } from './chartRows.ts';
import { meterScale } from './meterScale.ts';

test('the table of a chart: every point with its line, four figures, gaps and pictures left out', () => {
  expect(
    chartRows([
      { type: 'scatter', name: 'sound <b>x</b>', x: [1, 2.00001, 3], y: [0.123456, NaN, 12345] },
      { type: 'scatter', x: ['cold', 'hot'], y: [1] },
      { type: 'heatmap', z: [[1]] },
    ]),
  ).toEqual([
    { line: 'sound x', x: '1', y: '0.1235' },
    { line: 'sound x', x: '3', y: '12350' },
    { line: 'line 2', x: 'cold', y: '1' },
  ]);
});

test('the scale of a meter: even for volts, by decades for ohms that span much, OL at the right end', () => {
  const span = (low: number, high: number): Interval => ({ low, high });
  const volts = meterScale([span(0, 2), span(2, 5)], [4], 'volts');
  expect([volts(0), volts(2.5), volts(5)]).toEqual([4, 50, 96]);
  const ohms = meterScale([span(100, 1000)], [10_000], 'ohms');
  expect(ohms(1000)).toBeCloseTo(50, 9);
  expect(meterScale([span(100, 200)], [], 'ohms')(150)).toBeCloseTo(50, 9);
  const open = meterScale([span(1, 2)], [Infinity], 'volts');
  expect([open(2), open(Infinity)]).toEqual([80, 96]);
  expect(meterScale([span(3, 3)], [], 'volts')(3)).toBe(50);
});
