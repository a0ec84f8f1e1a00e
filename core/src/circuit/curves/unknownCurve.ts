import { z } from 'zod';
import { looseModel, STEEPNESS } from './band.ts';
import type { CurveKind } from './curveKind.ts';
import { type CurveModel, DEFAULT_TOLERANCE_LOG } from './curveModel.ts';

/** A curve that nobody knows: learned from the readings, as a pull-up is. */
const unknownSchema = z.strictObject({
  kind: z.literal('unknown'),
  toleranceLog: z.number().positive().max(0.5).optional(),
});

/** R at 25 °C of what is sold, Ω, and 1σ of its ln: most lie between 1 and 20 kΩ (NTC), between 100 Ω and 2 kΩ (PTC). Common practice, no source. */
const BASE = { ntc: { ohm: 4500, log: 1.4, steepnessSpread: 300 }, ptc: { ohm: 700, log: 1, steepnessSpread: 0.0015 } };
/** Share of NTC among the sensors whose curve nobody knows. Common practice, no source. */
const NTC_SHARE = 0.85;

function generic(slope: 'ntc' | 'ptc', toleranceLog: number): CurveModel {
  const { ohm, log, steepnessSpread } = BASE[slope];
  return looseModel({
    slope,
    baseC: 25,
    baseOhm: ohm,
    steepness: STEEPNESS[slope].middle,
    steepnessSpread,
    level: (u) => log * u,
    toleranceLog,
  });
}

export const unknownCurve: CurveKind<typeof unknownSchema> = {
  kind: 'unknown',
  name: 'Not known',
  schema: unknownSchema,
  model: ({ toleranceLog = DEFAULT_TOLERANCE_LOG }) => {
    const ntc = generic('ntc', toleranceLog);
    return {
      ...ntc,
      alternatives: [
        { share: NTC_SHARE, model: ntc },
        { share: 1 - NTC_SHARE, model: generic('ptc', toleranceLog) },
      ],
    };
  },
  examples: [{ kind: 'unknown' }],
  typed: [],
};
