import { z } from 'zod';
import { figureText } from './bounds.ts';
import type { TemperatureUnit } from './format.ts';
import { parseField } from './parseField.ts';
import type { FieldQuantity } from './quantity.ts';

/** A stored value that no screen would show must not be computed with. */
export function textBehindValue(entry: { text: string; value: unknown }): boolean {
  return entry.value === null || entry.text.trim() !== '';
}

/** A figure as typed, and what it was read as (V, Ω, °C or a bare number); null while it cannot be read. */
export const entrySchema = z
  .strictObject({ text: figureText, value: z.number().nullable() })
  .refine(textBehindValue, { error: 'a value without its text' });

export type Entry = z.infer<typeof entrySchema>;

/** An empty figure. */
export const blank = (): Entry => ({ text: '', value: null });

/** A figure written by the program itself. */
export const figure = (value: number): Entry => ({ text: String(value), value });

/**
 * What a typed figure is read as: V, Ω ('OL' where that is allowed), °C or a bare number; null while it cannot be read. A bare temperature is in
 * `unit`.
 */
export function readTyped(
  text: string,
  quantity: FieldQuantity,
  unit: TemperatureUnit,
  overload: boolean,
): number | 'OL' | null {
  const parsed = parseField(text, quantity, { temperatureUnit: unit, overload });
  if (!parsed.ok) return null;
  return parsed.value === Infinity ? 'OL' : parsed.value;
}

/** A figure from what is typed now, read with the unit that is in force now. */
export function entryOf(text: string, quantity: FieldQuantity, unit: TemperatureUnit): Entry {
  const value = readTyped(text, quantity, unit, false);
  return { text, value: value === 'OL' ? null : value };
}
