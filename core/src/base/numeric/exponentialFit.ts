import { goldenSection } from './goldenSection.ts';
import { linearFit } from './linearFit.ts';

/** A value that runs to its end as end + (start − end)·exp(−t/τ). Times in s from the first point. */
export interface ExponentialFit {
  end: number;
  start: number;
  timeConstantS: number;
  /** 1σ of each, the points' own correlation allowed for. */
  sigma: { end: number; timeConstantS: number };
  scatter: number;
}

/**
 * Least squares of an exponential approach. For each τ the other two follow in one step (variable projection), so only τ is searched, on a log scale;
 * the covariance is that of the three together at the best, widened by the correlation of neighbouring residuals (as if only n(1 − φ)/(1 + φ) of them were
 * independent; Bayley & Hammersley 1946, from memory). Null where the points do not tell: fewer than 6, or τ at an end of its range.
 *
 * @param t s, ascending; y in any unit
 * @example Number(exponentialFit([0, 1, 2, 3, 4, 5, 6, 7], [0, 1, 2, 3, 4, 5, 6, 7].map((t) => 10 - 8 * Math.exp(-t / 3)))?.end.toFixed(4)) // 10
 */
export function exponentialFit(t: ArrayLike<number>, y: ArrayLike<number>): ExponentialFit | null {
  const n = t.length;
  if (n < 6) return null;
  const spanS = t[n - 1] - t[0];
  if (!(spanS > 0)) return null;
  const [low, high] = [Math.log(spanS / 200), Math.log(spanS * 8)];
  const at = (logTau: number): ExponentialLine => exponentialLine(t, y, Math.exp(logTau));
  // A coarse look first: the sum of squares may have two valleys on a noisy series.
  let best = low;
  const steps = 40;
  for (let i = 1; i <= steps; i++) {
    const here = low + ((high - low) * i) / steps;
    if (at(here).square < at(best).square) best = here;
  }
  const step = (high - low) / steps;
  const [from, to] = [Math.max(low, best - step), Math.min(high, best + step)];
  const logTau = goldenSection(from, to, 60, (x) => at(x).square);
  if (logTau < low + step / 2 || logTau > high - step / 2) return null;
  const tau = Math.exp(logTau);
  const { end, drop, square } = at(logTau);
  const e = Array.from({ length: n }, (_, i) => Math.exp(-(t[i] - t[0]) / tau));
  const columns = [e.map(() => 1), e, e.map((v, i) => (drop * v * (t[i] - t[0])) / tau ** 2)];
  const left = e.map((v, i) => y[i] - end - drop * v);
  try {
    const { covariance } = linearFit(columns, left);
    const wider = Math.sqrt(correlationFactor(left));
    return {
      end,
      start: end + drop,
      timeConstantS: tau,
      sigma: { end: wider * Math.sqrt(covariance[0][0]), timeConstantS: wider * Math.sqrt(covariance[2][2]) },
      scatter: Math.sqrt(square / Math.max(1, n - 3)),
    };
  } catch {
    return null;
  }
}

/** An exponential of a given time constant: end + drop·exp(−(t − t₀)/τ), and the sum of squares it leaves. */
export interface ExponentialLine {
  end: number;
  drop: number;
  square: number;
}

/**
 * The least-squares exponential of one time constant: the two other unknowns are a straight line.
 *
 * @param t ascending; the time constant in the same unit
 * @example exponentialLine([0, 1], [3, 1 + 2 * Math.exp(-1)], 1).drop // 2
 */
export function exponentialLine(t: ArrayLike<number>, y: ArrayLike<number>, tau: number): ExponentialLine {
  const n = t.length;
  let [se, see, sy, sey] = [0, 0, 0, 0];
  for (let i = 0; i < n; i++) {
    const e = Math.exp(-(t[i] - t[0]) / tau);
    se += e;
    see += e * e;
    sy += y[i];
    sey += e * y[i];
  }
  const det = n * see - se * se;
  const drop = det > 1e-12 ? (n * sey - se * sy) / det : 0;
  const end = (sy - drop * se) / n;
  let square = 0;
  for (let i = 0; i < n; i++) square += (y[i] - end - drop * Math.exp(-(t[i] - t[0]) / tau)) ** 2;
  return { end, drop, square };
}

/**
 * By how much neighbouring residuals that follow each other widen a variance: (1 + φ)/(1 − φ) with φ their correlation from one to the next, at least 1.
 *
 * @example correlationFactor([1, -1, 1, -1]) // 1
 */
export function correlationFactor(left: ArrayLike<number>): number {
  let [up, down] = [0, 0];
  for (let i = 0; i < left.length; i++) {
    down += left[i] ** 2;
    if (i > 0) up += left[i] * left[i - 1];
  }
  const phi = down > 0 ? Math.min(0.99, Math.max(0, up / down)) : 0;
  return (1 + phi) / (1 - phi);
}
