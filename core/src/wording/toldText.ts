import { toldOf } from '../check/job/readFigure.ts';
import type { Entry } from '../base/units/entry.ts';
import { formatInterval, type TemperatureUnit } from '../base/units/format.ts';
import { ohmBand } from '../base/units/ohmBand.ts';
import type { FieldQuantity } from '../base/units/quantity.ts';

/** What a figure that is told as a range, a bound, a rough one or a band is taken for; empty for a plain figure. */
export function toldText(entry: Entry, quantity: FieldQuantity, unit: TemperatureUnit): string {
  if (quantity === 'ohm-band') {
    const read = ohmBand(entry.text);
    return read.ok ? `${formatInterval({ low: read.band.lowOhm, high: read.band.highOhm }, 'ohms', unit)}` : '';
  }
  if (quantity !== 'told-celsius') return '';
  const told = toldOf(entry);
  if (!told || told.kind === 'figure') return '';
  const half = told.halfWidthK > 0 ? told.halfWidthK : 2 * told.edgeK;
  return `${formatInterval({ low: told.middleC - half, high: told.middleC + half }, 'celsius', unit)}`;
}
