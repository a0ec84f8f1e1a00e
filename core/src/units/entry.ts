import { z } from 'zod';

/** Longest text a figure may be typed with. */
export const figureText = z.string().max(200);
export const line = z.string().max(400);
export const paragraph = z.string().max(20_000);
export const identifier = z.string().min(1).max(100);
export const timestamp = z.iso.datetime({ offset: true });

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
