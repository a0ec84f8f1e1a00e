// @vitest-environment happy-dom
import { NEWEST_VERSION } from '@mellow-probe/core/check/job/migrations/list';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { browser, type BrowserWindow, emptyBrowser, openWindow, until } from '../../../test/browserWindow.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const IMAGE = 'data:image/jpeg;base64,AAAA';
const job = (id: string, change: (j: Job) => void = () => undefined): Job => {
  const made = newJob(id, NOW);
  change(made);
  return made;
};
const raw = (w: BrowserWindow, key: string): Promise<unknown> => w.stores.withStore('jobs', (s) => s.getItem(key));
const putRaw = (w: BrowserWindow, key: string, data: unknown): Promise<unknown> =>
  w.stores.withStore('jobs', (s) => s.setItem(key, data));

let w: BrowserWindow;
beforeEach(async () => {
  await emptyBrowser();
  w = await openWindow();
});

describe('a door', () => {
  test('what is written is read back, with a revision of its own that follows the one before', async () => {
    const door = w.jobStorage.jobDoor('a');
    expect(await door.read()).toBeNull();
    const first = await door.write(job('a'), null);
    const second = await door.write({ ...first.value, title: 'Tern' }, first);
    expect(second.revision).not.toBe(first.revision);
    expect(second.follows).toEqual([first.revision]);
    expect(await door.read()).toEqual(second);
    const third = await door.write({ ...second.value, title: 'Gull' }, second);
    expect(third.follows).toEqual([second.revision, first.revision]);
  });
  test('two windows within one tick of the clock: both sets of changes are kept, whoever writes last', async () => {
    const door = w.jobStorage.jobDoor('a');
    const base = await door.write(job('a'), null);
    const other = (await openWindow()).jobStorage.jobDoor('a');
    const [mine, theirs] = await Promise.all([
      door.write({ ...base.value, title: 'Tern' }, base),
      other.write({ ...base.value, note: 'wet' }, base),
    ]);
    expect([mine.value.title, theirs.value.title]).toContain('Tern');
    expect((await door.read())!.value).toMatchObject({ title: 'Tern', note: 'wet' });
  });
  test('records of earlier versions stand there bare and are read and followed', async () => {
    await putRaw(
      w,
      'a',
      job('a', (j) => (j.title = 'old')),
    );
    const kept = (await w.jobStorage.jobDoor('a').read())!;
    expect(kept.value.title).toBe('old');
    const next = await w.jobStorage.jobDoor('a').write({ ...kept.value, note: 'new' }, kept);
    expect(next.follows).toEqual([kept.revision]);
  });
  test('nothing goes in that could not be opened again, and what cannot be opened is never written over', async () => {
    const door = w.jobStorage.jobDoor('a');
    await expect(door.write({ ...job('a'), title: 'x'.repeat(5000) }, null)).rejects.toMatchObject({
      fault: 'invalid',
    });
    expect(await raw(w, 'a')).toBeNull();
    await putRaw(w, 'a', { format: 'mellow-probe/job', formatVersion: 99 });
    await expect(door.read()).rejects.toMatchObject({ fault: 'invalid' });
    await expect(door.write(job('a'), null)).rejects.toMatchObject({ fault: 'invalid' });
    expect(await raw(w, 'a')).toEqual({ format: 'mellow-probe/job', formatVersion: 99 });
  });
  test.each([
    ['full', 'full'],
    ['blocked', 'blocked'],
  ] as const)('a %s store is told as such', async (refuse, fault) => {
    browser.refuse = refuse;
    await expect(w.jobStorage.jobDoor('a').write(job('a'), null)).rejects.toMatchObject({
      fault,
      name: 'StorageError',
    });
  });
  test('the other windows hear of it, this one does not', async () => {
    const other = await openWindow();
    const heard: string[] = [];
    w.jobStorage.jobDoor('a').onElsewhere((kind) => heard.push(`this ${kind}`));
    const stop = other.jobStorage.jobDoor('a').onElsewhere((kind) => heard.push(`other ${kind}`));
    other.jobStorage.jobDoor('b').onElsewhere((kind) => heard.push(`wrong ${kind}`));
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    await until(() => heard.length > 0);
    await w.jobStorage.removeJob('a');
    await until(() => heard.length > 1);
    expect(heard).toEqual(['other written', 'other removed']);
    stop();
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    await new Promise((r) => setTimeout(r, 30));
    expect(heard).toHaveLength(2);
  });
});

