import { z } from 'zod';
import { type CurveModel, DEFAULT_TOLERANCE_LOG, KELVIN } from './curveModel.ts';

const pointSchema = z.strictObject({ temperatureC: z.number().min(-270).max(1500), resistanceOhm: z.number().positive() });

/** A printed table of at least two points, temperatures ascending, resistance strictly falling or strictly rising. */
export const tableSchema = z
  .strictObject({
    kind: z.literal('table'),
    points: z.array(pointSchema).min(2).max(2000),
    toleranceLog: z.number().positive().max(0.5).optional(),
  })
  .superRefine((table, context) => {
    const fault = tableFault(table.points);
    if (fault) context.addIssue({ code: 'custom', path: ['points', fault.row], message: fault.reason });
  });
export type TableCurve = z.infer<typeof tableSchema>;
export type TablePoint = z.infer<typeof pointSchema>;

/** The first row (from 0) at which a table of ascending temperatures is no curve, or null. */
export function tableFault(points: readonly TablePoint[]): { row: number; reason: 'temperatures not ascending' | 'not monotone' } | null {
  const falling = points.length > 1 && points[1].resistanceOhm < points[0].resistanceOhm;
  for (let row = 1; row < points.length; row++) {
    const [before, here] = [points[row - 1], points[row]];
    if (!(here.temperatureC > before.temperatureC)) return { row, reason: 'temperatures not ascending' };
    const step = here.resistanceOhm - before.resistanceOhm;
    if (step === 0 || step < 0 !== falling) return { row, reason: 'not monotone' };
  }
  return null;
}

/**
 * Interpolated in ln R against 1/T (error 0.02–0.06 K between 10 °C knots, where linear in R is off by up to 0.95 K); continued
 * beyond the ends with the slope of the last interval. Two or three far-apart points bear the form error of a single B between them.
 */
export function tableModel(curve: TableCurve): CurveModel {
  const x = curve.points.map((p) => 1 / (p.temperatureC + KELVIN));
  const l = curve.points.map((p) => Math.log(p.resistanceOhm));
  const last = x.length - 1;
  const slope = l[last] < l[0] ? 'ntc' : 'ptc';
  const between = (from: number[], to: number[], value: number, i: number): number =>
    to[i] + ((value - from[i]) * (to[i + 1] - to[i])) / (from[i + 1] - from[i]);
  const interval = (list: number[], value: number): number => {
    const rising = list[last] > list[0];
    let [low, high] = [0, last - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (rising ? list[middle] <= value : list[middle] >= value) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  return {
    minC: curve.points[0].temperatureC,
    maxC: curve.points[last].temperatureC,
    slope,
    resistanceOhm: (t) => {
      const value = 1 / Math.max(t + KELVIN, 20);
      return Math.exp(between(x, l, value, interval(x, value)));
    },
    temperatureC: (r) => {
      const value = Math.log(r);
      if (value === Infinity) return slope === 'ntc' ? -KELVIN : Infinity;
      if (value === -Infinity) return slope === 'ntc' ? Infinity : -KELVIN;
      const inverse = between(l, x, value, interval(l, value));
      return inverse > 0 ? 1 / inverse - KELVIN : Infinity;
    },
    toleranceLog: curve.toleranceLog ?? DEFAULT_TOLERANCE_LOG,
    formErrorLog: (t) => sparseFormErrorLog(x, l, 1 / Math.max(t + KELVIN, 20)),
  };
}

/** Between (or beyond) knots more than 25 K apart, ln R bends away from the straight line: 20·|Δx|·|slope| of the distance to the nearest knot. */
function sparseFormErrorLog(x: readonly number[], l: readonly number[], value: number): number {
  let nearest = 0;
  for (let i = 1; i < x.length; i++) if (Math.abs(x[i] - value) < Math.abs(x[nearest] - value)) nearest = i;
  const other = nearest === 0 ? 1 : nearest - 1;
  const slope = Math.abs((l[nearest] - l[other]) / (x[nearest] - x[other]));
  const distance = Math.abs(x[nearest] - value);
  return distance < 1.3e-4 ? 0 : slope * distance * 20 * distance;
}
