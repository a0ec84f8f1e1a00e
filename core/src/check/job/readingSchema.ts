import { z } from 'zod';
import { MOST_CONNECTORS, SIDES } from '../../circuit/network/chain.ts';
import { MOST } from './most.ts';
import { MACHINE_STATES, WIRES } from '../../base/units/vocabulary.ts';
import { isMeasurementId } from '../../circuit/measurements/list.ts';
import { entrySchema, textBehindValue } from '../../base/units/entry.ts';
import { FILE_MARGIN, figureText, identifier, line, paragraph, timestamp } from '../../base/units/bounds.ts';

export const conditionsSchema = z.strictObject({
  substituteOhm: entrySchema.optional(),
  bathC: entrySchema.optional(),
  airC: entrySchema.optional(),
  wire: z.enum(WIRES).optional(),
  position: z.number().int().min(1).max(MOST_CONNECTORS).optional(),
  side: z.enum(SIDES).optional(),
});

export const readingSchema = z
  .strictObject({
    id: identifier,
    measurement: z.string().refine(isMeasurementId, { error: 'unknown measurement' }),
    text: figureText,
    /** V, Ω or °C by the measurement's quantity; "OL"; null while the text cannot be read. */
    value: z.union([z.number(), z.literal('OL')]).nullable(),
    conditions: conditionsSchema,
    /** How it was taken; hot readings belong to a hot moment. */
    state: z.enum(MACHINE_STATES),
    /** Id of the moment it belongs to. */
    moment: identifier,
    note: paragraph,
    takenAt: timestamp.nullable(),
    /** Taken back, with the reason: kept in the record, left out of the verdict. */
    voided: z.strictObject({ reason: line, at: timestamp }).nullable(),
    /** What stood here before it was corrected, oldest first. */
    history: z.array(z.strictObject({ text: figureText, at: timestamp })).max(FILE_MARGIN * MOST.corrections),
  })
  .refine(textBehindValue, { error: 'a value without its text' });

export type JobReading = z.infer<typeof readingSchema>;
export type JobConditions = z.infer<typeof conditionsSchema>;
