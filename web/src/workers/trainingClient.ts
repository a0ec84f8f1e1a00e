import { workerWords as say } from '@mellow-probe/core/wording/screens/workers';
import * as Comlink from 'comlink';
import type { TrainingWork } from './training.ts';
import { workerFailure } from './workerFailure.ts';

type Make = () => Worker;
const make: Make = () => new Worker(new URL('./training.worker.ts', import.meta.url), { type: 'module' });

/** A line to a worker of the training bench, which is loaded at once. After a failure the next question meets a fresh one. */
export interface TrainingLine {
  ask<T>(work: (remote: Comlink.Remote<TrainingWork>) => Promise<T>): Promise<T>;
}

function trainingLine(spawn: Make = make): TrainingLine {
  let running: { remote: Comlink.Remote<TrainingWork>; failure: Promise<never> } | null = null;
  function start(): NonNullable<typeof running> {
    const worker = spawn();
    const failure = workerFailure(worker, say.trainingFailed, (message) => new Error(message));
    failure.catch(() => {
      worker.terminate();
      running = null;
    });
    running = { remote: Comlink.wrap<TrainingWork>(worker), failure };
    return running;
  }
  start();
  return {
    ask(work) {
      const { remote, failure } = running ?? start();
      return Promise.race([work(remote), failure]);
    },
  };
}

let lines: { scene: TrainingLine; judge: TrainingLine } | null = null;

/**
 * The two lines of this window: the scene answers at once, the judge takes its time. Asked for by the first screen of the training, so that their
 * script is there when the server is gone by then.
 */
export function trainingLines(): { scene: TrainingLine; judge: TrainingLine } {
  lines ??= { scene: trainingLine(), judge: trainingLine() };
  return lines;
}
