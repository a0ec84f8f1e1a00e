import * as Comlink from 'comlink';
import type { PictureWork } from './picture.ts';

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
  let stop: () => void = () => undefined;
  const ended = new Promise<never>((_, reject) => {
    stop = () => reject(new PictureStopped('stopped'));
    worker.addEventListener('error', (event) => {
      event.preventDefault?.();
      reject(new Error(event.message || 'the reader could not be loaded'));
    });
  });
  const result = Promise.race([work(Comlink.wrap<PictureWork>(worker)), ended]).finally(() => worker.terminate());
  return { result, stop };
}
