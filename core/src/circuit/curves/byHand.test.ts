import { describe, expect, test } from 'vitest';
import { normalCdf, normalQuantile } from '../../base/numeric/normal.ts';
import { chooseFit, type PointRow } from './chooseFit.ts';
import { curveModel, resistanceAt, temperatureOf, typedForm } from './curve.ts';
import { openCurve } from './ownCurve.ts';
import { DEFAULT_TOLERANCE_LOG, invertMonotone, KELVIN, toleranceAt } from './curveModel.ts';
import { curveCsv, curveTable } from './curveTable.ts';
import { findMistyped } from './findMistyped.ts';
import { fitCurve } from './fitCurve.ts';
import { tableFault } from './table.ts';

const inverse = (c: number): number => 1 / (c + KELVIN);

describe('a band at a temperature', () => {
  test('2–3 kΩ at 20 °C: the geometric middle, any place in the band alike, soft edges', () => {
    const model = curveModel({
      kind: 'band',
      slope: 'ntc',
      bands: [{ temperatureC: 20, lowOhm: 2000, highOhm: 3000 }],
    });
    expect(model.resistanceOhm(20)).toBeCloseTo(Math.sqrt(6e6), 9);
    expect(model.pivotC).toBe(20);
    expect(model.toleranceLog).toBe(DEFAULT_TOLERANCE_LOG);
    const half = Math.log(1.5) / 2;
    for (const u of [-2, -0.5, 0, 1.3]) {
      expect(model.level!(u)).toBeCloseTo(half * (2 * normalCdf(u) - 1) + 0.03 * u, 12);
    }
    // A quarter of what may be lies above three quarters of the band.
    expect(model.level!(normalQuantile(0.75))).toBeCloseTo(half / 2 + 0.03 * 0.67449, 5);
    // One line says nothing of B: 3 700 K, good to 250 K.
    expect(Math.log(model.resistanceOhm(60) / model.resistanceOhm(20))).toBeCloseTo(
      3700 * (inverse(60) - inverse(20)),
      9,
    );
    const x = Math.abs(inverse(60) - inverse(20));
    expect(model.formErrorLog(60)).toBeCloseTo(Math.hypot(250 * x, 3700 * x * (0.012 + 20 * x)), 12);
    expect(model.formErrorLog(20)).toBe(0);
    expect([model.minC, model.maxC]).toEqual([-55, 200]);
  });
  test('two bands give B, and what they leave of it', () => {
    const model = curveModel({
      kind: 'band',
      slope: 'ntc',
      bands: [
        { temperatureC: 20, lowOhm: 2300, highOhm: 2700 },
        { temperatureC: 80, lowOhm: 300, highOhm: 360 },
      ],
      toleranceLog: 0.04,
    });
    expect(model.toleranceLog).toBe(0.04);
    expect(model.resistanceOhm(80)).toBeCloseTo(Math.sqrt(300 * 360), 6);
    const way = Math.abs(inverse(80) - inverse(20));
    const spread = Math.log(360 / 300) / 2 / Math.sqrt(3) / way;
    const b = Math.log(Math.sqrt(2300 * 2700) / Math.sqrt(300 * 360)) / way;
    expect(model.formErrorLog(80)).toBeCloseTo(Math.hypot(spread * way, b * way * (0.012 + 20 * way)), 9);
    // Bands nearer than 5 K are one: they say nothing of the steepness.
    const near = curveModel({
      kind: 'band',
      slope: 'ntc',
      bands: [
        { temperatureC: 20, lowOhm: 2300, highOhm: 2700 },
        { temperatureC: 24, lowOhm: 300, highOhm: 360 },
      ],
    });
    expect(Math.log(near.resistanceOhm(60) / near.resistanceOhm(20))).toBeCloseTo(
      3700 * (inverse(60) - inverse(20)),
      9,
    );
    // And no B is taken out of what is made: 1 000 … 8 000 K.
    const steep = curveModel({
      kind: 'band',
      slope: 'ntc',
      bands: [
        { temperatureC: 20, lowOhm: 9e6, highOhm: 1e7 },
        { temperatureC: 30, lowOhm: 300, highOhm: 360 },
      ],
    });
    expect(Math.log(steep.resistanceOhm(60) / steep.resistanceOhm(20))).toBeCloseTo(
      8000 * (inverse(60) - inverse(20)),
      6,
    );
  });
  test('a PTC is straight in R, and bent below a fifth of it so that it never reaches nothing; there and back', () => {
    const one = curveModel({ kind: 'band', slope: 'ptc', bands: [{ temperatureC: 25, lowOhm: 990, highOhm: 1010 }] });
    expect(one.resistanceOhm(125) / one.resistanceOhm(25)).toBeCloseTo(1.55, 9);
    expect(one.formErrorLog(125)).toBeCloseTo(0.0015 * 100, 12);
    expect([one.minC, one.maxC, one.slope]).toEqual([-80, 900, 'ptc']);
    // 25 − 0.8/0.0055 is −120 °C: below it the line is bent.
    for (const c of [-260, -150, -100, 0, 300]) expect(one.temperatureC(one.resistanceOhm(c))).toBeCloseTo(c, 6);
    expect(Math.log(one.resistanceOhm(-200) / one.resistanceOhm(25))).toBeCloseTo(
      Math.log(0.2) + (1 - 0.0055 * 225 - 0.2) / 0.2,
      9,
    );
    const two = curveModel({
      kind: 'band',
      slope: 'ptc',
      bands: [
        { temperatureC: 0, lowOhm: 195, highOhm: 205 },
        { temperatureC: 100, lowOhm: 270, highOhm: 285 },
      ],
    });
    expect(two.resistanceOhm(100)).toBeCloseTo(Math.sqrt(270 * 285), 3);
    expect(two.formErrorLog(100)).toBeCloseTo(Math.min(0.0015, Math.log(285 / 270) / 2 / Math.sqrt(3) / 100) * 100, 9);
  });
  test('nothing and OL are the ends of either', () => {
    const of = (slope: 'ntc' | 'ptc') =>
      curveModel({ kind: 'band', slope, bands: [{ temperatureC: 20, lowOhm: 90, highOhm: 110 }] });
    expect([of('ntc').temperatureC(0), of('ntc').temperatureC(Infinity)]).toEqual([Infinity, -KELVIN]);
    expect([of('ptc').temperatureC(0), of('ptc').temperatureC(Infinity)]).toEqual([-KELVIN, Infinity]);
    expect(of('ntc').temperatureC(1e-9)).toBe(Infinity);
  });
});

