import type { FaultGroup } from '../../base/units/vocabulary.ts';
import { PAIR_SHARE, type PairPosterior, pairsOf } from '../../inference/posterior/pairs.ts';
import type { FaultPosterior, Posterior } from '../../inference/posterior/posterior.ts';
import type { Access } from '../../catalogue/kit/access.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { type Assessment, leadingFaults, sizeEstimate, type SizeEstimate } from '../../inference/verdict/assessment.ts';
import { stretchedBy } from '../../inference/verdict/doubt.ts';
import { outcomeTable, predictAll, thinned, unbiasedInformation } from './information.ts';
import { candidateTests, isSafeNow, minutesOf, soonest } from './nextTest.ts';

/** One of the two faults of a pair, with its size where it has one. */
export interface PairedFault {
  fault: string;
  name: string;
  group: FaultGroup;
  size: SizeEstimate | null;
}

/** Whether two things are wrong at once, and which. Plain data. */
export interface TwoFaults {
  /** Probability that no single fault explains the readings but two do. */
  probability: number;
  /** Most probable first; `probability` within the pairs. `test` tells whether the second is there as well. */
  pairs: {
    first: PairedFault;
    second: PairedFault;
    probability: number;
    test: ReturnType<typeof soonest>;
  }[];
}

/** Pairs below this share of the pairs are not named, and not more than these. */
const [WORTH_NAMING, MOST] = [0.1, 3];
/** A test of less than this many bits proves no second fault. */
const PROVES = 0.1;

/** From these probabilities on a second fault is named as possible, and two are said to be wrong. */
const [POSSIBLE, SAID] = [0.1, 0.7];
/** Pairs are weighed from so many blunders on, added up, and where an unknown is so many σ off: less than what is worth saying. */
const WEIGHED = { blunders: 0.3, sigmas: 2 } as const;

/** Is it likely that two things are wrong? */
export function saysTwo(two: TwoFaults | null): two is TwoFaults {
  return two !== null && two.probability >= SAID && two.pairs.length > 0;
}

/** Is a second fault worth a look, although it is not likely yet? */
export function mayBeTwo(two: TwoFaults | null): two is TwoFaults {
  return two !== null && two.probability >= POSSIBLE && two.probability < SAID && two.pairs.length > 0;
}

/**
 * Weighs pairs where the readings are in some doubt under what leads, or something sound is stretched; null where they need not be, or where no
 * two faults can stand together. Takes several rankings and yields between its steps, so that newer figures may end it.
 */
export function* twoFaultSteps(
  problem: Problem,
  singles: Posterior,
  { readings }: Assessment,
  access: Access,
): Generator<void, TwoFaults | null> {
  const blunders = readings.reduce((sum, r) => sum + r.blunder, 0);
  const stretched = stretchedBy(singles, leadingFaults(singles), WEIGHED.sigmas);
  if (blunders < WEIGHED.blunders && stretched.length === 0) return null;
  const pairs = yield* pairsOf(problem, singles);
  return pairs && weighPairs(problem, singles, pairs, access);
}

/** The same in one go. */
export function twoFaultsOf(...asked: Parameters<typeof twoFaultSteps>): TwoFaults | null {
  const steps = twoFaultSteps(...asked);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}

/** Pairs against single faults, from both rankings. */
function weighPairs(
  problem: Problem,
  singles: Posterior,
  { pairs, posterior }: PairPosterior,
  access: Access,
): TwoFaults {
  const odds = (PAIR_SHARE / (1 - PAIR_SHARE)) * Math.exp(posterior.logEvidence - singles.logEvidence);
  const named = posterior.faults.filter((f) => f.draws.length > 0 && f.probability >= WORTH_NAMING).slice(0, MOST);
  return {
    probability: Number.isFinite(odds) ? odds / (1 + odds) : 1,
    pairs: named.map((f) => {
      const { first, second } = pairs.get(f.fault)!;
      const { predictor } = posterior;
      const weights = f.draws.map((d) => d.weight);
      const secondSizes = f.draws.map((d) => {
        predictor.solvedAt(d.hypothesis, d.position, d.u, 'steady');
        return predictor.lastSecondSize;
      });
      const firstSizes = f.draws.map((d) => d.size);
      return {
        first: paired(first, firstSizes, weights),
        second: paired(second, secondSizes, weights),
        probability: f.probability,
        test: provingTest(problem, posterior, f, access),
      };
    }),
  };
}

function paired(
  { id, name, group, unit }: FaultPosterior['fault'],
  sizes: readonly number[],
  weights: readonly number[],
): PairedFault {
  const known = unit !== null && sizes.every((s) => !Number.isNaN(s));
  return { fault: id, name, group, size: known ? sizeEstimate(sizes, weights, unit) : null };
}

/** The test that tells soonest whether the second fault is there beside the first: the same draws with it and without. */
function provingTest(
  problem: Problem,
  posterior: Posterior,
  pair: FaultPosterior,
  access: Access,
): TwoFaults['pairs'][number]['test'] {
  const both = thinned(pair);
  const one = both.map((d) => ({ ...d, hypothesis: { ...d.hypothesis, second: undefined } }));
  const even = [pair, pair].map((f) => ({ ...f, probability: 0.5 }));
  const worth = candidateTests(problem, access)
    .filter((t) => isSafeNow(t, problem))
    .map((test) => {
      const predictions = [both, one].map((sample) => predictAll(posterior, test, sample));
      const noise = noiseOf(problem, test.measurement, test.conditions);
      const bits = unbiasedInformation(outcomeTable(even, predictions, noise));
      return { test, bits, minutes: minutesOf(test, problem, access) };
    });
  return soonest(worth, PROVES);
}
