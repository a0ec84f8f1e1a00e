import { explain } from '@mellow-probe/core/diagnosis/assessment';
import { chartLines } from '@mellow-probe/core/diagnosis/chartLines';
import { EVERYTHING_AT_HAND, proposeTests } from '@mellow-probe/core/diagnosis/nextTest';
import { posteriorOf } from '@mellow-probe/core/diagnosis/posterior';
import { checkJob } from '@mellow-probe/core/job/checkJob';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import * as Comlink from 'comlink';
import type { Engine, EngineAnswer } from './engineAnswer.ts';

const engine: Engine = {
  judge(job: Job): EngineAnswer {
    const { issues, problem } = checkJob(job);
    if (!problem) return { issues, result: null };
    const posterior = posteriorOf(problem);
    const assessment = explain(problem, posterior);
    return {
      issues,
      result: {
        assessment,
        proposals: proposeTests(problem, posterior, EVERYTHING_AT_HAND),
        chart: chartLines(problem, assessment),
      },
    };
  },
};

Comlink.expose(engine);
