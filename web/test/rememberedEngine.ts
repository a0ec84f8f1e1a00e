import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { Engine, Part } from '../src/workers/engineAnswer.ts';

/**
 * The real engine, asked the same question once: many tests open the same checks, and computing a check costs more than showing it. An answer
 * that was stopped on the way is not kept. Each listener gets a copy, as from a worker.
 */
export function rememberedEngine(engine: Engine): Pick<Engine, 'judge'> {
  const answers = new Map<string, Part[]>();
  return {
    async judge(job: Job, chart, tell) {
      const question = JSON.stringify([job, chart]);
      const known = answers.get(question);
      if (known) {
        for (const part of known) if (!(await tell(structuredClone(part)))) return;
        return;
      }
      const parts: Part[] = [];
      let wanted: boolean = true;
      await engine.judge(job, chart, async (part) => {
        parts.push(part);
        wanted = await tell(structuredClone(part));
        return wanted;
      });
      if (wanted) answers.set(question, parts);
    },
  };
}
