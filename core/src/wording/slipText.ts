import type { SlipKind } from '../inference/model/slips.ts';
import { formatQuantity, type TemperatureUnit } from '../base/units/format.ts';
import type { Quantity } from '../base/units/quantity.ts';
import type { Assessment } from '../inference/verdict/assessment.ts';

const HOW: Readonly<Record<SlipKind, string>> = {
  'k-missed': 'the k was missed',
  'k-extra': 'a k too many',
  'range-up': 'the range switch was one step off',
  'range-down': 'the range switch was one step off',
  'was-fahrenheit': 'the figure was °F',
  'was-celsius': 'the figure was °C',
  'wrong-pin': 'the lead was on the sensor’s own side, or on the other cavity',
};

/** A slip in words: what was probably meant, and how it came about. */
export function slipText(
  { kind, meant }: NonNullable<Assessment['readings'][number]['slip']>,
  quantity: Quantity,
  unit: TemperatureUnit,
): string {
  if (meant === null) return `Probably ${HOW[kind]}: move it and read again.`;
  return `Probably ${formatQuantity(meant, quantity, unit)}: ${HOW[kind]}.`;
}

/** The words for a thermometer that was read in the other unit; empty where it was not. */
export function thermometerSlipText(a: Assessment, unit: TemperatureUnit): string {
  if (a.thermometerSlip === null) return '';
  return `Was the thermometer at ${formatQuantity(a.thermometerSlip, 'celsius', unit)}? Read in the other unit, everything fits.`;
}

/** Names of what stands too far off, as they are said. */
const UNKNOWNS: Readonly<Record<string, string>> = {
  reference: 'the reference',
  'pull-up tolerance': 'the pull-up',
  'sensor tolerance': 'the sensor',
  ground: 'the module’s ground',
  supply: 'the battery voltage',
  'low end': 'the cold end of the display',
  'high end': 'the hot end of the display',
  'curve form': 'the form of the curve',
  temperature: 'the thermometer or the place of the sensor',
};

/** What is sound by the verdict but further off than sound circuits show; empty where nothing is. */
export function stretchedText({ stretched }: Assessment): string {
  const names = stretched.slice(0, 2).map(({ unknown }) => UNKNOWNS[unknown] ?? unknown);
  if (names.length === 0) return '';
  return `Outside the usual range: ${names.join(' and ')}. Check that as well.`;
}
