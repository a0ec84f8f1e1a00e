import { z } from 'zod';
import { baseOhm, type CurveKind } from './curveKind.ts';
import { type CurveModel } from './curveModel.ts';

/** Silicon spreading-resistance PTC: R = R25·(1 + α·Δ + β·Δ²), Δ = t − 25 °C, α = 7.88e-3, β = 1.937e-5 (handbook, from memory). */
const siliconPtcSchema = z.strictObject({
  kind: z.literal('silicon-ptc'),
  r25Ohm: z.number().positive(),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type SiliconPtcCurve = z.infer<typeof siliconPtcSchema>;

const [ALPHA, BETA] = [7.88e-3, 1.937e-5];
const BOTTOM = -ALPHA / (2 * BETA);

function siliconPtcModel(curve: SiliconPtcCurve): CurveModel {
  const ratioAt = (delta: number): number => 1 + delta * (ALPHA + BETA * delta);
  return {
    minC: -55,
    maxC: 150,
    slope: 'ptc',
    // Below its lowest point (about −178 °C) the parabola would rise again; there it is held.
    resistanceOhm: (t) => curve.r25Ohm * ratioAt(Math.max(BOTTOM, Math.min(t, 2000) - 25)),
    temperatureC: (r) => {
      const ratio = r / curve.r25Ohm;
      if (ratio <= ratioAt(BOTTOM)) return -Infinity;
      return ratio === Infinity
        ? Infinity
        : 25 + (-ALPHA + Math.sqrt(ALPHA * ALPHA + 4 * BETA * (ratio - 1))) / (2 * BETA);
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
  ],
  typed: [
    { id: '', name: 'Silicon PTC by R25', figures: [baseOhm('r25Ohm', 'R25')], fixed: {}, example: { r25Ohm: 1000 } },
  ],
};
