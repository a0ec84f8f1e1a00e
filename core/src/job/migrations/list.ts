import { wholeJob } from './0002-whole-job.ts';
import type { Migration } from './migration.ts';

/** Steps in ascending order; version 1 is the first format. */
export const MIGRATIONS: readonly Migration[] = [wholeJob];

export const NEWEST_VERSION = 1 + MIGRATIONS.length;

/** A copy of the data at the newest version; the input is left alone. */
export function migrateToCurrent(data: Record<string, unknown>): Record<string, unknown> {
  return MIGRATIONS.filter((step) => step.to > Number(data.formatVersion)).reduce(
    (current, step) => step.migrate(current),
    structuredClone(data),
  );
}