describe('a browser without locks (a page over plain HTTP)', () => {
  test('still keeps, one write after the other', async () => {
    const plain = await openWindow({ locks: false });
    const door = plain.jobStorage.jobDoor('a');
    const base = await door.write(job('a'), null);
    await Promise.all([
      door.write({ ...base.value, title: 'Tern' }, base),
      door.write({ ...base.value, note: 'wet' }, base),
      door.write({ ...base.value, machine: 'M' }, base),
    ]);
    expect((await door.read())!.value).toMatchObject({ title: 'Tern', note: 'wet', machine: 'M' });
  });
  test('a failed write does not hold up the next', async () => {
    const plain = await openWindow({ locks: false });
    const door = plain.jobStorage.jobDoor('a');
    browser.refuse = 'full';
    await expect(door.write(job('a'), null)).rejects.toMatchObject({ fault: 'full' });
    browser.refuse = null;
    await expect(door.write(job('a'), null)).resolves.toMatchObject({ value: { id: 'a' } });
  });
});

describe('opening', () => {
  test('a database that does not open is a failure, never another store; the next try may succeed', async () => {
    browser.opening = 'fails';
    await expect(w.jobStorage.jobDoor('a').read()).rejects.toMatchObject({ fault: 'blocked' });
    browser.opening = null;
    await expect(w.jobStorage.jobDoor('a').write(job('a'), null)).resolves.toBeTruthy();
    expect(localStorage.length).toBe(0);
  });
  test('one that never answers is a failure too', async () => {
    w.stores.PATIENCE.ms = 20;
    browser.opening = 'silent';
    await expect(w.jobStorage.jobDoor('a').read()).rejects.toMatchObject({ fault: 'silent' });
    browser.opening = null;
    expect(await w.jobStorage.jobDoor('a').read()).toBeNull();
  });
  test('a store that hangs in the middle of work is told as well', async () => {
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    w.stores.PATIENCE.ms = 20;
    browser.delay = () => new Promise(() => undefined);
    await expect(w.jobStorage.jobDoor('a').read()).rejects.toMatchObject({ fault: 'silent' });
  });
});

