import { Matrix, solve } from 'ml-matrix';
import type { Curve } from './curve.ts';
import { curveModel } from './curve.ts';
import { KELVIN } from './curveModel.ts';
import { tableFault, type TablePoint } from './table.ts';

/** A curve fitted to points, with what is left over at each of them, in K (fitted − given). */
export interface CurveFit {
  curve: Curve;
  residualsK: number[];
  worstK: number;
}

export type FitResult =
  | ({ ok: true } & CurveFit)
  | { ok: false; reason: 'too-few-points' | 'not-an-ntc' | 'not-monotone' | 'bad-point'; row?: number };

/**
 * Least-squares fit of one form to points (°C, Ω), temperatures ascending. 'beta' needs 2 points, 'steinhart-hart' 3, 'table' 2. The first
 * two are linear in their coefficients: 1/T against 1, L (and L³), L = ln R, so no start values are needed. Tested against
 * numpy.linalg.lstsq.
 */
export function fitCurve(points: readonly TablePoint[], form: 'beta' | 'steinhart-hart' | 'table'): FitResult {
  const bad = points.findIndex((p) => !(p.resistanceOhm > 0) || !(p.temperatureC > -KELVIN));
  if (bad >= 0) return { ok: false, reason: 'bad-point', row: bad };
  if (points.length < (form === 'steinhart-hart' ? 3 : 2)) return { ok: false, reason: 'too-few-points' };
  const fault = tableFault(points);
  if (fault) return { ok: false, reason: 'not-monotone', row: fault.row };
  if (form === 'table') return withResiduals({ kind: 'table', points: [...points] }, points);
  if (points[1].resistanceOhm > points[0].resistanceOhm) return { ok: false, reason: 'not-an-ntc' };
  const l = points.map((p) => Math.log(p.resistanceOhm));
  const y = Matrix.columnVector(points.map((p) => 1 / (p.temperatureC + KELVIN)));
  if (form === 'beta') {
    const [a, b] = solve(new Matrix(l.map((x) => [1, x])), y, true).to1DArray();
    const betaK = 1 / b;
    const r25Ohm = Math.exp((1 / (25 + KELVIN) - a) / b);
    return withResiduals({ kind: 'beta', r25Ohm, betaK }, points);
  }
  const scale = Math.max(...l.map(Math.abs));
  const columns = l.map((x) => [1, x / scale, (x / scale) ** 3]);
  const [a, b, c] = solve(new Matrix(columns), y, true).to1DArray();
  const curve: Curve = {
    kind: 'steinhart-hart',
    a,
    b: b / scale,
    c: c / scale ** 3,
    minC: points[0].temperatureC,
    maxC: points[points.length - 1].temperatureC,
  };
  return curve.b > 0 ? withResiduals(curve, points) : { ok: false, reason: 'not-monotone' };
}

function withResiduals(curve: Curve, points: readonly TablePoint[]): FitResult {
  const model = curveModel(curve);
  const residualsK = points.map((p) => model.temperatureC(p.resistanceOhm) - p.temperatureC);
  return { ok: true, curve, residualsK, worstK: Math.max(...residualsK.map(Math.abs)) };
}
