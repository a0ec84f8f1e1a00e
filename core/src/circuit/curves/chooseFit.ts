import { type CurveFit, FIT_FORMS, fitCurve, type FitForm, LEAST_POINTS } from './fitCurve.ts';
import { type Curve, curveModel } from './curve.ts';
import { findMistyped, type Mistyped } from './findMistyped.ts';
import { tableFault, type TablePoint } from './table.ts';

/** A row of a table as read: °C, Ω, and the limits where the table has them. `line` counts from 1 in the text. */
export interface PointRow {
  line: number;
  temperatureC: number;
  resistanceOhm: number;
  minOhm: number | null;
  maxOhm: number | null;
}

/** The forms that were tried: what is left over at the points, and at points that were left out of the fit, K (worst of each). */
export interface FormTried {
  form: FitForm;
  worstK: number;
  /** Worst miss when each inner point is left out in turn; NaN where there are too few points to leave one out. */
  leftOutK: number;
}

export type ChosenFit =
  | ({
      ok: true;
      form: FormTried['form'];
      tried: FormTried[];
      mistyped: Mistyped[];
      toleranceShare: number | null;
      /** Worst miss at rows that were left out, K; NaN where there are too few to leave one out. The curve's 1σ covers it. */
      leftOutK: number;
    } & CurveFit)
  | { ok: false; reason: 'too-few-points' | 'not-monotone'; row: number | null; mistyped: Mistyped[] };

/**
 * The curve that the points can bear: the form that predicts left-out points best, the simpler one where the difference is small. Mistyped
 * rows are named (by their place among `rows`); what is not monotone is refused. Min and max columns become the tolerance (limits; the
 * curve's 1σ is that by √3).
 */
export function chooseFit(rows: readonly PointRow[], only?: FitForm): ChosenFit {
  const points = rows.map(({ temperatureC, resistanceOhm }) => ({ temperatureC, resistanceOhm }));
  const mistyped = findMistyped(points);
  if (points.length < 2) return { ok: false, reason: 'too-few-points', row: null, mistyped };
  const fault = tableFault(points);
  if (fault) return { ok: false, reason: 'not-monotone', row: fault.row, mistyped };
  const forms = FIT_FORMS.filter((f) => only === undefined || f === only);
  const fits = forms.flatMap((form) => {
    const fit = fitCurve(points, form);
    return fit.ok ? [{ form, fit, leftOutK: leftOut(points, form) }] : [];
  });
  if (fits.length === 0) return { ok: false, reason: 'too-few-points', row: null, mistyped };
  const best = pick(fits);
  const toleranceShare = toleranceOf(rows);
  const curve = withSpread(best, toleranceShare, points);
  return {
    ok: true,
    form: best.form,
    tried: fits.map((f) => ({ form: f.form, worstK: f.fit.worstK, leftOutK: f.leftOutK })),
    mistyped,
    toleranceShare,
    leftOutK: best.leftOutK,
    curve,
    residualsK: best.fit.residualsK,
    fittedSigmaK: best.fit.fittedSigmaK,
    worstK: best.fit.worstK,
  };
}

/**
 * The curve with a 1σ that covers what it misses at rows that were left out and what its coefficients are unsure by, beside the tolerance of min and max (limits: an even spread). A table
 * knows its own misses between its rows.
 */
function withSpread({ form, fit, leftOutK }: Tried, share: number | null, points: readonly TablePoint[]): Curve {
  const model = curveModel(fit.curve);
  const tolerance = share === null ? model.toleranceLog : Math.log1p(share) / Math.sqrt(3);
  const missed = form === 'table' || Number.isNaN(leftOutK) ? 0 : leftOutK * slopeOf(points);
  const fitted = Math.max(0, ...fit.fittedSigmaK.filter((s) => !Number.isNaN(s))) * slopeOf(points);
  const unsure = Math.max(missed / 2, fitted);
  if (share === null && unsure < 0.1 * tolerance) return fit.curve;
  return { ...fit.curve, toleranceLog: Math.min(0.5, Math.hypot(tolerance, unsure)) };
}

/** Mean size of d ln R/dT over the points, 1/K. */
function slopeOf(points: readonly TablePoint[]): number {
  const [first, last] = [points[0], points[points.length - 1]];
  return Math.abs(Math.log(last.resistanceOhm / first.resistanceOhm)) / (last.temperatureC - first.temperatureC);
}

interface Tried {
  form: FitForm;
  fit: CurveFit;
  leftOutK: number;
}

/** Less than this is no gain, K. */
const WORTH_K = 0.01;

/** Simplest first; a later form must miss left-out points by a third less, and by more than a trifle, to be worth it. */
function pick(fits: readonly Tried[]): Tried {
  return fits.reduce((a, b) => {
    if (Number.isNaN(b.leftOutK)) return a;
    if (Number.isNaN(a.leftOutK)) return b.fit.worstK < a.fit.worstK ? b : a;
    return b.leftOutK < a.leftOutK * 0.67 && a.leftOutK - b.leftOutK > WORTH_K ? b : a;
  });
}

/** Worst miss at inner points that were left out; at most sixteen of them are tried, spread evenly. */
function leftOut(points: readonly TablePoint[], form: FitForm): number {
  if (points.length < Math.max(3, LEAST_POINTS[form] + 1)) return NaN;
  const inner = points.length - 2;
  const step = Math.max(1, Math.floor(inner / 16));
  let worst = 0;
  for (let i = 1; i <= inner; i += step) {
    const fit = fitCurve(
      points.filter((_, k) => k !== i),
      form,
    );
    if (!fit.ok) return NaN;
    worst = Math.max(
      worst,
      Math.abs(curveModel(fit.curve).temperatureC(points[i].resistanceOhm) - points[i].temperatureC),
    );
  }
  return worst;
}

/** Half the width of min … max as a share of the nominal, over the rows that have them; null without. */
function toleranceOf(rows: readonly PointRow[]): number | null {
  const widths = rows.flatMap(({ resistanceOhm: r, minOhm, maxOhm }) => {
    if (minOhm === null && maxOhm === null) return [];
    return [Math.max(maxOhm === null ? 0 : maxOhm / r - 1, minOhm === null ? 0 : 1 - minOhm / r)];
  });
  if (widths.length === 0) return null;
  return Math.max(1e-4, Math.min(0.6, widths.reduce((a, b) => a + b, 0) / widths.length));
}