test('a curve that nobody knows: NTC in 85 of 100, its level by the decade and more', () => {
  const model = curveModel({ kind: 'unknown' });
  expect(model.alternatives!.map((a) => [a.model.slope, Number(a.share.toFixed(9))])).toEqual([
    ['ntc', 0.85],
    ['ptc', 0.15],
  ]);
  expect(model.resistanceOhm(25)).toBeCloseTo(4500, 9);
  expect(model.level!(1)).toBeCloseTo(1.4, 12);
  const ptc = model.alternatives![1].model;
  expect([ptc.resistanceOhm(25), ptc.level!(-2)].map((v) => Number(v.toFixed(9)))).toEqual([700, -2]);
  expect(curveModel({ kind: 'unknown', toleranceLog: 0.2 }).alternatives!.map((a) => a.model.toleranceLog)).toEqual([
    0.2, 0.2,
  ]);
});

describe('a resistor inside the sensor', () => {
  test('across and in series: the whole by hand, and the NTC’s tolerance by its share', () => {
    const r = (c: number): number => 10_000 * Math.exp(3950 * (inverse(c) - inverse(25)));
    const across = curveModel({ kind: 'ntc-network', r25Ohm: 10_000, betaK: 3950, parallelOhm: 10_000 });
    expect(across.resistanceOhm(0)).toBeCloseTo(1 / (1 / r(0) + 1e-4), 9);
    // At 25 °C half of ln R is the NTC's.
    expect(across.toleranceLog).toBeCloseTo(0.0125, 12);
    const series = curveModel({ kind: 'ntc-network', r25Ohm: 10_000, betaK: 3950, seriesOhm: 2500 });
    expect(series.resistanceOhm(60)).toBeCloseTo(2500 + r(60), 9);
    expect(series.toleranceLog).toBeCloseTo(0.025 * 0.8, 12);
    const bare = curveModel({ kind: 'beta', r25Ohm: 10_000, betaK: 3950 });
    expect(series.formErrorLog(60)).toBeCloseTo(bare.formErrorLog(60) * (r(60) / (2500 + r(60))), 12);
    for (const model of [across, series])
      for (const c of [-30, 25, 90]) expect(model.temperatureC(model.resistanceOhm(c))).toBeCloseTo(c, 6);
    // More than the resistor across it, and less than the one in series, is no temperature.
    expect(across.temperatureC(10_000)).toBe(bare.temperatureC(Infinity));
    expect(across.temperatureC(12_000)).toBe(bare.temperatureC(Infinity));
    expect(series.temperatureC(2500)).toBe(Infinity);
    expect(curveModel({ kind: 'ntc-network', r25Ohm: 10_000, betaK: 3950, toleranceLog: 0.1 }).toleranceLog).toBe(0.1);
  });
});

