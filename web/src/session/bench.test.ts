// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { genericKit } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { type OwnCurve } from '@mellow-probe/core/circuit/curves/ownCurve';
import { setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { effectScope } from 'vue';
import { z } from 'zod';
import { browser, type BrowserWindow, emptyBrowser, openWindow, until } from '../../test/browserWindow.ts';

vi.mock('../workers/engineClient.ts', () => ({
  engineLine: () => ({
    judge: () => Promise.resolve(),
    withoutEach: () => Promise.resolve([]),
    course: () => Promise.resolve([]),
  }),
  EngineError: class extends Error {},
}));

const NOW = '2026-01-02T03:04:05.000Z';
const put = async (w: BrowserWindow, id: string, change: (j: Job) => void = () => undefined): Promise<void> => {
  const job = newJob(id, NOW);
  change(job);
  await w.jobStorage.jobDoor(id).write(job, null);
};
type Bench = ReturnType<BrowserWindow['bench']['useBench']>;
const benchOf = (w: BrowserWindow): Bench => {
  setActivePinia(w.pinia);
  return w.bench.useBench();
};
function sessionOf(bench: Bench) {
  if (bench.state.kind !== 'open') throw new Error(bench.state.kind);
  return bench.state.session;
}
const stored = async (w: BrowserWindow, id: string): Promise<Job> => (await w.jobStorage.jobDoor(id).read())!.value;

let w: BrowserWindow;
beforeEach(async () => {
  await emptyBrowser();
  w = await openWindow();
});
afterEach(() => vi.restoreAllMocks());

describe('the job on the bench', () => {
  test('open a, slow, then open b: b stands there, whatever comes late', async () => {
    await put(w, 'a');
    await put(w, 'b');
    const bench = benchOf(w);
    const holds: (() => void)[] = [];
    browser.delay = () => new Promise((resolve) => holds.push(resolve));
    const first = bench.open('a');
    browser.delay = () => Promise.resolve();
    await bench.open('b');
    expect(sessionOf(bench).id).toBe('b');
    holds.forEach((go) => go());
    await first;
    expect(sessionOf(bench).id).toBe('b');
  });
  test('the same job again is the same session; another one is a new one, and the first is put away kept', async () => {
    await put(w, 'a');
    await put(w, 'b');
    const bench = benchOf(w);
    await bench.open('a');
    const session = sessionOf(bench);
    await bench.open('a');
    expect(sessionOf(bench)).toBe(session);
    session.job.title = 'Tern';
    await bench.open('b');
    expect(sessionOf(bench).id).toBe('b');
    await until(async () => (await stored(w, 'a')).title === 'Tern', 'kept');
  });
  test('what is not there, cannot be opened, or cannot be read is said as such', async () => {
    const bench = benchOf(w);
    await bench.open('none');
    expect(bench.state).toEqual({ kind: 'missing', id: 'none' });
    await w.stores.withStore('jobs', (s) => s.setItem('bad', { format: 'mellow-probe/job', formatVersion: 99 }));
    await bench.open('bad');
    expect(bench.state).toMatchObject({ kind: 'unreadable', id: 'bad', fault: { reason: 'newer-version' } });
    const blocked = await openWindow();
    browser.opening = 'fails';
    const other = benchOf(blocked);
    await other.open('a');
    expect(other.state).toMatchObject({ kind: 'blocked', fault: 'blocked' });
  });
  test('store full, leave the check, come back: the figure is there, and still said not to be kept', async () => {
    await put(w, 'a');
    await put(w, 'b');
    const bench = benchOf(w);
    await bench.open('a');
    browser.refuse = 'full';
    sessionOf(bench).job.note = '4.8 V';
    await sessionOf(bench).record.settled();
    await bench.open('b');
    await bench.open('a');
    const session = sessionOf(bench);
    expect(session.job.note).toBe('4.8 V');
    await until(() => session.keeping.value.kind === 'refused', 'refused');
    browser.refuse = null;
    await session.record.keepAgain();
    expect((await stored(w, 'a')).note).toBe('4.8 V');
  });
  test('killed before the store had it: the next window has the figure, and undo takes it back', async () => {
    await put(w, 'a');
    const bench = benchOf(w);
    await bench.open('a');
    browser.delay = () => new Promise(() => undefined);
    sessionOf(bench).job.moments[0].temperatureC = { text: '12.5', value: 12.5 };
    // Its write, and that of the step, now hang in the store for good.
    await new Promise((r) => setTimeout(r, 20));
    w.die();
    browser.delay = () => Promise.resolve();
    const next = await openWindow();
    const again = benchOf(next);
    await again.open('a');
    const session = sessionOf(again);
    expect(session.job.moments[0].temperatureC).toEqual({ text: '12.5', value: 12.5 });
    await session.record.settled();
    expect((await stored(next, 'a')).moments[0].temperatureC.text).toBe('12.5');
    expect(session.history.next.undo!.patches[0].at.slice(0, 3)).toEqual(['moments', '#steady', 'temperatureC']);
  });
  test('the same field in two windows: one reading, nothing hidden', async () => {
    await put(w, 'a');
    const one = benchOf(w);
    await one.open('a');
    const other = await openWindow();
    const two = benchOf(other);
    await two.open('a');
    const reading = (text: string, value: number): Job['readings'][number] =>
      newReading('open-voltage', 'open-voltage', { text, value, takenAt: NOW });
    sessionOf(one).job.readings.push(reading('4.8', 4.8));
    sessionOf(two).job.readings.push(reading('4.9', 4.9));
    await Promise.all([sessionOf(one).record.settled(), sessionOf(two).record.settled()]);
    await until(() => sessionOf(one).job.readings[0].text === sessionOf(two).job.readings[0].text, 'both alike');
    const now = await stored(w, 'a');
    expect(now.readings).toHaveLength(1);
    expect([4.8, 4.9]).toContain(now.readings[0].value);
    expect(now.readings[0].text).toBe(String(now.readings[0].value));
  });
  test('deleted in another window is said; kept again it is no longer said', async () => {
    await put(w, 'a');
    const bench = benchOf(w);
    await bench.open('a');
    const session = sessionOf(bench);
    const other = await openWindow();
    await other.jobStorage.removeJob('a');
    await until(() => session.keeping.value.kind === 'removed-elsewhere', 'heard');
    session.job.note = 'more';
    await session.record.keepAgain();
    expect(session.keeping.value).toEqual({ kind: 'kept' });
    expect((await stored(w, 'a')).note).toBe('more');
    // The other window undoes its deletion now: what was typed here stays.
    await other.jobStorage.restoreJob('a');
    expect((await stored(w, 'a')).note).toBe('more');
  });
  test('deleted in another window, then reloaded here: it is offered, with what was typed after it was deleted', async () => {
    await put(w, 'd', (j) => (j.title = 'Pilot boat'));
    const bench = benchOf(w);
    await bench.open('d');
    const session = sessionOf(bench);
    const other = await openWindow();
    await other.jobStorage.removeJob('d');
    await until(() => session.keeping.value.kind === 'removed-elsewhere', 'heard');
    session.job.note = 'typed afterwards';
    await session.record.settled();
    // The window is killed: nothing closes in order.
    const next = await openWindow();
    const again = benchOf(next);
    await again.open('d');
    expect(again.state).toEqual({ kind: 'deleted', id: 'd' });
    await again.restore('d');
    expect(sessionOf(again).job).toMatchObject({ title: 'Pilot boat', note: 'typed afterwards' });
    await sessionOf(again).record.settled();
    expect(await stored(next, 'd')).toMatchObject({ title: 'Pilot boat', note: 'typed afterwards' });
    expect(await next.jobStorage.isInBin('d')).toBe(false);
  });
  test('a check that the store never took is opened from what is ahead of it, and kept when there is room', async () => {
    const job = { ...newJob('h', NOW), title: 'homeless' };
    w.ahead.writeAhead('jobs/h', null, [{ at: [], after: { format: 'garbage' } }], NOW);
    const bench = benchOf(w);
    await bench.open('h');
    expect(bench.state).toEqual({ kind: 'missing', id: 'h' });
    w.ahead.writeAhead('jobs/h', null, [{ at: [], after: job }], NOW);
    browser.refuse = 'full';
    await bench.open('h');
    const session = sessionOf(bench);
    expect(session.job.title).toBe('homeless');
    await session.record.settled();
    expect(session.keeping.value, 'never said to be kept').toEqual({ kind: 'refused', fault: 'full' });
    expect((await w.ahead.readAhead('jobs/h')).map((e) => w.ahead.wholeOf(e))).toEqual([job]);
    browser.refuse = null;
    await session.record.keepAgain();
    expect((await stored(w, 'h')).title).toBe('homeless');
  });
  test('a check that the store would not take is kept by opening it, once there is room', async () => {
    w.ahead.writeAhead('jobs/h', null, [{ at: [], after: { ...newJob('h', NOW), title: 'homeless' } }], NOW);
    const bench = benchOf(w);
    await bench.open('h');
    await sessionOf(bench).record.settled();
    expect(sessionOf(bench).keeping.value).toEqual({ kind: 'kept' });
    expect((await stored(w, 'h')).title).toBe('homeless');
    expect(await w.ahead.readAhead('jobs/h')).toEqual([]);
  });
  test('another one asked for while the first is being put together: the first never stands there', async () => {
    await put(w, 'a');
    await put(w, 'b');
    const bench = benchOf(w);
    const seen: string[] = [];
    const first = bench.open('a');
    // The first has been read; what it left ahead of the store is still being looked for.
    for (let i = 0; i < 3; i++) await new Promise((r) => setTimeout(r, 0));
    const second = bench.open('b');
    await Promise.all([first, second]);
    if (bench.state.kind === 'open') seen.push(bench.state.session.id);
    expect(seen).toEqual(['b']);
  });
  test('changed from outside: the open one at once, another one in its store', async () => {
    await put(w, 'a');
    await put(w, 'b');
    const bench = benchOf(w);
    await bench.open('a');
    await bench.changeJob('a', (j) => (j.note = 'here'));
    await bench.changeJob('b', (j) => (j.note = 'there'));
    expect(sessionOf(bench).job.note).toBe('here');
    expect([(await stored(w, 'a')).note, (await stored(w, 'b')).note]).toEqual(['here', 'there']);
    sessionOf(bench).history.undo();
    expect(sessionOf(bench).job.note).toBe('');
    await expect(bench.changeJob('none', () => undefined)).rejects.toThrow('no job');
  });
  test('a photo taken out is swept only when no step could bring it back', async () => {
    await put(w, 'a', (j) => (j.photos = [{ id: 'p', caption: '', takenAt: NOW, image: null }]));
    await w.photos.putPhoto('a', 'p', 'data:image/jpeg;base64,AAAA');
    await w.photos.putPhoto('a', 'gone', 'data:image/jpeg;base64,AAAA');
    const bench = benchOf(w);
    await bench.open('a');
    await until(async () => (await w.photos.photosOf('a')).length === 1, 'swept');
    sessionOf(bench).job.photos = [];
    await sessionOf(bench).record.settled();
    await sessionOf(bench).close();
    const next = await openWindow();
    const again = benchOf(next);
    await again.open('a');
    await new Promise((r) => setTimeout(r, 30));
    expect(await next.photos.photosOf('a')).toEqual(['p']);
    sessionOf(again).history.undo();
    expect(sessionOf(again).job.photos[0].id).toBe('p');
  });
});

describe('the shelf', () => {
  test('a kit that arrives late does not overwrite what was typed meanwhile; new jobs wait for it', async () => {
    setActivePinia(w.pinia);
    await w.stores.withStore('shelf', (s) =>
      s.setItem('kit', { ...genericKit(), name: 'stored', thermometer: 'glass' }),
    );
    const holds: (() => void)[] = [];
    browser.delay = () => new Promise((resolve) => holds.push(resolve));
    const kit = w.kit.useKit();
    kit.kit.name = 'typed';
    await Promise.resolve();
    browser.delay = () => Promise.resolve();
    const forJob = kit.forNewJob();
    await until(() => holds.length > 0);
    holds.forEach((go) => go());
    expect(await forJob).toMatchObject({ name: 'typed', thermometer: 'glass' });
    expect(kit.fault).toBeNull();
  });
  test('a draft is kept through a reload, typed before it arrived or after; one that no longer fits is replaced when typed', async () => {
    const schema = z.strictObject({ text: z.string(), more: z.string() });
    const draftOf = (win: BrowserWindow) => {
      const scope = effectScope();
      return scope.run(() => ({
        ...win.draft.useDraft('tool', schema, () => ({ text: '', more: '' })),
        stop: () => scope.stop(),
      }))!;
    };
    const first = draftOf(w);
    first.draft.value.text = 'early';
    await first.ready;
    first.draft.value.more = 'late';
    await until(
      async () => JSON.stringify(await w.stores.withStore('shelf', (s) => s.getItem('draft.tool'))).includes('late'),
      'kept',
    );
    first.stop();
    const next = await openWindow();
    const second = draftOf(next);
    await second.ready;
    expect(second.draft.value).toEqual({ text: 'early', more: 'late' });
    second.draft.value = { text: 'all', more: 'new' };
    await until(
      async () => JSON.stringify(await next.stores.withStore('shelf', (s) => s.getItem('draft.tool'))).includes('all'),
      'kept',
    );
    second.stop();
    await next.stores.withStore('shelf', (s) => s.setItem('draft.tool', { odd: 1 }));
    const third = draftOf(await openWindow());
    await third.ready;
    expect(third.draft.value).toEqual({ text: '', more: '' });
    expect(third.fault.value).toBeNull();
    browser.refuse = 'full';
    third.draft.value.text = 'x';
    await until(() => third.fault.value === 'full', 'said');
    third.stop();
  });
  test('own curves: those of before are there, a bad one hides no other and is not lost; delete and undo', async () => {
    const curve = (id: string): OwnCurve => ({
      format: 'mellow-probe/curve',
      formatVersion: 1,
      id,
      name: id,
      source: '',
      note: '',
      createdAt: NOW,
      curve: { kind: 'beta', r25Ohm: 1000, betaK: 3500 },
    });
    await w.stores.withStore('shelf', (s) => s.setItem('curves', [curve('a'), { broken: true }]));
    setActivePinia(w.pinia);
    const curves = w.curves.useCurves();
    await until(() => curves.own.length === 1, 'loaded');
    expect(await curves.keep(curve('b'))).toBe(true);
    expect(curves.all.slice(0, 2).map((c) => [c.id, c.own, c.source])).toEqual([
      ['b', true, 'own'],
      ['a', true, 'own'],
    ]);
    expect(curves.byId('a').name).toBe('a');
    expect(curves.byId('none').own).toBe(false);
    await curves.remove('a');
    expect(curves.own.map((c) => c.id)).toEqual(['b']);
    await curves.undoRemove();
    expect(curves.own.map((c) => c.id)).toEqual(['a', 'b']);
    expect(curves.removed).toBeNull();
    expect(JSON.stringify(await w.stores.withStore('shelf', (s) => s.getItem('curves')))).toContain('broken');
    browser.refuse = 'full';
    expect(await curves.keep(curve('c'))).toBe(false);
    expect([curves.fault, curves.own[0].id]).toEqual(['full', 'c']);
  });
});
