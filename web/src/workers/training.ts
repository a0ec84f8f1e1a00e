import { readCaseNumber, type CaseNumberFault } from '@mellow-probe/core/training/cases/caseNumber';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { jobAfter, type Happened, type Move, type PlayState, replay } from '@mellow-probe/core/training/cases/play';
import { playBy, type Played } from '@mellow-probe/core/training/cases/policies';
import { type PlayResult, resultOf } from '@mellow-probe/core/training/cases/playRecord';
import { ruleOfThumb } from '@mellow-probe/core/training/cases/ruleOfThumb';
import {
  type Debrief,
  debriefOf,
  type Followed,
  follow,
  followFrom,
  tellable,
} from '@mellow-probe/core/training/cases/score';
import {
  type Cavity,
  guiltyGroups,
  trainingCase,
  type TrainingCase,
} from '@mellow-probe/core/training/cases/trainingCase';
import type { FaultGroup } from '@mellow-probe/core/base/units/vocabulary';
import { groupProbabilities } from '@mellow-probe/core/inference/verdict/assessment';
import { type TrueState, trueStateOf } from '@mellow-probe/core/training/cases/trueState';
import { cavitiesText } from '@mellow-probe/core/wording/trainingText';

/** A case as it is handed over: nothing of what is hidden. */
export interface Handed {
  number: string;
  job: Job;
  twoPlugs: boolean;
  costs: TrainingCase['costs'];
  allowed: TrainingCase['allowed'];
}

/** How far it has come, as the bench shows it. */
export interface Standing {
  state: PlayState;
  job: Job;
  /** What the cavities are, once the diagram was looked into. */
  cavities: readonly Cavity[] | null;
  cavitiesText: string;
}

/** What the tool would say now. */
export interface ToolSays {
  groups: { group: FaultGroup; probability: number }[];
}

/** The debrief with what was hidden. */
export interface Told extends Debrief {
  truth: TrueState;
  guilty: FaultGroup[];
  /** Part of the drawing where it was, and its name; null where nothing was wrong. */
  suspect: { part: string; name: string } | null;
  tellable: boolean;
  ideal: readonly Happened[];
  rule: { name: string; right: number; of: number } | null;
  result: PlayResult;
}

/** What a worker does for the training bench. Two of them run: one answers moves at once, one works out what the ideal would do. */
export interface TrainingWork {
  begin(text: string): { ok: true; handed: Handed } | { ok: false; why: CaseNumberFault };
  stand(number: string, moves: readonly Move[]): Standing;
  /** Works out the ideal play ahead of the end. */
  prepare(number: string): void;
  says(number: string, moves: readonly Move[]): ToolSays;
  debrief(number: string, moves: readonly Move[]): Told;
}

let made: TrainingCase | null = null;
let ideal: { number: string; played: Played } | null = null;
let followed: { number: string; moves: string[]; at: Followed } | null = null;

/** Throws on a text that is no case number: `begin` says so first. */
function caseOf(number: string): TrainingCase {
  if (made?.number !== number) {
    const read = readCaseNumber(number);
    if (!read.ok) throw new Error(`training: "${number}" is no case number (${read.why})`);
    made = trainingCase(read.key);
  }
  return made;
}

function idealOf(number: string): Played {
  if (ideal?.number !== number) ideal = { number, played: playBy(caseOf(number), 'ideal') };
  return ideal.played;
}

/** Follows the moves; only what is new since the last call is worked out. */
function followedTo(number: string, moves: readonly Move[]): Followed {
  const texts = moves.map((m) => JSON.stringify(m));
  const goesOn = followed?.number === number && followed.moves.every((text, i) => text === texts[i]);
  let at = goesOn ? followed!.at : followFrom(caseOf(number));
  for (const move of moves.slice(goesOn ? followed!.moves.length : 0)) at = follow(caseOf(number), at, move);
  followed = { number, moves: texts, at };
  return at;
}

export const trainingWork: TrainingWork = {
  begin(text) {
    const read = readCaseNumber(text);
    if (!read.ok) return read;
    const { number, job, other, costs, allowed } = caseOf(read.number);
    return { ok: true, handed: { number, job, twoPlugs: other !== null, costs, allowed } };
  },
  stand(number, moves) {
    const ofCase = caseOf(number);
    const state = replay(ofCase, moves);
    const known = state.knowsCavities ? ofCase.cavities : null;
    return { state, job: jobAfter(ofCase, state), cavities: known, cavitiesText: known ? cavitiesText(ofCase) : '' };
  },
  prepare: (number) => void idealOf(number),
  says(number, moves) {
    return { groups: groupProbabilities(followedTo(number, moves).posterior.faults) };
  },
  debrief(number, moves) {
    const ofCase = caseOf(number);
    const played = idealOf(number);
    const told = debriefOf(ofCase, followedTo(number, moves), played);
    const [first] = ofCase.machine.faults;
    return {
      ...told,
      truth: trueStateOf(ofCase),
      guilty: guiltyGroups(ofCase),
      suspect: (first as typeof first | undefined) ? { part: first.fault.part, name: first.fault.name } : null,
      tellable: tellable(played),
      ideal: played.state.events,
      rule: ruleOfThumb(told.score.school, ofCase.key),
      result: resultOf(ofCase, told),
    };
  },
};
