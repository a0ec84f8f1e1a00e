import type { JobLine } from '../check/job/jobList.ts';
import { countText } from './ledgerText.ts';
import { fixed } from '../base/units/writing.ts';

/** What a backup holds, by kind. */
export const KIND_NAMES = {
  job: 'checks',
  photo: 'photos',
  shelf: 'tools and kit',
  log: 'recordings and logs',
  training: 'training',
} as const;

/** How a record of a backup stands to what is here. */
export const STANDING_NAMES = {
  new: 'not here',
  same: 'the same here',
  'newer-here': 'newer here, stays',
  'newer-there': 'newer in the backup',
  'both-changed': 'changed on both sides, merged',
} as const;

export const BACKUP_FAULTS = {
  'not-a-zip': 'This is not a backup: it is not a ZIP file, or it is cut off.',
  'no-manifest': 'This ZIP file is not a backup: it has no manifest.',
  'bad-manifest': 'The manifest of this backup cannot be read. Nothing was restored.',
  'newer-version': 'This backup was written by a newer version. Update the program first.',
  'path-outside': 'This backup names a file outside its own archive. Nothing was restored: do not trust its source.',
} as const;

/** Days without a backup after which it is said. Common practice, no source. */
const REMIND_AFTER = 7;

/**
 * How long there has been no backup, where it is time to say so; empty where it is not.
 *
 * @param last when the last one was written, ISO 8601; empty: never
 * @param now ISO 8601
 */
export function backupDueText(
  lines: readonly Pick<JobLine, 'createdAt' | 'updatedAt'>[],
  last: string,
  now: string,
): string {
  const changed = lines.filter((l) => l.updatedAt > last);
  if (changed.length === 0) return '';
  const since = last || lines.map((l) => l.createdAt).sort()[0];
  const days = Math.floor((Date.parse(now) - Date.parse(since)) / 86_400_000);
  if (days < REMIND_AFTER) return '';
  return `Not backed up for ${countText(days, 'day', 'days')}: ${countText(changed.length, 'check', 'checks')}.`;
}

/** A size of data in words: "812 bytes", "3.4 MB"; decimal multiples. */
export function bytesText(bytes: number): string {
  if (bytes < 1000) return countText(bytes, 'byte', 'bytes');
  const step = Math.min(3, Math.floor(Math.log10(bytes) / 3));
  const value = bytes / 1000 ** step;
  return `${value < 10 ? fixed(value, 1) : Math.round(value)} ${['', 'kB', 'MB', 'GB'][step]}`;
}
