import { ownCurveToolWords as say } from '@mellow-probe/core/wording/screens/shelfCurves';
import { type Curve, curveModel, curveSchema } from '@mellow-probe/core/circuit/curves/curve';
import { FIT_FORMS } from '@mellow-probe/core/circuit/curves/fitCurve';
import { columnChoicesSchema } from '@mellow-probe/core/intake/pointTable/columns';
import { blank, entrySchema } from '@mellow-probe/core/base/units/entry';
import { z } from 'zod';
import { MOST_TEXT } from './tableText.ts';

/** What is typed on the way to a curve of one's own. */
export const ownCurveSchema = z.strictObject({
  way: z.enum(['table', 'picture', 'diagram', 'r25b', 'coefficients']),
  text: z.string().max(MOST_TEXT),
  /** What was said of the columns, by their place. */
  columns: columnChoicesSchema.optional(),
  /** The points came from this picture, which is kept with the curve. */
  from: z.enum(['table', 'diagram']).optional(),
  name: z.string().max(400),
  source: z.string().max(400),
  form: z.enum(['best', ...FIT_FORMS]),
  r25: entrySchema,
  beta: entrySchema,
  a: entrySchema,
  b: entrySchema,
  c: entrySchema,
});
export type OwnCurveDraft = z.infer<typeof ownCurveSchema>;

/** The ways to give a curve, as they are offered. */
export const WAYS = [
  { value: 'table', label: say.tableOfPoints },
  { value: 'picture', label: say.fromAPicture },
  { value: 'diagram', label: say.offADiagram },
  { value: 'r25b', label: say.r25AndB },
  { value: 'coefficients', label: say.steinhartHartCoefficients },
] as const;

export const blankOwnCurve = (): OwnCurveDraft => ({
  way: 'table',
  text: '',
  name: '',
  source: '',
  form: 'best',
  r25: blank(),
  beta: blank(),
  a: blank(),
  b: blank(),
  c: blank(),
});

/** The curve of typed constants; null where they give no sensor. */
export function curveOfConstants({ way, r25, beta, a, b, c }: OwnCurveDraft): Curve | null {
  const candidate =
    way === 'r25b'
      ? { kind: 'beta', r25Ohm: r25.value, betaK: beta.value }
      : { kind: 'steinhart-hart', a: a.value, b: b.value, c: c.value, minC: -40, maxC: 125 };
  const parsed = curveSchema.safeParse(candidate);
  if (!parsed.success) return null;
  // Coefficients of another convention (milli, base-10) give no sensor.
  const at25 = curveModel(parsed.data).resistanceOhm(25);
  return at25 > 0.1 && at25 < 1e8 ? parsed.data : null;
}

/** Does a table share a line with the one that was there before? Then what was said of its columns still holds. */
export function sharesLine(before: string, next: string): boolean {
  const lines = new Set(before.split(/\r\n|\r|\n/));
  return next.split(/\r\n|\r|\n/).some((line) => line.trim() !== '' && lines.has(line));
}

/** The table with one of its lines as a remark, so that it is not read. */
export const withoutLine = (text: string, line: number): string =>
  text
    .split(/\r\n|\r|\n/)
    .map((l, i) => (i + 1 === line ? `# ${l}` : l))
    .join('\n');
