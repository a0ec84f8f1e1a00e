import localforage from 'localforage';
import { workshop } from '../../browser/workshop.ts';
import { StorageError, toStorageError } from './storageError.ts';

/** What is kept: each in a database of its own, so that one that is damaged cannot take the others with it. */
export type StoreName =
  'jobs' | 'ledger' | 'photos' | 'shelf' | 'bin' | 'history' | 'recordings' | 'training' | 'staging';

/** The browser's stores of this workshop: its own, never the other's. */
const base = workshop === 'demo' ? 'mellow-probe-demo' : 'mellow-probe';
const DATABASES: Record<StoreName, string> = {
  jobs: base,
  ledger: `${base}-ledger`,
  photos: `${base}-photos`,
  shelf: `${base}-shelf`,
  bin: `${base}-bin`,
  history: `${base}-history`,
  recordings: `${base}-recordings`,
  training: `${base}-training`,
  staging: `${base}-staging`,
};

/** An answer that does not come within this time is a failure like any other, ms. */
export const PATIENCE = { ms: 8000 };

const opened = new Map<StoreName, Promise<LocalForage>>();

/**
 * Works on a store. IndexedDB or nothing: a store that silently became another one would be empty at the next visit. Rejects with a
 * `StorageError`; a store that could not be opened is tried again the next time.
 */
export async function withStore<T>(name: StoreName, work: (store: LocalForage) => Promise<T>): Promise<T> {
  try {
    return await inTime(openStore(name).then(work));
  } catch (error) {
    throw toStorageError(error);
  }
}

/** Is anything kept in one of these stores? Rejects with a `StorageError`. */
export async function holdsAny(...names: readonly StoreName[]): Promise<boolean> {
  const counts = await Promise.all(names.map((name) => withStore(name, (s) => s.length())));
  return counts.some((count) => count > 0);
}

function openStore(name: StoreName): Promise<LocalForage> {
  const known = opened.get(name);
  if (known) return known;
  const opening = inTime(
    databasesOpen().then(async () => {
      const store = localforage.createInstance({
        name: DATABASES[name],
        storeName: name,
        driver: localforage.INDEXEDDB,
      });
      await store.ready();
      return store;
    }),
  );
  opened.set(name, opening);
  opening.catch(() => opened.delete(name));
  return opening;
}

/**
 * Does the browser open databases at all? Asked before the library is: once it has failed to open one, it never opens that one again on this page.
 */
function databasesOpen(): Promise<void> {
  return new Promise((resolve, reject) => {
    const request = indexedDB.open(`${base}-probe`);
    request.onsuccess = () => {
      request.result.close();
      resolve();
    };
    request.onerror = () => reject(request.error ?? new Error('no database'));
    request.onblocked = () => reject(new Error('blocked by another window'));
  });
}

function inTime<T>(work: Promise<T>): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    const timer = setTimeout(() => reject(new StorageError('silent', 'no answer')), PATIENCE.ms);
    work.then(resolve, reject).finally(() => clearTimeout(timer));
  });
}
