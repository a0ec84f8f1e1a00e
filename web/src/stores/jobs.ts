import type { CatalogueCircuit } from '@mellow-probe/core/catalogue/circuits';
import { MAX_FILE_BYTES, type OpenFault, openJob, openJobData } from '@mellow-probe/core/job/openJob';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { templateOf } from '@mellow-probe/core/job/jobList';
import { newJob } from '@mellow-probe/core/job/newJob';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { newId, nowIso } from '../composables/newId.ts';
import { settlePhotos } from '../storage/jobFile.ts';
import { getPhoto, putPhoto } from '../storage/photoStorage.ts';
import { useKit } from './kit.ts';
import {
  onJobsChangedElsewhere,
  readAllJobs,
  readJob,
  removeJob,
  saveJob,
  type StorageFault,
} from '../storage/jobStorage.ts';

/** A stored record that cannot be opened, as the list shows it. */
export interface DamagedRecord {
  key: string;
  fault: OpenFault;
  data: unknown;
}

/** The list of kept jobs. */
export const useJobs = defineStore('jobs', () => {
  const jobs = shallowRef<Job[]>([]);
  const damaged = shallowRef<DamagedRecord[]>([]);
  const loaded = ref(false);
  const fault = ref<StorageFault | null>(null);
  const removed = shallowRef<Job | null>(null);

  async function load(): Promise<void> {
    try {
      const good: Job[] = [];
      const bad: DamagedRecord[] = [];
      for (const { key, data } of await readAllJobs()) {
        const opened = openJobData(data);
        if (opened.ok) good.push(opened.job);
        else bad.push({ key, fault: opened, data });
      }
      good.sort((a, b) => b.updatedAt.localeCompare(a.updatedAt));
      [jobs.value, damaged.value] = [good, bad];
    } catch {
      fault.value = 'blocked';
    }
    loaded.value = true;
  }

  async function keep(job: Job): Promise<boolean> {
    const saved = await saveJob(job, null);
    fault.value = saved.ok ? null : saved.fault;
    await load();
    return saved.ok;
  }

  async function create(circuit?: CatalogueCircuit): Promise<Job | null> {
    const job = newJob(newId(), nowIso(), circuit, await useKit().forNewJob());
    return (await keep(job)) ? job : null;
  }

  async function copy(job: Job): Promise<void> {
    const now = nowIso();
    const title = job.title === '' ? 'Copy' : `${job.title} (copy)`;
    // Photos are kept beside their job by id: a copy has its own.
    const photos = await Promise.all(
      job.photos.map(async (p) => {
        const image = p.image ?? (await getPhoto(p.id));
        const copied = { ...p, id: newId(), image };
        return image !== null && (await putPhoto(copied.id, image)) === 'kept' ? { ...copied, image: null } : copied;
      }),
    );
    await keep({ ...structuredClone(job), photos, id: newId(), createdAt: now, updatedAt: now, title });
  }

  /** A new job on the same machine and circuit, with nothing of the old case. */
  async function startLike(job: Job): Promise<Job | null> {
    const fresh = templateOf(job, newId(), nowIso());
    return (await keep(fresh)) ? fresh : null;
  }

  async function setArchived(job: Job, on: boolean): Promise<void> {
    const stored = openJobData(await readJob(job.id));
    if (stored.ok) await keep({ ...stored.job, archivedAt: on ? nowIso() : null, updatedAt: nowIso() });
  }

  async function remove(job: Job): Promise<void> {
    // What is deleted is what is stored now, not what the list showed a while ago.
    const stored = openJobData(await readJob(job.id));
    await removeJob(job.id);
    removed.value = stored.ok ? stored.job : job;
    await load();
  }

  async function undoRemove(): Promise<void> {
    if (removed.value && (await keep(removed.value))) removed.value = null;
  }

  /** Adds the job of a file; an id that is taken already gets a new one, so nothing is overwritten. */
  async function importFile(
    file: File,
  ): Promise<{ ok: true; job: Job } | ({ ok: false } & (OpenFault | { reason: 'not-kept' }))> {
    if (file.size > MAX_FILE_BYTES) return { ok: false, reason: 'too-large', bytes: file.size, limit: MAX_FILE_BYTES };
    const opened = openJob(await file.text());
    if (!opened.ok) return opened;
    const taken = jobs.value.some((j) => j.id === opened.job.id) || damaged.value.some((d) => d.key === opened.job.id);
    const job = await settlePhotos(
      taken
        ? { ...opened.job, id: newId(), photos: opened.job.photos.map((p) => ({ ...p, id: newId() })) }
        : opened.job,
    );
    return (await keep(job)) ? { ok: true, job } : { ok: false, reason: 'not-kept' };
  }

  onJobsChangedElsewhere(() => void load());
  return {
    jobs,
    damaged,
    loaded,
    fault,
    removed,
    load,
    create,
    copy,
    startLike,
    setArchived,
    remove,
    undoRemove,
    importFile,
  };
});
