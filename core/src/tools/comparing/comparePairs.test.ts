import { describe, expect, test } from 'vitest';
import { beta } from '../../circuit/curves/beta.ts';
import { compareSensors, type Pair, slopeLog, viewPairs } from './comparePairs.ts';

const CURVE = beta.model({ kind: 'beta', r25Ohm: 2000, betaK: 3600 });
/** Pairs on the curve times a factor, each at its temperature; a letter for the phase before it: h, c or a. */
type At = readonly [at: string, factor?: number];
const pairs = (...list: At[]): Pair[] =>
  list.map(([at, factor = 1], i) => {
    const temperatureC = Number(at.slice(1));
    const phase = ({ h: 'heating', c: 'cooling', a: 'after' } as const)[at[0] as 'h' | 'c' | 'a'];
    return {
      id: `p${i}`,
      sensor: 'this',
      phase,
      temperatureC,
      resistanceOhm: factor * CURVE.resistanceOhm(temperatureC),
    };
  });
const view = (...list: At[]) => viewPairs(pairs(...list), CURVE);
/** 1σ of a pair in ln R, worked out by hand: 0.7 K along the slope B/T², and 0.8 % of the meter. */
const sigma = (t: number): number => Math.hypot(0.008, (0.7 * 3600) / (t + 273.15) ** 2);

describe('pairs of one sensor', () => {
  test('the slope of the curve is B over T squared', () => {
    for (const t of [0, 25, 80]) expect(slopeLog(CURVE, t)).toBeCloseTo(-3600 / (t + 273.15) ** 2, 5);
  });
  test('a jump is what misses the middle of the others by three times √2 of its 1σ; after the heat nothing is a jump', () => {
    const limit = 3 * Math.SQRT2 * sigma(60);
    expect(view(['h20'], ['h60', Math.exp(limit * 1.01)], ['c40']).jumps).toEqual(['p1']);
    expect(view(['h20'], ['h60', Math.exp(limit * 0.99)], ['c40']).jumps).toEqual([]);
    expect(view(['h20'], ['h60', Math.exp(-limit * 1.01)], ['c40']).jumps).toEqual(['p1']);
    // Two alone cannot say which of them it is; three can.
    expect(view(['h20'], ['h60', 2]).jumps).toEqual([]);
    expect(view(['h20'], ['h60'], ['c40'], ['a20', 3]).jumps).toEqual([]);
    expect(view(['h20'], ['h60', 2], ['a40'], ['a50']).jumps).toEqual([]);
  });
  test('open and shorted pairs are jumps whatever the others are', () => {
    const [first, open, shorted] = pairs(['h20'], ['h40'], ['h60']);
    expect(
      viewPairs([first, { ...open, resistanceOhm: Infinity }, { ...shorted, resistanceOhm: 0 }], CURVE).jumps,
    ).toEqual(['p1', 'p2']);
    expect(viewPairs([first], CURVE).jumps).toEqual([]);
  });
  test('the direction, in whatever order they were taken; pairs nearer than 2 K say nothing of it', () => {
    expect(view(['h60'], ['h20'], ['h40']).direction).toBe('ntc');
    const risen = pairs(['h20'], ['h40']).map((p) => ({ ...p, resistanceOhm: p.temperatureC * 10 }));
    expect(viewPairs(risen, CURVE).direction).toBe('ptc');
    expect(view(['h20'], ['h40'], ['h60', 5]).direction).toBe('mixed');
    expect(view(['h20']).direction).toBe('open');
    expect(view(['h20'], ['h21.9', 3]).direction).toBe('open');
    expect(view(['h20'], ['h22']).direction).toBe('ntc');
    const flat = pairs(['h20'], ['h40']).map((p) => ({ ...p, resistanceOhm: 100 }));
    expect(viewPairs(flat, CURVE).direction).toBe('mixed');
    // What was read after the heat is another question.
    expect(view(['h20'], ['h40'], ['a60', 50]).direction).toBe('ntc');
  });
  test('the return: the last after the heat against the first, the curve’s change taken out, within three of their σ', () => {
    const limit = 3 * Math.hypot(sigma(20), sigma(30));
    const back = view(['h20'], ['h80'], ['a25', 1.5], ['a30', Math.exp(limit * 0.99)]).returned!;
    expect(back.ratio).toBeCloseTo(Math.exp(limit * 0.99), 9);
    expect(back.ok).toBe(true);
    expect(view(['h20'], ['a30', Math.exp(limit * 1.01)]).returned!.ok).toBe(false);
    expect(view(['h20', 1.1], ['a30', 1.1 * Math.exp(-limit * 1.01)]).returned!.ok).toBe(false);
    expect(view(['h20', 1.1], ['a30', 1.1]).returned).toEqual({ ratio: 1, ok: true });
    expect(view(['h20'], ['h80']).returned).toBeNull();
    expect(view(['a20']).returned).toBeNull();
    expect(view().returned).toBeNull();
    const [first, last] = pairs(['h20'], ['a20']);
    expect(viewPairs([first, { ...last, resistanceOhm: Infinity }], CURVE).returned).toEqual({
      ratio: Infinity,
      ok: false,
    });
    expect(viewPairs([{ ...first, resistanceOhm: Infinity }, last], CURVE).returned).toBeNull();
  });
  test('kelvin off the curve: what the resistance means less what was measured', () => {
    const [errors] = [view(['h20'], ['h40', 1.1]).againstCurveK];
    expect(errors.map((e) => e.id)).toEqual(['p0', 'p1']);
    expect(errors[0].errorK).toBeCloseTo(0, 6);
    const read = 1 / (1 / 313.15 + Math.log(1.1) / 3600) - 313.15;
    expect(errors[1].errorK).toBeCloseTo(read, 6);
  });
  test('the tangent at the middle, times what the sensor is off, and how far along it holds to a tenth', () => {
    const { tangent } = view(['h20', 1.2], ['h40', 1.2]);
    const slopeAt = (t: number): number => (-1.2 * CURVE.resistanceOhm(t) * 3600) / (t + 273.15) ** 2;
    expect(tangent!.atC).toBe(30);
    expect(tangent!.ohmPerK / slopeAt(30)).toBeCloseTo(1, 4);
    const off = (k: number): number => Math.abs(slopeAt(30 + k) / slopeAt(30) - 1);
    expect(off(tangent!.holdsK)).toBeLessThan(0.1);
    expect(off(tangent!.holdsK + 0.5)).toBeGreaterThan(0.1);
    expect(viewPairs([], CURVE).tangent).toBeNull();
  });
});

