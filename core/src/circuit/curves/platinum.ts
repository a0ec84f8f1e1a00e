import { z } from 'zod';
import { baseOhm, type CurveKind } from './curveKind.ts';
import { type CurveModel, invertMonotone } from './curveModel.ts';

/**
 * Platinum by Callendar–Van Dusen; r0Ohm at 0 °C (100, 200, 500, 1000 or any other). Coefficients of IEC 60751 unless others are given: `a` in 1/K,
 * `b` in 1/K², `c` in 1/K⁴.
 */
const platinumSchema = z.strictObject({
  kind: z.literal('platinum'),
  r0Ohm: z.number().positive(),
  a: z.number().min(2e-3).max(8e-3).optional(),
  b: z.number().min(-2e-6).max(1e-5).optional(),
  c: z.number().min(-1e-10).max(1e-10).optional(),
  /** Of IEC 60751; class B where none is given. */
  toleranceClass: z.enum(['AA', 'A', 'B', 'C']).optional(),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type PlatinumCurve = z.infer<typeof platinumSchema>;

/** Coefficients of IEC 60751. */
export const IEC_60751 = { a: 3.9083e-3, b: -5.775e-7, c: -4.183e-12 } as const;

/** Limits of IEC 60751, K: [at 0 °C, more per K], taken for 2 σ. */
export const PLATINUM_CLASSES = { AA: [0.1, 0.0017], A: [0.15, 0.002], B: [0.3, 0.005], C: [0.6, 0.01] } as const;
const TYPICAL_C = 50;

/** 1σ of ln R of a class at a temperature, °C. */
function toleranceOf(name: keyof typeof PLATINUM_CLASSES, a: number, temperatureC: number): number {
  const [at0, perK] = PLATINUM_CLASSES[name];
  return ((at0 + perK * Math.abs(temperatureC)) * a) / Math.max(0.2, 1 + a * temperatureC) / 2;
}

/** W = 1 + a·t + b·t² above 0 °C, plus c·(t − 100)·t³ below; −200…1000 °C (the standard ends at 850 °C, exhaust sensors go on). */
function platinumModel(curve: PlatinumCurve): CurveModel {
  const { a, b, c } = { ...IEC_60751, ...curve };
  const { toleranceClass = 'B' } = curve;
  const ratioAt = (t: number): number => 1 + a * t + b * t * t + (t < 0 ? c * (t - 100) * t * t * t : 0);
  // Short of where the parabola turns round.
  const top = b < 0 ? Math.min(3000, (0.9 * a) / (-2 * b)) : 3000;
  const bottom = bottomOf(ratioAt);
  return {
    minC: -200,
    maxC: 1000,
    slope: 'ptc',
    resistanceOhm: (t) => curve.r0Ohm * Math.max(1e-4, ratioAt(Math.min(top, Math.max(t, bottom)))),
    temperatureC: (r) => {
      const w = r / curve.r0Ohm;
      if (w >= 1) return w > ratioAt(top) ? Infinity : (2 * (w - 1)) / (a + Math.sqrt(a * a + 4 * b * (w - 1)));
      return invertMonotone(ratioAt, w, bottom, 0);
    },
    toleranceLog: curve.toleranceLog ?? toleranceOf(toleranceClass, a, TYPICAL_C),
    ...(curve.toleranceLog === undefined && { toleranceLogAt: (t: number) => toleranceOf(toleranceClass, a, t) }),
    formErrorLog: () => 0,
  };
}

/** Coldest temperature down to which the ratio falls all the way, °C; −245 where nothing turns round before. */
function bottomOf(ratioAt: (t: number) => number): number {
  let t = 0;
  while (t > -245 && ratioAt(t - 5) < ratioAt(t) && ratioAt(t - 5) > 1e-4) t -= 5;
  return t;
}

export const platinum: CurveKind<typeof platinumSchema> = {
  kind: 'platinum',
  name: 'Platinum',
  schema: platinumSchema,
  model: platinumModel,
  examples: [
    { kind: 'platinum', r0Ohm: 100 },
    { kind: 'platinum', r0Ohm: 200, toleranceLog: 0.01 },
    { kind: 'platinum', r0Ohm: 1000, a: 3.81e-3, b: -6.02e-7, c: -6e-12 },
  ],
  typed: [
    {
      id: '',
      name: 'Platinum by R at 0 °C',
      figures: [baseOhm('r0Ohm', 'R at 0 °C')],
      fixed: {},
      example: { r0Ohm: 200 },
    },
    ...(['AA', 'A', 'C'] as const).map((name) => ({
      id: `class-${name.toLowerCase()}`,
      name: `Platinum of class ${name}, by R at 0 °C`,
      figures: [baseOhm('r0Ohm', 'R at 0 °C')],
      fixed: { toleranceClass: name },
      example: { r0Ohm: 1000 },
    })),
  ],
};
