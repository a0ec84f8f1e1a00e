import { z } from 'zod';
import { monotoneCubic } from '../../base/numeric/monotoneCubic.ts';
import { naturalLog } from '../../base/numeric/naturalLog.ts';
import type { CurveKind } from './curveKind.ts';
import { type LogLines, tableConversion } from './tableConversion.ts';
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

/** A resistance that spans more than this over a table runs on evenly in its logarithm rather than in itself. */
const WIDE = 60;

/**
 * The curve through a table in the coordinates in which its kind runs on most evenly, as a function of °C: ln R over 1/T for an NTC, R over T for
 * a PTC (ln R over T where it spans decades). Inside the table only.
 */
function tableCurve(points: readonly TablePoint[]): (temperatureC: number) => number {
  const [first, last] = [points[0].resistanceOhm, points[points.length - 1].resistanceOhm];
  const falls = last < first;
  const straight = !falls && last < WIDE * first;
  const x = (t: number): number => (falls ? -1 / (t + KELVIN) : t + KELVIN);
  const smooth = monotoneCubic(
    points.map((p) => x(p.temperatureC)),
    points.map((p) => (straight ? p.resistanceOhm : Math.log(p.resistanceOhm))),
  );
  return straight ? (t) => smooth(x(t)) : (t) => Math.exp(smooth(x(t)));
}

/** Between the knots that the working model is made of, K, and the most of them: straight lines over them are within a thousandth of a kelvin. */
const [FINE_K, MOST_KNOTS] = [1, 3000];

/** The table with rows of its own curve put between, so that straight lines will do. */
function refined(points: readonly TablePoint[]): TablePoint[] {
  if (points.length < 3) return [...points];
  const curve = tableCurve(points);
  const range = points[points.length - 1].temperatureC - points[0].temperatureC;
  const step = Math.max(FINE_K, range / (MOST_KNOTS - points.length));
  return points.flatMap((p, i) => {
    if (i === points.length - 1) return [p];
    const width = points[i + 1].temperatureC - p.temperatureC;
    const parts = Math.ceil(width / step - 1e-9);
    const between = Array.from({ length: parts - 1 }, (_, k) => {
      const temperatureC = p.temperatureC + (width * (k + 1)) / parts;
      return { temperatureC, resistanceOhm: curve(temperatureC) };
    });
    return [p, ...between];
  });
}

/**
 * The curve through the rows, each kind in its own coordinates (`tableCurve`); continued beyond the ends with the slope that it has there in ln R
 * over 1/T. Worked out as straight lines over a fine grid: one set of lines for both ways, so that there and back is exact. Its form error is what
 * its own rows miss when they are left out; two or three far-apart points bear that of a single B between them.
 */
function tableModel(curve: TableCurve): CurveModel {
  const fine = refined(curve.points);
  const x = fine.map((p) => 1 / (p.temperatureC + KELVIN));
  const l = fine.map((p) => Math.log(p.resistanceOhm));
  const ends = { first: curve.points[0], last: curve.points[curve.points.length - 1] };
  const slope = ends.last.resistanceOhm < ends.first.resistanceOhm ? 'ntc' : 'ptc';
  const logOhmAt = piecewiseLinear(x, l).at;
  const inverse = piecewiseLinear(l, x);
  const inverseAt = inverse.at;
  let convert: ReturnType<typeof tableConversion> | null = null;
  const temperatureC = (r: number): number => {
    const value = naturalLog(r);
    if (value === Infinity) return slope === 'ntc' ? -KELVIN : Infinity;
    if (value === -Infinity) return slope === 'ntc' ? Infinity : -KELVIN;
    const inverseK = inverseAt(value);
    return inverseK > 0 ? 1 / inverseK - KELVIN : Infinity;
  };
  return {
    minC: ends.first.temperatureC,
    maxC: ends.last.temperatureC,
    slope,
    resistanceOhm: (t) => Math.exp(logOhmAt(1 / Math.max(t + KELVIN, 20))),
    temperatureC,
    temperaturesC: (ohms, out) => (convert ??= tableConversion(inverse, temperatureC))(ohms, out),
    toleranceLog: curve.toleranceLog ?? DEFAULT_TOLERANCE_LOG,
    formErrorLog: formErrorOf(curve.points),
  };
}

interface PiecewiseLinear extends LogLines {
  readonly at: (key: number) => number;
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
  return { at, from, starts, slopes };
}

/**
 * What each inner row misses, in ln R, when it is left out and the curve goes on without it. A row that is left out doubles the gap; the miss in the
 * gap itself is smaller, so this is on the safe side.
 */
function leftOutLogs(points: readonly TablePoint[]): number[] {
  return points.slice(1, -1).map((p, k) => {
    const i = k + 1;
    // The curve beside a gap hangs on the two rows on either side alone.
    const near = points.slice(Math.max(0, i - 3), i + 4).filter((q) => q !== p);
    return Math.log(tableCurve(near)(p.temperatureC) / p.resistanceOhm);
  });
}

/** Rows closer than this need no form error: nothing bends so fast, 1/K. About 12 K at room temperature. */
const CLOSE = 1.3e-4;

/**
 * 1σ of ln R between the rows of a table. With few rows, and beyond its ends, the bend that a single B leaves: 20·|Δx|·|slope| of the distance to
 * the nearest row. With four rows or more, the larger miss of the two rows beside the gap as each is left out, largest in its middle.
 */
function formErrorOf(points: readonly TablePoint[]): (temperatureC: number) => number {
  const x = points.map((p) => 1 / (p.temperatureC + KELVIN));
  const l = points.map((p) => Math.log(p.resistanceOhm));
  const missed = points.length >= 4 ? leftOutLogs(points) : [];
  return (t) => {
    const value = 1 / Math.max(t + KELVIN, 20);
    let nearest = 0;
    for (let i = 1; i < x.length; i++) if (Math.abs(x[i] - value) < Math.abs(x[nearest] - value)) nearest = i;
    const distance = Math.abs(x[nearest] - value);
    if (distance < CLOSE) return 0;
    const other = nearest === 0 ? 1 : nearest - 1;
    const slope = Math.abs((l[nearest] - l[other]) / (x[nearest] - x[other]));
    const blunt = slope * distance * 20 * distance;
    const left = points.findIndex((p) => p.temperatureC > t) - 1;
    if (missed.length === 0 || left < 0) return blunt;
    const share = (t - points[left].temperatureC) / (points[left + 1].temperatureC - points[left].temperatureC);
    const beside = [missed[left - 1] ?? 0, missed[left] ?? 0].map(Math.abs);
    // At the ends the curve is bent by one neighbour alone.
    const alone = left === 0 || left === points.length - 2 ? 2 : 1;
    const own = alone * Math.max(...beside) * 4 * share * (1 - share);
    return l[1] < l[0] ? Math.min(blunt, own) : own;
  };
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
