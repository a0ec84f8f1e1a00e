import { type Proposal, proposalsFor, proposeTests } from '../../advice/nextTest/nextTest.ts';
import { type Posterior, posteriorOf } from '../../inference/posterior/posterior.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { FaultGroup } from '../../base/units/vocabulary.ts';
import { groupProbabilities } from '../../inference/verdict/assessment.ts';
import { after, type Happened, type Move, type PlayState, problemAfter, replay } from './play.ts';
import { type Played, SURE } from './policies.ts';
import { schoolFollowed } from './schoolFollowed.ts';
import { guiltyGroups, type TrainingCase } from './trainingCase.ts';

/** One move of a finished play, held against what the ideal knew at that moment. */
export interface DebriefStep {
  event: Happened;
  /** Probability of each group before and after, by all readings of the bench until then. */
  before: { group: FaultGroup; probability: number }[];
  after: { group: FaultGroup; probability: number }[];
  /** Of a measurement: what it could be expected to tell, with its outcomes; null where it was taken before, or was no test. */
  test: Proposal | null;
  /** The best test at that moment; null where none told anything any more, or enough was known. */
  best: Proposal | null;
  /** Bits a minute given away against the best test; 0 where it was the best. */
  lost: number;
  /** Bits by which it raised the group that is at fault (negative: it misled); null where it was no measurement. */
  won: number | null;
}

/** What a play was worth. Minutes, and money; `total` is both in money. */
export interface PlayScore {
  minutes: number;
  money: number;
  total: number;
  ideal: { minutes: number; money: number; total: number; tests: number };
  /** What it cost above the ideal order on the same case; below 0 where luck was with the learner. */
  regret: { minutes: number; money: number; total: number };
  /** Was the first thing done about it the right one (or "cannot be told" where it cannot)? Null where nothing was done. */
  right: boolean | null;
  healed: boolean;
  tests: number;
  /** Bits won about the group at fault, for a minute of measuring. */
  wonPerMinute: number;
  /** Repairs that did not help. */
  unneeded: FaultGroup[];
  /** Cautions passed over, and readings taken wrongly. */
  careless: number;
  mistakes: number;
  /** Over what the customer allowed? */
  over: { minutes: boolean; money: boolean };
  /** Mean −ln of the probability the learner gave to what was at fault; null where he never said. */
  logScore: number | null;
  /** What he gave to the group he held likeliest, and whether that was it: a point each of his curve. */
  said: { probability: number; right: boolean }[];
  /** The school whose order he followed, by id; null where none. */
  school: string | null;
  /** Event after which it could have been known, by all that was read until then; null where never. */
  knownAt: number | null;
}

export interface Debrief {
  score: PlayScore;
  steps: DebriefStep[];
}

/** Could the case be told with the tools given? The ideal order came to a safe verdict, and it was right. */
export const tellable = (ideal: Played): boolean => ideal.sure;

/** Least probability in a logarithmic score: who says "never" and is wrong pays for one in a thousand. */
const LEAST = 1e-3;

/** A play that is followed move by move, so that its debrief is there when it ends. */
export interface Followed {
  state: PlayState;
  posterior: Posterior;
  steps: readonly DebriefStep[];
}

/** A case of which nothing is done yet. */
export function followFrom(ofCase: TrainingCase): Followed {
  const state = replay(ofCase, []);
  return { state, posterior: posteriorOf(problemAfter(ofCase, state)), steps: [] };
}

/** One move further; a move after the end changes nothing. Takes one ranking. */
export function follow(ofCase: TrainingCase, followed: Followed, move: Move): Followed {
  const { state, posterior, steps } = followed;
  if (state.ended) return followed;
  const next = after(ofCase, state, move);
  const changes = ['measure', 'look', 'act', 'warm'].includes(move.kind) && !next.ended;
  const then = changes ? posteriorOf(problemAfter(ofCase, next)) : posterior;
  return { state: next, posterior: then, steps: [...steps, stepOf(ofCase, state, next, posterior, then)] };
}

/** The debrief of a play that was followed to its end. */
export function debriefOf(ofCase: TrainingCase, { state, steps }: Followed, ideal: Played): Debrief {
  return { score: scoreOf(ofCase, state, steps, ideal), steps: [...steps] };
}

/** The whole debrief of a play in one go. Deterministic. */
export function debrief(ofCase: TrainingCase, moves: readonly Move[], ideal: Played): Debrief {
  return debriefOf(
    ofCase,
    moves.reduce((followed, move) => follow(ofCase, followed, move), followFrom(ofCase)),
    ideal,
  );
}

