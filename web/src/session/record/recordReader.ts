import { applyPatches, differences } from '@mellow-probe/core/base/records/changes';
import { type Ahead, clearAhead, readAhead, wholeOf } from '../../data/storage/ahead.ts';
import type { Kept } from '../../data/storage/kept.ts';
import { type StorageFault, toStorageError } from '../../data/storage/storageError.ts';
import type { RecordOptions } from './recordContract.ts';
import type { RecordParts, RecordWriter } from './recordWriter.ts';

/** Brings in what is stored, at the start and whenever another window has written. */
export interface RecordReader {
  readonly loaded: Promise<void>;
  stop(): void;
}

export function recordReader<T extends object>(
  parts: RecordParts<T>,
  writer: RecordWriter,
  { initial, stored }: Pick<RecordOptions<T>, 'initial' | 'stored'>,
): RecordReader {
  const { door, versions, status, typed } = parts;
  let stopped = false;

  async function onRemoteChange(kind: 'written' | 'removed'): Promise<void> {
    if (kind === 'removed') {
      if (versions.base !== null) status.set({ kind: 'removed-elsewhere' });
      return;
    }
    await writer.underWay();
    // It can still be written; that it could not be read now changes nothing here.
    const found = await door.read().catch(() => null);
    if (!found || stopped || found.revision === versions.base?.revision) return;
    if (status.isRemoved()) status.set({ kind: 'kept' });
    if (writer.underWay()) return;
    typed.commit('typed');
    takeIn(parts, found);
    await writer.write();
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
    if (stopped) return;
    typed.commit('typed');
    if (found) takeIn(parts, found);
    for (const entry of left) replay(parts, entry);
    status.set(fault ? { kind: 'refused', fault } : { kind: 'kept' });
    // Known not to be stored at all: it counts as saved only once the store has it. Nothing read and nothing typed: nothing is written.
    const isMissing = stored === null;
    if (isMissing || differences(found?.value ?? initial, versions.last).length > 0) await writer.write(isMissing);
    for (const entry of left) if (status.keeping.value.kind === 'kept') clearAhead(door.name, entry.window);
  }

  const stopListening = door.onElsewhere((kind) => void onRemoteChange(kind));
  return {
    loaded: load(),
    stop() {
      stopped = true;
      stopListening();
    },
  };
}

/** Takes in what is stored now, on top of what was typed here since the last version both know. */
function takeIn<T extends object>({ versions, adopt }: RecordParts<T>, found: Kept<T>): void {
  const merged = versions.merged(found);
  versions.setBase(found);
  adopt(merged);
}

/** Types again what was typed before the page was reloaded or killed and never reached the store. */
function replay<T extends object>({ versions, typed }: RecordParts<T>, entry: Ahead): void {
  const isNewer = entry.at >= (versions.base?.at ?? '');
  const whole = wholeOf(entry) as T | undefined;
  if (whole) {
    const wanted = differences(versions.last, versions.mergedWithWhole(whole, isNewer));
    typed.change('typed', (v) => applyPatches(v as Record<string, unknown>, wanted, 'force'));
  }
  for (const patches of [entry.patches, entry.since ?? []])
    typed.change('typed', (v) => applyPatches(v as Record<string, unknown>, patches, isNewer ? 'force' : 'keep'));
}
