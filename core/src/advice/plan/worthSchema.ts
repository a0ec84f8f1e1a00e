import { z } from 'zod';
import { accessOf } from '../../catalogue/kit/access.ts';
import type { Kit } from '../../catalogue/kit/kitSchema.ts';
import { asksWhere, type PlaceAdvice } from '../place/placeAdvice.ts';
import { blank, entrySchema } from '../../base/units/entry.ts';
import { type Costs, USUAL_WORK } from './repairs.ts';

/** How sure a customer may want to be. */
export const SURENESS = [0.9, 0.95, 0.99] as const;

/** What a job knows of prices and minutes; empty figures are not known. Money in whatever the workshop reckons in. */
export const worthSchema = z.strictObject({
  hourPrice: entrySchema,
  /** Of the sensor, or of the assembly it comes with. */
  partPrice: entrySchema,
  fitMinutes: entrySchema,
  modulePrice: entrySchema,
  /** What it costs when it did not help and one has to come back. */
  backPrice: entrySchema,
  /** Is the sensor only sold with a larger part? */
  assembly: z.boolean(),
  /** Does the circuit protect: frost, overheat, flue, flame? */
  protects: z.boolean(),
  /** How sure the customer wants to be before anything is changed; left out: what pays is done. */
  sure: z.literal(SURENESS).optional(),
});

export type Worth = z.infer<typeof worthSchema>;

/** Nothing known of prices. */
export const newWorth = (): Worth => ({
  hourPrice: blank(),
  partPrice: blank(),
  fitMinutes: blank(),
  modulePrice: blank(),
  backPrice: blank(),
  assembly: false,
  protects: false,
});

/** A figure of 0 or more as typed; null where there is none. */
const told = (entry: { value: number | null }): number | null =>
  entry.value !== null && entry.value >= 0 ? entry.value : null;

/** Are prices known, or do minutes alone count? An hour of nothing is no price. */
export const hasPrices = (worth: Worth): boolean => (told(worth.hourPrice) ?? 0) > 0;

/** Minutes to mend a place that is known. Common practice, no source. */
const MEND = 15;

/**
 * What the ways to go on cost: prices as told, else in minutes alone; work as told, as the kit has it for this machine, and where the loom is known as
 * long as the search along it takes.
 */
export function costsOf(worth: Worth, kit: Kit, where: PlaceAdvice | null): Costs {
  const priced = hasPrices(worth);
  const perMinute = priced ? told(worth.hourPrice)! / 60 : 1;
  const money = (entry: { value: number | null }): number => (priced ? (told(entry) ?? 0) : 0);
  const { effort } = accessOf(kit);
  const search = where && asksWhere(where) ? where.next!.expected.best + MEND : where?.known ? MEND : USUAL_WORK.wiring;
  return {
    perMinute,
    part: money(worth.partPrice),
    fitMinutes: told(worth.fitMinutes) ?? USUAL_WORK.fit * (effort['taken-off'] ?? 1),
    module: money(worth.modulePrice),
    moduleMinutes: USUAL_WORK.module,
    wiringMinutes: search,
    referenceMinutes: USUAL_WORK.reference,
    placeMinutes: USUAL_WORK.place,
    back: priced && told(worth.backPrice) !== null ? told(worth.backPrice)! : USUAL_WORK.back * perMinute,
    protects: worth.protects,
    sure: worth.sure ?? 0,
  };
}
