import { actNow, type Costs, type Repair, type Sequence, type Spent } from './repairs.ts';

/** A test as the plan sees it: what it costs, and the chance of each of its outcomes under each draw of what may be wrong. */
export interface Trial {
  minutes: number;
  /** Minutes when it comes right after a test of the same set-up; and the set-up's name. */
  repeatMinutes: number;
  setup: string;
  /** chance[d · outcomes + k]: of outcome k under draw d; the chances of a draw sum to one. */
  outcomes: number;
  chance: Float64Array;
}

/** What the plan is made on: weighted draws of what may be wrong, each of a group, and the tests. */
export interface Prospect {
  repairs: readonly Repair[];
  costs: Costs;
  /** Weight of each draw, and the place of its group among the repairs. */
  weights: Float64Array;
  groups: Uint8Array;
  trials: readonly Trial[];
}

/** What to do from here on: act, or a trial first. */
export interface Step extends Spent {
  /** −1: act now. */
  trial: number;
}

function byGroup({ repairs, groups }: Prospect, weights: Float64Array): Float64Array {
  const sums = new Float64Array(repairs.length);
  for (let d = 0; d < weights.length; d++) sums[groups[d]] += weights[d];
  return sums;
}

/** Acting now on these weights. */
export function actOn(prospect: Prospect, weights: Float64Array, first = -1): Sequence {
  return actNow(prospect.repairs, byGroup(prospect, weights), prospect.costs, first);
}

/** The likeliest group, as its place among the repairs, and its probability. */
export function likeliest(prospect: Prospect, weights: Float64Array): { group: number; share: number } {
  const sums = byGroup(prospect, weights);
  const most = Math.max(...sums);
  return { group: sums.indexOf(most), share: most / sums.reduce((a, b) => a + b, 0) };
}

/** Acting now as the customer wants it: where a group is as sure as asked, it is first. `allowed`: is one? */
function actAsAsked(prospect: Prospect, weights: Float64Array): { act: Sequence; allowed: boolean } {
  const { sure } = prospect.costs;
  if (sure === 0) return { act: actOn(prospect, weights), allowed: true };
  const { group, share } = likeliest(prospect, weights);
  return { act: actOn(prospect, weights, share >= sure ? group : -1), allowed: share >= sure };
}

/** An outcome rarer than this makes nobody hope for it. */
const HOPED_FOR = 0.01;
/** May at most `depth` tests make a group as sure as asked, by an outcome that is not all too rare? */
export function maySatisfy(prospect: Prospect, depth: number): boolean {
  const least = HOPED_FOR * prospect.weights.reduce((a, b) => a + b, 0);
  const may = (weights: Float64Array, left: number, done: readonly number[]): boolean =>
    likeliest(prospect, weights).share >= prospect.costs.sure ||
    (left > 0 &&
      prospect.trials.some((trial, t) => {
        if (done.includes(t)) return false;
        const rest = new Float64Array(weights.length);
        for (let k = 0; k < trial.outcomes; k++)
          if (leftAfter(weights, trial, k, rest) >= least && may(rest, left - 1, [...done, t])) return true;
        return false;
      }));
  return may(prospect.weights, depth, []);
}

function minutesAfter(trial: Trial, before: Trial | null): number {
  return before && before.setup === trial.setup ? trial.repeatMinutes : trial.minutes;
}

/** The draws that are left after an outcome, by weight. */
function leftAfter(weights: Float64Array, { chance, outcomes }: Trial, outcome: number, into: Float64Array): number {
  let sum = 0;
  for (let d = 0; d < weights.length; d++) sum += into[d] = weights[d] * chance[d * outcomes + outcome];
  return sum;
}

/**
 * The best step with at most `depth` tests ahead, from these weights (any scale; the costs are of the same scale). Every policy of so many tests is
 * weighed: nothing is drawn by lot, so it is the same on every run. Less sure than asked, nobody acts while a trial is left. `without`: trials done
 * already.
 */
export function bestStep(
  prospect: Prospect,
  weights: Float64Array,
  depth: number,
  before: Trial | null = null,
  without: ReadonlySet<number> = new Set(),
): Step {
  const { act, allowed } = actAsAsked(prospect, weights);
  let best: Step = { trial: -1, minutes: act.minutes, money: act.money, total: act.total };
  // At the end of the view an unsure act stands for all that would follow.
  if (depth === 0) return best;
  let limit = allowed ? best.total : Infinity;
  prospect.trials.forEach((_, t) => {
    if (without.has(t)) return;
    const step = withTrial(prospect, weights, t, depth, before, without, limit);
    if (step && step.total < limit - 1e-9) [best, limit] = [step, step.total];
  });
  return best;
}

/** A trial first, then the best step on each of its outcomes; null as soon as it cannot be better than `limit`. */
export function withTrial(
  prospect: Prospect,
  weights: Float64Array,
  t: number,
  depth: number,
  before: Trial | null = null,
  without: ReadonlySet<number> = new Set(),
  limit = Infinity,
): Step | null {
  const { trials, costs } = prospect;
  const trial = trials[t];
  let mass = 0;
  for (let d = 0; d < weights.length; d++) mass += weights[d];
  const own = minutesAfter(trial, before) * mass;
  const spent: Step = { trial: t, minutes: own, money: 0, total: own * costs.perMinute };
  const rest = new Float64Array(weights.length);
  const done = new Set([...without, t]);
  for (let k = 0; k < trial.outcomes; k++) {
    if (spent.total >= limit) return null;
    if (leftAfter(weights, trial, k, rest) <= 1e-9 * mass) continue;
    const next = bestStep(prospect, rest, depth - 1, trial, done);
    spent.minutes += next.minutes;
    spent.money += next.money;
    spent.total += next.total;
  }
  return spent;
}
