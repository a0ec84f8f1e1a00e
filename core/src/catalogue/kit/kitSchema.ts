import { z } from 'zod';
import { REACHES, RESISTOR_SERIES, THERMOMETER_KINDS, TOOLS } from '../../base/units/vocabulary.ts';
import { blank, entrySchema } from '../../base/units/entry.ts';
import { FILE_MARGIN, LONGEST, line } from '../../base/units/bounds.ts';

/** One range of a meter as its data sheet gives it: limits of ±(percent of reading + digits). Up to a figure in V or Ω. */
export const rangeSchema = z.strictObject({
  upTo: entrySchema,
  percent: entrySchema,
  digits: entrySchema,
  digit: entrySchema,
});

/** Most ranges of a meter that the form lets a person make. */
export const MOST_RANGES = 12;

/** What a technician measures with. Empty figures mean the generic ones; nobody has to fill anything in. */
export const kitSchema = z.strictObject({
  name: line,
  tools: z.array(z.enum(TOOLS)).max(FILE_MARGIN * TOOLS.length),
  meter: z.strictObject({
    volts: z.array(rangeSchema).max(FILE_MARGIN * MOST_RANGES),
    ohms: z.array(rangeSchema).max(FILE_MARGIN * MOST_RANGES),
    /** Input on volts, the highest resistance it shows, and the leads' own, Ω. */
    inputOhm: entrySchema,
    overloadOhm: entrySchema,
    leadOhm: entrySchema,
  }),
  thermometer: z.enum(THERMOMETER_KINDS),
  /** Limit of the thermometer, ± K; empty: what is realistic for its kind. */
  thermometerK: entrySchema,
  /** Limit of the displayed value of scan tool or module, ± K. */
  displayedK: entrySchema,
  resistors: z.strictObject({
    series: z.enum(RESISTOR_SERIES),
    own: z.string().max(FILE_MARGIN * LONGEST.remark),
    tolerancePercent: entrySchema,
  }),
  /** How much work the places of this machine are. */
  access: z.strictObject({
    plug: z.enum(REACHES),
    module: z.enum(REACHES),
    sensor: z.enum(REACHES),
  }),
});

export type Kit = z.infer<typeof kitSchema>;
export type MeterRange = z.infer<typeof rangeSchema>;

/** A common kit: everything at hand, generic figures. */
export function genericKit(): Kit {
  return {
    name: '',
    tools: [...TOOLS],
    meter: { volts: [], ohms: [], inputOhm: blank(), overloadOhm: blank(), leadOhm: blank() },
    thermometer: 'thermocouple',
    thermometerK: blank(),
    displayedK: blank(),
    resistors: { series: 'E12', own: '', tolerancePercent: blank() },
    access: { plug: 'usual', module: 'usual', sensor: 'usual' },
  };
}
