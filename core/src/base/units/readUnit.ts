import type { FigureQuantity } from './quantity.ts';

export type UnitName = 'V' | 'Ω' | '°C' | '°F' | 'K' | '';

/** One unit that a text can stand for, and the way from its figures to V, Ω, °C or a bare number. */
export interface UnitRead {
  unit: UnitName;
  /** As it is written so that it means nothing else; '' where it was not written. */
  text: string;
  /** Power of ten before the unit: 3 for kΩ. */
  power: number;
  toInside(n: number): number;
}

const scaled = (unit: 'V' | 'Ω', power: number, text: string): UnitRead => ({
  unit,
  text,
  power,
  // Dividing by a whole power of ten is exact where multiplying by its inverse is not.
  toInside: (n) => (power < 0 ? n / Math.pow(10, -power) : n * Math.pow(10, power)),
});
const CELSIUS: UnitRead = { unit: '°C', text: '°C', power: 0, toInside: (n) => n };
const FAHRENHEIT: UnitRead = { unit: '°F', text: '°F', power: 0, toInside: (n) => ((n - 32) * 5) / 9 };
const KELVIN: UnitRead = { unit: 'K', text: 'K', power: 0, toInside: (n) => n - 273.15 };
const BARE: UnitRead = { unit: '', text: '', power: 0, toInside: (n) => n };

const OHM = '[\\s.·-]*(?:Ω|ohms?|ом|r)';
const VOLT = '[\\s-]*(?:(?:d\\.?c\\.?\\s*)?(?:v|volts?)|(?:v|volts?)\\s*d\\.?c)';
const words = (...alternatives: string[]): RegExp => new RegExp(`^(?:${alternatives.join('|')})$`, 'i');

/** Prefixes of ohms that mean one thing, however they are written. */
const OHMS: readonly [RegExp, number, string][] = [
  [words('Ω', 'ohms?', 'ом', 'r'), 0, 'Ω'],
  [words(`(?:k|kilo)(?:${OHM})?`, 'kilohms?'), 3, 'kΩ'],
  [words(`(?:megs?|mega)(?:${OHM})?`), 6, 'MΩ'],
  [words(`(?:g|gigs?|giga)(?:${OHM})?`), 9, 'GΩ'],
  [words(`milli${OHM}`), -3, 'mΩ'],
];
const VOLTS: readonly [RegExp, number, string][] = [
  [words(VOLT), 0, 'V'],
  [words(`(?:m|milli)${VOLT}`), -3, 'mV'],
  [words(`(?:[uμ]|micro)${VOLT}`), -6, 'µV'],
  [words(`k${VOLT}`), 3, 'kV'],
];
const DEGREES = '(?:°|deg|degs|degrees?|grad)';

/** Prefixes and units in Cyrillic letters, as they are written in Latin ones: `кОм`, `МОм`, `мВ`. */
const PREFIXES: Readonly<Record<string, string>> = { '': '', к: 'k', К: 'k', М: 'M', м: 'm' };
const inLatin = (text: string): string => {
  const [, prefix, unit] = /^([кКмМ]?)\s*(ом|Ом|ОМ|в|В)$/.exec(text) ?? [];
  return unit === undefined ? text : `${PREFIXES[prefix]}${/в/i.test(unit) ? 'V' : 'Ω'}`;
};

/**
 * Every unit that the text behind a figure can stand for; none where it is no unit. A bare temperature is in `bare`. Small `m` before ohms is
 * asked: who types 2.2m on a sensor means megohms as often as not, and only `mΩ` says milli in so many words.
 *
 * @example readUnit('meg', 'ohms', 'C')[0].power // 6
 */
export function readUnit(written: string, quantity: FigureQuantity, bare: 'C' | 'F'): UnitRead[] {
  const text = inLatin(written.replace(/[\s.]+$/, ''));
  if (text === '') return [unwritten(quantity, bare)];
  const degrees = temperatureUnit(text, quantity, bare);
  if (degrees) return [degrees];
  for (const [reads, power, name] of VOLTS) if (reads.test(text)) return [scaled('V', power, name)];
  for (const [reads, power, name] of OHMS) if (reads.test(text)) return [scaled('Ω', power, name)];
  if (text === 'mΩ') return [scaled('Ω', -3, text)];
  const letter = words(`m(?:${OHM})?`).test(text) ? text[0] : '';
  if (letter === 'M') return [scaled('Ω', 6, 'MΩ')];
  return letter === 'm' ? [scaled('Ω', -3, 'mΩ'), scaled('Ω', 6, 'MΩ')] : [];
}

/** The unit of a bare figure, by what its field measures. */
function unwritten(quantity: FigureQuantity, bare: 'C' | 'F'): UnitRead {
  if (quantity === 'volts') return scaled('V', 0, '');
  if (quantity === 'ohms') return scaled('Ω', 0, '');
  return quantity === 'celsius' ? { ...(bare === 'F' ? FAHRENHEIT : CELSIUS), text: '' } : BARE;
}

function temperatureUnit(text: string, quantity: FigureQuantity, bare: 'C' | 'F'): UnitRead | null {
  if (words(`${DEGREES}?[\\s.]*(?:c|celsius|centigrade)`).test(text)) return CELSIUS;
  if (words(`${DEGREES}?[\\s.]*(?:f|fahrenheit)`).test(text)) return FAHRENHEIT;
  if (words(DEGREES).test(text)) return bare === 'F' ? FAHRENHEIT : CELSIUS;
  return quantity !== 'ohms' && /^(?:K|kelvins?)$/.test(text) ? KELVIN : null;
}
