import { ohmBand } from './ohmBand.ts';
import { type Parsed, type ParseOptions, parseReading } from './parseReading.ts';
import type { FieldQuantity } from './quantity.ts';
import { toldTemperature } from './toldTemperature.ts';

/**
 * Reads what any field takes. A told temperature gives its middle, °C, and a band of resistances its geometric middle, Ω: what lies around it is
 * read again from the text where it is used.
 */
export function parseField(text: string, quantity: FieldQuantity, options: ParseOptions = {}): Parsed {
  if (quantity === 'told-celsius') {
    const read = toldTemperature(text, options.temperatureUnit ?? 'C');
    return read.ok ? { ok: true, value: read.told.middleC, unit: '°C' } : read;
  }
  if (quantity === 'ohm-band') {
    const read = ohmBand(text);
    return read.ok ? { ok: true, value: Math.sqrt(read.band.lowOhm * read.band.highOhm), unit: 'Ω' } : read;
  }
  return parseReading(text, quantity, options);
}
