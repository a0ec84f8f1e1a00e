import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { persistedRecord } from '../src/session/record/record.ts';
import { followVerdict } from '../src/session/verdict.ts';
import { fakeDoor } from './fakeDoor.ts';
import { fakeEngine } from './fakeEngine.ts';

/** Lets everything happen that only waits for its turn. */
export async function settle(): Promise<void> {
  for (let i = 0; i < 40; i++) await Promise.resolve();
}

let n = 0;
/** A job followed by a verdict, with the store and the engine in the test's hands. */
export async function judgedJob() {
  const engine = fakeEngine();
  const { door, control } = fakeDoor<Job>(`jobs/v${++n}`, newJob('a', '2026-01-02T03:04:05.000Z'));
  const record = persistedRecord<Job>({ door, initial: control.stored!.value, stored: control.stored });
  await record.loaded;
  const judging = followVerdict(record, engine.line);
  await settle();
  return { ...engine, record, control, judging, view: judging.view };
}

/** The job that the shown answer says it is of. */
export const ofView = (view: { result: unknown }): Job | undefined => (view.result as { of: Job } | null)?.of;
