import type { Quantity } from '../../../base/units/quantity.ts';

/** The ends of the scale that a broken or shorted circuit shows, in the unit of the channel; at or beyond them is a drop-out. */
export interface ScaleEnds {
  low: number;
  high: number;
}

/** Ends where nothing is known of the circuit. Common practice, no source. */
export const USUAL_ENDS: Readonly<Record<Quantity, ScaleEnds>> = {
  celsius: { low: -35, high: 135 },
  volts: { low: 0.12, high: 4.75 },
  ohms: { low: 8, high: 1.5e6 },
};
/** Which end of the scale a level is at, coming from somewhere that is not there. */
export function endOf(level: number, before: number, { low, high }: ScaleEnds): 'low' | 'high' | null {
  if (level <= low && before > low) return 'low';
  return level >= high && before < high ? 'high' : null;
}
