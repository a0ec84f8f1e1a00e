import type { Patch } from '@mellow-probe/core/records/changes';
import { isRecord } from '@mellow-probe/core/records/plainData';
import { withStore } from './stores.ts';

interface KeptStep {
  at: string;
  patches: Patch[];
}

/** The steps of a job that can be taken back and done again, beside the job. Rejects with a `StorageError`. */
export function historyDoor(job: string) {
  return {
    async read(): Promise<{ undo: KeptStep[]; redo: KeptStep[] } | null> {
      const data: unknown = await withStore('history', (s) => s.getItem(job));
      if (!isRecord(data) || !isSteps(data.undo) || !isSteps(data.redo)) return null;
      return { undo: data.undo, redo: data.redo };
    },
    async write(steps: { undo: readonly KeptStep[]; redo: readonly KeptStep[] }): Promise<void> {
      await withStore('history', (s) => s.setItem(job, JSON.parse(JSON.stringify(steps))));
    },
  };
}

function isSteps(data: unknown): data is KeptStep[] {
  const isPatch = (p: unknown): boolean =>
    isRecord(p) && Array.isArray(p.at) && p.at.every((step) => typeof step === 'string');
  return (
    Array.isArray(data) &&
    data.every((s) => isRecord(s) && typeof s.at === 'string' && Array.isArray(s.patches) && s.patches.every(isPatch))
  );
}
