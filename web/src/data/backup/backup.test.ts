// @vitest-environment happy-dom
import { genericKit } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { seededUniform } from '@mellow-probe/core/base/numeric/random';
import { beforeEach, describe, expect, test } from 'vitest';
import { browser, type BrowserWindow, emptyBrowser, openWindow } from '../../../test/browserWindow.ts';
import type { StoreName } from '../storage/stores.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const JPEG = `data:image/jpeg;base64,${btoa('\xff\xd8\xff\xe0 made up')}`;
const STORES: StoreName[] = ['jobs', 'photos', 'shelf', 'recordings', 'training'];

let w: BrowserWindow;
const modules = async () => ({
  ...(await import('./writeBackup.ts')),
  ...(await import('./readBackup.ts')),
  ...(await import('./restore.ts')),
  ...(await import('./manifest.ts')),
});
beforeEach(async () => {
  await emptyBrowser();
  w = await openWindow();
});

/** Everything that is kept, as it stands in the stores. */
async function everything(): Promise<Record<string, unknown>> {
  const all: Record<string, unknown> = {};
  for (const store of STORES)
    for (const key of await w.stores.withStore(store, (s) => s.keys()))
      all[`${store}/${key}`] = await w.stores.withStore(store, (s) => s.getItem(key));
  return all;
}
const put = (store: StoreName, key: string, data: unknown): Promise<unknown> =>
  w.stores.withStore(store, (s) => s.setItem(key, data));
const job = (id: string, change: (j: Job) => void = () => undefined): Job => {
  const made = newJob(id, NOW);
  change(made);
  return made;
};
/** A play that was just begun. */
const PLAY = {
  format: 'mellow-probe/play',
  formatVersion: 1,
  id: 'play',
  number: '2-VTP2ME-K',
  mode: 'hidden',
  partOf: null,
  startedAt: NOW,
  endedAt: null,
  moves: [],
  result: null,
};
async function fill(): Promise<void> {
  for (const id of ['a', 'b/c?d#e', 'ü'])
    await w.jobStorage.jobDoor(id).write(
      job(id, (j) => (j.title = id)),
      null,
    );
  await put('photos', 'a/p', JPEG);
  await put('photos', 'a/odd', 'data:image/png;base64,AAAA');
  await put('shelf', 'kit', { kept: 1, revision: 'k', at: NOW, follows: [], value: genericKit() });
  await put('shelf', 'folder-of-another-device', { kept: 1 });
  await put('recordings', 'head/r', {
    id: 'r',
    title: 'A drive',
    job: null,
    startedAt: NOW,
    endedAt: NOW,
    from: 'recorded',
    channels: [{ id: 'a', name: 'a', quantity: 'celsius' }],
    marks: [],
    samples: 2,
    lengthS: 0.1,
  });
  await put('recordings', 'data/r/00000000', [{ channel: 0, t: Float64Array.of(0, 0.1), v: Float64Array.of(NaN, -0) }]);
  await put('training', 'play', { kept: 1, revision: 't', at: NOW, follows: ['s'], value: PLAY });
}
async function emptied(): Promise<void> {
  await emptyBrowser();
  w = await openWindow();
}
async function backupOf(kinds?: readonly ('job' | 'photo' | 'shelf' | 'log' | 'training')[]): Promise<Blob> {
  const m = await modules();
  const into = m.intoBlob();
  await m.writeBackup(into.sink, kinds ?? m.KIND_LIST);
  return into.blob();
}
async function opened(blob: Blob) {
  const result = await (await modules()).openBackup(blob);
  if (!result.ok) throw new Error(`${result.reason} ${result.detail}`);
  return result.backup;
}
/** A ZIP file of these texts. */
async function zipOf(files: Record<string, string>): Promise<Blob> {
  const { BlobWriter, TextReader, ZipWriter } = await import('@zip.js/zip.js');
  const zip = new ZipWriter(new BlobWriter('application/zip'), { useWebWorkers: false });
  for (const [name, text] of Object.entries(files)) await zip.add(name, new TextReader(text));
  return zip.close();
}
/** Why a file cannot be opened as a backup; "ok" where it can. */
async function faultOf(blob: Blob): Promise<string> {
  const result = await (await modules()).openBackup(blob);
  return result.ok ? 'ok' : result.reason;
}
async function restore(blob: Blob) {
  const m = await modules();
  const backup = await opened(blob);
  expect(await m.stageRestore(backup, backup.manifest.entries)).toEqual([]);
  return m.finishRestore();
}

