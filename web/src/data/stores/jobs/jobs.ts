import { jobsStoreWords as say } from '@mellow-probe/core/wording/screens/jobs';
import type { CatalogueCircuit } from '@mellow-probe/core/catalogue/parts/circuits';
import { type JobLine, typedTags } from '@mellow-probe/core/check/job/jobList';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { MOST } from '@mellow-probe/core/check/job/most';
import type { OpenFault } from '@mellow-probe/core/check/job/openJob';
import type { Kit } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { LONGEST } from '@mellow-probe/core/base/units/bounds';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { newId, nowIso } from '../../browser/newId.ts';
import { workshop } from '../../browser/workshop.ts';
import { clearAhead, recordsAhead, writeAhead } from '../storage/ahead.ts';
import type { DamagedRecord } from '../storage/jobStorage.ts';
import { type LedgerEntry, readLedger } from '../storage/ledger.ts';
import { settlePhotos, withPhotos } from '../storage/photoStorage.ts';
import { writePreference } from '../storage/preferences.ts';
import { type StorageFault, toStorageError } from '../storage/storageError.ts';
import { holdsAny } from '../storage/stores.ts';
import { onJobsElsewhere } from '../storage/windows.ts';
import { removals } from './removals.ts';
import { wholeJobs } from './wholeJobs.ts';