describe('the store of jobs', () => {
  test('one bad record is one failure, kept as it is; the others are there', async () => {
    await w.jobStorage.jobDoor('good').write(job('good'), null);
    const bad: Record<string, unknown> = {
      object: { format: 'mellow-probe/job', formatVersion: {} },
      half: { format: 'mellow-probe/job', formatVersion: 1.5 },
      list: { format: 'mellow-probe/job', formatVersion: [1] },
      text: 'no record at all',
      wrapped: { kept: 1, revision: 'x', value: null },
    };
    for (const [key, data] of Object.entries(bad)) await putRaw(w, key, data);
    const { changes, damaged } = await w.jobStorage.checkLedger(new Map());
    expect([...changes.keys()]).toEqual(['good']);
    expect(damaged.map((d) => d.key).sort()).toEqual(Object.keys(bad).sort());
    expect(damaged.find((d) => d.key === 'object')).toMatchObject({
      fault: { reason: 'bad-version' },
      data: bad.object,
    });
    expect(await raw(w, 'object')).toEqual(bad.object);
  });
  test('the ledger follows every write, from this window and others; removed and restored jobs too', async () => {
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    const kept = (await w.jobStorage.jobDoor('a').read())!;
    await w.jobStorage.jobDoor('a').write({ ...kept.value, title: 'x' }, kept);
    const other = await openWindow();
    await other.jobStorage.jobDoor('b').write(job('b'), null);
    await other.ledger.readLedger();
    const ledger = await w.ledger.readLedger();
    expect([...ledger.keys()].sort()).toEqual(['a', 'b']);
    expect(ledger.get('a')).toEqual(await w.jobStorage.readEntry('a'));
    expect(ledger.get('a')!.line.title).toBe('x');
    await w.jobStorage.removeJob('a');
    expect([...(await w.ledger.readLedger()).keys()]).toEqual(['b']);
    expect(await w.jobStorage.readEntry('a')).toBeNull();
    await w.jobStorage.restoreJob('a');
    expect((await w.ledger.readLedger()).get('a')!.line.title).toBe('x');
  });
  test('what the ledger lacks, holds too much or holds of another revision is made again from the jobs, and only that', async () => {
    for (const id of ['same', 'stale', 'gone']) await w.jobStorage.jobDoor(id).write(job(id), null);
    const known = await w.ledger.readLedger();
    expect((await w.jobStorage.checkLedger(known)).changes.size).toBe(0);
    known.get('stale')!.revision = 'older';
    await putRaw(w, 'new', job('new'));
    await w.stores.withStore('jobs', (s) => s.removeItem('gone'));
    const { changes } = await w.jobStorage.checkLedger(known);
    expect([...changes.keys()].sort()).toEqual(['gone', 'new', 'stale']);
    expect([changes.get('gone'), changes.get('new')!.line.id]).toEqual([null, 'new']);
    expect(changes.get('stale')).toEqual(await w.jobStorage.readEntry('stale'));
    expect([...(await w.ledger.readLedger()).keys()].sort()).toEqual(['new', 'same', 'stale']);
    // Bare records of earlier versions have no revision of their own: always opened.
    expect([...(await w.jobStorage.checkLedger(await w.ledger.readLedger())).changes.keys()]).toEqual(['new']);
  });
  test('one that can no longer be opened leaves the ledger for the damaged ones', async () => {
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    const known = await w.ledger.readLedger();
    await putRaw(w, 'a', { format: 'mellow-probe/job', formatVersion: {} });
    const { changes, damaged } = await w.jobStorage.checkLedger(known);
    expect([changes.get('a'), damaged.map((d) => d.key)]).toEqual([null, ['a']]);
  });
  test('a ledger that cannot be written or read costs nothing but its speed', async () => {
    Object.assign(browser, { refuse: 'full', refuseIn: 'ledger' });
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    expect((await w.ledger.readLedger()).size).toBe(0);
    expect([...(await w.jobStorage.checkLedger(new Map())).changes.keys()]).toEqual(['a']);
    browser.refuse = null;
    for (let page = 0; page < 64; page++) await w.stores.withStore('ledger', (s) => s.setItem(`2/${page}`, 'nonsense'));
    expect((await w.ledger.readLedger()).size).toBe(0);
    await w.jobStorage.jobDoor('a').write({ ...job('a'), title: 'y' }, null);
    expect((await w.ledger.readLedger()).get('a')!.line.title).toBe('y');
  });
  test('why one cannot be opened; nothing of one that can, or is not there', async () => {
    await putRaw(w, 'bad', { format: 'mellow-probe/job', formatVersion: 99 });
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    expect(await w.jobStorage.jobFault('bad')).toMatchObject({ reason: 'newer-version' });
    expect(await w.jobStorage.jobFault('a')).toBeNull();
    expect(await w.jobStorage.jobFault('none')).toBeNull();
  });
  test('a stored job is changed in one step; what is typed meanwhile elsewhere stays', async () => {
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    await w.jobStorage.changeStoredJob('a', (j) => (j.note = 'changed'));
    const now = (await w.jobStorage.jobDoor('a').read())!.value;
    expect(now.note).toBe('changed');
    expect(now.updatedAt > NOW).toBe(true);
    await expect(w.jobStorage.changeStoredJob('none', () => undefined)).rejects.toThrow('no job "none"');
  });
});

