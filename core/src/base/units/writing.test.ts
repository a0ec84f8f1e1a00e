import { afterEach, expect, test } from 'vitest';
import { formatInterval, formatOhm, formatOhmRoughly, formatTemperature, formatVolt } from './format.ts';
import { parseReading } from './parseReading.ts';
import { counted, dayText, fixed, momentText, significant, writeBy, type Writing } from './writing.ts';

const PLAIN: Writing = {
  decimal: '.',
  day: (iso) => iso.slice(0, 10),
  moment: (iso) => iso.slice(0, 16).replace('T', ' '),
};
afterEach(() => writeBy(PLAIN));

test('points and ISO days, until something else is said', () => {
  expect([fixed(-1.234, 2), fixed(-0.001, 2), fixed(0, 0), fixed(-0.4, 0), fixed(12, 1)]).toEqual([
    ...['−1.23', '0.00', '0', '0', '12.0'],
  ]);
  expect([significant(1240.04, 4), significant(-0.05, 2), significant(0, 3)]).toEqual(['1240', '−0.05', '0']);
  expect([0, 999, 1000, 1234567].map(counted)).toEqual(['0', '999', '1,000', '1,234,567']);
  expect(dayText('2026-11-07')).toBe('2026-11-07');
  expect(momentText('2026-11-07T08:09:10Z')).toBe('2026-11-07 08:09');
});

test('a decimal comma in every figure, asked anew each time; what is written so is read so', () => {
  const way: Writing = { ...PLAIN, decimal: ',', day: (iso) => iso.slice(0, 10).split('-').reverse().join('.') };
  writeBy(way);
  expect([formatVolt(-4.4), formatOhm(3600), formatOhmRoughly(3650), formatTemperature(21.25, 'C', 1)]).toEqual([
    ...['−4,40 V', '3,60 kΩ', '3,7 kΩ', '21,3 °C'],
  ]);
  expect(formatInterval({ low: 3300, high: 3700 }, 'ohms', 'C')).toBe('3,30 … 3,70 kΩ');
  expect([fixed(1.5, 1), significant(0.25, 2), counted(1234567)]).toEqual(['1,5', '0,25', '1\u202F234\u202F567']);
  expect(dayText('2026-11-07')).toBe('07.11.2026');
  for (const ohm of [0.4, 245, 3600, 11883, 1.2e6])
    expect(parseReading(formatOhm(ohm), 'ohms')).toMatchObject({ ok: true, value: Number(ohm.toPrecision(3)) });
  for (const volt of [0.05, 4.4, -4.4, 12.6])
    expect(parseReading(formatVolt(volt), 'volts')).toMatchObject({ ok: true, value: volt });
  way.decimal = '.';
  expect(fixed(1.5, 1)).toBe('1.5');
});

test('an estimate has two figures at most, and the same words at the ends', () => {
  expect([0.456, 14.96, 151, 3650, 99_600, 2e9, Infinity, NaN].map(formatOhmRoughly)).toEqual([
    ...['0.46 Ω', '15 Ω', '150 Ω', '3.7 kΩ', '100 kΩ', '2 GΩ', 'OL', '–'],
  ]);
});
