import type { WithoutReading } from '@mellow-probe/core/verdict/withoutReading';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import * as Comlink from 'comlink';
import type { Advice, Engine, EngineAnswer } from './engineAnswer.ts';

let remote: Comlink.Remote<Engine> | null = null;

function engine(): Comlink.Remote<Engine> {
  remote ??= Comlink.wrap<Engine>(new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

export interface Listener {
  verdict(answer: EngineAnswer): void;
  advice(advice: Advice | null): void;
  fault(message: string): void;
}

/**
 * A line to the engine on which only the newest question is answered: while one is being worked on, later ones replace each other, and an
 * answer to a question that is no longer the newest is dropped. The verdict comes first, then the advice.
 */
export function latestOnly(listener: Listener): (job: Job) => void {
  let waiting: Job | null = null;
  let busy = false;
  const work = async (): Promise<void> => {
    busy = true;
    while (waiting) {
      const job: Job = waiting;
      waiting = null;
      try {
        const answer = await engine().judge(job);
        if (waiting) continue;
        listener.verdict(answer);
        const advice = await engine().advise();
        if (!waiting) listener.advice(advice);
      } catch (error) {
        listener.fault(error instanceof Error ? error.message : String(error));
      }
    }
    busy = false;
  };
  return (job) => {
    waiting = job;
    if (!busy) void work();
  };
}

/** How much hangs on each reading: asked for by hand, since it ranks once a reading. */
export function askWithoutEach(job: Job): Promise<WithoutReading[]> {
  return engine().withoutEach(job);
}
