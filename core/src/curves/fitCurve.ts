import { Matrix, solve } from 'ml-matrix';
import { type Curve, curveModel, curveSchema } from './curve.ts';
import { KELVIN } from './curveModel.ts';
import { NICKEL_GRADES } from './nickel.ts';
import { IEC_60751 } from './platinum.ts';
import { tableFault, type TablePoint } from './table.ts';

/** A curve fitted to points, with what is left over at each of them, in K (fitted − given). */
export interface CurveFit {
  curve: Curve;
  residualsK: number[];
  worstK: number;
}

export type FitResult =
  | ({ ok: true } & CurveFit)
  | { ok: false; reason: 'too-few-points' | 'not-an-ntc' | 'not-a-ptc' | 'not-monotone' | 'bad-point'; row?: number };

/** The forms that points can be fitted with, the simplest first. */
export const FIT_FORMS = ['beta', 'steinhart-hart', 'steinhart-hart-4', 'nickel', 'platinum', 'table'] as const;
export type FitForm = (typeof FIT_FORMS)[number];

/** Points that a form needs. */
export const LEAST_POINTS: Record<FitForm, number> = {
  beta: 2,
  'steinhart-hart': 3,
  'steinhart-hart-4': 4,
  nickel: 1,
  platinum: 3,
  table: 2,
};
const NTC_FORMS: readonly FitForm[] = ['beta', 'steinhart-hart', 'steinhart-hart-4'];
const PTC_FORMS: readonly FitForm[] = ['nickel', 'platinum'];

/**
 * Least-squares fit of one form to points (°C, Ω), temperatures ascending. All but 'table' are linear in their coefficients, so no start values
 * are needed: 1/T against 1, L (and L³, and L²), L = ln R, for an NTC; R against 1, t, t² with the cold term of IEC 60751 for platinum
 * (Callendar–Van Dusen); R against the polynomial of either grade for nickel. Tested against numpy.linalg.lstsq.
 */
export function fitCurve(points: readonly TablePoint[], form: FitForm): FitResult {
  const bad = points.findIndex((p) => !(p.resistanceOhm > 0) || !(p.temperatureC > -KELVIN));
  if (bad >= 0) return { ok: false, reason: 'bad-point', row: bad };
  if (points.length < LEAST_POINTS[form]) return { ok: false, reason: 'too-few-points' };
  const fault = tableFault(points);
  if (fault) return { ok: false, reason: 'not-monotone', row: fault.row };
  if (form === 'table') return withResiduals({ kind: 'table', points: [...points] }, points);
  const rising = points.length > 1 && points[1].resistanceOhm > points[0].resistanceOhm;
  if (NTC_FORMS.includes(form) && rising) return { ok: false, reason: 'not-an-ntc' };
  if (PTC_FORMS.includes(form) && !rising) return { ok: false, reason: 'not-a-ptc' };
  const curve = {
    beta: betaFit,
    'steinhart-hart': steinhartFit,
    'steinhart-hart-4': fourTermFit,
    nickel: nickelFit,
    platinum: platinumFit,
  }[form](points);
  return curve ? withResiduals(curve, points) : { ok: false, reason: 'not-monotone' };
}

/** Coefficients of the columns that come nearest to y; columns are brought to one size first. */
function leastSquares(columns: readonly number[][], y: readonly number[]): number[] {
  const sizes = columns.map((c) => Math.max(...c.map(Math.abs), Number.MIN_VALUE));
  const rows = y.map((_, i) => columns.map((c, k) => c[i] / sizes[k]));
  return solve(new Matrix(rows), Matrix.columnVector([...y]), true)
    .to1DArray()
    .map((x, k) => x / sizes[k]);
}

const logsOf = (points: readonly TablePoint[]): number[] => points.map((p) => Math.log(p.resistanceOhm));
const inverseKelvins = (points: readonly TablePoint[]): number[] => points.map((p) => 1 / (p.temperatureC + KELVIN));
const ones = (points: readonly TablePoint[]): number[] => points.map(() => 1);

function betaFit(points: readonly TablePoint[]): Curve {
  const [a, b] = leastSquares([ones(points), logsOf(points)], inverseKelvins(points));
  return { kind: 'beta', r25Ohm: Math.exp((1 / (25 + KELVIN) - a) / b), betaK: 1 / b };
}

const steinhartFit = (points: readonly TablePoint[]): Curve | null => inLogs(points, [0, 1, 3]);
const fourTermFit = (points: readonly TablePoint[]): Curve | null => inLogs(points, [0, 1, 3, 2]);

function inLogs(points: readonly TablePoint[], powers: readonly number[]): Curve | null {
  const l = logsOf(points);
  const columns = powers.map((power) => l.map((x) => x ** power));
  const [a, b, c, d] = leastSquares(columns, inverseKelvins(points));
  const [minC, maxC] = [points[0].temperatureC, points[points.length - 1].temperatureC];
  // 1/T must rise with ln R all over the range, or it is no curve.
  const slopes = l.map((x) => b + x * (2 * (d ?? 0) + 3 * c * x));
  if (!(b > 0) || !slopes.every((s) => s > 0)) return null;
  return { kind: 'steinhart-hart', a, b, c, ...(d !== undefined && { squareTerm: d }), minC, maxC };
}

function platinumFit(points: readonly TablePoint[]): Curve | null {
  const t = points.map((p) => p.temperatureC);
  const cold = t.map((x) => (x < 0 ? IEC_60751.c * (x - 100) * x * x * x : 0));
  const [r0Ohm, slope, bend] = leastSquares(
    [cold.map((c) => 1 + c), t, t.map((x) => x * x)],
    points.map((p) => p.resistanceOhm),
  );
  const curve = { kind: 'platinum' as const, r0Ohm, a: slope / r0Ohm, b: bend / r0Ohm };
  return curveSchema.safeParse(curve).success ? curve : null;
}

function nickelFit(points: readonly TablePoint[]): Curve | null {
  const grades = NICKEL_GRADES.map((grade) => {
    const shares = points.map((p) => curveModel({ kind: 'nickel', r0Ohm: 1, grade }).resistanceOhm(p.temperatureC));
    const [r0Ohm] = leastSquares(
      [shares],
      points.map((p) => p.resistanceOhm),
    );
    const missed = points.map((p, i) => Math.log((r0Ohm * shares[i]) / p.resistanceOhm));
    return { grade, r0Ohm, missed: Math.hypot(...missed) };
  });
  const { grade, r0Ohm } = grades.reduce((x, y) => (y.missed < x.missed ? y : x));
  return r0Ohm > 0 ? { kind: 'nickel', r0Ohm, grade } : null;
}

function withResiduals(curve: Curve, points: readonly TablePoint[]): FitResult {
  const model = curveModel(curve);
  const residualsK = points.map((p) => model.temperatureC(p.resistanceOhm) - p.temperatureC);
  return { ok: true, curve, residualsK, worstK: Math.max(...residualsK.map(Math.abs)) };
}
