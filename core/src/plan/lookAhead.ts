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
 * weighed: nothing is drawn by lot, so it is the same on every run. `without`: trials done already.
 */
export function bestStep(
  prospect: Prospect,
  weights: Float64Array,
  depth: number,
  before: Trial | null = null,
  without: ReadonlySet<number> = new Set(),
): Step {
  const act = actOn(prospect, weights);
  let best: Step = { trial: -1, minutes: act.minutes, money: act.money, total: act.total };
  if (depth === 0) return best;
  prospect.trials.forEach((_, t) => {
    if (without.has(t)) return;
    const step = withTrial(prospect, weights, t, depth, before, without, best.total);
    if (step && step.total < best.total - 1e-9) best = step;
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
