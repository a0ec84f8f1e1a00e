import { type OwnCurve, ownCurveSchema } from '@mellow-probe/core/circuit/curves/ownCurve';
import { z } from 'zod';

/** The user's curves as they are stored. One that cannot be opened is kept as it is, and does not hide the others. */
export const storedCurvesSchema = z.preprocess(
  (data) => {
    const list = Array.isArray(data) ? (data as unknown[]) : null;
    if (!list) return data;
    const opened = list.map((entry) => ({ entry, curve: ownCurveSchema.safeParse(entry) }));
    return {
      curves: opened.flatMap(({ curve }) => (curve.success ? [curve.data] : [])),
      unread: opened.flatMap(({ curve, entry }) => (curve.success ? [] : [entry])),
    };
  },
  z.strictObject({ curves: z.array(ownCurveSchema), unread: z.array(z.unknown()) }),
);
export interface StoredCurves {
  curves: OwnCurve[];
  unread: unknown[];
}
