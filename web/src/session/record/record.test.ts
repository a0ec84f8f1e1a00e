// @vitest-environment happy-dom
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { nextTick, watch } from 'vue';
import { fakeDoor } from '../../../test/fakeDoor.ts';
import { clearAhead, readAhead } from '../../data/storage/ahead.ts';
import { persistedRecord } from './record.ts';
import type { Change } from './recordContract.ts';
import { TRY_AGAIN_MS } from './recordWriter.ts';
import { stream } from './stream.ts';

interface Note {
  title: string;
  size: number;
  list: { id: string; text: string; value: number | null }[];
  at?: string;
}
const EMPTY: Note = { title: '', size: 0, list: [] };
const rest = async (): Promise<void> => {
  for (let i = 0; i < 30; i++) await Promise.resolve();
};
/** A test whose time passes as it says. */
const inFakeTime = (work: () => Promise<void>) => async (): Promise<void> => {
  vi.useFakeTimers();
  try {
    await work();
  } finally {
    vi.useRealTimers();
  }
};
let n = 0;
let name = '';
beforeEach(() => {
  name = `notes/${++n}`;
  localStorage.clear();
});
async function opened(initial: Note | null = EMPTY) {
  const { door, control } = fakeDoor<Note>(name, initial);
  const record = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored ?? undefined });
  const changes: Change<Note>[] = [];
  record.changes.listen((c) => changes.push(c));
  await record.loaded;
  return { door, control, record, changes };
}

test('a record that is known not to be stored is written although nothing was typed; one that was not read yet is not', async () => {
  for (const stored of [null, undefined]) {
    const { door, control } = fakeDoor<Note>(`${name}/${String(stored)}`, null);
    const record = persistedRecord<Note>({ door, initial: { ...EMPTY, title: 'new' }, stored });
    await record.loaded;
    await record.settled();
    expect(control.stored?.value.title ?? null).toBe(stored === null ? 'new' : null);
  }
});

describe('one stream of changes', () => {
  test('all writes of one event are one change, told before anything else happens, with what was and is', async () => {
    const { record, changes, control } = await opened();
    record.value.title = 'T';
    record.value.size = 3;
    expect(record.dirty.value).toBe(true);
    expect(changes).toHaveLength(0);
    await Promise.resolve();
    expect(record.dirty.value).toBe(false);
    expect(changes).toMatchObject([{ origin: 'typed', revision: 1, before: EMPTY, after: { title: 'T', size: 3 } }]);
    expect(changes[0].patches).toHaveLength(2);
    await record.settled();
    expect(control.stored!.value).toEqual({ title: 'T', size: 3, list: [] });
    expect(record.keeping.value).toEqual({ kind: 'kept' });
  });
  test('a write that changes nothing is no change', async () => {
    const { record, changes } = await opened();
    record.value.title = 'T';
    record.value.title = '';
    await rest();
    expect(changes).toHaveLength(0);
    expect(record.dirty.value).toBe(false);
  });
  test('a listener that throws does not keep the others from hearing; one that stopped hears no more', () => {
    const s = stream<number>();
    const heard: number[] = [];
    s.listen(() => {
      throw new Error('first');
    });
    const stop = s.listen((x) => heard.push(x));
    expect(() => s.emit(1)).toThrow('first');
    stop();
    expect(() => s.emit(2)).toThrow('first');
    expect(heard).toEqual([1]);
  });
});

