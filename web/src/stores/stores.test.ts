// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/job/newJob';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { saveJob as jobText } from '@mellow-probe/core/job/openJob';
import { mergeThreeWay } from '@mellow-probe/core/records/mergeThreeWay';
import { readFileSync } from 'node:fs';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { nextTick } from 'vue';
import { z } from 'zod';

/** A store in memory in place of the browser's, which can be full, blocked, or written by another window. */
const memory = vi.hoisted(() => ({
  jobs: new Map<string, unknown>(),
  shelf: new Map<string, unknown>(),
  photos: new Map<string, string>(),
  refuse: null as null | 'full' | 'blocked',
  listeners: [] as ((id: string, kind: 'saved' | 'removed') => void)[],
}));

vi.mock('../storage/jobStorage.ts', () => ({
  saveJob: (job: Job, base: Job | null) => {
    if (memory.refuse) return Promise.resolve({ ok: false, fault: memory.refuse });
    const stored = memory.jobs.get(job.id) as Job | undefined;
    const merged = stored && base && stored.updatedAt !== base.updatedAt ? mergeThreeWay(base, job, stored) : job;
    memory.jobs.set(job.id, structuredClone(merged));
    return Promise.resolve({ ok: true, job: merged });
  },
  readJob: (id: string) => Promise.resolve(structuredClone(memory.jobs.get(id) ?? null)),
  readAllJobs: () => Promise.resolve([...memory.jobs].map(([key, data]) => ({ key, data: structuredClone(data) }))),
  removeJob: (id: string) => Promise.resolve(void memory.jobs.delete(id)),
  onJobsChangedElsewhere: (callback: (id: string, kind: 'saved' | 'removed') => void) => {
    memory.listeners.push(callback);
    return () => undefined;
  },
  askToKeep: () => Promise.resolve(),
}));
vi.mock('../storage/photoStorage.ts', () => ({
  putPhoto: (id: string, image: string) => Promise.resolve(memory.refuse ?? (memory.photos.set(id, image), 'kept')),
  getPhoto: (id: string) => Promise.resolve(memory.photos.get(id) ?? null),
  removePhoto: (id: string) => Promise.resolve(void memory.photos.delete(id)),
}));
vi.mock('../storage/shelfStorage.ts', () => ({
  readShelf: (key: string) => Promise.resolve(structuredClone(memory.shelf.get(key) ?? null)),
  writeShelf: (key: string, data: unknown) => Promise.resolve(memory.refuse ?? (memory.shelf.set(key, data), 'kept')),
  onShelfChangedElsewhere: () => undefined,
}));

const { useJobs } = await import('./jobs.ts');
const { useOpenJob } = await import('./openJob.ts');
const { useKit } = await import('./kit.ts');
const { useCurves } = await import('./curves.ts');
const { useDraft } = await import('../composables/useDraft.ts');
const { useReadings } = await import('../composables/useReadings.ts');
const { changeJob } = await import('../composables/onJob.ts');

const NOW = '2026-01-02T03:04:05.000Z';
const IMAGE = 'data:image/jpeg;base64,AAAA';
const put = (id: string, change: (job: Job) => void = () => undefined): Job => {
  const job = newJob(id, NOW);
  change(job);
  memory.jobs.set(id, structuredClone(job));
  return job;
};
const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 15));
const file = (job: unknown, name = 'x.json'): File =>
  new File([typeof job === 'string' ? job : jobText(job as Job)], name, { type: 'application/json' });

beforeEach(() => {
  memory.jobs.clear();
  memory.shelf.clear();
  memory.photos.clear();
  memory.refuse = null;
  memory.listeners.length = 0;
  setActivePinia(createPinia());
});

