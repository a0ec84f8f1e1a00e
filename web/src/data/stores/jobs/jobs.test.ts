// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { saveJob as jobText } from '@mellow-probe/core/check/job/openJob';
import { genericKit } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { setActivePinia } from 'pinia';
import { beforeEach, describe, expect, test } from 'vitest';
import { readWord } from '../../storage/preferences.ts';
import { browser, type BrowserWindow, emptyBrowser, openWindow, until } from '../../../../test/browserWindow.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const IMAGE = 'data:image/jpeg;base64,AAAA';
const put = async (w: BrowserWindow, id: string, change: (j: Job) => void = () => undefined): Promise<void> => {
  const job = newJob(id, NOW);
  change(job);
  await w.jobStorage.jobDoor(id).write(job, null);
};
const file = (job: unknown): File =>
  new File([typeof job === 'string' ? job : jobText(job as Job)], 'x.json', { type: 'application/json' });
const ledgerOf = async (w: BrowserWindow) => {
  setActivePinia(w.pinia);
  const jobs = w.jobs.useJobs();
  await jobs.load();
  return jobs;
};

let w: BrowserWindow;
beforeEach(async () => {
  await emptyBrowser();
  w = await openWindow();
});

describe('the ledger', () => {
  test('loads what can be opened, newest first; what cannot is shown apart and left alone', async () => {
    await put(w, 'old');
    await put(w, 'new', (j) => (j.updatedAt = '2026-02-02T03:04:05.000Z'));
    await w.stores.withStore('jobs', (s) => s.setItem('broken', { format: 'mellow-probe/job', formatVersion: {} }));
    const jobs = await ledgerOf(w);
    expect(jobs.lines.map((j) => j.id)).toEqual(['new', 'old']);
    await until(() => jobs.damaged.length > 0, 'compared');
    expect(jobs.damaged).toMatchObject([{ key: 'broken', fault: { reason: 'bad-version' } }]);
    expect([jobs.loaded, jobs.fault]).toEqual([true, null]);
  });
  test('a job that the store would not take is on the list by its day, can be read and copied, and is not stored', async () => {
    await put(w, 'a', (j) => (j.updatedAt = '2026-03-01T00:00:00.000Z'));
    await put(w, 'b', (j) => (j.updatedAt = '2026-01-01T00:00:00.000Z'));
    const jobs = await ledgerOf(w);
    browser.refuse = 'full';
    expect(await jobs.keep({ ...newJob('c', NOW), updatedAt: '2026-02-01T00:00:00.000Z', title: 'here' })).toBe(false);
    expect([jobs.fault, jobs.lines.map((line) => line.id)]).toEqual(['full', ['a', 'c', 'b']]);
    expect(jobs.lines[1].title).toBe('here');
    expect((await jobs.read('c'))!.title).toBe('here');
    browser.refuse = null;
    expect(await w.jobStorage.jobDoor('c').read()).toBeNull();
    await jobs.copy('c');
    expect(jobs.lines.some((line) => line.title === 'here (copy)')).toBe(true);
  });
  test('a store that cannot be read now is said, and takes nothing off the list', async () => {
    await put(w, 'a');
    const jobs = await ledgerOf(w);
    await until(() => jobs.loaded, 'loaded');
    browser.delay = () => Promise.reject(new DOMException('refused', 'InvalidStateError'));
    await jobs.refresh('a');
    expect([jobs.fault, jobs.lines.map((line) => line.id), jobs.damaged.length]).toEqual(['blocked', ['a'], 0]);
  });
  test('what is not on the list is not offered back', async () => {
    await put(w, 'a');
    const jobs = await ledgerOf(w);
    await jobs.remove(['a', 'unknown']);
    expect(jobs.removed.map((line) => line.id)).toEqual(['a']);
  });
  test('whether there are checks is noted for the first paint of the next visit, once that is known', async () => {
    setActivePinia(w.pinia);
    const jobs = w.jobs.useJobs();
    expect([jobs.loaded, readWord('checks', '')]).toEqual([false, '']);
    await jobs.load();
    await until(() => readWord('checks', '') === 'no', 'noted');
    await jobs.keep(newJob('a', NOW));
    await until(() => readWord('checks', '') === 'yes', 'noted');
    await jobs.remove(['a']);
    await until(() => readWord('checks', '') === 'no', 'noted');
  });
  test('an id that no address could hold is given up for a new one; a plain one is kept', async () => {
    const jobs = await ledgerOf(w);
    const idOf = async (id: string): Promise<string> => (await jobs.keepCopy(newJob(id, NOW)))!.id;
    expect(await idOf('a-1.b~c_2')).toBe('a-1.b~c_2');
    for (const odd of ['a b', '/a', 'a?', 'ä', '']) expect(await idOf(odd)).toMatch(/^[\w.~-]+$/);
    expect(jobs.lines.every((line) => /^[\w.~-]+$/.test(line.id))).toBe(true);
  });
  test('one file more opens one record, not all of them again', async () => {
    await put(w, 'a');
    const jobs = await ledgerOf(w);
    const before = jobs.lines[0];
    const kept = await jobs.importFile(file(newJob('b', NOW)));
    expect(kept.ok).toBe(true);
    expect(jobs.lines.find((j) => j.id === 'a')).toBe(before);
    await jobs.load();
    expect(jobs.lines.find((j) => j.id === 'a')).toBe(before);
  });
  test('hears what other windows do', async () => {
    const jobs = await ledgerOf(w);
    const other = await openWindow();
    await put(other, 'x', (j) => (j.title = 'elsewhere'));
    await until(() => jobs.lines.length === 1, 'heard');
    await other.jobStorage.removeJob('x');
    await until(() => jobs.lines.length === 0, 'heard');
  });
  test('copy has an id, a title of bounded length and photos of its own; like this has nothing of the case', async () => {
    await put(w, 'a', (j) => {
      j.title = 'T'.repeat(400);
      j.photos = [{ id: 'p', caption: 'plug', takenAt: NOW, image: null }];
      j.complaint.text = 'rich';
    });
    await w.photos.putPhoto('a', 'p', IMAGE);
    const jobs = await ledgerOf(w);
    await jobs.copy('a');
    const copy = (await jobs.read(jobs.lines.find((j) => j.id !== 'a')!.id))!;
    expect(copy.title).toHaveLength(400);
    expect(copy.title.endsWith(' (copy)')).toBe(true);
    expect(await w.photos.getPhoto(copy.id, 'p')).toBe(IMAGE);
    const like = await jobs.startLike('a');
    expect(like).toMatchObject({ photos: [], complaint: { text: '' } });
    await jobs.keep({ ...like!, title: '' });
    await jobs.copy(like!.id);
    expect(jobs.lines.some((j) => j.title === 'Copy')).toBe(true);
  });
  test('a copied photo is not lost when the photos’ store is full: it goes with the job', async () => {
    await put(w, 'a', (j) => (j.photos = [{ id: 'p', caption: '', takenAt: NOW, image: null }]));
    await w.photos.putPhoto('a', 'p', IMAGE);
    const jobs = await ledgerOf(w);
    Object.assign(browser, { refuse: 'full', refuseIn: 'photos' });
    await jobs.copy('a');
    const copy = (await jobs.read(jobs.lines.find((j) => j.id !== 'a')!.id))!;
    expect(copy.photos[0].image).toBe(IMAGE);
    expect(jobs.fault).toBeNull();
  });
  test('delete and undo bring back what was stored, not what the list showed; closing the offer lets photos go', async () => {
    await put(w, 'a');
    await w.photos.putPhoto('a', 'p', IMAGE);
    const jobs = await ledgerOf(w);
    const shown = jobs.lines[0];
    await w.jobStorage.changeStoredJob('a', (j) => (j.note = 'typed elsewhere'));
    await jobs.remove([shown.id]);
    expect(jobs.lines).toEqual([]);
    expect(jobs.removed).toEqual([shown]);
    await jobs.undoRemove();
    expect(jobs.lines[0].about).toBe('typed elsewhere');
    expect(jobs.removed).toEqual([]);
    expect(await w.photos.photosOf('a')).toEqual(['p']);
    await jobs.remove(['a']);
    await jobs.forget();
    expect(await w.photos.photosOf('a')).toEqual([]);
    await jobs.undoRemove();
    expect(jobs.lines).toEqual([]);
  });
  test('the next deletion lets the one before it go', async () => {
    await put(w, 'a');
    await put(w, 'b');
    await w.photos.putPhoto('a', 'p', IMAGE);
    const jobs = await ledgerOf(w);
    await jobs.remove(['a']);
    await jobs.remove(['b']);
    expect(await w.photos.photosOf('a')).toEqual([]);
    await jobs.undoRemove();
    expect(jobs.lines.map((j) => j.id)).toEqual(['b']);
  });
  test('archive and back, on what is stored now', async () => {
    await put(w, 'a');
    const jobs = await ledgerOf(w);
    const shown = jobs.lines[0];
    await w.jobStorage.changeStoredJob('a', (j) => (j.note = 'typed elsewhere'));
    await jobs.setArchived([shown.id], true);
    expect(jobs.lines[0]).toMatchObject({ about: 'typed elsewhere', archived: true });
    expect((await jobs.read('a'))!.archivedAt).not.toBeNull();
    await jobs.setArchived([jobs.lines[0].id], false);
    expect((await jobs.read('a'))!.archivedAt).toBeNull();
    browser.refuse = 'blocked';
    await jobs.setArchived([jobs.lines[0].id], true);
    expect(jobs.fault).toBe('blocked');
  });
  test('several at once: archived, tagged, untagged, deleted and brought back, each on what is stored now', async () => {
    for (const id of ['a', 'b', 'c']) await put(w, id, (j) => (j.tags = id === 'b' ? ['wet'] : []));
    const jobs = await ledgerOf(w);
    await jobs.tag(['a', 'b'], 'fleet 2, -wet, harbour');
    const tags = (id: string) => jobs.lines.find((line) => line.id === id)!.tags;
    expect([tags('a'), tags('b'), tags('c')]).toEqual([['fleet 2', 'harbour'], ['fleet 2', 'harbour'], []]);
    await jobs.tag(['c'], Array.from({ length: 20 }, (_, i) => `t${i}`).join());
    expect(tags('c')).toHaveLength(12);
    await jobs.setArchived(['a', 'c'], true);
    expect(
      jobs.lines
        .filter((line) => line.archived)
        .map((line) => line.id)
        .sort(),
    ).toEqual(['a', 'c']);
    await jobs.remove(['a', 'c']);
    expect([jobs.lines.map((line) => line.id), jobs.removed.map((line) => line.id)]).toEqual([['b'], ['a', 'c']]);
    await jobs.undoRemove();
    expect(jobs.lines.map((line) => line.id).sort()).toEqual(['a', 'b', 'c']);
    expect(await jobs.read('gone')).toBeNull();
    await jobs.copy('gone');
    expect(await jobs.startLike('gone')).toBeNull();
    expect(jobs.lines).toHaveLength(3);
  });
  test('what the ledger’s copy has wrong is put right behind the first rows', async () => {
    await put(w, 'a');
    await put(w, 'b');
    await w.ledger.readLedger();
    // Written by a window that knew of no ledger.
    await w.stores.withStore('jobs', async (s) => {
      const record = (await s.getItem<{ revision: string; value: Job }>('a'))!;
      await s.setItem('a', { ...record, revision: 'other', value: { ...record.value, title: 'changed' } });
      await s.removeItem('b');
    });
    const jobs = await ledgerOf(w);
    await until(() => jobs.lines.length === 1, 'compared');
    expect(jobs.lines[0].title).toBe('changed');
    await put(w, 'c');
    await jobs.load();
    expect(jobs.lines.map((line) => line.id).sort()).toEqual(['a', 'c']);
  });
  test('one that is damaged in another window goes to the damaged ones', async () => {
    await put(w, 'a');
    const jobs = await ledgerOf(w);
    await w.stores.withStore('jobs', (s) => s.setItem('a', { kept: 1, revision: 'z', value: { format: 'other' } }));
    await jobs.refresh('a');
    expect([jobs.lines.length, jobs.damaged.map((d) => d.key)]).toEqual([0, ['a']]);
  });
  test('import: a taken id gets a new one, photos go beside their own job, bad files change nothing', async () => {
    await put(w, 'a', (j) => (j.photos = [{ id: 'p', caption: '', takenAt: NOW, image: null }]));
    await w.photos.putPhoto('a', 'p', `${IMAGE}BB`);
    const jobs = await ledgerOf(w);
    const withPhoto = { ...newJob('a', NOW), photos: [{ id: 'p', caption: '', takenAt: NOW, image: IMAGE }] };
    const result = await jobs.importFile(file(withPhoto));
    if (!result.ok) throw new Error(result.reason);
    expect(result.job.id).not.toBe('a');
    expect(await w.photos.getPhoto(result.job.id, 'p')).toBe(IMAGE);
    expect(await w.photos.getPhoto('a', 'p')).toBe(`${IMAGE}BB`);
    expect(await jobs.importFile(file('{'))).toMatchObject({ ok: false, reason: 'not-json' });
    expect(
      await jobs.importFile({ size: 1e9, text: () => Promise.reject(new Error('never read')) } as unknown as File),
    ).toMatchObject({ reason: 'too-large', bytes: 1e9 });
    expect(jobs.lines).toHaveLength(2);
  });
});

