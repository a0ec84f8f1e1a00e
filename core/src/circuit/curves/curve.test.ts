import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reference, referencePoints } from '../../../test/reference.ts';
import { CATALOGUE_CURVES, catalogueCurve, otherCommonCurves } from '../../catalogue/parts/curves.ts';
import { type Curve, curveModel, curveSchema, resistanceAt, temperatureOf } from './curve.ts';
import { temperaturesOf } from './curveModel.ts';
import { tableFault } from './table.ts';

const PARTS = ['NCP..WB473', 'NCP..WF104', 'NCP..XH103'];

describe('every curve of the catalogue', () => {
  test.each(CATALOGUE_CURVES.map((c) => [c.id, c.curve] as const))('%s', (_, curve) => {
    expect(curveSchema.safeParse(curve).success).toBe(true);
    const model = curveModel(curve);
    const sign = model.slope === 'ntc' ? -1 : 1;
    fc.assert(
      fc.property(fc.double({ min: model.minC, max: model.maxC - 1, noNaN: true }), (t) => {
        const [here, warmer] = [model.resistanceOhm(t), model.resistanceOhm(t + 1)];
        expect(here).toBeGreaterThan(0);
        expect(sign * (warmer - here)).toBeGreaterThan(0);
        expect(model.temperatureC(here)).toBeCloseTo(t, 6);
        expect(model.formErrorLog(t)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 60, seed: 1 },
    );
    const ohms = Float64Array.from([model.minC, 0, 25, model.maxC], (t) => model.resistanceOhm(t));
    temperaturesOf(model, ohms).forEach((celsius, i) => expect(celsius).toBeCloseTo(model.temperatureC(ohms[i]), 9));
    // Total: no hole, no NaN, whatever a search asks for.
    for (const t of [-400, -273.15, -60, 300, 5000]) expect(model.resistanceOhm(t)).toBeGreaterThan(0);
    for (const r of [0, 1e-6, 1, 1e9, Infinity]) expect(model.temperatureC(r)).not.toBeNaN();
    expect(resistanceAt(model, model.maxC + 50)).toMatchObject({ ok: false, reason: 'outside-curve' });
    expect(temperatureOf(model, model.slope === 'ntc' ? 1e12 : 1e-9)).toMatchObject({
      ok: false,
      reason: 'outside-curve',
    });
  });
});

describe('against published tables', () => {
  test('platinum: IEC 60751 (from memory), 0.01 Ω', () => {
    const model = curveModel({ kind: 'platinum', r0Ohm: 100 });
    for (const row of reference('iec60751-pt100.csv')) {
      expect(Math.abs(model.resistanceOhm(Number(row.temp_c)) - Number(row.ohm_table_from_memory))).toBeLessThan(
        0.0101,
      );
    }
  });
  test.each([
    ['din43760-ni100.csv', { kind: 'nickel', r0Ohm: 100, grade: 'din43760' }],
    ['ni1000-tk5000.csv', { kind: 'nickel', r0Ohm: 1000, grade: 'tk5000' }],
  ] as const)('nickel: %s (from memory), 0.1 Ω', (file, curve) => {
    const model = curveModel(curve);
    for (const row of reference(file)) {
      expect(Math.abs(model.resistanceOhm(Number(row.temp_c)) - Number(row.ohm_table_from_memory))).toBeLessThan(0.1);
    }
  });
  test.each(PARTS)('%s (Linux kernel table): ln R against 1/T between 10 °C knots stays within 0.06 K', (part) => {
    const points = referencePoints('linux-ntc-resistance.csv', 'part', part);
    const knots = points.filter((p) => p.temperatureC % 10 === 0 || p.temperatureC === 125);
    const model = curveModel({ kind: 'table', points: knots });
    for (const p of points) expect(Math.abs(model.temperatureC(p.resistanceOhm) - p.temperatureC)).toBeLessThan(0.061);
  });
  test.each(PARTS)(
    '%s: a single B is off by more than it seems, and says so (within 3σ of its own form error)',
    (part) => {
      const points = referencePoints('linux-ntc-resistance.csv', 'part', part);
      const at = (t: number): number => points.find((p) => p.temperatureC === t)!.resistanceOhm;
      const betaK = Math.log(at(25) / at(85)) / (1 / 298.15 - 1 / 358.15);
      const model = curveModel({ kind: 'beta', r25Ohm: at(25), betaK });
      let worst = 0;
      for (const p of points) {
        const error = Math.log(model.resistanceOhm(p.temperatureC) / p.resistanceOhm);
        expect(Math.abs(error)).toBeLessThanOrEqual(3 * model.formErrorLog(p.temperatureC) + 1e-3);
        worst = Math.max(worst, Math.abs(model.temperatureC(p.resistanceOhm) - p.temperatureC));
      }
      expect(worst).toBeGreaterThan(1);
      expect(worst).toBeLessThan(4.5);
    },
  );
  test('handbook tables (from memory): the catalogue agrees within 0.1 K over 0…100 °C', () => {
    const pairs: [string, string][] = [
      ['ntc-10k-steep', '10k type II '],
      ['ntc-10k-flat', '10k type III'],
      ['ntc-2252', 'precision 2252'],
      ['ntc-5k', 'precision 5k'],
      ['ntc-12k', '12k boiler'],
      ['ntc-2k8', 'automotive 3.52k'],
      ['ntc-3k', 'precision 3k'],
      ['ntc-30k', 'precision 30k'],
      ['ntc-2k5-at-20', 'automotive 2.5k'],
      ['ntc-30k-engine', 'automotive 30k'],
    ];
    for (const [id, beginning] of pairs) {
      const model = curveModel(catalogueCurve(id)!.curve);
      const points = referencePoints('handbook-ntc.csv', 'curve', beginning).filter(
        (p) => p.temperatureC >= 0 && p.temperatureC <= 100,
      );
      expect(points.length).toBeGreaterThan(5);
      // 7700 Ω at 60 °C of this one is doubtful: the rows around it say 7600 (see the catalogue).
      const sound = points.filter((p) => !(id === 'ntc-30k-engine' && p.temperatureC === 60));
      for (const p of sound) expect(Math.abs(model.temperatureC(p.resistanceOhm) - p.temperatureC)).toBeLessThan(0.1);
    }
  });
});

describe('a table with every second row left out', () => {
  const miss = (rows: { temperatureC: number; resistanceOhm: number }[]): number[] => {
    const half = curveModel({ kind: 'table', points: rows.filter((_, i) => i % 2 === 0) });
    return rows
      .filter((_, i) => i % 2 === 1 && i < rows.length - 1)
      .map(({ temperatureC, resistanceOhm }) => {
        const inKelvin = Math.abs(half.temperatureC(resistanceOhm) - temperatureC);
        const inLog = Math.abs(Math.log(half.resistanceOhm(temperatureC) / resistanceOhm));
        return inLog <= 2 * half.formErrorLog(temperatureC) ? 0 : inKelvin;
      });
  };
  const worst = (rows: { temperatureC: number; resistanceOhm: number }[]): number => Math.max(...miss(rows));
  test.each([
    '10k type II ',
    '10k type III',
    'precision 2252',
    'precision 5k',
    '12k boiler',
    'automotive 3.52k',
    'precision 3k',
    'precision 30k',
  ])('the handbook table of %s is met within 0.1 K', (name) =>
    expect(worst(referencePoints('handbook-ntc.csv', 'curve', name))).toBeLessThan(0.1),
  );
  test.each(PARTS)('the kernel table of %s too', (part) =>
    expect(worst(referencePoints('linux-ntc-resistance.csv', 'part', part))).toBeLessThan(0.1),
  );
  test.each([
    [{ kind: 'platinum', r0Ohm: 100 }, -200, 850],
    [{ kind: 'nickel', r0Ohm: 100, grade: 'din43760' }, -60, 250],
    [{ kind: 'nickel', r0Ohm: 1000, grade: 'tk5000' }, -60, 160],
    [{ kind: 'silicon-ptc', r25Ohm: 1000 }, -50, 150],
  ] as const)('%j, rows up to 50 K apart: within 0.1 K, or within what it says of itself (2σ)', (curve, low, high) => {
    const model = curveModel(curve);
    for (const step of [5, 10, 20, 25, 50]) {
      const rows = [];
      for (let t: number = low; t <= high; t += step)
        rows.push({ temperatureC: t, resistanceOhm: model.resistanceOhm(t) });
      expect(worst(rows), String(step)).toBeLessThan(0.1);
    }
  });
  test('a PTC of decades, as in motor windings, stays a curve: nothing turns round, its own rows are met', () => {
    const points = [
      { temperatureC: 20, resistanceOhm: 80 },
      { temperatureC: 60, resistanceOhm: 95 },
      { temperatureC: 100, resistanceOhm: 200 },
      { temperatureC: 120, resistanceOhm: 1500 },
      { temperatureC: 130, resistanceOhm: 9000 },
    ];
    const model = curveModel({ kind: 'table', points });
    for (const p of points) expect(model.resistanceOhm(p.temperatureC)).toBeCloseTo(p.resistanceOhm, 6);
    for (let t = 20; t < 130; t++) expect(model.resistanceOhm(t + 1)).toBeGreaterThan(model.resistanceOhm(t));
  });
});

describe('figures of common practice, no source', () => {
  test('three points of one engine coolant NTC give one B within 2 %', () => {
    const b = (t1: number, r1: number, t2: number, r2: number): number =>
      Math.log(r1 / r2) / (1 / (t1 + 273.15) - 1 / (t2 + 273.15));
    const all = [b(17, 3650, 21, 3040), b(21, 3040, 48, 1000), b(17, 3650, 48, 1000)];
    for (const value of all) expect(Math.abs(value / all[2] - 1)).toBeLessThan(0.02);
  });
  test('210 Ω of a Pt200 is 12 … 13 °C', () => {
    const t = curveModel({ kind: 'platinum', r0Ohm: 200 }).temperatureC(210);
    expect(t).toBeGreaterThan(12);
    expect(t).toBeLessThan(13);
  });
});

describe('forms', () => {
  test('Steinhart–Hart: the worked example of python3-uncertainties, 3603 Ω is 49.98612 °C', () => {
    const curve: Curve = {
      kind: 'steinhart-hart',
      a: 1.129241e-3,
      b: 2.341077e-4,
      c: 8.775468e-8,
      minC: -50,
      maxC: 150,
    };
    expect(curveModel(curve).temperatureC(3603)).toBeCloseTo(49.98612, 5);
    const four = curveModel({ ...curve, squareTerm: 0 });
    expect(four.resistanceOhm(20)).toBeCloseTo(curveModel(curve).resistanceOhm(20), 6);
    expect(
      curveModel({ ...curve, squareTerm: 1e-8 }).temperatureC(
        curveModel({ ...curve, squareTerm: 1e-8 }).resistanceOhm(70),
      ),
    ).toBeCloseTo(70, 6);
  });
  test('a table that is no curve names its row', () => {
    const p = (temperatureC: number, resistanceOhm: number) => ({ temperatureC, resistanceOhm });
    expect(tableFault([p(0, 9), p(10, 5), p(10, 4)])).toEqual({ row: 2, reason: 'temperatures not ascending' });
    expect(tableFault([p(0, 9), p(10, 5), p(20, 6)])).toEqual({ row: 2, reason: 'not monotone' });
    expect(tableFault([p(0, 9), p(10, 5), p(20, 4)])).toBeNull();
    expect(curveSchema.safeParse({ kind: 'table', points: [p(0, 9), p(10, 9)] }).success).toBe(false);
  });
  test('two far points do not pretend to know what lies between', () => {
    const model = curveModel({
      kind: 'table',
      points: [
        { temperatureC: 0, resistanceOhm: 32651 },
        { temperatureC: 100, resistanceOhm: 679 },
      ],
    });
    expect(model.formErrorLog(40)).toBeGreaterThan(0.01);
    expect(model.formErrorLog(0)).toBe(0);
  });
  test('a wrong part is one that differs', () => {
    const own = curveModel({ kind: 'platinum', r0Ohm: 1000 });
    const names = otherCommonCurves(own).map((c) => c.name);
    expect(names).not.toContain('Platinum Pt1000');
    expect(names.length).toBeGreaterThan(5);
  });
});
