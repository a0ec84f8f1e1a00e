import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { OpenFault } from '@mellow-probe/core/check/job/openJob';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { readAhead } from '../data/storage/ahead.ts';
import type { Door } from '../data/storage/door.ts';
import {
  askToKeep,
  changeStoredJob,
  isInBin,
  jobAhead,
  jobDoor,
  jobFault,
  restoreJob,
} from '../data/storage/jobStorage.ts';
import { breath } from '../browser/turns.ts';
import type { Kept } from '../data/storage/kept.ts';
import { type StorageFault, toStorageError } from '../data/storage/storageError.ts';
import { engineLine, type EngineLine } from '../workers/engineClient.ts';
import { type JobSession, jobSession } from './jobSession.ts';

/** What stands on the bench. */
export type OnBench =
  | { kind: 'loading'; id: string }
  | { kind: 'open'; session: JobSession }
  | { kind: 'missing'; id: string }
  /** Deleted, here or in another window, and still in the bin. */
  | { kind: 'deleted'; id: string }
  | { kind: 'unreadable'; id: string; fault: OpenFault }
  | { kind: 'blocked'; id: string; fault: StorageFault };

/** The one job on the bench, and the engine that judges it. */
export const useBench = defineStore('bench', () => {
  const state = shallowRef<OnBench>({ kind: 'loading', id: '' });
  const line: EngineLine = engineLine();
  let asked = 0;

  /** Puts a job on the bench. The newest call wins, however late the others' answers come; a job that is on the bench stays as it is. */
  async function open(id: string): Promise<void> {
    const mine = ++asked;
    if (state.value.kind === 'open') {
      if (state.value.session.id === id) return;
      void state.value.session.close();
    }
    state.value = { kind: 'loading', id };
    const found = await find(id);
    if (mine !== asked) return;
    if ('kind' in found) {
      state.value = found;
      return;
    }
    const session = jobSession(found.door, found.initial, found.stored, line);
    await session.record.loaded;
    // Reading a check and putting it up are two tasks.
    await breath();
    if (mine !== asked) {
      void session.close();
      return;
    }
    state.value = { kind: 'open', session };
    void askToKeep();
  }

  /** Changes a job in one step, from outside the bench: the one that stands there, or the stored one. Rejects where it is not kept. */
  async function changeJob(id: string, change: (job: Job) => void): Promise<void> {
    if (state.value.kind === 'open' && state.value.session.id === id) {
      const { record } = state.value.session;
      record.change('typed', change);
      await record.settled();
    } else await changeStoredJob(id, change);
  }

  /** Brings a deleted job back from the bin, with what was typed into it after it was deleted elsewhere, and opens it. Rejects where the store does not answer. */
  async function restore(id: string): Promise<void> {
    await restoreJob(id);
    await open(id);
  }

  return { state, line, open, changeJob, restore };
});

type Found =
  { door: Door<Job>; initial: Job; stored: Kept<Job> | null } | Exclude<OnBench, { kind: 'open' | 'loading' }>;

async function find(id: string): Promise<Found> {
  const door = jobDoor(id);
  let fault: StorageFault | null = null;
  try {
    const stored = await door.read();
    if (stored) return { door, initial: stored.value, stored };
  } catch (error) {
    fault = toStorageError(error).fault;
    if (fault === 'invalid') {
      const why = await jobFault(id).catch(() => null);
      if (why) return { kind: 'unreadable', id, fault: why };
    }
  }
  // A job that the store would not take lives on what was kept ahead of it.
  for (const entry of await readAhead(door.name)) {
    const initial = jobAhead(entry);
    if (initial) return { door, initial, stored: null };
  }
  if (fault) return { kind: 'blocked', id, fault };
  return { kind: (await isInBin(id)) ? 'deleted' : 'missing', id };
}