describe('a store that keeps nothing', () => {
  test('a new check lives on in this window, is said not to be kept, and can be opened, exported and deleted', async () => {
    const jobs = await ledgerOf(w);
    browser.refuse = 'full';
    const job = await jobs.create(genericKit());
    expect(jobs.fault).toBe('full');
    expect(jobs.homeless.has(job.id)).toBe(true);
    expect(jobs.lines.map((j) => j.id)).toEqual([job.id]);
    expect(await jobs.importFile(file(newJob('b', NOW)))).toEqual({ ok: false, reason: 'not-kept' });
    await jobs.load();
    expect(jobs.lines).toHaveLength(2);
    await jobs.remove(['b']);
    expect(jobs.lines.map((j) => j.id)).toEqual([job.id]);
    browser.refuse = null;
    setActivePinia(w.pinia);
    expect(await jobs.keep(job)).toBe(true);
    await jobs.load();
    expect([jobs.homeless.size, jobs.fault]).toEqual([0, null]);
  });
  test('a database that does not open is said on the list, not shown as an empty one', async () => {
    browser.opening = 'fails';
    const jobs = await ledgerOf(await openWindow());
    expect([jobs.loaded, jobs.fault, jobs.lines.length]).toEqual([true, 'blocked', 0]);
    browser.opening = null;
    await put(w, 'a');
    await jobs.load();
    expect([jobs.fault, jobs.lines.length]).toEqual([null, 1]);
  });
});
