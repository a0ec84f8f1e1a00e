import { type OpenFault, openJobData } from '@mellow-probe/core/job/openJob';
import { mergeThreeWay } from '@mellow-probe/core/records/mergeThreeWay';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { defineStore } from 'pinia';
import { ref, shallowRef, watch } from 'vue';
import { nowIso } from '../composables/newId.ts';
import { askToKeep, onJobsChangedElsewhere, readJob, saveJob, type StorageFault } from '../storage/jobStorage.ts';

type OpenState =
  { kind: 'loading' } | { kind: 'open' } | { kind: 'missing' } | { kind: 'unreadable'; fault: OpenFault };

/**
 * The one job on the bench. Every change is written at once; while a write is under way the next changes gather for the one after it.
 * Changes from another window are merged in.
 */
export const useOpenJob = defineStore('openJob', () => {
  const job = ref<Job | null>(null);
  const state = ref<OpenState>({ kind: 'loading' });
  const saving = ref(false);
  const saveFault = ref<StorageFault | null>(null);
  const removedElsewhere = ref(false);
  /** What is in the store as far as this window knows. */
  const base = shallowRef<Job | null>(null);
  let dirty = false;
  let quiet = false;

  async function open(id: string): Promise<void> {
    await settle();
    state.value = { kind: 'loading' };
    removedElsewhere.value = false;
    let data: unknown;
    try {
      data = await readJob(id);
    } catch {
      saveFault.value = 'blocked';
      data = null;
    }
    if (data === null) {
      job.value = null;
      state.value = { kind: 'missing' };
      return;
    }
    const opened = openJobData(data);
    if (!opened.ok) {
      job.value = null;
      state.value = { kind: 'unreadable', fault: opened };
      return;
    }
    show(opened.job);
    state.value = { kind: 'open' };
    void askToKeep();
  }

  /** Puts a job on the bench without it counting as a change. */
  function show(next: Job): void {
    base.value = next;
    quiet = true;
    job.value = structuredClone(next);
  }

  watch(
    job,
    () => {
      if (quiet) {
        quiet = false;
        return;
      }
      dirty = true;
      if (!saving.value) void save();
    },
    { deep: true, flush: 'sync' },
  );

  async function save(): Promise<void> {
    saving.value = true;
    while (dirty && job.value) {
      // Let the rest of this event's changes arrive first.
      await Promise.resolve();
      dirty = false;
      const written: Job = { ...plain(job.value), updatedAt: nowIso() };
      const saved = await saveJob(written, base.value);
      if (!saved.ok) {
        saveFault.value = saved.fault;
        break;
      }
      saveFault.value = null;
      base.value = saved.job;
      if (saved.job !== written && job.value) adopt(written, saved.job);
    }
    saving.value = false;
  }

  /** Takes over what another window added, on top of what was typed here meanwhile. */
  function adopt(before: Job, stored: Job): void {
    const mine: Job = { ...plain(job.value!), updatedAt: before.updatedAt };
    const merged = mergeThreeWay(before, mine, stored);
    quiet = true;
    job.value = structuredClone(merged);
  }

  async function settle(): Promise<void> {
    while (saving.value) await new Promise((resolve) => setTimeout(resolve, 5));
  }

  async function retrySave(): Promise<void> {
    dirty = true;
    if (!saving.value) await save();
  }

  onJobsChangedElsewhere((id, kind) => {
    if (!job.value || id !== job.value.id) return;
    removedElsewhere.value = kind === 'removed';
    if (kind === 'removed' || dirty || saving.value) return;
    void readJob(id).then((data) => {
      const opened = openJobData(data);
      if (!opened.ok || dirty || saving.value || !base.value || opened.job.updatedAt === base.value.updatedAt) return;
      const before = base.value;
      base.value = opened.job;
      adopt(before, opened.job);
    });
  });

  // A window that is closed while the store refuses would lose what was typed: ask first.
  window.addEventListener('beforeunload', (event) => {
    if (saveFault.value && job.value) event.preventDefault();
  });

  return { job, state, saving, saveFault, removedElsewhere, open, retrySave };
});

function plain(job: Job): Job {
  return JSON.parse(JSON.stringify(job)) as Job;
}
