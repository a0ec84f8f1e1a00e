import type { Job } from '@mellow-probe/core/job/jobSchema';
import * as Comlink from 'comlink';
import type { Engine, EngineAnswer } from './engineAnswer.ts';

let remote: Comlink.Remote<Engine> | null = null;

function engine(): Comlink.Remote<Engine> {
  remote ??= Comlink.wrap<Engine>(new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

/**
 * A line to the engine on which only the newest question is answered: while one is being worked on, later ones replace each other, and an
 * answer to a question that is no longer the newest is dropped.
 */
export function latestOnly(onAnswer: (answer: EngineAnswer) => void, onFault: (message: string) => void): (job: Job) => void {
  let waiting: Job | null = null;
  let busy = false;
  const work = async (): Promise<void> => {
    busy = true;
    while (waiting) {
      const job: Job = waiting;
      waiting = null;
      try {
        const answer = await engine().judge(job);
        if (!waiting) onAnswer(answer);
      } catch (error) {
        onFault(error instanceof Error ? error.message : String(error));
      }
    }
    busy = false;
  };
  return (job) => {
    waiting = job;
    if (!busy) void work();
  };
}
