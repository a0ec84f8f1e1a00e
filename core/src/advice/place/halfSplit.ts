/**
 * Where to look next along a chain, so that the place is known in the least expected time. Places lie in a row; a cut between two of them can be read
 * at a stop, and the reading says on which side the bad place is. Getting at a stop costs its minutes once; stops of one opening are laid open together.
 */
export interface SplitTask {
  /** Probability of each place, in order, any scale. */
  weights: readonly number[];
  /** Where a reading can be taken: before place `before`, standing at `stop`. */
  cuts: readonly { before: number; stop: number }[];
  /** Minutes until one can measure at each stop for the first time, and which are laid open in one go. */
  reach: readonly number[];
  opening: readonly number[];
  /** Stops that are open already, and where the technician stands (−1: at none of them). */
  open: readonly boolean[];
  here: number;
  minutes: SplitMinutes;
  /** A place this likely is known. */
  sure: number;
}

export interface SplitMinutes {
  /** A reading at a stop one stands at, beyond the first there. */
  beside: number;
  /** Leads put on at a stop, its reading included. */
  probe: number;
  /** Back to a stop that is open already. */
  again: number;
}

/** Common practice, no source: leads moved, leads put on, a walk back. */
export const USUAL_MINUTES: SplitMinutes = { beside: 1, probe: 2, again: 1 };

/** Picks the next cut of those that lie inside [low, high); −1 where the place is known or no cut is left. */
export type SplitRule = (task: SplitTask, at: SplitState) => number;

export interface SplitState {
  low: number;
  high: number;
  /** One bit for each opening that is laid open. */
  opened: number;
  here: number;
}

/** Where a task starts: everything possible. */
export function startOf(task: SplitTask): SplitState {
  const opened = task.open.reduce((mask, open, stop) => (open ? mask | (1 << task.opening[stop]) : mask), 0);
  return { low: 0, high: task.weights.length, opened, here: task.here };
}

/** Minutes of reading a cut from this state. */
export function minutesFor(
  { cuts, reach, opening, minutes }: SplitTask,
  cut: number,
  { opened, here }: SplitState,
): number {
  const { stop } = cuts[cut];
  if (stop === here) return minutes.beside;
  return minutes.probe + (opened & (1 << opening[stop]) ? minutes.again : reach[stop]);
}

/** The state after a cut was read and the bad place lies before or beyond it. */
export function after({ cuts, opening }: SplitTask, cut: number, at: SplitState, beyond: boolean): SplitState {
  const { before, stop } = cuts[cut];
  return {
    low: beyond ? before : at.low,
    high: beyond ? at.high : before,
    opened: at.opened | (1 << opening[stop]),
    here: stop,
  };
}

const sumOf = (weights: readonly number[], from: number, to: number): number => {
  let sum = 0;
  for (let i = from; i < to; i++) sum += weights[i];
  return sum;
};

function isKnown({ weights, sure }: SplitTask, { low, high }: SplitState): boolean {
  const total = sumOf(weights, low, high);
  if (!(total > 0)) return true;
  for (let i = low; i < high; i++) if (weights[i] >= sure * total) return true;
  return false;
}

const isInside = ({ cuts }: SplitTask, cut: number, { low, high }: SplitState): boolean =>
  cuts[cut].before > low && cuts[cut].before < high;

/** The cuts that would still tell something. */
export function cutsLeft(task: SplitTask, at: SplitState): number[] {
  if (isKnown(task, at)) return [];
  return task.cuts.map((_, cut) => cut).filter((cut) => isInside(task, cut, at));
}

/** Probability that the bad place lies beyond a cut. */
export function chanceBeyond({ weights, cuts }: SplitTask, cut: number, { low, high }: SplitState): number {
  return sumOf(weights, cuts[cut].before, high) / sumOf(weights, low, high);
}

/** Expected minutes until the place is known, by a rule, from a state, if readings never lie. */
export function expectedMinutes(task: SplitTask, rule: SplitRule, at = startOf(task)): number {
  const cut = rule(task, at);
  if (cut < 0) return 0;
  const beyond = chanceBeyond(task, cut, at);
  const rest = (side: boolean, chance: number): number =>
    chance > 0 ? chance * expectedMinutes(task, rule, after(task, cut, at, side)) : 0;
  return minutesFor(task, cut, at) + rest(true, beyond) + rest(false, 1 - beyond);
}

/**
 * The order with the least expected minutes of all there are: dynamic programming over what is left of the chain, what is open and where one stands
 * (Bellman 1957; with equal weights and minutes it is the binary search).
 */
export function bestSplit(task: SplitTask): { rule: SplitRule; minutes: number } {
  const known = new Map<number, { minutes: number; cut: number }>();
  const solve = (at: SplitState): { minutes: number; cut: number } => {
    const key = ((at.low * 64 + at.high) * 1024 + at.opened) * 16 + at.here + 1;
    const found = known.get(key);
    if (found) return found;
    let best = { minutes: 0, cut: -1 };
    for (const cut of cutsLeft(task, at)) {
      const beyond = chanceBeyond(task, cut, at);
      let minutes = minutesFor(task, cut, at);
      if (beyond > 0) minutes += beyond * solve(after(task, cut, at, true)).minutes;
      if (beyond < 1) minutes += (1 - beyond) * solve(after(task, cut, at, false)).minutes;
      if (best.cut < 0 || minutes < best.minutes - 1e-9) best = { minutes, cut };
    }
    known.set(key, best);
    return best;
  };
  return { rule: (_, at) => solve(at).cut, minutes: solve(startOf(task)).minutes };
}

/** From the sensor plug towards the module, one cut after the other. */
export const endToEnd: SplitRule = (task, at) => pick(task, at, (cut) => -task.cuts[cut].before);

/** Always the cut in the middle of the places that are left, whatever they weigh or cost. */
export const alwaysMiddle: SplitRule = (task, at) =>
  pick(task, at, (cut) => Math.abs(task.cuts[cut].before - (at.low + at.high) / 2));

function pick(task: SplitTask, at: SplitState, dearness: (cut: number) => number): number {
  const left = cutsLeft(task, at);
  if (left.length === 0) return -1;
  return left.reduce((a, b) => (dearness(b) < dearness(a) ? b : a));
}
