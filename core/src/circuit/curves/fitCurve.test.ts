import { spawnSync } from 'node:child_process';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { referencePoints } from '../../../test/reference.ts';
import { fitCurve } from './fitCurve.ts';
import { type Curve, curveModel } from './curve.ts';

const PARTS = ['NCP..WB473', 'NCP..WF104', 'NCP..XH103'];

/** Coefficients of 1/T in powers of ln R by numpy (python3-numpy, live). */
function numpyFit(points: { temperatureC: number; resistanceOhm: number }[], powers: number[]): number[] {
  const program = `
import json, numpy as np
p = np.array(${JSON.stringify(points.map((x) => [x.temperatureC, x.resistanceOhm]))})
l = np.log(p[:, 1]); y = 1 / (p[:, 0] + 273.15)
print(json.dumps(list(np.linalg.lstsq(np.stack([l ** k for k in ${JSON.stringify(powers)}], axis=1), y, rcond=None)[0])))`;
  const run = spawnSync('/usr/bin/python3', ['-c', program], { encoding: 'utf8' });
  expect(run.status, run.stderr).toBe(0);
  return JSON.parse(run.stdout) as number[];
}

describe.each(PARTS)('fits to the kernel table of %s', (part) => {
  const points = referencePoints('linux-ntc-resistance.csv', 'part', part);

  test('Steinhart–Hart: the coefficients of numpy.linalg.lstsq to 1e-6, and the honest residual', () => {
    const fit = fitCurve(points, 'steinhart-hart');
    if (!fit.ok) throw new Error(fit.reason);
    const { a, b, c } = fit.curve as Extract<Curve, { kind: 'steinhart-hart' }>;
    numpyFit(points, [0, 1, 3]).forEach((value, i) => expect(Math.abs([a, b, c][i] / value - 1)).toBeLessThan(1e-6));
    expect(fit.worstK).toBeLessThan(0.71);
    expect(fit.worstK).toBeGreaterThan(0.05);
  });
  test('four terms: the coefficients of numpy.linalg.lstsq to 1e-5, and a smaller residual', () => {
    const fit = fitCurve(points, 'steinhart-hart-4');
    if (!fit.ok) throw new Error(fit.reason);
    const { a, b, c, squareTerm } = fit.curve as Extract<Curve, { kind: 'steinhart-hart' }>;
    numpyFit(points, [0, 1, 2, 3]).forEach((value, i) =>
      expect(Math.abs([a, b, squareTerm!, c][i] / value - 1)).toBeLessThan(1e-5),
    );
    expect(fit.worstK).toBeLessThan(0.1);
  });
  test('over 0…100 °C it is within 0.15 K; a single B is not', () => {
    const middle = points.filter((p) => p.temperatureC >= 0 && p.temperatureC <= 100);
    const [sh, beta] = [fitCurve(middle, 'steinhart-hart'), fitCurve(middle, 'beta')];
    if (!sh.ok || !beta.ok) throw new Error('no fit');
    expect(sh.worstK).toBeLessThan(0.15);
    expect(beta.worstK).toBeGreaterThan(0.3);
    expect(beta.worstK).toBeLessThan(1.5);
    const [, slope] = numpyFit(middle, [0, 1]);
    expect(Math.abs((beta.curve as Extract<Curve, { kind: 'beta' }>).betaK * slope - 1)).toBeLessThan(1e-6);
  });
});

test('figures of common practice, no source: three points give one curve, 1000 Ω at 48 °C', () => {
  const points = [
    { temperatureC: 17, resistanceOhm: 3650 },
    { temperatureC: 21, resistanceOhm: 3040 },
    { temperatureC: 48, resistanceOhm: 1000 },
  ];
  const fit = fitCurve(points, 'beta');
  if (!fit.ok) throw new Error(fit.reason);
  expect(fit.worstK).toBeLessThan(0.3);
});

test('a curve is got back from its own points (property)', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 2500, max: 4800, noNaN: true }),
      fc.double({ min: 100, max: 1e5, noNaN: true }),
      (betaK, r25Ohm) => {
        const points = [-20, 0, 25, 60, 100].map((temperatureC) => ({
          temperatureC,
          resistanceOhm: r25Ohm * Math.exp(betaK * (1 / (temperatureC + 273.15) - 1 / 298.15)),
        }));
        const fit = fitCurve(points, 'beta');
        expect(fit.ok && Math.abs((fit.curve as Extract<Curve, { kind: 'beta' }>).betaK / betaK - 1)).toBeLessThan(
          1e-9,
        );
      },
    ),
    { seed: 6, numRuns: 50 },
  );
});

test('platinum of any coefficients and nickel of either grade are got back from their own points, below 0 °C too', () => {
  const points = (curve: Curve, t: number[]) =>
    t.map((temperatureC) => ({ temperatureC, resistanceOhm: curveModel(curve).resistanceOhm(temperatureC) }));
  for (const a of [3.75e-3, 3.81e-3, 3.9083e-3, 3.9692e-3]) {
    const fit = fitCurve(points({ kind: 'platinum', r0Ohm: 1000, a, b: -5.9e-7 }, [-100, -40, 0, 80, 300]), 'platinum');
    expect(fit).toMatchObject({ ok: true, curve: { kind: 'platinum' } });
    const { curve } = fit as { curve: Extract<Curve, { kind: 'platinum' }> };
    expect([curve.r0Ohm / 1000, curve.a! / a, curve.b! / -5.9e-7].every((x) => Math.abs(x - 1) < 1e-6)).toBe(true);
  }
  for (const grade of ['din43760', 'tk5000'] as const) {
    const fit = fitCurve(points({ kind: 'nickel', r0Ohm: 120, grade }, [-50, 0, 100]), 'nickel');
    expect(fit).toMatchObject({ ok: true, curve: { kind: 'nickel', grade } });
  }
  expect(fitCurve(points({ kind: 'beta', r25Ohm: 2000, betaK: 3600 }, [0, 25, 50]), 'platinum')).toMatchObject({
    reason: 'not-a-ptc',
  });
});

test('what is no curve is refused with its row', () => {
  const p = (temperatureC: number, resistanceOhm: number) => ({ temperatureC, resistanceOhm });
  expect(fitCurve([p(0, 1)], 'beta')).toEqual({ ok: false, reason: 'too-few-points' });
  expect(fitCurve([p(0, 9), p(10, 0), p(20, 4)], 'table')).toEqual({ ok: false, reason: 'bad-point', row: 1 });
  expect(fitCurve([p(0, 100), p(50, 119), p(100, 138)], 'steinhart-hart')).toEqual({ ok: false, reason: 'not-an-ntc' });
  expect(fitCurve([p(0, 9), p(10, 5), p(20, 6)], 'beta')).toEqual({ ok: false, reason: 'not-monotone', row: 2 });
});
