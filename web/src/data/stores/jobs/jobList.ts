import type { JobLine } from '@mellow-probe/core/check/job/jobList';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { computed, ref, shallowRef } from 'vue';
import { recordsAhead } from '../../storage/ahead.ts';
import type { DamagedRecord } from '../../storage/jobStorage.ts';
import { type LedgerEntry, readLedger } from '../../storage/ledger.ts';
import { type StorageFault, toStorageError } from '../../storage/storageError.ts';
import { holdsAny } from '../../storage/stores.ts';
import { wholeJobs } from './wholeJobs.ts';

type Entries = ReadonlyMap<string, LedgerEntry>;
/** Jobs that the store would not take: they live in this window, ahead of the store. */
type Homeless = ReadonlyMap<string, { job: Job; line: JobLine }>;

/** The entries of the stored jobs as this window knows them, and the jobs that are in this window alone. */
export function jobList() {
  const entries = shallowRef<Entries>(new Map());
  const damaged = shallowRef<readonly DamagedRecord[]>([]);
  const homeless = shallowRef<Homeless>(new Map());
  const fault = ref<StorageFault | null>(null);

  const lines = computed<readonly JobLine[]>(() =>
    [...homeless.value.values(), ...entries.value.values()]
      .map((entry) => entry.line)
      .sort((a, b) => b.updatedAt.localeCompare(a.updatedAt)),
  );

  function failed(error: unknown): void {
    fault.value = toStorageError(error).fault;
  }

  async function readEntries(): Promise<void> {
    const stored = await readLedger();
    for (const [id, entry] of stored)
      if (entries.value.get(id)?.revision === entry.revision) stored.set(id, entries.value.get(id)!);
    entries.value = stored;
  }

  /** Compares the ledger with the jobs behind it, and takes over what is newer. */
  async function compare(): Promise<void> {
    // A first visit.
    if (entries.value.size === 0 && !(await holdsAny('jobs', 'staging'))) return;
    const { checkLedger } = await wholeJobs();
    // A backup that was being restored when the window was lost is restored to its end first.
    if (await holdsAny('staging')) await (await import('../../backup/restore.ts')).finishRestore();
    const known = entries.value;
    const check = await checkLedger(known);
    damaged.value = check.damaged;
    entries.value = withChanges(entries.value, known, check.changes);
    if (homeless.value.size > 0) await findHomeless();
  }

  async function findHomeless(): Promise<void> {
    homeless.value = await jobsAhead(entries.value);
  }

  /** Shows a job by its entry; null: it is gone. */
  function put(id: string, entry: LedgerEntry | null): void {
    const next = new Map(entries.value);
    if (entry) next.set(id, entry);
    else next.delete(id);
    entries.value = next;
  }

  return { entries, damaged, homeless, fault, lines, failed, readEntries, compare, findHomeless, put };
}

/** The entries with what a comparison found; what was read anew since `known` is newer than that. */
function withChanges(entries: Entries, known: Entries, changes: ReadonlyMap<string, LedgerEntry | null>): Entries {
  const next = new Map(entries);
  for (const [id, entry] of changes) {
    if (next.get(id) !== known.get(id)) continue;
    if (entry) next.set(id, entry);
    else next.delete(id);
  }
  return next;
}

async function jobsAhead(entries: Entries): Promise<Homeless> {
  const found = new Map<string, { job: Job; line: JobLine }>();
  for (const [record, entry] of await recordsAhead('jobs')) {
    const { jobAhead, jobLine } = await wholeJobs();
    const id = record.slice('jobs/'.length);
    const job = jobAhead(entry);
    if (job && !entries.has(id)) found.set(id, { job, line: jobLine(job) });
  }
  return found;
}