describe('the bin', () => {
  test('removed and restored: the job as it was; what was typed in another window meanwhile stays', async () => {
    const door = w.jobStorage.jobDoor('a');
    await door.write(
      job('a', (j) => (j.title = 'Tern')),
      null,
    );
    await w.jobStorage.removeJob('a');
    expect(await door.read()).toBeNull();
    await w.jobStorage.restoreJob('a');
    expect((await door.read())!.value.title).toBe('Tern');

    const other = await openWindow();
    const kept = (await door.read())!;
    await w.jobStorage.removeJob('a');
    // Kept again elsewhere, with more in it.
    await other.jobStorage.jobDoor('a').write({ ...kept.value, note: 'typed elsewhere' }, kept);
    await w.jobStorage.restoreJob('a');
    expect((await door.read())!.value).toMatchObject({ title: 'Tern', note: 'typed elsewhere' });
  });
  test('it outlives the page, and is emptied with photos, history and unsent words after its time', async () => {
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    await w.photos.putPhoto('a', 'p', IMAGE);
    await w.photos.putPhoto('b', 'p', IMAGE);
    await w.history.historyDoor('a').write({ undo: [], redo: [] });
    localStorage.setItem('mellow-probe.own.unsent.a.code', 'P0');
    await w.jobStorage.removeJob('a');
    const later = await openWindow();
    await later.jobStorage.emptyBin('2020');
    expect(await later.photos.photosOf('a')).toEqual(['p']);
    await later.jobStorage.restoreJob('a');
    expect(await later.jobStorage.jobDoor('a').read()).not.toBeNull();
    await later.jobStorage.removeJob('a');
    await later.jobStorage.emptyBin('9999', 'another');
    expect(await later.photos.photosOf('a')).toEqual(['p']);
    await later.jobStorage.emptyBin('9999');
    expect(await later.photos.photosOf('a')).toEqual([]);
    expect(await later.photos.photosOf('b')).toEqual(['p']);
    expect(await later.history.historyDoor('a').read()).toBeNull();
    expect(localStorage.getItem('mellow-probe.own.unsent.a.code')).toBeNull();
    await later.jobStorage.restoreJob('a');
    expect(await later.jobStorage.jobDoor('a').read()).toBeNull();
  });
  test('emptying it does not touch the photos of a job that is back', async () => {
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    const kept = (await w.jobStorage.jobDoor('a').read())!;
    await w.photos.putPhoto('a', 'p', IMAGE);
    await w.jobStorage.removeJob('a');
    await w.jobStorage.jobDoor('a').write(kept.value, kept);
    await w.jobStorage.emptyBin('9999');
    expect(await w.photos.photosOf('a')).toEqual(['p']);
  });
  test('a full store does not stand in the way of deleting, and this window can still put the job back', async () => {
    await w.jobStorage.jobDoor('a').write(
      job('a', (j) => (j.title = 'Tern')),
      null,
    );
    browser.refuse = 'full';
    await w.jobStorage.removeJob('a');
    expect(await w.jobStorage.jobDoor('a').read()).toBeNull();
    browser.refuse = null;
    await w.jobStorage.restoreJob('a');
    expect((await w.jobStorage.jobDoor('a').read())!.value.title).toBe('Tern');
  });
  test('what cannot be opened can be removed and restored too', async () => {
    await putRaw(w, 'bad', { format: 'x' });
    await w.jobStorage.removeJob('bad');
    expect(await raw(w, 'bad')).toBeNull();
    await w.jobStorage.restoreJob('bad');
    expect(await raw(w, 'bad')).toEqual({ format: 'x' });
    await w.jobStorage.removeJob('never was');
  });
});

describe('photos', () => {
  test('a photo of one job never takes the place of another job’s with the same id', async () => {
    await w.photos.putPhoto('a', 'p', IMAGE);
    const imported = await w.photos.settlePhotos({
      ...job('b'),
      photos: [{ id: 'p', caption: '', takenAt: NOW, image: `${IMAGE}BB` }],
    });
    expect(imported.photos[0].image).toBeNull();
    expect(await w.photos.getPhoto('a', 'p')).toBe(IMAGE);
    expect(await w.photos.getPhoto('b', 'p')).toBe(`${IMAGE}BB`);
    expect((await w.photos.withPhotos(imported)).photos[0].image).toBe(`${IMAGE}BB`);
    await w.photos.removePhotosOf('b', ['p']);
    expect(await w.photos.getPhoto('b', 'p')).toBeNull();
  });
  test('those of earlier versions are still found; what the store refuses stays in the job', async () => {
    await w.stores.withStore('photos', (s) => s.setItem('old', IMAGE));
    expect(await w.photos.getPhoto('a', 'old')).toBe(IMAGE);
    browser.refuse = 'full';
    const kept = await w.photos.settlePhotos({
      ...job('b'),
      photos: [{ id: 'p', caption: '', takenAt: NOW, image: IMAGE }],
    });
    expect(kept.photos[0].image).toBe(IMAGE);
    expect((await w.photos.withPhotos(kept)).photos[0].image).toBe(IMAGE);
    browser.opening = 'fails';
    expect(await (await openWindow()).photos.getPhoto('a', 'old')).toBeNull();
  });
});

