import { z } from 'zod';
import { identifier, line, paragraph, timestamp } from '../../base/units/bounds.ts';
import { curveSchema } from './curve.ts';

/** A curve of the user's own, as it is kept and as it leaves as a file. */
export const ownCurveSchema = z.strictObject({
  format: z.literal('mellow-probe/curve'),
  formatVersion: z.literal(1),
  id: identifier,
  name: line.min(1),
  /** Where the figures came from: which manual, which page. */
  source: line,
  note: paragraph,
  createdAt: timestamp,
  curve: curveSchema,
  /** The picture it was read from, as a data address; in files only. */
  picture: z
    .string()
    .max(8_000_000)
    .regex(/^data:image\/(?:jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/)
    .optional(),
});
export type OwnCurve = z.infer<typeof ownCurveSchema>;

export type OpenedCurve =
  { ok: true; curve: OwnCurve } | { ok: false; reason: 'not-json' | 'not-a-curve' | 'bad-field'; detail: string };

/** Opens the text of a curve file; says what is wrong and where. */
export function openCurve(text: string): OpenedCurve {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return { ok: false, reason: 'not-json', detail: error instanceof Error ? error.message.slice(0, 200) : '' };
  }
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== 'mellow-probe/curve')
    return { ok: false, reason: 'not-a-curve', detail: '' };
  const parsed = ownCurveSchema.safeParse(data);
  if (parsed.success) return { ok: true, curve: parsed.data };
  const [first] = parsed.error.issues;
  return {
    ok: false,
    reason: 'bad-field',
    detail: `${first.path.join(' › ') || 'the top'}: ${first.message}`.slice(0, 200),
  };
}
