import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { type InjectionKey, inject, markRaw, type Ref } from 'vue';
import { nowIso } from '../browser/newId.ts';
import type { Door } from '../data/storage/door.ts';
import { historyDoor } from '../data/storage/historyStorage.ts';
import type { Kept } from '../data/storage/kept.ts';
import { photosOf, removePhotosOf } from '../data/storage/photoStorage.ts';
import type { EngineLine } from '../workers/engineClient.ts';
import { followHistory, type History, type StepsDoor } from './history.ts';
import { persistedRecord } from './record/record.ts';
import type { Keeping, PersistedRecord } from './record/recordContract.ts';
import { followVerdict, type VerdictLine, type VerdictView } from './verdict.ts';
import { followWork, type WorkOrder } from './workOrder.ts';

/** The job on the bench with everything that follows from it. Screens are handed one; there is no bench without a job. */
export interface JobSession {
  readonly id: string;
  /** Reactive, never replaced: screens write into it. */
  readonly job: Job;
  readonly record: PersistedRecord<Job>;
  readonly keeping: Readonly<Ref<Keeping>>;
  readonly history: History;
  readonly verdict: VerdictView;
  readonly judging: Pick<VerdictLine, 'again' | 'wantChart'>;
  /** Where on the order of work the technician is; it stays while other screens are looked at. */
  readonly work: WorkOrder;
  readonly close: () => Promise<void>;
}

/** What is not as it is on the bench of a customer's machine. */
export interface SessionOptions {
  /** Where the steps that can be taken back are kept. */
  steps?: StepsDoor;
  /** Stations of the order of work that are there; all where it is not given. */
  stations?: (id: string) => boolean;
}

/** A session of a job that was read, or that the store would not take (`stored` is null then). */
export function jobSession(
  door: Door<Job>,
  initial: Job,
  stored: Kept<Job> | null,
  line: EngineLine,
  { steps = historyDoor(initial.id), stations = () => true }: SessionOptions = {},
): JobSession {
  const record = persistedRecord<Job>({ door, initial, stored, stamp: () => ({ updatedAt: nowIso() }) });
  const history = followHistory(record, steps);
  const judging = followVerdict(record, line);
  const work = followWork(record, judging.view, stations);
  void Promise.all([record.loaded, history.loaded]).then(() => sweepPhotos(record, history));
  const session: JobSession = {
    id: initial.id,
    job: record.value,
    record,
    keeping: record.keeping,
    history,
    verdict: judging.view,
    judging,
    work,
    async close() {
      judging.close();
      record.dispose();
      await Promise.all([record.settled(), history.flush()]);
    },
  };
  // What stands in it is reactive by itself; wrapped as a whole it would be unwrapped in the wrong places.
  return markRaw(session);
}

/** Photos that were taken out of the job, and that no step could bring back, are no longer needed. */
async function sweepPhotos(record: PersistedRecord<Job>, history: History): Promise<void> {
  try {
    const { id, photos } = record.now();
    const kept = await photosOf(id);
    const gone = kept.filter((photo) => photos.every((p) => p.id !== photo) && !history.mentions(photo));
    await removePhotosOf(id, gone);
  } catch {
    // They are swept the next time.
  }
}

export const SESSION: InjectionKey<JobSession> = Symbol('job session');

/** The session of the job on the bench, for what stands inside a `JobGate`. */
export function useSession(): JobSession {
  const session = inject(SESSION, null);
  if (!session) throw new Error('useSession: not inside a JobGate');
  return session;
}
