import { proposeTests } from '@mellow-probe/core/advice/nextTest/nextTest';
import { twoFaultSteps } from '@mellow-probe/core/advice/nextTest/twoFaults';
import { undecidedPairs } from '@mellow-probe/core/advice/nextTest/separation';
import { posteriorOf } from '@mellow-probe/core/inference/posterior/posterior';
import { checkJob, thermometerTold } from '@mellow-probe/core/check/job/checkJob';
import { outlookOf } from '@mellow-probe/core/check/job/outlookOf';
import { priorFactors } from '@mellow-probe/core/check/job/priorFactors';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { rememberedRanges } from '@mellow-probe/core/inference/model/rememberedRanges';
import { cheapestFirst, LEAST_COST } from '@mellow-probe/core/advice/plan/cheapestFirst';
import { leadingGroup, remainingGroups } from '@mellow-probe/core/advice/plan/remaining';
import { optionsOf, planOf } from '@mellow-probe/core/advice/plan/planOf';
import { proofRanges } from '@mellow-probe/core/check/proof/proofRanges';
import { explain } from '@mellow-probe/core/inference/verdict/assessment';
import { chartLines } from '@mellow-probe/core/inference/verdict/chartLines';
import { courseOf } from '@mellow-probe/core/inference/verdict/verdictCourse';
import { withoutEach } from '@mellow-probe/core/inference/verdict/withoutReading';
import type { Engine } from './engineAnswer.ts';

/** Tests that are proposed. */
const SHOWN = 3;
const ranges = rememberedRanges();
/** All that a sound circuit's readings depend on. */
const circuitKey = (job: Job): string => JSON.stringify([job.circuit, job.kit, job.moments]);

/** The engine itself; `engine.worker.ts` gives it to the page. */
export const engine: Engine = {
  async judge(job, chart, tell) {
    const { issues, problem } = checkJob(job);
    if (!problem) {
      await tell({ kind: 'verdict', answer: { issues, result: null } });
      return;
    }
    const posterior = posteriorOf(problem);
    const assessment = explain(problem, posterior, (_, tests) => ranges(circuitKey(job), problem, tests));
    const proofAt = thermometerTold(job.proof.temperatureC, job.kit);
    const result = {
      assessment,
      factors: priorFactors(job, problem.circuit),
      proofHealthy: proofAt && proofRanges(problem, proofAt),
    };
    if (!(await tell({ kind: 'verdict', answer: { issues, result } }))) return;
    if (chart && !(await tell({ kind: 'chart', chart: chartLines(problem, assessment) }))) return;
    const { where, access, costs } = outlookOf(job, posterior);
    const plan = job.school === LEAST_COST ? optionsOf(posterior, access, costs) : null;
    const proposals = plan
      ? cheapestFirst(proposeTests(problem, posterior, access, Infinity), plan).slice(0, SHOWN)
      : proposeTests(problem, posterior, access, SHOWN);
    const advice = {
      proposals,
      undecided: undecidedPairs(problem, posterior, access),
      remaining: remainingGroups(posterior, costs),
      leading: leadingGroup(posterior, costs),
      where,
      plan,
    };
    if (!(await tell({ kind: 'advice', advice }))) return;
    const steps = twoFaultSteps(problem, posterior, assessment, access);
    let step = steps.next();
    while (!step.done) {
      if (!(await tell({ kind: 'working' }))) return;
      step = steps.next();
    }
    if (step.value) await tell({ kind: 'pairs', two: step.value });
  },
  withoutEach(job) {
    const { problem } = checkJob(job);
    return problem ? withoutEach(problem) : [];
  },
  plan(job) {
    const { problem } = checkJob(job);
    if (!problem) return null;
    const posterior = posteriorOf(problem);
    const { access, costs } = outlookOf(job, posterior);
    return planOf(posterior, access, costs);
  },
  course(job) {
    const { problem } = checkJob(job);
    return problem ? courseOf(problem) : [];
  },
};
