import { workerWords as say } from '@mellow-probe/core/wording/screens/workers';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { Plan } from '@mellow-probe/core/advice/plan/planOf';
import type { CourseStep } from '@mellow-probe/core/inference/verdict/verdictCourse';
import type { WithoutReading } from '@mellow-probe/core/inference/verdict/withoutReading';
import * as Comlink from 'comlink';
import type { Engine, Part } from './engineAnswer.ts';
import { workerFailure } from './workerFailure.ts';

/** Why there is no answer: the engine said so, it stopped, or it did not answer in time and was ended. */
export type EngineFault = { why: 'threw' | 'stopped' | 'silent'; message: string };

export class EngineError extends Error {
  constructor(readonly fault: EngineFault) {
    super(fault.message);
    this.name = 'EngineError';
  }
}

/** Any failure as one of the engine's. */
export function toEngineError(error: unknown): EngineError {
  if (error instanceof EngineError) return error;
  return new EngineError({ why: 'threw', message: error instanceof Error ? error.message : String(error) });
}

/** A line to the engine. Every question is answered or fails within bounds; after a failure the next question meets a fresh engine. */
export interface EngineLine {
  /** Settles when all parts were told, or `tell` said that they are no longer wanted. Rejects with an `EngineError`. */
  judge(job: Job, chart: boolean, tell: (part: Part) => boolean): Promise<void>;
  withoutEach(job: Job): Promise<WithoutReading[]>;
  /** How the verdict moved, reading by reading. */
  course(job: Job): Promise<CourseStep[]>;
  plan(job: Job): Promise<Plan | null>;
}

/** The longest the engine may be silent, ms: the slowest phone needs a second for a ranking. */
export const ENGINE_PATIENCE_MS = 20_000;

/** What is needed of a worker; the tests hand in others. */
export type SpawnWorker = () => Worker;

const spawn: SpawnWorker = () => new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' });

export function engineLine(make: SpawnWorker = spawn, patienceMs = ENGINE_PATIENCE_MS): EngineLine {
  let running: { worker: Worker; remote: Comlink.Remote<Engine>; stopped: Promise<never> } | null = null;

  function start(): NonNullable<typeof running> {
    const worker = make();
    const stopped = workerFailure(worker, say.engineFailed, (message) => new EngineError({ why: 'stopped', message }));
    stopped.catch(() => end(worker));
    running = { worker, remote: Comlink.wrap<Engine>(worker), stopped };
    return running;
  }

  function end(worker: Worker): void {
    worker.terminate();
    if (running?.worker === worker) running = null;
  }

  /** Runs one question against silence: `beat` is called whenever something was heard. */
  async function ask<T>(work: (remote: Comlink.Remote<Engine>, beat: () => void) => Promise<T>): Promise<T> {
    const { worker, remote, stopped } = running ?? start();
    let timer: ReturnType<typeof setTimeout>;
    let giveUp: (fault: EngineError) => void = () => undefined;
    const silence = new Promise<never>((_, reject) => (giveUp = reject));
    const beat = (): void => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        giveUp(new EngineError({ why: 'silent', message: say.noAnswerWithin(Math.round(patienceMs / 1000)) }));
        end(worker);
      }, patienceMs);
    };
    beat();
    try {
      return await Promise.race([work(remote, beat), stopped, silence]);
    } catch (error) {
      throw toEngineError(error);
    } finally {
      clearTimeout(timer!);
    }
  }

  return {
    judge: (job, chart, tell) =>
      ask((remote, beat) => {
        const heard = (part: Part): boolean => {
          beat();
          return tell(part);
        };
        return remote.judge(job, chart, Comlink.proxy(heard));
      }),
    withoutEach: (job) => ask((remote) => remote.withoutEach(job)),
    course: (job) => ask((remote) => remote.course(job)),
    plan: (job) => ask((remote) => remote.plan(job)),
  };
}
