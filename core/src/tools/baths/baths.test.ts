import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reference } from '../../../test/reference.ts';
import { settlingText } from '../../wording/settlingText.ts';
import { boilingPointC, pressureAtAltitudeKPa } from './boilingPoint.ts';
import { settle } from './settling.ts';

describe('boiling water', () => {
  test.each(
    reference('boiling-water.csv').map(
      (r) => [r.case, Number(r.p_abs_kPa), Number(r.t_sat_C_IF97_from_memory)] as const,
    ),
  )('%s (IAPWS-IF97 region 4; Debian package python3-iapws agrees), 0.001 K', (_, pressure, celsius) =>
    expect(Math.abs(boilingPointC(pressure) - celsius)).toBeLessThan(0.001),
  );
  test('standard atmosphere: 84.5597 kPa at 1500 m, 70.1211 kPa at 3000 m (GNU units)', () => {
    expect(pressureAtAltitudeKPa(0)).toBeCloseTo(101.325, 6);
    expect(pressureAtAltitudeKPa(1500)).toBeCloseTo(84.5597, 2);
    expect(pressureAtAltitudeKPa(3000)).toBeCloseTo(70.1211, 2);
  });
  test('no pressure, no boiling point', () => {
    for (const p of [NaN, -1, 0, 0.1, 30_000]) expect(boilingPointC(p)).toBeNaN();
  });
});

describe('settling', () => {
  test('exact on an exponential, from three readings on (property)', () => {
    const value = fc.double({ min: -40, max: 150, noNaN: true });
    fc.assert(
      fc.property(
        value,
        value,
        fc.double({ min: 0.6, max: 3, noNaN: true }),
        fc.integer({ min: 3, max: 7 }),
        (final, start, tau, n) => {
          fc.pre(Math.abs(start - final) > 5);
          const readings = Array.from({ length: n }, (_, i) => ({
            minute: i,
            value: final + (start - final) * Math.exp(-i / tau),
          }));
          const s = settle(readings, 0.01);
          expect(s.ok && Math.abs(s.final - final)).toBeLessThan(0.02);
          if (s.ok && s.timeConstantMin > 0) expect(s.timeConstantMin / tau).toBeCloseTo(1, 1);
        },
      ),
      { seed: 3 },
    );
  });
  test('what does not settle, or is too little, is said', () => {
    const straight = [0, 1, 2, 3].map((minute) => ({ minute, value: 90 - 10 * minute }));
    expect(settle(straight, 0.1)).toEqual({ ok: false, reason: 'not-settling' });
    expect(settle(straight.slice(0, 2), 0.1)).toEqual({ ok: false, reason: 'too-few' });
    expect(
      settle(
        [1, 1, 1].map((minute) => ({ minute, value: minute })),
        0.1,
      ),
    ).toEqual({ ok: false, reason: 'same-times' });
    for (const reason of ['too-few', 'same-times', 'not-settling'] as const)
      expect(settlingText({ ok: false, reason }).length).toBeGreaterThan(10);
    expect(
      settlingText(
        settle(
          [0, 1, 2].map((minute) => ({ minute, value: 3000 })),
          1,
        ),
      ),
    ).toContain('Settled at 3000');
  });
});
