import type { FaultGroup } from '../units/vocabulary.ts';
import { PAIR_SHARE, type PairPosterior, pairsOf } from '../inference/pairs.ts';
import type { FaultPosterior, Posterior } from '../inference/posterior.ts';
import type { Access } from '../kit/access.ts';
import type { Conditions } from '../measurements/measurement.ts';
import { noiseOf } from '../model/predictor.ts';
import type { Problem } from '../model/problem.ts';
import { weightedQuantile } from '../numeric/weightedQuantile.ts';
import type { Assessment, SizeEstimate } from '../verdict/assessment.ts';
import { mutualInformation, outcomeTable, predictAll, type Thinned, thinned } from './information.ts';
import { candidateTests, minutesOf } from './nextTest.ts';

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
    test: { measurement: string; conditions: Conditions; minutes: number } | null;
  }[];
}

/** Pairs below this share of the pairs are not named, and not more than these. */
const [WORTH_NAMING, MOST] = [0.1, 3];
/** A test of less than this many bits proves no second fault. */
const PROVES = 0.1;

/** Should pairs be weighed: no single fault fits, readings contradict each other, or something sound is stretched too far? */
export function worthPairing({ doubt, stretched }: Assessment): boolean {
  return doubt.kind === 'contradiction' || doubt.kind === 'nothing-fits' || stretched.length > 0;
}

/** Pairs weighed in one go, where they should be; null where they should not, or where no two faults can stand together. */
export function twoFaultsOf(
  problem: Problem,
  singles: Posterior,
  assessment: Assessment,
  access: Access,
): TwoFaults | null {
  if (!worthPairing(assessment)) return null;
  const steps = pairsOf(problem, singles);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value && weighPairs(problem, singles, step.value, access);
}

/** Pairs against single faults, from both rankings. */
export function weighPairs(
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
  if (!known) return { fault: id, name, group, size: null };
  const [low, middle, high] = weightedQuantile(sizes, weights, [0.025, 0.5, 0.975]);
  return { fault: id, name, group, size: { low, middle, high, unit } };
}

/** The test that tells soonest whether the second fault is there beside the first: the same draws with it and without. */
function provingTest(
  problem: Problem,
  posterior: Posterior,
  pair: FaultPosterior,
  access: Access,
): TwoFaults['pairs'][number]['test'] {
  const both = thinned(pair);
  const one: Thinned = {
    ...both,
    draws: both.draws.map((d) => ({ ...d, hypothesis: { ...d.hypothesis, second: undefined } })),
  };
  const even = [pair, pair].map((f) => ({ ...f, probability: 0.5 }));
  const worth = candidateTests(problem, access).map((test) => {
    const predictions = [both, one].map((sample) => predictAll(posterior, test, sample));
    const noise = noiseOf(problem, test.measurement, test.conditions);
    const bits = mutualInformation(outcomeTable(even, [both, one], predictions, noise));
    return { test, bits, minutes: minutesOf(test, problem, access) };
  });
  const best = worth.filter((w) => w.bits > PROVES).sort((a, b) => b.bits / b.minutes - a.bits / a.minutes)[0];
  if (!best) return null;
  const { measurement, conditions } = best.test;
  return { measurement: measurement.id, conditions, minutes: best.minutes };
}