describe('the ledger', () => {
  test('loads what can be opened, newest first; what cannot is shown apart and left alone', async () => {
    put('old');
    put('new', (j) => (j.updatedAt = '2026-02-02T03:04:05.000Z'));
    memory.jobs.set('broken', { format: 'mellow-probe/job', formatVersion: 2 });
    const jobs = useJobs();
    await jobs.load();
    expect(jobs.jobs.map((j) => j.id)).toEqual(['new', 'old']);
    expect(jobs.damaged).toMatchObject([{ key: 'broken', fault: { reason: 'bad-field' } }]);
    expect(memory.jobs.has('broken')).toBe(true);
  });
  test('a job of the first format is brought up to date when it is read', async () => {
    const fixture = JSON.parse(readFileSync('core/src/job/migrations/fixtures/0002-before.json', 'utf8')) as {
      id: string;
    };
    memory.jobs.set(fixture.id, fixture);
    const jobs = useJobs();
    await jobs.load();
    expect(jobs.damaged).toEqual([]);
    expect(jobs.jobs).toMatchObject([{ id: fixture.id, formatVersion: 2 }]);
  });
  test('copy has an id, a title and photos of its own; like this has nothing of the case', async () => {
    put('a', (j) => {
      j.title = 'Tern';
      j.photos = [{ id: 'p', caption: 'plug', takenAt: NOW, image: null }];
      j.complaint.text = 'rich';
    });
    memory.photos.set('p', IMAGE);
    const jobs = useJobs();
    await jobs.load();
    await jobs.copy(jobs.jobs[0]);
    const copy = jobs.jobs.find((j) => j.title === 'Tern (copy)')!;
    expect(copy.photos[0].id).not.toBe('p');
    expect(memory.photos.get(copy.photos[0].id)).toBe(IMAGE);
    const like = (await jobs.startLike(jobs.jobs.find((j) => j.id === 'a')!))!;
    expect(like).toMatchObject({ title: 'Tern', photos: [], complaint: { text: '' } });
  });
  test('delete and undo bring back what was stored, not what the list showed', async () => {
    put('a');
    const jobs = useJobs();
    await jobs.load();
    const shown = jobs.jobs[0];
    put('a', (j) => (j.note = 'typed elsewhere'));
    await jobs.remove(shown);
    expect(memory.jobs.size).toBe(0);
    await jobs.undoRemove();
    expect(jobs.jobs[0].note).toBe('typed elsewhere');
    expect(jobs.removed).toBeNull();
  });
  test('archive and back', async () => {
    put('a');
    const jobs = useJobs();
    await jobs.load();
    await jobs.setArchived(jobs.jobs[0], true);
    expect(jobs.jobs[0].archivedAt).not.toBeNull();
    await jobs.setArchived(jobs.jobs[0], false);
    expect(jobs.jobs[0].archivedAt).toBeNull();
  });
  test('import: a taken id gets a new one, photos go beside the job, bad files change nothing', async () => {
    put('a');
    const jobs = useJobs();
    await jobs.load();
    const withPhoto = { ...newJob('a', NOW), photos: [{ id: 'p', caption: '', takenAt: NOW, image: IMAGE }] };
    const result = await jobs.importFile(file(withPhoto));
    if (!result.ok) throw new Error(result.reason);
    expect(result.job.id).not.toBe('a');
    expect(result.job.photos[0].image).toBeNull();
    expect(memory.photos.get(result.job.photos[0].id)).toBe(IMAGE);
    expect(await jobs.importFile(file('{'))).toMatchObject({ ok: false, reason: 'not-json' });
    expect(
      await jobs.importFile(file({ ...withPhoto, photos: [{ ...withPhoto.photos[0], image: 'data:text/html,<b>' }] })),
    ).toMatchObject({ ok: false, reason: 'bad-field' });
    expect(jobs.jobs).toHaveLength(2);
  });
  test('a full store is said, and an import that is not kept says so', async () => {
    const jobs = useJobs();
    memory.refuse = 'full';
    expect(await jobs.create()).toBeNull();
    expect(jobs.fault).toBe('full');
    expect(await jobs.importFile(file(newJob('b', NOW)))).toEqual({ ok: false, reason: 'not-kept' });
  });
});

describe('the job on the bench', () => {
  test('missing, unreadable, open', async () => {
    const bench = useOpenJob();
    await bench.open('gone');
    expect(bench.state.kind).toBe('missing');
    memory.jobs.set('bad', { format: 'mellow-probe/job', formatVersion: 99 });
    await bench.open('bad');
    expect(bench.state).toMatchObject({ kind: 'unreadable', fault: { reason: 'newer-version' } });
    put('a');
    await bench.open('a');
    expect(bench.state.kind).toBe('open');
  });
  test('every change is written; opening alone writes nothing', async () => {
    put('a');
    const bench = useOpenJob();
    await bench.open('a');
    await settled();
    expect((memory.jobs.get('a') as Job).updatedAt).toBe(NOW);
    bench.job!.title = 'Tern';
    await settled();
    expect(memory.jobs.get('a')).toMatchObject({ title: 'Tern' });
    expect(bench.saving).toBe(false);
  });
  test('what another window wrote meanwhile is merged into what is typed here', async () => {
    put('a');
    const bench = useOpenJob();
    await bench.open('a');
    const theirs = structuredClone(memory.jobs.get('a')) as Job;
    memory.jobs.set('a', { ...theirs, note: 'theirs', updatedAt: '2026-05-05T00:00:00.000Z' });
    bench.job!.title = 'mine';
    await settled();
    expect(memory.jobs.get('a')).toMatchObject({ title: 'mine', note: 'theirs' });
    expect(bench.job).toMatchObject({ title: 'mine', note: 'theirs' });
  });
  test('a change elsewhere is taken over while nothing is typed here; a removal is said and can be undone', async () => {
    put('a');
    const bench = useOpenJob();
    await bench.open('a');
    memory.jobs.set('a', { ...newJob('a', NOW), title: 'elsewhere', updatedAt: '2026-05-05T00:00:00.000Z' });
    for (const listener of memory.listeners) listener('a', 'saved');
    await settled();
    expect(bench.job!.title).toBe('elsewhere');
    memory.jobs.delete('a');
    for (const listener of memory.listeners) listener('a', 'removed');
    expect(bench.removedElsewhere).toBe(true);
    await bench.retrySave();
    expect(memory.jobs.has('a')).toBe(true);
  });
  test('a store that refuses keeps what is typed on screen and takes it at the next try', async () => {
    put('a');
    const bench = useOpenJob();
    await bench.open('a');
    memory.refuse = 'full';
    bench.job!.title = 'typed';
    await settled();
    expect(bench.saveFault).toBe('full');
    expect(bench.job!.title).toBe('typed');
    memory.refuse = null;
    await bench.retrySave();
    expect(bench.saveFault).toBeNull();
    expect(memory.jobs.get('a')).toMatchObject({ title: 'typed' });
  });
});

