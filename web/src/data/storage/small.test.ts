// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { z } from 'zod';
import { type BrowserWindow, emptyBrowser, openWindow, until } from '../../../test/browserWindow.ts';
import { unwrapped, wrapped } from './kept.ts';
import { readPreference, writePreference } from './preferences.ts';
import { StorageError, toStorageError } from './storageError.ts';
import { dropUnsent, readUnsent, writeUnsent } from './unsent.ts';

const NOW = '2026-01-02T03:04:05.000Z';
let w: BrowserWindow;
beforeEach(async () => {
  await emptyBrowser();
  w = await openWindow();
});
/** Whatever is asked of the small store throws, as where a browser blocks it. */
function whileBlocked(work: () => void): void {
  vi.stubGlobal(
    'localStorage',
    new Proxy(
      {},
      {
        get: () => {
          throw new DOMException('blocked', 'SecurityError');
        },
      },
    ),
  );
  try {
    work();
  } finally {
    vi.unstubAllGlobals();
  }
}

describe('small choices', () => {
  test('are there again; what is none of the choices, or blocked, is the default', () => {
    expect(readPreference('unit', ['C', 'F'], 'C')).toBe('C');
    writePreference('unit', 'F');
    expect(readPreference('unit', ['C', 'F'], 'C')).toBe('F');
    writePreference('unit', 'K');
    expect(readPreference('unit', ['C', 'F'], 'C')).toBe('C');
    writePreference('unit', 'F');
    whileBlocked(() => {
      expect(readPreference('unit', ['C', 'F'], 'C')).toBe('C');
      expect(() => writePreference('unit', 'C')).not.toThrow();
    });
    expect(readPreference('unit', ['C', 'F'], 'C')).toBe('F');
  });
});

describe('unsent words', () => {
  test('by job and name; gone when emptied; gone with the job, and only with it', () => {
    writeUnsent('a', 'code', 'P0');
    writeUnsent('a', 'reason', 'why');
    writeUnsent('ab', 'code', 'other');
    localStorage.setItem('something else', '1');
    expect([readUnsent('a', 'code'), readUnsent('a', 'none')]).toEqual(['P0', '']);
    writeUnsent('a', 'reason', '');
    expect(localStorage.getItem('mellow-probe.own.unsent.a.reason')).toBeNull();
    dropUnsent('a');
    expect([readUnsent('a', 'code'), readUnsent('ab', 'code'), localStorage.getItem('something else')]).toEqual([
      '',
      'other',
      '1',
    ]);
    whileBlocked(() => {
      expect(readUnsent('ab', 'code')).toBe('');
      expect(() => (writeUnsent('ab', 'code', 'x'), writeUnsent('ab', 'code', ''), dropUnsent('ab'))).not.toThrow();
    });
    expect(readUnsent('ab', 'code')).toBe('other');
  });
});

describe('faults', () => {
  test('are told apart by what the browser threw', () => {
    const own = new StorageError('silent', 'x');
    expect(toStorageError(own)).toBe(own);
    expect(own.message).toBe('silent: x');
    expect(toStorageError(new DOMException('m', 'QuotaExceededError')).fault).toBe('full');
    expect(toStorageError(new DOMException('m', 'SecurityError'))).toMatchObject({
      fault: 'blocked',
      message: 'blocked: m',
    });
    for (const odd of ['text', null, undefined, 5, { name: 'QuotaExceededError' }])
      expect(toStorageError(odd).fault).toBe(odd !== null && typeof odd === 'object' ? 'full' : 'blocked');
  });
});

describe('envelopes', () => {
  test('in and out; what is none counts as bare, whatever it looks like', () => {
    const kept = { revision: 'r', at: NOW, follows: ['q'], value: { a: 1 } };
    expect(unwrapped(wrapped(kept))).toEqual(kept);
    expect(unwrapped({ kept: 1, revision: 'r', value: 2 })).toEqual({ revision: 'r', at: '', follows: [], value: 2 });
    expect(unwrapped({ kept: 1, revision: 'r', at: 5, follows: ['q', 7], value: 2 })).toEqual({
      revision: 'r',
      at: '',
      follows: ['q'],
      value: 2,
    });
    for (const bare of [{ kept: 2, revision: 'r' }, { kept: 1, revision: 9 }, { revision: 'r' }, null, 'x', [1]])
      expect(unwrapped(bare)).toEqual({ revision: 'bare ', at: '', follows: [], value: bare });
    expect(unwrapped({ updatedAt: NOW })).toMatchObject({ revision: `bare ${NOW}`, at: NOW });
    expect(unwrapped({ updatedAt: 5 })).toMatchObject({ revision: 'bare ', at: '' });
  });
});

