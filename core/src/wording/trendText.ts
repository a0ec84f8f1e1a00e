import { countText } from './ledgerText.ts';
import { measurementById } from '../measurements/list.ts';
import { drifts, SURE_SIGMAS } from '../trend/drift.ts';
import { ownPoints, type PlaceTrend, type TrendPoint } from '../trend/placeTrend.ts';

const signed = (value: number, digits = 1): string =>
  `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`.replace(/^[+−](0\.0*)$/, '$1');

/** One figure of a place's past: what it was, and how far off. */
export function trendPointText({ measurement, deviationK, sigmaK, atC }: TrendPoint): string {
  return `${measurementById(measurement).name} at ${atC.toFixed(0)} °C: ${signed(deviationK)} K ± ${(2 * sigmaK).toFixed(1)}`;
}

/** What the course of a place says, in a sentence or two. */
export function trendText(trend: PlaceTrend): string {
  const { points, changes, drift, outOn, toleranceK } = trend;
  const own = ownPoints(trend).length;
  const fresh =
    changes.length > 0 ? ` since the sensor was changed on ${changes[changes.length - 1].at.slice(0, 10)}` : '';
  if (!drift) return `${countText(own, 'figure', 'figures')}${fresh}: too few, or too near together, to tell a drift.`;
  const off = SURE_SIGMAS * drift.perYearSigmaK;
  const rate = `${signed(drift.perYearK)} K a year (95 %: ${signed(drift.perYearK - off)} … ${signed(drift.perYearK + off)})`;
  if (!drifts(drift)) return `${own} figures${fresh}: no drift to be told, ${rate}.`;
  const last = points
    .map((p) => p.at.slice(0, 10))
    .sort()
    .at(-1)!;
  const limit = `its tolerance of ± ${toleranceK.toFixed(1)} K`;
  const out = outOn ? (outOn <= last ? ` It is out of ${limit}.` : ` Out of ${limit} about ${outOn}.`) : '';
  return `${own} figures${fresh}: it drifts by ${rate}.${out}`;
}
