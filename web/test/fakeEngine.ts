import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { EngineAnswer, Part } from '../src/workers/engineAnswer.ts';
import type { EngineLine } from '../src/workers/engineClient.ts';

/** One question, with the ends in the test's hands. */
export interface Asked {
  job: Job;
  chart: boolean;
  tell: (part: Part) => boolean;
  done: () => void;
  fail: (error: unknown) => void;
}

/** An engine whose parts come when the test says. What it answers names the figures it was asked about. */
export function fakeEngine() {
  const asked: Asked[] = [];
  const line: EngineLine = {
    judge: (job, chart, tell) => new Promise((done, fail) => asked.push({ job, chart, tell, done, fail })),
    withoutEach: () => Promise.resolve([]),
    course: () => Promise.resolve([]),
    plan: () => Promise.resolve(null),
  };
  const verdict = (job: Job): Part => ({
    kind: 'verdict',
    answer: { issues: [], result: { of: job } as unknown as EngineAnswer['result'] },
  });
  const advice = (job: Job): Part => ({ kind: 'advice', advice: { proposals: [], undecided: [], of: job } as never });
  return { line, asked, verdict, advice };
}