describe('keeping', () => {
  test('while a write is under way the next changes gather for the one after it', async () => {
    const { record, control } = await opened();
    control.held = true;
    record.value.title = 'a';
    await rest();
    record.value.title = 'ab';
    await rest();
    record.value.title = 'abc';
    await rest();
    expect(record.keeping.value).toEqual({ kind: 'keeping' });
    control.release();
    await record.settled();
    expect(control.writes.map((w) => w.title)).toEqual(['a', 'abc']);
    expect(record.keeping.value).toEqual({ kind: 'kept' });
  });
  test('what another window wrote comes in, on top of what was typed here meanwhile', async () => {
    const { record, control, changes } = await opened({ ...EMPTY, list: [{ id: 'x', text: '1', value: 1 }] });
    control.held = true;
    record.value.title = 'mine';
    await rest();
    control.elsewhere((v) => ({ ...v, size: 7, list: [...v.list, { id: 'y', text: '2', value: 2 }] }));
    record.value.list[0].text = '1.5';
    record.value.list[0].value = 1.5;
    await rest();
    control.release();
    await record.settled();
    const both = {
      title: 'mine',
      size: 7,
      list: [
        { id: 'x', text: '1.5', value: 1.5 },
        { id: 'y', text: '2', value: 2 },
      ],
    };
    expect(plainCopy(record.value)).toEqual(both);
    expect(control.stored!.value).toEqual(both);
    expect(changes.filter((c) => c.origin === 'elsewhere')).not.toHaveLength(0);
  });
  test('a change elsewhere is taken in without being written back', async () => {
    const { record, control } = await opened();
    control.elsewhere((v) => ({ ...v, size: 4 }));
    await rest();
    expect(record.value.size).toBe(4);
    expect(control.writes).toHaveLength(0);
    expect(record.keeping.value).toEqual({ kind: 'kept' });
    expect(localStorage.length).toBe(0);
  });
  test('another window wrote over this one’s last write without knowing of it: both come together again', async () => {
    const { record, control } = await opened();
    const before = control.stored!;
    record.value.title = 'mine';
    await record.settled();
    control.elsewhereBlind({ ...EMPTY, size: 9 }, before);
    await rest();
    await record.settled();
    expect(control.stored!.value).toEqual({ title: 'mine', size: 9, list: [] });
  });
  test('refused: said, kept ahead of the store, tried again with the next change or by hand', async () => {
    const { record, control } = await opened();
    control.refuse = 'full';
    record.value.title = 'T';
    await record.settled();
    expect(record.keeping.value).toEqual({ kind: 'refused', fault: 'full' });
    expect(await readAhead(name)).toMatchObject([{ base: 'r1', patches: [{ at: ['title'], after: 'T' }] }]);
    await record.keepAgain();
    expect(record.keeping.value).toEqual({ kind: 'refused', fault: 'full' });
    control.refuse = null;
    await record.keepAgain();
    expect(record.keeping.value).toEqual({ kind: 'kept' });
    expect(control.stored!.value.title).toBe('T');
    expect(await readAhead(name)).toEqual([]);
  });
  test(
    'refused, it is tried again by itself, after longer and longer pauses, and said to be refused until it is stored',
    inFakeTime(async () => {
      const { record, control } = await opened();
      const said: string[] = [];
      watch(record.keeping, ({ kind }) => said.push(kind), { flush: 'sync' });
      let tries = 0;
      const write = control.write;
      control.write = () => void tries++;
      control.refuse = 'full';
      record.value.title = 'T';
      await vi.advanceTimersByTimeAsync(TRY_AGAIN_MS.first / 2);
      expect(tries).toBe(1);
      // 1, 2, 4 and 8 s later.
      await vi.advanceTimersByTimeAsync(15 * TRY_AGAIN_MS.first);
      expect(tries).toBe(5);
      await vi.advanceTimersByTimeAsync(100 * TRY_AGAIN_MS.last);
      expect(tries).toBeGreaterThan(100);
      expect(said).toEqual(['keeping', ...Array.from({ length: tries }, () => 'refused')]);
      control.write = write;
      control.refuse = null;
      await vi.advanceTimersByTimeAsync(TRY_AGAIN_MS.last);
      expect([record.keeping.value.kind, control.stored!.value.title]).toEqual(['kept', 'T']);
      // The next time it begins with the short pause again.
      control.refuse = 'blocked';
      record.value.title = 'U';
      await vi.advanceTimersByTimeAsync(10);
      control.refuse = null;
      await vi.advanceTimersByTimeAsync(TRY_AGAIN_MS.first);
      expect(control.stored!.value.title).toBe('U');
    }),
  );
  test(
    'put away while it is refused, it is not tried again; what no store would ever take neither',
    inFakeTime(async () => {
      const { record, control } = await opened();
      control.refuse = 'full';
      record.value.title = 'T';
      await vi.advanceTimersByTimeAsync(10);
      record.dispose();
      control.refuse = null;
      await vi.advanceTimersByTimeAsync(TRY_AGAIN_MS.last);
      expect(control.stored!.value.title).toBe('');
      name = `${name}/other`;
      const other = await opened();
      other.control.refuse = 'invalid';
      other.record.value.title = 'T';
      await vi.advanceTimersByTimeAsync(10);
      other.control.refuse = null;
      await vi.advanceTimersByTimeAsync(TRY_AGAIN_MS.last);
      expect([other.record.keeping.value.kind, other.control.stored!.value.title]).toEqual(['refused', '']);
      // By hand both are stored after all: nothing is left that leaving would lose.
      for (const each of [record, other.record]) await each.keepAgain();
      expect([control.stored!.value.title, other.control.stored!.value.title]).toEqual(['T', 'T']);
    }),
  );
  test(
    'deleted elsewhere and to be stored again all the same: where that is refused, it is not said to be saved',
    inFakeTime(async () => {
      const { record, control } = await opened();
      control.remove();
      control.refuse = 'full';
      await record.keepAgain();
      await vi.advanceTimersByTimeAsync(TRY_AGAIN_MS.first);
      expect(record.keeping.value.kind).toBe('refused');
      control.refuse = null;
      await vi.advanceTimersByTimeAsync(2 * TRY_AGAIN_MS.first);
      expect([record.keeping.value.kind, control.stored?.value]).toEqual(['kept', EMPTY]);
    }),
  );
  test(
    'a store that refuses every third write loses nothing, says each refusal, and has it all in the end',
    inFakeTime(async () => {
      const { record, control } = await opened();
      const said = new Set<string>();
      watch(record.keeping, ({ kind }) => said.add(kind), { flush: 'sync' });
      let writes = 0;
      control.write = () => (control.refuse = ++writes % 3 === 0 ? 'blocked' : null);
      for (let i = 1; i <= 60; i++) {
        record.value.list.push({ id: `r${i}`, text: String(i), value: i });
        await vi.advanceTimersByTimeAsync(50);
        // What is not stored is in the journal at least.
        const [left] = await readAhead(name);
        const stored = control.stored!.value.list.length;
        expect(left !== undefined || stored === i).toBe(true);
      }
      expect([...said].sort()).toEqual(['keeping', 'kept', 'refused']);
      await vi.advanceTimersByTimeAsync(2 * TRY_AGAIN_MS.first);
      expect(record.keeping.value.kind).toBe('kept');
      expect(control.stored!.value.list.map((r) => r.value)).toEqual(Array.from({ length: 60 }, (_, i) => i + 1));
    }),
  );
  test('leaving the page while the store refuses is asked about; not when all is kept', async () => {
    const { record, control } = await opened();
    const leaves = (): boolean => {
      const event = new Event('beforeunload', { cancelable: true });
      window.dispatchEvent(event);
      return !event.defaultPrevented;
    };
    expect(leaves()).toBe(true);
    control.refuse = 'blocked';
    record.value.title = 'T';
    await record.settled();
    expect(leaves()).toBe(false);
    control.refuse = null;
    await record.keepAgain();
    expect(leaves()).toBe(true);
  });
  test('the stamp of a write is in the store and in the value, and is no change of its own', async () => {
    const { door, control } = fakeDoor<Note>(name, EMPTY);
    const record = persistedRecord<Note>({
      door,
      initial: EMPTY,
      stored: control.stored,
      stamp: () => ({ at: 'now' }),
    });
    const changes: Change<Note>[] = [];
    record.changes.listen((c) => changes.push(c));
    await record.loaded;
    record.value.title = 'T';
    await record.settled();
    expect(control.stored!.value).toMatchObject({ title: 'T', at: 'now' });
    expect([record.value.at, record.now().at]).toEqual(['now', 'now']);
    expect(changes).toHaveLength(1);
    expect(control.writes).toHaveLength(1);
  });
  test('removed elsewhere: nothing is written until a person says so; put back elsewhere, all is well', async () => {
    const { record, control } = await opened();
    record.value.title = 'T';
    await record.settled();
    control.remove();
    await rest();
    expect(record.keeping.value).toEqual({ kind: 'removed-elsewhere' });
    record.value.size = 5;
    await record.settled();
    expect(control.stored).toBeNull();
    await record.keepAgain();
    expect(control.stored!.value).toMatchObject({ title: 'T', size: 5 });
    expect(record.keeping.value).toEqual({ kind: 'kept' });
    const last = control.stored!;
    control.remove();
    await rest();
    record.value.size = 6;
    await rest();
    control.elsewhereBlind({ ...last.value, title: 'theirs' }, last);
    await rest();
    await record.settled();
    expect(record.keeping.value).toEqual({ kind: 'kept' });
    expect(control.stored!.value).toMatchObject({ title: 'theirs', size: 6 });
  });
  test('kept again although nothing was changed since: it is there again', async () => {
    const { record, control } = await opened();
    control.remove();
    await rest();
    await record.keepAgain();
    expect(control.stored!.value).toEqual(EMPTY);
  });
});