describe('a door of the shelf', () => {
  test('what fits is there; what does not counts as nothing and may be written over', async () => {
    const door = (await import('./shelfStorage.ts')).shelfDoor('tool', z.strictObject({ text: z.string() }));
    const kept = await door.write({ text: 'a' }, null);
    expect((await door.read())!.value).toEqual({ text: 'a' });
    await expect(door.write({ text: 5 } as never, kept)).rejects.toMatchObject({ fault: 'invalid' });
    await w.stores.withStore('shelf', (s) => s.setItem('tool', { odd: 1 }));
    expect(await door.read()).toBeNull();
    expect((await door.write({ text: 'b' }, null)).value).toEqual({ text: 'b' });
  });
});

describe('whose change it is, and when', () => {
  test('a value counts from when it was typed; merged ones from the later of the two', async () => {
    const door = w.jobStorage.jobDoor('a');
    const base = await door.write(newJob('a', NOW), null, '2026-01-01T00:00:05Z');
    expect(base.at).toBe('2026-01-01T00:00:05Z');
    const later = await door.write({ ...base.value, title: 'T' }, base, '2026-01-01T00:00:20Z');
    // This one was typed before, on the version before.
    expect((await door.write({ ...base.value, note: 'n' }, base, '2026-01-01T00:00:10Z')).at).toBe(later.at);
    const now = (await door.read())!;
    expect((await door.write({ ...now.value, note: 'm' }, now, '2026-01-01T00:00:11Z')).at).toBe(
      '2026-01-01T00:00:11Z',
    );
    expect((await door.write({ ...base.value, machine: 'M' }, base, '2026-01-01T00:00:30Z')).at).toBe(
      '2026-01-01T00:00:30Z',
    );
  });
  test('a version known as the newest is written as it is, also where a merge would bring something back', async () => {
    const door = w.jobStorage.jobDoor('a');
    const base = await door.write({ ...newJob('a', NOW), findings: ['moisture'] }, null);
    const next = await door.write({ ...base.value, findings: [] }, base);
    expect(next.value.findings).toEqual([]);
    // Without a base the record is new, whatever stands there.
    expect((await door.write({ ...newJob('a', NOW), title: 'new' }, null)).value).toMatchObject({
      title: 'new',
      findings: [],
    });
  });
  test('a record that was removed is written again from what its writer knew; ancestors are remembered only so far', async () => {
    const door = w.jobStorage.jobDoor('a');
    let kept = await door.write(newJob('a', NOW), null);
    const first = kept.revision;
    await w.jobStorage.removeJob('a');
    kept = await door.write(kept.value, kept);
    expect(kept.follows).toEqual([first]);
    for (let i = 0; i < 14; i++) kept = await door.write({ ...kept.value, title: `t${i}` }, kept);
    expect(kept.follows).toHaveLength(12);
    expect(kept.follows).not.toContain(first);
  });
});

describe('what other windows hear', () => {
  test('of jobs by their id, of nothing else', async () => {
    const other = await openWindow();
    const heard: string[] = [];
    const stop = other.windows.onJobsElsewhere((id, kind) => heard.push(`${id} ${kind}`));
    const door = (await import('./shelfStorage.ts')).shelfDoor('a', z.unknown());
    void door;
    await w.door.doorTo('shelf', 'a', () => ({ ok: true, value: 1 })).write(1, null);
    await w.jobStorage.jobDoor('a').write(newJob('a', NOW), null);
    await until(() => heard.length > 0);
    await w.jobStorage.removeJob('a');
    await w.jobStorage.restoreJob('a');
    await until(() => heard.length > 2);
    expect(heard).toEqual(['a written', 'a removed', 'a written']);
    stop();
  });
  test('a damaged job put back is told as well', async () => {
    await w.stores.withStore('jobs', (s) => s.setItem('bad', { format: 'x' }));
    const other = await openWindow();
    const heard: string[] = [];
    // What other tests wrote may still be on its way.
    other.windows.onJobsElsewhere((id, kind) => id === 'bad' && heard.push(`${id} ${kind}`));
    await w.jobStorage.removeJob('bad');
    await w.jobStorage.restoreJob('bad');
    await until(() => heard.length > 1);
    expect(heard).toEqual(['bad removed', 'bad written']);
    expect(await w.stores.withStore('bin', (s) => s.getItem('bad'))).toBeNull();
  });
});

