import { naturalLog } from './naturalLog.ts';
import { spawnSync } from 'node:child_process';
import fc from 'fast-check';
import { fittedSigma, type LinearFit, linearFit } from './linearFit.ts';
import { monotoneCubic } from './monotoneCubic.ts';
import { describe, expect, test } from 'vitest';
import { choleskyFactor, solveLower, solveUpper } from './cholesky.ts';
import { logSumExp } from './logSumExp.ts';
import { normalCdf, normalQuantile } from './normal.ts';
import { quasiRandomColumn } from './quasiRandom.ts';
import { seededUniform } from './random.ts';
import { weightedQuantile } from './weightedQuantile.ts';

test('normal distribution and quantile against scipy.stats.norm (python3-scipy, live)', () => {
  const z = [-8, -5, -2.5, -1, -0.1, 0, 0.3, 1.96, 4];
  const p = [1e-9, 1e-4, 0.02, 0.024, 0.2, 0.5, 0.7, 0.976, 0.99999];
  const program = `import json\nfrom scipy.stats import norm\nprint(json.dumps([list(norm.cdf(${JSON.stringify(z)})), list(norm.ppf(${JSON.stringify(p)}))]))`;
  const run = spawnSync('/usr/bin/python3', ['-c', program], { encoding: 'utf8' });
  expect(run.status, run.stderr).toBe(0);
  const [cdf, ppf] = JSON.parse(run.stdout) as number[][];
  z.forEach((x, i) => expect(Math.abs(normalCdf(x) / cdf[i] - 1)).toBeLessThan(1.3e-7));
  p.forEach((x, i) => expect(Math.abs(normalQuantile(x) - ppf[i])).toBeLessThan(2e-8 * (1 + Math.abs(ppf[i]))));
  expect([normalQuantile(0), normalQuantile(1)]).toEqual([-Infinity, Infinity]);
});

test('Cholesky: factor, determinant and solution of random positive definite matrices', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 1e6 }), (n, seed) => {
      const u = seededUniform(seed);
      const half = Array.from({ length: n * n }, () => u() - 0.5);
      const matrix = new Float64Array(n * n);
      for (let i = 0; i < n; i++) {
        for (let j = 0; j < n; j++) {
          matrix[i * n + j] =
            (i === j ? 0.5 : 0) + half.slice(i * n, i * n + n).reduce((s, x, k) => s + x * half[j * n + k], 0);
        }
      }
      const factor = new Float64Array(n * n);
      expect(choleskyFactor(matrix, n, factor)).not.toBeNaN();
      const b = Float64Array.from({ length: n }, u);
      const x = new Float64Array(n);
      solveLower(factor, n, b, x);
      solveUpper(factor, n, x, x);
      for (let i = 0; i < n; i++) {
        let sum = 0;
        for (let j = 0; j < n; j++) sum += matrix[i * n + j] * x[j];
        expect(sum).toBeCloseTo(b[i], 8);
      }
    }),
    { numRuns: 60, seed: 4 },
  );
  expect(choleskyFactor(Float64Array.of(-1), 1, new Float64Array(1))).toBeNaN();
});

describe('sequences', () => {
  test('quasi-random points fill the cube more evenly than chance: mean of every coordinate product', () => {
    for (let k = 0; k < 6; k++) {
      const { even, normal } = quasiRandomColumn(k);
      let sum = 0;
      for (let i = 0; i < 1000; i++) {
        expect(even[i]).toBeGreaterThan(0);
        expect(even[i]).toBeLessThan(1);
        expect(normal[i]).toBe(normalQuantile(even[i]));
        sum += even[i] / 1000;
      }
      expect(Math.abs(sum - 0.5)).toBeLessThan(0.004);
    }
  });
  test('a seed gives the same numbers again', () => {
    const [a, b, c] = [seededUniform(1), seededUniform(1), seededUniform(2)];
    const first = [a(), a(), a()];
    expect([b(), b(), b()]).toEqual(first);
    expect([c(), c(), c()]).not.toEqual(first);
  });
});

test('log-sum-exp and weighted quantiles at their edges', () => {
  expect(logSumExp([])).toBe(-Infinity);
  expect(logSumExp([-1e4, -1e4])).toBeCloseTo(-1e4 + Math.log(2), 9);
  expect(weightedQuantile([3, 1, 2], [1, 1, 1], [0.5])).toEqual([2]);
  expect(weightedQuantile([1, 2, Infinity], [1, 1, 8], [0.05, 0.9])).toEqual([1, Infinity]);
  expect(weightedQuantile([1], [0], [0.5])).toEqual([NaN]);
});

