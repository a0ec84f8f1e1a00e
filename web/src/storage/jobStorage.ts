import { mergeThreeWay } from '@mellow-probe/core/records/mergeThreeWay';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { workshop } from '../app/workshop.ts';
import { jobs as store } from './stores.ts';

/** What the browser's store said when it did not keep something. */
export type StorageFault = 'full' | 'blocked';

export type Saved = { ok: true; job: Job } | { ok: false; fault: StorageFault };

/** A stored entry that cannot be opened: kept as it is, shown in the list, never overwritten. */
export interface StoredRecord {
  key: string;
  data: unknown;
}

const channel = new BroadcastChannel(`mellow-probe-${workshop}`);

/**
 * Writes a job. Where another window has written it since `base`, both sets of changes are kept; the merged job comes back and is what is
 * now stored.
 */
export async function saveJob(job: Job, base: Job | null): Promise<Saved> {
  try {
    // One window at a time, so that no write falls between another's look and its write.
    return await navigator.locks.request(`mellow-probe-${workshop}-${job.id}`, async () => {
      const stored = await store.getItem<Job>(job.id);
      const changedElsewhere = stored !== null && base !== null && stored.updatedAt !== base.updatedAt;
      const merged = changedElsewhere ? mergeThreeWay(base, job, stored) : job;
      await store.setItem(job.id, merged);
      channel.postMessage({ kind: 'saved', id: job.id });
      return { ok: true as const, job: merged };
    });
  } catch (error) {
    return { ok: false, fault: faultOf(error) };
  }
}

export async function readJob(id: string): Promise<unknown> {
  return store.getItem(id);
}

export async function readAllJobs(): Promise<StoredRecord[]> {
  const records: StoredRecord[] = [];
  await store.iterate((data, key) => {
    records.push({ key, data });
  });
  return records;
}

export async function removeJob(id: string): Promise<void> {
  await store.removeItem(id);
  channel.postMessage({ kind: 'removed', id });
}

/** Calls back when another window saved or removed a job; returns how to stop. */
export function onJobsChangedElsewhere(callback: (id: string, kind: 'saved' | 'removed') => void): () => void {
  const listener = (event: MessageEvent<{ kind: 'saved' | 'removed'; id: string }>): void =>
    callback(event.data.id, event.data.kind);
  channel.addEventListener('message', listener);
  return () => channel.removeEventListener('message', listener);
}

/** Asks the browser not to throw the store away when disk runs short. A refusal changes nothing else. */
export async function askToKeep(): Promise<void> {
  try {
    await navigator.storage.persist();
  } catch {
    // Not offered by this browser.
  }
}

function faultOf(error: unknown): StorageFault {
  return error instanceof DOMException && error.name === 'QuotaExceededError' ? 'full' : 'blocked';
}
