import { wholeJob } from './0002-whole-job.ts';
import { typedCurve } from './0003-typed-curve.ts';
import { pullUpSource } from './0004-pull-up-source.ts';
import { tags } from './0005-tags.ts';
import { loom } from './0006-loom.ts';
import { moments } from './0007-moments.ts';
import type { Migration } from './migration.ts';

/** Steps in ascending order; version 1 is the first format. */
export const MIGRATIONS: readonly Migration[] = [wholeJob, typedCurve, pullUpSource, tags, loom, moments];

export const NEWEST_VERSION = 7;

/** A copy of the data, which are of this version, at the newest one; the input is left alone. */
export function migrateToCurrent(data: Record<string, unknown>, version: number): Record<string, unknown> {
  return MIGRATIONS.filter((step) => step.to > version).reduce(
    (current, step) => step.migrate(current),
    structuredClone(data),
  );
}
