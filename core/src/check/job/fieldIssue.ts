import type { Parsed } from '../../base/units/parseReading.ts';

/** What is wrong with a figure, as data; the wording is elsewhere. */
export type FieldIssue =
  | Exclude<Parsed, { ok: true }>
  | { ok: false; reason: 'must-be-positive' }
  | { ok: false; reason: 'too-low' | 'too-high'; limit: number }
  | { ok: false; reason: 'outside-curve'; minC: number; maxC: number }
  | { ok: false; reason: 'equal-points' }
  | { ok: false; reason: 'not-monotone' }
  | { ok: false; reason: 'too-few-points' }
  | { ok: false; reason: 'unknown-curve' }
  | { ok: false; reason: 'needs-condition' }
  /** "Last value" on a display of which no earlier value is in the check. */
  | { ok: false; reason: 'needs-last-value' }
  | { ok: false; reason: 'not-on-this-layout' };

/** Where in the job: the same path as in the file, joined by dots; readings by their id. */
export interface Issue {
  path: string;
  issue: FieldIssue;
}
