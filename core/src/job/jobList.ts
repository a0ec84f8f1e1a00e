import { z } from 'zod';
import { identifier, timestamp } from '../units/entry.ts';
import {
  FAULT_GROUPS,
  FIELDS,
  type FaultGroup,
  JOB_STATES,
  type JobState,
  type MachineField,
  type ReplaceablePart,
} from '../units/vocabulary.ts';
import { measurementById } from '../measurements/list.ts';
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
  createdAt: timestamp,
  updatedAt: timestamp,
  title: z.string(),
  machine: z.string(),
  field: z.enum(FIELDS),
  /** What was complained of, else the note, shortened. */
  about: z.string(),
  circuit: z.string(),
  state: z.enum(JOB_STATES),
  /** Closed, but not proved. */
  unproved: z.boolean(),
  group: z.enum(FAULT_GROUPS).nullable(),
  /** What the tool said when it was decided, and how surely. */
  tool: z.strictObject({ group: z.enum(FAULT_GROUPS), probability: z.number() }).nullable(),
  /** Minutes from the first reading to the last without the pauses, and those that the tests taken are planned with. */
  minutes: z.strictObject({ spent: z.number(), planned: z.number() }).nullable(),
  /** Readings that count. */
  readings: z.number(),
  archived: z.boolean(),
  tags: z.array(z.string()),
  /** Follow-ups not done, soonest first. */
  open: z.array(z.strictObject({ id: z.string(), text: z.string(), dueOn: z.string() })),
  /** A stand-in that is still fitted. */
  standIn: z.strictObject({ what: z.string(), fittedAt: z.string() }).nullable(),
  /** When the repair was done, and with which part. */
  repairedAt: z.string().nullable(),
  partNumber: z.string(),
  /** The check whose repair did not last. */
  recurrenceOf: z.string().nullable(),
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
    createdAt: job.createdAt,
    updatedAt: job.updatedAt,
    title: job.title,
    machine: job.machine,
    field: job.field,
    about: about.length > ABOUT ? `${about.slice(0, ABOUT)}…` : about,
    circuit: job.circuit.name,
    state: jobStateOf(job),
    unproved: job.closed?.how === 'unproved',
    group: job.decision?.group ?? null,
    tool: job.decision && { group: job.decision.toolGroup, probability: job.decision.toolProbability },
    minutes: minutesOf(job),
    readings: job.readings.filter((r) => r.value !== null && !r.voided).length,
    archived: job.archivedAt !== null,
    tags: [...job.tags],
    open: job.followUps
      .filter((f) => f.doneAt === null)
      .map(({ id, text, dueOn }) => ({ id, text, dueOn }))
      .sort((a, b) => a.dueOn.localeCompare(b.dueOn)),
    standIn:
      repair.standIn !== null && repair.standIn.removedAt === null
        ? { what: repair.standIn.what, fittedAt: repair.standIn.fittedAt }
        : null,
    repairedAt: repair.doneAt,
    partNumber: repair.partNumber,
    recurrenceOf: job.recurrenceOf?.id ?? null,
    words: [...words, ...complaint.codes.map((c) => c.code), ...job.tags].join(' ').toLowerCase(),
  };
}

/** A gap between two readings that is longer than this was a pause, minutes. Common practice, no source. */
const PAUSE = 30;

/** Minutes really spent at measuring, beside those planned; null where fewer than two readings know their time. */
function minutesOf({ readings }: Job): JobLine['minutes'] {
  const timed = readings.filter((r) => r.takenAt !== null && !r.voided);
  const times = timed.map((r) => Date.parse(r.takenAt!) / 60_000).sort((a, b) => a - b);
  if (times.length < 2) return null;
  const gaps = times.slice(1).map((t, i) => t - times[i]);
  return {
    spent: gaps.reduce((sum, gap) => sum + (gap <= PAUSE ? gap : 0), 0),
    // The first one's own minutes lie before its time and are not seen.
    planned: timed.slice(1).reduce((sum, r) => sum + measurementById(r.measurement).minutes, 0),
  };
}

/** How many follow-ups are open, how many of them are due on a day (YYYY-MM-DD), and the next one's day. */
export function dueOf(line: JobLine, today: string): { open: number; due: number; next: string | null } {
  const { open } = line;
  return { open: open.length, due: open.filter((f) => f.dueOn <= today).length, next: open[0]?.dueOn ?? null };
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
      (!filter.dueOnly || line.standIn !== null || dueOf(line, today).due > 0) &&
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
  const like = structuredClone(job);
  delete like.recurrenceOf;
  delete like.experience;
  return {
    ...like,
    ...emptyRecord(),
    id,
    createdAt: now,
    updatedAt: now,
    note: '',
    temperatureC: { text: '', value: null },
    hotTemperatureC: { text: '', value: null },
  };
}

/** What was repaired in vain, by what a check decided; nothing where nothing was at fault in the circuit. */
const IN_VAIN: Partial<Record<FaultGroup, ReplaceablePart>> = {
  sensor: 'sensor',
  wiring: 'wiring',
  reference: 'module',
  module: 'module',
};

/**
 * A new check of a fault that came back: as a template, linked to the first, with its complaint and with what was repaired then among what was
 * replaced without help, so that it weighs in the new verdict.
 */
export function recurrenceOf(job: Job, id: string, now: string): Job {
  const part = job.repair.doneAt !== null && job.decision ? IN_VAIN[job.decision.group] : undefined;
  const next = templateOf(job, id, now);
  const { text, symptoms, replaced } = job.complaint;
  next.complaint = {
    ...next.complaint,
    text,
    symptoms: [...symptoms],
    replaced: [...new Set([...replaced, ...(part ? [part] : [])])],
  };
  next.recurrenceOf = { id: job.id, title: job.title };
  return next;
}
