import { describe, expect, test } from 'vitest';
import { python } from '../../../test/python.ts';
import { correlationFactor, exponentialFit } from './exponentialFit.ts';
import { inside } from './interval.ts';
import { leastSquares } from './leastSquares.ts';
import { middleOf } from './middleOf.ts';
import { monotoneCubic } from './monotoneCubic.ts';
import { normalQuantile } from './normal.ts';
import { medianOf, quantileOf } from './quantiles.ts';
import { drawIndex, seededUniform } from './random.ts';
import { reliabilityOf } from './reliability.ts';
import { runningMedian } from './runningMedian.ts';
import { weightedQuantile } from './weightedQuantile.ts';

const normal = (uniform: () => number): number => normalQuantile(uniform());

describe('fits and quantiles against scipy and numpy (Debian’s python3-scipy, live)', () => {
  const uniform = seededUniform(12);
  const t = Array.from({ length: 120 }, (_, i) => i * 0.7);
  const y = t.map((s) => 88 - 61 * Math.exp(-s / 17) + 0.4 * normal(uniform));
  test('time constant, end and their 1σ: scipy.optimize.curve_fit on the same series', () => {
    const [end, drop, tau, sEnd, sTau] = python(
      `import json,numpy as np
from scipy.optimize import curve_fit
t=np.array(${JSON.stringify(t)});y=np.array(${JSON.stringify(y)})
p,c=curve_fit(lambda t,a,b,k:a+b*np.exp(-t/k),t,y,p0=[80,-50,10])
print(json.dumps([*p,c[0,0]**.5,c[2,2]**.5]))`,
    ) as number[];
    const fit = exponentialFit(t, y)!;
    expect(fit.end).toBeCloseTo(end, 3);
    expect(fit.start - fit.end).toBeCloseTo(drop, 3);
    expect(fit.timeConstantS).toBeCloseTo(tau, 3);
    const left = t.map((s, i) => y[i] - fit.end - (fit.start - fit.end) * Math.exp(-s / fit.timeConstantS));
    const wider = Math.sqrt(correlationFactor(left));
    expect(fit.sigma.end / wider).toBeCloseTo(sEnd, 3);
    expect(fit.sigma.timeConstantS / wider).toBeCloseTo(sTau, 3);
  });
  test('damped Gauss–Newton: scipy’s curve_fit on a divider', () => {
    const T = [0, 15, 30, 45, 60, 75, 90];
    const v = [3.6, 2.96, 2.27, 1.63, 1.15, 0.8, 0.56];
    const [a, b, sa] = python(
      `import json,numpy as np
from scipy.optimize import curve_fit
T=np.array(${JSON.stringify(T)});v=np.array(${JSON.stringify(v)})
f=lambda T,a,b:(lambda r:a*r/(r+b))(np.exp(3600*(1/(T+273.15)-1/298.15)))
p,c=curve_fit(f,T,v,p0=[5,1])
print(json.dumps([*p,c[0,0]**.5]))`,
    ) as number[];
    const model = ([p, q]: readonly number[], c: number): number => {
      const r = Math.exp(3600 * (1 / (c + 273.15) - 1 / 298.15));
      return (p * r) / (r + q);
    };
    const fit = leastSquares((p) => T.map((c, i) => model(p, c) - v[i]), [5, 1])!;
    expect(fit.parameters[0]).toBeCloseTo(a, 4);
    expect(fit.parameters[1]).toBeCloseTo(b, 4);
    expect(Math.sqrt(fit.covariance[0][0])).toBeCloseTo(sa, 4);
    expect(leastSquares((p) => [p[0] + p[1]], [1, 1])).toBeNull();
  });
  test('running median inside: scipy.signal.medfilt; quantiles: numpy', () => {
    const x = Array.from({ length: 200 }, () => Math.round(10 * normal(uniform)));
    const [filtered, q] = python(
      `import json,numpy as np
from scipy.signal import medfilt
x=np.array(${JSON.stringify(x)},float)
print(json.dumps([medfilt(x,9).tolist(),np.quantile(x,[.02,.5,.683,.9]).tolist()]))`,
    ) as [number[], number[]];
    const own = runningMedian(Float64Array.from(x), 4);
    expect([...own.slice(4, 196)].map((v) => v + 0)).toEqual(filtered.slice(4, 196).map((v) => v + 0));
    expect([own[0], own[199]]).toEqual([x[0], x[199]]);
    [0.02, 0.5, 0.683, 0.9].forEach((p, k) => expect(quantileOf(x, p)).toBeCloseTo(q[k], 9));
    expect(medianOf([3, 1, 2, 9], 0, 4)).toBe(2.5);
  });
});

