import { MOST_OWN_CODES, ownCodeSchema } from '@mellow-probe/core/catalogue/parts/ownCodes';
import { z } from 'zod';

/** The user's own codes as they are stored. */
export const storedCodesSchema = z.strictObject({ codes: z.array(ownCodeSchema).max(MOST_OWN_CODES) });
