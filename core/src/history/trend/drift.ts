/** One deviation at a time: years, K, and its 1σ. */
export interface Dated {
  years: number;
  deviationK: number;
  sigmaK: number;
}

/** A line through deviations: K at its pivot and K a year, each with 1σ; the two do not hang on each other there. */
export interface Drift {
  /** Weighted middle of the times, years. */
  pivotYears: number;
  levelK: number;
  levelSigmaK: number;
  perYearK: number;
  perYearSigmaK: number;
  /** Sum of squares left over, in units of σ², for `points` − 2. */
  chiSquare: number;
  points: number;
}

/** Fewest points, and how far they must lie apart, years: less is no course. */
const [FEWEST, LEAST_YEARS] = [3, 0.02];

/**
 * Straight line by least squares weighted with the known errors; null where there is too little to draw one through. Source: any textbook of weighted
 * regression; held to scipy.
 *
 * @example driftOf([0, 1, 2].map((years) => ({ years, deviationK: 2 * years, sigmaK: 1 })))?.perYearK // 2
 */
export function driftOf(points: readonly Dated[]): Drift | null {
  if (points.length < FEWEST) return null;
  const times = points.map((p) => p.years);
  if (Math.max(...times) - Math.min(...times) < LEAST_YEARS) return null;
  const weights = points.map((p) => 1 / (p.sigmaK * p.sigmaK));
  const total = weights.reduce((a, b) => a + b, 0);
  const mean = (f: (p: Dated) => number): number => points.reduce((sum, p, i) => sum + weights[i] * f(p), 0) / total;
  const pivotYears = mean((p) => p.years);
  const levelK = mean((p) => p.deviationK);
  const spread = points.reduce((sum, p, i) => sum + weights[i] * (p.years - pivotYears) ** 2, 0);
  const perYearK =
    points.reduce((sum, p, i) => sum + weights[i] * (p.years - pivotYears) * (p.deviationK - levelK), 0) / spread;
  const left = (p: Dated): number => (p.deviationK - levelK - perYearK * (p.years - pivotYears)) / p.sigmaK;
  return {
    ...{ pivotYears, levelK, perYearK, points: points.length },
    levelSigmaK: Math.sqrt(1 / total),
    perYearSigmaK: Math.sqrt(1 / spread),
    chiSquare: points.reduce((sum, p) => sum + left(p) ** 2, 0),
  };
}

/** So many σ either way hold 95 of a hundred; a rate beyond them is called a drift. */
export const SURE_SIGMAS = 1.96;

/** Is the rate beyond what chance makes of it? */
export const drifts = ({ perYearK, perYearSigmaK }: Drift): boolean => Math.abs(perYearK) > SURE_SIGMAS * perYearSigmaK;

/** The line at a time, K, with its 1σ. */
export function driftAt(
  { pivotYears, levelK, levelSigmaK, perYearK, perYearSigmaK }: Drift,
  years: number,
): { k: number; sigmaK: number } {
  const since = years - pivotYears;
  return { k: levelK + perYearK * since, sigmaK: Math.hypot(levelSigmaK, perYearSigmaK * since) };
}

/** Years at which the line leaves ± `toleranceK`, not before `fromYears`; null where it does not drift, or runs back towards 0 first. */
export function outAt(drift: Drift, toleranceK: number, fromYears: number): number | null {
  if (!drifts(drift)) return null;
  const { pivotYears, levelK, perYearK } = drift;
  const now = driftAt(drift, fromYears).k;
  if (Math.abs(now) >= toleranceK) return fromYears;
  return pivotYears + (Math.sign(perYearK) * toleranceK - levelK) / perYearK;
}