describe('ahead of the store', () => {
  const patch = (after: string) => [{ at: ['title'], before: '', after }];
  test('what a window left is found by the next one, once that window is gone; a living one keeps what is its own', async () => {
    w.ahead.writeAhead('jobs/a', 'r1', patch('T'), '2026-01-01T00:00:01Z');
    w.ahead.writeAhead('jobs/a', 'r1', patch('Te'), '2026-01-01T00:00:02Z');
    const other = await openWindow();
    expect(await other.ahead.readAhead('jobs/a')).toEqual([]);
    expect(await w.ahead.readAhead('jobs/a')).toMatchObject([{ patches: patch('Te'), base: 'r1' }]);
    w.die();
    expect(await other.ahead.readAhead('jobs/a')).toMatchObject([{ patches: patch('Te') }]);
    expect(await other.ahead.readAhead('jobs/b')).toEqual([]);
    other.ahead.writeAhead('jobs/a', 'r1', patch('X'), '2026-01-01T00:00:00Z');
    expect((await other.ahead.readAhead('jobs/a')).map((e) => e.at.slice(-3))).toEqual(['00Z', '02Z']);
    expect([...(await other.ahead.recordsAhead('jobs')).keys()]).toEqual(['jobs/a']);
    expect([...(await other.ahead.recordsAhead('shelf')).keys()]).toEqual([]);
    other.ahead.clearAhead('jobs/a', w.windowId);
    other.ahead.clearAhead('jobs/a');
    expect(await other.ahead.readAhead('jobs/a')).toEqual([]);
    expect(localStorage.length).toBe(0);
  });
  test('without locks a window that was silent for long is taken for gone', async () => {
    w.ahead.writeAhead('jobs/a', null, patch('old'), new Date(Date.now() - 60_000).toISOString());
    w.ahead.writeAhead('jobs/b', null, patch('new'), new Date().toISOString());
    const plain = await openWindow({ locks: false });
    expect(await plain.ahead.readAhead('jobs/a')).toHaveLength(1);
    expect(await plain.ahead.readAhead('jobs/b')).toHaveLength(0);
  });
  test('a store that keeps nothing: it lives in memory; garbage is passed over', async () => {
    vi.stubGlobal('localStorage', {
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    });
    w.ahead.writeAhead('jobs/a', null, patch('T'), NOW);
    vi.unstubAllGlobals();
    expect(localStorage.length).toBe(0);
    expect(await w.ahead.readAhead('jobs/a')).toHaveLength(1);
    localStorage.setItem('mellow-probe.own.ahead.dead.jobs/c', '{');
    localStorage.setItem('mellow-probe.own.ahead.dead.jobs/d', '{"record":"jobs/d"}');
    localStorage.setItem(
      'mellow-probe.own.ahead.dead.jobs/e',
      JSON.stringify({ record: 'jobs/x', window: 'dead', at: NOW, patches: [] }),
    );
    for (const name of ['c', 'd', 'e', 'x']) expect(await w.ahead.readAhead(`jobs/${name}`)).toEqual([]);
  });
});

test('a job of the first format, stored long ago, is opened', async () => {
  const fixture = JSON.parse(readFileSync('core/src/check/job/migrations/fixtures/0002-before.json', 'utf8')) as {
    id: string;
  };
  await putRaw(w, fixture.id, fixture);
  expect((await w.jobStorage.jobDoor(fixture.id).read())!.value.formatVersion).toBe(NEWEST_VERSION);
});

test('steps are read back as they were written; what is no list of steps counts as none', async () => {
  const door = w.history.historyDoor('a');
  expect(await door.read()).toBeNull();
  const steps = { undo: [{ at: NOW, patches: [{ at: ['title'], before: '', after: 'T' }] }], redo: [] };
  await door.write(steps);
  expect(await door.read()).toEqual(steps);
  for (const bad of [
    { undo: 1, redo: [] },
    { undo: [{ at: NOW, patches: [{ at: 'title' }] }], redo: [] },
    { undo: [], redo: [{ patches: [] }] },
  ]) {
    await w.stores.withStore('history', (s) => s.setItem('a', bad));
    expect(await door.read()).toBeNull();
  }
});