describe('a backup', () => {
  test('comes back on another device as it was, key for key and byte for byte; a second time nothing changes', async () => {
    await fill();
    const before = await everything();
    const blob = await backupOf();
    await emptied();
    expect(await restore(blob)).toEqual({ new: 9, same: 0, 'newer-here': 0, 'newer-there': 0, 'both-changed': 0 });
    const { 'shelf/folder-of-another-device': _left, ...kept } = before;
    expect(await everything()).toEqual(kept);
    expect(await restore(blob)).toMatchObject({ new: 0, same: 9 });
    expect(await everything()).toEqual(kept);
    expect(await w.stores.withStore('staging', (s) => s.keys())).toEqual([]);
    // The list knows of them at once.
    expect((await w.ledger.readLedger()).size).toBe(3);
  });
  test('of some kinds only; the files are the exported ones, each with its sum in the manifest', async () => {
    await fill();
    const backup = await opened(await backupOf(['job']));
    expect(backup.manifest.entries.map((e) => e.path).sort()).toEqual(
      ['checks/a.json', 'checks/b/c%3Fd%23e.json', 'checks/%C3%BC.json'].sort(),
    );
    const item = await backup.item(backup.manifest.entries.find((e) => e.key === 'a')!);
    const { openJob, saveJob } = await import('@mellow-probe/core/check/job/openJob');
    const text = new TextDecoder().decode(item!.data);
    const read = openJob(text);
    expect(read.ok && read.job.title).toBe('a');
    expect(read.ok && saveJob(read.job)).toBe(text);
  });
  test('nothing is read of a record that is not as the manifest says', async () => {
    await fill();
    const m = await modules();
    const backup = await opened(await backupOf());
    const [first, ...rest] = backup.manifest.entries;
    const turned = first.sha256.replace(/^./, (c) => (c === '0' ? '1' : '0'));
    expect(await backup.item({ ...first, sha256: turned })).toBeNull();
    expect(await backup.item({ ...first, bytes: first.bytes - 1 })).toBeNull();
    expect(await backup.item({ ...first, path: 'none' })).toBeNull();
    expect(
      await m.damagedIn({ ...backup, manifest: { ...backup.manifest, entries: [{ ...first, bytes: 1 }, ...rest] } }),
    ).toHaveLength(1);
    expect(await m.damagedIn(backup)).toEqual([]);
  });
  test('what is no backup is told apart: no ZIP, no manifest, a broken one, a newer one', async () => {
    expect(await faultOf(new Blob(['no zip at all']))).toBe('not-a-zip');
    expect(await faultOf(await zipOf({ 'a.txt': 'a' }))).toBe('no-manifest');
    const good = { format: 'mellow-probe/backup', formatVersion: 1, createdAt: NOW, entries: [] };
    const manifest = (change: object) => zipOf({ 'manifest.json': JSON.stringify({ ...good, ...change }) });
    expect(await faultOf(await manifest({}))).toBe('ok');
    expect(await faultOf(await manifest({ formatVersion: 2 }))).toBe('newer-version');
    expect(await faultOf(await manifest({ entries: [{}] }))).toBe('bad-manifest');
    expect(await faultOf(await zipOf({ 'manifest.json': '[' }))).toBe('bad-manifest');
    expect(await faultOf(await zipOf({ 'manifest.json': `${'['.repeat(4000)}${']'.repeat(4000)}` }))).toBe(
      'bad-manifest',
    );
  });
  test('records that are none of this program are left out and told: another’s id, a shelf of its own, no JPEG', async () => {
    const m = await modules();
    await fill();
    const backup = await opened(await backupOf());
    const as = (kind: string, change: object) => ({
      ...backup.manifest.entries.find((e) => e.kind === kind)!,
      ...change,
    });
    const bad = [as('job', { key: 'another' }), as('shelf', { key: 'folder' }), as('job', { kept: undefined })];
    const { kept: _none, ...bare } = as('training', {});
    const told = await m.stageRestore(backup, [...bad, bare]);
    expect(told).toEqual([...bad, bare]);
    const item = (await backup.item(backup.manifest.entries.find((e) => e.key === 'a/p')!))!;
    const { storedOf } = await import('./items.ts');
    expect(storedOf(item)).toBe(JPEG);
    expect(() => storedOf({ ...item, data: Uint8Array.of(0x25, 0x50, 0x44, 0x46) })).toThrow('no JPEG');
  });
  test('right sums and the wrong shape: refused by the schema of its kind, listed, and nothing here is changed', async () => {
    const m = await modules();
    await fill();
    const before = await everything();
    const backup = await opened(await backupOf());
    const { packed } = await import('./packed.ts');
    const entryOf = (kind: string, key?: string) =>
      backup.manifest.entries.find((e) => e.kind === kind && (key === undefined || e.key.startsWith(key)))!;
    const odd = [entryOf('job'), entryOf('shelf'), entryOf('log', 'head'), entryOf('training')];
    const shapes: readonly unknown[] = [{ a: 1 }, [], 'text', 7, null];
    for (const shape of shapes) {
      const hostile = {
        ...backup,
        item: async (entry: (typeof odd)[number]) => {
          const item = (await backup.item(entry))!;
          return odd.includes(entry) ? { ...item, data: new TextEncoder().encode(packed(shape)) } : item;
        },
      };
      const refused = await m.damagedIn(hostile);
      // A draft of a tool may be any record: only the tool knows it.
      const open = shape !== null && typeof shape === 'object' && !Array.isArray(shape);
      const told = odd.filter((e) => !(open && e.kind === 'shelf' && e.key.startsWith('draft.')));
      expect(new Set(refused), JSON.stringify(shape)).toEqual(new Set(told));
      expect(new Set(await m.stageRestore(hostile, odd))).toEqual(new Set(told));
    }
    await m.stageRestore(backup, []);
    expect(await everything()).toEqual(before);
  });
  test('a path that leads out of the archive: the whole backup is refused, in words of its own', async () => {
    const good = { format: 'mellow-probe/backup', formatVersion: 1, createdAt: NOW };
    const entry = { kind: 'shelf', key: 'kit', bytes: 2, sha256: 'a'.repeat(64) };
    const at = async (path: string): Promise<string> =>
      faultOf(await zipOf({ 'manifest.json': JSON.stringify({ ...good, entries: [{ ...entry, path }] }) }));
    for (const path of [
      '../kit.json',
      'shelf/../../kit.json',
      '/etc/kit.json',
      'C:/kit.json',
      '..\\kit.json',
      './kit.json',
    ])
      expect(await at(path), path).toBe('path-outside');
    for (const path of ['shelf/kit.json', 'checks/a..b.json', 'photos/...jpg']) expect(await at(path), path).toBe('ok');
  });
});

