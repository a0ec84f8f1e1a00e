import { jobLine } from '@mellow-probe/core/check/job/jobLine';
import { type Job, jobSchema } from '@mellow-probe/core/check/job/jobSchema';
import { type OpenFault, openJobData } from '@mellow-probe/core/check/job/openJob';
import { isRecord, plainCopy } from '@mellow-probe/core/base/records/plainData';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { nowIso } from '../../browser/newId.ts';
import { type Ahead, wholeOf } from './ahead.ts';
import { type Checked, type Door, doorTo } from './door.ts';
import { type Kept, unwrapped } from './kept.ts';
import { type LedgerEntry, noteInLedger } from './ledger.ts';
import { photosOf, removePhotosOf } from './photoStorage.ts';
import { withStore } from './stores.ts';
import { dropUnsent } from './unsent.ts';
import { oneAtATime, tellOthers } from './windows.ts';

/** A stored record that cannot be opened: kept as it is, shown in the list, never overwritten. */
export interface DamagedRecord {
  key: string;
  revision: string;
  fault: OpenFault;
  data: unknown;
}

/** Migrated jobs are checked by opening them, jobs of this version by their schema alone. */
function checkJobRecord(data: unknown): Checked<Job> {
  const opened = openJobData(data);
  return opened.ok ? { ok: true, value: opened.job } : { ok: false, detail: openFaultText(opened) };
}

/** The door to one job; what goes through it is noted in the ledger. */
export function jobDoor(id: string): Door<Job> {
  const door = doorTo('jobs', id, checkJobRecord);
  return {
    ...door,
    async write(value, base, at) {
      const kept = await door.write(value, base, at);
      noteInLedger(new Map([[id, entryOf(kept)]]));
      return kept;
    },
  };
}

/** What the ledger says of a stored job. */
export function entryOf({ revision, value }: Kept<Job>): LedgerEntry {
  return { revision, line: jobLine(value) };
}

/** Why a stored job cannot be opened; null where it can, or is not there. */
export async function jobFault(id: string): Promise<OpenFault | null> {
  const data: unknown = await withStore('jobs', (s) => s.getItem(id));
  if (data === null) return null;
  const opened = openJobData(unwrapped(data).value);
  return opened.ok ? null : opened;
}

/** The job that was kept ahead of a store that would not take it; null where the entry is only part of one. */
export function jobAhead(entry: Ahead): Job | null {
  return jobSchema.safeParse(wholeOf(entry)).data ?? null;
}

/** Jobs read at once: the page stays free between. */
const AT_ONCE = 25;

/** What differs between the ledger and the stored jobs. */
export interface LedgerCheck {
  /** Entries made anew; null where there is no such job. */
  changes: Map<string, LedgerEntry | null>;
  damaged: DamagedRecord[];
}

/**
 * Compares the ledger with every stored job, opens those of another revision, and notes what it found. A job of the same revision is not
 * opened: reading 5 000 of them goes on in the background, a few at a time.
 */
export async function checkLedger(known: ReadonlyMap<string, LedgerEntry>): Promise<LedgerCheck> {
  const check: LedgerCheck = { changes: new Map(), damaged: [] };
  const keys = await withStore('jobs', (s) => s.keys());
  const gone = new Set(known.keys());
  const look = async (key: string): Promise<void> => {
    const data: unknown = await withStore('jobs', (s) => s.getItem(key));
    // Removed since the keys were listed.
    if (data === null) return;
    gone.delete(key);
    const kept = unwrapped(data);
    if (known.get(key)?.revision === kept.revision && !kept.revision.startsWith('bare')) return;
    const opened = openJobData(kept.value);
    if (opened.ok) check.changes.set(key, entryOf({ ...kept, value: opened.job }));
    else {
      check.damaged.push({ key, revision: kept.revision, fault: opened, data: kept.value });
      if (known.has(key)) check.changes.set(key, null);
    }
  };
  for (let i = 0; i < keys.length; i += AT_ONCE) await Promise.all(keys.slice(i, i + AT_ONCE).map(look));
  for (const key of gone) check.changes.set(key, null);
  noteInLedger(check.changes);
  return check;
}

