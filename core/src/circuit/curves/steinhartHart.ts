import { z } from 'zod';
import { naturalLog, naturalLogs } from '../../base/numeric/naturalLog.ts';
import type { CurveKind } from './curveKind.ts';
import { type CurveModel, DEFAULT_TOLERANCE_LOG, invertMonotone, KELVIN } from './curveModel.ts';

/**
 * NTC by Steinhart–Hart: 1/T = a + b·L + c·L³, L = ln(R/Ω), T in K. With `squareTerm` d the four-term form: + d·L².
 * Source: J. S. Steinhart, S. R. Hart, Deep-Sea Research 15 (1968) 497.
 */
const steinhartHartSchema = z.strictObject({
  kind: z.literal('steinhart-hart'),
  a: z.number(),
  b: z.number().positive(),
  c: z.number(),
  squareTerm: z.number().optional(),
  minC: z.number().min(-100),
  maxC: z.number().max(400),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type SteinhartHartCurve = z.infer<typeof steinhartHartSchema>;

function steinhartHartModel(curve: SteinhartHartCurve): CurveModel {
  const { a, b, c, squareTerm: d = 0 } = curve;
  const inverseK = (l: number): number => a + l * (b + l * (d + c * l));
  const logOhmAt = (t: number): number => {
    const target = 1 / Math.max(t + KELVIN, 20);
    if (d === 0 && c > 0) return cubicRoot(b / c, (a - target) / c);
    return invertMonotone(inverseK, target, -8, 26);
  };
  // Beyond the range the curve continues as its tangent in ln R against 1/T: the cubic may turn round out there.
  const ends = [curve.minC, curve.maxC].map((t) => {
    const l = logOhmAt(t);
    return { x: 1 / (t + KELVIN), l, slope: b + l * (2 * d + 3 * c * l) };
  });
  const [coldL, hotL] = [ends[0].l, ends[1].l];
  const [coldOhm, hotOhm] = [Math.exp(coldL), Math.exp(hotL)];
  const temperatureC = (r: number): number => {
    const l = naturalLog(r);
    if (l <= coldL && l >= hotL) return 1 / (a + l * (b + l * (d + c * l))) - KELVIN;
    const end = l > coldL ? ends[0] : ends[1];
    const x = end.x + (l - end.l) * end.slope;
    return x > 0 ? 1 / x - KELVIN : Infinity;
  };
  return {
    minC: curve.minC,
    maxC: curve.maxC,
    slope: 'ntc',
    resistanceOhm: (t) => {
      const end = t < curve.minC ? ends[0] : t > curve.maxC ? ends[1] : null;
      return Math.exp(end ? end.l + (1 / Math.max(t + KELVIN, 20) - end.x) / end.slope : logOhmAt(t));
    },
    temperatureC,
    temperaturesC: (ohms, out) => {
      naturalLogs(ohms, out);
      insideOf(out, a, b, c, d);
      for (let i = 0; i < ohms.length; i++) {
        const r = ohms[i];
        if (!(r <= coldOhm && r >= hotOhm)) out[i] = temperatureC(r);
      }
    },
    toleranceLog: curve.toleranceLog ?? DEFAULT_TOLERANCE_LOG,
    formErrorLog: () => 0,
  };
}

/** The formula over a whole log, in place: ln Ω in, °C out. Arguments, not closures: they stay in registers. */
function insideOf(logs: Float64Array, a: number, b: number, c: number, d: number): void {
  for (let i = 0; i < logs.length; i++) {
    const l = logs[i];
    logs[i] = 1 / (a + l * (b + l * (d + c * l))) - KELVIN;
  }
}

/** The real root of l³ + p·l + q = 0 for p > 0 (hyperbolic form, which has no cancellation). */
function cubicRoot(p: number, q: number): number {
  const s = Math.sqrt(p / 3);
  return -2 * s * Math.sinh(Math.asinh(q / (2 * s * s * s)) / 3);
}

export const steinhartHart: CurveKind<typeof steinhartHartSchema> = {
  kind: 'steinhart-hart',
  name: 'NTC, Steinhart–Hart',
  schema: steinhartHartSchema,
  model: steinhartHartModel,
  examples: [
    { kind: 'steinhart-hart', a: 1.129241e-3, b: 2.341077e-4, c: 8.775468e-8, minC: -50, maxC: 150 },
    { kind: 'steinhart-hart', a: 1.129241e-3, b: 2.341077e-4, c: 8.775468e-8, squareTerm: 1e-8, minC: -20, maxC: 120 },
  ],
  typed: [
    {
      id: '',
      name: 'NTC by Steinhart–Hart',
      figures: [
        { key: 'a', name: 'A', quantity: 'number', low: -1, high: 1 },
        { key: 'b', name: 'B', quantity: 'number', low: 1e-7, high: 1 },
        { key: 'c', name: 'C', quantity: 'number', low: -1, high: 1 },
        { key: 'minC', name: 'coldest', quantity: 'celsius', low: -100, high: 399 },
        { key: 'maxC', name: 'hottest', quantity: 'celsius', low: -99, high: 400 },
      ],
      fixed: {},
      example: { a: 1.129241e-3, b: 2.341077e-4, c: 8.775468e-8, minC: -40, maxC: 120 },
    },
  ],
};
