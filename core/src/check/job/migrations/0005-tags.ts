import type { Migration } from './migration.ts';

/** Frozen. Version 5: words of the workshop's own by which its checks are put together. */
export const tags: Migration = {
  to: 5,
  migrate: (data) => ({ ...data, formatVersion: 5, tags: [] }),
};
