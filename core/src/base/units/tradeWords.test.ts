import { describe, expect, test } from 'vitest';
import { decodeCode, codesIn } from '../../catalogue/parts/troubleCodes.ts';
import { parseReading } from './parseReading.ts';

describe('figures as people type them', () => {
  test.each([
    ['unendlich', 'ohms', Infinity],
    ['offen', 'ohms', Infinity],
    ['infini', 'ohms', Infinity],
    ['~20', 'celsius', 20],
    ['20 Grad', 'celsius', 20],
    ['470 Ом', 'ohms', 470],
    ['2,2 кОм', 'ohms', 2200],
    ['2,2 КОм', 'ohms', 2200],
    ['2,2 kОм', 'ohms', 2200],
    ['1,5 МОм', 'ohms', 1.5e6],
    ['4,85 В', 'volts', 4.85],
    ['540 мВ', 'volts', 0.54],
    ['R=2.88k', 'ohms', 2880],
    ['12.6 DCV', 'volts', 12.6],
    ['‑40', 'celsius', -40],
    ['---', 'celsius', Infinity],
    ['dashes', 'celsius', Infinity],
  ] as const)('%s', (text, quantity, value) => {
    expect(parseReading(text, quantity, { overload: true })).toMatchObject({ ok: true, value });
  });
  test('dashes are a value of a display only where they may be', () => {
    expect(parseReading('---', 'celsius')).toMatchObject({ ok: false });
    expect(parseReading('---', 'ohms', { overload: true })).toMatchObject({ ok: false });
  });
});

describe('codes as scan tools print them', () => {
  test.each([
    ['P0118 - Engine Coolant Temperature Circuit High (stored)', 'P0118'],
    ['p118'.replace('p118', 'p0118'), 'P0118'],
    ['0118', 'P0118'],
    ['P0118*', 'P0118'],
    ['DTC P0118', 'P0118'],
  ])('%s', (text, code) => expect(decodeCode(text)?.code).toBe(code));
  test('several at once', () => {
    expect(codesIn('P0118/P0113').map((c) => c.code)).toEqual(['P0118', 'P0113']);
    expect(codesIn('P0118 - Engine Coolant Temperature Circuit High (stored)')[0]).toMatchObject({
      code: 'P0118',
      state: 'past',
    });
  });
  test('a code of the high-voltage system is known as one, and speaks of no sensor circuit', () => {
    expect(decodeCode('P0A1F')).toMatchObject({ kind: 'high-voltage', says: 'other' });
  });
});
