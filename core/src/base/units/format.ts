import type { Interval } from '../numeric/interval.ts';
import type { Quantity } from './quantity.ts';
import { fixed, significant } from './writing.ts';

export type TemperatureUnit = 'C' | 'F';

/** Degrees Celsius in the unit shown. */
export function shownTemperature(celsius: number, unit: TemperatureUnit): number {
  return unit === 'F' ? (celsius * 9) / 5 + 32 : celsius;
}

/** A difference of temperatures, K, in the unit shown. */
export const shownDifference = (kelvin: number, unit: TemperatureUnit): number => (unit === 'F' ? 1.8 : 1) * kelvin;

/** What such a difference is told in. */
export const differenceUnit = (unit: TemperatureUnit): string => (unit === 'F' ? '°F' : 'K');

/** Minutes of work as they are told: whole ones, and never none. */
export const formatMinutes = (minutes: number): string => `${Math.max(1, Math.round(minutes))} min`;

/** Beyond this a figure is none of the trade, whatever a file says. */
const LARGEST = 1e15;
/** What stands for a figure that is none: over the range, or not a number. Null for one that can be written. */
const noFigure = (value: number): string | null => (value === Infinity ? 'OL' : Math.abs(value) < LARGEST ? null : '–');

/** A resistance as it is spoken of: `3.60 kΩ`, `245 Ω`, `OL`; three figures. */
export const formatOhm = (ohm: number): string => inOhms(ohm, threeFigures);

/** A resistance that is an estimate, in two figures at most: `3.6 kΩ`, `15 kΩ`, `240 Ω`. */
export const formatOhmRoughly = (ohm: number): string =>
  inOhms(Number(ohm.toPrecision(2)), (value) => significant(value, 2));

function inOhms(ohm: number, written: (value: number) => string): string {
  const none = noFigure(ohm);
  if (none !== null) return none;
  const { factor, unit } = ohmScale(ohm);
  return `${written(ohm / factor)} ${unit}`;
}

function ohmScale(ohm: number): { factor: number; unit: string } {
  const size = Math.abs(ohm);
  if (size >= 0.9995e9) return { factor: 1e9, unit: 'GΩ' };
  if (size >= 0.9995e6) return { factor: 1e6, unit: 'MΩ' };
  if (size >= 999.5) return { factor: 1e3, unit: 'kΩ' };
  return { factor: 1, unit: 'Ω' };
}

function threeFigures(value: number): string {
  const size = Math.abs(value);
  return fixed(value, size >= 99.95 ? 0 : size >= 9.995 ? 1 : 2);
}

export function formatVolt(volt: number): string {
  return noFigure(volt) ?? `${fixed(volt, 2)} V`;
}

export function formatTemperature(celsius: number, unit: TemperatureUnit, digits = 0): string {
  if (celsius === Infinity) return 'no value';
  return noFigure(celsius) ?? `${fixed(shownTemperature(celsius, unit), digits)} °${unit}`;
}

/** One reading in its unit. V, Ω or °C in; text out. */
export function formatQuantity(value: number, quantity: Quantity, unit: TemperatureUnit): string {
  if (quantity === 'ohms') return formatOhm(value);
  return quantity === 'volts' ? formatVolt(value) : formatTemperature(value, unit, Number.isInteger(value) ? 0 : 1);
}

/** A range low … high with one unit at the end; a single figure where both print alike. */
export function formatInterval({ low, high }: Interval, quantity: Quantity, unit: TemperatureUnit): string {
  if (quantity === 'ohms' && high === Infinity) return low === Infinity ? 'OL' : `${formatOhm(low)} … OL`;
  const [a, b] =
    quantity === 'ohms'
      ? ohmPair(low, high)
      : quantity === 'volts'
        ? [fixed(low, 2), formatVolt(high)]
        : [fixed(shownTemperature(low, unit), 0), formatTemperature(high, unit)];
  return b.startsWith(`${a} `) ? b : `${a} … ${b}`;
}

function ohmPair(low: number, high: number): [string, string] {
  const [a, b] = [ohmScale(low), ohmScale(high)];
  const top = formatOhm(high);
  return a.unit === b.unit ? [threeFigures(low / a.factor), top] : [formatOhm(low), top];
}

/** A probability as whole per cent; `<1 %` and `>99 %` at the ends, never 0 or 100. */
export function formatProbability(p: number): string {
  if (p < 0.01) return '<1 %';
  if (p > 0.99) return '>99 %';
  return `${Math.round(p * 100)} %`;
}
