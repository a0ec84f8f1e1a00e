import { z } from 'zod';
import { normalCdf } from '../../base/numeric/normal.ts';
import type { CurveKind } from './curveKind.ts';
import { type CurveModel, DEFAULT_TOLERANCE_LOG, invertMonotone, KELVIN } from './curveModel.ts';

const bandPoint = z
  .strictObject({
    temperatureC: z.number().min(-80).max(1000),
    lowOhm: z.number().positive(),
    highOhm: z.number().positive(),
  })
  .refine((p) => p.highOhm > p.lowOhm, { error: 'upside down' });

/** A specification of one line or two: from … to at a temperature. The steepness is that of its kind. */
const bandSchema = z.strictObject({
  kind: z.literal('band'),
  slope: z.enum(['ntc', 'ptc']),
  bands: z.array(bandPoint).min(1).max(2),
  toleranceLog: z.number().positive().max(0.5).optional(),
});
type BandCurve = z.infer<typeof bandSchema>;

/**
 * How steep sensors of a kind are, and how much that differs from part to part (1σ): B of an NTC, K; share per K of a PTC at 25 °C (nickel and
 * silicon are steeper than platinum). Common practice, no source.
 */
export const STEEPNESS = {
  ntc: { middle: 3700, spread: 250 },
  ptc: { middle: 0.0055, spread: 0.0015 },
} as const;

/** The softness of a band's edges, ln R. */
const EDGE_LOG = 0.03;
/** What a B is off besides, as for R25 and B: B·|x|·(0.012 + 20·|x|). */
const formOfB = (betaK: number, x: number): number => betaK * x * (0.012 + 20 * x);

const inverse = (temperatureC: number): number => 1 / Math.max(temperatureC + KELVIN, 20);

/** ln R of a kind against its value at `baseC`, for a steepness. */
function logShape(slope: 'ntc' | 'ptc', steepness: number, baseC: number): (temperatureC: number) => number {
  if (slope === 'ntc') {
    const base = inverse(baseC);
    return (t) => steepness * (inverse(t) - base);
  }
  // Straight in R; below a fifth of it the line is bent so that it never reaches zero.
  const at = (t: number): number => {
    const share = 1 + steepness * (t - 25);
    return share > 0.2 ? Math.log(share) : Math.log(0.2) + (share - 0.2) / 0.2;
  };
  return (t) => at(t) - at(baseC);
}

/**
 * A model around a middle: where the sensor and the module agree on a curve that is known only so far. `level` is what they share of R, `formErrorLog`
 * what they share of the steepness; it is nothing at `baseC` and of opposite signs on either side.
 */
export function looseModel(form: {
  slope: 'ntc' | 'ptc';
  baseC: number;
  baseOhm: number;
  steepness: number;
  steepnessSpread: number;
  level: (u: number) => number;
  toleranceLog: number;
}): CurveModel {
  const { slope, baseC, baseOhm, steepness, steepnessSpread, level, toleranceLog } = form;
  const shape = logShape(slope, steepness, baseC);
  const [inverseBase, logBase] = [inverse(baseC), Math.log(baseOhm)];
  const [minC, maxC] = slope === 'ntc' ? [-55, 200] : [-80, 900];
  const resistanceOhm = (t: number): number => baseOhm * Math.exp(shape(t));
  return {
    minC,
    maxC,
    slope,
    pivotC: baseC,
    level,
    resistanceOhm,
    temperatureC: (r) => {
      if (!(r > 0)) return slope === 'ntc' ? Infinity : -KELVIN;
      if (r === Infinity) return slope === 'ntc' ? -KELVIN : Infinity;
      if (slope === 'ntc') {
        const x = inverseBase + (Math.log(r) - logBase) / steepness;
        return x > 0 ? 1 / x - KELVIN : Infinity;
      }
      const logAt25 = Math.log(r / baseOhm) - shape(25);
      const share = logAt25 > Math.log(0.2) ? Math.exp(logAt25) : 0.2 + 0.2 * (logAt25 - Math.log(0.2));
      return 25 + (share - 1) / steepness;
    },
    toleranceLog,
    formErrorLog: (t) => {
      if (slope === 'ptc') return steepnessSpread * Math.abs(t - baseC);
      const x = Math.abs(inverse(t) - inverseBase);
      const [ofSpread, ofForm] = [steepnessSpread * x, formOfB(steepness, x)];
      // Much faster than Math.hypot, and every prediction computes it.
      return Math.sqrt(ofSpread * ofSpread + ofForm * ofForm);
    },
  };
}

function bandModel({ slope, bands, toleranceLog = DEFAULT_TOLERANCE_LOG }: BandCurve): CurveModel {
  const middles = bands.map((b) => ({
    t: b.temperatureC,
    logOhm: Math.log(b.lowOhm * b.highOhm) / 2,
    half: Math.log(b.highOhm / b.lowOhm) / 2,
  }));
  const [first, second] = middles;
  const half = Math.max(...middles.map((m) => m.half));
  // The middle of the band is likelier than its edges only where they are soft.
  const level = (u: number): number => half * (2 * normalCdf(u) - 1) + EDGE_LOG * u;
  const base = { slope, baseC: first.t, baseOhm: Math.exp(first.logOhm), level, toleranceLog };
  const own = STEEPNESS[slope];
  if (!second || Math.abs(second.t - first.t) < 5)
    return looseModel({ ...base, steepness: own.middle, steepnessSpread: own.spread });
  const rise = second.logOhm - first.logOhm;
  const steepnessOf =
    slope === 'ntc'
      ? rise / (inverse(second.t) - inverse(first.t))
      : invertMonotone((a) => logShape('ptc', a, first.t)(second.t), rise, 1e-4, 0.02);
  // Both bands are told of one curve: what they leave of the steepness is their width over the way between them.
  const spread =
    slope === 'ntc'
      ? half / Math.sqrt(3) / Math.abs(inverse(second.t) - inverse(first.t))
      : half / Math.sqrt(3) / Math.abs(second.t - first.t);
  const [least, most] = slope === 'ntc' ? [1000, 8000] : [5e-4, 0.02];
  return looseModel({
    ...base,
    steepness: Math.min(most, Math.max(least, steepnessOf)),
    steepnessSpread: Math.min(own.spread, spread),
  });
}

export const band: CurveKind<typeof bandSchema> = {
  kind: 'band',
  name: 'Band at a temperature',
  schema: bandSchema,
  model: bandModel,
  examples: [
    { kind: 'band', slope: 'ntc', bands: [{ temperatureC: 20, lowOhm: 2000, highOhm: 3000 }] },
    {
      kind: 'band',
      slope: 'ntc',
      bands: [
        { temperatureC: 20, lowOhm: 2300, highOhm: 2700 },
        { temperatureC: 80, lowOhm: 300, highOhm: 360 },
      ],
    },
    {
      kind: 'band',
      slope: 'ptc',
      bands: [
        { temperatureC: 0, lowOhm: 195, highOhm: 205 },
        { temperatureC: 100, lowOhm: 270, highOhm: 285 },
      ],
    },
  ],
  typed: [],
};