describe('one thing after the other', () => {
  test('what was read already is kept from the start; what is read now is loading until it is there', async () => {
    const { door, control } = fakeDoor<Note>(name, EMPTY);
    const at = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored });
    expect([at.keeping.value, at.dirty.value]).toEqual([{ kind: 'kept' }, false]);
    control.held = true;
    const later = persistedRecord<Note>({ door, initial: EMPTY });
    expect(later.keeping.value).toEqual({ kind: 'loading' });
    control.release();
    await later.loaded;
    expect(later.keeping.value).toEqual({ kind: 'kept' });
  });
  test('only typing makes the value dirty: not a stamp, not what comes from elsewhere or is taken back', async () => {
    const { door, control } = fakeDoor<Note>(name, EMPTY);
    const record = persistedRecord<Note>({
      door,
      initial: EMPTY,
      stored: control.stored,
      stamp: () => ({ at: 'now' }),
    });
    await record.loaded;
    const seen: boolean[] = [];
    watch(record.dirty, (on) => seen.push(on), { flush: 'sync' });
    record.value.title = 'T';
    await record.settled();
    expect(seen).toEqual([true, false]);
    control.elsewhere((v) => ({ ...v, size: 4 }));
    await rest();
    record.change('undo', (v) => (v.title = 'U'));
    await record.settled();
    await rest();
    expect(seen).toEqual([true, false]);
    expect(plainCopy(record.value)).toEqual({ ...EMPTY, title: 'U', size: 4, at: 'now' });
  });
  test('typing and a change in the same event are two changes, in order', async () => {
    const { record, changes } = await opened();
    record.value.title = 'typed';
    record.change('undo', (v) => (v.size = 2));
    await rest();
    expect(changes.map((c) => [c.origin, c.revision, c.patches.map((p) => p.at.join())])).toEqual([
      ['typed', 1, ['title']],
      ['undo', 2, ['size']],
    ]);
  });
  test('typed while another window’s change is being read: both are there', async () => {
    const { record, control } = await opened();
    control.held = true;
    control.elsewhere((v) => ({ ...v, size: 4 }));
    await rest();
    record.value.title = 'T';
    control.release();
    await rest();
    await record.settled();
    expect(control.stored!.value).toEqual({ title: 'T', size: 4, list: [] });
    expect(plainCopy(record.value)).toEqual({ title: 'T', size: 4, list: [] });
  });
  test('typed in the very event in which keeping is asked for: kept', async () => {
    const { record, control } = await opened();
    record.value.title = 'T';
    await record.keepAgain();
    expect(control.stored!.value.title).toBe('T');
    record.value.title = 'U';
    await record.settled();
    expect(control.stored!.value.title).toBe('U');
  });
  test('a change counts from when it was typed, however late it is written; what comes from elsewhere does not move that', async () => {
    vi.useFakeTimers({ toFake: ['Date'] });
    vi.setSystemTime('2026-01-01T00:00:00Z');
    const { record, control } = await opened();
    control.held = true;
    record.value.title = 'a';
    await rest();
    vi.setSystemTime('2026-01-01T00:00:07Z');
    record.value.title = 'ab';
    await rest();
    vi.setSystemTime('2026-01-01T00:01:00Z');
    control.release();
    await record.settled();
    expect(control.stored!.at).toBe('2026-01-01T00:00:07.000Z');
    expect(control.written).toEqual(['2026-01-01T00:00:00.000Z', '2026-01-01T00:00:07.000Z']);
    control.elsewhere((v) => ({ ...v, size: 4 }));
    await rest();
    await record.keepAgain();
    expect(control.written[2]).toBe('2026-01-01T00:00:07.000Z');
    vi.useRealTimers();
  });
  test('a record read and kept again without a key has the present as its time', async () => {
    vi.useFakeTimers({ toFake: ['Date'] });
    vi.setSystemTime('2026-03-01T00:00:00Z');
    const { record, control } = await opened();
    await record.keepAgain();
    expect(control.written).toEqual(['2026-03-01T00:00:00.000Z']);
    vi.useRealTimers();
  });
  test('a removal that is heard while a write is under way stands when the write is done', async () => {
    const { record, control } = await opened();
    control.held = true;
    record.value.title = 'T';
    await rest();
    control.remove();
    record.value.title = 'U';
    await rest();
    control.release();
    await record.settled();
    expect(record.keeping.value.kind).toBe('removed-elsewhere');
    expect(control.writes).toHaveLength(1);
  });
  test('a record that was never stored cannot be removed elsewhere', async () => {
    const { record, control } = await opened(null);
    control.remove();
    await rest();
    expect(record.keeping.value).toEqual({ kind: 'kept' });
  });
  test('what cannot be read just now changes nothing; put away, a record takes nothing in any more', async () => {
    const { record, control } = await opened();
    control.refuse = 'silent';
    control.elsewhere((v) => ({ ...v, size: 4 }));
    await rest();
    expect([record.value.size, record.keeping.value.kind]).toEqual([0, 'kept']);
    control.refuse = null;
    control.held = true;
    control.elsewhere((v) => ({ ...v, size: 5 }));
    record.dispose();
    control.release();
    await rest();
    expect(record.value.size).toBe(0);
    control.elsewhere((v) => ({ ...v, size: 6 }));
    await rest();
    expect(record.value.size).toBe(0);
  });
  test('put away while it is being written, what another window wrote meanwhile is not written over', async () => {
    const { record, control } = await opened();
    control.held = true;
    record.value.title = 'mine';
    await rest();
    control.elsewhere((v) => ({ ...v, size: 4 }));
    record.dispose();
    control.release();
    await record.settled();
    expect(control.stored!.value).toEqual({ title: 'mine', size: 4, list: [] });
    expect(record.now()).toEqual(control.stored!.value);
    expect(await readAhead(name)).toEqual([]);
  });
  test('put away while it is being read, it stays as it is', async () => {
    const { door, control } = fakeDoor<Note>(name, { ...EMPTY, size: 9 });
    control.held = true;
    const record = persistedRecord<Note>({ door, initial: EMPTY });
    record.dispose();
    control.release();
    await record.loaded;
    expect(record.value.size).toBe(0);
  });
  test('while it is tried again, leaving is still asked about', async () => {
    const { record, control } = await opened();
    const leaves = (): boolean => window.dispatchEvent(new Event('beforeunload', { cancelable: true }));
    control.refuse = 'full';
    record.value.title = 'T';
    await record.settled();
    control.held = true;
    void record.keepAgain();
    expect([record.keeping.value.kind, leaves()]).toEqual(['keeping', false]);
    control.refuse = null;
    control.release();
    await record.settled();
    expect(leaves()).toBe(true);
  });
  test('older windows are remembered only so far back', async () => {
    const { record, control } = await opened();
    const first = control.stored!;
    for (let i = 1; i <= 14; i++) {
      record.value.size = i;
      await record.settled();
    }
    // A window that knows only the very first version: the last one known is the common ground, and its old value wins where it differs.
    control.elsewhereBlind({ ...EMPTY, title: 'from long ago' }, first);
    await rest();
    await record.settled();
    expect(plainCopy(record.value).title).toBe('from long ago');
  });
});