test('at their ends: silicon’s lowest point, platinum’s classes, nickel’s range, B’s own form error', () => {
  const silicon = curveModel({ kind: 'silicon-ptc', r25Ohm: 1000 });
  const bottom = 25 - 7.88e-3 / (2 * 1.937e-5);
  expect(silicon.resistanceOhm(-270)).toBeCloseTo(silicon.resistanceOhm(bottom), 1);
  expect(silicon.resistanceOhm(100)).toBeCloseTo(1000 * (1 + 75 * (7.88e-3 + 75 * 1.937e-5)), 6);
  expect([silicon.temperatureC(0), silicon.temperatureC(Infinity)]).toEqual([-Infinity, Infinity]);
  expect(silicon.temperatureC(silicon.resistanceOhm(100))).toBeCloseTo(100, 9);
  // IEC 60751, class B: ± (0.3 + 0.005·|t|) K, so 0.55 K at 50 °C and 0.8 K at 100 °C, taken for 2 σ. DIN 43760, from memory: ± (0.4 + 0.007·t) K.
  const a = 3.9083e-3;
  const classB = curveModel({ kind: 'platinum', r0Ohm: 100, toleranceClass: 'B' });
  expect(classB.toleranceLog).toBeCloseTo((0.55 * a) / (1 + 50 * a) / 2, 12);
  expect(toleranceAt(classB, 100)).toBeCloseTo((0.8 * a) / (1 + 100 * a) / 2, 12);
  expect(toleranceAt(classB, -50)).toBeCloseTo((0.55 * a) / (1 - 50 * a) / 2, 12);
  expect(curveModel({ kind: 'platinum', r0Ohm: 100 }).toleranceLog).toBe(classB.toleranceLog);
  const ni = curveModel({ kind: 'nickel', r0Ohm: 100, grade: 'din43760' });
  const perK = (t: number): number => Math.log(ni.resistanceOhm(t + 0.5) / ni.resistanceOhm(t - 0.5));
  expect(toleranceAt(ni, 100) / perK(100)).toBeCloseTo(1.1 / 2, 9);
  expect(toleranceAt(ni, -50) / perK(-50)).toBeCloseTo(1.8 / 2, 9);
  expect(curveModel({ kind: 'platinum', r0Ohm: 100, toleranceClass: 'A', toleranceLog: 0.2 }).toleranceLog).toBe(0.2);
  const nickel = curveModel({ kind: 'nickel', r0Ohm: 100, grade: 'tk5000' });
  expect([nickel.temperatureC(1), nickel.temperatureC(1e5)]).toEqual([-Infinity, Infinity]);
  expect(nickel.resistanceOhm(900)).toBe(nickel.resistanceOhm(320));
  expect(nickel.resistanceOhm(-270)).toBe(nickel.resistanceOhm(-150));
  const beta = curveModel({ kind: 'beta', r25Ohm: 2000, betaK: 3600 });
  const x = Math.abs(inverse(90) - inverse(25));
  expect(beta.formErrorLog(90)).toBeCloseTo(3600 * x * (0.012 + 20 * x), 12);
  expect(beta.temperatureC(1e-9)).toBe(Infinity);
});

