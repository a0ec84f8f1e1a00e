import type { Assessment } from '@mellow-probe/core/diagnosis/assessment';
import type { ChartLines } from '@mellow-probe/core/diagnosis/chartLines';
import type { Proposal } from '@mellow-probe/core/diagnosis/nextTest';
import type { Issue } from '@mellow-probe/core/job/checkJob';
import type { Job } from '@mellow-probe/core/job/jobSchema';

/** What the engine says of a job; `result` is null while the circuit itself is incomplete. */
export interface EngineAnswer {
  issues: Issue[];
  result: { assessment: Assessment; proposals: Proposal[]; chart: ChartLines } | null;
}

/** The verdict engine behind the page: a job in, everything the bench shows out. */
export interface Engine {
  judge(job: Job): EngineAnswer;
}