describe('the bin, exactly', () => {
  test('what was removed at that very moment stays; what is no entry goes; what never was in it is not restored', async () => {
    await w.stores.withStore('bin', (s) => s.setItem('at', { removedAt: NOW, data: {} }));
    await w.stores.withStore('bin', (s) => s.setItem('odd', 'garbage'));
    await w.stores.withStore('bin', (s) => s.setItem('timeless', { removedAt: 7 }));
    await w.jobStorage.emptyBin(NOW);
    expect(await w.stores.withStore('bin', (s) => s.keys())).toEqual(['at']);
    await w.jobStorage.restoreJob('never');
    expect(await w.stores.withStore('jobs', (s) => s.keys())).toEqual([]);
    await w.jobStorage.removeJob('never');
    expect(await w.stores.withStore('bin', (s) => s.keys())).toEqual(['at']);
  });
});

describe('ahead, exactly', () => {
  const entry = (window: string, at: string, record = 'jobs/a') => ({ record, window, at, base: null, patches: [] });
  const put = (e: ReturnType<typeof entry>): void =>
    localStorage.setItem(`mellow-probe.own.ahead.${e.window}.${e.record}`, JSON.stringify(e));
  test('oldest first, whatever the order in the store; keys of others are passed over', async () => {
    put(entry('z', '2026-01-01T00:00:03Z'));
    put(entry('a', '2026-01-01T00:00:02Z'));
    put(entry('m', '2026-01-01T00:00:01Z'));
    localStorage.setItem('other.key', JSON.stringify(entry('q', NOW)));
    localStorage.setItem(
      'mellow-probe.own.ahead.bad.jobs/a',
      JSON.stringify({ ...entry('bad', NOW), patches: [{ at: 'x' }] }),
    );
    expect((await w.ahead.readAhead('jobs/a')).map((e) => e.window)).toEqual(['m', 'a', 'z']);
    w.ahead.clearAhead('jobs/a', 'a');
    expect((await w.ahead.readAhead('jobs/a')).map((e) => e.window)).toEqual(['m', 'z']);
  });
  test('what this window has in memory goes before what an older page of it left in the store', async () => {
    w.ahead.writeAhead('jobs/a', null, [{ at: ['t'], after: 'new' }], NOW);
    put({ ...entry(w.windowId, '2020-01-01T00:00:00Z') });
    expect(await w.ahead.readAhead('jobs/a')).toMatchObject([{ at: NOW }]);
    w.ahead.clearAhead('jobs/a', 'another window');
    expect(await w.ahead.readAhead('jobs/a')).toHaveLength(1);
    w.ahead.clearAhead('jobs/a');
    expect(await w.ahead.readAhead('jobs/a')).toHaveLength(0);
  });
});

test('the demo workshop has stores of its own', async () => {
  const at = window.location.pathname;
  window.history.replaceState({}, '', '/demo/');
  try {
    const demo = await openWindow();
    await demo.jobStorage.jobDoor('d').write(newJob('d', NOW), null);
    expect(await w.jobStorage.jobDoor('d').read()).toBeNull();
    demo.ahead.writeAhead('jobs/x', null, [], NOW);
    expect(Object.keys(localStorage)[0]).toContain('.demo.');
    await demo.stores.withStore('jobs', (s) => s.clear());
  } finally {
    window.history.replaceState({}, '', at);
  }
});

test('asking the browser to keep the store never fails, also where it cannot be asked', async () => {
  let asked = 0;
  Object.defineProperty(navigator, 'storage', {
    value: { persist: () => Promise.resolve(++asked) },
    configurable: true,
  });
  await w.jobStorage.askToKeep();
  expect(asked).toBe(1);
  Object.defineProperty(navigator, 'storage', { value: undefined, configurable: true });
  await expect(w.jobStorage.askToKeep()).resolves.toBeUndefined();
});

test('a job whose record cannot be opened says at its door why', async () => {
  await w.stores.withStore('jobs', (s) =>
    s.setItem('bad', { format: 'mellow-probe/job', formatVersion: 99 } as unknown as Job),
  );
  await expect(w.jobStorage.jobDoor('bad').read()).rejects.toThrow('newer version');
});
