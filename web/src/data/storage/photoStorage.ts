import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { withStore } from './stores.ts';

/**
 * Photos are kept beside the jobs, so that typing does not write megabytes. The key is the job and the photo: a photo of one job can never take
 * the place of another job's. Earlier versions kept them by the photo alone; those are still found.
 */
const keyOf = (job: string, photo: string): string => `${job}/${photo}`;

/** Rejects with a `StorageError` where the store does not take it. */
export async function putPhoto(job: string, photo: string, image: string): Promise<void> {
  await withStore('photos', (s) => s.setItem(keyOf(job, photo), image));
}

/** The image as a data address; null where it is not in this browser. */
export async function getPhoto(job: string, photo: string): Promise<string | null> {
  try {
    return await withStore(
      'photos',
      async (s) => (await s.getItem<string>(keyOf(job, photo))) ?? s.getItem<string>(photo),
    );
  } catch {
    return null;
  }
}

/** Ids of the photos that are kept for a job. */
export async function photosOf(job: string): Promise<string[]> {
  const keys = await withStore('photos', (s) => s.keys());
  return keys.filter((key) => key.startsWith(`${job}/`)).map((key) => key.slice(job.length + 1));
}

export async function removePhotosOf(job: string, photos: readonly string[]): Promise<void> {
  for (const photo of photos) await withStore('photos', (s) => s.removeItem(keyOf(job, photo)));
}

/** Takes the photos out of a job that came from a file and puts them into their store; what that store refuses stays in the job. */
export async function settlePhotos(job: Job): Promise<Job> {
  const photos = await Promise.all(
    job.photos.map(async (p) => {
      if (p.image === null) return p;
      try {
        await putPhoto(job.id, p.id, p.image);
        return { ...p, image: null };
      } catch {
        return p;
      }
    }),
  );
  return { ...job, photos };
}

/** A job with its photos filled in, as it leaves in a file. */
export async function withPhotos(job: Job): Promise<Job> {
  const photos = await Promise.all(
    job.photos.map(async (p) => ({ ...p, image: p.image ?? (await getPhoto(job.id, p.id)) })),
  );
  return { ...job, photos };
}
