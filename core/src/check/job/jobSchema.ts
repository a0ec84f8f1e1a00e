import { z } from 'zod';
import { MOST } from './most.ts';
import { NEWEST_VERSION } from './migrations/list.ts';
import { FIELDS } from '../../base/units/vocabulary.ts';
import { kitSchema } from '../../catalogue/kit/kitSchema.ts';
import { circuitSchema } from './circuitSchema.ts';
import { FILE_MARGIN, identifier, line, paragraph, timestamp } from '../../base/units/bounds.ts';
import { harnessSchema } from '../../circuit/harness/harnessSchema.ts';
import { worthSchema } from '../../advice/plan/worthSchema.ts';
import { momentSchema } from './moments.ts';
import { readingSchema } from './readingSchema.ts';
import * as record from './recordSchemas.ts';

/** A whole job, from complaint to proof, as it stands in a file. */
export const jobSchema = z.strictObject({
  format: z.literal('mellow-probe/job'),
  formatVersion: z.literal(NEWEST_VERSION),
  id: identifier,
  createdAt: timestamp,
  updatedAt: timestamp,
  title: line,
  machine: line,
  /** Whose machine it is, and the workshop's own number of the order. */
  customer: line,
  orderNumber: line,
  field: z.enum(FIELDS),
  note: paragraph,
  /** Words of the workshop's own, by which its checks are found together. */
  tags: z.array(line).max(FILE_MARGIN * MOST.tags),
  complaint: record.complaintSchema,
  rightSensor: record.rightSensorSchema,
  circuit: circuitSchema,
  /** The way from the module to the sensor plug. */
  loom: harnessSchema,
  /** Prices and minutes, for what is worth doing. */
  worth: worthSchema,
  kit: kitSchema,
  /** The order of work: 'proposal' (by information per minute) or the id of a school. */
  school: identifier,
  /** When readings were taken together: first the machine as it was found, then the same machine hot, then as many more as there were. */
  moments: z
    .array(momentSchema)
    .min(2)
    .max(FILE_MARGIN * MOST.moments),
  readings: z.array(readingSchema).max(FILE_MARGIN * MOST.readings),
  /** Tests that cannot be done at this machine, by id: they are not proposed. */
  leftOut: z.array(identifier).max(FILE_MARGIN * MOST.leftOut),
  comparison: record.comparisonSchema,
  /** Findings and fault codes, by id of the catalogue. */
  findings: z.array(identifier).max(FILE_MARGIN * MOST.findings),
  photos: z.array(record.photoSchema).max(FILE_MARGIN * MOST.photos),
  /** Weights of faults changed by hand: factor on the default. */
  weightFactors: z.record(identifier, z.number().min(0).max(1000)),
  decision: record.decisionSchema.nullable(),
  repair: record.repairSchema,
  proof: record.proofSchema,
  followUps: z.array(record.followUpSchema).max(FILE_MARGIN * MOST.followUps),
  closed: record.closedSchema.nullable(),
  archivedAt: timestamp.nullable(),
  /** The check whose repair did not last, where this one is of the same fault come back. */
  recurrenceOf: z.strictObject({ id: identifier, title: line }).optional(),
  /** The workshop's own experience as it stood when this check began: by group, the factor on the default weights. */
  experience: record.experienceSchema.optional(),
});

export type Job = z.infer<typeof jobSchema>;
export type { CurveChoice, JobCircuit } from './circuitSchema.ts';
export type { JobConditions, JobReading } from './readingSchema.ts';
