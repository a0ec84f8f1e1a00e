import type { Job } from '@mellow-probe/core/job/jobSchema';
import { openJobData } from '@mellow-probe/core/job/openJob';
import { readJob, saveJob } from '../storage/jobStorage.ts';
import { nowIso } from './newId.ts';

/** Changes a kept job in one step, from outside the bench. Says whether it was kept. */
export async function changeJob(id: string, change: (job: Job) => void): Promise<boolean> {
  const opened = openJobData(await readJob(id));
  if (!opened.ok) return false;
  const next = structuredClone(opened.job);
  change(next);
  next.updatedAt = nowIso();
  // What came from a form may be wrapped for it: the store takes plain data only.
  return (await saveJob(JSON.parse(JSON.stringify(next)) as Job, opened.job)).ok;
}
