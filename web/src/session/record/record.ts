import { applyPatches, differences } from '@mellow-probe/core/base/records/changes';
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { computed, reactive, readonly } from 'vue';
import { nowIso } from '../../browser/newId.ts';
import { writeAhead } from '../../data/storage/ahead.ts';
import type { Change, PersistedRecord, RecordOptions } from './recordContract.ts';
import { recordReader } from './recordReader.ts';
import { recordStatus } from './recordStatus.ts';
import { RecordVersions } from './recordVersions.ts';
import { recordWriter } from './recordWriter.ts';
import { stream } from './stream.ts';
import { typedChanges } from './typedChanges.ts';

/** The one idiom for a record that outlives the page: job, kit, drafts, curves. */
export function persistedRecord<T extends object>(options: RecordOptions<T>): PersistedRecord<T> {
  const { door, initial, stored, stamp } = options;
  const value = reactive(plainCopy(initial)) as T;
  const versions = new RecordVersions(initial);
  const status = recordStatus(door.name, {
    kind: stored === undefined ? 'loading' : stored === null ? 'keeping' : 'kept',
  });
  const changes = stream<Change<T>>();
  let revision = 0;

  const typed = typedChanges(value, (origin, after) => {
    const before = versions.last;
    const patches = differences(before, after);
    if (patches.length === 0) return;
    versions.last = after;
    revision++;
    if (origin !== 'elsewhere') versions.lastAt = nowIso();
    if (versions.underWay || !versions.isStored()) appendToJournal(door.name, versions);
    // The store first: the verdict, the steps of undo and all else that follows from the change can wait for it, it cannot wait for them.
    void writer.write();
    changes.emit({ origin, revision, patches, before, after });
  });

  function adopt(wanted: T): void {
    const patches = differences(versions.last, wanted);
    typed.change('elsewhere', (v) => applyPatches(v as Record<string, unknown>, patches, 'force'));
  }

  const parts = { door, value, versions, status, typed, adopt, stamp };
  const writer = recordWriter(parts);
  const reader = recordReader(parts, writer, options);

  return {
    value,
    keeping: readonly(status.keeping),
    fault: computed(() => (status.keeping.value.kind === 'refused' ? status.keeping.value.fault : null)),
    changes,
    dirty: readonly(typed.dirty),
    loaded: reader.loaded,
    now: () => versions.last,
    change: typed.change,
    async keepAgain() {
      typed.commit('typed');
      status.set({ kind: 'keeping' });
      await writer.write(true);
    },
    async settled() {
      typed.commit('typed');
      while (writer.underWay()) await writer.underWay();
    },
    // What is still to be written goes on being written; nothing new comes in.
    dispose() {
      typed.stop();
      reader.stop();
      writer.stop();
    },
  };
}

function appendToJournal<T extends object>(name: string, versions: RecordVersions<T>): void {
  const { revision, patches, since } = versions.unstored();
  writeAhead(name, revision, patches, versions.lastAt, since);
}
