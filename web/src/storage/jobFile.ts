import type { Job } from '@mellow-probe/core/job/jobSchema';
import { saveJob } from '@mellow-probe/core/job/openJob';
import { getPhoto, putPhoto } from './photoStorage.ts';

/** The text of a job file with its photos filled in. */
export async function exportJobFile(job: Job): Promise<string> {
  const photos = await Promise.all(job.photos.map(async (p) => ({ ...p, image: p.image ?? (await getPhoto(p.id)) })));
  return saveJob({ ...job, photos });
}

/** Takes the photos out of a job that came from a file and puts them into their store; what that store refuses stays in the job. */
export async function settlePhotos(job: Job): Promise<Job> {
  const photos = await Promise.all(
    job.photos.map(async (p) =>
      p.image !== null && (await putPhoto(p.id, p.image)) === 'kept' ? { ...p, image: null } : p,
    ),
  );
  return { ...job, photos };
}
