import { describe, expect, test } from 'vitest';
import { curveModel } from './curve.ts';
import { temperaturesOf } from './curveModel.ts';

const NTC = curveModel({ kind: 'beta', r25Ohm: 10_000, betaK: 3977 });
const TABLES = {
  'even rows of an NTC': Array.from({ length: 34 }, (_, i) => -40 + 5 * i).map((t) => [t, NTC.resistanceOhm(t)]),
  // Rows every 0.05 K: many ends of lines in one cell.
  'rows far closer than a cell': Array.from({ length: 400 }, (_, i) => 20 + i / 20).map((t) => [
    t,
    NTC.resistanceOhm(t),
  ]),
  'two rows': [
    [0, 32_651],
    [100, 679],
  ],
  platinum: Array.from({ length: 30 }, (_, i) => -50 + 10 * i).map((t) => [
    t,
    1000 * (1 + 3.9083e-3 * t - 5.775e-7 * t * t),
  ]),
  'a motor winding, over decades': [
    [60, 60],
    [100, 70],
    [120, 400],
    [130, 4000],
    [140, 60_000],
  ],
};

describe('a whole log converted through a table is what each of its values gives', () => {
  test.each(Object.keys(TABLES) as (keyof typeof TABLES)[])('%s', (name) => {
    const points = TABLES[name].map(([temperatureC, resistanceOhm]) => ({ temperatureC, resistanceOhm }));
    const model = curveModel({ kind: 'table', points });
    const [low, high] = [points[0].resistanceOhm, points[points.length - 1].resistanceOhm].sort((a, b) => a - b);
    // Over the table, beyond both its ends, at its rows, and what is no resistance.
    const ohms = Float64Array.from([
      ...Array.from({ length: 20_000 }, (_, i) => low * 0.5 * (4 * (high / low)) ** (i / 20_000)),
      ...points.map((p) => p.resistanceOhm),
      ...[low, high, 0, -1, -1e300, Infinity, NaN, 5e-324, 1e308],
    ]);
    const out = temperaturesOf(model, ohms);
    ohms.forEach((ohm, i) => {
      const one = model.temperatureC(ohm);
      if (Number.isFinite(one)) expect(Math.abs(out[i] - one), `${ohm} Ω`).toBeLessThan(1e-6);
      else expect(out[i], `${ohm} Ω`).toBe(one);
    });
  });
  test('part of a longer log, which begins in the middle of its memory', () => {
    const model = curveModel({
      kind: 'table',
      points: TABLES['two rows'].map(([temperatureC, resistanceOhm]) => ({ temperatureC, resistanceOhm })),
    });
    const whole = Float64Array.from({ length: 50 }, (_, i) => 700 + 500 * i);
    expect([...temperaturesOf(model, whole.subarray(17, 30))]).toEqual([...temperaturesOf(model, whole)].slice(17, 30));
  });
});
