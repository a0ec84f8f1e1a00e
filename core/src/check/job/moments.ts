import { z } from 'zod';
import { timestamp, identifier } from '../../base/units/bounds.ts';
import { blank, type Entry, entrySchema } from '../../base/units/entry.ts';
import type { Kit } from '../../catalogue/kit/kitSchema.ts';
import { type MachineState, THERMOMETER_KINDS } from '../../base/units/vocabulary.ts';
import { usualMoment } from '../../inference/model/problem.ts';

/** Ids of the two moments that every check has: the machine as it was found, and the same machine hot. */
export const [AS_FOUND, HOT] = ['steady', 'hot'] as const;

/** One moment of a check: readings that belong to it were taken at one temperature beside the sensor. */
export const momentSchema = z.strictObject({
  id: identifier,
  state: z.enum([AS_FOUND, HOT]),
  /** Independent thermometer beside the sensor, °C. */
  temperatureC: entrySchema,
  /** What it was measured with; null: the thermometer of the kit. */
  thermometer: z.enum(THERMOMETER_KINDS).nullable(),
  /** When the moment began; null for the two that every check has. */
  at: timestamp.nullable(),
});

export type Moment = z.infer<typeof momentSchema>;

/** A moment of which nothing is known but the state of the machine. */
export const newMoment = (id: string, state: Moment['state'], at: string | null = null): Moment => ({
  id,
  state,
  temperatureC: blank(),
  thermometer: null,
  at,
});

/** The moments of a check in which nothing was measured yet. */
export const newMoments = (): Moment[] => [newMoment(AS_FOUND, AS_FOUND), newMoment(HOT, HOT)];

/** The moment a reading belongs to. One that is gone, because another window removed it, is the usual one of its state. */
export function momentOf(
  { moments }: { moments: readonly Moment[] },
  { moment, state }: { moment: string; state: MachineState },
): Moment {
  const usual = usualMoment(state);
  return moments.find((m) => m.id === moment) ?? moments.find((m) => m.id === usual) ?? moments[0];
}

/** The moment at which the machine was found: its temperature is the general one of the check. */
export const asFound = ({ moments }: { moments: readonly Moment[] }): Moment => moments[0];

/** The kit with the thermometer of a moment, whose limit nobody stated, where that is another one than its own. */
export const kitAt = (kit: Kit, { thermometer }: Pick<Moment, 'thermometer'>): Kit =>
  thermometer === null || thermometer === kit.thermometer ? kit : { ...kit, thermometer, thermometerK: blank() };

/** The part of a job that moments are about. */
interface Momentary {
  moments: Moment[];
  readings: { id: string; moment: string; state: MachineState; text: string; voided: unknown }[];
}

/** The readings of a moment that count, but for one. */
export const readingsAt = (job: Momentary, moment: string, but: string | null = null): Momentary['readings'] =>
  job.readings.filter((r) => r.id !== but && !r.voided && r.text.trim() !== '' && momentOf(job, r).id === moment);

/**
 * Gives one reading (null: the one still to be taken, in `draft`) a temperature of its own. Where other readings belong to its moment they keep theirs:
 * it gets a moment of its own then. Returns the id of the moment it belongs to.
 */
export function ownTemperature(
  job: Momentary,
  reading: { id: string; moment: string; state: MachineState } | null,
  draft: { moment: string; state: MachineState },
  temperatureC: Entry,
  newId: () => string,
  at: string,
): string {
  const own = momentOf(job, reading ?? draft);
  if (readingsAt(job, own.id, reading?.id).length === 0) {
    own.temperatureC = temperatureC;
    return own.id;
  }
  const moment = { ...newMoment(newId(), own.state, at), temperatureC, thermometer: own.thermometer };
  job.moments.push(moment);
  if (reading) reading.moment = moment.id;
  return moment.id;
}

/** The readings of two moments were taken at one temperature after all, that of `from`; `from` goes, unless every check has it. */
export function joinMoments(job: Momentary, from: string, into: string): void {
  const [gone, kept] = [from, into].map((id) => job.moments.find((m) => m.id === id));
  if (!gone || !kept) return;
  kept.temperatureC = gone.temperatureC;
  for (const reading of job.readings) if (momentOf(job, reading).id === from) reading.moment = into;
  job.moments = job.moments.filter((m) => m.id !== from || m.id === AS_FOUND || m.id === HOT);
}

/** From so large a step on the general temperature is not believed of the readings that were there before, K. */
const JUMP_K = 20;

/**
 * The general temperature of a check jumped: the readings that were taken before keep the old one, in a moment of their own. Returns its id; null where it
 * did not jump, or no reading was there.
 */
export function keepApart(job: Momentary, before: Entry, newId: () => string, at: string): string | null {
  const general = asFound(job);
  const [was, is] = [before.value, general.temperatureC.value];
  const readings = readingsAt(job, general.id);
  if (was === null || is === null || Math.abs(is - was) < JUMP_K || readings.length === 0) return null;
  const moment = { ...newMoment(newId(), AS_FOUND, at), temperatureC: before, thermometer: general.thermometer };
  job.moments.push(moment);
  for (const reading of readings) reading.moment = moment.id;
  return moment.id;
}
