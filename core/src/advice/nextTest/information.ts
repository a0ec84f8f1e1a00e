import { normalCdf } from '../../base/numeric/normal.ts';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import type { NoiseModel } from '../../inference/model/noise.ts';
import type { FaultPosterior, Posterior } from '../../inference/posterior/posterior.ts';

/** Draws a fault that a first look at a test is worth, and that those in front are worth. */
export const [ROUGHLY, CLOSELY] = [64, 384];
/** Bins of an outcome, OL apart. */
export const BINS = 96;

/** A few equally weighted draws that stand for all of a fault's. */
export type Thinned = FaultPosterior['draws'];

/** A few equally weighted draws that stand for all, by systematic resampling. */
export function thinned(fault: FaultPosterior, count = ROUGHLY): Thinned {
  const draws: FaultPosterior['draws'][number][] = [];
  let sum = 0;
  let next = 0.5 / count;
  for (const d of fault.draws) {
    sum += d.weight;
    while (next < sum && draws.length < count) {
      draws.push(d);
      next += 1 / count;
    }
  }
  return draws;
}

/** What a test would show under each of these draws. */
export function predictAll(
  { predictor }: Posterior,
  { measurement, conditions, state }: PlannedTest,
  draws: Thinned,
): Float64Array {
  return Float64Array.from(draws, (d) =>
    measurement.predict(predictor.solvedAt(d.hypothesis, d.position, d.u, state), conditions),
  );
}

/** What a test may show, binned on a scale on which noise is about even; the last bin is OL. */
export interface OutcomeTable {
  /** Probability of each bin under each fault, in the order of the faults. */
  given: readonly Float64Array[];
  /** The same from every other draw alone, and from those between. */
  halves: readonly [readonly Float64Array[], readonly Float64Array[]];
  /** Share of each fault among them. */
  shares: readonly number[];
  /** Value at the border below bin b, in the test's unit. */
  border: (b: number) => number;
}

/** The outcomes of a test under each of the faults. */
export function outcomeTable(
  faults: readonly FaultPosterior[],
  predictions: readonly Float64Array[],
  noise: NoiseModel,
): OutcomeTable {
  const scale = outcomeScale(predictions, noise);
  const total = faults.reduce((sum, f) => sum + f.probability, 0);
  const half = (odd: 0 | 1): Float64Array[] =>
    predictions.map((list) => {
      const own = list.filter((_, k) => k % 2 === odd || list.length === 1);
      return histogram(own, noise, scale).map((n) => n / own.length);
    });
  const halves = [half(0), half(1)] as const;
  const given = halves[0].map((table, i) => {
    const { length } = predictions[i];
    const even = length === 1 ? 0.5 : Math.ceil(length / 2) / length;
    return table.map((p, b) => even * p + (1 - even) * halves[1][i][b]);
  });
  const { low, width, unit } = scale;
  return {
    given,
    halves,
    shares: faults.map((f) => f.probability / total),
    border: (b) => unit * Math.sinh(low + b * width),
  };
}

/**
 * Mutual information between fault and outcome, bits, without the share that comes from having so few draws only: that falls with their number, so
 * twice the figure of all of them less that of half of them is free of it. Source: Richardson's extrapolation; Quenouille's jackknife by halves.
 */
export function unbiasedInformation({ given, halves, shares }: Omit<OutcomeTable, 'border'>): number {
  const ofHalf =
    (mutualInformation({ given: halves[0], shares }) + mutualInformation({ given: halves[1], shares })) / 2;
  return Math.max(0, 2 * mutualInformation({ given, shares }) - ofHalf);
}

/** Mutual information between fault and outcome, bits. */
export function mutualInformation({ given, shares }: Pick<OutcomeTable, 'given' | 'shares'>): number {
  let [inner, outer] = [0, 0];
  for (let b = 0; b < given[0].length; b++) {
    let mixed = 0;
    for (let i = 0; i < given.length; i++) {
      const p = given[i][b];
      if (p <= 0) continue;
      mixed += shares[i] * p;
      inner += shares[i] * p * Math.log2(p);
    }
    if (mixed > 0) outer += mixed * Math.log2(mixed);
  }
  return Math.max(0, inner - outer);
}

interface OutcomeScale {
  to: (value: number) => number;
  low: number;
  width: number;
  unit: number;
}

function outcomeScale(predictions: readonly Float64Array[], noise: NoiseModel): OutcomeScale {
  let [low, high] = [Infinity, -Infinity];
  for (const list of predictions) {
    for (const p of list) {
      if (!Number.isFinite(p)) continue;
      low = Math.min(low, p - 3 * noise.sigma(p));
      high = Math.max(high, p + 3 * noise.sigma(p));
    }
  }
  if (!(high > low)) [low, high] = [0, 1];
  // asinh is even for small and logarithmic for large values, as the noise is.
  const unit = Math.max(noise.sigma(0) * 3, 1e-9);
  const to = (v: number): number => Math.asinh(v / unit);
  return { to, low: to(low), width: (to(high) - to(low)) / BINS, unit };
}

/** Counts a bin; the last entry is OL. Each prediction is smeared over the bins its noise reaches. */
function histogram(predictions: Float64Array, noise: NoiseModel, { to, low, width }: OutcomeScale): Float64Array {
  const table = new Float64Array(BINS + 1);
  for (const p of predictions) {
    if (!Number.isFinite(p)) {
      table[BINS]++;
      continue;
    }
    const s = noise.sigma(p);
    const centre = (to(p) - low) / width;
    const spread = Math.max((to(p + s) - to(p - s)) / 2 / width, 1e-6);
    // What is shown in place of it may be anything.
    const elsewhere = noise.elsewhere?.(p) ?? 0;
    if (elsewhere > 0) for (let b = 0; b < BINS; b++) table[b] += elsewhere / BINS;
    const first = Math.max(0, Math.floor(centre - 3 * spread));
    const last = Math.min(BINS - 1, Math.floor(centre + 3 * spread));
    let below = first === 0 ? 0 : normalCdf((first - centre) / spread);
    for (let b = first; b <= last; b++) {
      const above = b === BINS - 1 ? 1 : normalCdf((b + 1 - centre) / spread);
      table[b] += (1 - elsewhere) * (above - below);
      below = above;
    }
  }
  return table;
}