describe('what is here and what is there', () => {
  test('new, same, newer here, newer there, changed on both sides: nothing typed on either side is lost', async () => {
    const m = await modules();
    for (const id of ['same', 'here', 'there', 'both', 'gone']) await w.jobStorage.jobDoor(id).write(job(id), null);
    const older = await everything();
    const edit = async (id: string, change: Partial<Job>, at: string): Promise<void> => {
      const kept = (await w.jobStorage.jobDoor(id).read())!;
      await w.jobStorage.jobDoor(id).write({ ...kept.value, ...change }, kept, at);
    };
    await edit('there', { title: 'there' }, '2026-02-01T00:00:00.000Z');
    await edit('both', { title: 'there', note: 'older', tags: ['x'] }, '2026-02-01T00:00:00.000Z');
    const blob = await backupOf(['job']);
    for (const [path, data] of Object.entries(older)) await put('jobs', path.slice('jobs/'.length), data);
    await w.stores.withStore('jobs', (s) => s.removeItem('gone'));
    await edit('here', { title: 'here' }, '2026-02-02T00:00:00.000Z');
    const followUp = { id: 'f', text: 'look', dueOn: '2026-03-01', doneAt: null };
    await edit('both', { note: 'newer', followUps: [followUp] }, '2026-02-03T00:00:00.000Z');
    const backup = await opened(blob);
    const found = await m.standings(backup.manifest.entries);
    expect(Object.fromEntries([...found].map(([e, s]) => [e.key, s]))).toEqual({
      ...{ same: 'same', here: 'newer-here', there: 'newer-there', both: 'both-changed', gone: 'new' },
    });
    expect(await restore(blob)).toEqual({ same: 1, 'newer-here': 1, 'newer-there': 1, 'both-changed': 1, new: 1 });
    const now = async (id: string) => (await w.jobStorage.jobDoor(id).read())!;
    expect((await now('here')).value.title).toBe('here');
    expect((await now('there')).value.title).toBe('there');
    const both = await now('both');
    // What was changed last is stronger; what the other side has alone stays.
    expect(both.value).toMatchObject({ note: 'newer', followUps: [followUp] });
    expect(both.at).toBe('2026-02-03T00:00:00.000Z');
    // Taken in once more, it is known.
    expect(await restore(blob)).toMatchObject({ 'newer-here': 2, 'both-changed': 0 });
  });
  test('what cannot be opened here gives way to the backup, and is laid in the bin as it was', async () => {
    await w.jobStorage.jobDoor('a').write(
      job('a', (j) => (j.title = 'good')),
      null,
    );
    const blob = await backupOf(['job']);
    await put('jobs', 'a', { nonsense: true });
    expect(await restore(blob)).toMatchObject({ new: 1 });
    expect((await w.jobStorage.jobDoor('a').read())!.value.title).toBe('good');
    expect(await w.stores.withStore('bin', (s) => s.getItem('a unreadable'))).toMatchObject({
      data: { nonsense: true },
    });
  });
  test('the preview says so too, even of an envelope with the same revision: else it would never be chosen', async () => {
    await w.jobStorage.jobDoor('a').write(job('a'), null);
    const [entry] = (await opened(await backupOf(['job']))).manifest.entries;
    const standing = async () => (await (await modules()).standings([entry])).get(entry);
    expect(await standing()).toBe('same');
    await put('jobs', 'a', { kept: 1, ...entry.kept, value: { nonsense: true } });
    expect(await standing()).toBe('new');
  });
});

