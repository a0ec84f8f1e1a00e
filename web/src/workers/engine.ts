import { explain } from '@mellow-probe/core/verdict/assessment';
import { chartLines } from '@mellow-probe/core/verdict/chartLines';
import { proposeTests } from '@mellow-probe/core/advice/nextTest';
import { type Posterior, posteriorOf } from '@mellow-probe/core/inference/posterior';
import type { Problem } from '@mellow-probe/core/model/problem';
import { undecidedPairs } from '@mellow-probe/core/advice/separation';
import { withoutEach } from '@mellow-probe/core/verdict/withoutReading';
import { checkJob } from '@mellow-probe/core/job/checkJob';
import { priorFactors } from '@mellow-probe/core/job/priorFactors';
import { accessOf } from '@mellow-probe/core/kit/access';
import { proofRanges } from '@mellow-probe/core/proof/proofRanges';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import type { Advice, Engine, EngineAnswer } from './engineAnswer.ts';

let last: { job: Job; problem: Problem; posterior: Posterior } | null = null;

/** The engine itself; `engine.worker.ts` gives it to the page. */
export const engine: Engine = {
  judge(job): EngineAnswer {
    last = null;
    const { issues, problem } = checkJob(job);
    if (!problem) return { issues, result: null };
    const posterior = posteriorOf(problem);
    last = { job, problem, posterior };
    const assessment = explain(problem, posterior);
    const proofC = job.proof.temperatureC.value;
    return {
      issues,
      result: {
        assessment,
        chart: chartLines(problem, assessment),
        factors: priorFactors(job, problem.circuit),
        proofHealthy: proofC === null ? null : proofRanges(problem, proofC),
      },
    };
  },
  advise(): Advice | null {
    if (!last) return null;
    const access = accessOf(last.job.kit);
    return {
      proposals: proposeTests(last.problem, last.posterior, access),
      undecided: undecidedPairs(last.problem, last.posterior, access),
    };
  },
  withoutEach(job) {
    const { problem } = checkJob(job);
    return problem ? withoutEach(problem) : [];
  },
};
