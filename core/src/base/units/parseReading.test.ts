import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type FigureQuantity } from './quantity.ts';
import { parseReading } from './parseReading.ts';

const value = (text: string, quantity: FigureQuantity, unit?: 'C' | 'F'): number | string => {
  const parsed = parseReading(text, quantity, { temperatureUnit: unit });
  return parsed.ok ? Number(parsed.value.toPrecision(12)) : parsed.reason;
};

describe('what a technician types', () => {
  test.each([
    ['4k7', 4700],
    ['2.88k', 2880],
    ['2,88 k', 2880],
    ['2.88 kΩ', 2880],
    ['11 883', 11883],
    ['11 883', 11883],
    ["11'883", 11883],
    ['1,234,567', 1234567],
    ['11,883.5', 11883.5],
    ['11.883,5', 11883.5],
    ['3600', 3600],
    ['3600 ohm', 3600],
    ['2M2', 2.2e6],
    ['1.2 MΩ', 1.2e6],
    ['4R7', 4.7],
    ['0', 0],
    ['2.2e3', 2200],
    ['.5k', 500],
    ['0,047 k', 47],
    ['OL', Infinity],
    ['o.l', Infinity],
    ['0L', Infinity],
    ['∞', Infinity],
    ['open', Infinity],
  ])('%s is %d Ω', (text, ohm) => expect(value(text, 'ohms')).toBe(ohm));

  test.each([
    ['1880 mV', 1.88],
    ['4.4', 4.4],
    ['4,40', 4.4],
    ['5.01V', 5.01],
    ['−0.02 V', -0.02],
    ['5,010', 5.01],
    ['12.6 volts', 12.6],
  ])('%s is %d V', (text, volt) => expect(value(text, 'volts')).toBe(volt));

  test.each([
    ['64F', 17.7777777778],
    ['64 °F', 17.7777777778],
    ['-40', -40],
    ['-40F', -40],
    ['12 °C', 12],
    ['285.15 K', 12],
    ['21,5', 21.5],
  ])('%s is %d °C', (text, celsius) => expect(value(text, 'celsius')).toBe(celsius));

  test('a bare temperature follows the switch, the unit typed wins', () => {
    expect(value('68', 'celsius', 'F')).toBe(20);
    expect(value('20C', 'celsius', 'F')).toBe(20);
    expect(value('-40', 'celsius', 'F')).toBe(-40);
  });

  test('what can be read in two ways is asked, not guessed', () => {
    expect(parseReading('11,883', 'ohms')).toEqual({
      ok: false,
      reason: 'ambiguous',
      choices: [
        { text: '11.8830', value: 11.883 },
        { text: '11883', value: 11883 },
      ],
    });
    expect(parseReading('2.2m', 'ohms')).toEqual({
      ok: false,
      reason: 'ambiguous',
      choices: [
        { text: '2.2 mΩ', value: 0.0022 },
        { text: '2.2 MΩ', value: 2.2e6 },
      ],
    });
  });

  test.each([
    ['', 'ohms', 'empty'],
    ['abc', 'ohms', 'not-a-number'],
    ['3.3.3', 'ohms', 'not-a-number'],
    ['12k7x', 'ohms', 'not-a-number'],
    ['1 23', 'ohms', 'not-a-number'],
    ['-20', 'ohms', 'negative'],
    ['5 V', 'ohms', 'wrong-unit'],
    ['12C', 'ohms', 'wrong-unit'],
    ['4k7', 'volts', 'wrong-unit'],
    ['5V2', 'ohms', 'wrong-unit'],
    ['3 kΩ', 'volts', 'wrong-unit'],
    ['OL', 'volts', 'overload-not-here'],
    ['-300', 'celsius', 'below-absolute-zero'],
    ['-500F', 'celsius', 'below-absolute-zero'],
    ['9000', 'volts', 'out-of-range'],
    ['x'.repeat(500), 'ohms', 'not-a-number'],
  ] as const)('%s on %s: %s', (text, quantity, reason) => expect(value(text, quantity)).toBe(reason));
});

describe('any text at all', () => {
  const quantity = fc.constantFrom<FigureQuantity>('volts', 'ohms', 'celsius', 'number');
  test('never throws, never gives NaN, and OL only for ohms', () => {
    const texts = fc.oneof(fc.string({ unit: 'binary' }), fc.stringMatching(/^[-+0-9.,eEkKMmRrVFCΩ °OL]{0,14}$/));
    fc.assert(
      fc.property(texts, quantity, (text, q) => {
        const parsed = parseReading(text, q);
        if (parsed.ok) {
          expect(parsed.value).not.toBeNaN();
          if (parsed.value === Infinity) expect(q).toBe('ohms');
          if (q === 'ohms') expect(parsed.value).toBeGreaterThanOrEqual(0);
        } else if (parsed.reason === 'ambiguous') expect(parsed.choices.length).toBeGreaterThan(1);
      }),
      { numRuns: 2000, seed: 7 },
    );
  });
  test('a plain decimal number is read as itself', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e6, noNaN: true }), (x) => {
        const text = x.toFixed(2);
        expect(value(text, 'ohms')).toBeCloseTo(Number(text), 9);
      }),
      { seed: 8 },
    );
  });
});