/** One stored job as the ledger knows it, read anew; null where there is none, or it cannot be opened. */
export async function readEntry(id: string): Promise<LedgerEntry | null> {
  const kept = await jobDoor(id).read();
  return kept && entryOf(kept);
}

/** Changes a stored job in one step, and returns what is now stored. Rejects where there is none, or it cannot be opened or kept. */
export async function changeStoredJob(id: string, change: (job: Job) => void): Promise<Kept<Job>> {
  const door = jobDoor(id);
  const kept = await door.read();
  if (!kept) throw new Error(`changeStoredJob: no job "${id}"`);
  const next = structuredClone(kept.value);
  change(next);
  // What came from a form may be wrapped for it: the store takes plain data only.
  return door.write(plainCopy({ ...next, updatedAt: nowIso() }), kept);
}

/** What this window has removed and could put back. */
const inHand = new Map<string, unknown>();

/** Takes a job out of the list. It stays in the bin with its photos until it is restored or the bin is emptied. */
export async function removeJob(id: string): Promise<void> {
  await oneAtATime(`jobs/${id}`, async () => {
    const data: unknown = await withStore('jobs', (s) => s.getItem(id));
    if (data === null) return;
    inHand.set(id, data);
    // A full store must not stand in the way of making room: the job can then be restored as long as this window lives.
    await withStore('bin', (s) => s.setItem(id, { removedAt: nowIso(), data })).catch(() => undefined);
    await withStore('jobs', (s) => s.removeItem(id));
    noteInLedger(new Map([[id, null]]));
    tellOthers({ store: 'jobs', key: id, kind: 'removed' });
  });
}

/** Is a deleted job still in the bin? False where the bin cannot be read. */
export async function isInBin(id: string): Promise<boolean> {
  if (inHand.has(id)) return true;
  return withStore('bin', async (s) => (await s.getItem(id)) !== null).catch(() => false);
}

/** Puts a job back out of the bin. Where it was kept again meanwhile, in another window, what was typed there stays. */
export async function restoreJob(id: string): Promise<void> {
  const data: unknown = inHand.get(id) ?? (await withStore('bin', (s) => s.getItem<{ data: unknown }>(id)))?.data;
  if (data === undefined) return;
  const removed = unwrapped(data);
  const opened = openJobData(removed.value);
  if (opened.ok) {
    const kept: Kept<Job> = { ...removed, value: opened.job };
    await jobDoor(id).write(opened.job, kept);
  } else {
    await withStore('jobs', (s) => s.setItem(id, data));
    tellOthers({ store: 'jobs', key: id, kind: 'written' });
  }
  inHand.delete(id);
  await withStore('bin', (s) => s.removeItem(id));
}

/** Empties the bin of what was removed before a moment (ISO 8601), with its photos and its history. */
export async function emptyBin(removedBefore: string, only?: string): Promise<void> {
  const old: string[] = [];
  await withStore('bin', (s) =>
    s.iterate((entry: unknown, key: string) => {
      const at = isRecord(entry) && typeof entry.removedAt === 'string' ? entry.removedAt : '';
      if ((only === undefined || key === only) && at < removedBefore) old.push(key);
    }),
  );
  for (const id of old) {
    const back: unknown = await withStore('jobs', (s) => s.getItem(id));
    if (back === null) {
      await removePhotosOf(id, await photosOf(id));
      await withStore('history', (s) => s.removeItem(id));
      dropUnsent(id);
    }
    inHand.delete(id);
    await withStore('bin', (s) => s.removeItem(id));
  }
}

/** Asks the browser not to throw the store away when disk runs short. A refusal changes nothing else. */
export async function askToKeep(): Promise<void> {
  try {
    await navigator.storage.persist();
  } catch {
    // Not offered by this browser.
  }
}
