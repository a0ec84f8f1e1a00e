import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { z } from 'zod';
import { patchesSchema } from './patchesSchema.ts';
import { withStore } from './stores.ts';

const stepsSchema = z.array(z.object({ at: z.string(), patches: patchesSchema }));
const historySchema = z.object({ undo: stepsSchema, redo: stepsSchema });
type KeptHistory = z.infer<typeof historySchema>;

/** The steps of a job that can be taken back and done again, beside the job. Rejects with a `StorageError`. */
export function historyDoor(job: string) {
  return {
    async read(): Promise<KeptHistory | null> {
      const data: unknown = await withStore('history', (s) => s.getItem(job));
      return historySchema.safeParse(data).data ?? null;
    },
    async write(steps: KeptHistory): Promise<void> {
      await withStore('history', (s) => s.setItem(job, plainCopy(steps)));
    },
  };
}
