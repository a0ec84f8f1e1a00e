import { z } from 'zod';
import { baseOhm, type CurveKind } from './curveKind.ts';
import { type CurveModel, invertMonotone } from './curveModel.ts';

/** Platinum by Callendar–Van Dusen with the coefficients of IEC 60751; r0Ohm at 0 °C (100, 200, 500, 1000 or any other). */
const platinumSchema = z.strictObject({
  kind: z.literal('platinum'),
  r0Ohm: z.number().positive(),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type PlatinumCurve = z.infer<typeof platinumSchema>;

const [A, B, C] = [3.9083e-3, -5.775e-7, -4.183e-12];

/** W = 1 + A·t + B·t² above 0 °C, plus C·(t − 100)·t³ below; −200…1000 °C (the standard ends at 850 °C, exhaust sensors go on). */
function platinumModel(curve: PlatinumCurve): CurveModel {
  const ratioAt = (t: number): number => 1 + A * t + B * t * t + (t < 0 ? C * (t - 100) * t * t * t : 0);
  return {
    minC: -200,
    maxC: 1000,
    slope: 'ptc',
    resistanceOhm: (t) => curve.r0Ohm * Math.max(1e-4, t > 3000 ? ratioAt(3000) : ratioAt(Math.max(t, -245))),
    temperatureC: (r) => {
      const w = r / curve.r0Ohm;
      if (w >= 1) return w > ratioAt(3000) ? Infinity : (-A + Math.sqrt(A * A - 4 * B * (1 - w))) / (2 * B);
      return invertMonotone(ratioAt, w, -245, 0);
    },
    // Class B wire-wound or film: 0.3 K at 0 °C as a limit, 0.005 K/K beyond; with connector and ageing about 0.4 % of R, 1σ.
    toleranceLog: curve.toleranceLog ?? 0.004,
    formErrorLog: () => 0,
  };
}

export const platinum: CurveKind<typeof platinumSchema> = {
  kind: 'platinum',
  name: 'Platinum',
  schema: platinumSchema,
  model: platinumModel,
  examples: [
    { kind: 'platinum', r0Ohm: 100 },
    { kind: 'platinum', r0Ohm: 200, toleranceLog: 0.01 },
  ],
  typed: [
    {
      id: '',
      name: 'Platinum by R at 0 °C',
      figures: [baseOhm('r0Ohm', 'R at 0 °C')],
      fixed: {},
      example: { r0Ohm: 200 },
    },
  ],
};
