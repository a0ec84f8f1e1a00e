import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { ref, watch } from 'vue';
import { isPicture } from '../../browser/isPicture.ts';
import { getPhoto } from '../../data/storage/photoStorage.ts';

/** The photos of a job for its report, and how many cannot be read: one of those would make the PDF impossible. */
export function useReportPhotos(job: Job) {
  const photos = ref<{ image: string; caption: string }[]>([]);
  const unreadable = ref(0);
  watch(
    () => job.photos.map((p) => `${p.id}${p.caption}`).join(),
    async () => {
      const list = await Promise.all(
        job.photos.map(async ({ id, image, caption }) => ({
          image: image ?? (await getPhoto(job.id, id)) ?? '',
          caption,
        })),
      );
      const shown = await Promise.all(list.map(async (p) => p.image !== '' && (await isPicture(p.image))));
      photos.value = list.filter((_, i) => shown[i]);
      unreadable.value = list.filter((p, i) => p.image !== '' && !shown[i]).length;
    },
    { immediate: true },
  );
  return { photos, unreadable };
}
