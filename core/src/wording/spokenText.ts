import type { Quantity } from '../base/units/quantity.ts';
import { formatQuantity, type TemperatureUnit } from '../base/units/format.ts';

/** Signs as a voice says them; longer ones first. */
const SPOKEN: readonly (readonly [RegExp, string])[] = [
  [/−/g, 'minus '],
  [/\s?°C/g, ' degrees Celsius'],
  [/\s?°F/g, ' degrees Fahrenheit'],
  [/\s?mV/g, ' millivolts'],
  [/\s?V/g, ' volts'],
  [/\s?MΩ/g, ' megohms'],
  [/\s?kΩ/g, ' kilohms'],
  [/\s?mΩ/g, ' milliohms'],
  [/\s?Ω/g, ' ohms'],
];

/**
 * A figure and how it stands, for the browser's voice: `4.4 volts, high.` Figures stay digits: a voice reads them itself.
 *
 * @example spokenText(4.4, 'volts', 'high', 'C') // '4.40 volts, high.'
 */
export function spokenText(
  value: number | 'OL',
  quantity: Quantity,
  standing: 'as healthy' | 'high' | 'low' | '',
  unit: TemperatureUnit,
): string {
  const figure =
    value === 'OL'
      ? 'Over range, no connection'
      : SPOKEN.reduce(
          (text, [sign, word]) => text.replace(sign, word),
          // The voice is an English one: to it a comma is a pause.
          formatQuantity(value, quantity, unit).replace(',', '.'),
        );
  return `${figure}${standing === '' ? '' : `, ${standing}`}.`;
}
