import { BINS, type OutcomeTable } from './information.ts';
import type { FaultPosterior } from '../inference/posterior.ts';
import type { Interval } from '../numeric/interval.ts';

/** One of the few things a test can show, and what it would leave. */
export interface Outcome {
  /** Where such readings lie, in the test's unit; both Infinity for OL. */
  interval: Interval;
  /** Probability of this outcome. */
  probability: number;
  /** The suspects it would leave, likeliest first, with their probability then. */
  leaves: { fault: string; name: string; probability: number }[];
}

/** Most classes, and how much more one more must tell, as a share. */
const [MOST_CLASSES, WORTH_A_CLASS] = [4, 1.08];
/** Suspects below this share of an outcome are not named, and not more than these. */
const [LEFT, MOST] = [0.08, 3];
/** An outcome below this probability is no class of its own. */
const RARE = 0.02;

/**
 * Groups what a test can show into two to four classes that differ in what they would leave, at cuts that keep most of what the test tells of the
 * fault.
 */
export function outcomesOf(faults: readonly FaultPosterior[], table: OutcomeTable): Outcome[] {
  const { given, shares } = table;
  // Sums up to each border make any class a difference; OL, the last bin, lies above all figures.
  const sums = given.map((bins) => {
    const sum = new Float64Array(BINS + 2);
    for (let b = 0; b <= BINS; b++) sum[b + 1] = sum[b] + bins[b];
    return sum;
  });
  const told = (from: number, to: number): number => {
    let [mixed, inner] = [0, 0];
    for (let i = 0; i < sums.length; i++) {
      const p = sums[i][to] - sums[i][from];
      if (p <= 0) continue;
      mixed += shares[i] * p;
      inner += shares[i] * p * Math.log2(p);
    }
    return mixed > 0 ? inner - mixed * Math.log2(mixed) : 0;
  };
  const end = BINS + 1;
  const toldBy = (cuts: readonly number[]): number => {
    const borders = [0, ...cuts, end];
    return cuts.reduce((sum, cut, k) => sum + told(borders[k], cut), 0) + told(borders[borders.length - 2], end);
  };
  let cuts: number[] = [];
  let sofar = 0;
  // Cut after cut where it tells most, each then moved to where it tells most beside the others.
  while (cuts.length < MOST_CLASSES - 1) {
    let [added, top] = [cuts, -Infinity];
    for (let at = 1; at < end; at++) {
      if (cuts.includes(at)) continue;
      const tried = [...cuts, at].sort((a, b) => a - b);
      const value = toldBy(tried);
      if (value > top + 1e-12) [added, top] = [tried, value];
    }
    const next = moved(added, toldBy, end);
    const all = toldBy(next);
    if (cuts.length > 0 && all < WORTH_A_CLASS * sofar) break;
    [cuts, sofar] = [next, all];
  }
  const borders = [0, ...cuts, end];
  return borders
    .slice(1)
    .map((to, k) => classOf(faults, table, sums, borders[k], to))
    .filter((o) => o.probability > RARE)
    .sort((x, y) => y.probability - x.probability);
}

/** Each cut in turn moved to where all together tell most, twice over. */
function moved(cuts: readonly number[], toldBy: (cuts: readonly number[]) => number, end: number): number[] {
  let best = [...cuts];
  for (let round = 0; round < 2; round++) {
    for (let k = 0; k < best.length; k++) {
      const from = (best[k - 1] ?? 0) + 1;
      const to = best[k + 1] ?? end;
      let top = toldBy(best);
      for (let at = from; at < to; at++) {
        const tried = best.map((cut, i) => (i === k ? at : cut));
        const value = toldBy(tried);
        if (value > top + 1e-12) [best, top] = [tried, value];
      }
    }
  }
  return best;
}

function classOf(
  faults: readonly FaultPosterior[],
  { given, shares, border }: OutcomeTable,
  sums: readonly Float64Array[],
  from: number,
  to: number,
): Outcome {
  const parts = sums.map((sum, i) => shares[i] * (sum[to] - sum[from]));
  const probability = parts.reduce((a, b) => a + b, 0);
  const leaves = faults
    .map(({ fault }, i) => ({
      fault: fault.id,
      name: fault.name,
      probability: parts[i] / Math.max(probability, 1e-300),
    }))
    .filter((x) => x.probability >= LEFT)
    .sort((x, y) => y.probability - x.probability)
    .slice(0, MOST);
  const overload = to > BINS ? given.reduce((sum, bins, i) => sum + shares[i] * bins[BINS], 0) : 0;
  if (overload > 0.5 * probability) return { interval: { low: Infinity, high: Infinity }, probability, leaves };
  // The middle 95 % of the class.
  let [low, high, sum] = [from, Math.min(to, BINS), 0];
  const inside = probability - overload;
  for (let b = from; b < Math.min(to, BINS); b++) {
    const share = given.reduce((all, bins, i) => all + shares[i] * bins[b], 0);
    if (sum <= 0.025 * inside && sum + share > 0.025 * inside) low = b;
    if (sum < 0.975 * inside && sum + share >= 0.975 * inside) high = b + 1;
    sum += share;
  }
  return { interval: { low: border(low), high: border(high) }, probability, leaves };
}
