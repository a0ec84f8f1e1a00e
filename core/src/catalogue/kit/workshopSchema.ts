import { z } from 'zod';
import { line } from '../../base/units/bounds.ts';

/** Longest logo, characters of its data address: a few hundred pixels across. */
const LONGEST_LOGO = 400_000;

/** Who measures: stands on the head of every report. All of it may be empty. */
export const workshopSchema = z.strictObject({
  name: line,
  technician: line,
  /** Address, telephone, licence: one line under the name. */
  contact: line,
  /** A small picture as a data address; null: none. */
  logo: z
    .string()
    .max(LONGEST_LOGO)
    .regex(/^data:image\/(png|jpeg);base64,[A-Za-z0-9+/=]+$/)
    .nullable(),
});

export type Workshop = z.infer<typeof workshopSchema>;

export function noWorkshop(): Workshop {
  return { name: '', technician: '', contact: '', logo: null };
}
