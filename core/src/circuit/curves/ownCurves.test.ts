import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { referencePoints } from '../../../test/reference.ts';
import { CATALOGUE_CURVES } from '../../catalogue/parts/curves.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { chooseFit } from './chooseFit.ts';
import { curveModel } from './curve.ts';
import { curveCsv, curveTable } from './curveTable.ts';
import type { FitForm } from './fitCurve.ts';
import { findMistyped } from './findMistyped.ts';
import { openCurve } from './ownCurve.ts';
import { readPoints } from '../../intake/pointTable/readPoints.ts';

const PARTS = ['NCP..WB473', 'NCP..WF104', 'NCP..XH103'];
const kernel = (part: string) => referencePoints('linux-ntc-resistance.csv', 'part', part);
const rowsOf = (points: { temperatureC: number; resistanceOhm: number }[]) =>
  points.map((p, i) => ({ ...p, line: i + 1, minOhm: null, maxOhm: null }));

describe('the mistyped row', () => {
  test.each(PARTS)('none in the kernel table of %s as it stands', (part) =>
    expect(findMistyped(kernel(part))).toEqual([]),
  );
  test('two digits swapped, a missed zero, a wrong decimal: the row and what was meant (property)', () => {
    const spoil = fc.constantFrom(0.1, 10, 1.15, 0.87, 1.3);
    fc.assert(
      fc.property(fc.constantFrom(...PARTS), fc.integer({ min: 0, max: 33 }), spoil, (part, row, factor) => {
        const points = kernel(part).map((p) => ({ ...p }));
        points[row].resistanceOhm *= factor;
        const found = findMistyped(points);
        expect(found.map((f) => f.row)).toEqual([row]);
        expect(Math.abs(Math.log((found[0].meantOhm * factor) / points[row].resistanceOhm))).toBeLessThan(0.02);
      }),
      { seed: 4, numRuns: 150 },
    );
  });
  test('a platinum table too; three rows are too few to tell', () => {
    const pt = [-50, 0, 50, 100, 150, 200].map((t) => ({
      temperatureC: t,
      resistanceOhm: curveModel({ kind: 'platinum', r0Ohm: 100 }).resistanceOhm(t),
    }));
    expect(findMistyped(pt)).toEqual([]);
    pt[3].resistanceOhm = 183.5;
    expect(findMistyped(pt).map((f) => f.row)).toEqual([3]);
    expect(findMistyped(pt.slice(0, 3))).toEqual([]);
  });
});

