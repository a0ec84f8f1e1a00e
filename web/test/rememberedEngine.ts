import type { Engine, Part } from '../src/workers/engineAnswer.ts';

/**
 * An engine that computes each question once: many tests open the same checks, and computing a check costs more than showing it. An answer that was
 * stopped on the way is not remembered. Each listener gets a copy, as from a worker.
 */
export function remembered(judge: Engine['judge']): Engine['judge'] {
  const answers = new Map<string, Part[]>();
  return async (job, chart, tell) => {
    const question = JSON.stringify([job, chart]);
    const known = answers.get(question);
    if (known) {
      for (const part of known) if (!(await tell(structuredClone(part)))) return;
      return;
    }
    const parts: Part[] = [];
    let wanted = true;
    await judge(job, chart, async (part) => {
      parts.push(part);
      return (wanted = await tell(structuredClone(part)));
    });
    if (wanted) answers.set(question, parts);
  };
}
