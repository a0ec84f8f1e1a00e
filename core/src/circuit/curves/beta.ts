import { z } from 'zod';
import { baseOhm, BETA_FIGURE, type CurveKind } from './curveKind.ts';
import { type CurveModel, DEFAULT_TOLERANCE_LOG, KELVIN } from './curveModel.ts';

/** NTC by two numbers: resistance at 25 °C (Ω) and B (K). R = R25·exp(B(1/T − 1/298.15)). */
const betaSchema = z.strictObject({
  kind: z.literal('beta'),
  r25Ohm: z.number().positive(),
  betaK: z.number().min(500).max(10000),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type BetaCurve = z.infer<typeof betaSchema>;

const T25 = 25 + KELVIN;

/**
 * A single B is only roughly true: against the tables of real parts it is off by up to 4.4 K over −40…125 °C and 1.2 K over 0…100 °C.
 * `formErrorLog` carries that: B·|x|·(0.012 + 20·|x|), x = 1/T − 1/T25, fitted so that those worst cases lie within 3σ.
 */
function betaModel(curve: BetaCurve): CurveModel {
  const { r25Ohm, betaK } = curve;
  return {
    minC: -55,
    maxC: 200,
    slope: 'ntc',
    resistanceOhm: (t) => r25Ohm * Math.exp(betaK * (1 / Math.max(t + KELVIN, 20) - 1 / T25)),
    temperatureC: (r) => {
      const inverse = 1 / T25 + Math.log(r / r25Ohm) / betaK;
      return inverse > 0 ? 1 / inverse - KELVIN : Infinity;
    },
    toleranceLog: curve.toleranceLog ?? DEFAULT_TOLERANCE_LOG,
    formErrorLog: (t) => {
      const x = Math.abs(1 / Math.max(t + KELVIN, 20) - 1 / T25);
      return betaK * x * (0.012 + 20 * x);
    },
  };
}

export const beta: CurveKind<typeof betaSchema> = {
  kind: 'beta',
  name: 'NTC, R25 and B',
  schema: betaSchema,
  model: betaModel,
  examples: [
    { kind: 'beta', r25Ohm: 2000, betaK: 3600 },
    { kind: 'beta', r25Ohm: 1e5, betaK: 4800, toleranceLog: 0.03 },
  ],
  typed: [
    {
      id: '',
      name: 'NTC by R25 and B',
      figures: [baseOhm('r25Ohm', 'R25'), BETA_FIGURE],
      fixed: {},
      example: { r25Ohm: 2000, betaK: 3600 },
    },
  ],
};
