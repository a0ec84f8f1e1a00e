import { z } from 'zod';
import { baseOhm, type CurveKind } from './curveKind.ts';
import { type CurveModel, invertMonotone } from './curveModel.ts';

export const NICKEL_GRADES = ['din43760', 'tk5000'] as const;

/** Nickel: 'din43760' (6180 ppm/K, handbook polynomial) or 'tk5000' (5000 ppm/K); r0Ohm at 0 °C. */
const nickelSchema = z.strictObject({
  kind: z.literal('nickel'),
  r0Ohm: z.number().positive(),
  grade: z.enum(NICKEL_GRADES),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type NickelCurve = z.infer<typeof nickelSchema>;

/** Coefficients of t, t², … of R/R0 − 1. Sources: DIN 43760 and handbook polynomial, both from memory; tested on their tables. */
const POLYNOMIALS = {
  din43760: [5.485e-3, 6.65e-6, 0, 2.805e-11, 0, -2e-17],
  tk5000: [4.427e-3, 5.172e-6, 5.585e-9],
} as const;

const TYPICAL_C = 50;
/** Limit of DIN 43760 at a temperature, °C, in K, taken for 2 σ. Source: DIN 43760, from memory. */
const limitK = (temperatureC: number): number =>
  temperatureC < 0 ? 0.4 - 0.028 * temperatureC : 0.4 + 0.007 * temperatureC;

function nickelModel(curve: NickelCurve): CurveModel {
  const coefficients = POLYNOMIALS[curve.grade];
  const ratioAt = (t: number): number => {
    let sum = 0;
    for (let i = coefficients.length - 1; i >= 0; i--) sum = (sum + coefficients[i]) * t;
    return 1 + sum;
  };
  const [low, high] = [-150, 320];
  const toleranceAt = (t: number): number => {
    const near = Math.min(high - 1, Math.max(low + 1, t));
    return (limitK(t) * Math.log(ratioAt(near + 0.5) / ratioAt(near - 0.5))) / 2;
  };
  return {
    minC: -60,
    maxC: 250,
    slope: 'ptc',
    resistanceOhm: (t) => curve.r0Ohm * ratioAt(Math.min(high, Math.max(low, t))),
    temperatureC: (r) => {
      const ratio = r / curve.r0Ohm;
      if (ratio >= ratioAt(high)) return Infinity;
      if (ratio <= ratioAt(low)) return -Infinity;
      return invertMonotone(ratioAt, ratio, low, high);
    },
    toleranceLog: curve.toleranceLog ?? toleranceAt(TYPICAL_C),
    ...(curve.toleranceLog === undefined && { toleranceLogAt: toleranceAt }),
    formErrorLog: () => 0,
  };
}

export const nickel: CurveKind<typeof nickelSchema> = {
  kind: 'nickel',
  name: 'Nickel',
  schema: nickelSchema,
  model: nickelModel,
  examples: [
    { kind: 'nickel', r0Ohm: 100, grade: 'din43760' },
    { kind: 'nickel', r0Ohm: 1000, grade: 'tk5000' },
  ],
  typed: [
    {
      id: 'din43760',
      name: 'Nickel, 6180 ppm/K, by R at 0 °C',
      figures: [baseOhm('r0Ohm', 'R at 0 °C')],
      fixed: { grade: 'din43760' },
      example: { r0Ohm: 100 },
    },
    {
      id: 'tk5000',
      name: 'Nickel, 5000 ppm/K, by R at 0 °C',
      figures: [baseOhm('r0Ohm', 'R at 0 °C')],
      fixed: { grade: 'tk5000' },
      example: { r0Ohm: 1000 },
    },
  ],
};
