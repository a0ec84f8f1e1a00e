import type { CatalogueCircuit } from '@mellow-probe/core/catalogue/circuits';
import { templateOf } from '@mellow-probe/core/job/jobList';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { newJob } from '@mellow-probe/core/job/newJob';
import { MAX_FILE_BYTES, type OpenFault, openJob } from '@mellow-probe/core/job/openJob';
import type { Kit } from '@mellow-probe/core/kit/kitSchema';
import { LONGEST } from '@mellow-probe/core/units/entry';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { newId, nowIso } from '../browser/newId.ts';
import { clearAhead, recordsAhead, writeAhead } from '../storage/ahead.ts';
import {
  changeStoredJob,
  emptyBin,
  jobAhead,
  jobDoor,
  onJobsElsewhere,
  readAllJobs,
  readStoredJob,
  removeJob,
  restoreJob,
  type StoredJob,
} from '../storage/jobStorage.ts';
import { getPhoto, putPhoto, settlePhotos } from '../storage/photoStorage.ts';
import { type StorageFault, toStorageError } from '../storage/storageError.ts';

/** A stored record that cannot be opened, as the list shows it. */
export type DamagedRecord = Extract<StoredJob, { fault: OpenFault }>;

/** What was removed stays in the bin this long, ms. */
const BIN_MS = 24 * 3600 * 1000;

/** The list of kept jobs. */
export const useJobs = defineStore('jobs', () => {
  const records = shallowRef<ReadonlyMap<string, StoredJob>>(new Map());
  /** Jobs that the store would not take: they live in this window, ahead of the store. */
  const homeless = shallowRef<ReadonlyMap<string, Job>>(new Map());
  const loaded = ref(false);
  const fault = ref<StorageFault | null>(null);
  const removed = shallowRef<Job | null>(null);

  const jobs = computed(() =>
    [...homeless.value.values(), ...[...records.value.values()].flatMap((r) => ('job' in r ? [r.job] : []))].sort(
      (a, b) => b.updatedAt.localeCompare(a.updatedAt),
    ),
  );
  const damaged = computed(() => [...records.value.values()].filter((r): r is DamagedRecord => 'fault' in r));

  async function load(): Promise<void> {
    try {
      const list = await readAllJobs(records.value);
      records.value = new Map(list.map((r) => [r.key, r]));
      fault.value = null;
      void emptyBin(new Date(Date.now() - BIN_MS).toISOString()).catch(() => undefined);
    } catch (error) {
      fault.value = toStorageError(error).fault;
    }
    await findHomeless();
    loaded.value = true;
  }

  async function findHomeless(): Promise<void> {
    const found = new Map<string, Job>();
    for (const [record, entry] of await recordsAhead('jobs')) {
      const id = record.slice('jobs/'.length);
      const job = jobAhead(entry);
      if (job && !records.value.has(id)) found.set(id, job);
    }
    homeless.value = found;
  }

  /** Reads one record again, and no other. */
  async function refresh(id: string): Promise<void> {
    try {
      const record = await readStoredJob(id, records.value.get(id));
      const next = new Map(records.value);
      if (record) next.set(id, record);
      else next.delete(id);
      records.value = next;
    } catch (error) {
      fault.value = toStorageError(error).fault;
    }
  }

  /** Keeps a new job. Where the store does not take it, it lives on in this window and `fault` says so. */
  async function keep(job: Job): Promise<boolean> {
    const door = jobDoor(job.id);
    try {
      await door.write(job, null);
      clearAhead(door.name);
      fault.value = null;
      await refresh(job.id);
      return true;
    } catch (error) {
      fault.value = toStorageError(error).fault;
      writeAhead(door.name, null, [{ at: [], after: job }], nowIso());
      homeless.value = new Map([...homeless.value, [job.id, job]]);
      return false;
    }
  }

  async function create(kit: Kit, circuit?: CatalogueCircuit): Promise<Job> {
    const job = newJob(newId(), nowIso(), circuit, kit);
    await keep(job);
    return job;
  }

  async function copy(job: Job): Promise<void> {
    const now = nowIso();
    const id = newId();
    const title = job.title === '' ? 'Copy' : `${job.title.slice(0, LONGEST.line - ' (copy)'.length)} (copy)`;
    const photos = await Promise.all(
      job.photos.map(async (p) => {
        const image = p.image ?? (await getPhoto(job.id, p.id));
        if (image === null) return p;
        try {
          await putPhoto(id, p.id, image);
          return { ...p, image: null };
        } catch {
          // What the photos' own store does not take goes with the job.
          return { ...p, image };
        }
      }),
    );
    await keep({ ...structuredClone(job), photos, id, createdAt: now, updatedAt: now, title });
  }

  /** A new job on the same machine and circuit, with nothing of the old case. */
  async function startLike(job: Job): Promise<Job> {
    const fresh = templateOf(job, newId(), nowIso());
    await keep(fresh);
    return fresh;
  }

  async function setArchived(job: Job, on: boolean): Promise<void> {
    try {
      await changeStoredJob(job.id, (stored) => (stored.archivedAt = on ? nowIso() : null));
    } catch (error) {
      fault.value = toStorageError(error).fault;
    }
    await refresh(job.id);
  }

  async function remove(job: Job): Promise<void> {
    await forget();
    try {
      await removeJob(job.id);
      removed.value = job;
    } catch (error) {
      fault.value = toStorageError(error).fault;
    }
    clearAhead(jobDoor(job.id).name);
    await findHomeless();
    await refresh(job.id);
  }

  /** The job that could be brought back is let go, with its photos. */
  async function forget(): Promise<void> {
    const gone = removed.value;
    removed.value = null;
    if (gone) await emptyBin('9999', gone.id).catch(() => undefined);
  }

  async function undoRemove(): Promise<void> {
    const job = removed.value;
    if (!job) return;
    try {
      await restoreJob(job.id);
      removed.value = null;
    } catch (error) {
      fault.value = toStorageError(error).fault;
    }
    await refresh(job.id);
  }

  /** Adds the job of a file; an id that is taken already gets a new one, so nothing is overwritten. */
  async function importFile(
    file: File,
  ): Promise<{ ok: true; job: Job } | ({ ok: false } & (OpenFault | { reason: 'not-kept' }))> {
    if (file.size > MAX_FILE_BYTES) return { ok: false, reason: 'too-large', bytes: file.size, limit: MAX_FILE_BYTES };
    const opened = openJob(await file.text());
    if (!opened.ok) return opened;
    const taken = records.value.has(opened.job.id) || homeless.value.has(opened.job.id);
    const job = await settlePhotos(taken ? { ...opened.job, id: newId() } : opened.job);
    return (await keep(job)) ? { ok: true, job } : { ok: false, reason: 'not-kept' };
  }

  onJobsElsewhere((id) => void refresh(id));
  return {
    jobs,
    damaged,
    homeless,
    loaded,
    fault,
    removed,
    load,
    refresh,
    keep,
    create,
    copy,
    startLike,
    setArchived,
    remove,
    forget,
    undoRemove,
    importFile,
  };
});
