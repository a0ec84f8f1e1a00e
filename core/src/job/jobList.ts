import { z } from 'zod';
import { identifier, timestamp } from '../units/entry.ts';
import {
  FAULT_GROUPS,
  FIELDS,
  type FaultGroup,
  JOB_STATES,
  type JobState,
  type MachineField,
} from '../units/vocabulary.ts';
import type { Job } from './jobSchema.ts';
import { emptyRecord } from './newJob.ts';

export function jobStateOf(job: Job): JobState {
  if (job.closed) return 'closed';
  if (job.repair.doneAt) return 'repaired';
  return job.decision ? 'decided' : 'measuring';
}

/**
 * A job as a list shows, sorts and searches it: a few hundred bytes instead of the whole, so that years of jobs are read at once. Computed from
 * the job by `jobLine`, never edited.
 */
export const jobLineSchema = z.strictObject({
  id: identifier,
  updatedAt: timestamp,
  title: z.string(),
  field: z.enum(FIELDS),
  /** What was complained of, else the note, shortened. */
  about: z.string(),
  circuit: z.string(),
  state: z.enum(JOB_STATES),
  /** Closed, but not proved. */
  unproved: z.boolean(),
  group: z.enum(FAULT_GROUPS).nullable(),
  /** Readings that count. */
  readings: z.number(),
  archived: z.boolean(),
  tags: z.array(z.string()),
  /** Days of the follow-ups not done, soonest first, YYYY-MM-DD. */
  openDays: z.array(z.string()),
  /** A stand-in is still fitted. */
  standIn: z.boolean(),
  /** Everything one may search for, in lower case. */
  words: z.string(),
});

export type JobLine = z.infer<typeof jobLineSchema>;

/** Most characters of the complaint that a list shows. */
const ABOUT = 240;

export function jobLine(job: Job): JobLine {
  const { complaint, repair } = job;
  const about = complaint.text || job.note;
  const words = [job.title, job.machine, job.circuit.name, job.note, complaint.text, repair.part, repair.partNumber];
  return {
    id: job.id,
    updatedAt: job.updatedAt,
    title: job.title,
    field: job.field,
    about: about.length > ABOUT ? `${about.slice(0, ABOUT)}…` : about,
    circuit: job.circuit.name,
    state: jobStateOf(job),
    unproved: job.closed?.how === 'unproved',
    group: job.decision?.group ?? null,
    readings: job.readings.filter((r) => r.value !== null && !r.voided).length,
    archived: job.archivedAt !== null,
    tags: [...job.tags],
    openDays: job.followUps
      .filter((f) => f.doneAt === null)
      .map((f) => f.dueOn)
      .sort(),
    standIn: repair.standIn !== null && repair.standIn.removedAt === null,
    words: [...words, ...complaint.codes.map((c) => c.code), ...job.tags].join(' ').toLowerCase(),
  };
}

/** How many follow-ups are open, how many of them are due on a day (YYYY-MM-DD), and the next one's day. */
export function dueOf(line: JobLine, today: string): { open: number; due: number; next: string | null } {
  const { openDays } = line;
  return { open: openDays.length, due: openDays.filter((d) => d <= today).length, next: openDays[0] ?? null };
}

/** What a list of jobs is narrowed to; empty strings narrow nothing. */
export interface JobFilter {
  words: string;
  field: MachineField | '';
  state: JobState | '';
  group: FaultGroup | '' | 'undecided';
  tag: string;
  dueOnly: boolean;
  archived: boolean;
}

export const NO_FILTER: JobFilter = {
  words: '',
  field: '',
  state: '',
  group: '',
  tag: '',
  dueOnly: false,
  archived: false,
};

/** The lines that pass a filter, in their order. Every word must stand somewhere in a job's texts. */
export function narrowed(lines: readonly JobLine[], filter: JobFilter, today: string): JobLine[] {
  const words = filter.words.toLowerCase().split(/\s+/).filter(Boolean);
  return lines.filter(
    (line) =>
      line.archived === filter.archived &&
      (filter.field === '' || line.field === filter.field) &&
      (filter.state === '' || line.state === filter.state) &&
      (filter.group === '' || (line.group ?? 'undecided') === filter.group) &&
      (filter.tag === '' || line.tags.includes(filter.tag)) &&
      (!filter.dueOnly || line.standIn || dueOf(line, today).due > 0) &&
      words.every((word) => line.words.includes(word)),
  );
}

/** The tags in use, by name. */
export function tagsOf(lines: readonly JobLine[]): string[] {
  return [...new Set(lines.flatMap((line) => line.tags))].sort((a, b) => a.localeCompare(b));
}

/** Tags as typed, apart by commas: without blanks, empty ones and doubles. */
export function typedTags(text: string): string[] {
  return [
    ...new Set(
      text
        .split(/[,;]/)
        .map((tag) => tag.trim())
        .filter(Boolean),
    ),
  ];
}

/** A new job like another one: machine, circuit, kit, tags and way of working; nothing of the case itself. */
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
