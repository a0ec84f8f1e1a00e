import type { Proposal } from '@mellow-probe/core/advice/nextTest/nextTest';
import type { TwoFaults } from '@mellow-probe/core/advice/nextTest/twoFaults';
import type { Undecided } from '@mellow-probe/core/advice/nextTest/separation';
import type { Issue } from '@mellow-probe/core/check/job/fieldIssue';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { PriorFactor } from '@mellow-probe/core/inference/model/priorFactor';
import type { Interval } from '@mellow-probe/core/base/numeric/interval';
import type { Assessment } from '@mellow-probe/core/inference/verdict/assessment';
import type { ChartLines } from '@mellow-probe/core/inference/verdict/chartLines';
import type { Remaining } from '@mellow-probe/core/advice/plan/remaining';
import type { PlaceAdvice } from '@mellow-probe/core/advice/place/placeAdvice';
import type { Plan, Ways } from '@mellow-probe/core/advice/plan/planOf';
import type { CourseStep } from '@mellow-probe/core/inference/verdict/verdictCourse';
import type { WithoutReading } from '@mellow-probe/core/inference/verdict/withoutReading';

/** What the engine says of a job; `result` is null while the circuit itself is incomplete. */
export interface EngineAnswer {
  issues: Issue[];
  result: {
    assessment: Assessment;
    /** What moved the odds before any reading. */
    factors: PriorFactor[];
    /** 95 % ranges of the repaired circuit at the temperature of the proof, by measurement; null while there is none. */
    proofHealthy: Record<string, Interval> | null;
  } | null;
}

/** What to measure next. */
export interface Advice {
  proposals: Proposal[];
  undecided: Undecided[];
  /** The groups that the readings leave open, with what each repair costs; none where the verdict is decided. */
  remaining: Remaining[];
  /** The group that leads, with what its repair costs. */
  leading: Remaining;
  /** Where on the way it lies, and where to look next. */
  where: PlaceAdvice;
  /** What the ways to go on cost, where the job is worked by least expected cost; else null. */
  plan: Ways | null;
}

/** The parts of an answer, in the order in which they come: the verdict need not wait for the others. */
export type Part =
  | { kind: 'verdict'; answer: EngineAnswer }
  | { kind: 'chart'; chart: ChartLines | null }
  | { kind: 'advice'; advice: Advice | null }
  /** Still at work on the pairs: is the answer still wanted? */
  | { kind: 'working' }
  | { kind: 'pairs'; two: TwoFaults };

/** The verdict engine behind the page: a job in, everything the bench shows out. From one question to the next it remembers only what a sound circuit would show. */
export interface Engine {
  /** Tells part after part; stops where `tell` says that the answer is no longer wanted. `chart`: are charts being shown? */
  judge(job: Job, chart: boolean, tell: (part: Part) => boolean | Promise<boolean>): Promise<void>;
  /** How much hangs on each reading of this job; empty when its circuit is incomplete. */
  withoutEach(job: Job): WithoutReading[];
  /** How the verdict moved, reading by reading; nothing while the circuit is not complete. */
  course(job: Job): CourseStep[];
  /** What to act, test on or stop is expected to cost; null while the circuit is not complete. */
  plan(job: Job): Plan | null;
}