/** The list of kept jobs. */
export const useJobs = defineStore('jobs', () => {
  const entries = shallowRef<ReadonlyMap<string, LedgerEntry>>(new Map());
  const damaged = shallowRef<readonly DamagedRecord[]>([]);
  /** Jobs that the store would not take: they live in this window, ahead of the store. */
  const homeless = shallowRef<ReadonlyMap<string, { job: Job; line: JobLine }>>(new Map());
  const loaded = ref(false);
  // For the first paint of the next visit: the words of an empty ledger, or none.
  watch([loaded, () => entries.value.size > 0], ([known, any]) => {
    if (known && workshop === 'own') writePreference('checks', any ? 'yes' : 'no');
  });
  const fault = ref<StorageFault | null>(null);

  const lines = computed<readonly JobLine[]>(() =>
    [...homeless.value.values(), ...entries.value.values()]
      .map((entry) => entry.line)
      .sort((a, b) => b.updatedAt.localeCompare(a.updatedAt)),
  );

  /** Was the ledger compared with the jobs themselves in this window? */
  let compared: Promise<void> | null = null;

  /** Reads the ledger, and compares it with the jobs behind it: the first time in a window, or where it is empty, before it is `loaded`. */
  async function load(): Promise<void> {
    try {
      const kept = await readLedger();
      for (const [id, entry] of kept)
        if (entries.value.get(id)?.revision === entry.revision) kept.set(id, entries.value.get(id)!);
      entries.value = kept;
      const comparing = comparison();
      if (kept.size === 0) await comparing;
      else void comparing.catch(failed);
      fault.value = null;
      void emptyOldBin();
    } catch (error) {
      failed(error);
    }
    await findHomeless();
    loaded.value = true;
  }

  function comparison(): Promise<void> {
    compared ??= compare().catch((error: unknown) => {
      compared = null;
      throw error;
    });
    return compared;
  }

  async function compare(): Promise<void> {
    // A first visit.
    if (entries.value.size === 0 && !(await holdsAny('jobs', 'staging'))) return;
    const { checkLedger } = await wholeJobs();
    // A backup that was being restored when the window was lost is restored to its end first.
    if (await holdsAny('staging')) await (await import('../backup/restore.ts')).finishRestore();
    const known = entries.value;
    const check = await checkLedger(known);
    damaged.value = check.damaged;
    const next = new Map(entries.value);
    for (const [id, entry] of check.changes) {
      // What was read anew meanwhile is newer than this.
      if (next.get(id) !== known.get(id)) continue;
      if (entry) next.set(id, entry);
      else next.delete(id);
    }
    entries.value = next;
    if (homeless.value.size > 0) await findHomeless();
  }

  /** Reads everything anew: what is kept has changed behind the list. */
  async function reload(): Promise<void> {
    compared = null;
    await load();
    await comparison();
  }

  function failed(error: unknown): void {
    fault.value = toStorageError(error).fault;
  }

  async function findHomeless(): Promise<void> {
    const found = new Map<string, { job: Job; line: JobLine }>();
    for (const [record, entry] of await recordsAhead('jobs')) {
      const { jobAhead, jobLine } = await wholeJobs();
      const id = record.slice('jobs/'.length);
      const job = jobAhead(entry);
      if (job && !entries.value.has(id)) found.set(id, { job, line: jobLine(job) });
    }
    homeless.value = found;
  }

  /** Shows a job by its entry; null: it is gone. */
  function put(id: string, entry: LedgerEntry | null): void {
    const next = new Map(entries.value);
    if (entry) next.set(id, entry);
    else next.delete(id);
    entries.value = next;
  }

  /** Reads one job's entry again, and no other. */
  async function refresh(id: string): Promise<void> {
    const { readEntry } = await wholeJobs();
    try {
      put(id, await readEntry(id));
    } catch (error) {
      // What can no longer be opened goes to the damaged ones.
      if (toStorageError(error).fault === 'invalid') await compare().catch(failed);
      else failed(error);
    }
  }

  /** The whole of a job in the list; null where it is gone. */
  async function read(id: string): Promise<Job | null> {
    const here = homeless.value.get(id);
    if (here) return here.job;
    const { jobDoor } = await wholeJobs();
    try {
      return (await jobDoor(id).read())?.value ?? null;
    } catch (error) {
      failed(error);
      return null;
    }
  }

  /** Keeps a new job. Where the store does not take it, it lives on in this window and `fault` says so. */
  async function keep(job: Job): Promise<boolean> {
    const { entryOf, jobDoor, jobLine } = await wholeJobs();
    const door = jobDoor(job.id);
    try {
      const kept = await door.write(job, null);
      clearAhead(door.name);
      fault.value = null;
      put(job.id, entryOf(kept));
      return true;
    } catch (error) {
      failed(error);
      writeAhead(door.name, null, [{ at: [], after: job }], nowIso());
      homeless.value = new Map([...homeless.value, [job.id, { job, line: jobLine(job) }]]);
      return false;
    }
  }

  async function create(kit: Kit, circuit?: CatalogueCircuit): Promise<Job> {
    const { newJob } = await wholeJobs();
    const job = newJob(newId(), nowIso(), circuit, kit);
    await keep(job);
    return job;
  }

  async function copy(from: string): Promise<void> {
    const job = await read(from);
    if (!job) return;
    const now = nowIso();
    const id = newId();
    const room = LONGEST.line - say.copyOf('').length;
    const title = job.title === '' ? say.copy : say.copyOf(job.title.slice(0, room));
    const whole = structuredClone(await withPhotos(job));
    await keep(await settlePhotos({ ...whole, id, createdAt: now, updatedAt: now, title }));
  }

  async function startFrom(from: string, how: 'templateOf' | 'recurrenceOf'): Promise<Job | null> {
    const [job, make] = [await read(from), await wholeJobs()];
    if (!job) return null;
    const fresh = make[how](job, newId(), nowIso());
    await keep(fresh);
    return fresh;
  }
  /** A new job on the same machine and circuit, with nothing of the old case. */
  const startLike = (from: string): Promise<Job | null> => startFrom(from, 'templateOf');
  /** A new job of a fault that came back. */
  const startAgain = (from: string): Promise<Job | null> => startFrom(from, 'recurrenceOf');

  /** Changes stored jobs one after the other; `how` gets each to change. */
  async function change(ids: readonly string[], how: (job: Job) => void): Promise<void> {
    const { changeStoredJob, entryOf } = await wholeJobs();
    for (const id of ids) {
      try {
        put(id, entryOf(await changeStoredJob(id, how)));
      } catch (error) {
        failed(error);
        await refresh(id);
      }
    }
  }

  async function setArchived(ids: readonly string[], on: boolean): Promise<void> {
    await change(ids, (stored) => (stored.archivedAt = on ? nowIso() : null));
  }

  /** Puts tags, typed apart by commas, on jobs beside those they have; a tag with a minus before it is taken off. */
  async function tag(ids: readonly string[], text: string): Promise<void> {
    const typed = typedTags(text);
    const off = new Set(typed.filter((t) => t.startsWith('-')).map((t) => t.slice(1).trim()));
    const on = typed.filter((t) => !t.startsWith('-'));
    await change(ids, (stored) => {
      stored.tags = [...new Set([...stored.tags, ...on])].filter((t) => !off.has(t)).slice(0, MOST.tags);
    });
  }

  const { removed, remove, forget, undoRemove, emptyOldBin } = removals({ lines, failed, refresh, findHomeless });

  /** Adds the job of a file; an id that is taken already gets a new one, so nothing is overwritten. */
  async function importFile(
    file: File,
  ): Promise<{ ok: true; job: Job } | ({ ok: false } & (OpenFault | { reason: 'not-kept' }))> {
    const { MAX_FILE_BYTES, openJob } = await wholeJobs();
    if (file.size > MAX_FILE_BYTES) return { ok: false, reason: 'too-large', bytes: file.size, limit: MAX_FILE_BYTES };
    const opened = openJob(await file.text());
    if (!opened.ok) return opened;
    const job = await keepCopy(opened.job);
    return job ? { ok: true, job } : { ok: false, reason: 'not-kept' };
  }

  /** Keeps a job that came from elsewhere, under a new id where its own is taken or odd; null where the store does not take it. */
  async function keepCopy(from: Job): Promise<Job | null> {
    // An id that an address cannot hold would make a check that nothing leads to.
    const taken = entries.value.has(from.id) || homeless.value.has(from.id) || !/^[\w.~-]+$/.test(from.id);
    const job = await settlePhotos(taken ? { ...from, id: newId() } : from);
    return (await keep(job)) ? job : null;
  }

  onJobsElsewhere((id) => void refresh(id));
  return {
    lines,
    damaged,
    homeless,
    loaded,
    fault,
    removed,
    load,
    reload,
    refresh,
    read,
    keep,
    create,
    copy,
    startLike,
    startAgain,
    change,
    setArchived,
    tag,
    remove,
    forget,
    undoRemove,
    importFile,
    keepCopy,
  };
});
