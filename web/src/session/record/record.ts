import { applyPatches, differences } from '@mellow-probe/core/base/records/changes';
import { mergeThreeWay } from '@mellow-probe/core/base/records/mergeThreeWay';
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { computed, effectScope, reactive, readonly, ref, shallowRef, watch } from 'vue';
import { nowIso } from '../browser/newId.ts';
import { type Ahead, clearAhead, readAhead, wholeOf, writeAhead } from '../data/storage/ahead.ts';
import { type Kept, REMEMBERED } from '../data/storage/kept.ts';
import { type StorageFault, toStorageError } from '../data/storage/storageError.ts';
import { guardLeaving } from './leaveGuard.ts';
import type { Change, Keeping, Origin, PersistedRecord, RecordOptions } from './recordContract.ts';
import { stream } from './stream.ts';
import { trackedCopy } from './trackedCopy.ts';

/** The one idiom for a record that outlives the page: job, kit, drafts, curves. */
export function persistedRecord<T extends object>({
  door,
  initial,
  stored,
  stamp,
}: RecordOptions<T>): PersistedRecord<T> {
  const value = reactive(plainCopy(initial)) as T;
  const keeping = shallowRef<Keeping>({
    kind: stored === undefined ? 'loading' : stored === null ? 'keeping' : 'kept',
  });
  const changes = stream<Change<T>>();
  const dirty = ref(false);
  /** The value as of the last change; the one in the store as far as this window knows, and those before it. */
  let last: T = plainCopy(initial);
  let base: Kept<T> | null = null;
  /** When the value became what it is. */
  let lastAt = '';
  const trail: Kept<T>[] = [];
  let revision = 0;
  let pending = false;
  let quiet = false;
  /** To be written although nothing differs from the last known: the store no longer has it. */
  let mustWrite = false;
  let writing: Promise<void> | null = null;
  /** What the last write took along, until the store has answered. */
  let underWay: T | null = null;
  let disposed = false;

  const NEVER_STORED: Kept<T> = { revision: 'never stored', at: '', follows: [], value: plainCopy(initial) };

  function setStatus(next: Keeping): void {
    keeping.value = next;
    if (next.kind === 'refused' || next.kind === 'kept') guardLeaving(door.name, next.kind === 'refused');
  }

  /** The stamp of a write is no change: nothing is judged, kept or taken back for it. */
  function setStamp(sent: T): void {
    if (!stamp) return;
    const fields = Object.fromEntries(Object.keys(stamp()).map((key) => [key, sent[key as keyof T]])) as Partial<T>;
    quiet = true;
    Object.assign(value, fields);
    quiet = false;
    last = { ...last, ...fields };
  }

  function setBase(kept: Kept<T>): void {
    [base, underWay] = [kept, null];
    trail.unshift(kept);
    trail.length = Math.min(trail.length, REMEMBERED);
  }

  const tracked = trackedCopy(value, () => {
    if (quiet || pending) return;
    [pending, dirty.value] = [true, true];
  });
  // The rest of this event's writes first: one event, one change. Nothing can be reloaded in between, and nothing is drawn: what does not hang on
  // the change is not drawn for it. In no component's scope: one that goes takes no change with it.
  const committing = effectScope(true);
  committing.run(() => watch(dirty, (written) => written && commit('typed')));

  function commit(origin: Origin): void {
    pending = false;
    // Put away: what is written into the value from now on is no change of the record.
    if (disposed && origin === 'typed') return;
    const before = last;
    const after = tracked.copy();
    const patches = differences(before, after);
    if (patches.length > 0) {
      last = after;
      revision++;
      if (origin !== 'elsewhere') lastAt = nowIso();
      if (underWay || !isKept()) appendToJournal();
      // The store first: the verdict, the steps of undo and all else that follows from the change can wait for it, it cannot wait for them.
      void keep();
      changes.emit({ origin, revision, patches, before, after });
    }
    dirty.value = false;
  }

  const isKept = (): boolean => base !== null && differences(base.value, last).length === 0;

  function appendToJournal(): void {
    const patches = base === null ? [{ at: [], after: last }] : differences(base.value, last);
    writeAhead(door.name, base?.revision ?? null, patches, lastAt, underWay ? differences(underWay, last) : []);
  }

  function change(origin: Origin, write: (value: T) => void): void {
    commit('typed');
    quiet = true;
    try {
      write(value);
    } finally {
      quiet = false;
    }
    commit(origin);
  }

  /** Brings the value to plain data `wanted`, touching only what differs. */
  function adopt(wanted: T): void {
    const patches = differences(last, wanted);
    change('elsewhere', (v) => applyPatches(v as Record<string, unknown>, patches, 'force'));
  }

  function keep(): Promise<void> {
    const { kind } = keeping.value;
    if (kind === 'loading' || kind === 'removed-elsewhere') return Promise.resolve();
    if (writing) return writing;
    if (mustWrite || !isKept()) writing = write();
    else allWritten();
    return writing ?? Promise.resolve();
  }

  /** Nothing is left to write. */
  function allWritten(): void {
    clearAhead(door.name);
    setStatus({ kind: 'kept' });
  }

  /** Writes until nothing is left to write; at least once. */
  async function write(): Promise<void> {
    do {
      setStatus({ kind: 'keeping' });
      mustWrite = false;
      underWay = last;
      const sent = { ...last, ...stamp?.() };
      let kept: Kept<T>;
      try {
        kept = await door.write(sent, base ?? NEVER_STORED, lastAt === '' ? nowIso() : lastAt);
      } catch (error) {
        writing = null;
        setStatus({ kind: 'refused', fault: toStorageError(error).fault });
        return;
      }
      commit('typed');
      setStamp(sent);
      setBase(kept);
      // What another window wrote comes in, on top of what was typed here while the write was under way.
      adopt(mergeThreeWay(sent, last, kept.value));
    } while (keeping.value.kind !== 'removed-elsewhere' && !isKept());
    writing = null;
    if (keeping.value.kind !== 'removed-elsewhere') allWritten();
  }

  async function onRemoteChange(kind: 'written' | 'removed'): Promise<void> {
    if (kind === 'removed') {
      if (base !== null) setStatus({ kind: 'removed-elsewhere' });
      return;
    }
    await writing;
    let found: Kept<T> | null;
    try {
      found = await door.read();
    } catch {
      // It can still be written; that it could not be read now changes nothing here.
      return;
    }
    if (!found || disposed || found.revision === base?.revision) return;
    if (keeping.value.kind === 'removed-elsewhere') setStatus({ kind: 'kept' });
    if (writing) return;
    commit('typed');
    merge(found);
    await keep();
  }

  /** Takes in what is stored now, on top of what was typed here since the last version both know. */
  function merge(found: Kept<T>): void {
    const common = trail.find((k) => found.follows.includes(k.revision));
    const from = common?.value ?? base?.value ?? plainCopy(initial);
    const merged = mergeThreeWay(from, last, found.value);
    setBase(found);
    adopt(merged);
  }

  /** What was typed before the page was reloaded or killed and never reached the store. */
  function replay(left: readonly Ahead[]): void {
    for (const entry of left) {
      const newer = entry.at >= (base?.at ?? '');
      const whole = wholeOf(entry) as T | undefined;
      if (whole) {
        const [mine, theirs] = newer ? [whole, last] : [last, whole];
        const wanted = differences(last, mergeThreeWay(plainCopy(initial), mine, theirs));
        change('typed', (v) => applyPatches(v as Record<string, unknown>, wanted, 'force'));
      }
      for (const patches of [entry.patches, entry.since ?? []])
        change('typed', (v) => applyPatches(v as Record<string, unknown>, patches, newer ? 'force' : 'keep'));
    }
  }

  async function load(): Promise<void> {
    let found: Kept<T> | null = null;
    let fault: StorageFault | null = null;
    try {
      found = stored === undefined ? await door.read() : stored;
    } catch (error) {
      fault = toStorageError(error).fault;
    }
    const left = await readAhead(door.name);
    if (disposed) return;
    commit('typed');
    if (found) merge(found);
    replay(left);
    setStatus(fault ? { kind: 'refused', fault } : { kind: 'kept' });
    // Known not to be stored at all: it is not kept until the store has it. Nothing read and nothing typed: nothing is written.
    if (stored === null) mustWrite = true;
    if (mustWrite || differences(found?.value ?? initial, last).length > 0) await keep();
    for (const entry of left) if (keeping.value.kind === 'kept') clearAhead(door.name, entry.window);
  }

  const stopListening = door.onElsewhere((kind) => void onRemoteChange(kind));
  const loaded = load();

  return {
    value,
    keeping: readonly(keeping),
    fault: computed(() => (keeping.value.kind === 'refused' ? keeping.value.fault : null)),
    changes,
    dirty: readonly(dirty),
    loaded,
    now: () => last,
    change,
    async keepAgain() {
      commit('typed');
      mustWrite = true;
      setStatus({ kind: 'keeping' });
      await keep();
    },
    async settled() {
      commit('typed');
      while (writing) await writing;
    },
    dispose() {
      commit('typed');
      disposed = true;
      // What is still to be written goes on being written; nothing new comes in.
      tracked.stop();
      committing.stop();
      stopListening();
    },
  };
}
