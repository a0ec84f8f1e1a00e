import type { UnderMark } from './finding.ts';
import type { Mark } from './log.ts';

/** Ratio of rates, while against otherwise, that is thought possible: every size alike on a log scale between these. */
const RATIO = { least: 1.5, most: 300, points: 40 } as const;
/** Prior that one of the places moved is the bad one. */
const ONE_OF_THEM = 0.7;
/** A place is named from this probability on. */
export const NAMED_FROM = 0.97;

/** Seconds for which marks stand, until the end of the log at most. */
const spanS = (mark: Mark, endS: number): number => Math.max(0, (mark.toS ?? endS) - mark.fromS);

/** A drop-out belongs to what was done up to so long before it: the hand is quicker than the key. s */
const BEFORE_S = 0.3;
const isUnder = (mark: Mark, atS: number, endS: number): boolean =>
  atS >= mark.fromS - BEFORE_S && atS <= (mark.toS ?? endS) + BEFORE_S;

/**
 * How often events fall under each kind of mark and place, and the chance that so many would by themselves: binomial, the events falling anywhere in the
 * log alike.
 *
 * @param atS begin of each event, s
 */
export function underMarks(atS: readonly number[], marks: readonly Mark[], lengthS: number): UnderMark[] {
  const keys = new Map<string, Mark[]>();
  for (const m of marks) keys.set(`${m.kind} ${m.place}`, [...(keys.get(`${m.kind} ${m.place}`) ?? []), m]);
  return [...keys.values()].flatMap((group) => {
    const overS = group.reduce((sum, m) => sum + spanS(m, lengthS), 0);
    const count = atS.filter((t) => group.some((m) => isUnder(m, t, lengthS))).length;
    if (overS <= 0 || count === 0) return [];
    return [
      {
        kind: group[0].kind,
        place: group[0].place,
        count,
        overS,
        chance: binomialAtLeast(atS.length, Math.min(1, overS / lengthS), count),
      },
    ];
  });
}

/**
 * Chance of at least k of n, each with probability p.
 *
 * @example binomialAtLeast(4, 0.5, 2) // 0.6875
 */
export function binomialAtLeast(n: number, p: number, k: number): number {
  let [sum, term] = [0, (1 - p) ** n];
  if (p >= 1) return 1;
  for (let i = 0; i < k; i++) {
    sum += term;
    term *= ((n - i) / (i + 1)) * (p / (1 - p));
  }
  return Math.max(0, 1 - sum);
}

/** What wiggling told of the places. */
export interface WigglePlaces {
  places: { place: string; count: number; overS: number; probability: number }[];
  /** The place that is named, or null: not told. */
  place: string | null;
  /** Probability that none of them is it. */
  none: number;
}

/**
 * Which of the places that were moved makes the value drop out. Given that there were so many drop-outs, each falls under a mark in proportion to its
 * time, a place that is bad counting ρ times as much; ρ averaged over 1.5 … 300. Not told below 97 %.
 */
export function wigglePlaces(atS: readonly number[], marks: readonly Mark[], lengthS: number): WigglePlaces | null {
  const wiggled = marks.filter((m) => m.kind === 'wiggling' && m.place !== '');
  const names = [...new Set(wiggled.map((m) => m.place))];
  if (names.length === 0 || atS.length === 0) return null;
  const stats = names.map((place) => {
    const own = wiggled.filter((m) => m.place === place);
    return {
      place,
      overS: own.reduce((sum, m) => sum + spanS(m, lengthS), 0),
      count: atS.filter((t) => own.some((m) => isUnder(m, t, lengthS))).length,
    };
  });
  const times = stats.map((s) => s.overS);
  const restS = Math.max(1e-6, lengthS - times.reduce((a, b) => a + b, 0));
  const logOf = (bad: number, ratio: number): number => {
    const weights = times.map((t, k) => Math.max(1e-9, t) * (k === bad ? ratio : 1));
    const total = restS + weights.reduce((a, b) => a + b, 0);
    const inMarks = stats.reduce((sum, s, k) => sum + s.count * Math.log(weights[k] / total), 0);
    return inMarks + (atS.length - stats.reduce((n, s) => n + s.count, 0)) * Math.log(restS / total);
  };
  const none = logOf(-1, 1);
  const likelihood = stats.map((_, k) => {
    let sum = 0;
    for (let i = 0; i < RATIO.points; i++) {
      const ratio = RATIO.least * Math.pow(RATIO.most / RATIO.least, (i + 0.5) / RATIO.points);
      sum += Math.exp(logOf(k, ratio) - none);
    }
    return sum / RATIO.points;
  });
  const shares = likelihood.map((l) => (l * ONE_OF_THEM) / stats.length);
  const total = 1 - ONE_OF_THEM + shares.reduce((a, b) => a + b, 0);
  const places = stats.map((s, k) => ({ ...s, probability: shares[k] / total }));
  const best = places.reduce((a, b) => (b.probability > a.probability ? b : a));
  return { places, place: best.probability >= NAMED_FROM ? best.place : null, none: (1 - ONE_OF_THEM) / total };
}
