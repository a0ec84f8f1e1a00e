import { z } from 'zod';

/** Differences as they stand in the stores of this browser. */
export const patchesSchema = z.array(
  z.object({
    at: z.array(z.string()),
    before: z.unknown().optional(),
    after: z.unknown().optional(),
    index: z.number().optional(),
  }),
);