describe('loading', () => {
  test('what was typed before the stored record arrives wins over it, all else is taken from it', async () => {
    const { door, control } = fakeDoor<Note>(name, {
      title: 'stored',
      size: 8,
      list: [{ id: 'x', text: 'a', value: null }],
    });
    control.held = true;
    const record = persistedRecord<Note>({ door, initial: EMPTY });
    expect(record.keeping.value).toEqual({ kind: 'loading' });
    record.value.title = 'typed';
    await rest();
    expect(control.writes).toHaveLength(0);
    control.release();
    await record.loaded;
    await record.settled();
    expect(plainCopy(record.value)).toEqual({ title: 'typed', size: 8, list: [{ id: 'x', text: 'a', value: null }] });
    expect(control.stored!.value).toEqual(plainCopy(record.value));
  });
  test('nothing stored and nothing typed: nothing is written', async () => {
    const { record, control } = await opened(null);
    await record.settled();
    expect(control.stored).toBeNull();
    expect(record.keeping.value).toEqual({ kind: 'kept' });
    record.value.title = 'T';
    await record.settled();
    expect(control.stored!.value.title).toBe('T');
  });
  test('a store that cannot be read is said; what is stored there is not lost by what is typed meanwhile', async () => {
    const { door, control } = fakeDoor<Note>(name, { ...EMPTY, title: 'stored', size: 2 });
    control.refuse = 'blocked';
    const record = persistedRecord<Note>({ door, initial: EMPTY });
    await record.loaded;
    expect(record.keeping.value).toEqual({ kind: 'refused', fault: 'blocked' });
    record.value.size = 3;
    await record.settled();
    control.refuse = null;
    await record.keepAgain();
    expect(control.stored!.value).toEqual({ title: 'stored', size: 3, list: [] });
    expect(plainCopy(record.value)).toEqual({ title: 'stored', size: 3, list: [] });
  });
});

