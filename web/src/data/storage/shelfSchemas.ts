import { kitSchema } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { workshopSchema } from '@mellow-probe/core/catalogue/kit/workshopSchema';
import { z } from 'zod';
import { storedCodesSchema } from './storedCodes.ts';
import { storedCurvesSchema } from './storedCurves.ts';
import { storedHarnessesSchema } from './storedHarnesses.ts';

/** What each entry of the workshop must be, by its key. A draft is known to its tool alone: of it only that it is a record. */
export const shelfSchemaOf = (key: string): z.ZodType =>
  ({
    kit: kitSchema,
    curves: storedCurvesSchema,
    codes: storedCodesSchema,
    looms: storedHarnessesSchema,
    workshop: workshopSchema,
  })[key] ?? z.record(z.string(), z.unknown());
