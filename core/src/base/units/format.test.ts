import { expect, test } from 'vitest';
import { formatInterval, formatOhm, formatProbability, formatTemperature, formatVolt } from './format.ts';

test('resistances are told in three figures', () => {
  expect([0.4, 99.96, 245, 999.6, 3600, 11883, 1.2e6, 1e9, Infinity].map(formatOhm)).toEqual([
    '0.40 Ω',
    '100 Ω',
    '245 Ω',
    '1.00 kΩ',
    '3.60 kΩ',
    '11.9 kΩ',
    '1.20 MΩ',
    '1.00 GΩ',
    'OL',
  ]);
});

test('a range has one unit, and is one figure where both ends print alike', () => {
  expect(formatInterval({ low: 2.93, high: 3.004 }, 'volts', 'C')).toBe('2.93 … 3.00 V');
  expect(formatInterval({ low: 3300, high: 3700 }, 'ohms', 'C')).toBe('3.30 … 3.70 kΩ');
  expect(formatInterval({ low: 900, high: 1200 }, 'ohms', 'C')).toBe('900 Ω … 1.20 kΩ');
  expect(formatInterval({ low: Infinity, high: Infinity }, 'ohms', 'C')).toBe('OL');
  expect(formatInterval({ low: -40, high: -40 }, 'celsius', 'F')).toBe('−40 °F');
  expect(formatInterval({ low: -0.001, high: 0.02 }, 'volts', 'C')).toBe('0.00 … 0.02 V');
});

test('probabilities are never 0 or 100 per cent', () => {
  expect([0, 0.004, 0.5, 0.989, 0.9999, 1].map(formatProbability)).toEqual([
    '<1 %',
    '<1 %',
    '50 %',
    '99 %',
    '>99 %',
    '>99 %',
  ]);
});

test('volts and temperatures with a true minus', () => {
  expect(formatVolt(-1.234)).toBe('−1.23 V');
  expect(formatTemperature(20, 'F')).toBe('68 °F');
});

test('what is no figure is never written as one: over the range is OL, nonsense a dash', () => {
  for (const [write, over] of [
    [formatOhm, 'OL'],
    [formatVolt, 'OL'],
    [(v: number) => formatTemperature(v, 'C'), 'no value'],
    [(v: number) => formatTemperature(v, 'F'), 'no value'],
  ] as const) {
    expect(write(Infinity)).toBe(over);
    for (const none of [NaN, -Infinity, 1e308, -1e308, 1e15]) expect(write(none)).toBe('–');
    expect(write(9e14)).not.toBe('–');
  }
});
