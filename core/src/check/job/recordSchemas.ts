import { z } from 'zod';
import { MOST } from './most.ts';
import {
  CAUSE_STATES,
  CLOSINGS,
  CODE_MEANINGS,
  CODE_STATES,
  COMPARED_SENSORS,
  FAULT_GROUPS,
  PHASES,
  PLUG_TRIALS,
  PROOF_OUTCOMES,
  REPLACEABLE_PARTS,
} from '../../base/units/vocabulary.ts';
import { isMeasurementId } from '../../circuit/measurements/list.ts';
import { entrySchema } from '../../base/units/entry.ts';
import { FILE_MARGIN, figureText, identifier, line, paragraph, timestamp } from '../../base/units/bounds.ts';

/** The parts of a job that are no circuit and no reading: what was complained of, seen, decided, done and proved. */

export const complaintSchema = z.strictObject({
  text: paragraph,
  /** Ids of `catalogue/parts/symptoms`. */
  symptoms: z.array(identifier).max(FILE_MARGIN * MOST.symptoms),
  codes: z
    .array(
      z.strictObject({
        id: identifier,
        code: line,
        state: z.enum(CODE_STATES),
        /** What it means, where it is one of the user's own. */
        own: z.strictObject({ what: line, says: z.enum(CODE_MEANINGS) }).optional(),
      }),
    )
    .max(FILE_MARGIN * MOST.codes),
  replaced: z.array(z.enum(REPLACEABLE_PARTS)).max(4),
  /** Causes that are no electrical fault (ids of `catalogue/parts/otherCauses`), as far as they were looked at. */
  causes: z.record(identifier, z.enum(CAUSE_STATES)),
});

const named = z.strictObject({ id: identifier, name: line });

export const rightSensorSchema = z.strictObject({
  plugs: z.array(named).max(FILE_MARGIN * MOST.plugs),
  values: z.array(named).max(FILE_MARGIN * MOST.values),
  /** Which displayed value moved when a plug was pulled or bridged; null: none did. */
  trials: z
    .array(
      z.strictObject({
        id: identifier,
        plugId: identifier,
        how: z.enum(PLUG_TRIALS),
        movedId: identifier.nullable(),
      }),
    )
    .max(FILE_MARGIN * MOST.plugs),
  /** The value that is complained of, and the plug at which the readings were taken. */
  wantedValueId: identifier.nullable(),
  measuredPlugId: identifier.nullable(),
});

export const photoSchema = z.strictObject({
  id: identifier,
  caption: line,
  takenAt: timestamp,
  /** A JPEG as a data address, scaled down; null where it is kept beside the job (in the browser), filled in when the job leaves as a file. */
  image: z
    .string()
    .max(1_500_000)
    .regex(/^data:image\/jpeg;base64,[A-Za-z0-9+/]+=*$/, { error: 'not a JPEG data address' })
    .nullable(),
});

export const comparisonSchema = z.strictObject({
  /** Pairs of temperature and resistance, of this sensor or of the other one (new, neighbour). */
  pairs: z
    .array(
      z.strictObject({
        id: identifier,
        sensor: z.enum(COMPARED_SENSORS),
        phase: z.enum(PHASES),
        temperatureC: entrySchema,
        resistanceOhm: entrySchema,
      }),
    )
    .max(FILE_MARGIN * MOST.pairs),
  /** Timed readings while a value settles: minutes, and V, Ω or °C as typed. */
  settling: z
    .array(z.strictObject({ id: identifier, minute: entrySchema, value: entrySchema }))
    .max(FILE_MARGIN * MOST.timed),
});

export const decisionSchema = z.strictObject({
  group: z.enum(FAULT_GROUPS),
  /** What the tool said then, and how surely. */
  toolGroup: z.enum(FAULT_GROUPS),
  toolProbability: z.number().min(0).max(1),
  reason: paragraph,
  decidedAt: timestamp,
});

export const repairSchema = z.strictObject({
  part: line,
  partNumber: line,
  cause: paragraph,
  done: paragraph,
  doneAt: timestamp.nullable(),
  standIn: z.strictObject({ what: line, fittedAt: timestamp, removedAt: timestamp.nullable() }).nullable(),
});

export const proofSchema = z.strictObject({
  temperatureC: entrySchema,
  readings: z
    .array(
      z.strictObject({
        measurement: z.string().refine(isMeasurementId, { error: 'unknown measurement' }),
        text: figureText,
        value: z.union([z.number(), z.literal('OL')]).nullable(),
      }),
    )
    .max(FILE_MARGIN * MOST.proofReadings),
  /** Steps of the proof by id: how each came out. */
  steps: z.record(identifier, z.strictObject({ state: z.enum(PROOF_OUTCOMES), note: line, at: timestamp })),
});

export const followUpSchema = z.strictObject({
  id: identifier,
  text: line,
  dueOn: z.iso.date(),
  doneAt: timestamp.nullable(),
});

export const closedSchema = z.strictObject({ at: timestamp, how: z.enum(CLOSINGS), reason: paragraph });

export const experienceSchema = z.strictObject({
  factors: z.partialRecord(z.enum(FAULT_GROUPS), z.number().min(0.001).max(1000)),
  /** Closed checks it was learned from. */
  checks: z.number().int().min(0).max(1e6),
  at: timestamp,
});

export type Complaint = z.infer<typeof complaintSchema>;
export type RightSensor = z.infer<typeof rightSensorSchema>;
export type Decision = z.infer<typeof decisionSchema>;
export type Repair = z.infer<typeof repairSchema>;
export type Proof = z.infer<typeof proofSchema>;
export type Experience = z.infer<typeof experienceSchema>;
