import { type FieldQuantity } from '../units/quantity.ts';
import { parseField } from '../units/parseField.ts';
import { type ParseOptions, parseReading } from '../units/parseReading.ts';
import { type ToldTemperature, toldTemperature } from '../units/toldTemperature.ts';
import type { Entry } from '../units/entry.ts';
import type { FieldIssue } from './fieldIssue.ts';

/** The value of a figure within bounds (V, Ω or °C), or what is wrong with it. */
export function readFigure(entry: Entry, quantity: FieldQuantity, low: number, high: number): number | FieldIssue {
  const value = valueOf(entry.text, entry.value, quantity, { overload: false });
  if (typeof value !== 'number') return value;
  if (value <= 0 && low > 0) return { ok: false, reason: 'must-be-positive' };
  if (value < low) return { ok: false, reason: 'too-low', limit: low };
  return value > high ? { ok: false, reason: 'too-high', limit: high } : value;
}

/**
 * The value of a figure. The stored value wins where there is one: it was read with the unit in force when it was typed, and may be the
 * answer to a question ("11,883: which?"). Without one the text tells why.
 */
export function valueOf(
  text: string,
  stored: number | 'OL' | null,
  quantity: FieldQuantity,
  options: ParseOptions,
): number | FieldIssue {
  if (stored === 'OL') return Infinity;
  if (stored !== null) return stored;
  const parsed = parseField(text, quantity, options);
  return parsed.ok ? parsed.value : parsed;
}

/**
 * A temperature as it was told, read again from its text; the value kept with it says in which unit it was typed. Null while it is no temperature.
 */
export function toldOf({ text, value }: Entry): ToldTemperature | null {
  if (value === null) return null;
  for (const unit of ['C', 'F'] as const) {
    const read = toldTemperature(text, unit);
    if (read.ok && Math.abs(read.told.middleC - value) < 1e-6) return read.told;
  }
  return { kind: 'figure', middleC: value, halfWidthK: 0, edgeK: NaN };
}

/** Of a figure that is a bound (`> 20 MΩ`), read again from its text: what the resistance lies above, Ω; undefined for a plain OL. */
export function boundOf(text: string): number | undefined {
  const parsed = parseReading(text, 'ohms');
  return parsed.ok ? parsed.aboveOhm : undefined;
}

/** Ω of a pair as typed; OL is Infinity. */
export function pairOhm(entry: Entry): number | FieldIssue {
  return valueOf(entry.text, entry.value, 'ohms', { overload: true });
}

/** Does the text leave the figure open: empty, or in so many words? A pull-up like this is learned from the readings. */
export function isUnknown(text: string): boolean {
  return /^\s*(unknown|not known|\?)?\s*$/i.test(text);
}
