import { z } from 'zod';
import { naturalLog, naturalLogs } from '../numeric/naturalLog.ts';
import type { CurveKind } from './curveKind.ts';
import { type CurveModel, DEFAULT_TOLERANCE_LOG, KELVIN } from './curveModel.ts';

const pointSchema = z.strictObject({
  temperatureC: z.number().min(-270).max(1500),
  resistanceOhm: z.number().positive(),
});

/** A printed table of at least two points, temperatures ascending, resistance strictly falling or strictly rising. */
const tableSchema = z
  .strictObject({
    kind: z.literal('table'),
    points: z.array(pointSchema).min(2).max(2000),
    toleranceLog: z.number().positive().max(0.5).optional(),
  })
  .superRefine((table, context) => {
    const fault = tableFault(table.points);
    if (fault) context.addIssue({ code: 'custom', path: ['points', fault.row], message: fault.reason });
  });
type TableCurve = z.infer<typeof tableSchema>;
export type TablePoint = z.infer<typeof pointSchema>;

/** The first row (from 0) at which a table of ascending temperatures is no curve, or null. */
export function tableFault(
  points: readonly TablePoint[],
): { row: number; reason: 'temperatures not ascending' | 'not monotone' } | null {
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
function tableModel(curve: TableCurve): CurveModel {
  const x = curve.points.map((p) => 1 / (p.temperatureC + KELVIN));
  const l = curve.points.map((p) => Math.log(p.resistanceOhm));
  const last = x.length - 1;
  const slope = l[last] < l[0] ? 'ntc' : 'ptc';
  const logOhmAt = piecewiseLinear(x, l).at;
  const inverse = piecewiseLinear(l, x);
  const inverseAt = inverse.at;
  const temperatureC = (r: number): number => {
    const value = naturalLog(r);
    if (value === Infinity) return slope === 'ntc' ? -KELVIN : Infinity;
    if (value === -Infinity) return slope === 'ntc' ? Infinity : -KELVIN;
    const inverseK = inverseAt(value);
    return inverseK > 0 ? 1 / inverseK - KELVIN : Infinity;
  };
  return {
    minC: curve.points[0].temperatureC,
    maxC: curve.points[last].temperatureC,
    slope,
    resistanceOhm: (t) => Math.exp(logOhmAt(1 / Math.max(t + KELVIN, 20))),
    temperatureC,
    temperaturesC: (ohms, out) => {
      naturalLogs(ohms, out);
      insideOf(out, inverse);
      const [least, most] =
        slope === 'ntc' ? [curve.points[last], curve.points[0]] : [curve.points[0], curve.points[last]];
      for (let k = 0; k < ohms.length; k++) {
        if (!(ohms[k] > least.resistanceOhm && ohms[k] < most.resistanceOhm)) out[k] = temperatureC(ohms[k]);
      }
    },
    toleranceLog: curve.toleranceLog ?? DEFAULT_TOLERANCE_LOG,
    formErrorLog: (t) => sparseFormErrorLog(x, l, 1 / Math.max(t + KELVIN, 20)),
  };
}

interface PiecewiseLinear {
  readonly at: (key: number) => number;
  from: Float64Array;
  /** Each line's value at key 0. */
  starts: Float64Array;
  slopes: Float64Array;
  index: Uint16Array;
  low: number;
  scale: number;
  cells: number;
}

/** The lines over a whole log, in place: ln Ω in, °C out; only what lies inside the table is right. Written out: a call a value costs as much again. */
function insideOf(logs: Float64Array, { from, starts, slopes, index, low, scale, cells }: PiecewiseLinear): void {
  const last = slopes.length - 1;
  for (let k = 0; k < logs.length; k++) {
    const value = logs[k];
    const cell = (value - low) * scale;
    let i = cell <= 0 ? 0 : cell >= cells ? last : index[cell | 0];
    while (i < last && from[i + 1] < value) i++;
    logs[k] = 1 / (starts[i] + value * slopes[i]) - KELVIN;
  }
}

/** Entries of the index a knot: enough that a step or two finds the interval. */
const INDEX_PER_KNOT = 8;

/**
 * The straight lines through knots, continued beyond both ends. Keys strictly falling or rising. An even index over the keys leads to the
 * interval in a step or two, whatever the number of knots: this is called millions of times where a log is converted.
 */
function piecewiseLinear(keys: readonly number[], values: readonly number[]): PiecewiseLinear {
  const rising = keys[keys.length - 1] > keys[0];
  const from = Float64Array.from(rising ? keys : [...keys].reverse());
  const to = Float64Array.from(rising ? values : [...values].reverse());
  const last = from.length - 2;
  const slopes = Float64Array.from({ length: last + 1 }, (_, i) => (to[i + 1] - to[i]) / (from[i + 1] - from[i]));
  const starts = slopes.map((slope, i) => to[i] - from[i] * slope);
  const cells = INDEX_PER_KNOT * from.length;
  const low = from[0];
  const scale = cells / (from[last + 1] - low);
  const index = new Uint16Array(cells + 1);
  for (let c = 0, i = 0; c <= cells; c++) {
    while (i < last && from[i + 1] <= low + c / scale) i++;
    index[c] = i;
  }
  const at = (key: number): number => {
    const cell = (key - low) * scale;
    let i = cell <= 0 ? 0 : cell >= cells ? last : index[cell | 0];
    while (i < last && from[i + 1] < key) i++;
    return to[i] + (key - from[i]) * slopes[i];
  };
  return { at, from, starts, slopes, index, low, scale, cells };
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

export const table: CurveKind<typeof tableSchema> = {
  kind: 'table',
  name: 'Printed table',
  schema: tableSchema,
  model: tableModel,
  examples: [
    {
      kind: 'table',
      points: [
        { temperatureC: 0, resistanceOhm: 32651 },
        { temperatureC: 25, resistanceOhm: 10000 },
        { temperatureC: 100, resistanceOhm: 679 },
      ],
    },
    {
      kind: 'table',
      points: [
        { temperatureC: 0, resistanceOhm: 1000 },
        { temperatureC: 50, resistanceOhm: 1194 },
        { temperatureC: 100, resistanceOhm: 1385 },
      ],
    },
  ],
  typed: [],
};
