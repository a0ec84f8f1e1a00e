import { fitCurve } from '../../circuit/curves/fitCurve.ts';
import { choleskyFactor, solveLower } from '../../base/numeric/cholesky.ts';
import { logNormalDensity } from '../../base/numeric/normal.ts';
import { logSumExp } from '../../base/numeric/logSumExp.ts';
import { slopeLog } from '../comparing/comparePairs.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';

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
  /** Names under which the same curve stands on the shelf again. */
  also: string[];
  probability: number;
  missK: number[];
}

export interface Identified {
  candidates: Candidate[];
  /** Probability that the curve is none of the shelf, and what the pairs say of it: R25 in Ω and B in K; null where they cannot (one pair, a PTC). */
  other: { probability: number; estimate: { r25Ohm: number; betaK: number } | null };
  /** Is even the best a bad fit (worse than 4σ on some pair)? Then it is probably none of the shelf. */
  noneFits: boolean;
  /** °C at which one more pair would tell the first two apart best, and the two resistances there; null with one candidate left. */
  separateAt: { temperatureC: number; firstOhm: number; secondOhm: number; sigmas: number } | null;
}

/** Chance, before anything is measured, that a sensor is none of the shelf; most of what is met stands there. Common practice, no source. */
const OFF_SHELF = { ntc: 0.1, ptc: 0.05 };

/**
 * Ranks curves by probability given pairs: ln R scatters by the meter, by the thermometer through the slope, by the part's tolerance (shared
 * by all pairs of one part) and by the curve's form. All curves alike before, the same curve under two names once; pairs outside a curve's range
 * count as 20 K off. Beside them stands the curve that is not on the shelf: any level and steepness that sensors have.
 */
export function identifySensor(
  pairs: readonly IdentifyPair[],
  curves: readonly NamedCurve[],
  range: { lowC: number; highC: number },
): Identified {
  const different = distinct(curves);
  const scored = different.map((c) => ({ ...c, log: logLikelihood(pairs, c.model) }));
  const shelf = Math.log((1 - OFF_SHELF.ntc - OFF_SHELF.ptc) / different.length);
  const others = (['ntc', 'ptc'] as const).map((slope) => Math.log(OFF_SHELF[slope]) + logGeneric(pairs, slope));
  const total = logSumExp([...scored.map((s) => shelf + s.log), ...others]);
  const candidates = scored
    .map((s) => ({
      id: s.id,
      name: s.name,
      also: s.also,
      model: s.model,
      probability: Math.exp(shelf + s.log - total),
      missK: pairs.map((p) => s.model.temperatureC(p.resistanceOhm) - p.temperatureC),
    }))
    .sort((a, b) => b.probability - a.probability || a.id.localeCompare(b.id));
  const [first, second] = candidates;
  const noneFits =
    pairs.length > 0 && pairs.some((p) => Math.abs(deviation(p, first.model)) > 4 * spread(p, first.model, true));
  return {
    candidates: candidates.map(({ id, name, also, probability, missK }) => ({ id, name, also, probability, missK })),
    other: { probability: Math.exp(logSumExp(others) - total), estimate: estimateOf(pairs) },
    noneFits,
    separateAt: second && second.probability > 1e-4 ? separation(first.model, second.model, pairs, range) : null,
  };
}

/** Curves this near to each other (ln R) wherever both are known are one and the same: nothing measured here tells them apart. */
const SAME_LOG = 0.003;

/** Each curve once, with the names under which it comes again. */
function distinct(curves: readonly NamedCurve[]): (NamedCurve & { also: string[] })[] {
  const found: (NamedCurve & { also: string[] })[] = [];
  for (const curve of curves) {
    const twin = found.find((f) => isSame(f.model, curve.model));
    if (twin) twin.also.push(curve.name);
    else found.push({ ...curve, also: [] });
  }
  return found;
}

function isSame(a: CurveModel, b: CurveModel): boolean {
  const [low, high] = [Math.max(a.minC, b.minC, -40), Math.min(a.maxC, b.maxC, 150)];
  if (!(high > low)) return false;
  return [0, 0.2, 0.4, 0.6, 0.8, 1].every((share) => {
    const t = low + (high - low) * share;
    return Math.abs(Math.log(a.resistanceOhm(t) / b.resistanceOhm(t))) < SAME_LOG;
  });
}

/**
 * What is believed of a curve that is not on the shelf: mean and 1σ of ln R25, of its steepness, and of the bend. NTC in 10⁻³/K of 1/T from 25 °C,
 * PTC in hundreds of K from 25 °C. Steepness and bend as the catalogue's curves have them, the level of what is sold: common practice, no source.
 */
const GENERIC = {
  ntc: {
    prior: [
      [8.4, 1.5],
      [3.9, 0.35],
      [-0.13, 0.1],
    ],
    x: (t: number): number => 1000 * (1 / (t + 273.15) - 1 / 298.15),
  },
  ptc: {
    prior: [
      [6.5, 1],
      [0.5, 0.2],
      [-0.05, 0.08],
    ],
    x: (t: number): number => (t - 25) / 100,
  },
} as const;

/** ln likelihood of the pairs under a curve of which only the kind is known: all its unknowns are normal, so exact. */
function logGeneric(pairs: readonly IdentifyPair[], slope: 'ntc' | 'ptc'): number {
  const n = pairs.length;
  if (n === 0) return 0;
  const { prior, x } = GENERIC[slope];
  const powers = pairs.map((p) => prior.map((_, k) => x(p.temperatureC) ** k));
  const off = Float64Array.from(pairs, (p, i) =>
    powers[i].reduce((rest, power, k) => rest - prior[k][0] * power, Math.log(p.resistanceOhm)),
  );
  const covariance = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++)
      covariance[i * n + j] = prior.reduce((sum, [, sigma], k) => sum + sigma ** 2 * powers[i][k] * powers[j][k], 0);
    const perK = slope === 'ntc' ? (1000 * prior[1][0]) / (pairs[i].temperatureC + 273.15) ** 2 : prior[1][0] / 100;
    covariance[i * n + i] +=
      (pairs[i].resistanceSigmaOhm / pairs[i].resistanceOhm) ** 2 + (perK * pairs[i].temperatureSigmaK) ** 2;
  }
  const factor = new Float64Array(n * n);
  const logDet = choleskyFactor(covariance, n, factor);
  const z = solveLower(factor, n, off, off);
  return -0.5 * (logDet + n * Math.log(2 * Math.PI) + z.reduce((sum, v) => sum + v * v, 0));
}

/** R25 and B through the pairs, where they make an NTC. */
function estimateOf(pairs: readonly IdentifyPair[]): Identified['other']['estimate'] {
  const points = [...pairs].sort((a, b) => a.temperatureC - b.temperatureC);
  const fit = fitCurve(points, 'beta');
  if (!fit.ok || fit.curve.kind !== 'beta') return null;
  const { r25Ohm, betaK } = fit.curve;
  return betaK > 1500 && betaK < 7000 ? { r25Ohm, betaK } : null;
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
