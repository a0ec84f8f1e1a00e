import type { Assessment } from '@mellow-probe/core/verdict/assessment';
import type { ChartLines } from '@mellow-probe/core/verdict/chartLines';
import type { Interval } from '@mellow-probe/core/numeric/interval';
import type { Proposal } from '@mellow-probe/core/advice/nextTest';
import type { Undecided } from '@mellow-probe/core/advice/separation';
import type { WithoutReading } from '@mellow-probe/core/verdict/withoutReading';
import type { Issue } from '@mellow-probe/core/job/fieldIssue';
import type { PriorFactor } from '@mellow-probe/core/job/priorFactors';
import type { Job } from '@mellow-probe/core/job/jobSchema';

/** What the engine says of a job; `result` is null while the circuit itself is incomplete. */
export interface EngineAnswer {
  issues: Issue[];
  result: {
    assessment: Assessment;
    chart: ChartLines;
    /** What moved the odds before any reading. */
    factors: PriorFactor[];
    /** 95 % ranges of the repaired circuit at the temperature of the proof, by measurement; null while there is none. */
    proofHealthy: Record<string, Interval> | null;
  } | null;
}

/** What to measure next; computed after the verdict, so that the verdict need not wait for it. */
export interface Advice {
  proposals: Proposal[];
  undecided: Undecided[];
}

/** The verdict engine behind the page: a job in, everything the bench shows out. */
export interface Engine {
  judge(job: Job): EngineAnswer;
  /** Of the job judged last; null when its circuit was incomplete. */
  advise(): Advice | null;
  /** How much hangs on each reading of this job; empty when its circuit is incomplete. */
  withoutEach(job: Job): WithoutReading[];
}
