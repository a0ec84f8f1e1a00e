import { DRAWN_TESTS } from '../simulation/drawnFrom.ts';
import { candidateTests, presentNow, proposalsFor } from '../../advice/nextTest/nextTest.ts';
import { schoolOrder, SCHOOLS } from '../../advice/nextTest/schools.ts';
import { type Posterior, posteriorOf } from '../../inference/posterior/posterior.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import type { Problem } from '../../inference/model/problem.ts';
import type { FaultGroup, MachineState } from '../../base/units/vocabulary.ts';
import { groupProbabilities } from '../../inference/verdict/assessment.ts';
import { after, carefully, conditionsSchema, type Move, type PlayState, problemAfter, replay } from './play.ts';
import { bridges, doneIn, rightSetUp } from './setUp.ts';
import { guiltyGroups, type TrainingCase } from './trainingCase.ts';

/** A way to play a case: by expected information, by a school of the trade, or by changing the sensor first. */
export const POLICIES = ['ideal', ...SCHOOLS.map((s) => s.id), 'swap-first'] as const;

/** Words of a policy. */
export function policyName(id: string): string {
  if (id === 'ideal') return 'The ideal order';
  return id === 'swap-first' ? 'Change the sensor first' : (SCHOOLS.find((s) => s.id === id)?.name ?? id);
}

/** A group this probable is put right without a further test. */
export const SURE = 0.95;
/** Tests after which nobody goes on. */
const MOST_TESTS = 24;
/** Sound as found, so probable that what is complained of must be looked for in another state of the machine. */
const SOUND_SO_FAR = 0.5;

/** One play of a policy to its end, set up rightly throughout. */
export interface Played {
  moves: Move[];
  state: PlayState;
  /** The first thing that was done about it, and how probable that was held. */
  first: { group: FaultGroup; probability: number } | null;
  /** Did it reach `SURE`? */
  sure: boolean;
}

/** Plays a case by a policy. Deterministic; throws on a policy that is not in the list. */
export function playBy(ofCase: TrainingCase, policy: string): Played {
  if (!POLICIES.includes(policy)) throw new Error(`playBy: no policy "${policy}"`);
  const moves: Move[] = [];
  let state = replay(ofCase, []);
  let first: Played['first'] = null;
  let sure = false;
  const make = (move: Move): void => {
    moves.push(move);
    state = after(ofCase, state, move);
  };
  if (policy === 'swap-first') {
    const told = leadersOf(posteriorOf(problemAfter(ofCase, state)), state);
    first = told.find((g) => g.group === 'sensor')!;
    make({ kind: 'act', group: 'sensor', reason: policyName(policy) });
  }
  for (let tests = 0; !state.ended;) {
    const problem = problemAfter(ofCase, state);
    const posterior = posteriorOf(problem);
    const [leader] = leadersOf(posterior, state);
    const inOther = otherState(ofCase, problem, posterior, leader);
    const certain = problem.readings.length > 0 && leader.probability >= SURE && inOther === null;
    const test = certain || tests >= MOST_TESTS ? null : nextTest(policy, ofCase, problem, posterior, inOther);
    if (test) {
      tests++;
      for (const move of preparing(ofCase, state, test)) make(move);
      make(measure(ofCase, test, `t${moves.length}`));
      continue;
    }
    first ??= { group: leader.group, probability: leader.probability };
    sure ||= certain && first.group === leader.group;
    // One of the groups that are left is at fault: it heals before they run out.
    make({ kind: 'act', group: leader.group, reason: policyName(policy) });
  }
  return { moves, state, first, sure };
}

/** The groups that are left, likeliest first, and how likely they are among themselves. */
export function leadersOf(
  posterior: Posterior,
  { mended, since }: PlayState,
): { group: FaultGroup; probability: number }[] {
  // What was put right in vain is not at fault; what was put right and helped is sound now.
  const open = groupProbabilities(posterior.faults).filter(
    (g) => !mended.includes(g.group) && !(g.group === 'healthy' && since > 0),
  );
  const total = open.reduce((sum, g) => sum + g.probability, 0);
  return open.map((g) => ({ ...g, probability: total > 0 ? g.probability / total : 1 / open.length }));
}

/** The state in which to look now, where all is sound so far and the complaint says that it comes with heat, or with movement. */
function otherState(
  { told }: TrainingCase,
  { readings }: Problem,
  { faults }: Posterior,
  leader: { group: FaultGroup; probability: number },
): MachineState | null {
  const state = told === 'hot' ? 'hot' : told === 'wiggle' ? 'wiggling' : null;
  if (state === null || readings.length === 0) return null;
  if (readings.some((r) => r.state === state)) return leader.probability >= SURE ? null : state;
  return 1 - presentNow(faults) >= SOUND_SO_FAR ? state : null;
}

function nextTest(
  policy: string,
  ofCase: TrainingCase,
  problem: Problem,
  posterior: Posterior,
  inOther: MachineState | null,
): PlannedTest | null {
  const { access } = ofCase;
  const now: MachineState = inOther ?? 'steady';
  const fresh = !problem.readings.some((r) => r.state === now);
  // In another state the display says at once whether it is there now.
  if (now !== 'steady' && fresh) return { measurement: measurementById('displayed'), conditions: {}, state: now };
  const possible = candidateTests(problem, access, now).filter(
    (t) => DRAWN_TESTS.includes(t.measurement) && doneIn(t.measurement, now),
  );
  if (policy === 'ideal' || now !== 'steady') {
    const [best] = proposalsFor(problem, posterior, access, possible, 1);
    return best ? { measurement: measurementById(best.measurement), conditions: best.conditions, state: now } : null;
  }
  const school = SCHOOLS.find((s) => s.id === policy) ?? SCHOOLS[0];
  for (const id of schoolOrder(school)) {
    const test = possible.find((t) => t.measurement.id === id);
    if (test) return test;
  }
  return null;
}

/** What has to be done before a test: find out which plug, which cavities; warm the machine. */
function preparing(ofCase: TrainingCase, state: PlayState, { measurement, state: now }: PlannedTest): Move[] {
  const done = state.events.map((e) => e.move.kind);
  const plugs = measurement.setup !== 'scan' && ofCase.other !== null && !done.includes('which-plug');
  return [
    ...(plugs ? [{ kind: 'which-plug' as const, at: 'A' as const }] : []),
    ...(bridges(measurement) && !state.knowsCavities ? [{ kind: 'diagram' as const }] : []),
    ...(now === 'hot' && !state.warm ? [{ kind: 'warm' as const }] : []),
  ];
}

function measure(ofCase: TrainingCase, { measurement, conditions, state }: PlannedTest, id: string): Move {
  return {
    kind: 'measure',
    id,
    measurement: measurement.id,
    // As a person writes them down: how well they are known goes without saying.
    conditions: conditionsSchema.strip().parse(conditions),
    setUp: rightSetUp(measurement, carefully(ofCase, state)),
    expects: null,
  };
}

/** Was the first thing that was done the right one? */
export const wasRight = (ofCase: TrainingCase, { first }: Played): boolean =>
  first !== null && guiltyGroups(ofCase).includes(first.group);
