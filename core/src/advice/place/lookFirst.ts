import type { Strand } from '../../circuit/network/placeWeights.ts';
import type { HintId } from '../../circuit/harness/hints.ts';
import { bestSplit, type SplitTask, startOf } from './halfSplit.ts';
import type { Look, HarnessReach } from './harnessReach.ts';

/** One outcome of looking or wiggling: its probability, what to note of the stop, and the likeliest place then. */
export interface LookOutcome {
  hint: HintId;
  probability: number;
  likeliest: number;
  share: number;
}

/** Something worth doing at a stop before any meter is put on there. */
export interface LookFirst {
  kind: Look['kind'];
  stop: number;
  minutes: number;
  /** Expected minutes that it saves of the whole search. */
  saves: number;
  outcomes: readonly [LookOutcome, LookOutcome];
}

/** It has to save so many minutes to be said. */
const WORTH_SAYING = 0.5;
/** Contacts less likely than this, within their strand, are not looked at first. */
const LEAST_SHARE = 0.05;

/**
 * What to look at or to wiggle before the next reading, where that shortens the search most; null where nothing does. Looking is a reading with two
 * outcomes that errs: how often each comes where the place is bad and where it is not follows from the weights of the hints (Bayes), and each leaves
 * the best order of readings after it. `without`: the expected minutes as it stands; `shares` by element, `weigh` sums them up to the places of the task.
 */
export function lookFirst(
  task: SplitTask,
  without: number,
  shares: readonly number[],
  weigh: (shares: readonly number[]) => number[],
  strand: Strand,
  { looks }: Pick<HarnessReach, 'looks'>,
): LookFirst | null {
  const total = shares.reduce((a, b) => a + b, 0);
  let best: LookFirst | null = null;
  for (const { kind, stop, outcomes } of looks) {
    const own = shares[2 * stop] / total;
    const [seen, not] = outcomes.map((o) => o[strand === 'leak' ? 'leak' : 'series']);
    if (!(own >= LEAST_SHARE) || !(seen > 1 && not < 1)) continue;
    const minutes = minutesAt(task, stop);
    // So often where the place is sound; `seen` times that where it is bad.
    const sound = (1 - not) / (seen - not);
    const chances = [sound * (1 - own + seen * own), 0];
    chances[1] = 1 - chances[0];
    const after = [seen, not].map((factor) => shares.map((s, e) => (e === 2 * stop ? s * factor : s)));
    const rest = after.map((list) => bestSplit({ ...task, weights: weigh(list) }).minutes);
    const saves = without - minutes - chances[0] * rest[0] - chances[1] * rest[1];
    if (saves < WORTH_SAYING || (best && saves <= best.saves + 1e-9)) continue;
    const outcome = (i: number): LookOutcome => {
      const top = Math.max(...after[i]);
      const all = after[i].reduce((a, b) => a + b, 0);
      return {
        hint: outcomes[i].hint,
        probability: chances[i],
        likeliest: after[i].indexOf(top),
        share: top / all,
      };
    };
    best = { kind, stop, minutes, saves, outcomes: [outcome(0), outcome(1)] };
  }
  return best;
}

/** To see a connector or to take hold of its loom takes this part of the minutes until its pins are bare. Common practice, no source. */
const WITHIN_SIGHT = 0.3;

/** Minutes of a look at a stop. */
function minutesAt(task: SplitTask, stop: number): number {
  const { here, opening, reach, minutes } = task;
  if (here === stop) return minutes.beside;
  const laidOpen = startOf(task).opened & (1 << opening[stop]);
  return minutes.beside + (laidOpen ? minutes.again : WITHIN_SIGHT * reach[stop]);
}
