import type { Hypothesis } from '../model/predictor.ts';
import { choleskyFactor, solveLower, solveUpper } from '../../base/numeric/cholesky.ts';
import { linearise, residualsAt, type Workspace } from './workspace.ts';

/** Normal approximation of what the readings say of the unknowns u when the fault and its size are given. */
export interface Conditional {
  /** ln likelihood of all readings, integrated over u by Laplace's method. */
  logEvidence: number;
  mode: Float64Array;
  /** How the mode moves with the position, per unit; it follows ridges on which size and unknowns trade off. */
  slope: Float64Array;
  /** Lower Cholesky factor of the precision at the mode, row major. */
  factor: Float64Array;
  logDet: number;
  /** Did some reading look like a blunder on the way? Then another start may end elsewhere. */
  doubtful: boolean;
}

const POSITION_STEP = 1e-6;
const MAX_ROUNDS = 8;

/**
 * Finds, for a given fault size, the unknowns that fit best, by Gauss–Newton steps in which each reading counts with the probability that it
 * is no blunder. Bounded: at most eight linearisations. `felt` are the unknowns that may move (see `feltUnknowns`); `trusting`: every reading
 * is trusted at first, else each is weighed against the prior at first.
 */
export function conditionalFit(
  ws: Workspace,
  h: Hypothesis,
  position: number,
  felt: readonly number[],
  trusting: boolean,
  start = ws.predictor.start(h),
): Conditional {
  const { n, u, residual, moved, shifted, step, predictor, predictions } = ws;
  u.set(start);
  ws.jacobian.fill(0);
  residualsAt(ws, h, position, u, residual);
  let doubtful = false;
  let stale = true;
  for (let round = 0; round < MAX_ROUNDS && stale; round++) {
    linearise(ws, h, position, felt);
    if (round === 0) firstWeights(ws, trusting);
    // Solved anew in every round, also where a reading was doubted before: a step kept from an earlier round leads nowhere from here.
    if (solveWeighted(ws)) doubtful = true;
    // The step is shortened until the weighted misfit falls; one that keeps its promise needs no new linearisation. The likelihood itself
    // is no guide here: far from a reading it is flat, since the reading may be a blunder.
    const before = misfit(ws, u, residual);
    let accepted = false;
    for (let tries = 0, factor = 1; tries < 5 && !accepted; tries++, factor *= 0.35) {
      for (let k = 0; k < n; k++) moved[k] = u[k] + factor * step[k];
      residualsAt(ws, h, position, moved, shifted);
      if (misfit(ws, moved, shifted) > before + 1e-9) continue;
      accepted = true;
      stale = factor < 1 || bend(ws, factor) > 0.3;
      u.set(moved);
      residual.set(shifted);
    }
    if (!accepted) break;
  }
  const logDet = factorise(ws);
  predictor.predict(h, position, u, predictions);
  const logEvidence = score(ws) - 0.5 * logDet;
  const slope = h.branch.sized ? modeSlope(ws, h, position, felt) : new Float64Array(n);
  return { logEvidence, mode: u.slice(), slope, factor: ws.factor.slice(), logDet, doubtful };
}

/** d mode / d position = −H⁻¹·Jᵀ·W·∂r/∂position, from the factor and Jacobian in force. */
function modeSlope(ws: Workspace, h: Hypothesis, position: number, felt: readonly number[]): Float64Array {
  const { n, m, jacobian, weights, residual, shifted } = ws;
  const step = position < 0.5 ? POSITION_STEP : -POSITION_STEP;
  residualsAt(ws, h, position + step, ws.u, shifted);
  const slope = new Float64Array(n);
  for (let i = 0; i < m; i++) {
    const change = (weights[i] * (shifted[i] - residual[i])) / step;
    for (const k of felt) slope[k] -= jacobian[i * n + k] * change;
  }
  solveLower(ws.factor, n, slope, slope);
  solveUpper(ws.factor, n, slope, slope);
  return slope;
}

/** ln likelihood of the last predictions plus ln prior of u relative to the density at the middle. */
function score({ n, u, predictor, predictions }: Workspace): number {
  let half = 0;
  for (let k = 0; k < n; k++) half += u[k] * u[k];
  return predictor.logLikelihood(predictions) + predictor.latent.logPriorRatio(u) - 0.5 * half;
}

/** What a step must lower: half the weighted squares of the residuals and of the distance from the prior. */
function misfit({ n, m, weights, predictor }: Workspace, u: Float64Array, residual: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < m; i++) sum += weights[i] * residual[i] * residual[i];
  for (let k = 0; k < n; k++) sum += predictor.latent.precision(k, u[k]) * u[k] * u[k];
  return 0.5 * sum;
}