describe('in or outside of what is known', () => {
  const model = curveModel({ kind: 'beta', r25Ohm: 2000, betaK: 3600 });
  test('its very ends are in', () => {
    expect(resistanceAt(model, 200)).toEqual({ ok: true, value: model.resistanceOhm(200) });
    expect(resistanceAt(model, -55)).toMatchObject({ ok: true });
    expect(resistanceAt(model, 200.001)).toEqual({ ok: false, reason: 'outside-curve', minC: -55, maxC: 200 });
    expect(resistanceAt(model, -55.001).ok).toBe(false);
    expect(temperatureOf(model, model.resistanceOhm(200))).toMatchObject({ ok: true });
    expect(temperatureOf(model, model.resistanceOhm(-55))).toMatchObject({ ok: true });
    expect(temperatureOf(model, model.resistanceOhm(200) * 0.999).ok).toBe(false);
    expect(temperatureOf(model, model.resistanceOhm(-55) * 1.001)).toEqual({
      ok: false,
      reason: 'outside-curve',
      minC: -55,
      maxC: 200,
    });
  });
  test('forms as they are typed are found by kind and name', () => {
    expect(typedForm('ntc-network', 'series')).toMatchObject({ kind: 'ntc-network', id: 'series' });
    expect(typedForm('ntc-network', '')).toBeNull();
    expect(typedForm('beta', '')).toMatchObject({ id: '' });
    expect(typedForm('nothing', '')).toBeNull();
  });
  test('a function that only rises or falls is turned round within its ends', () => {
    const cube = (v: number): number => v ** 3;
    expect(invertMonotone(cube, 8, 0, 5)).toBeCloseTo(2, 9);
    expect(invertMonotone((v) => -cube(v), -8, 0, 5)).toBeCloseTo(2, 9);
    expect([invertMonotone(cube, -1, 0, 5), invertMonotone(cube, 126, 0, 5)]).toEqual([0, 5]);
    expect([invertMonotone((v) => -v, 1, 0, 5), invertMonotone((v) => -v, -6, 0, 5)]).toEqual([0, 5]);
    expect(invertMonotone((v) => (v < 1 ? v / 1e6 : 1e6 * v), 2e6, 0, 10)).toBeCloseTo(2, 6);
  });
});

