import { z } from 'zod';
import { curveSchema } from '../curves/curve.ts';
import { isMeasurementId } from '../measurements/list.ts';

/** Longest text a figure may be typed with. */
const figureText = z.string().max(200);
const line = z.string().max(400);
const paragraph = z.string().max(20_000);
const identifier = z.string().min(1).max(100);
const timestamp = z.iso.datetime({ offset: true });

/** A stored value that no screen would show must not be computed with. */
function textBehindValue(entry: { text: string; value: unknown }): boolean {
  return entry.value === null || entry.text.trim() !== '';
}

/** A figure as typed, and what it was read as (V, Ω, °C or a bare number); null while it cannot be read. */
export const entrySchema = z
  .strictObject({ text: figureText, value: z.number().nullable() })
  .refine(textBehindValue, { error: 'a value without its text' });
export const curveChoiceSchema = z.discriminatedUnion('source', [
  z.strictObject({ source: z.literal('catalogue'), id: identifier }),
  z.strictObject({ source: z.literal('r25b'), r25Ohm: entrySchema, betaK: entrySchema }),
  z.strictObject({
    source: z.literal('points'),
    points: z.array(z.strictObject({ temperatureC: entrySchema, resistanceOhm: entrySchema })).max(500),
  }),
  z.strictObject({ source: z.literal('given'), name: line, curve: curveSchema }),
]);

export const circuitSchema = z.strictObject({
  name: line,
  layout: z.enum(['pull-up', 'pull-down', 'one-wire']),
  referenceV: entrySchema,
  /** An empty text or the word "unknown" means: to be learned from the readings. */
  pullUpOhm: entrySchema,
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
  connectors: z.number().int().min(0).max(8),
});

export const conditionsSchema = z.strictObject({
  substituteOhm: entrySchema.optional(),
  bathC: entrySchema.optional(),
  wire: z.enum(['signal', 'return']).optional(),
  position: z.number().int().min(1).max(8).optional(),
});

export const readingSchema = z
  .strictObject({
  id: identifier,
  measurement: z.string().refine(isMeasurementId, { error: 'unknown measurement' }),
  text: figureText,
  /** V, Ω or °C by the measurement's quantity; "OL"; null while the text cannot be read. */
  value: z.union([z.number(), z.literal('OL')]).nullable(),
  conditions: conditionsSchema,
  state: z.enum(['steady', 'hot', 'wiggling']),
  note: paragraph,
  takenAt: timestamp.nullable(),
})
  .refine(textBehindValue, { error: 'a value without its text' });

export const jobSchema = z.strictObject({
  format: z.literal('mellow-probe/job'),
  formatVersion: z.literal(1),
  id: identifier,
  createdAt: timestamp,
  updatedAt: timestamp,
  title: line,
  machine: line,
  field: z.enum(['engine', 'climate', 'boiler']),
  note: paragraph,
  circuit: circuitSchema,
  /** Independent thermometer beside the sensor, °C. */
  temperatureC: entrySchema,
  /** The same while the machine is hot, for the readings taken then. */
  hotTemperatureC: entrySchema,
  readings: z.array(readingSchema).max(500),
  /** Findings and fault codes, by id of the catalogue. */
  findings: z.array(identifier).max(100),
  /** Weights of faults changed by hand: factor on the default. */
  weightFactors: z.record(identifier, z.number().min(0).max(1000)),
});

export type Entry = z.infer<typeof entrySchema>;
export type CurveChoice = z.infer<typeof curveChoiceSchema>;
export type JobCircuit = z.infer<typeof circuitSchema>;
export type JobReading = z.infer<typeof readingSchema>;
export type JobConditions = z.infer<typeof conditionsSchema>;
export type Job = z.infer<typeof jobSchema>;
