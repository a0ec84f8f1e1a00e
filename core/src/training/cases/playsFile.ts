import { z } from 'zod';
import { type PlayRecord, playSchema } from './playRecord.ts';

/** Most plays of a file. */
const MOST_PLAYS = 5000;
/** A file of plays is no larger than this, characters. */
const LONGEST_FILE = 50_000_000;

const fileSchema = z.strictObject({
  format: z.literal('mellow-probe/plays'),
  formatVersion: z.literal(1),
  plays: z.array(playSchema).max(MOST_PLAYS),
});

/** All plays of a browser as one file. */
export function savePlays(plays: readonly PlayRecord[]): string {
  return `${JSON.stringify({ format: 'mellow-probe/plays', formatVersion: 1, plays }, null, 2)}\n`;
}

/** The plays of a file, or where in it something cannot be used. */
export function openPlays(text: string): { ok: true; plays: PlayRecord[] } | { ok: false; why: string } {
  if (text.length > LONGEST_FILE) return { ok: false, why: 'The file is too large for training cases.' };
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { ok: false, why: 'This is not a JSON file.' };
  }
  const parsed = fileSchema.safeParse(data);
  if (parsed.success) return { ok: true, plays: parsed.data.plays };
  const [{ path, message }] = parsed.error.issues;
  return { ok: false, why: `This is no file of training cases: at ${path.join('.') || 'its top'}: ${message}.` };
}