describe('what was typed and did not reach the store', () => {
  test('is written ahead in the same event, whole', async () => {
    const { record, control } = await opened();
    control.held = true;
    for (const text of ['4', '4.', '4.8']) {
      record.value.title = text;
      await Promise.resolve();
      expect(await readAhead(name)).toMatchObject([{ patches: [{ at: ['title'], before: '', after: text }] }]);
    }
    control.release();
    await record.settled();
    expect(await readAhead(name)).toEqual([]);
  });
  test('is back in the next window, kept, and can be taken back there', async () => {
    const { record, control, door } = await opened();
    control.refuse = 'silent';
    record.value.title = 'lost?';
    record.value.list.push({ id: 'x', text: '3', value: 3 });
    await record.settled();
    record.dispose();
    control.refuse = null;
    const next = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored });
    const changes: Change<Note>[] = [];
    next.changes.listen((c) => changes.push(c));
    await next.loaded;
    await next.settled();
    expect(plainCopy(next.value)).toEqual({ title: 'lost?', size: 0, list: [{ id: 'x', text: '3', value: 3 }] });
    expect(control.stored!.value).toEqual(plainCopy(next.value));
    expect(changes.map((c) => c.origin)).toContain('typed');
    expect(await readAhead(name)).toEqual([]);
  });
  test('of a record that was never stored comes back whole, on top of what is stored by then', async () => {
    const { record, control, door } = await opened(null);
    control.refuse = 'full';
    record.value.title = 'mine';
    await record.settled();
    record.dispose();
    control.refuse = null;
    await door.write({ ...EMPTY, size: 5 }, null);
    const next = persistedRecord<Note>({ door, initial: EMPTY });
    await next.loaded;
    await next.settled();
    expect(plainCopy(next.value)).toEqual({ title: 'mine', size: 5, list: [] });
  });
  test('the newest wins: a place that was written later elsewhere stays, others come back', async () => {
    const { record, control, door } = await opened();
    control.refuse = 'silent';
    record.value.title = 'mine';
    record.value.size = 4;
    await record.settled();
    record.dispose();
    control.refuse = null;
    control.elsewhere((v) => ({ ...v, title: 'later' }));
    const later = { ...control.stored!, at: '2999-01-01T00:00:00Z' };
    const next = persistedRecord<Note>({ door, initial: EMPTY, stored: later });
    await next.loaded;
    expect(plainCopy(next.value)).toMatchObject({ title: 'later', size: 4 });
    next.dispose();
    clearAhead(name);
  });
  describe('with a write under way whose end this window did not see, and a later change elsewhere', () => {
    /** A window dies with `first` on its way to the store and `then` typed since; what the next one finds there is `stored`. */
    async function next(initial: Note | null, first: Partial<Note>, then: Partial<Note>, stored: Note): Promise<Note> {
      const dying = await opened(initial);
      dying.control.held = true;
      Object.assign(dying.record.value, plainCopy(first));
      await rest();
      Object.assign(dying.record.value, plainCopy(then));
      await rest();
      dying.record.dispose();
      const { door, control } = fakeDoor<Note>(name, stored);
      const record = persistedRecord<Note>({
        door,
        initial: EMPTY,
        stored: { ...control.stored!, at: '2999-01-01T00:00:00Z' },
      });
      await record.loaded;
      await record.settled();
      return plainCopy(record.value);
    }
    const item = (text: string) => [{ id: 'x', text, value: null }];
    test('it had arrived: what was typed since comes on top of it', async () => {
      expect(await next(EMPTY, { title: '4' }, { title: '4.3' }, { ...EMPTY, title: '4', size: 7 })).toEqual({
        title: '4.3',
        size: 7,
        list: [],
      });
    });
    test('it had not arrived: all that was typed comes back', async () => {
      expect(await next(EMPTY, { title: '4' }, { title: '4.3' }, { ...EMPTY, size: 7 })).toMatchObject({
        title: '4.3',
        size: 7,
      });
    });
    test('a thing that was added on the way and changed elsewhere has both changes', async () => {
      const noted = (text: string) => [{ ...item(text)[0], note: 'theirs' }];
      const elsewhere = { ...EMPTY, list: noted('4') };
      expect((await next(EMPTY, { list: item('4') }, { list: item('4.3') }, elsewhere)).list).toEqual(noted('4.3'));
    });
    test('typed back to what it was: it is that again', async () => {
      expect((await next(EMPTY, { title: '4' }, { title: '' }, { ...EMPTY, title: '4', size: 7 })).title).toBe('');
    });
    test('what was written over it elsewhere stays', async () => {
      expect((await next(EMPTY, { title: '4' }, { title: '4.3' }, { ...EMPTY, title: 'theirs' })).title).toBe('theirs');
    });
    test('of a record that was never stored before', async () => {
      const found = await next(null, { title: '4' }, { title: '4.3' }, { ...EMPTY, title: '4', size: 7 });
      expect(found).toMatchObject({ title: '4.3', size: 7 });
    });
  });
  test('of the same moment as what is stored, what is ahead stands; what a dead window left is taken away once it is kept', async () => {
    const { door, control } = fakeDoor<Note>(name, { ...EMPTY, title: 'stored' });
    const { at } = control.stored!;
    const left = {
      record: name,
      window: 'dead',
      at,
      base: 'another',
      patches: [{ at: ['title'], before: 'older', after: 'ahead' }],
    };
    const key = `mellow-probe.own.ahead.dead.${name}`;
    localStorage.setItem(key, JSON.stringify({ ...left, at: '2000-01-01T00:00:00Z' }));
    const older = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored });
    await older.loaded;
    expect(older.value.title).toBe('stored');
    older.dispose();
    Object.defineProperty(navigator, 'locks', {
      value: { query: () => Promise.resolve({ held: [] }), request: () => Promise.resolve() },
      configurable: true,
    });
    localStorage.setItem(key, JSON.stringify(left));
    const record = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored });
    await record.loaded;
    expect(record.value.title).toBe('ahead');
    expect(control.stored!.value.title).toBe('ahead');
    expect(localStorage.getItem(key)).toBeNull();
  });
  test('what a dead window left stays while the store refuses it', async () => {
    const { door, control } = fakeDoor<Note>(name, EMPTY);
    const { stored } = control;
    control.refuse = 'full';
    const key = `mellow-probe.own.ahead.dead.${name}`;
    localStorage.setItem(
      key,
      JSON.stringify({
        record: name,
        window: 'dead',
        at: '2999-01-01T00:00:00Z',
        base: 'r1',
        patches: [{ at: ['title'], before: '', after: 'ahead' }],
      }),
    );
    const record = persistedRecord<Note>({ door, initial: EMPTY, stored });
    await record.loaded;
    expect(record.value.title).toBe('ahead');
    expect(localStorage.getItem(key)).not.toBeNull();
  });
  test('disposing with a key just typed still writes it', async () => {
    const { record, control } = await opened();
    record.value.title = 'T';
    record.dispose();
    await record.settled();
    expect(control.stored!.value.title).toBe('T');
    record.value.title = 'after';
    await nextTick();
    await record.settled();
    expect(control.stored!.value.title).toBe('T');
  });
});
