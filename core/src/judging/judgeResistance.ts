import { slopeLog } from '../comparing/comparePairs.ts';
import type { CurveModel } from '../curves/curveModel.ts';
import { normalCdf, normalQuantile } from '../numeric/normal.ts';

/** Probability that a true value lies in [low, high] when it was measured as `measured` with 1σ `sigma` (JCGM 106, 7.2: no prior knowledge). */
export function conformanceProbability(measured: number, sigma: number, low: number, high: number): number {
  if (!(sigma > 0)) return measured >= low && measured <= high ? 1 : 0;
  return normalCdf((high - measured) / sigma) - normalCdf((low - measured) / sigma);
}

/**
 * The acceptance interval of a guarded decision: inside it a part is accepted with at least `confidence` at each limit (JCGM 106, 8.3.2,
 * guard band w = z·σ). Empty (low > high) where the measurement is too coarse to accept anything.
 */
export function acceptanceInterval(
  low: number,
  high: number,
  sigma: number,
  confidence = 0.95,
): { low: number; high: number } {
  const guard = normalQuantile(confidence) * sigma;
  return { low: low + guard, high: high - guard };
}

/** One resistance judged. Ω, °C, K. */
export interface ResistanceJudged {
  nominalOhm: number;
  /** What the sensor may have at this temperature by its tolerance. */
  tolerance: { low: number; high: number };
  acceptance: { low: number; high: number };
  /** 1σ of the comparison, Ω: meter, and thermometer through the slope of the curve. */
  sigmaOhm: number;
  probability: number;
  decision: 'accept' | 'reject' | 'open';
  /** What the module shows more or less than the truth with this sensor, K, and 1σ. */
  errorK: number;
  errorSigmaK: number;
}

export type Judged =
  ({ ok: true } & ResistanceJudged) | { ok: false; reason: 'outside-curve'; minC: number; maxC: number };

/**
 * Judges one resistance at one temperature against its curve. `toleranceShare` is the limit of the part (0.03: ±3 %); 'accept' and 'reject'
 * are said at 95 %, in between the question is open.
 */
export function judgeResistance(
  curve: CurveModel,
  temperatureC: number,
  temperatureSigmaK: number,
  ohm: number,
  meterSigmaOhm: number,
  toleranceShare: number,
): Judged {
  if (temperatureC < curve.minC || temperatureC > curve.maxC)
    return { ok: false, reason: 'outside-curve', minC: curve.minC, maxC: curve.maxC };
  const nominalOhm = curve.resistanceOhm(temperatureC);
  const slope = slopeLog(curve, temperatureC);
  const tolerance = { low: nominalOhm * (1 - toleranceShare), high: nominalOhm * (1 + toleranceShare) };
  const formOhm = nominalOhm * curve.formErrorLog(temperatureC);
  const sigmaOhm = Math.hypot(meterSigmaOhm, nominalOhm * slope * temperatureSigmaK, formOhm);
  const probability = conformanceProbability(ohm, sigmaOhm, tolerance.low, tolerance.high);
  return {
    ok: true,
    nominalOhm,
    tolerance,
    acceptance: acceptanceInterval(tolerance.low, tolerance.high, sigmaOhm),
    sigmaOhm,
    probability,
    decision: probability >= 0.95 ? 'accept' : probability <= 0.05 ? 'reject' : 'open',
    errorK: curve.temperatureC(ohm) - temperatureC,
    errorSigmaK: Math.hypot(
      temperatureSigmaK,
      meterSigmaOhm / Math.abs(ohm * slopeLog(curve, curve.temperatureC(ohm))),
    ),
  };
}
