import { countText } from './ledgerText.ts';
import { kelvinText } from './logText.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import { differenceUnit, formatTemperature, shownDifference, type TemperatureUnit } from '../base/units/format.ts';
import { drifts, SURE_SIGMAS } from '../history/trend/drift.ts';
import { ownPoints, type PlaceTrend, type TrendPoint } from '../history/trend/placeTrend.ts';
import { dayText, fixed } from '../base/units/writing.ts';

const signed = (value: number, digits = 1): string =>
  `${value < 0 ? '−' : '+'}${fixed(Math.abs(value), digits)}`.replace(/^[+−](0[.,]?0*)$/, '$1');

/** One figure of a place's past: what it was, and how far off. */
export function trendPointText({ measurement, deviationK, sigmaK, atC }: TrendPoint, unit: TemperatureUnit): string {
  const off = `${signed(shownDifference(deviationK, unit))} ${differenceUnit(unit)} ± ${fixed(shownDifference(2 * sigmaK, unit), 1)}`;
  return `${measurementById(measurement).name} at ${formatTemperature(atC, unit)}: ${off}`;
}

/** What the course of a place says, in a sentence or two. */
export function trendText(trend: PlaceTrend, unit: TemperatureUnit): string {
  const { points, changes, drift, outOn, toleranceK } = trend;
  const own = ownPoints(trend).length;
  const fresh = changes.length > 0 ? ` since the sensor was changed on ${dayText(changes[changes.length - 1].at)}` : '';
  if (!drift) return `${countText(own, 'figure', 'figures')}${fresh}: too few, or too near together, to tell a drift.`;
  const off = SURE_SIGMAS * drift.perYearSigmaK;
  const yearly = (k: number): string => signed(shownDifference(k, unit));
  const rate = `${yearly(drift.perYearK)} ${differenceUnit(unit)} a year (95 %: ${yearly(drift.perYearK - off)} … ${yearly(drift.perYearK + off)})`;
  if (!drifts(drift)) return `${own} figures${fresh}: no clear drift, ${rate}.`;
  const last = points
    .map((p) => p.at.slice(0, 10))
    .sort()
    .at(-1)!;
  const limit = `its tolerance of ± ${kelvinText(toleranceK, unit)}`;
  const out = outOn ? (outOn <= last ? ` It is out of ${limit}.` : ` Out of ${limit} about ${dayText(outOn)}.`) : '';
  return `${own} figures${fresh}: it drifts by ${rate}.${out}`;
}
