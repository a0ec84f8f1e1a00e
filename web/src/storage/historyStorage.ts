import { z } from 'zod';
import { withStore } from './stores.ts';

const stepsSchema = z.array(
  z.object({
    at: z.string(),
    patches: z.array(
      z.object({
        at: z.array(z.string()),
        before: z.unknown().optional(),
        after: z.unknown().optional(),
        index: z.number().optional(),
      }),
    ),
  }),
);
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
      await withStore('history', (s) => s.setItem(job, JSON.parse(JSON.stringify(steps))));
    },
  };
}
