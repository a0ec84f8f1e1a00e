import { z } from 'zod';
import { beta } from './beta.ts';
import { baseOhm, BETA_FIGURE, type CurveKind } from './curveKind.ts';
import type { CurveModel } from './curveModel.ts';

/** An NTC with a fixed resistor inside the sensor: in series (it never reads short), across it (it never reads open), or both. Ω. */
const ntcNetworkSchema = z.strictObject({
  kind: z.literal('ntc-network'),
  r25Ohm: z.number().positive(),
  betaK: z.number().min(500).max(10000),
  seriesOhm: z.number().min(0).max(1e7).optional(),
  parallelOhm: z.number().positive().max(1e9).optional(),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type NtcNetwork = z.infer<typeof ntcNetworkSchema>;

/** The resistors are exact beside the NTC: its tolerance and form error count by its share of ln R. */
function ntcNetworkModel({ r25Ohm, betaK, seriesOhm = 0, parallelOhm, toleranceLog }: NtcNetwork): CurveModel {
  const bare = beta.model({ kind: 'beta', r25Ohm, betaK });
  const across = parallelOhm === undefined ? 0 : 1 / parallelOhm;
  const whole = (ntcOhm: number): number => seriesOhm + 1 / (1 / ntcOhm + across);
  const resistanceOhm = (t: number): number => whole(bare.resistanceOhm(t));
  /** d ln(whole) / d ln(NTC) at a temperature. */
  const share = (t: number): number => {
    const ntcOhm = bare.resistanceOhm(t);
    return (1 / ntcOhm / (1 / ntcOhm + across)) * ((whole(ntcOhm) - seriesOhm) / whole(ntcOhm));
  };
  return {
    minC: bare.minC,
    maxC: bare.maxC,
    slope: 'ntc',
    resistanceOhm,
    temperatureC: (r) => {
      const rest = r - seriesOhm;
      if (!(rest > 0)) return Infinity;
      const inverse = 1 / rest - across;
      return inverse > 0 ? bare.temperatureC(1 / inverse) : bare.temperatureC(Infinity);
    },
    toleranceLog: toleranceLog ?? bare.toleranceLog * share(25),
    formErrorLog: (t) => bare.formErrorLog(t) * share(t),
  };
}

export const ntcNetwork: CurveKind<typeof ntcNetworkSchema> = {
  kind: 'ntc-network',
  name: 'NTC with a resistor',
  schema: ntcNetworkSchema,
  model: ntcNetworkModel,
  examples: [
    { kind: 'ntc-network', r25Ohm: 10_000, betaK: 3950, parallelOhm: 10_000 },
    { kind: 'ntc-network', r25Ohm: 2000, betaK: 3600, seriesOhm: 220 },
  ],
  typed: [
    {
      id: 'parallel',
      name: 'NTC with a resistor across it',
      figures: [baseOhm('r25Ohm', 'R25 of the NTC'), BETA_FIGURE, baseOhm('parallelOhm', 'Resistor across')],
      fixed: {},
      example: { r25Ohm: 10_000, betaK: 3950, parallelOhm: 10_000 },
    },
    {
      id: 'series',
      name: 'NTC with a resistor in series',
      figures: [baseOhm('r25Ohm', 'R25 of the NTC'), BETA_FIGURE, baseOhm('seriesOhm', 'Resistor in series')],
      fixed: {},
      example: { r25Ohm: 2000, betaK: 3600, seriesOhm: 220 },
    },
  ],
};
