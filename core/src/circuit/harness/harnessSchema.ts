import { z } from 'zod';
import { MOST_CONNECTORS } from '../network/chain.ts';
import { blank, entrySchema } from '../../base/units/entry.ts';
import { FILE_MARGIN, identifier, line } from '../../base/units/bounds.ts';
import { plainCopy } from '../../base/records/plainData.ts';
import { HINT_IDS } from './hints.ts';

/** The two wires of a place, each with a short text: pin numbers, colours. */
const bothWires = z.strictObject({ signal: line, return: line });
const hints = z.array(z.enum(HINT_IDS)).max(FILE_MARGIN * HINT_IDS.length);

export const RUN_MAKES = ['plain', 'twisted', 'shielded'] as const;

/** A run of wire from a stop to the next one towards the sensor. */
export const runSchema = z.strictObject({
  lengthM: entrySchema,
  areaMm2: entrySchema,
  /** Colours of its two wires as they are called: "green", "green-white". */
  colours: bothWires,
  make: z.enum(RUN_MAKES),
  hints,
});

export const STOP_KINDS = ['module', 'connector', 'splice', 'plug'] as const;

/** A place where the loom can be got at, and the run that leaves it towards the sensor (blank at the sensor plug). */
export const stopSchema = z.strictObject({
  id: identifier,
  kind: z.enum(STOP_KINDS),
  name: line,
  where: line,
  /** Minutes until one can measure there; empty: as usual for its kind. */
  minutes: entrySchema,
  /** Stops with the same word here are laid open in one go; empty: for itself. */
  opening: line,
  pins: bothWires,
  hints,
  run: runSchema,
});

/** The loom from the module's plug to the sensor's, in this order. */
export const harnessSchema = z.strictObject({
  module: stopSchema,
  stops: z.array(stopSchema).max(MOST_CONNECTORS),
  plug: stopSchema,
});

export type Run = z.infer<typeof runSchema>;
export type Stop = z.infer<typeof stopSchema>;
export type StopKind = (typeof STOP_KINDS)[number];
export type Harness = z.infer<typeof harnessSchema>;

/** A stop of which nothing is known yet. */
export function newStop(id: string, kind: StopKind): Stop {
  return {
    id,
    kind,
    name: '',
    where: '',
    minutes: blank(),
    opening: '',
    pins: { signal: '', return: '' },
    hints: [],
    run: { lengthM: blank(), areaMm2: blank(), colours: { signal: '', return: '' }, make: 'plain', hints: [] },
  };
}

/** A loom without connectors. */
export const newHarness = (): Harness => ({
  module: newStop('module', 'module'),
  stops: [],
  plug: newStop('plug', 'plug'),
});

/** The stops in order, module and sensor plug included. */
export const stopsOf = ({ module, stops, plug }: Harness): Stop[] => [module, ...stops, plug];

/** The part of the loom at an element of the chain: a stop's contact, or the run after it. */
export function partAt(loom: Harness, element: number): { stop: Stop; run: Run | null } {
  const stop = stopsOf(loom)[element >> 1];
  return { stop, run: element % 2 === 1 ? stop.run : null };
}

/** Most looms on the shelf. */
export const MOST_HARNESSES = 40;

/** A loom kept on the shelf, to be taken on the next check of such a machine: what it is, without what was found on one. */
export const keptHarnessSchema = z.strictObject({ id: identifier, name: line, loom: harnessSchema });
export type KeptHarness = z.infer<typeof keptHarnessSchema>;

/** What of a loom holds for every machine of its kind: what is known of single places is left out, but for where water gets and what is moved. */
export function asTemplate(loom: Harness): Harness {
  const lasting = ({ hints }: { hints: Stop['hints'] }): Stop['hints'] =>
    hints.filter((h) => h === 'wet' || h === 'moved');
  const bare = (stop: Stop): Stop => ({
    ...stop,
    hints: lasting(stop),
    run: { ...stop.run, hints: lasting(stop.run) },
  });
  return plainCopy({ module: bare(loom.module), stops: loom.stops.map(bare), plug: bare(loom.plug) });
}
