import { jobsStoreWords as say } from '@mellow-probe/core/wording/screens/jobs';
import type { CatalogueCircuit } from '@mellow-probe/core/catalogue/parts/circuits';
import type { Kit } from '@mellow-probe/core/catalogue/kit/kitSchema';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { OpenFault } from '@mellow-probe/core/check/job/openJob';
import { LONGEST } from '@mellow-probe/core/base/units/bounds';
import { newId, nowIso } from '../../../browser/newId.ts';
import { clearAhead, writeAhead } from '../../storage/ahead.ts';
import { settlePhotos, withPhotos } from '../../storage/photoStorage.ts';
import type { jobList } from './jobList.ts';
import { wholeJobs } from './wholeJobs.ts';

/** Jobs that are new in the list: made, copied, begun after another one, or from a file. `read` gives a whole job of the list. */
export function jobMaking(
  { entries, homeless, fault, failed, put }: ReturnType<typeof jobList>,
  read: (id: string) => Promise<Job | null>,
) {
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
    const [id, now] = [newId(), nowIso()];
    const whole = structuredClone(await withPhotos(job));
    await keep(await settlePhotos({ ...whole, id, createdAt: now, updatedAt: now, title: titleOfCopy(job.title) }));
  }

  async function startFrom(from: string, how: 'templateOf' | 'recurrenceOf'): Promise<Job | null> {
    const [job, make] = [await read(from), await wholeJobs()];
    if (!job) return null;
    const fresh = make[how](job, newId(), nowIso());
    await keep(fresh);
    return fresh;
  }

  /** Keeps a job that came from elsewhere, under a new id where its own is taken or odd; null where the store does not take it. */
  async function keepCopy(from: Job): Promise<Job | null> {
    // An id that an address cannot hold would make a check that nothing leads to.
    const taken = entries.value.has(from.id) || homeless.value.has(from.id) || !/^[\w.~-]+$/.test(from.id);
    const job = await settlePhotos(taken ? { ...from, id: newId() } : from);
    return (await keep(job)) ? job : null;
  }

  return {
    keep,
    create,
    copy,
    /** A new job on the same machine and circuit, with nothing of the old case. */
    startLike: (from: string) => startFrom(from, 'templateOf'),
    /** A new job of a fault that came back. */
    startAgain: (from: string) => startFrom(from, 'recurrenceOf'),
    keepCopy,
    importFile: (file: File) => importFile(file, keepCopy),
  };
}

function titleOfCopy(title: string): string {
  return title === '' ? say.copy : say.copyOf(title.slice(0, LONGEST.line - say.copyOf('').length));
}

/** Adds the job of a file; an id that is taken already gets a new one, so nothing is overwritten. */
async function importFile(
  file: File,
  keepCopy: (job: Job) => Promise<Job | null>,
): Promise<{ ok: true; job: Job } | ({ ok: false } & (OpenFault | { reason: 'not-kept' }))> {
  const { MAX_FILE_BYTES, openJob } = await wholeJobs();
  if (file.size > MAX_FILE_BYTES) return { ok: false, reason: 'too-large', bytes: file.size, limit: MAX_FILE_BYTES };
  const opened = openJob(await file.text());
  if (!opened.ok) return opened;
  const job = await keepCopy(opened.job);
  return job ? { ok: true, job } : { ok: false, reason: 'not-kept' };
}
