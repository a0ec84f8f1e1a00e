import { type CurveFit, fitCurve } from './fitCurve.ts';
import { curveModel } from './curve.ts';
import { findMistyped, type Mistyped } from './findMistyped.ts';
import { tableFault } from './table.ts';

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
  form: 'beta' | 'steinhart-hart' | 'table';
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
    } & CurveFit)
  | { ok: false; reason: 'too-few-points' | 'not-monotone'; row: number | null; mistyped: Mistyped[] };

/**
 * The curve that the points can bear: the form that predicts left-out points best, the simpler one where the difference is small. Mistyped
 * rows are named (by their place among `rows`); what is not monotone is refused. Min and max columns become the tolerance (limits; the
 * curve's 1σ is that by √3).
 */
export function chooseFit(rows: readonly PointRow[], only?: FormTried['form']): ChosenFit {
  const points = rows.map(({ temperatureC, resistanceOhm }) => ({ temperatureC, resistanceOhm }));
  const mistyped = findMistyped(points);
  if (points.length < 2) return { ok: false, reason: 'too-few-points', row: null, mistyped };
  const fault = tableFault(points);
  if (fault) return { ok: false, reason: 'not-monotone', row: fault.row, mistyped };
  const forms = (['beta', 'steinhart-hart', 'table'] as const).filter((f) => only === undefined || f === only);
  const fits = forms.flatMap((form) => {
    const fit = fitCurve(points, form);
    return fit.ok ? [{ form, fit, leftOutK: leftOut(points, form) }] : [];
  });
  if (fits.length === 0) return { ok: false, reason: 'too-few-points', row: null, mistyped };
  const best = pick(fits);
  const toleranceShare = toleranceOf(rows);
  const curve =
    toleranceShare === null
      ? best.fit.curve
      : { ...best.fit.curve, toleranceLog: Math.log1p(toleranceShare) / Math.sqrt(3) };
  return {
    ok: true,
    form: best.form,
    tried: fits.map((f) => ({ form: f.form, worstK: f.fit.worstK, leftOutK: f.leftOutK })),
    mistyped,
    toleranceShare,
    curve,
    residualsK: best.fit.residualsK,
    worstK: best.fit.worstK,
  };
}

interface Tried {
  form: FormTried['form'];
  fit: CurveFit;
  leftOutK: number;
}

/** Simplest first; a later form must miss left-out points by a third less to be worth it. */
function pick(fits: readonly Tried[]): Tried {
  return fits.reduce((a, b) => {
    if (Number.isNaN(b.leftOutK)) return a;
    if (Number.isNaN(a.leftOutK)) return b.fit.worstK < a.fit.worstK ? b : a;
    return b.leftOutK < a.leftOutK * 0.67 ? b : a;
  });
}

/** Worst miss at inner points that were left out; at most sixteen of them are tried, spread evenly. */
function leftOut(points: readonly { temperatureC: number; resistanceOhm: number }[], form: FormTried['form']): number {
  if (points.length < (form === 'steinhart-hart' ? 4 : 3)) return NaN;
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
