import { z } from 'zod';
import { MOST } from './most.ts';
import { SHARES } from '../../circuit/network/chain.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { PULL_UP_SOURCES } from '../../circuit/network/spread.ts';
import { curveSchema, typedForm } from '../../circuit/curves/curve.ts';
import { entrySchema } from '../../base/units/entry.ts';
import { FILE_MARGIN, identifier, line } from '../../base/units/bounds.ts';

export const curveChoiceSchema = z.discriminatedUnion('source', [
  z.strictObject({ source: z.literal('catalogue'), id: identifier }),
  /** A kind of curve by its figures: which kind, which of its forms, the figures by name. */
  z
    .strictObject({
      source: z.literal('typed'),
      kind: identifier,
      form: z.string().max(100),
      figures: z.record(identifier, entrySchema),
    })
    .refine((typed) => typedForm(typed.kind, typed.form) !== null, { error: 'unknown kind of curve' }),
  z.strictObject({
    source: z.literal('points'),
    points: z
      .array(z.strictObject({ temperatureC: entrySchema, resistanceOhm: entrySchema }))
      .max(FILE_MARGIN * MOST.points),
  }),
  z.strictObject({ source: z.literal('given'), name: line, curve: curveSchema }),
  /** A specification of a line or two: "2–3 kΩ at 20 °C". */
  z.strictObject({
    source: z.literal('band'),
    slope: z.enum(['ntc', 'ptc']),
    bands: z.array(z.strictObject({ temperatureC: entrySchema, resistanceOhm: entrySchema })).max(FILE_MARGIN * 2),
  }),
  /** To be learned from the readings. */
  z.strictObject({ source: z.literal('unknown') }),
]);

export const circuitSchema = z.strictObject({
  name: line,
  layout: z.enum(LAYOUTS),
  referenceV: entrySchema,
  /** An empty text or the word "unknown" means: to be learned from the readings. */
  pullUpOhm: entrySchema,
  /** Where its figure comes from. */
  pullUpSource: z.enum(PULL_UP_SOURCES),
  hotPullUpOhm: entrySchema,
  curve: curveChoiceSchema,
  display: z.strictObject({
    minC: entrySchema,
    maxC: entrySchema,
    resolutionC: z.number().positive().max(10),
    /** Shown in place of a value while the module sees the circuit at an end of its scale; empty: it shows the end. */
    substituteC: entrySchema,
    ratiometric: z.boolean().nullable(),
  }),
  supplyV: entrySchema,
  /** What other sensors share with it. */
  shares: z.enum(SHARES),
  /** A long run: metres one way and mm² of copper; empty for a loom of a few metres. */
  cableM: entrySchema,
  cableMm2: entrySchema,
});

export type CurveChoice = z.infer<typeof curveChoiceSchema>;
export type JobCircuit = z.infer<typeof circuitSchema>;
