/** One step of the file format. Frozen once released; each has a fixture before and after. */
export interface Migration {
  to: number;
  migrate(data: Record<string, unknown>): Record<string, unknown>;
}

/** Steps in ascending order. Version 1 is the first format, so there is none yet. */
export const MIGRATIONS: readonly Migration[] = [];

export const NEWEST_VERSION = 1 + MIGRATIONS.length;

/** A copy of the data at the newest version; the input is left alone. */
export function migrateToCurrent(data: Record<string, unknown>): Record<string, unknown> {
  return MIGRATIONS.filter((step) => step.to > Number(data.formatVersion)).reduce(
    (current, step) => step.migrate(current),
    structuredClone(data),
  );
}
