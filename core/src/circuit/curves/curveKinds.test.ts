import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { figure } from '../../base/units/entry.ts';
import { circuitCurve } from '../../check/job/circuitCurve.ts';
import { CURVE_KINDS, type Curve, curveModel, curveSchema, TYPED_FORMS, typedForm } from './curve.ts';
import { temperaturesOf } from './curveModel.ts';

/** What every kind of curve owes, looped over the list: a new kind is tested by being listed. */
describe.each(CURVE_KINDS.map((k) => [k.kind, k] as const))('curve kind %s', (id, kind) => {
  const examples = kind.examples as readonly Curve[];
  test('has a name, examples of its own kind, and a schema that knows them', () => {
    expect(kind.name).not.toBe('');
    expect(CURVE_KINDS.filter((k) => k.kind === id)).toHaveLength(1);
    expect(examples.length).toBeGreaterThan(0);
    for (const example of examples) {
      expect(example.kind).toBe(id);
      expect(curveSchema.safeParse(example)).toEqual({ success: true, data: example });
      expect(curveSchema.safeParse({ ...example, extra: 1 }).success).toBe(false);
    }
  });
  test.each(examples.map((e) => [JSON.stringify(e).slice(0, 60), e] as const))(
    '%s: one way, there and back, total beyond its range',
    (_, example) => {
      const model = curveModel(example);
      const sign = model.slope === 'ntc' ? -1 : 1;
      expect(model.minC).toBeLessThan(model.maxC);
      expect(model.toleranceLog).toBeGreaterThan(0);
      fc.assert(
        fc.property(fc.double({ min: model.minC, max: model.maxC - 1, noNaN: true }), (t) => {
          const [here, warmer] = [model.resistanceOhm(t), model.resistanceOhm(t + 1)];
          expect(sign * (warmer - here)).toBeGreaterThan(0);
          expect(model.temperatureC(here)).toBeCloseTo(t, 6);
          expect(model.formErrorLog(t)).toBeGreaterThanOrEqual(0);
        }),
        { numRuns: 60, seed: 1 },
      );
      const ohms = Float64Array.from([model.minC, 25, model.maxC], (t) => model.resistanceOhm(t));
      temperaturesOf(model, ohms).forEach((celsius, i) => expect(celsius).toBeCloseTo(model.temperatureC(ohms[i]), 9));
      for (const t of [-400, -273.15, 5000]) expect(model.resistanceOhm(t)).toBeGreaterThan(0);
      for (const r of [0, 1e-6, 1e9, Infinity]) expect(model.temperatureC(r)).not.toBeNaN();
    },
  );
  test('a stated tolerance is the one in force', () => {
    for (const example of examples) expect(curveModel({ ...example, toleranceLog: 0.05 }).toleranceLog).toBe(0.05);
  });
});

describe.each(TYPED_FORMS.map((f) => [`${f.kind} ${f.id}`, f] as const))('typed on a check: %s', (_, form) => {
  const choose = (change: Record<string, number> = {}): Curve | null =>
    circuitCurve({
      source: 'typed',
      kind: form.kind,
      form: form.id,
      figures: Object.fromEntries(Object.entries({ ...form.example, ...change }).map(([k, v]) => [k, figure(v)])),
    });
  test('its figures make the curve, with what its name fixes', () => {
    expect(Object.keys(form.example).sort()).toEqual(form.figures.map((f) => f.key).sort());
    expect(choose()).toEqual({ kind: form.kind, ...form.fixed, ...form.example });
    expect(typedForm(form.kind, form.id)).toBe(form);
    expect(typedForm(form.kind, 'no such form')).toBeNull();
    expect(form.name).not.toBe('');
  });
  test('a figure that is missing or out of its bounds makes none', () => {
    for (const f of form.figures) {
      expect(choose({ [f.key]: f.high * 1.01 + 1 }), f.key).toBeNull();
      if (f.low > 0) expect(choose({ [f.key]: f.low * 0.99 }), f.key).toBeNull();
    }
    expect(circuitCurve({ source: 'typed', kind: form.kind, form: form.id, figures: {} })).toBeNull();
  });
});

test('coefficients with a slip in them are no curve: it must run one way from end to end', () => {
  const sh = (change: Record<string, number>): Curve | null =>
    circuitCurve({
      source: 'typed',
      kind: 'steinhart-hart',
      form: '',
      figures: Object.fromEntries(
        Object.entries({ ...typedForm('steinhart-hart', '')!.example, ...change }).map(([k, v]) => [k, figure(v)]),
      ),
    });
  expect(sh({ a: 0.9 })).toBeNull();
  expect(sh({ minC: 100, maxC: 50 })).toBeNull();
});

test('a kind that is not in the list is a mistake of the program', () => {
  expect(() => curveModel({ kind: 'magic' } as never)).toThrow('curveModel: no curve kind "magic"');
});
