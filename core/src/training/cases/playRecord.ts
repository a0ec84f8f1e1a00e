import { z } from 'zod';
import { identifier, timestamp } from '../../base/units/bounds.ts';
import { FAULT_GROUPS } from '../../base/units/vocabulary.ts';
import { moveSchema } from './play.ts';
import type { Debrief } from './score.ts';
import { SLIPS, slipsOf } from './slips.ts';
import type { TrainingCase } from './trainingCase.ts';

/** Is the tool's verdict hidden, shown, or sealed until the learner has said his own? */
export const MODES = ['hidden', 'shown', 'bet'] as const;
export type PlayMode = (typeof MODES)[number];

/** Most moves of a play, and of plays in a file. */
export const MOST_MOVES = 400;

/** What a finished play was worth, as far as progress needs it. */
export const resultSchema = z.strictObject({
  right: z.boolean().nullable(),
  healed: z.boolean(),
  minutes: z.number(),
  total: z.number(),
  idealMinutes: z.number(),
  idealTotal: z.number(),
  tests: z.number().int(),
  unneeded: z.array(z.enum(FAULT_GROUPS)).max(20),
  careless: z.number().int(),
  mistakes: z.number().int(),
  logScore: z.number().nullable(),
  said: z.array(z.strictObject({ probability: z.number().min(0).max(1), right: z.boolean() })).max(MOST_MOVES),
  school: z.string().max(60).nullable(),
  could: z.array(z.enum(SLIPS)).max(SLIPS.length),
  did: z.array(z.enum(SLIPS)).max(SLIPS.length),
});
export type PlayResult = z.infer<typeof resultSchema>;

/** A play of a case: its number, its moves, and once it has ended what it was worth. */
export const playSchema = z.strictObject({
  format: z.literal('mellow-probe/play'),
  formatVersion: z.literal(1),
  id: identifier,
  /** The case, `caseNumber.ts`. */
  number: z.string().max(20),
  mode: z.enum(MODES),
  /** The step of the course or the exam it was played for, by id; null: for itself. */
  partOf: identifier.nullable(),
  startedAt: timestamp,
  endedAt: timestamp.nullable(),
  moves: z.array(moveSchema).max(MOST_MOVES),
  result: resultSchema.nullable(),
});
export type PlayRecord = z.infer<typeof playSchema>;

/** A play that has just begun. `id` and `now` come from the caller: core has no clock. */
export function newPlay(
  id: string,
  now: string,
  number: string,
  mode: PlayMode,
  partOf: string | null = null,
): PlayRecord {
  const [format, formatVersion] = ['mellow-probe/play', 1] as const;
  return { format, formatVersion, id, number, mode, partOf, startedAt: now, endedAt: null, moves: [], result: null };
}

/** What a debrief leaves behind in the record. */
export function resultOf(ofCase: TrainingCase, told: Debrief): PlayResult {
  const { score } = told;
  const { right, healed, minutes, total, ideal, tests, unneeded, careless, mistakes, logScore, said, school } = score;
  return {
    ...{ right, healed, minutes, total, idealMinutes: ideal.minutes, idealTotal: ideal.total },
    ...{ tests, unneeded, careless, mistakes, logScore, said, school },
    ...slipsOf(ofCase, told),
  };
}
