// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { openJob } from '@mellow-probe/core/check/job/openJob';
import { BlobReader, TextWriter, ZipReader } from '@zip.js/zip.js';
import { beforeEach, expect, test } from 'vitest';
import { NOW } from '../../../test/mountedScreens.ts';
import { saved } from '../../../test/savedFiles.ts';

const { exportJobs } = await import('./exportJobs.ts');
const { putPhoto } = await import('../../data/storage/photoStorage.ts');

beforeEach(() => void saved.splice(0));
const titled = (id: string, title: string) => ({ ...newJob(id, NOW), title });
const JOBS = [titled('a', 'Pump'), titled('b', 'Pump'), titled('c', 'Pump'), titled('d', 'Boiler')];
const read = (id: string) => Promise.resolve(JOBS.find((j) => j.id === id) ?? null);

test('one check is its own file, with its photos; without a check there is no file', async () => {
  const photo = { id: 'p', caption: 'plug', takenAt: NOW };
  await putPhoto('a', 'p', 'data:image/jpeg;base64,/9j/');
  await exportJobs(['a', 'gone'], async (id) => {
    const job = await read(id);
    return job && { ...job, photos: [photo] as never };
  });
  expect(saved.map((s) => s.name)).toEqual(['Pump.json']);
  expect(JSON.parse(await saved[0].blob.text())).toMatchObject({ photos: [{ image: 'data:image/jpeg;base64,/9j/' }] });
  await exportJobs(['gone'], read);
  expect(saved).toHaveLength(1);
});
test('several are a ZIP of their files; checks of one title are numbered', async () => {
  await exportJobs(['a', 'b', 'gone', 'c', 'd'], read);
  expect(saved.map((s) => s.name)).toEqual(['checks-4.zip']);
  const zip = new ZipReader(new BlobReader(saved[0].blob), { useWebWorkers: false });
  const files = await zip.getEntries();
  expect(files.map((f) => f.filename)).toEqual(['Pump.json', 'Pump-2.json', 'Pump-3.json', 'Boiler.json']);
  const [, second] = files;
  if (second.directory) throw new Error('a folder');
  expect(openJob(await second.getData(new TextWriter()))).toMatchObject({ ok: true, job: { id: 'b' } });
});
