import { type FaultPosterior, type Posterior, posteriorOf } from '../posterior/posterior.ts';
import { THERMOMETER } from '../model/problem.ts';
import type { SlipKind } from '../model/slips.ts';

/** What a reading is under what leads. */
export interface Explained {
  /** Probability that this reading is a blunder, under what leads. */
  blunder: number;
  /** The slip that explains it best, where it is more likely than not: how, and what was meant (null: to be taken again). */
  slip: { kind: SlipKind; meant: number | null } | null;
}

/** An unknown that is stretched, by how many of its 1σ. */
export interface Stretched {
  unknown: string;
  sigmas: number;
}

/** How far the ranking may be trusted. */
export type Doubt =
  | { kind: 'none' }
  | { kind: 'no-readings' }
  /** One or more readings that even the best fault does not explain, most doubtful first. */
  | { kind: 'contradiction'; readings: string[] }
  /** No single fault explains the readings. */
  | { kind: 'nothing-fits'; readings: string[] };

/** The mean of a figure over the draws of these faults. */
function averaged(faults: readonly FaultPosterior[], of: (d: FaultPosterior['draws'][number]) => number): number {
  let [sum, total] = [0, 0];
  for (const f of faults) {
    for (const d of f.draws) {
      sum += f.probability * d.weight * of(d);
      total += f.probability * d.weight;
    }
  }
  return sum / total;
}

/** What each reading is under these faults: each explanation of it averaged over their draws, once; a slip from the share `named` on. */
export function explainedReadings(
  { predictor }: Posterior,
  faults: readonly FaultPosterior[],
  named = 0.5,
): Explained[] {
  return predictor.readings.map(({ slips }, i) => {
    const shares = new Float64Array(slips.length + 3);
    const each = new Float64Array(slips.length + 3);
    let total = 0;
    for (const f of faults) {
      for (const d of f.draws) {
        const weight = f.probability * d.weight;
        total += weight;
        predictor.explanations(i, d.predictions[i], each);
        for (let k = 0; k < each.length; k++) shares[k] += weight * each[k];
      }
    }
    const share = (k: number): number => shares[k] / total;
    // In the order of `explanations`: met, each slip, a wrong pin, any other blunder.
    const slipped = slips.findIndex((_, k) => share(1 + k) > named);
    const pin = share(1 + slips.length) > 0.5 ? ({ kind: 'wrong-pin', meant: null } as const) : null;
    const slip = slipped < 0 ? pin : { kind: slips[slipped].kind, meant: slips[slipped].meant };
    return { blunder: shares.subarray(1).reduce((a, b) => a + b, 0) / total, slip };
  });
}

/** Probability that the thermometer was read wrong. */
function thermometerBlunder({ predictor }: Posterior, faults: readonly FaultPosterior[]): number {
  return averaged(faults, (d) => predictor.latent.thermometerBlunder(d.u));
}

/** Beyond this an unknown is stretched: with the tails of the yard about 7 % of a reference, and less than one sound circuit in a hundred. */
const STRETCHED = 2.7;

/** The unknowns that are further off under these faults than sound circuits show, or than `limit` σ, furthest first. */
export function stretchedBy(
  { predictor }: Posterior,
  faults: readonly FaultPosterior[],
  limit: number = STRETCHED,
): Stretched[] {
  if (predictor.readings.length === 0) return [];
  return predictor.latent.names
    .map((unknown, k) => ({ unknown, sigmas: averaged(faults, (d) => d.u[k]) }))
    .filter(({ sigmas }) => Math.abs(sigmas) > limit)
    .sort((a, b) => Math.abs(b.sigmas) - Math.abs(a.sigmas));
}

/** Nearer than this a temperature is the one that was meant, K. */
const MEANT_K = 4;

/** The thermometer's figure in the other unit, °C, where that is what the readings ask for or what would explain them all; else null. */
export function thermometerSlip(posterior: Posterior, faults: readonly FaultPosterior[]): number | null {
  return readInOtherUnit(posterior, faults) ?? betterInFahrenheit(posterior);
}

function readInOtherUnit({ predictor }: Posterior, faults: readonly FaultPosterior[]): number | null {
  const { steady } = predictor.problem.thermometers;
  if (!steady) return null;
  for (const meant of [((steady.readC - 32) * 5) / 9, (steady.readC * 9) / 5 + 32]) {
    if (Math.abs(meant - steady.readC) < 3 * MEANT_K) continue;
    const near = averaged(faults, (d) => {
      const { temperatureC } = predictor.solvedAt(d.hypothesis, d.position, d.u, 'steady').state;
      return Math.abs(temperatureC - meant) < MEANT_K ? 1 : 0;
    });
    if (near > 0.5) return meant;
  }
  return null;
}

/** Figures that are no air temperature in °C but one in °F. */
const LIKE_FAHRENHEIT = { from: 40, to: 120 } as const;
/**
 * Odds of the other unit before any reading, four times what they are, for the question costs one tap: it is asked where one in five would answer yes.
 * Common practice, no source.
 */
const OTHER_UNIT = 0.15;

/** The thermometer's figure taken for °F, °C, where that explains the readings better than all faults together do as it stands; else null. */
function betterInFahrenheit({ predictor: { problem }, logEvidence }: Posterior): number | null {
  const { steady } = problem.thermometers;
  if (!steady || problem.readings.length === 0 || steady.halfWidthK) return null;
  if (steady.readC < LIKE_FAHRENHEIT.from || steady.readC > LIKE_FAHRENHEIT.to) return null;
  const readC = ((steady.readC - 32) * 5) / 9;
  const other = posteriorOf({ ...problem, thermometers: { ...problem.thermometers, steady: { ...steady, readC } } });
  return other.logEvidence + Math.log(OTHER_UNIT) > logEvidence ? readC : null;
}

/** How far the ranking may be trusted, from the chance of each reading to be a blunder under these faults. */
export function doubtOf(posterior: Posterior, faults: readonly FaultPosterior[], blunders: readonly number[]): Doubt {
  const { problem } = posterior.predictor;
  if (problem.readings.length === 0) return { kind: 'no-readings' };
  const doubtful = [
    ...problem.readings.map((r, i) => ({ id: r.id, p: blunders[i] })),
    { id: THERMOMETER, p: thermometerBlunder(posterior, faults) },
  ]
    .filter(({ p }) => p > 0.5)
    .sort((a, b) => b.p - a.p)
    .map(({ id }) => id);
  if (doubtful.length === 0) {
    // Two readings that exclude each other: either may be the blunder, so neither passes one half alone.
    const sum = blunders.reduce((a, b) => a + b, 0);
    if (sum < 0.7) return { kind: 'none' };
    const most = Math.max(...blunders);
    const rivals = problem.readings.filter((_, i) => blunders[i] > most / 2).map((r) => r.id);
    return { kind: 'contradiction', readings: rivals };
  }
  // Of two readings alone nobody can say which is the wrong one.
  if (problem.readings.length === 2 && doubtful[0] !== THERMOMETER) {
    return { kind: 'contradiction', readings: problem.readings.map((r) => r.id) };
  }
  return { kind: doubtful.length > 1 ? 'nothing-fits' : 'contradiction', readings: doubtful };
}
