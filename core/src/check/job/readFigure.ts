import type { FieldQuantity, Quantity } from '../../base/units/quantity.ts';
import { parseField } from '../../base/units/parseField.ts';
import { type ParseOptions, parseReading } from '../../base/units/parseReading.ts';
import { type ToldTemperature, toldTemperature } from '../../base/units/toldTemperature.ts';
import type { Entry } from '../../base/units/entry.ts';
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

/** What a meter of the trade, or a display, could show at all: V, Ω and °C. Beyond it a figure is a slip of the finger, and no engine's matter. */
const SHOWABLE: Readonly<Record<Quantity, readonly [low: number, high: number]>> = {
  volts: [-2000, 2000],
  ohms: [-1e6, 1e12],
  celsius: [-300, 5000],
};
/** Nearer to nothing than this no meter tells from nothing: V, Ω, K. */
const NOTHING = 1e-9;
/** A figure as an instrument can have shown it, or what is wrong with it. Infinity is OL on ohms, and no value on a display. */
export function showable(value: number | FieldIssue, quantity: Quantity): number | FieldIssue {
  if (typeof value !== 'number') return value;
  const [low, high] = SHOWABLE[quantity];
  if (value < low) return { ok: false, reason: 'too-low', limit: low };
  if (value === Infinity && quantity !== 'volts') return value;
  if (value > high) return { ok: false, reason: 'too-high', limit: high };
  return Math.abs(value) < NOTHING ? 0 : value;
}

/** A pair of a comparison: °C of the bath and Ω (OL is Infinity), each or what is wrong with it. */
export function readPair({ temperatureC, resistanceOhm }: { temperatureC: Entry; resistanceOhm: Entry }): {
  bathC: number | FieldIssue;
  ohm: number | FieldIssue;
} {
  const ohm = showable(valueOf(resistanceOhm.text, resistanceOhm.value, 'ohms', { overload: true }), 'ohms');
  return {
    bathC: readFigure(temperatureC, 'told-celsius', -80, 1000),
    ohm: typeof ohm === 'number' && ohm < 0 ? { ok: false, reason: 'too-low', limit: 0 } : ohm,
  };
}

/** Does the text leave the figure open: empty, or in so many words? A pull-up like this is learned from the readings. */
export function isUnknown(text: string): boolean {
  return /^\s*(unknown|not known|\?)?\s*$/i.test(text);
}