test('an interval takes its own ends and a rounding error beyond them, no more', () => {
  const range = { low: 2, high: 3 };
  expect([1, 2 - 2e-9, 2, 2.5, 3, 3 + 2e-9, 4].map((v) => inside(range, v))).toEqual([
    'low',
    'inside',
    'inside',
    'inside',
    'inside',
    'inside',
    'high',
  ]);
  expect([2 - 1e-8, 3 + 1e-8].map((v) => inside(range, v))).toEqual(['low', 'high']);
  // The rounding error grows with the figure: 1e-9 of a megohm is a thousandth of an ohm.
  expect(inside({ low: 0, high: 1e6 }, 1e6 + 5e-4)).toBe('inside');
  expect(inside({ low: 0, high: 1e6 }, 1e6 + 5e-3)).toBe('high');
  expect(inside({ low: -1e6, high: 0 }, -1e6 - 5e-4)).toBe('inside');
  expect(inside({ low: 1e6, high: Infinity }, Infinity)).toBe('inside');
  expect(inside({ low: 0, high: 1e6 }, Infinity)).toBe('high');
});

describe('what a fit says of its own doubt', () => {
  test('neighbours that go together widen it as (1 + φ) / (1 − φ), φ never below 0 nor above 0.99', () => {
    expect(correlationFactor([1, 1, 1, 1])).toBeCloseTo(1.75 / 0.25, 12);
    expect(correlationFactor([3, -1, 2])).toBe(1);
    expect(correlationFactor(Array.from({ length: 1000 }, () => 2))).toBeCloseTo(1.99 / 0.01, 9);
    expect(correlationFactor([0, 0])).toBe(1);
    expect(correlationFactor([2, 1, 0])).toBeCloseTo(1.4 / 0.6, 12);
  });
  test('a decay is told with its end, its start and its scatter from 6 points on; where it is straight or over at once there is none', () => {
    const t = [0, 1, 2, 3, 5, 8, 13, 21];
    const decay = (from: number, to: number, tau: number) => t.map((s) => to + (from - to) * Math.exp(-s / tau));
    const fit = exponentialFit(t, decay(20, 90, 4))!;
    expect([fit.start, fit.end, fit.timeConstantS].map((v) => Number(v.toFixed(4)))).toEqual([20, 90, 4]);
    expect(fit.scatter).toBeLessThan(1e-5);
    // Time counts from the first point.
    expect(
      exponentialFit(
        t.map((s) => s + 100),
        decay(20, 90, 4),
      )!.start,
    ).toBeCloseTo(20, 4);
    expect(exponentialFit(t.slice(0, 5), decay(20, 90, 4).slice(0, 5))).toBeNull();
    expect(exponentialFit(t.slice(0, 6), decay(20, 90, 4).slice(0, 6))!.end).toBeCloseTo(90, 3);
    expect(
      exponentialFit(
        t,
        t.map((s) => 2 * s),
      ),
    ).toBeNull();
    expect(exponentialFit(t, [0, 1, 1, 1, 1, 1, 1, 1])).toBeNull();
    expect(exponentialFit([5, 5, 5, 5, 5, 5], [1, 2, 3, 4, 5, 6])).toBeNull();
    const uneven = decay(20, 90, 4).map((v, i) => v + (i % 2 ? 0.3 : -0.3));
    const square = uneven.reduce((sum, v, i) => {
      const f = exponentialFit(t, uneven)!;
      return sum + (v - f.end - (f.start - f.end) * Math.exp(-t[i] / f.timeConstantS)) ** 2;
    }, 0);
    expect(exponentialFit(t, uneven)!.scatter).toBeCloseTo(Math.sqrt(square / 5), 9);
  });
  test('least squares: no start, too few residuals, a parameter that moves nothing: none; scatter and covariance by hand for a mean', () => {
    const y = [1, 2, 4, 9];
    const mean = leastSquares(([m]) => y.map((v) => v - m), [0])!;
    expect(mean.parameters[0]).toBeCloseTo(4, 6);
    const scatter = Math.sqrt((9 + 4 + 0 + 25) / 3);
    expect(mean.scatter).toBeCloseTo(scatter, 6);
    expect(Math.sqrt(mean.covariance[0][0])).toBeCloseTo(scatter / 2, 5);
    expect(leastSquares(() => [NaN, 1], [0])).toBeNull();
    expect(leastSquares(([m]) => [m - 1], [0])).toBeNull();
    expect(leastSquares(([m]) => y.map((v) => v - m), [0, 0])).toBeNull();
    // Two parameters of which only the sum counts.
    expect(leastSquares(([a, b]) => y.map((v) => v - a - b), [0, 0])).toBeNull();
  });
});

