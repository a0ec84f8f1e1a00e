import { mergeThreeWay } from '@mellow-probe/core/base/records/mergeThreeWay';
import { nowIso } from '../../browser/newId.ts';
import { clearAhead } from '../../data/storage/ahead.ts';
import type { Door } from '../../data/storage/door.ts';
import type { Kept } from '../../data/storage/kept.ts';
import { toStorageError } from '../../data/storage/storageError.ts';
import type { RecordOptions } from './recordContract.ts';
import type { RecordStatus } from './recordStatus.ts';
import type { RecordVersions } from './recordVersions.ts';
import type { TypedChanges } from './typedChanges.ts';

/** Writes a record to the store until nothing is left to write. */
export interface RecordWriter {
  /** Writes what is not stored; with `force` also where nothing differs: the store no longer has it. */
  write(force?: boolean): Promise<void>;
  /** The write under way; null while there is none. */
  underWay(): Promise<void> | null;
  /** What the store refuses is no longer tried again by itself. */
  stop(): void;
}

/** What the store refused is tried again by itself after this long, each time after twice as long, up to the last. ms */
export const TRY_AGAIN_MS = { first: 1000, last: 30_000 } as const;

export interface RecordParts<T extends object> {
  door: Door<T>;
  value: T;
  versions: RecordVersions<T>;
  status: RecordStatus;
  typed: TypedChanges<T>;
  /** Brings the value to plain data `wanted`, touching only what differs. */
  adopt: (wanted: T) => void;
  stamp?: RecordOptions<T>['stamp'];
}

export function recordWriter<T extends object>(parts: RecordParts<T>): RecordWriter {
  const { door, versions, status, stamp } = parts;
  let [mustWrite, stopped] = [false, false];
  let writing: Promise<void> | null = null;
  const again = growingPause(() => void write());

  function allWritten(): void {
    clearAhead(door.name);
    status.set({ kind: 'kept' });
  }

  function refused(error: unknown): void {
    writing = null;
    const { fault } = toStorageError(error);
    status.set({ kind: 'refused', fault });
    // What is no record of its kind will be none the next time.
    if (fault !== 'invalid' && !stopped) again.start();
  }

  /** Writes until nothing is left to write; at least once. */
  async function writeAll(): Promise<void> {
    do {
      // Said to be refused until it is stored: a try that nobody asked for is not shown.
      if (!again.isRunning()) status.set({ kind: 'keeping' });
      const isForced = mustWrite;
      mustWrite = false;
      versions.underWay = versions.last;
      const sent = { ...versions.last, ...stamp?.() };
      let kept: Kept<T>;
      try {
        kept = await door.write(sent, versions.from(), versions.lastAt === '' ? nowIso() : versions.lastAt);
      } catch (error) {
        mustWrite ||= isForced;
        return refused(error);
      }
      again.reset();
      takeAnswer(parts, sent, kept);
    } while (!status.isRemoved() && !versions.isStored());
    writing = null;
    if (!status.isRemoved()) allWritten();
  }

  function write(force = false): Promise<void> {
    mustWrite ||= force;
    if (status.isLoading() || status.isRemoved()) return Promise.resolve();
    if (writing) return writing;
    if (mustWrite || !versions.isStored()) writing = writeAll();
    else allWritten();
    return writing ?? Promise.resolve();
  }

  return {
    underWay: () => writing,
    write,
    stop() {
      stopped = true;
      again.reset();
    },
  };
}

/** Calls back after a pause that grows with each start, until it is reset. */
function growingPause(call: () => void) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let nextMs: number = TRY_AGAIN_MS.first;
  return {
    isRunning: () => timer !== undefined,
    start(): void {
      clearTimeout(timer);
      timer = setTimeout(call, nextMs);
      nextMs = Math.min(2 * nextMs, TRY_AGAIN_MS.last);
    },
    reset(): void {
      clearTimeout(timer);
      [timer, nextMs] = [undefined, TRY_AGAIN_MS.first];
    },
  };
}

/** What was stored is the version from here on; what another window wrote comes in, on top of what was typed here meanwhile. */
function takeAnswer<T extends object>(
  { value, versions, typed, adopt, stamp }: RecordParts<T>,
  sent: T,
  kept: Kept<T>,
) {
  typed.commit('typed');
  if (stamp) {
    // The stamp of a write is no change: nothing is judged, kept or undone for it.
    const fields = Object.fromEntries(Object.keys(stamp()).map((key) => [key, sent[key as keyof T]])) as Partial<T>;
    typed.quietly(() => Object.assign(value, fields));
    versions.last = { ...versions.last, ...fields };
  }
  versions.setBase(kept);
  adopt(mergeThreeWay(sent, versions.last, kept.value));
}
