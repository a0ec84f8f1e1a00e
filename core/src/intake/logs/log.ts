import { z } from 'zod';
import { firstAtLeast } from '../../base/numeric/firstAtLeast.ts';
import type { Quantity } from '../../base/units/quantity.ts';

/** What can be marked while a log is taken. */
export const MARK_KINDS = ['unplugged', 'bridged', 'wiggling', 'heated', 'cooled', 'fan', 'key-off', 'note'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

/** A stretch of time in which something was done; s from the start of the log. `toS` null: it has not ended. */
export const markSchema = z.strictObject({
  kind: z.enum(MARK_KINDS),
  fromS: z.number(),
  toS: z.number().nullable(),
  /** Where on the way, while wiggling. */
  place: z.string().max(80),
  text: z.string().max(200),
});
export type Mark = z.infer<typeof markSchema>;

/** One series on the clock of its log. NaN: no value at that time. Infinity: OL. V, Ω, °C. */
export interface LogChannel {
  id: string;
  name: string;
  quantity: Quantity;
  values: Float64Array;
}

/** Acts that change what is read by themselves. */
export const ACTS: readonly MarkKind[] = ['unplugged', 'bridged', 'key-off'];
/** What an act changes shows up to so long before its key is pressed and after it is released, s. */
const ACT_S = 2;

/** Does something that begins at this time come of an act: the plug was pulled, so the value goes to its end? */
export const comesOfAct = (marks: readonly Mark[], atS: number, endS: number): boolean =>
  marks.some((m) => ACTS.includes(m.kind) && atS >= m.fromS - ACT_S && atS <= (m.toS ?? endS) + ACT_S);

/** Several series on one clock. `timeS` counts from the start and never runs back. */
export interface Log {
  timeS: Float64Array;
  channels: LogChannel[];
  marks: Mark[];
}

/** Length of a log, s. */
export const lengthS = ({ timeS }: Log): number => (timeS.length > 0 ? timeS[timeS.length - 1] - timeS[0] : 0);

/** Time of its last sample, s; 0 of none. */
export const endOfLogS = ({ timeS }: Log): number => (timeS.length > 0 ? timeS[timeS.length - 1] : 0);

/** Index of the first sample at or after a time. */
export const indexAt = (timeS: Float64Array, atS: number): number => firstAtLeast(timeS, atS);

/** The values of a channel that are there, with their times: gaps and OL left out. */
export function finitePart(timeS: Float64Array, values: Float64Array): { t: Float64Array; x: Float64Array } {
  let n = 0;
  for (let i = 0; i < values.length; i++) if (Number.isFinite(values[i])) n++;
  const [t, x] = [new Float64Array(n), new Float64Array(n)];
  n = 0;
  for (let i = 0; i < values.length; i++) {
    if (!Number.isFinite(values[i])) continue;
    t[n] = timeS[i];
    x[n++] = values[i];
  }
  return { t, x };
}
