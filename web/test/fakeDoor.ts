import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { mergeThreeWay } from '@mellow-probe/core/base/records/mergeThreeWay';
import type { Door } from '../src/data/storage/door.ts';
import type { Kept } from '../src/data/storage/kept.ts';
import { StorageError, type StorageFault } from '../src/data/storage/storageError.ts';

/** A store with one record, whose answers come when the test lets them come, and which can refuse. Another window writes through `elsewhere`. */
export function fakeDoor<T>(name: string, initial: T | null = null) {
  let count = 0;
  const kept = (value: T, from: Kept<T> | null, at = new Date().toISOString()): Kept<T> => ({
    revision: `r${++count}`,
    at,
    follows: from ? [from.revision, ...from.follows] : [],
    value: plainCopy(value),
  });
  let stored: Kept<T> | null = initial === null ? null : kept(initial, null);
  let waiting: (() => void)[] = [];
  const listeners = new Set<(kind: 'written' | 'removed') => void>();
  const control = {
    held: false,
    refuse: null as StorageFault | null,
    writes: [] as T[],
    /** Called when a write comes, before it is taken or refused. */
    write: (): void => undefined,
    /** The times that the writes said they are of. */
    written: [] as (string | undefined)[],
    get stored() {
      return stored;
    },
    get waits() {
      return waiting.length;
    },
    /** Lets the answers that are held back come, and all later ones. */
    release(): void {
      control.held = false;
      const all = waiting;
      waiting = [];
      all.forEach((go) => go());
    },
    elsewhere(change: (value: T) => T): void {
      stored = kept(change(plainCopy(stored!.value)), stored);
      listeners.forEach((l) => l('written'));
    },
    /** Another window writes over what this one wrote, not knowing of it. */
    elsewhereBlind(value: T, follows: Kept<T>): void {
      stored = kept(value, follows);
      listeners.forEach((l) => l('written'));
    },
    remove(): void {
      stored = null;
      listeners.forEach((l) => l('removed'));
    },
  };
  const turn = (): Promise<void> =>
    control.held ? new Promise((resolve) => waiting.push(resolve)) : Promise.resolve();
  const door: Door<T> = {
    name,
    async read() {
      await turn();
      if (control.refuse) throw new StorageError(control.refuse, 'refused');
      return stored;
    },
    async write(value, base, at) {
      control.write();
      await turn();
      if (control.refuse) throw new StorageError(control.refuse, 'refused');
      const elsewhere = stored !== null && base !== null && stored.revision !== base.revision;
      stored = kept(elsewhere ? mergeThreeWay(base.value, value, stored!.value) : value, stored ?? base, at);
      control.writes.push(stored.value);
      control.written.push(at);
      return stored;
    },
    onElsewhere(callback) {
      listeners.add(callback);
      return () => listeners.delete(callback);
    },
  };
  return { door, control };
}
