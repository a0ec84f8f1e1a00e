// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { expect, test, vi } from 'vitest';
import { effectScope, reactive } from 'vue';
import { NOW } from '../../../test/mountedScreens.ts';

/** Only what ends in "picture" can be shown: the window of the tests decodes nothing. */
vi.mock('../../browser/isPicture.ts', () => ({ isPicture: (a: string) => Promise.resolve(a.endsWith('picture')) }));
const { putPhoto } = await import('../../data/storage/photoStorage.ts');
const { useReportPhotos } = await import('./useReportPhotos.ts');

test('photos of the check itself or of the store, with their words; one that cannot be read is counted, a lost one is not', async () => {
  const photo = (id: string, image?: string) => ({ id, caption: `of ${id}`, takenAt: NOW, image });
  const photos = [photo('own', 'data:picture'), photo('stored'), photo('lost'), photo('odd', 'data:noise')];
  const job = reactive<Job>({ ...newJob('j', NOW), photos: photos as never });
  await putPhoto('j', 'stored', 'data:stored picture');
  const scope = effectScope();
  const { photos: shown, unreadable } = scope.run(() => useReportPhotos(job))!;
  await vi.waitFor(() =>
    expect(shown.value).toEqual([
      { image: 'data:picture', caption: 'of own' },
      { image: 'data:stored picture', caption: 'of stored' },
    ]),
  );
  expect(unreadable.value).toBe(1);
  job.photos[0].caption = 'the plug';
  await vi.waitFor(() => expect(shown.value[0].caption).toBe('the plug'));
  job.photos.splice(3);
  await vi.waitFor(() => expect(unreadable.value).toBe(0));
  scope.stop();
});
