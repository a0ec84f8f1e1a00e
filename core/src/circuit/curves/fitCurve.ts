import { fittedSigma, type LinearFit, linearFit } from '../../base/numeric/linearFit.ts';
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
  /**
   * 1σ of the fitted curve at each of them, K, by the covariance of its coefficients (GUM H.3); NaN where no point is left over to tell, 0 of a
   * table, which goes through them all.
   */
  fittedSigmaK: number[];
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
  if (form === 'table')
    return withResiduals({ curve: { kind: 'table', points: [...points] }, sigmaK: () => 0 }, points);
  const rising = points.length > 1 && points[1].resistanceOhm > points[0].resistanceOhm;
  if (NTC_FORMS.includes(form) && rising) return { ok: false, reason: 'not-an-ntc' };
  if (PTC_FORMS.includes(form) && !rising) return { ok: false, reason: 'not-a-ptc' };
  const fitted = {
    beta: betaFit,
    'steinhart-hart': steinhartFit,
    'steinhart-hart-4': fourTermFit,
    nickel: nickelFit,
    platinum: platinumFit,
  }[form](points);
  return fitted ? withResiduals(fitted, points) : { ok: false, reason: 'not-monotone' };
}

/** A fitted curve, and 1σ of its temperature at a resistance of its own, K: the covariance of its coefficients carried on (GUM H.3). */
interface Fitted {
  curve: Curve;
  sigmaK: (point: TablePoint) => number;
}

const logsOf = (points: readonly TablePoint[]): number[] => points.map((p) => Math.log(p.resistanceOhm));
const inverseKelvins = (points: readonly TablePoint[]): number[] => points.map((p) => 1 / (p.temperatureC + KELVIN));
const ones = (points: readonly TablePoint[]): number[] => points.map(() => 1);

/** 1/T as powers of ln R: what its σ means in K. */
function inverseSigmaK(fit: LinearFit, powers: readonly number[]): Fitted['sigmaK'] {
  return ({ temperatureC, resistanceOhm }) => {
    const l = Math.log(resistanceOhm);
    return (
      (temperatureC + KELVIN) ** 2 *
      fittedSigma(
        fit,
        powers.map((power) => l ** power),
      )
    );
  };
}

function betaFit(points: readonly TablePoint[]): Fitted {
  const fit = linearFit([ones(points), logsOf(points)], inverseKelvins(points));
  const [a, b] = fit.coefficients;
  return {
    curve: { kind: 'beta', r25Ohm: Math.exp((1 / (25 + KELVIN) - a) / b), betaK: 1 / b },
    sigmaK: inverseSigmaK(fit, [0, 1]),
  };
}

const steinhartFit = (points: readonly TablePoint[]): Fitted | null => inLogs(points, [0, 1, 3]);
const fourTermFit = (points: readonly TablePoint[]): Fitted | null => inLogs(points, [0, 1, 3, 2]);

function inLogs(points: readonly TablePoint[], powers: readonly number[]): Fitted | null {
  const l = logsOf(points);
  const fit = linearFit(
    powers.map((power) => l.map((x) => x ** power)),
    inverseKelvins(points),
  );
  const [a, b, c, d] = fit.coefficients;
  const [minC, maxC] = [points[0].temperatureC, points[points.length - 1].temperatureC];
  // 1/T must rise with ln R all over the range, or it is no curve.
  const slopes = l.map((x) => b + x * (2 * (d ?? 0) + 3 * c * x));
  if (!(b > 0) || !slopes.every((s) => s > 0)) return null;
  const curve: Curve = { kind: 'steinhart-hart', a, b, c, ...(d !== undefined && { squareTerm: d }), minC, maxC };
  return { curve, sigmaK: inverseSigmaK(fit, powers) };
}

/** 1σ of a resistance, through the slope of the curve. */
function throughSlope(curve: Curve, sigmaOhm: (temperatureC: number) => number): Fitted {
  const model = curveModel(curve);
  return {
    curve,
    sigmaK: ({ temperatureC: t }) =>
      sigmaOhm(t) / Math.abs(model.resistanceOhm(t + 0.5) - model.resistanceOhm(t - 0.5)),
  };
}

function platinumFit(points: readonly TablePoint[]): Fitted | null {
  const basis = (t: number): number[] => [1 + (t < 0 ? IEC_60751.c * (t - 100) * t * t * t : 0), t, t * t];
  const rows = points.map((p) => basis(p.temperatureC));
  const fit = linearFit(
    [0, 1, 2].map((k) => rows.map((row) => row[k])),
    points.map((p) => p.resistanceOhm),
  );
  const [r0Ohm, slope, bend] = fit.coefficients;
  const curve = { kind: 'platinum' as const, r0Ohm, a: slope / r0Ohm, b: bend / r0Ohm };
  return curveSchema.safeParse(curve).success ? throughSlope(curve, (t) => fittedSigma(fit, basis(t))) : null;
}

function nickelFit(points: readonly TablePoint[]): Fitted | null {
  const grades = NICKEL_GRADES.map((grade) => {
    const model = curveModel({ kind: 'nickel', r0Ohm: 1, grade });
    const shares = points.map((p) => model.resistanceOhm(p.temperatureC));
    const fit = linearFit(
      [shares],
      points.map((p) => p.resistanceOhm),
    );
    const [r0Ohm] = fit.coefficients;
    const missed = points.map((p, i) => Math.log((r0Ohm * shares[i]) / p.resistanceOhm));
    return { grade, r0Ohm, fit, model, missed: Math.hypot(...missed) };
  });
  const { grade, r0Ohm, fit, model } = grades.reduce((x, y) => (y.missed < x.missed ? y : x));
  if (!(r0Ohm > 0)) return null;
  return throughSlope({ kind: 'nickel', r0Ohm, grade }, (t) => fittedSigma(fit, [model.resistanceOhm(t)]));
}

function withResiduals({ curve, sigmaK }: Fitted, points: readonly TablePoint[]): FitResult {
  const model = curveModel(curve);
  const residualsK = points.map((p) => model.temperatureC(p.resistanceOhm) - p.temperatureC);
  return {
    ok: true,
    curve,
    residualsK,
    worstK: Math.max(...residualsK.map(Math.abs)),
    fittedSigmaK: points.map(sigmaK),
  };
}
