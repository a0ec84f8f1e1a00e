import type { FaultGroup, JobState, MachineField } from '../units/vocabulary.ts';
import type { Job } from './jobSchema.ts';
import { emptyRecord } from './newJob.ts';

export function jobStateOf(job: Job): JobState {
  if (job.closed) return 'closed';
  if (job.repair.doneAt) return 'repaired';
  return job.decision ? 'decided' : 'measuring';
}

/** Follow-ups not done, soonest first, and a stand-in that is still fitted. `today`: YYYY-MM-DD. */
export function dueOf(job: Job, today: string): { open: number; due: number; next: string | null; standIn: boolean } {
  const open = job.followUps.filter((f) => f.doneAt === null);
  const days = open.map((f) => f.dueOn).sort();
  return {
    open: open.length,
    due: days.filter((d) => d <= today).length,
    next: days[0] ?? null,
    standIn: job.repair.standIn !== null && job.repair.standIn.removedAt === null,
  };
}

/** What a list of jobs is narrowed to; empty strings narrow nothing. */
export interface JobFilter {
  words: string;
  field: MachineField | '';
  state: JobState | '';
  group: FaultGroup | '' | 'undecided';
  dueOnly: boolean;
  archived: boolean;
}

export const NO_FILTER: JobFilter = { words: '', field: '', state: '', group: '', dueOnly: false, archived: false };

/** Does a job pass the filter? Every word must stand somewhere in its texts. */
export function passes(job: Job, filter: JobFilter, today: string): boolean {
  if ((job.archivedAt !== null) !== filter.archived) return false;
  if (filter.field !== '' && job.field !== filter.field) return false;
  if (filter.state !== '' && jobStateOf(job) !== filter.state) return false;
  if (
    filter.group === 'undecided' ? job.decision !== null : filter.group !== '' && job.decision?.group !== filter.group
  )
    return false;
  if (filter.dueOnly) {
    const { due, standIn } = dueOf(job, today);
    if (due === 0 && !standIn) return false;
  }
  const codes = job.complaint.codes.map((c) => c.code).join(' ');
  const text = [
    job.title,
    job.machine,
    job.circuit.name,
    job.note,
    job.complaint.text,
    codes,
    job.repair.part,
    job.repair.partNumber,
  ]
    .join(' ')
    .toLowerCase();
  return filter.words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
}

/** A new job like another one: machine, circuit, kit and way of working; nothing of the case itself. */
export function templateOf(job: Job, id: string, now: string): Job {
  return {
    ...structuredClone(job),
    ...emptyRecord(),
    id,
    createdAt: now,
    updatedAt: now,
    note: '',
    temperatureC: { text: '', value: null },
    hotTemperatureC: { text: '', value: null },
  };
}