describe('cut off', () => {
  test('while it is staged: nothing has changed; while it is taken in: the next start takes in the rest', async () => {
    for (let i = 0; i < 12; i++)
      await w.jobStorage.jobDoor(`j${i}`).write(
        job(`j${i}`, (j) => (j.title = `t${i}`)),
        null,
      );
    const whole = await everything();
    const blob = await backupOf();
    const uniform = seededUniform(3);
    const cuts: boolean[] = [];
    for (let round = 0; round < 20; round++) {
      await emptied();
      const m = await modules();
      const backup = await opened(blob);
      const cutAt = Math.floor(uniform() * 110);
      let steps = 0;
      browser.delay = () => (steps++ >= cutAt ? Promise.reject(new Error('killed')) : Promise.resolve());
      const run = async () => {
        await m.stageRestore(backup, backup.manifest.entries);
        await m.finishRestore();
      };
      await run().catch(() => undefined);
      cuts.push(steps > cutAt);
      browser.delay = () => Promise.resolve();
      const between = Object.keys(await everything()).length;
      const ready = await w.stores.withStore('staging', (s) => s.getItem('ready'));
      if (ready === null) expect(between === 0 || between === 12).toBe(true);
      await m.finishRestore();
      const after = await everything();
      if (ready === null && between === 0) expect(after).toEqual({});
      else expect(after).toEqual(whole);
    }
    // Most of them were cut off, at every stage.
    expect(cuts.filter(Boolean).length).toBeGreaterThan(12);
  });
  test('a restore that was cut off when it was ready is taken in before another one is staged', async () => {
    for (const id of ['a', 'b']) await w.jobStorage.jobDoor(id).write(job(id), null);
    const blob = await backupOf();
    await emptied();
    const m = await modules();
    const backup = await opened(blob);
    await m.stageRestore(backup, backup.manifest.entries);
    expect(Object.keys(await everything())).toEqual([]);
    await m.stageRestore(backup, []);
    expect(Object.keys(await everything())).toEqual(['jobs/a', 'jobs/b']);
  });
  test('writing can be broken off', async () => {
    await fill();
    const m = await modules();
    const stop = new AbortController();
    const written = m.writeBackup(m.intoBlob().sink, m.KIND_LIST, (done) => done === 2 && stop.abort(), stop.signal);
    await expect(written).rejects.toThrow();
  });
});