describe('this sensor against the other', () => {
  const other = (list: Pair[]): Pair[] => list.map((p) => ({ ...p, sensor: 'other' as const }));
  test('mean ratio of those within 2 K, the curve’s change taken out', () => {
    const mine = pairs(['h20', 1.1], ['h60', 1.3]);
    const theirs = other(pairs(['h22'], ['h61'], ['h90']));
    const found = compareSensors([...mine, ...theirs], CURVE)!;
    expect(found.pairs).toBe(2);
    expect(found.ratio).toBeCloseTo(Math.sqrt(1.1 * 1.3), 9);
    expect(compareSensors([...mine, ...other(pairs(['h22.1']))], CURVE)).toBeNull();
    expect(compareSensors(mine, CURVE)).toBeNull();
    const open = mine.map((p) => ({ ...p, resistanceOhm: Infinity }));
    expect(compareSensors([...open, ...theirs], CURVE)).toBeNull();
  });
  test('it differs beyond three σ of both, tolerance included, either way', () => {
    const limit = 3 * Math.SQRT2 * Math.hypot(0.008, CURVE.toleranceLog, (0.7 * 3600) / 293.15 ** 2);
    const differs = (log: number): boolean =>
      compareSensors([...pairs(['h20', Math.exp(log)]), ...other(pairs(['h20']))], CURVE)!.differs;
    expect([differs(limit * 0.99), differs(limit * 1.01), differs(-limit * 1.01), differs(-limit * 0.99)]).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });
});
