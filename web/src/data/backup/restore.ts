import { mergeThreeWay } from '@mellow-probe/core/base/records/mergeThreeWay';
import { isRecord } from '@mellow-probe/core/base/records/plainData';
import { openJobData } from '@mellow-probe/core/check/job/openJob';
import { newId, nowIso } from '../../browser/newId.ts';
import { entryOf } from '../storage/jobStorage.ts';
import { type Kept, REMEMBERED, unwrapped, wrapped } from '../storage/kept.ts';
import { type LedgerEntry, noteInLedger } from '../storage/ledger.ts';
import { withStore } from '../storage/stores.ts';
import { oneAtATime, tellOthers } from '../storage/windows.ts';
import { type Item, storedOf } from './items.ts';
import { type BackupEntry, type Kind, KINDS } from './manifest.ts';
import type { Backup } from './readBackup.ts';
import type { OnProgress } from './writeBackup.ts';

/** How a record of a backup stands to what is here. */
export type Standing = 'new' | 'same' | 'newer-here' | 'newer-there' | 'both-changed';

/** Of two versions of a record: which of them knows of the other. */
export function standingOf(
  here: Pick<Kept<unknown>, 'revision' | 'follows'> | null,
  there: BackupEntry['kept'],
): Standing {
  if (!here) return 'new';
  // What has no revisions never changes: photos and samples.
  if (!there || here.revision === there.revision) return 'same';
  if (here.follows.includes(there.revision)) return 'newer-here';
  return there.follows.includes(here.revision) ? 'newer-there' : 'both-changed';
}

/** What is here of a record: as it is stored, and its version. A check that cannot be opened is stored, but no version of it. */
async function hereOf({ kind, key }: Pick<BackupEntry, 'kind' | 'key'>): Promise<{
  stored: unknown;
  here: Kept<unknown> | null;
}> {
  const stored: unknown = await withStore(KINDS[kind].store, (s) => s.getItem(key));
  const here = stored === null ? null : unwrapped(stored);
  return { stored, here: here && opens(kind, here.value) ? here : null };
}

const opens = (kind: Kind, value: unknown): boolean => kind !== 'job' || openJobData(value).ok;

/** What a backup would change, record by record. Rejects with a `StorageError`. */
export async function standings(entries: readonly BackupEntry[]): Promise<Map<BackupEntry, Standing>> {
  const found = new Map<BackupEntry, Standing>();
  for (const entry of entries) found.set(entry, standingOf((await hereOf(entry)).here, entry.kept));
  return found;
}

/** The list of what is staged; written last, so that what stands without it counts for nothing. */
const READY = 'ready';
const staged = (n: number): string => `item/${String(n).padStart(8, '0')}`;

/**
 * Puts the chosen records of a backup beside what is kept, and marks them as ready when all of them are there. Until then nothing here has changed;
 * from then on they are taken in, by `finishRestore` in this window or at the next start. Rejects with a `StorageError`.
 *
 * @returns entries that could not be read; they are left out
 */
export async function stageRestore(
  backup: Backup,
  chosen: readonly BackupEntry[],
  onProgress: OnProgress = () => undefined,
): Promise<BackupEntry[]> {
  const damaged: BackupEntry[] = [];
  // With every schema in it, which the start of the page does without.
  const { isStorable } = await import('./shapes.ts');
  // One that was ready and cut off is taken in to its end first: it must not be half.
  await finishRestore();
  await clearStage();
  let count = 0;
  for (const [i, entry] of chosen.entries()) {
    onProgress(i, chosen.length);
    const item = await backup.item(entry);
    if (item && isStorable(item)) await withStore('staging', (s) => s.setItem(staged(count++), item));
    else damaged.push(entry);
  }
  await withStore('staging', (s) => s.setItem(READY, { count, at: nowIso() }));
  return damaged;
}

/** Empties the stage: first the mark, so that nothing half is ever taken for ready. */
async function clearStage(): Promise<void> {
  await withStore('staging', (s) => s.removeItem(READY));
  const keys = (await withStore('staging', (s) => s.keys())).filter((k) => k.startsWith('item/'));
  for (const key of keys) await withStore('staging', (s) => s.removeItem(key));
}

/** What was taken in, by how it stood to what was here. */
export type Restored = Record<Standing, number>;

/**
 * Takes in what is staged and ready; null where nothing is. May be cut off anywhere and called again: a record that was taken in is the same the
 * second time. Rejects with a `StorageError`; what is left is taken in the next time.
 */
export function finishRestore(onProgress: OnProgress = () => undefined): Promise<Restored | null> {
  return oneAtATime('restore', async () => {
    const ready: unknown = await withStore('staging', (s) => s.getItem(READY));
    if (!isRecord(ready) || typeof ready.count !== 'number') return null;
    const restored: Restored = { new: 0, same: 0, 'newer-here': 0, 'newer-there': 0, 'both-changed': 0 };
    // Noted together: the ledger is only a copy, and what it lacks after a cut is found by itself.
    const noted = new Map<string, LedgerEntry | null>();
    for (let i = 0; i < ready.count; i++) {
      onProgress(i, ready.count);
      const item = await withStore('staging', (s) => s.getItem<Item>(staged(i)));
      if (item) restored[await takeIn(item, noted)]++;
    }
    noteInLedger(noted);
    onProgress(ready.count, ready.count);
    await clearStage();
    return restored;
  });
}

/** Takes one record in. What is newer here stays; where both have changed they are merged field by field, what was changed last being stronger. */
async function takeIn(item: Item, noted: Map<string, LedgerEntry | null>): Promise<Standing> {
  const { store } = KINDS[item.kind];
  return oneAtATime(`${store}/${item.key}`, async () => {
    const { stored, here } = await hereOf(item);
    const theirs = storedOf(item);
    const standing = standingOf(here, item.kept);
    const put = async (data: unknown): Promise<void> => {
      if (item.kind === 'job' && stored !== null && standing === 'new')
        await withStore('bin', (s) => s.setItem(`${item.key} unreadable`, { removedAt: nowIso(), data: stored }));
      await withStore(store, (s) => s.setItem(item.key, data));
      if (item.kind === 'job') noted.set(item.key, ledgerEntryOf(data));
      tellOthers({ store, key: item.key, kind: 'written' });
    };
    if (standing === 'new' || standing === 'newer-there') await put(theirs);
    if (standing === 'both-changed') await put(wrapped(merged(item.kind, here!, unwrapped(theirs))));
    return standing;
  });
}

/** Two versions without a common one: what differs counts as changed on both sides, and what is listed on one side only as added there. */
function merged(kind: Kind, here: Kept<unknown>, there: Kept<unknown>): Kept<unknown> {
  const [last, first] = here.at >= there.at ? [here, there] : [there, here];
  const both = mergeThreeWay<unknown>({}, last.value, first.value);
  return {
    revision: newId(),
    at: last.at,
    follows: [here.revision, there.revision, ...here.follows, ...there.follows].slice(0, REMEMBERED),
    // Two halves that make no whole: what was changed last stays.
    value: opens(kind, both) ? both : last.value,
  };
}

function ledgerEntryOf(data: unknown): LedgerEntry | null {
  const kept = unwrapped(data);
  const opened = openJobData(kept.value);
  return opened.ok ? entryOf({ ...kept, value: opened.job }) : null;
}
