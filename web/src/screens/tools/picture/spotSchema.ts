import { z } from 'zod';

/** A place on a picture, px, as it is kept. */
export const spotSchema = z.strictObject({ x: z.number(), y: z.number() });