/** What these groups have together. */
const shareOf = (list: DebriefStep['before'], groups: readonly FaultGroup[]): number =>
  list.reduce((sum, g) => sum + (groups.includes(g.group) ? g.probability : 0), 0);

function stepOf(
  ofCase: TrainingCase,
  state: PlayState,
  next: PlayState,
  before: Posterior,
  then: Posterior,
): DebriefStep {
  const guilty = guiltyGroups(ofCase);
  const event = next.events[next.events.length - 1];
  const step = {
    event,
    before: groupProbabilities(before.faults),
    after: groupProbabilities(then.faults),
  };
  if (event.move.kind !== 'measure') return { ...step, test: null, best: null, lost: 0, won: null };
  const { measurement: id, conditions, setUp } = event.move;
  const problem = problemAfter(ofCase, state);
  const planned = { measurement: measurementById(id), conditions, state: setUp.state };
  const repeated = problem.readings.some(
    (r) =>
      r.measurement === id && r.state === setUp.state && JSON.stringify(r.conditions) === JSON.stringify(conditions),
  );
  const [test = null] = repeated ? [] : proposalsFor(problem, before, ofCase.access, [planned], 1, -1);
  const known = step.before[0].probability >= SURE && problem.readings.length > 0;
  const [best = null] = known ? [] : proposeTests(problem, before, ofCase.access, 1, setUp.state);
  const lost = best ? Math.max(0, best.bitsPerCost - (test?.bitsPerCost ?? 0)) : 0;
  const won = event.shown?.text
    ? Math.log2(Math.max(shareOf(step.after, guilty), LEAST) / Math.max(shareOf(step.before, guilty), LEAST))
    : 0;
  return { ...step, test, best, lost, won };
}

function scoreOf(ofCase: TrainingCase, state: PlayState, steps: readonly DebriefStep[], ideal: Played): PlayScore {
  const guilty = guiltyGroups(ofCase);
  const { minutes, money, total, ended } = state;
  const acts = steps.flatMap(({ event }) => (event.move.kind === 'act' ? [{ ...event, group: event.move.group }] : []));
  const beliefs = steps.flatMap(({ event }) => (event.move.kind === 'believe' ? [event.move.shares] : []));
  const measured = steps.filter((s) => s.won !== null);
  const measuring = measured.reduce((sum, s) => sum + s.event.minutes, 0);
  const knownAt = steps.findIndex((s) => s.won !== null && shareOf(s.after, guilty) >= SURE);
  const idealTests = ideal.moves.filter((m) => m.kind === 'measure').length;
  return {
    ...{ minutes, money, total },
    ideal: { minutes: ideal.state.minutes, money: ideal.state.money, total: ideal.state.total, tests: idealTests },
    regret: {
      minutes: minutes - ideal.state.minutes,
      money: money - ideal.state.money,
      total: total - ideal.state.total,
    },
    right: firstRight(acts, ended, ideal),
    healed: ended === 'healed',
    tests: measured.length,
    wonPerMinute: measuring > 0 ? measured.reduce((sum, s) => sum + s.won!, 0) / measuring : 0,
    unneeded: acts.filter((a) => a.helped === 'no').map((a) => a.group),
    careless: steps.filter((s) => s.event.careless !== null).length,
    mistakes: steps.filter((s) => (s.event.shown?.mistakes.length ?? 0) > 0).length,
    over: { minutes: minutes > ofCase.allowed.minutes, money: total > ofCase.allowed.money },
    logScore:
      beliefs.length === 0
        ? null
        : beliefs.reduce((sum, shares) => sum - Math.log(Math.max(LEAST, givenTo(shares, guilty))), 0) / beliefs.length,
    said: beliefs.map((shares) => pointOf(shares, guilty)),
    school: schoolFollowed(state.events.map((e) => e.move)),
    knownAt: knownAt < 0 ? null : knownAt,
  };
}

function firstRight(
  acts: readonly { helped: Happened['helped'] }[],
  ended: PlayState['ended'],
  ideal: Played,
): boolean | null {
  if (acts.length > 0) return acts[0].helped !== 'no';
  return ended === 'cannot-tell' ? !tellable(ideal) : null;
}

type Shares = Partial<Record<FaultGroup, number>>;

const givenTo = (shares: Shares, groups: readonly FaultGroup[]): number =>
  groups.reduce((sum, g) => sum + (shares[g] ?? 0), 0);

function pointOf(shares: Shares, guilty: readonly FaultGroup[]): PlayScore['said'][number] {
  const [group, probability] = (Object.entries(shares) as [FaultGroup, number][]).reduce((a, b) =>
    b[1] > a[1] ? b : a,
  );
  return { probability, right: guilty.includes(group) };
}