describe('under a passphrase', () => {
  const bytes = (n: number): Uint8Array<ArrayBuffer> =>
    Uint8Array.from({ length: n }, (_, i) => (i * 7 + (i >> 8)) % 251);
  async function seal(plain: Uint8Array<ArrayBuffer>, chunk = 50_000): Promise<Blob> {
    const { sealing } = await import('./sealed.ts');
    const parts: Blob[] = [];
    const stream = await sealing('Möwe 7');
    const read = stream.readable.pipeTo(
      new WritableStream<Uint8Array>({ write: (c) => void parts.push(new Blob([c.slice()])) }),
    );
    const writer = stream.writable.getWriter();
    for (let at = 0; at < plain.length; at += chunk) await writer.write(plain.subarray(at, at + chunk));
    await writer.close();
    await read;
    return new Blob(parts);
  }
  const open = async (file: Blob, phrase = 'Möwe 7') => (await import('./sealed.ts')).unsealed(file, phrase);
  const PIECE = 64 * 1024;

  test('comes back as it was, whatever its length is to the pieces; the letters tell it from a ZIP', async () => {
    const { isSealed } = await import('./sealed.ts');
    for (const n of [0, 1, PIECE - 1, PIECE, PIECE + 1, 2 * PIECE, 200_001]) {
      const sealed = await seal(bytes(n));
      expect(await isSealed(sealed)).toBe(true);
      const result = await open(sealed);
      if (!result.ok) throw new Error(`${n}: ${result.reason}`);
      expect(new Uint8Array(await result.file.arrayBuffer())).toEqual(bytes(n));
    }
    expect(await isSealed(new Blob(['PK']))).toBe(false);
  });
  test('another passphrase, a bit turned anywhere, a piece left out, doubled or cut off: seen', async () => {
    const sealed = new Uint8Array(await (await seal(bytes(3 * PIECE + 10))).arrayBuffer());
    const head = 12 + new DataView(sealed.buffer).getUint32(8);
    const step = PIECE + 16;
    const reasonOf = async (...parts: Uint8Array<ArrayBuffer>[]) => {
      const result = await open(new Blob(parts));
      return result.ok ? 'ok' : result.reason;
    };
    expect(await reasonOf(sealed)).toBe('ok');
    expect(await open(new Blob([sealed]), 'moewe 7')).toEqual({ ok: false, reason: 'wrong-passphrase' });
    const turned = (at: number): Uint8Array<ArrayBuffer> => sealed.map((b, i) => (i === at ? b ^ 1 : b));
    expect(await reasonOf(turned(head + 2 * step + 5))).toBe('damaged');
    expect(await reasonOf(turned(head - 3))).not.toBe('ok');
    expect(await reasonOf(turned(10))).not.toBe('ok');
    const piece = (n: number): Uint8Array<ArrayBuffer> => sealed.slice(head + n * step, head + (n + 1) * step);
    const begin = sealed.slice(0, head);
    expect(await reasonOf(begin, piece(0), piece(2), piece(3))).toBe('damaged');
    expect(await reasonOf(begin, piece(0), piece(1), piece(1), piece(2), piece(3))).toBe('damaged');
    expect(await reasonOf(begin, piece(0), piece(1), piece(2))).toBe('damaged');
    expect(await reasonOf(begin)).toBe('damaged');
    expect(await reasonOf(sealed.slice(0, 9))).toBe('damaged');
  });
  test('a backup goes through it as through any pipe', async () => {
    await fill();
    const m = await modules();
    const { sealing } = await import('./sealed.ts');
    const parts: Blob[] = [];
    const stream = await sealing('Möwe 7');
    const read = stream.readable.pipeTo(
      new WritableStream<Uint8Array>({ write: (c) => void parts.push(new Blob([c.slice()])) }),
    );
    await m.writeBackup(stream.writable, m.KIND_LIST);
    await read;
    const result = await open(new Blob(parts));
    if (!result.ok) throw new Error(result.reason);
    expect((await opened(result.file)).manifest.entries).toHaveLength(9);
  });
});
