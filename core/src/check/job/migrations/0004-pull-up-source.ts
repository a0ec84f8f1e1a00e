import type { Migration } from './migration.ts';

/** Frozen. Version 4: where the figure of the pull-up comes from; of older checks nobody knows, so it is what is usual. */
export const pullUpSource: Migration = {
  to: 4,
  migrate(data) {
    const { circuit } = data;
    const isRecord = typeof circuit === 'object' && circuit !== null && !Array.isArray(circuit);
    return { ...data, formatVersion: 4, circuit: isRecord ? { ...circuit, pullUpSource: 'usual' } : circuit };
  },
};