describe('the mistyped row, over tables of every kind and spacing', () => {
  const uniform = seededUniform(77);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)];
  /** A clean table: kernel and catalogue tables and curves, rounded as in print, whole, thinned unevenly, or short. */
  function cleanTable(): { temperatureC: number; resistanceOhm: number }[] {
    const from = (): { temperatureC: number; resistanceOhm: number }[] => {
      if (uniform() < 0.3) return kernel(pick(PARTS));
      const { curve } = pick(CATALOGUE_CURVES);
      const model = curveModel(curve);
      const [low, high] = [Math.max(model.minC, pick([-200, -40, 0])), Math.min(model.maxC, pick([60, 120, 250, 850]))];
      if (curve.kind === 'table' && uniform() < 0.7)
        return curve.points.filter((p) => p.temperatureC >= low && p.temperatureC <= high);
      const step = pick([5, 10, 20, 25]);
      return Array.from({ length: Math.floor((high - low) / step) + 1 }, (_, i) => ({
        temperatureC: low + i * step,
        resistanceOhm: model.resistanceOhm(low + i * step),
      }));
    };
    const figures = pick([3, 4, 5]);
    const thin = uniform() < 0.4 ? 0.6 : 1;
    const short = uniform() < 0.2 ? 4 + Math.floor(4 * uniform()) : Infinity;
    return from()
      .map((p) => ({ ...p, resistanceOhm: Number(p.resistanceOhm.toPrecision(figures)) }))
      .filter(() => uniform() < thin)
      .slice(0, short)
      .filter((p, i, all) => i === 0 || p.resistanceOhm !== all[i - 1].resistanceOhm);
  }
  test('of 500 clean tables at most one in a hundred is suspected; of rows off by more than 1 K, 95 in a hundred are found where there are six rows', () => {
    let [clean, suspected, spoiled, found] = [0, 0, 0, 0];
    for (let n = 0; n < 500; n++) {
      const table = cleanTable();
      if (table.length < 4) continue;
      clean++;
      if (findMistyped(table).length > 0) suspected++;
      const [row, factor] = [Math.floor(uniform() * table.length), pick([0.1, 10, 1.3, 0.87, 1.06, 0.95])];
      const beside = table[row > 0 ? row - 1 : 1];
      const perK =
        Math.log(table[row].resistanceOhm / beside.resistanceOhm) / (table[row].temperatureC - beside.temperatureC);
      if (Math.abs(Math.log(factor) / perK) < 1) continue;
      if (table.length < 6) continue;
      spoiled++;
      const wrong = table.map((p, i) => (i === row ? { ...p, resistanceOhm: p.resistanceOhm * factor } : p));
      if (findMistyped(wrong).some((m) => m.row === row)) found++;
    }
    expect(clean).toBeGreaterThan(440);
    expect(suspected / clean).toBeLessThanOrEqual(0.01);
    expect(found / spoiled).toBeGreaterThanOrEqual(0.95);
  });
  test('15 K in a table of the catalogue whose rest is not calm', () => {
    for (const id of ['ntc-12k', 'ntc-2k5-at-20', 'ntc-2k8']) {
      const { curve } = CATALOGUE_CURVES.find((c) => c.id === id)!;
      if (curve.kind !== 'table') throw new Error(id);
      for (let row = 0; row < curve.points.length; row++) {
        const { temperatureC } = curve.points[row];
        const meant = curveModel(curve).resistanceOhm(temperatureC + 15);
        const wrong = curve.points.map((p, i) => (i === row ? { ...p, resistanceOhm: meant } : p));
        expect(
          findMistyped(wrong).map((m) => m.row),
          `${id} ${temperatureC}`,
        ).toContain(row);
      }
    }
  });
  test('what is no curve at all is left to those who say so', () => {
    expect(findMistyped([1, 2, 3, 4].map((t) => ({ temperatureC: t, resistanceOhm: 0 })))).toEqual([]);
    const winding = [20, 60, 100, 120, 130].map((temperatureC, i) => ({
      temperatureC,
      resistanceOhm: [80, 95, 200, 1500, 9000][i],
    }));
    expect(findMistyped(winding)).toEqual([]);
  });
});

