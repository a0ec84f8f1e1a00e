import { FILE_MARGIN } from '@mellow-probe/core/base/units/bounds';
import { keptHarnessSchema, MOST_HARNESSES } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { z } from 'zod';

/** Saved harnesses as they are stored. */
export const storedHarnessesSchema = z.strictObject({
  looms: z.array(keptHarnessSchema).max(FILE_MARGIN * MOST_HARNESSES),
});
