import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { ref } from 'vue';
import { toStorageError } from '../../storage/storageError.ts';
import type { jobList } from './jobList.ts';
import { wholeJobs } from './wholeJobs.ts';

/** Reading the list of jobs, and single jobs of it. `afterwards` is called when the list has been read. */
export function jobLoading(list: ReturnType<typeof jobList>, afterwards: () => void) {
  const { entries, homeless, fault, failed, readEntries, compare, findHomeless, put } = list;
  const loaded = ref(false);
  /** Was the ledger compared with the jobs themselves in this window? */
  let compared: Promise<void> | null = null;

  /** Reads the ledger, and compares it with the jobs behind it: the first time in a window, or where it is empty, before it is `loaded`. */
  async function load(): Promise<void> {
    try {
      await readEntries();
      const comparing = comparison();
      if (entries.value.size === 0) await comparing;
      else void comparing.catch(failed);
      fault.value = null;
      afterwards();
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

  /** Reads everything anew: what is stored has changed behind the list. */
  async function reload(): Promise<void> {
    compared = null;
    await load();
    await comparison();
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

  return { loaded, load, reload, refresh, read };
}
