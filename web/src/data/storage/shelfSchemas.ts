import { FILE_MARGIN } from '@mellow-probe/core/base/units/bounds';
import { kitSchema } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { MOST_OWN_CODES, ownCodeSchema } from '@mellow-probe/core/catalogue/parts/ownCodes';
import { type OwnCurve, ownCurveSchema } from '@mellow-probe/core/circuit/curves/ownCurve';
import { keptHarnessSchema, MOST_HARNESSES } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { workshopSchema } from '@mellow-probe/core/catalogue/kit/workshopSchema';
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

export const storedCodesSchema = z.strictObject({ codes: z.array(ownCodeSchema).max(MOST_OWN_CODES) });

export const storedHarnessesSchema = z.strictObject({
  looms: z.array(keptHarnessSchema).max(FILE_MARGIN * MOST_HARNESSES),
});

/** What each entry of the workshop must be, by its key. A draft is known to its tool alone: of it only that it is a record. */
export const shelfSchemaOf = (key: string): z.ZodType =>
  ({
    kit: kitSchema,
    curves: storedCurvesSchema,
    codes: storedCodesSchema,
    looms: storedHarnessesSchema,
    workshop: workshopSchema,
  })[key] ?? z.record(z.string(), z.unknown());