describe('readings', () => {
  const openBench = async () => {
    put('a');
    const bench = useOpenJob();
    await bench.open('a');
    return { bench, readings: useReadings() };
  };
  test('typed into being, kept as typed, gone when emptied', async () => {
    const { bench, readings } = await openBench();
    readings.typeInto('sensor-ohms', '4k7');
    expect(bench.job!.readings).toMatchObject([
      { measurement: 'sensor-ohms', text: '4k7', value: 4700, state: 'steady', voided: null, history: [] },
    ]);
    readings.typeInto('sensor-ohms', 'OL');
    expect(bench.job!.readings[0].value).toBe('OL');
    readings.typeInto('sensor-ohms', '11,883');
    expect(bench.job!.readings[0]).toMatchObject({ text: '11,883', value: null });
    readings.typeInto('sensor-ohms', ' ');
    expect(bench.job!.readings).toEqual([]);
  });
  test('a correction leaves its trace, and then emptying does not wipe it', async () => {
    const { bench, readings } = await openBench();
    const id = readings.add('open-voltage', '5.01');
    readings.retype(id, '5.10');
    readings.remember(id, '5.01');
    readings.remember(id, '5.10');
    expect(bench.job!.readings[0].history.map((h) => h.text)).toEqual(['5.01']);
    readings.retype(id, '');
    expect(bench.job!.readings).toHaveLength(1);
  });
  test('voided is not the first any more; taken back in it is', async () => {
    const { readings } = await openBench();
    const id = readings.add('open-voltage', '5');
    readings.voidReading(id, 'wrong pin');
    expect(readings.first('open-voltage')).toBeUndefined();
    readings.unvoid(id);
    expect(readings.first('open-voltage')!.id).toBe(id);
  });
});

describe('the shelf', () => {
  test('the kit is kept and goes into new jobs as a copy', async () => {
    const kit = useKit();
    await settled();
    kit.kit.name = 'pocket meter';
    await settled();
    expect(memory.shelf.get('kit')).toMatchObject({ name: 'pocket meter' });
    const copy = await kit.forNewJob();
    copy.name = 'changed in the job';
    expect(kit.kit.name).toBe('pocket meter');
    memory.refuse = 'full';
    kit.kit.name = 'x';
    await settled();
    expect(kit.fault).toBe('full');
  });
  test('own curves come first, are deleted with undo, and an unknown id falls back to the catalogue', async () => {
    const curves = useCurves();
    const own = {
      format: 'mellow-probe/curve' as const,
      formatVersion: 1 as const,
      id: 'mine',
      name: 'Crane',
      source: 'p. 12',
      note: '',
      createdAt: NOW,
      curve: { kind: 'beta' as const, r25Ohm: 2000, betaK: 3600 },
    };
    expect(await curves.keep(own)).toBe(true);
    expect(curves.all[0]).toMatchObject({ id: 'mine', own: true });
    expect(curves.byId('mine').model.resistanceOhm(25)).toBeCloseTo(2000, 9);
    await curves.remove('mine');
    expect(curves.all.some((c) => c.own)).toBe(false);
    await curves.undoRemove();
    expect(curves.own).toHaveLength(1);
    expect(curves.byId('gone').own).toBe(false);
    memory.refuse = 'blocked';
    expect(await curves.keep({ ...own, id: 'more' })).toBe(false);
    expect(curves.own).toHaveLength(1);
  });
  test('a draft survives a reload; one that no longer fits is left alone', async () => {
    const schema = z.strictObject({ text: z.string() });
    const first = useDraft('t', schema, () => ({ text: '' }));
    await first.ready;
    first.draft.value.text = 'typed';
    await nextTick();
    await settled();
    const second = useDraft('t', schema, () => ({ text: '' }));
    await second.ready;
    expect(second.draft.value.text).toBe('typed');
    memory.shelf.set('draft.t', { other: 1 });
    const third = useDraft('t', schema, () => ({ text: 'empty' }));
    await third.ready;
    expect(third.draft.value.text).toBe('empty');
    expect(memory.shelf.get('draft.t')).toEqual({ other: 1 });
  });
  test('a result goes into a kept job in one step; a job that is gone takes none', async () => {
    put('a');
    expect(await changeJob('a', (j) => (j.circuit.curve = { source: 'catalogue', id: 'pt200' }))).toBe(true);
    expect((memory.jobs.get('a') as Job).circuit.curve).toEqual({ source: 'catalogue', id: 'pt200' });
    expect(await changeJob('gone', () => undefined)).toBe(false);
  });
});
