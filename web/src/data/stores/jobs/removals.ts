import type { JobLine } from '@mellow-probe/core/check/job/jobList';
import { type Ref, shallowRef } from 'vue';
import { clearAhead } from '../../storage/ahead.ts';
import { holdsAny } from '../../storage/stores.ts';
import { wholeJobs } from './wholeJobs.ts';

/** What was removed stays in the bin this long, ms. */
const BIN_MS = 24 * 3600 * 1000;

/** What the list of jobs gives to those who take something off it. */
interface List {
  lines: Readonly<Ref<readonly JobLine[]>>;
  failed: (error: unknown) => void;
  refresh: (id: string) => Promise<void>;
  findHomeless: () => Promise<void>;
}

/** Jobs taken off the list, and the way back for those removed last. */
export function removals({ lines, failed, refresh, findHomeless }: List) {
  const removed = shallowRef<readonly JobLine[]>([]);

  async function remove(ids: readonly string[]): Promise<void> {
    await forget();
    const { jobDoor, removeJob } = await wholeJobs();
    const gone: JobLine[] = [];
    for (const id of ids) {
      const line = lines.value.find((l) => l.id === id);
      try {
        await removeJob(id);
        if (line) gone.push(line);
      } catch (error) {
        failed(error);
      }
      clearAhead(jobDoor(id).name);
      await refresh(id);
    }
    removed.value = gone;
    await findHomeless();
  }

  /** The jobs that could be brought back are let go, with their photos. */
  async function forget(): Promise<void> {
    const gone = removed.value;
    removed.value = [];
    if (gone.length === 0) return;
    const { emptyBin } = await wholeJobs();
    for (const { id } of gone) await emptyBin('9999', id).catch(() => undefined);
  }

  async function undoRemove(): Promise<void> {
    const gone = removed.value;
    removed.value = [];
    const { restoreJob } = await wholeJobs();
    for (const line of gone) {
      try {
        await restoreJob(line.id);
      } catch (error) {
        removed.value = [...removed.value, line];
        failed(error);
      }
      await refresh(line.id);
    }
  }

  /** Lets go of what has lain in the bin for a day. A store that does not answer is asked the next time. */
  async function emptyOldBin(): Promise<void> {
    try {
      if (!(await holdsAny('bin'))) return;
      await (await wholeJobs()).emptyBin(new Date(Date.now() - BIN_MS).toISOString());
    } catch {
      // The next time.
    }
  }

  return { removed, remove, forget, undoRemove, emptyOldBin };
}
