import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ohmBand } from './ohmBand.ts';
import { NOTICED, toldSigmaK, toldTemperature } from './toldTemperature.ts';

const told = (text: string, unit: 'C' | 'F' = 'C') => {
  const result = toldTemperature(text, unit);
  return result.ok
    ? [result.told.kind, Number(result.told.middleC.toFixed(2)), Number(result.told.halfWidthK.toFixed(2))]
    : result.reason;
};

describe('a temperature as people have it', () => {
  test.each([
    ['20', ['figure', 20, 0]],
    ['-40', ['figure', -40, 0]],
    ['68F', ['figure', 20, 0]],
    ['~20', ['about', 20, 0]],
    ['about 68 °F', ['about', 20, 0]],
    ['20ish', ['about', 20, 0]],
    ['18…24', ['range', 21, 3]],
    ['18...24', ['range', 21, 3]],
    ['18-24', ['range', 21, 3]],
    ['18 – 24 °C', ['range', 21, 3]],
    ['18 to 24', ['range', 21, 3]],
    ['between 18 and 24', ['range', 21, 3]],
    ['-5…5', ['range', 0, 5]],
    ['-10 - -5', ['range', -7.5, 2.5]],
    ['64-75 F', ['range', 20.83, 3.06]],
    ['20±3', ['range', 20, 3]],
    ['20 ± 3 °C', ['range', 20, 3]],
    ['68 ± 9 F', ['range', 20, 5]],
    ['<50', ['range', 20, 30]],
    ['under 50', ['range', 20, 30]],
    ['> 60', ['range', 90, 30]],
    ['over 140 F', ['range', 90, 30]],
    ['>300', ['range', 315, 15]],
    ['stood overnight', ['noticed', 11.5, 16.5]],
    ['stood overnight, 12', ['about', 12, 0]],
    ['hoses can be touched', ['noticed', 27.5, 22.5]],
    ['too hot to touch', ['noticed', 85, 30]],
    ['ice on it', ['noticed', -10.5, 11.5]],
    ['at the thermostat', ['noticed', 90, 8]],
  ])('%s', (text, expected) => expect(told(text)).toEqual(expected));
  test('a bare range is in the unit in force', () => {
    expect(told('64-75', 'F')).toEqual(['range', 20.83, 3.06]);
    expect(told('68±9', 'F')).toEqual(['range', 20, 5]);
    expect(told('18-24 C', 'F')).toEqual(['range', 21, 3]);
  });
  test.each([
    ['hot', 'not-a-number'],
    ['warm', 'not-a-number'],
    ['…24', 'not-a-number'],
    ['18…', 'not-a-number'],
    ['<', 'not-a-number'],
    ['20±', 'not-a-number'],
    ['24…18', 'upside-down'],
    ['20 Ω', 'wrong-unit'],
    ['-300', 'below-absolute-zero'],
    ['', 'empty'],
  ])('“%s” is asked: %s', (text, reason) => expect(told(text)).toBe(reason));
  test('what a tap writes is what it is read as, with a source', () => {
    for (const { text, lowC, highC, source } of NOTICED) {
      const result = toldTemperature(text, 'F');
      expect(
        result.ok && [result.told.middleC - result.told.halfWidthK, result.told.middleC + result.told.halfWidthK],
      ).toEqual([lowC, highC]);
      expect(source.length).toBeGreaterThan(10);
    }
  });
  test('1σ: the thermometer’s for a figure, else that of an even spread with soft edges', () => {
    const sigma = (text: string): number => {
      const result = toldTemperature(text, 'C');
      return result.ok ? toldSigmaK(result.told, 1.5) : NaN;
    };
    expect(sigma('20')).toBe(1.5);
    expect(sigma('~20')).toBe(3);
    expect(sigma('18…24')).toBeCloseTo(Math.hypot(1, 3 / Math.sqrt(3)), 9);
  });
  test('whatever is typed: a reading or a reason, never a throw', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...'0123456789.,-–…±<>~ °CFKto') }), (text) => {
        const result = toldTemperature(text, 'C');
        if (result.ok) expect(Number.isFinite(result.told.middleC + result.told.halfWidthK)).toBe(true);
      }),
      { numRuns: 3000 },
    );
  });
});

describe('a resistance as a specification gives it', () => {
  const band = (text: string) => {
    const result = ohmBand(text);
    return result.ok ? [result.band.lowOhm, result.band.highOhm].map((n) => Number(n.toPrecision(6))) : result.reason;
  };
  test.each([
    ['2-3 k', [2000, 3000]],
    ['2–3 kΩ', [2000, 3000]],
    ['2 … 3 kΩ', [2000, 3000]],
    ['2 to 3 k', [2000, 3000]],
    ['2000-3000', [2000, 3000]],
    ['10k to 12k', [10000, 12000]],
    ['10…12 kΩ', [10000, 12000]],
    ['900 Ω … 1.1 k', [900, 1100]],
    ['2.5k ± 10 %', [2250, 2750]],
    ['about 2.5k', [2250, 2750]],
    ['2.5k', [2375, 2625]],
    ['4k7', [4465, 4935]],
  ])('%s', (text, expected) => expect(band(text)).toEqual(expected));
  test.each([
    ['3-2 k', 'upside-down'],
    ['k', 'not-a-number'],
    ['OL', 'overload-not-here'],
    ['0', 'out-of-range'],
    ['20 °C', 'wrong-unit'],
    ['', 'empty'],
  ])('“%s” is asked: %s', (text, reason) => expect(band(text)).toBe(reason));
});