test('quantiles of unequal weights are those of an honest sort, whatever the values (property)', () => {
  // Figures of six digits: of two that are equal to ten, which comes first is open.
  const figure = fc.double({ min: -1e7, max: 1e7, noNaN: true }).map((x) => Number(x.toPrecision(6)));
  const value = fc.oneof(
    figure.filter((x) => Math.abs(x) > 1e-9),
    fc.constantFrom(0, Infinity, -Infinity, Number.MAX_VALUE / 2),
  );
  const pairs = fc.uniqueArray(fc.tuple(value, fc.constantFrom(0, 0.001, 0.2, 1, 7)), {
    minLength: 1,
    maxLength: 40,
    selector: ([v]) => v,
  });
  const levels = [0, 0.025, 0.3, 0.5, 0.9, 1];
  const quantiles = (list: readonly (readonly [number, number])[]): number[] =>
    weightedQuantile(
      list.map(([v]) => v),
      list.map(([, w]) => w),
      levels,
    );
  fc.assert(
    fc.property(pairs, (list) => {
      const weighty = list.filter(([, w]) => w > 0).sort(([a], [b]) => a - b);
      const given = quantiles(list);
      expect(given).toEqual(quantiles(weighty));
      if (weighty.length === 0) {
        expect(given.every(Number.isNaN)).toBe(true);
        return;
      }
      expect([given[0], given[5]]).toEqual([weighty[0][0], weighty.at(-1)![0]]);
      for (let i = 1; i < given.length; i++) expect(given[i]).toBeGreaterThanOrEqual(given[i - 1]);
      // The value in whose share the level lies, or the way to the one beside it.
      const total = weighty.reduce((sum, [, w]) => sum + w, 0);
      levels.forEach((level, i) => {
        let below = 0;
        const at = weighty.findIndex(([, w]) => (below += w) >= level * total * (1 - 1e-12));
        expect(given[i]).toBeGreaterThanOrEqual(weighty[Math.max(0, at - 1)][0]);
        expect(given[i]).toBeLessThanOrEqual(weighty[Math.min(weighty.length - 1, at + 1)][0]);
      });
    }),
    { seed: 21, numRuns: 800 },
  );
  const many = 2 ** 20 + 1;
  const rising = Float64Array.from({ length: many }, (_, i) => i);
  expect(() => weightedQuantile(rising, rising, [0.5])).toThrow(RangeError);
});

test('naturalLog agrees with Math.log to 4e-16 of 1 + |ln x|, over all doubles (property)', () => {
  const check = (x: number): void => {
    const exact = Math.log(x);
    expect(Math.abs(naturalLog(x) - exact)).toBeLessThanOrEqual(4e-16 * (1 + Math.abs(exact)));
  };
  fc.assert(fc.property(fc.double({ min: 0, minExcluded: true, noNaN: true, noDefaultInfinity: true }), check), {
    seed: 12,
    numRuns: 3000,
  });
  fc.assert(fc.property(fc.double({ min: 0.5, max: 2, noNaN: true }), check), { seed: 13, numRuns: 3000 });
  for (const x of [1, 0.1, Math.E, 1e-300, 5e-324, 2 - Number.EPSILON, Number.MAX_VALUE]) check(x);
  expect(naturalLog(0)).toBe(-Infinity);
  expect(naturalLog(Infinity)).toBe(Infinity);
  expect(naturalLog(-1)).toBeNaN();
  expect(naturalLog(NaN)).toBeNaN();
});

test('low-discrepancy points: every coordinate and every pair of coordinates fills its cells evenly', () => {
  const d = 18;
  for (const n of [256, 1536]) {
    const columns = Array.from({ length: d }, (_, k) => quasiRandomColumn(k).even.subarray(0, n));
    for (const column of columns) {
      const sorted = [...column].sort((a, b) => a - b);
      // Largest step of the empirical distribution away from the even one; chance gives 1.36/√n.
      const off = Math.max(...sorted.map((x, i) => Math.abs(x - (i + 0.5) / n)));
      expect(off).toBeLessThan(6 / n + 0.003);
    }
    for (let a = 0; a < d; a++) {
      for (let b = 0; b < a; b++) {
        const cells = new Int32Array(64);
        for (let i = 0; i < n; i++) cells[8 * Math.floor(8 * columns[a][i]) + Math.floor(8 * columns[b][i])]++;
        const chi = cells.reduce((s, c) => s + (c - n / 64) ** 2 / (n / 64), 0);
        expect(chi, `${a} ${b}`).toBeLessThan(125);
      }
    }
  }
  expect(() => quasiRandomColumn(18)).toThrow('quasiRandomColumn');
});

