import { typedTags } from '@mellow-probe/core/check/job/jobList';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { MOST } from '@mellow-probe/core/check/job/most';
import { defineStore } from 'pinia';
import { watch } from 'vue';
import { nowIso } from '../../../browser/newId.ts';
import { workshop } from '../../../browser/workshop.ts';
import { writePreference } from '../../storage/preferences.ts';
import { onJobsElsewhere } from '../../storage/windows.ts';
import { jobList } from './jobList.ts';
import { jobLoading } from './jobLoading.ts';
import { jobMaking } from './jobMaking.ts';
import { removals } from './removals.ts';
import { wholeJobs } from './wholeJobs.ts';

/** The list of stored jobs. */
export const useJobs = defineStore('jobs', () => {
  const list = jobList();
  const { entries, damaged, homeless, fault, lines, failed, put, findHomeless } = list;
  const { loaded, load, reload, refresh, read } = jobLoading(list, () => void emptyOldBin());
  const { emptyOldBin, ...removing } = removals({ lines, failed, refresh, findHomeless });

  // For the first paint of the next visit: the words of an empty ledger, or none.
  watch([loaded, () => entries.value.size > 0], ([known, any]) => {
    if (known && workshop === 'own') writePreference('checks', any ? 'yes' : 'no');
  });

  /** Changes stored jobs one after the other; `how` gets each to change. */
  async function change(ids: readonly string[], how: (job: Job) => void): Promise<void> {
    const { changeStoredJob, entryOf } = await wholeJobs();
    for (const id of ids) {
      try {
        put(id, entryOf(await changeStoredJob(id, how)));
      } catch (error) {
        failed(error);
        await refresh(id);
      }
    }
  }

  onJobsElsewhere((id) => void refresh(id));
  return {
    lines,
    damaged,
    homeless,
    loaded,
    fault,
    load,
    reload,
    refresh,
    read,
    change,
    ...jobMaking(list, read),
    ...removing,
    setArchived: (ids: readonly string[], on: boolean) =>
      change(ids, (stored) => (stored.archivedAt = on ? nowIso() : null)),
    /** Puts tags, typed apart by commas, on jobs beside those they have; a tag with a minus before it is taken off. */
    tag: (ids: readonly string[], text: string) => change(ids, tagger(text)),
  };
});

function tagger(text: string): (job: Job) => void {
  const typed = typedTags(text);
  const off = new Set(typed.filter((t) => t.startsWith('-')).map((t) => t.slice(1).trim()));
  const on = typed.filter((t) => !t.startsWith('-'));
  return (stored) => {
    stored.tags = [...new Set([...stored.tags, ...on])].filter((t) => !off.has(t)).slice(0, MOST.tags);
  };
}