describe('a printed table', () => {
  const platinum = curveModel({ kind: 'platinum', r0Ohm: 100 });
  test('even steps of whole numbers within curve and wish; limits of tolerance and form', () => {
    const lines = curveTable(platinum, -13, 31, 10);
    expect(lines.map((l) => l.temperatureC)).toEqual([-10, 0, 10, 20, 30]);
    const [line] = lines;
    expect(line.resistanceOhm).toBeCloseTo(platinum.resistanceOhm(-10), 12);
    // The class is 0.35 K at −10 °C, a limit.
    const limit = 0.35 * (Math.log(platinum.resistanceOhm(-9.5)) - Math.log(platinum.resistanceOhm(-10.5)));
    expect(Math.log(line.highOhm / line.resistanceOhm) / limit).toBeCloseTo(1, 2);
    expect(Math.log(line.resistanceOhm / line.lowOhm) / limit).toBeCloseTo(1, 2);
    const beta = curveModel({ kind: 'beta', r25Ohm: 2000, betaK: 3600 });
    const [hot] = curveTable(beta, 90, 90, 10);
    expect(Math.log(hot.highOhm / hot.resistanceOhm)).toBeCloseTo(Math.hypot(0.05, 2 * beta.formErrorLog(90)), 12);
    expect(curveTable(beta, -100, -40, 5).map((l) => l.temperatureC)).toEqual([-55, -50, -45, -40]);
    expect(curveTable(beta, 190, 300, 5).map((l) => l.temperatureC)).toEqual([190, 195, 200]);
    expect(curveTable(beta, 0, 0.3, 0.1).map((l) => l.temperatureC)).toEqual([0, 0.1, 0.2, 0.3]);
    expect(curveCsv(lines.slice(1, 2))).toBe(
      'temperature (°C),resistance (Ω),min (Ω),max (Ω)\r\n0,100,99.8828,100.117\r\n',
    );
  });
  test('what is no curve: by its row', () => {
    const points = (...list: [number, number][]) =>
      list.map(([temperatureC, resistanceOhm]) => ({ temperatureC, resistanceOhm }));
    expect(tableFault(points([0, 10], [10, 8], [20, 9]))).toEqual({ row: 2, reason: 'not monotone' });
    expect(tableFault(points([0, 10], [10, 10]))).toEqual({ row: 1, reason: 'not monotone' });
    expect(tableFault(points([0, 10], [0, 8]))).toEqual({ row: 1, reason: 'temperatures not ascending' });
    expect(tableFault(points([0, 8], [10, 9], [20, 8.5]))).toEqual({ row: 2, reason: 'not monotone' });
    expect(tableFault(points([0, 8], [10, 9], [20, 10]))).toBeNull();
    expect(tableFault(points([0, 8]))).toBeNull();
  });
  test('nothing and OL are its ends; beyond its rows it runs on', () => {
    const of = (list: [number, number][]) =>
      curveModel({
        kind: 'table',
        points: list.map(([temperatureC, resistanceOhm]) => ({ temperatureC, resistanceOhm })),
      });
    const ntc = of([
      [0, 9420],
      [20, 3520],
      [40, 1459],
      [60, 667],
    ]);
    expect([ntc.temperatureC(0), ntc.temperatureC(Infinity), ntc.slope]).toEqual([Infinity, -KELVIN, 'ntc']);
    const ptc = of([
      [0, 1000],
      [50, 1194],
      [100, 1385],
    ]);
    expect([ptc.temperatureC(0), ptc.temperatureC(Infinity), ptc.slope]).toEqual([-KELVIN, Infinity, 'ptc']);
    expect([ntc.minC, ntc.maxC, ntc.toleranceLog]).toEqual([0, 60, DEFAULT_TOLERANCE_LOG]);
    expect(ntc.resistanceOhm(70)).toBeLessThan(667);
    expect(ntc.temperatureC(ntc.resistanceOhm(75))).toBeCloseTo(75, 6);
    // Form: nothing at a row and close to it, something between.
    expect(ntc.formErrorLog(20)).toBe(0);
    expect(ntc.formErrorLog(25)).toBe(0);
    expect(ntc.formErrorLog(-20)).toBeGreaterThan(0.001);
  });
});

