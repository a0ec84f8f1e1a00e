import { z } from 'zod';
import type { Measurement } from '../../circuit/measurements/measurement.ts';
import { MACHINE_STATES } from '../../base/units/vocabulary.ts';
import { PLUGS } from './trainingCase.ts';

/** What is in the sensor plug now. */
export const PLUGGED = ['in', 'out', 'bridged', 'resistor'] as const;
export type Plugged = (typeof PLUGGED)[number];

/** Ranges of the meter on ohms, by the highest figure each shows, Ω; automatic. A common meter of 2000 counts. */
export const OHM_RANGES = ['auto', '200', '2k', '20k', '200k', '2M', '20M'] as const;
export type OhmRange = (typeof OHM_RANGES)[number];

/** Pairs of cavities that a bridge, a resistor or a jumper can be put across, as they are numbered on the plug. */
export const PAIRS = ['1-2', '1-3', '2-3'] as const;
export type CavityPair = (typeof PAIRS)[number];

/** How everything stood when a reading was taken. */
export const setUpSchema = z.strictObject({
  key: z.boolean(),
  /** Which of two plugs that look alike. */
  at: z.enum(PLUGS),
  plug: z.enum(PLUGGED),
  /** Where the bridge or the resistor sits. */
  across: z.enum(PAIRS),
  range: z.enum(OHM_RANGES),
  /** Was it left alone until it stood still: the sensor in its bath, not in the hand? */
  waited: z.boolean(),
  state: z.enum(MACHINE_STATES),
});
export type SetUp = z.infer<typeof setUpSchema>;

/** As a machine is brought in, nothing touched. */
export const UNTOUCHED: SetUp = {
  key: false,
  at: 'A',
  plug: 'in',
  across: '1-2',
  range: 'auto',
  waited: true,
  state: 'steady',
};

/** Ways in which a reading can be taken wrongly. */
export const MISTAKES = [
  'key-off',
  'key-on',
  'plug-not-pulled',
  'plug-pulled',
  'not-bridged',
  'wrong-cavities',
  'wrong-plug',
  'over-range',
  'coarse-range',
  'not-waited',
] as const;
export type Mistake = (typeof MISTAKES)[number];

/** Which plug a test asks for; null: it does not matter. */
export function plugFor({ setup, atNeighbour, id }: Measurement): Plugged | null {
  if (atNeighbour || setup === 'taken-off') return null;
  if (id === 'panel-ohms') return 'in';
  if (setup === 'scan' || setup === 'plugged') return 'in';
  return setup === 'bridged' ? 'bridged' : setup === 'substituted' ? 'resistor' : 'out';
}

/** Must the key be on or off; null: it does not matter, the sensor is off the machine. */
export function keyFor({ setup, quantity }: Measurement): boolean | null {
  if (setup === 'taken-off') return null;
  return quantity !== 'ohms';
}

/** Does it put a bridge, a resistor or a jumper on a cavity, so that the cavities have to be known? */
export const bridges = ({ setup, id }: Measurement): boolean =>
  setup === 'bridged' || setup === 'substituted' || id === 'open-voltage-return-bridged';

/** Does it have to be waited for? */
export const waitsFor = ({ needs, ofNeighbour }: Measurement): boolean =>
  !ofNeighbour && (needs.includes('bathC') || needs.includes('airC'));

/** Can it be done on a machine in this state? Nothing hot is taken apart, and nothing apart can be wiggled. */
export const doneIn = ({ setup }: Measurement, state: SetUp['state']): boolean =>
  state === 'steady' || (setup !== 'taken-off' && (state === 'hot' || setup !== 'both-ends-free'));

/** Everything as a test asks for it, `at` this plug with its signal and return cavities `across`. */
export function rightSetUp(
  measurement: Measurement,
  { at, across, state }: Pick<SetUp, 'at' | 'across' | 'state'>,
): SetUp {
  return {
    ...UNTOUCHED,
    ...{ at, across, state },
    key: keyFor(measurement) ?? false,
    plug: plugFor(measurement) ?? 'in',
  };
}
