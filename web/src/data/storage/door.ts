import { mergeThreeWay } from '@mellow-probe/core/base/records/mergeThreeWay';
import { newId, nowIso } from '../../browser/newId.ts';
import { type Kept, REMEMBERED, unwrapped, wrapped } from './kept.ts';
import { StorageError } from './storageError.ts';
import { type StoreName, withStore } from './stores.ts';
import { oneAtATime, onOthers, tellOthers } from './windows.ts';

/** What a check says of data: what they are, or why they cannot be opened. */
export type Checked<T> = { ok: true; value: T } | { ok: false; detail: string };

/** The way to one record of a store. Every promise may reject with a `StorageError`. */
export interface Door<T> {
  readonly name: string;
  /** The record, or null where there is none. Rejects with 'invalid' where it cannot be opened; it is left as it is. */
  read(): Promise<Kept<T> | null>;
  /**
   * Writes, and returns what is now stored: where another window has written since `base`, both sets of changes, merged. `base` is the
   * version the writer started from, null for a new record; `at` is when the value became what it is (now, if not told), not when it is
   * written. Nothing goes that could not be opened again.
   */
  write(value: T, base: Kept<T> | null, at?: string): Promise<Kept<T>>;
  onElsewhere(callback: (kind: 'written' | 'removed') => void): () => void;
}

/** What stands in a store and cannot be opened: stays as it is and nothing is written over it, or counts as nothing. */
export type OnUnreadable = 'keep-it' | 'start-anew';

/** The door to the record `key` of a store, whose data `check` knows. */
export function doorTo<T>(
  store: StoreName,
  key: string,
  check: (data: unknown) => Checked<T>,
  onUnreadable: OnUnreadable = 'keep-it',
): Door<T> {
  const checked = (data: unknown): T => {
    const result = check(data);
    if (!result.ok) throw new StorageError('invalid', result.detail);
    return result.value;
  };
  /** `known`: a version this window has seen; what is stored under its revision needs no check again. */
  const readNow = async (known: Kept<T> | null = null): Promise<Kept<T> | null> => {
    const data: unknown = await withStore(store, (s) => s.getItem(key));
    if (data === null) return null;
    const kept = unwrapped(data);
    if (known !== null && kept.revision === known.revision) return { ...known, follows: kept.follows };
    if (onUnreadable === 'start-anew' && !check(kept.value).ok) return null;
    return { ...kept, value: checked(kept.value) };
  };
  const writeNow = async (value: T, base: Kept<T> | null, at: string): Promise<Kept<T>> => {
    const stored = await readNow(base);
    const elsewhere = stored !== null && base !== null && stored.revision !== base.revision;
    const merged = elsewhere ? mergeThreeWay(base.value, value, stored.value) : value;
    const from = stored ?? base;
    const next: Kept<T> = {
      revision: newId(),
      at: elsewhere && stored.at > at ? stored.at : at,
      follows: from ? [from.revision, ...from.follows].slice(0, REMEMBERED) : [],
      value: checked(merged),
    };
    await withStore(store, (s) => s.setItem(key, wrapped(next)));
    tellOthers({ store, key, kind: 'written' });
    return next;
  };
  return {
    name: `${store}/${key}`,
    read: () => readNow(),
    write: (value, base, at = nowIso()) => oneAtATime(`${store}/${key}`, () => writeNow(value, base, at)),
    onElsewhere: (callback) => onOthers((n) => n.store === store && n.key === key && callback(n.kind)),
  };
}