describe('a fit says what it does not know', () => {
  const rowsOf = (list: readonly (readonly [number, number, (number | null)?, (number | null)?])[]): PointRow[] =>
    list.map(([temperatureC, resistanceOhm, minOhm = null, maxOhm = null], i) => ({
      line: i + 1,
      temperatureC,
      resistanceOhm,
      minOhm,
      maxOhm,
    }));
  const beta = (c: number): number => 2000 * Math.exp(3600 * (inverse(c) - inverse(25)));
  const chosen = (rows: PointRow[], form?: Parameters<typeof chooseFit>[1]) => {
    const fit = chooseFit(rows, form);
    if (!fit.ok) throw new Error(fit.reason);
    return fit;
  };
  test('limits of a table are its tolerance: the wider side of each row, in the mean', () => {
    const limits = [0, 40, 80].map((c) => [c, beta(c), beta(c) * 0.9, beta(c) * 1.2] as const);
    expect(chosen(rowsOf(limits)).toleranceShare).toBeCloseTo(0.2, 9);
    expect(chosen(rowsOf(limits.map(([c, r, low]) => [c, r, low, null]))).toleranceShare).toBeCloseTo(0.1, 9);
    expect(chosen(rowsOf(limits.map(([c, r, , high]) => [c, r, null, high]))).toleranceShare).toBeCloseTo(0.2, 9);
    expect(chosen(rowsOf([limits[0], ...limits.slice(1).map(([c, r]) => [c, r] as const)])).toleranceShare).toBeCloseTo(
      0.2,
      9,
    );
    expect(chosen(rowsOf(limits.map(([c, r]) => [c, r]))).toleranceShare).toBeNull();
    expect(chosen(rowsOf(limits.map(([c, r]) => [c, r, r / 9, r * 9]))).toleranceShare).toBe(0.6);
    expect(chosen(rowsOf(limits.map(([c, r]) => [c, r, r, r]))).toleranceShare).toBe(1e-4);
    const { curve } = chosen(rowsOf(limits));
    expect(curveModel(curve).toleranceLog).toBeCloseTo(Math.log(1.2) / Math.sqrt(3), 6);
  });
  test('a form that fits exactly keeps its usual tolerance; one that misses left-out rows has half the miss in its own', () => {
    expect(chosen(rowsOf([0, 20, 40, 60, 80].map((c) => [c, beta(c)]))).curve).not.toHaveProperty('toleranceLog');
    const bent = [0, 20, 40, 60, 80].map((c) => [c, beta(c) * Math.exp(3e-5 * (c - 40) ** 2)] as const);
    const { curve, leftOutK, fittedSigmaK } = chosen(rowsOf(bent), 'beta');
    const perK = Math.log(bent[0][1] / bent[4][1]) / 80;
    const unsure = Math.max(leftOutK / 2, ...fittedSigmaK) * perK;
    expect(curveModel(curve).toleranceLog).toBeCloseTo(Math.hypot(DEFAULT_TOLERANCE_LOG, unsure), 9);
    expect(unsure).toBeGreaterThan(0.0015);
    // A table goes through its rows: nothing is missed.
    expect(chosen(rowsOf(bent), 'table').curve).not.toHaveProperty('toleranceLog');
    // Never more than half of it in ln R.
    const wild = [0, 20, 40, 60, 80]
      .map((c, i) => [c, beta(c) * (i % 2 ? 1.5 : 0.6)] as const)
      .filter((_, i) => i !== 2);
    const fit = chooseFit(rowsOf(wild), 'beta');
    if (fit.ok) expect(curveModel(fit.curve).toleranceLog).toBeLessThanOrEqual(0.5);
  });
  test('too few points for any form, and forms that are not for such a slope', () => {
    expect(chooseFit(rowsOf([[0, 100]]))).toMatchObject({ ok: false, reason: 'too-few-points', row: null });
    expect(
      chooseFit(
        rowsOf([
          [0, 100],
          [10, 90],
        ]),
        'steinhart-hart',
      ),
    ).toMatchObject({ ok: false, reason: 'too-few-points' });
    const rising = [0, 50, 100].map((c) => ({ temperatureC: c, resistanceOhm: 100 + 0.39 * c }));
    const falling = [0, 50, 100].map((c) => ({ temperatureC: c, resistanceOhm: beta(c) }));
    expect(fitCurve(rising, 'beta')).toEqual({ ok: false, reason: 'not-an-ntc' });
    expect(fitCurve(falling, 'platinum')).toEqual({ ok: false, reason: 'not-a-ptc' });
    expect(fitCurve(falling, 'nickel')).toEqual({ ok: false, reason: 'not-a-ptc' });
    expect(fitCurve([{ temperatureC: 0, resistanceOhm: 0 }], 'beta')).toEqual({
      ok: false,
      reason: 'bad-point',
      row: 0,
    });
    expect(fitCurve([falling[0], { temperatureC: -274, resistanceOhm: 5 }], 'beta')).toMatchObject({
      reason: 'bad-point',
      row: 1,
    });
    expect(fitCurve(falling.slice(0, 1), 'beta')).toEqual({ ok: false, reason: 'too-few-points' });
    expect(fitCurve([...falling].reverse(), 'beta')).toMatchObject({ reason: 'not-monotone', row: 1 });
    expect(fitCurve(rising, 'table')).toMatchObject({ ok: true, worstK: expect.any(Number) as number });
  });
  test('1σ of a fitted B at its own points, by the plain formula of a straight line (GUM H.3)', () => {
    const noisy = [0, 20, 40, 60, 80].map((c, i) => ({
      temperatureC: c,
      resistanceOhm: beta(c) * [1.002, 0.997, 1.004, 0.999, 1.001][i],
    }));
    const fit = fitCurve(noisy, 'beta');
    if (!fit.ok) throw new Error(fit.reason);
    const [l, y] = [noisy.map((p) => Math.log(p.resistanceOhm)), noisy.map((p) => inverse(p.temperatureC))];
    const mean = (v: number[]): number => v.reduce((a, b) => a + b, 0) / v.length;
    const sxx = l.reduce((s, v) => s + (v - mean(l)) ** 2, 0);
    const slope = l.reduce((s, v, i) => s + (v - mean(l)) * (y[i] - mean(y)), 0) / sxx;
    const left = y.map((v, i) => v - mean(y) - slope * (l[i] - mean(l)));
    const s = Math.sqrt(left.reduce((sum, v) => sum + v * v, 0) / 3);
    noisy.forEach((p, i) => {
      const sigma = s * Math.sqrt(1 / 5 + (l[i] - mean(l)) ** 2 / sxx) * (p.temperatureC + KELVIN) ** 2;
      expect(fit.fittedSigmaK[i]).toBeCloseTo(sigma, 6);
      expect(fit.residualsK[i]).toBeCloseTo(curveModel(fit.curve).temperatureC(p.resistanceOhm) - p.temperatureC, 9);
    });
    expect(fit.worstK).toBe(Math.max(...fit.residualsK.map(Math.abs)));
  });
});