describe('order statistics by hand', () => {
  test('median of a part: odd, even, empty', () => {
    expect(medianOf([9, 3, 1, 2, 9], 1, 4)).toBe(2);
    expect(medianOf([9, 1, 2, 4, 10, 0], 1, 5)).toBe(3);
    expect(medianOf([5])).toBe(5);
    expect(medianOf([1, 2], 1, 1)).toBeNaN();
    expect(middleOf([5, 1, 3])).toBe(3);
    expect(middleOf([])).toBeNaN();
    expect(middleOf([10, 9, 1, 2])).toBe(9);
  });
  test('a quantile of 50 000 values looks at a third of them', () => {
    const many = Float64Array.from({ length: 50_000 }, (_, i) => (i % 3 === 0 ? i : -1e9));
    expect(quantileOf(many, 0)).toBe(0);
    expect(quantileOf(many, 1)).toBe(49_998);
    expect(quantileOf(many, 0.5)).toBeCloseTo(24_999, 6);
    expect(quantileOf([], 0.5)).toBeNaN();
  });
  test('running median at the ends: the window closes from both sides', () => {
    expect([...runningMedian(Float64Array.of(9, 1, 5, 2, 8, 0), 2)]).toEqual([9, 5, 5, 2, 2, 0]);
    expect([...runningMedian(Float64Array.of(3), 4)]).toEqual([3]);
    expect([...runningMedian(Float64Array.of(4, 2, 7), 0)]).toEqual([4, 2, 7]);
  });
  test('a weighted quantile lies on the line between the middles of the weights', () => {
    // Weights 1, 2, 1 of 4: the middles are at 1/8, 1/2 and 7/8.
    expect(weightedQuantile([30, 10, 20], [1, 1, 2], [0.1, 0.125, 0.5, 0.6875, 0.875, 1])).toEqual([
      10, 10, 20, 25, 30, 30,
    ]);
    expect(weightedQuantile([1, 3], [1, 1], [0.25, 0.5, 0.75])).toEqual([1, 2, 3]);
    // Beside OL there is no way between: which of the two counts by where the weight of the lower one ends.
    expect(weightedQuantile([1, Infinity], [1, 3], [0.24, 0.26])).toEqual([1, Infinity]);
    expect(weightedQuantile([], [], [0.5])).toEqual([NaN]);
  });
  test('a smooth curve with a bend: slopes of the three-point parabola, held to three times the flatter side', () => {
    // Source: Fritsch and Carlson (1980): slopes within three times the smaller rise keep it monotone.
    const at = monotoneCubic([0, 1, 2], [0, 1, 10]);
    // Rises 1 and 9, bend 4: slopes −3 → held to 1/20, 5 → held to 3, and 13.
    expect(at(0.5)).toBeCloseTo(0.5 + (0.05 - 3) / 8, 12);
    expect(at(1.5)).toBeCloseTo(5.5 + (3 - 13) / 8, 12);
    const falling = monotoneCubic([0, 1, 2], [0, -1, -10]);
    expect(falling(0.5)).toBeCloseTo(-0.5 - (0.05 - 3) / 8, 12);
    // Rises of a half and of five halves over steps of two: the same by another scale.
    const wide = monotoneCubic([0, 2, 4], [0, 1, 6]);
    expect(wide(1)).toBeCloseTo(0.5 + (2 * (0.025 - 1.5)) / 8, 12);
    expect(wide(3)).toBeCloseTo(3.5 + (2 * (1.5 - 3.5)) / 8, 12);
  });
});

test('drawn by weight, and how often what was said came true', () => {
  expect([0, 0.24, 0.26, 0.99].map((u) => drawIndex([1, 0, 3], () => u))).toEqual([0, 0, 2, 2]);
  expect(drawIndex([1, 1], () => 1)).toBe(1);
  const said = (probability: number, right: boolean) => ({ probability, right });
  expect(reliabilityOf([said(0.2, false), said(0.6, true), said(0.5, false), said(1, true)])).toEqual([
    { from: 0, to: 0.5, said: 0.2, right: 0, count: 1 },
    { from: 0.5, to: 0.7, said: 0.55, right: 0.5, count: 2 },
    { from: 0.9, to: 1, said: 1, right: 1, count: 1 },
  ]);
});