describe('a linear fit carries its uncertainty', () => {
  // Calibration of a thermometer, GUM (JCGM 100:2008) H.3, figures from memory: coefficients, their uncertainties, correlation, value at 30 °C.
  const t = [21.521, 22.012, 22.512, 23.003, 23.507, 23.999, 24.513, 25.002, 25.503, 26.01, 26.511];
  const b = [-0.171, -0.169, -0.166, -0.159, -0.164, -0.165, -0.156, -0.157, -0.159, -0.161, -0.16];
  const fit = (): LinearFit => linearFit([t.map(() => 1), t.map((x) => x - 20)], b);
  test('GUM H.3: coefficients, uncertainties, correlation', () => {
    const { coefficients, covariance, scatter } = fit();
    expect(coefficients.map((c, i) => Number(c.toFixed(i === 0 ? 4 : 5)))).toEqual([-0.1712, 0.00218]);
    const [u0, u1] = [Math.sqrt(covariance[0][0]), Math.sqrt(covariance[1][1])];
    expect([Number(u0.toFixed(4)), Number(u1.toFixed(5)), Number(scatter.toFixed(4))]).toEqual([
      0.0029, 0.00067, 0.0035,
    ]);
    expect(covariance[0][1] / u0 / u1).toBeCloseTo(-0.93, 3);
  });
  test('GUM H.3: the correction at 30 °C is −0.1494 °C, uncertain by 0.0041 °C; without the covariance it would be 0.0073', () => {
    const found = fit();
    const [y1, y2] = found.coefficients;
    expect(Number((y1 + 10 * y2).toFixed(4))).toBe(-0.1494);
    expect(Number(fittedSigma(found, [1, 10]).toFixed(4))).toBe(0.0041);
    const apart = Math.hypot(Math.sqrt(found.covariance[0][0]), 10 * Math.sqrt(found.covariance[1][1]));
    expect(Number(apart.toFixed(4))).toBe(0.0073);
  });
  test('no point left over: no scatter is told; columns that are one are refused', () => {
    expect(
      linearFit(
        [
          [1, 1],
          [0, 1],
        ],
        [1, 2],
      ).scatter,
    ).toBeNaN();
    expect(() =>
      linearFit(
        [
          [1, 1, 1],
          [2, 2, 2],
        ],
        [1, 2, 3],
      ),
    ).toThrow('independent');
  });
});

describe('a smooth curve through knots', () => {
  test('meets its knots, never turns round, and a parabola exactly (property)', () => {
    const steps = fc.array(
      fc.tuple(fc.double({ min: 0.1, max: 20, noNaN: true }), fc.double({ min: 0.01, max: 50, noNaN: true })),
      {
        minLength: 2,
        maxLength: 12,
      },
    );
    fc.assert(
      fc.property(steps, fc.boolean(), (list, falls) => {
        const [x, y] = [[0], [0]];
        for (const [dx, dy] of list) {
          x.push(x[x.length - 1] + dx);
          y.push(y[y.length - 1] + (falls ? -dy : dy));
        }
        const at = monotoneCubic(x, y);
        x.forEach((v, i) => expect(at(v)).toBeCloseTo(y[i], 9));
        let before = at(0);
        for (let k = 1; k <= 300; k++) {
          const here = at((x[x.length - 1] * k) / 300);
          expect(falls ? before - here : here - before).toBeGreaterThanOrEqual(-1e-9);
          before = here;
        }
      }),
      { seed: 21, numRuns: 200 },
    );
    const parabola = monotoneCubic([1, 2, 5, 6, 9], [1, 4, 25, 36, 81]);
    for (const v of [1.3, 3, 4.2, 5.5, 8.8]) expect(parabola(v)).toBeCloseTo(v * v, 9);
    expect(monotoneCubic([0, 2], [1, 5])(0.5)).toBeCloseTo(2, 12);
  });
});
