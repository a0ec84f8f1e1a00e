import { type CurveFit, fitCurve } from '../../circuit/curves/fitCurve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { type Derived, pullUpFromPair } from '../divider/divider.ts';
import { slopeLog } from '../comparing/comparePairs.ts';
import { type Identified, identifySensor, type NamedCurve } from './identifySensor.ts';

/** A substituted resistor, what the module displayed, and the volts at the plug where they were read. Ω, °C, V. */
export interface SweepRow {
  ohm: number;
  shownC: number;
  volts: number | null;
}

export interface SweepView {
  /** Ends of the module's scale that were seen: two different resistors with the same extreme value. */
  minC: number | null;
  maxC: number | null;
  /** The module's own curve through the rows between the ends, with 1σ of the shown value, K; null with fewer than two such rows. */
  fit: (CurveFit & { sigmaK: number }) | null;
  /** Pull-up from the rows with volts, Ω, weighted; null without. */
  pullUp: { value: number; sigma: number; rows: number } | null;
  /** Which curve of the shelf the module expects. */
  expects: Identified;
  /** Against the sensor's own curve: shown minus true, K, over the swept range. */
  against: { temperatureC: number; errorK: number }[];
}

/** 1σ of a displayed value of 1 °C resolution, K, and of a resistor, as a share. */
const SHOWN_K = 0.65;
const RESISTOR_SHARE = 0.006;

/** The module's own curve from a sweep with known resistors. `referenceV` 1 % (1σ). */
export function moduleSweep(
  rows: readonly SweepRow[],
  referenceV: number,
  shelf: readonly NamedCurve[],
  sensor: CurveModel,
): SweepView {
  const sorted = [...rows].sort((a, b) => a.shownC - b.shownC);
  const end = (shownC: number): boolean =>
    new Set(sorted.filter((r) => r.shownC === shownC).map((r) => r.ohm)).size > 1;
  const minC = sorted.length > 1 && end(sorted[0].shownC) ? sorted[0].shownC : null;
  const maxC = sorted.length > 1 && end(sorted[sorted.length - 1].shownC) ? sorted[sorted.length - 1].shownC : null;
  const inner = sorted.filter((r) => r.shownC !== minC && r.shownC !== maxC);
  const distinct = inner.filter((r, i) => i === 0 || r.shownC > inner[i - 1].shownC);
  const points = distinct.map((r) => ({ temperatureC: r.shownC, resistanceOhm: r.ohm }));
  const fitted = points.length >= 4 ? fitCurve(points, 'steinhart-hart') : fitCurve(points, 'beta');
  const fit = fitted.ok ? fitted : points.length >= 2 ? fitCurve(points, 'table') : fitted;
  const pairs = inner.map((r) => ({
    temperatureC: r.shownC,
    temperatureSigmaK: SHOWN_K,
    resistanceOhm: r.ohm,
    resistanceSigmaOhm: RESISTOR_SHARE * r.ohm,
  }));
  const range = { lowC: sorted[0]?.shownC ?? 0, highC: sorted[sorted.length - 1]?.shownC ?? 100 };
  return {
    minC,
    maxC,
    fit: fit.ok ? { ...fit, sigmaK: sigmaOf(fit, points) } : null,
    pullUp: pullUpOf(rows, referenceV),
    expects: identifySensor(pairs, shelf, range),
    against: inner.map((r) => ({
      temperatureC: sensor.temperatureC(r.ohm),
      errorK: r.shownC - sensor.temperatureC(r.ohm),
    })),
  };
}

function sigmaOf(fit: CurveFit, points: readonly { temperatureC: number; resistanceOhm: number }[]): number {
  const model = curveModel(fit.curve);
  const middle = points[points.length >> 1];
  const resistor = RESISTOR_SHARE / Math.abs(slopeLog(model, middle.temperatureC));
  return Math.hypot(SHOWN_K, resistor) / Math.sqrt(Math.max(1, points.length / 3));
}

function pullUpOf(rows: readonly SweepRow[], referenceV: number): SweepView['pullUp'] {
  const derived = rows
    .filter((r) => r.volts !== null)
    .map((r): Derived =>
      pullUpFromPair(
        { value: r.ohm, sigma: RESISTOR_SHARE * r.ohm },
        { value: r.volts!, sigma: 0.005 * r.volts! + 0.003 },
        { value: referenceV, sigma: 0.01 * referenceV },
      ),
    )
    .filter((d) => d.ok);
  if (derived.length === 0) return null;
  const weights = derived.map((d) => 1 / d.sigma ** 2);
  const total = weights.reduce((a, b) => a + b, 0);
  const value = derived.reduce((s, d, i) => s + d.value * weights[i], 0) / total;
  // The reference is the same in every row: its share does not average out.
  return {
    value,
    sigma: Math.max(Math.sqrt(1 / total), Math.min(...derived.map((d) => d.parts[2]))),
    rows: derived.length,
  };
}