/** Largest difference between the residuals found and those the straight line promised, among trusted readings. */
function bend({ n, m, weights, residual, shifted, jacobian, step }: Workspace, factor: number): number {
  let worst = 0;
  for (let i = 0; i < m; i++) {
    if (weights[i] < 0.5) continue;
    let promised = residual[i];
    for (let k = 0; k < n; k++) promised += jacobian[i * n + k] * factor * step[k];
    worst = Math.max(worst, Math.abs(promised - shifted[i]));
  }
  return worst;
}

function firstWeights({ n, m, jacobian, weights, residual }: Workspace, trusting: boolean): void {
  for (let i = 0; i < m; i++) {
    let variance = 1;
    if (!trusting) for (let k = 0; k < n; k++) variance += jacobian[i * n + k] ** 2;
    weights[i] = trusting ? 1 : soundProbability(residual[i], variance);
  }
}

/**
 * Weighted least squares on the straight-line model, the weights renewed until they stand still; the step goes into `ws.step`. Returns whether
 * a reading was doubted on the way.
 */
function solveWeighted(ws: Workspace): boolean {
  const { n, m, u, next, jacobian, residual, atOrigin, weights, gradient } = ws;
  let lowest = 1;
  for (let i = 0; i < m; i++) {
    lowest = Math.min(lowest, weights[i]);
    let there = residual[i];
    for (let k = 0; k < n; k++) there -= jacobian[i * n + k] * u[k];
    atOrigin[i] = there;
  }
  for (let round = 0; round < 6; round++) {
    factorise(ws);
    gradient.fill(0);
    for (let i = 0; i < m; i++) {
      const pull = weights[i] * atOrigin[i];
      for (let k = 0; k < n; k++) gradient[k] -= pull * jacobian[i * n + k];
    }
    solveLower(ws.factor, n, gradient, next);
    solveUpper(ws.factor, n, next, next);
    let moved = 0;
    for (let i = 0; i < m; i++) {
      let r = residual[i];
      for (let k = 0; k < n; k++) r += jacobian[i * n + k] * (next[k] - u[k]);
      const weight = soundProbability(r, 1);
      moved = Math.max(moved, Math.abs(weight - weights[i]));
      lowest = Math.min(lowest, weight);
      weights[i] = weight;
    }
    if (moved < 0.02) break;
  }
  for (let k = 0; k < n; k++) ws.step[k] = next[k] - u[k];
  return lowest < 0.95;
}

/** Precision at the present weights: prior plus the weighted normal equations. Returns ln det. */
function factorise(ws: Workspace): number {
  const { n, m, u, precision, jacobian, weights, factor, predictor } = ws;
  precision.fill(0);
  for (let k = 0; k < n; k++) precision[k * n + k] = predictor.latent.precision(k, u[k]);
  for (let i = 0; i < m; i++) {
    const w = weights[i];
    if (w < 1e-6) continue;
    const row = i * n;
    for (let k = 0; k < n; k++) {
      const part = w * jacobian[row + k];
      if (part === 0) continue;
      for (let l = 0; l <= k; l++) precision[k * n + l] += part * jacobian[row + l];
    }
  }
  const logDet = choleskyFactor(precision, n, factor);
  return Number.isNaN(logDet) ? ridgedFactor(ws) : logDet;
}

/**
 * The factor where rounding left the precision indefinite: a difference quotient over a jump (an end of the scale) is so large beside the prior that
 * nothing of it is left. The least ridge that mends it, a hundred times more each time, is added.
 */
function ridgedFactor({ n, precision, factor }: Workspace): number {
  let largest = 0;
  for (let k = 0; k < n; k++) largest = Math.max(largest, precision[k * n + k]);
  let logDet = NaN;
  for (let ridge = 1e-16 * largest; Number.isNaN(logDet) && ridge < n * largest; ridge *= 100) {
    for (let k = 0; k < n; k++) precision[k * n + k] += ridge;
    logDet = choleskyFactor(precision, n, factor);
  }
  return logDet;
}

/** Probability that a reading with this deviation (1σ units, variance as given) is no blunder, blunders (1 %) spread over about 300 σ. */
function soundProbability(residual: number, variance: number): number {
  const good = Math.exp(-0.5 * Math.min(1400, (residual * residual) / variance)) / Math.sqrt(2 * Math.PI * variance);
  return good / (good + 3e-5);
}
