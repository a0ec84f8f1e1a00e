import { z } from 'zod';
import { baseOhm, type CurveKind } from './curveKind.ts';
import { type CurveModel } from './curveModel.ts';

/**
 * Silicon spreading-resistance PTC: R = R25·(1 + α·Δ + β·Δ²), Δ = t − 25 °C; α = 7.88e-3, β = 1.937e-5 (handbook, from memory) unless others are
 * given, in 1/K and 1/K².
 */
const siliconPtcSchema = z.strictObject({
  kind: z.literal('silicon-ptc'),
  r25Ohm: z.number().positive(),
  alpha: z.number().min(4e-3).max(0.012).optional(),
  beta: z.number().min(1e-6).max(5e-5).optional(),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type SiliconPtcCurve = z.infer<typeof siliconPtcSchema>;

function siliconPtcModel(curve: SiliconPtcCurve): CurveModel {
  const { alpha, beta } = { alpha: 7.88e-3, beta: 1.937e-5, ...curve };
  const bottom = -alpha / (2 * beta);
  const ratioAt = (delta: number): number => 1 + delta * (alpha + beta * delta);
  return {
    minC: -55,
    maxC: 150,
    slope: 'ptc',
    // Below its lowest point (about −178 °C) the parabola would rise again; there it is held.
    resistanceOhm: (t) => curve.r25Ohm * ratioAt(Math.max(bottom, Math.min(t, 2000) - 25)),
    temperatureC: (r) => {
      const ratio = r / curve.r25Ohm;
      if (ratio <= ratioAt(bottom)) return -Infinity;
      return ratio === Infinity
        ? Infinity
        : 25 + (-alpha + Math.sqrt(alpha * alpha + 4 * beta * (ratio - 1))) / (2 * beta);
    },
    toleranceLog: curve.toleranceLog ?? 0.01,
    formErrorLog: () => 0,
  };
}

export const siliconPtc: CurveKind<typeof siliconPtcSchema> = {
  kind: 'silicon-ptc',
  name: 'Silicon PTC',
  schema: siliconPtcSchema,
  model: siliconPtcModel,
  examples: [
    { kind: 'silicon-ptc', r25Ohm: 1000 },
    { kind: 'silicon-ptc', r25Ohm: 2000, toleranceLog: 0.02 },
    { kind: 'silicon-ptc', r25Ohm: 603, alpha: 7.41e-3, beta: 1.824e-5 },
  ],
  typed: [
    { id: '', name: 'Silicon PTC by R25', figures: [baseOhm('r25Ohm', 'R25')], fixed: {}, example: { r25Ohm: 1000 } },
  ],
};
