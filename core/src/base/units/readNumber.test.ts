import { describe, expect, test } from 'vitest';
import { shownDifference, shownTemperature } from './format.ts';
import { readNumber } from './readNumber.ts';
import { toldTemperature } from './toldTemperature.ts';

const values = (text: string, three: Parameters<typeof readNumber>[1] = 'either'): number[] =>
  readNumber(text, three).map((n) => n.value);

describe('a number as it is written', () => {
  test('digits alone, signed or not; anything beside them is none', () => {
    expect([values('4700'), values('-12'), values('+12'), values('0')]).toEqual([[4700], [-12], [12], [0]]);
    for (const text of ['', 'x47', '47x', '4x7', '-', '--4']) expect(values(text), text).toEqual([]);
  });
  test('a comma or a point, before, between or after digits', () => {
    expect([values('4,7'), values('4.7'), values('.5'), values(',5'), values('5.'), values('-0,25')]).toEqual([
      [4.7],
      [4.7],
      [0.5],
      [0.5],
      [5],
      [-0.25],
    ]);
    for (const text of ['.', ',', '4..7', 'a.5', '5.b']) expect(values(text), text).toEqual([]);
  });
  test('three digits behind the only mark may be either; not behind a nought, nor with a power', () => {
    expect(values('11.883')).toEqual([11.883, 11883]);
    expect(values('1,250')).toEqual([1.25, 1250]);
    expect(values('0.125')).toEqual([0.125]);
    expect(values('1234.567')).toEqual([1234.567]);
    expect(values('1.250e3')).toEqual([1250]);
  });
  test('both marks: the last one is the decimal mark, the other parts thousands', () => {
    expect(values('1,234.5')).toEqual([1234.5]);
    expect(values('1.234,5')).toEqual([1234.5]);
    expect(values('-12,345,678.25')).toEqual([-12_345_678.25]);
    expect(values('1,234.')).toEqual([1234]);
    for (const text of ['12,34.5', '1.234.5,6.7', '1,234.5.6', '1234,567.8', '1.2,3.4', '1,234.x'])
      expect(values(text), text).toEqual([]);
  });
  test('one mark several times parts thousands, and only so', () => {
    expect([values('1.234.567'), values('12,345,678')]).toEqual([[1_234_567], [12_345_678]]);
    for (const text of ['1.23.456', '1.234,567.890', '1234.567.890']) expect(values(text), text).toEqual([]);
  });
  test('blanks, apostrophes and bars part thousands too', () => {
    expect(['12 345', "12'345", '12’345', '12_345', '1 234 567.5', '1 234,5'].map((t) => values(t)[0])).toEqual([
      12_345, 12_345, 12_345, 12_345, 1_234_567.5, 1234.5,
    ]);
    for (const text of ['1234 567', '12 34', '1 23 456', '1 234.', 'x 345']) expect(values(text), text).toEqual([]);
  });
  test('powers', () => {
    expect([values('4e3'), values('4.7E-3'), values('-2,5e2')]).toEqual([[4000], [0.0047], [-250]]);
    expect(values('1e999')).toEqual([]);
  });
});

test('a difference of temperatures has no zero point', () => {
  expect([shownDifference(10, 'C'), shownDifference(10, 'F'), shownDifference(-5, 'F')]).toEqual([10, 18, -9]);
  expect([shownTemperature(10, 'C'), shownTemperature(10, 'F'), shownTemperature(-40, 'F')]).toEqual([10, 50, -40]);
});

describe('told temperatures, however they are spaced and spelt', () => {
  const told = (text: string) => {
    const found = toldTemperature(text, 'C');
    return found.ok ? found.told : found.reason;
  };
  test('overnight, with the air that it had', () => {
    const air = { kind: 'about', middleC: 12, halfWidthK: 0, edgeK: 2 };
    for (const text of [
      'overnight 12',
      'overnight, 12',
      'Overnight: 12',
      'stood overnight, 12',
      'stood overnight, air 12',
      'overnight at 12',
      '  stood   overnight,   12  ',
      'overnight 12 °C',
    ])
      expect(told(text), text).toEqual(air);
    expect(told('overnight, warm')).toBe('not-a-number');
    expect(told('not overnight 12')).toBe('not-a-number');
  });
  test('nothing but blanks is nothing', () => {
    expect([told(''), told('   '), told('\t\n')]).toEqual(['empty', 'empty', 'empty']);
  });
  test('a full-width figure and a real minus are figures', () => {
    expect(told('２０')).toEqual({ kind: 'figure', middleC: 20, halfWidthK: 0, edgeK: NaN });
    expect(told('−5')).toMatchObject({ middleC: -5 });
  });
});