describe('a row that sticks out', () => {
  const ntc = (c: number): number => Number((2000 * Math.exp(3600 * (inverse(c) - inverse(25)))).toPrecision(4));
  const table = (f: (c: number) => number, change: Record<number, number> = {}) =>
    [0, 10, 20, 30, 40, 50, 60].map((c, i) => ({ temperatureC: c, resistanceOhm: f(c) * (change[i] ?? 1) }));
  test('is named with its error and what was meant; three at most, in the order of the table', () => {
    const [found] = findMistyped(table(ntc, { 3: 1.1 }));
    expect(found.row).toBe(3);
    expect(found.meantOhm / ntc(30)).toBeCloseTo(1, 2);
    // 10 % at some 4 % a kelvin.
    expect(found.errorK).toBeGreaterThan(2);
    expect(found.errorK).toBeLessThan(2.6);
    expect(findMistyped(table(ntc))).toEqual([]);
    const long = Array.from({ length: 15 }, (_, i) => ({ temperatureC: 5 * i, resistanceOhm: ntc(5 * i) }));
    const twice = long.map((p, i) => ({ ...p, resistanceOhm: p.resistanceOhm * (i === 4 ? 1.1 : i === 10 ? 0.9 : 1) }));
    expect(findMistyped(twice).map((m) => m.row)).toEqual([4, 10]);
    const platinum = (c: number): number => Number((1000 * (1 + 3.9083e-3 * c)).toFixed(1));
    expect(findMistyped(table(platinum, { 2: 1.02 })).map((m) => m.row)).toEqual([2]);
    expect(findMistyped(table(platinum))).toEqual([]);
  });
  test('is not sought where there are too few rows, none that are figures, or a rise over decades', () => {
    expect(findMistyped(table(ntc, { 1: 3 }).slice(0, 3))).toEqual([]);
    expect(findMistyped(table(ntc, { 1: 0 }))).toEqual([]);
    expect(findMistyped(table(ntc).map((p, i) => (i === 0 ? { ...p, temperatureC: -300 } : p)))).toEqual([]);
    expect(findMistyped(table((c) => 100 * 2 ** (c / 8), { 3: 1.3 }))).toEqual([]);
    // What is off by less than 0.6 K is not worth a word, however clear.
    expect(findMistyped(table((c) => 2000 * Math.exp(3600 * (inverse(c) - inverse(25))), { 3: 1.015 }))).toEqual([]);
    expect(
      findMistyped(table((c) => 2000 * Math.exp(3600 * (inverse(c) - inverse(25))), { 3: 1.05 })).map((m) => m.row),
    ).toEqual([3]);
  });
});

