import { logNormalDensity } from '../numeric/normal.ts';
import { logSumExp } from '../numeric/logSumExp.ts';
import { slopeLog } from '../comparing/comparePairs.ts';
import type { CurveModel } from '../curves/curveModel.ts';

/** A measured pair: °C and Ω with their 1σ. */
export interface IdentifyPair {
  temperatureC: number;
  temperatureSigmaK: number;
  resistanceOhm: number;
  resistanceSigmaOhm: number;
}

export interface NamedCurve {
  id: string;
  name: string;
  model: CurveModel;
}

/** One curve of the shelf as a candidate. `missK`: how far each pair misses it, K. */
export interface Candidate {
  id: string;
  name: string;
  probability: number;
  missK: number[];
}

export interface Identified {
  candidates: Candidate[];
  /** Is even the best a bad fit (worse than 4σ on some pair)? Then it is probably none of the shelf. */
  noneFits: boolean;
  /** °C at which one more pair would tell the first two apart best, and the two resistances there; null with one candidate left. */
  separateAt: { temperatureC: number; firstOhm: number; secondOhm: number; sigmas: number } | null;
}

/**
 * Ranks curves by probability given pairs: ln R scatters by the meter, by the thermometer through the slope, by the part's tolerance (shared
 * by all pairs of one part) and by the curve's form. All curves alike before; pairs outside a curve's range count as 20 K off.
 */
export function identifySensor(
  pairs: readonly IdentifyPair[],
  curves: readonly NamedCurve[],
  range: { lowC: number; highC: number },
): Identified {
  const scored = curves.map((c) => ({ ...c, log: logLikelihood(pairs, c.model) }));
  const total = logSumExp(scored.map((s) => s.log));
  const candidates = scored
    .map((s) => ({
      id: s.id,
      name: s.name,
      model: s.model,
      probability: pairs.length === 0 ? 1 / curves.length : Math.exp(s.log - total),
      missK: pairs.map((p) => s.model.temperatureC(p.resistanceOhm) - p.temperatureC),
    }))
    .sort((a, b) => b.probability - a.probability || a.id.localeCompare(b.id));
  const [first, second] = candidates;
  const noneFits =
    pairs.length > 0 && pairs.some((p) => Math.abs(deviation(p, first.model)) > 4 * spread(p, first.model, true));
  return {
    candidates: candidates.map(({ id, name, probability, missK }) => ({ id, name, probability, missK })),
    noneFits,
    separateAt: second && second.probability > 1e-4 ? separation(first.model, second.model, pairs, range) : null,
  };
}

function deviation(p: IdentifyPair, model: CurveModel): number {
  return Math.log(p.resistanceOhm / model.resistanceOhm(p.temperatureC));
}

/** 1σ of ln R of one pair; with the part's own tolerance or without. */
function spread(p: IdentifyPair, model: CurveModel, withTolerance: boolean): number {
  const slope = slopeLog(model, p.temperatureC);
  return Math.hypot(
    p.resistanceSigmaOhm / p.resistanceOhm,
    slope * p.temperatureSigmaK,
    model.formErrorLog(p.temperatureC),
    withTolerance ? model.toleranceLog : 0,
  );
}

/** The tolerance moves all pairs of one part together: integrated out exactly (one shared normal unknown). */
function logLikelihood(pairs: readonly IdentifyPair[], model: CurveModel): number {
  let [weight, weighted, log] = [1 / model.toleranceLog ** 2, 0, 0];
  for (const p of pairs) {
    const outside = p.temperatureC < model.minC || p.temperatureC > model.maxC;
    const sigma = spread(p, model, false);
    const d = outside
      ? Math.abs(slopeLog(model, Math.min(model.maxC, Math.max(model.minC, p.temperatureC)))) * 20
      : deviation(p, model);
    log += logNormalDensity(d / sigma) - Math.log(sigma);
    weight += 1 / sigma ** 2;
    weighted += d / sigma ** 2;
  }
  return log + (0.5 * (weighted * weighted)) / weight - 0.5 * Math.log(weight) - Math.log(model.toleranceLog);
}

function separation(
  first: CurveModel,
  second: CurveModel,
  pairs: readonly IdentifyPair[],
  range: { lowC: number; highC: number },
): Identified['separateAt'] {
  const low = Math.max(first.minC, second.minC, range.lowC);
  const high = Math.min(first.maxC, second.maxC, range.highC);
  if (!(high > low)) return null;
  // What a constant factor (the part's tolerance) could not explain: the difference beyond that at the pairs so far.
  const gap = (t: number): number => Math.log(first.resistanceOhm(t) / second.resistanceOhm(t));
  const known = pairs.length === 0 ? 0 : pairs.reduce((s, p) => s + gap(p.temperatureC), 0) / pairs.length;
  let best: NonNullable<Identified['separateAt']> | null = null;
  for (let i = 0; i <= 60; i++) {
    const t = low + ((high - low) * i) / 60;
    const sigma = Math.hypot(0.01, first.toleranceLog, Math.abs(slopeLog(first, t)) * 0.7);
    const sigmas = Math.abs(gap(t) - known) / sigma + Math.abs(gap(t)) / sigma / 10;
    if (!best || sigmas > best.sigmas)
      best = {
        temperatureC: Math.round(t),
        firstOhm: first.resistanceOhm(Math.round(t)),
        secondOhm: second.resistanceOhm(Math.round(t)),
        sigmas,
      };
  }
  return best;
}
