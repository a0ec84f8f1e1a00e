// @vitest-environment happy-dom
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import fc from 'fast-check';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { fakeDoor } from '../../test/fakeDoor.ts';
import { followHistory, type Steps } from './history.ts';
import { persistedRecord } from './record/record.ts';

interface Note {
  title: string;
  writtenAt?: number;
  size: number;
  list: { id: string; text: string; value: number | null; note?: string }[];
}
const EMPTY: Note = { title: '', size: 0, list: [] };
const tick = (): Promise<void> => Promise.resolve().then(() => undefined);

let n = 0;
beforeEach(() => localStorage.clear());

async function opened(kept: Steps | null = null, stamp?: () => Partial<Note>) {
  const { door, control } = fakeDoor<Note>(`h/${++n}`, EMPTY);
  const record = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored, stamp });
  await record.loaded;
  const stored = { steps: kept };
  const steps = {
    read: () => Promise.resolve(stored.steps),
    write: (s: Steps) => Promise.resolve(void (stored.steps = plainCopy(s))),
  };
  const history = followHistory(record, steps);
  await history.loaded;
  const type = async (write: (v: Note) => void): Promise<void> => {
    write(record.value);
    await tick();
  };
  return { record, control, history, stored, type };
}

describe('taking back', () => {
  test('each field is a step; the keys of one field are one step; done again they are there again', async () => {
    const { record, history, type } = await opened();
    for (const t of ['T', 'Te', 'Ter', 'Tern']) await type((v) => (v.title = t));
    await type((v) => (v.size = 3));
    expect(history.next.undo!.patches).toEqual([{ at: ['size'], before: 0, after: 3 }]);
    expect(history.undo()).toMatchObject({ left: 0 });
    expect(plainCopy(record.value)).toEqual({ ...EMPTY, title: 'Tern' });
    expect(history.next.redo!.patches[0].at).toEqual(['size']);
    history.undo();
    expect(plainCopy(record.value)).toEqual(EMPTY);
    expect(history.next.undo).toBeNull();
    expect(history.undo()).toBeNull();
    history.redo();
    history.redo();
    expect(plainCopy(record.value)).toEqual({ ...EMPTY, title: 'Tern', size: 3 });
    expect(history.redo()).toBeNull();
  });
  test('a thing that came into a list and what is typed into it are one step; its note is another after the hand moved', async () => {
    const { record, history, type } = await opened();
    await type((v) => void v.list.push({ id: 'x', text: '4', value: 4 }));
    await type((v) => Object.assign(v.list[0], { text: '4.8', value: 4.8 }));
    history.seal();
    await type((v) => (v.list[0].note = 'bad contact'));
    history.undo();
    expect(plainCopy(record.value.list)).toEqual([{ id: 'x', text: '4.8', value: 4.8 }]);
    history.undo();
    expect(record.value.list).toEqual([]);
  });
  test('a pause makes the next key a step of its own', async () => {
    vi.useFakeTimers();
    const { record, history, type } = await opened();
    await type((v) => (v.title = 'a'));
    vi.advanceTimersByTime(3999);
    await type((v) => (v.title = 'ab'));
    vi.advanceTimersByTime(4001);
    await type((v) => (v.title = 'abc'));
    history.undo();
    expect(record.value.title).toBe('ab');
    history.undo();
    expect(record.value.title).toBe('');
    vi.useRealTimers();
  });
  test('typed back to where it was: nothing to take back', async () => {
    const { history, type } = await opened();
    await type((v) => (v.title = 'a'));
    await type((v) => (v.title = ''));
    expect(history.next.undo).toBeNull();
  });
  test('what a write stamps is none of a step: not told, not taken back, and in nobody’s way', async () => {
    let writes = 0;
    const { record, history, type } = await opened(null, () => ({ writtenAt: ++writes }));
    for (const t of ['T', 'Te', 'Ter']) {
      await type((v) => (v.title = t));
      await record.settled();
    }
    expect(record.value.writtenAt).toBeGreaterThan(1);
    expect(history.next.undo!.patches).toEqual([{ at: ['title'], before: '', after: 'Ter' }]);
    expect(history.undo()).toMatchObject({ left: 0 });
    expect(record.value.title).toBe('');
    history.redo();
    await type((v) => (v.title = 'Tern'));
    await type((v) => (v.title = 'Ter'));
    expect(history.next.undo!.patches).toEqual([{ at: ['title'], before: '', after: 'Ter' }]);
  });
  test('something new typed ends what could be done again', async () => {
    const { history, type } = await opened();
    await type((v) => (v.title = 'a'));
    history.undo();
    await type((v) => (v.size = 1));
    expect(history.next.redo).toBeNull();
  });
  test('what another window changed since is left alone and counted; what it changed is no step here', async () => {
    const { record, control, history, type } = await opened();
    await type((v) => {
      v.title = 'mine';
      v.size = 1;
    });
    await record.settled();
    control.elsewhere((v) => ({ ...v, title: 'theirs' }));
    for (let i = 0; i < 30; i++) await tick();
    expect(record.value.title).toBe('theirs');
    expect(history.undo()).toMatchObject({ left: 1 });
    expect(plainCopy(record.value)).toEqual({ ...EMPTY, title: 'theirs' });
    expect(history.next.undo).toBeNull();
  });
  test('steps outlive the page, and those of before go further back', async () => {
    const first = await opened();
    await first.type((v) => (v.title = 'a'));
    await first.history.flush();
    expect(first.stored.steps!.undo).toHaveLength(1);
    const { door, control } = fakeDoor<Note>(`h/${++n}`, { ...EMPTY, title: 'a' });
    const record = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored });
    await record.loaded;
    const history = followHistory(record, {
      read: () => Promise.resolve(first.stored.steps),
      write: () => Promise.resolve(),
    });
    record.value.size = 2;
    await tick();
    await history.loaded;
    history.undo();
    expect(record.value.size).toBe(0);
    history.undo();
    expect(record.value.title).toBe('');
  });
  test('what could be done again outlives the page, until something new is typed', async () => {
    const step = (at: string, before: unknown, after: unknown) => ({
      at: 'then',
      patches: [{ at: [at], before, after }],
    });
    const kept: Steps = { undo: [], redo: [step('title', '', 'again')] };
    const { record, history } = await opened(kept);
    expect(history.next.redo).not.toBeNull();
    history.redo();
    expect(record.value.title).toBe('again');
    expect(history.next.undo!.patches[0].at).toEqual(['title']);
    const { door, control } = fakeDoor<Note>(`h/${++n}`, EMPTY);
    const other = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored });
    await other.loaded;
    const typedBefore = followHistory(other, { read: () => Promise.resolve(kept), write: () => Promise.resolve() });
    other.value.size = 1;
    await tick();
    await typedBefore.loaded;
    expect(typedBefore.next.redo).toBeNull();
  });
  test('two places in one event are a step of their own, and so is what comes after another window', async () => {
    const { record, control, history, type } = await opened();
    await type((v) => {
      v.title = 'a';
      v.size = 1;
    });
    await type((v) => (v.title = 'ab'));
    expect(history.next.undo!.patches).toHaveLength(1);
    await record.settled();
    control.elsewhere((v) => ({ ...v, list: [{ id: 'e', text: '', value: null }] }));
    for (let i = 0; i < 30; i++) await tick();
    await type((v) => (v.title = 'abc'));
    history.undo();
    expect(record.value.title).toBe('ab');
    history.undo();
    expect([record.value.title, record.value.size]).toEqual(['a', 1]);
    history.undo();
    expect(plainCopy(record.value)).toEqual({ ...EMPTY, list: [{ id: 'e', text: '', value: null }] });
  });
  test('fields whose names begin alike are two', async () => {
    const { history, type } = await opened();
    await type((v) => void v.list.push({ id: 'x', text: '1', value: 1 }));
    await type((v) => void v.list.push({ id: 'xy', text: '2', value: 2 }));
    expect(history.next.undo!.patches[0].at).toEqual(['list', '#xy']);
    await type((v) => (v.list[1].value = 3));
    expect(history.next.undo!.patches).toHaveLength(1);
    await type((v) => (v.list[0].value = 9));
    expect(history.next.undo!.patches[0].at).toEqual(['list', '#x', 'text+value']);
  });
  test('a store of steps that fails costs the steps, nothing else', async () => {
    const { door, control } = fakeDoor<Note>(`h/${++n}`, EMPTY);
    const record = persistedRecord<Note>({ door, initial: EMPTY, stored: control.stored });
    await record.loaded;
    const history = followHistory(record, {
      read: () => Promise.reject(new Error('x')),
      write: () => Promise.reject(new Error('y')),
    });
    await history.loaded;
    record.value.title = 'T';
    await tick();
    await history.flush();
    history.undo();
    expect(record.value.title).toBe('');
  });
  test('what a step could bring back is known; steps are bounded', async () => {
    const { history, type, stored } = await opened();
    await type((v) => void v.list.push({ id: 'photo-1', text: '', value: null }));
    expect(history.mentions('photo-1')).toBe(true);
    expect(history.mentions('photo-2')).toBe(false);
    for (let i = 0; i < 260; i++) {
      history.seal();
      await type((v) => (v.size = i + 1));
    }
    await history.flush();
    expect(stored.steps!.undo).toHaveLength(200);
    expect(history.mentions('photo-1')).toBe(false);
  });
  test('property: everything taken back is the beginning, everything done again the end', async () => {
    const move = fc.oneof(
      fc.record({ kind: fc.constant('title' as const), text: fc.string({ maxLength: 3 }) }),
      fc.record({ kind: fc.constant('add' as const), id: fc.constantFrom('a', 'b', 'c', 'd') }),
      fc.record({ kind: fc.constant('drop' as const), at: fc.nat(3) }),
      fc.record({ kind: fc.constant('edit' as const), at: fc.nat(3), text: fc.string({ maxLength: 3 }) }),
      fc.record({ kind: fc.constant('seal' as const) }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(move, { maxLength: 14 }), async (moves) => {
        const { record, history, type } = await opened();
        for (const m of moves) {
          if (m.kind === 'seal') history.seal();
          else
            await type((v) => {
              if (m.kind === 'title') v.title = m.text;
              else if (m.kind === 'add' && v.list.every((x) => x.id !== m.id))
                v.list.unshift({ id: m.id, text: '', value: null });
              else if (m.kind === 'drop') v.list.splice(m.at, 1);
              else if (m.kind === 'edit' && v.list[m.at])
                Object.assign(v.list[m.at], { text: m.text, value: m.text.length });
            });
        }
        const end = plainCopy(record.value);
        while (history.undo());
        expect(plainCopy(record.value)).toEqual(EMPTY);
        while (history.redo());
        expect(plainCopy(record.value)).toEqual(end);
      }),
      { numRuns: 150, seed: 3 },
    );
  });
});