test('a function is turned round in few looks: a secant and halving in turn, no closer than the last digits', () => {
  const looks = (f: (v: number) => number, target: number, low: number, high: number): number => {
    let count = 0;
    const found = invertMonotone(
      (v) => {
        count++;
        return f(v);
      },
      target,
      low,
      high,
    );
    expect(Math.abs(f(found) / target - 1)).toBeLessThan(1e-9);
    return count;
  };
  expect(looks((v) => 3 * v + 1, 7, 0, 10)).toBeLessThan(12);
  expect(looks((v) => v ** 3, 8, 0, 5)).toBeLessThan(50);
  // Far from nothing the last digits are larger: it stops there.
  expect(looks((v) => (v / 1e6) ** 3, 8, 0, 5e6)).toBeLessThan(50);
  expect(looks((v) => Math.exp(-v), Math.exp(-3), -8, 26)).toBeLessThan(75);
});

test('platinum short of where its parabola turns round; one that bends up has no such place', () => {
  const of = (b: number) => curveModel({ kind: 'platinum', r0Ohm: 100, a: 4e-3, b });
  const down = of(-2e-6);
  // 0.9 · a / 2|b| is 900 °C.
  expect(down.resistanceOhm(900)).toBeGreaterThan(down.resistanceOhm(899));
  expect(down.resistanceOhm(1000)).toBeCloseTo(down.resistanceOhm(900), 9);
  expect(down.temperatureC(down.resistanceOhm(900) * 1.001)).toBe(Infinity);
  expect(down.temperatureC(down.resistanceOhm(890))).toBeCloseTo(890, 6);
  for (const b of [0, 1e-6]) {
    const up = of(b);
    expect(up.resistanceOhm(3000)).toBeGreaterThan(up.resistanceOhm(2999));
    expect(up.resistanceOhm(3100)).toBe(up.resistanceOhm(3000));
    expect(up.temperatureC(up.resistanceOhm(2500))).toBeCloseTo(2500, 6);
  }
  // The standard's own never gets there.
  const iec = curveModel({ kind: 'platinum', r0Ohm: 100 });
  expect(iec.resistanceOhm(2900)).toBeGreaterThan(iec.resistanceOhm(2800));
  expect(iec.resistanceOhm(3100)).toBe(iec.resistanceOhm(3000));
});

test('a curve file: a mark at its front is no matter, what is wrong is told short', () => {
  const good = {
    ...{ format: 'mellow-probe/curve', formatVersion: 1, id: 'a', name: 'x', source: '', note: '' },
    ...{ createdAt: '2026-01-02T03:04:05.000Z', curve: { kind: 'beta', r25Ohm: 2000, betaK: 3600 } },
  };
  expect(openCurve(`\uFEFF${JSON.stringify(good)}`)).toEqual({ ok: true, curve: good });
  const broken = openCurve(`{"${'x'.repeat(500)}`);
  expect(broken.ok).toBe(false);
  if (broken.ok) return;
  expect(broken.detail.length).toBeLessThanOrEqual(200);
  expect(broken.detail.length).toBeGreaterThan(5);
  expect(openCurve('null')).toEqual({ ok: false, reason: 'not-a-curve', detail: '' });
  expect(openCurve('7')).toMatchObject({ reason: 'not-a-curve' });
  expect(openCurve(JSON.stringify({ ...good, curve: { ...good.curve, r25Ohm: 'x' } }))).toMatchObject({
    reason: 'bad-field',
    detail: expect.stringMatching(/^curve › r25Ohm: /) as string,
  });
  // A mark within is a part of the name.
  expect(openCurve(JSON.stringify({ ...good, name: 'a\uFEFFb' }))).toMatchObject({ curve: { name: 'a\uFEFFb' } });
});
