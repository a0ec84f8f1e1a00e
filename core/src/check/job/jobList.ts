import { z } from 'zod';
import { identifier, timestamp } from '../../base/units/bounds.ts';
import {
  FAULT_GROUPS,
  FIELDS,
  type FaultGroup,
  JOB_STATES,
  type JobState,
  type MachineField,
} from '../../base/units/vocabulary.ts';

/**
 * A job as a list shows, sorts and searches it: a few hundred bytes instead of the whole, so that years of jobs are read at once. Computed from
 * the job by `jobLine.ts`, never edited.
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
