import { BINS, type OutcomeTable } from './information.ts';
import type { FaultPosterior } from '../../inference/posterior/posterior.ts';
import type { Interval } from '../../base/numeric/interval.ts';

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
 * Groups what a test can show into two to four classes that differ in what they would leave, at the cuts that keep most of what the test tells of
 * the fault.
 */
export function outcomesOf(faults: readonly FaultPosterior[], table: Omit<OutcomeTable, 'halves'>): Outcome[] {
  const sums = sumsOf(table);
  const borders = bestBorders(table, sums);
  return borders
    .slice(1)
    .map((to, k) => classOf(faults, table, sums, borders[k], to))
    .filter((o) => o.probability > RARE)
    .sort((x, y) => y.probability - x.probability);
}

/** Sums up to each border make any class a difference; OL, the last bin, lies above all figures. */
function sumsOf({ given }: Pick<OutcomeTable, 'given'>): Float64Array[] {
  return given.map((bins) => {
    const sum = new Float64Array(BINS + 2);
    for (let b = 0; b <= BINS; b++) sum[b + 1] = sum[b] + bins[b];
    return sum;
  });
}

/** Borders of the two to four classes, in bins, from the first to the one behind the last: the cuts that keep most of what the test tells. */
export function bestBorders(table: Pick<OutcomeTable, 'given' | 'shares'>, sums = sumsOf(table)): number[] {
  const { shares } = table;
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
  const ways = bestCuts(told, end, MOST_CLASSES - 1);
  let cuts = ways[0];
  for (const more of ways.slice(1)) {
    if (more.told < WORTH_A_CLASS * cuts.told) break;
    cuts = more;
  }
  return [0, ...cuts.at, end];
}

/**
 * The cuts that keep most among all there are: with one, with two, up to `most`. What classes tell adds up, so the best way to the left of a cut
 * does not hang on what comes right of it. Source: dynamic programming over the cuts, as for one-dimensional clustering (common practice).
 */
function bestCuts(
  told: (from: number, to: number) => number,
  end: number,
  most: number,
): { at: number[]; told: number }[] {
  const width = end + 1;
  const tellings = new Float64Array(width * width);
  for (let from = 0; from < end; from++)
    for (let to = from + 1; to <= end; to++) tellings[from * width + to] = told(from, to);
  // The best way to divide the bins below each border, with one cut more each time round.
  let ways = Array.from({ length: width }, (_, to) => ({ at: [] as number[], told: tellings[to] }));
  return Array.from({ length: most }, (_, k) => {
    ways = ways.map((_way, to) => {
      let [last, top] = [0, -Infinity];
      for (let from = k + 1; from < to; from++) {
        const sum = ways[from].told + tellings[from * width + to];
        if (sum > top + 1e-12) [last, top] = [from, sum];
      }
      return { at: [...ways[last].at, last], told: top };
    });
    return ways[end];
  });
}

function classOf(
  faults: readonly FaultPosterior[],
  { given, shares, border }: Omit<OutcomeTable, 'halves'>,
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
