import type { z } from 'zod';
import { deeperThan } from '../../base/records/deeperThan.ts';
import { fileFault } from './fileFault.ts';
import { type Job, jobSchema } from './jobSchema.ts';
import { migrateToCurrent, NEWEST_VERSION } from './migrations/list.ts';

/** Largest job file that is looked at, bytes. */
export const MAX_FILE_BYTES = 20 * 1024 * 1024;

/** A check is eight levels deep; its parts are some hundred thousand at the most that lists may hold. */
const [DEEPEST, MOST_PARTS] = [24, 500_000];

export type OpenFault =
  | { reason: 'too-large'; bytes: number; limit: number }
  | { reason: 'empty' }
  | { reason: 'not-json'; detail: string }
  | { reason: 'not-a-job' }
  | { reason: 'too-deep' }
  | { reason: 'bad-version'; version: string }
  | { reason: 'newer-version'; version: number; newest: number }
  | { reason: 'bad-field'; path: (string | number)[]; detail: string; more: number };

export type Opened = { ok: true; job: Job } | ({ ok: false } & OpenFault);

/** Opens the text of a job file. Never throws on bad text: it says what is wrong and at which field, and nothing else happens. */
export function openJob(text: string): Opened {
  if (text.length > MAX_FILE_BYTES)
    return { ok: false, reason: 'too-large', bytes: text.length, limit: MAX_FILE_BYTES };
  if (text.trim() === '') return { ok: false, reason: 'empty' };
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return { ok: false, reason: 'not-json', detail: error instanceof Error ? error.message.slice(0, 200) : '' };
  }
  const opened = openJobData(data);
  const fault = opened.ok ? fileFault(opened.job) : null;
  return fault ? { ok: false, reason: 'bad-field', ...fault, more: 0 } : opened;
}

/**
 * As `openJob`, from data already parsed (the browser's store keeps objects). What is wrong with one record is said of that record: it never
 * throws, so that one bad record cannot hide the others.
 */
export function openJobData(data: unknown): Opened {
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== 'mellow-probe/job') {
    return { ok: false, reason: 'not-a-job' };
  }
  const version = (data as { formatVersion?: unknown }).formatVersion;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return { ok: false, reason: 'bad-version', version: String(JSON.stringify(version)).slice(0, 40) };
  }
  if (version > NEWEST_VERSION) return { ok: false, reason: 'newer-version', version, newest: NEWEST_VERSION };
  // Before anything walks it: no check of this program is nested like that.
  if (deeperThan(data, DEEPEST, MOST_PARTS)) return { ok: false, reason: 'too-deep' };
  let current: unknown;
  try {
    current = migrateToCurrent(data as Record<string, unknown>, version);
  } catch {
    // An older file that is none: its steps find no place to stand on.
    return { ok: false, reason: 'bad-field', path: [], detail: `this is no check of format ${version}`, more: 0 };
  }
  const parsed = jobSchema.safeParse(current);
  if (parsed.success) return { ok: true, job: parsed.data };
  const [first, ...rest] = parsed.error.issues;
  return { ok: false, reason: 'bad-field', ...describe(first), more: rest.length };
}

function describe(issue: z.core.$ZodIssue): { path: (string | number)[]; detail: string } {
  const path = issue.path.map((part) => (typeof part === 'symbol' ? part.toString() : part));
  const detail =
    issue.code === 'unrecognized_keys' ? `unknown: ${issue.keys.slice(0, 3).join(', ')}` : plainly(issue.message);
  return { path, detail: detail.slice(0, 200) };
}

/** What the library says of a wrong kind, in plain words: `Invalid input: expected array, received number`. */
const plainly = (message: string): string =>
  message.replace(/^Invalid input: expected (\w+), received (\w+)$/, (_, wanted: string, found: string) =>
    found === 'undefined' ? 'this is missing' : `${found} in place of ${wanted}`,
  );

/** The text of a job file: plain JSON, two spaces, keys in the order of the schema. */
export function saveJob(job: Job): string {
  return `${JSON.stringify(job, null, 2)}\n`;
}
