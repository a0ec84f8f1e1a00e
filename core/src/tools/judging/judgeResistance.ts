import { slopeLog } from '../comparing/comparePairs.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { normalCdf, normalQuantile } from '../../base/numeric/normal.ts';

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

/** What a decision rule lets through and throws away, over all parts: shares of them. */
export interface GlobalRisks {
  /** Accepted although outside the tolerance (consumer's risk). */
  consumer: number;
  /** Rejected although inside it (producer's risk). */
  producer: number;
}

/**
 * Global risks of accepting what is measured within `acceptance`, where parts scatter normally about `mean` with `spread` and are measured with 1σ
 * `sigma` (JCGM 106, 9.5, equations 17 and 19): the chance of each decision on a part, over all parts. All in one unit.
 */
export function globalRisks(
  tolerance: { low: number; high: number },
  acceptance: { low: number; high: number },
  mean: number,
  spread: number,
  sigma: number,
): GlobalRisks {
  const STEPS = 600;
  const acceptedAt = (part: number): number =>
    acceptance.high > acceptance.low
      ? normalCdf((acceptance.high - part) / sigma) - normalCdf((acceptance.low - part) / sigma)
      : 0;
  /** Share of the parts between two values that the decision takes. */
  const over = (from: number, to: number, decided: (part: number) => number): number => {
    const width = (to - from) / STEPS;
    let sum = 0;
    for (let i = 0; i < STEPS; i++) {
      const part = from + (i + 0.5) * width;
      const share = normalCdf((part + width / 2 - mean) / spread) - normalCdf((part - width / 2 - mean) / spread);
      sum += share * decided(part);
    }
    return sum;
  };
  const far = 8 * spread;
  const consumer =
    over(Math.min(mean - far, tolerance.low), tolerance.low, acceptedAt) +
    over(tolerance.high, Math.max(mean + far, tolerance.high), acceptedAt);
  const producer = over(tolerance.low, tolerance.high, (part) => 1 - acceptedAt(part));
  return { consumer, producer };
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
  /** Of all parts judged like this, accepted only where that is said; parts scatter as half their tolerance, 1σ (common practice, no source). */
  risks: GlobalRisks;
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
  const acceptance = acceptanceInterval(tolerance.low, tolerance.high, sigmaOhm);
  return {
    ok: true,
    nominalOhm,
    tolerance,
    acceptance,
    risks: globalRisks(tolerance, acceptance, nominalOhm, (nominalOhm * toleranceShare) / 2, sigmaOhm),
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
