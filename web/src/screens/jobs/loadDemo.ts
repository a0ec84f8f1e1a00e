import { openJobData } from '@mellow-probe/core/check/job/openJob';
import { jobDoor } from '../../data/storage/jobStorage.ts';
import type { useJobs } from '../../data/stores/jobs/jobs.ts';

/** The made-up checks that ship with the program, as their files. */
const files = import.meta.glob<{ default: unknown }>('../../../../examples/demo/*.json');

/** Fills the demo workshop once: when it is empty. What a visitor changes there stays until its last check is deleted. */
export async function loadDemo(jobs: ReturnType<typeof useJobs>): Promise<void> {
  if (jobs.lines.length > 0) return;
  for (const read of Object.values(files)) {
    const opened = openJobData((await read()).default);
    if (opened.ok) await jobDoor(opened.job.id).write(opened.job, null);
  }
  await jobs.load();
}
