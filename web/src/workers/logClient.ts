import { workerWords as say } from '@mellow-probe/core/wording/screens/workers';
import * as Comlink from 'comlink';
import type { LogWork } from './logs.ts';
import { workerFailure } from './workerFailure.ts';

/** A worker that holds one log. */
export interface LogRoom {
  /** Rejects with `LogStopped` when it is stopped, or with what went wrong. */
  ask<T>(work: (remote: Comlink.Remote<LogWork>) => Promise<T>): Promise<T>;
  /** Nobody needs it any more: a worker that rests is kept for the next, one that works is ended in the middle. */
  leave(): void;
}

/** The work was ended by whoever asked for it. */
export class LogStopped extends Error {}

type Make = () => Worker;
const make: Make = () => new Worker(new URL('./logs.worker.ts', import.meta.url), { type: 'module' });

/** One that rests, its script loaded already: so that a log can be looked at when the server is gone by then. */
let resting: LogRoom | null = null;

/** Has a room ready, before the first log needs it. */
export function warmLogRoom(): void {
  resting ??= newRoom(make);
}

/** A room for one log; what it held before is replaced by the first log that is put in. */
export function logRoom(): LogRoom {
  const room = resting ?? newRoom(make);
  resting = null;
  return room;
}

/** The tests hand in other workers. */
export function newRoom(spawn: Make): LogRoom {
  const worker = spawn();
  const remote = Comlink.wrap<LogWork>(worker);
  let working = 0;
  let broken = false;
  const failure = workerFailure(worker, say.logReaderFailed, (message) => new Error(message));
  failure.catch(() => (broken = true));
  let stop: () => void = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    stop = () => {
      broken = true;
      worker.terminate();
      reject(new LogStopped('stopped'));
    };
  });
  stopped.catch(() => undefined);
  const room: LogRoom = {
    async ask(work) {
      working++;
      try {
        return await Promise.race([work(remote), failure, stopped]);
      } finally {
        working--;
      }
    },
    leave() {
      if (working > 0 || broken || resting) stop();
      else resting = room;
    },
  };
  return room;
}