describe('the form the points can bear', () => {
  test.each(PARTS)(
    '%s: every 5 °C a table or four terms, which miss left-out points by less than three and far less than one B',
    (part) => {
      const fit = chooseFit(rowsOf(kernel(part)));
      if (!fit.ok) throw new Error(fit.reason);
      expect(['table', 'steinhart-hart-4']).toContain(fit.form);
      const missed = (form: FitForm): number => fit.tried.find((t) => t.form === form)!.leftOutK;
      expect(missed('table')).toBeLessThan(missed('steinhart-hart'));
      expect(missed('steinhart-hart-4')).toBeLessThan(missed('steinhart-hart'));
      expect(missed('steinhart-hart')).toBeLessThan(missed('beta') / 3);
      expect(fit.leftOutK).toBe(missed(fit.form));
    },
  );
  test('five points of a true Steinhart–Hart curve: that form; of a true B: one B; two points: one B', () => {
    const of = (curve: Parameters<typeof curveModel>[0], temperatures: number[]) => {
      const model = curveModel(curve);
      return chooseFit(
        rowsOf(
          temperatures.map((temperatureC) => ({ temperatureC, resistanceOhm: model.resistanceOhm(temperatureC) })),
        ),
      );
    };
    const sh = {
      kind: 'steinhart-hart',
      a: 1.129241e-3,
      b: 2.341077e-4,
      c: 8.775468e-8,
      minC: -40,
      maxC: 120,
    } as const;
    const beta = { kind: 'beta', r25Ohm: 2000, betaK: 3600 } as const;
    expect(of(sh, [-20, 0, 25, 60, 100])).toMatchObject({ ok: true, form: 'steinhart-hart' });
    expect(of(beta, [-20, 0, 25, 60, 100])).toMatchObject({ ok: true, form: 'beta' });
    expect(of(beta, [0, 60])).toMatchObject({ ok: true, form: 'beta' });
    expect(of({ kind: 'platinum', r0Ohm: 200 }, [0, 100, 200, 300])).toMatchObject({ ok: true, form: 'platinum' });
    expect(of({ kind: 'nickel', r0Ohm: 1000, grade: 'tk5000' }, [0, 50, 100, 150])).toMatchObject({
      ok: true,
      form: 'nickel',
      curve: { grade: 'tk5000' },
    });
  });
  test('what the form misses at left-out rows is in its 1σ', () => {
    const points = kernel(PARTS[0]).filter((p) => p.temperatureC % 20 === 0);
    const fit = chooseFit(rowsOf(points), 'beta');
    if (!fit.ok) throw new Error(fit.reason);
    expect(fit.leftOutK).toBeGreaterThan(1);
    const model = curveModel(fit.curve);
    for (const p of kernel(PARTS[0])) {
      const off = Math.abs(Math.log(model.resistanceOhm(p.temperatureC) / p.resistanceOhm));
      expect(off, String(p.temperatureC)).toBeLessThan(2.5 * model.toleranceLog);
    }
  });
  test('what is not monotone, or one point only, is refused; the guilty row is named', () => {
    const points = kernel(PARTS[0]).map((p) => ({ ...p }));
    points[10].resistanceOhm *= 10;
    expect(chooseFit(rowsOf(points))).toMatchObject({ ok: false, reason: 'not-monotone', mistyped: [{ row: 10 }] });
    expect(chooseFit(rowsOf(points.slice(0, 1)))).toMatchObject({ ok: false, reason: 'too-few-points' });
  });
});

describe('files', () => {
  test('a table out as CSV comes back as the same points', () => {
    const model = curveModel({ kind: 'platinum', r0Ohm: 1000 });
    const { rows, faults } = readPoints(curveCsv(curveTable(model, -50, 150, 10)));
    expect(faults).toEqual([]);
    expect(rows).toHaveLength(21);
    for (const r of rows) {
      expect(r.resistanceOhm / model.resistanceOhm(r.temperatureC)).toBeCloseTo(1, 5);
      expect(r.minOhm!).toBeLessThan(r.resistanceOhm);
    }
    expect(curveTable(model, 0, 100, 0)).toEqual([]);
    expect(curveTable(model, -1e6, 1e6, 0.1)).toHaveLength(1000);
  });
  test('a curve file is refused with its field', () => {
    expect(openCurve('{')).toMatchObject({ reason: 'not-json' });
    expect(openCurve('{"format":"mellow-probe/job"}')).toMatchObject({ reason: 'not-a-curve' });
    expect(openCurve('{"format":"mellow-probe/curve","formatVersion":1}')).toMatchObject({ reason: 'bad-field' });
    const good = {
      format: 'mellow-probe/curve',
      formatVersion: 1,
      id: 'a',
      name: 'x',
      source: '',
      note: '',
      createdAt: '2026-01-02T03:04:05.000Z',
      curve: { kind: 'beta', r25Ohm: 2000, betaK: 3600 },
    };
    expect(openCurve(JSON.stringify(good))).toEqual({ ok: true, curve: good });
    expect(openCurve(JSON.stringify({ ...good, curve: { kind: 'beta', r25Ohm: -1, betaK: 3600 } }))).toMatchObject({
      reason: 'bad-field',
    });
  });
});
