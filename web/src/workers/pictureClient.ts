import { workerWords as say } from '@mellow-probe/core/wording/screens/workers';
import * as Comlink from 'comlink';
import type { PictureWork } from './picture.ts';
import { workerFailure } from './workerFailure.ts';

/** A worker for one piece of work on a picture; `stop` ends it in the middle. */
export interface PictureRun<T> {
  result: Promise<T>;
  stop(): void;
}

/** The work was ended by whoever asked for it. */
export class PictureStopped extends Error {}

/** Starts one piece of work in a worker of its own, which ends with it. Rejects with `PictureStopped` when stopped. */
export function pictureRun<T>(
  work: (remote: Comlink.Remote<PictureWork>) => Promise<T>,
  make: () => Worker = () => new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' }),
): PictureRun<T> {
  const worker = make();
  const failure = workerFailure(worker, say.readerFailed, (message) => new Error(message));
  let stop: () => void = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    stop = () => reject(new PictureStopped('stopped'));
  });
  const result = Promise.race([work(Comlink.wrap<PictureWork>(worker)), failure, stopped]).finally(() =>
    worker.terminate(),
  );
  return { result, stop };
}
