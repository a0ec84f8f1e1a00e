import type { Patch } from '@mellow-probe/core/base/records/changes';
import type { Ref } from 'vue';
import type { Door } from '../../data/storage/door.ts';
import type { Kept } from '../../data/storage/kept.ts';
import type { StorageFault } from '../../data/storage/storageError.ts';
import type { Stream } from './stream.ts';

/** Where a change came from: typed here, read back or merged from elsewhere, or taken back and done again. */
export type Origin = 'typed' | 'elsewhere' | 'undo';

/** One change of a record: everything that follows from it (keeping, judging, undo, the other windows) hears of it here. */
export interface Change<T> {
  origin: Origin;
  /** Counts up by one with each change. */
  revision: number;
  patches: readonly Patch[];
  /** Plain data, before and after; not to be changed. */
  before: T;
  after: T;
}

/** Whether what was typed is kept. */
export type Keeping =
  | { kind: 'loading' }
  | { kind: 'kept' }
  | { kind: 'keeping' }
  | { kind: 'refused'; fault: StorageFault }
  /** Taken away in another window: nothing is written until a person says so. */
  | { kind: 'removed-elsewhere' };

/** A record that is kept in the browser, as one thing to write into. */
export interface PersistedRecord<T extends object> {
  /** Reactive, never replaced: write into it. */
  readonly value: T;
  readonly keeping: Readonly<Ref<Keeping>>;
  /** Why the store does not take it; null where it does, or was not asked yet. */
  readonly fault: Readonly<Ref<StorageFault | null>>;
  readonly changes: Stream<Change<T>>;
  /** True from the first write of an event to the change that follows from it: nothing that was made from the value before is current then. */
  readonly dirty: Readonly<Ref<boolean>>;
  /** Settles when the stored record has arrived, or cannot. */
  readonly loaded: Promise<void>;
  /** Plain data of the value as of the last change. */
  now(): T;
  /** Writes into the value as a change of this origin. */
  change(origin: Origin, write: (value: T) => void): void;
  /** Tries to keep again, also what was removed elsewhere. */
  keepAgain(): Promise<void>;
  /** Waits until nothing is being written. */
  settled(): Promise<void>;
  /** Stops listening. What is not kept stays ahead of the store. */
  dispose(): void;
}

export interface RecordOptions<T extends object> {
  door: Door<T>;
  /** What the record is while nothing is stored. */
  initial: T;
  /**
   * What was read already, null for a record that the store would not take; without it the record is read now, and what is typed meanwhile wins
   * over what arrives.
   */
  stored?: Kept<T> | null;
  /** Fields that each write sets anew (the time of the change, say); no change of their own. */
  stamp?: () => Partial<T>;
}
