import { choleskyFactor, solveLower, solveUpper } from '../numeric/cholesky.ts';
import type { Hypothesis, Predictor } from '../model/predictor.ts';

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

const STEP = 1e-4;
const POSITION_STEP = 1e-6;
const MAX_ROUNDS = 8;
/** Largest share of one reading in a deficit: about what its being a blunder would cost. */
const CAP = 10;
/** Deficit of a thermometer reading that is a blunder: −ln of its chance and of the width it may then have. */
const THERMOMETER_COST = 6;

/**
 * Finds, for a given fault size, the unknowns that fit best, by Gauss–Newton steps in which each reading counts with the probability that
 * it is no blunder. Bounded: at most eight linearisations. Reused for one predictor; results are copied out.
 */
export class ConditionalFit {
  private readonly n: number;
  private readonly m: number;
  private readonly u: Float64Array;
  private readonly next: Float64Array;
  private readonly moved: Float64Array;
  private readonly predictions: Float64Array;
  private readonly residual: Float64Array;
  private readonly shifted: Float64Array;
  private readonly jacobian: Float64Array;
  private readonly weights: Float64Array;
  private readonly precision: Float64Array;
  private readonly factor: Float64Array;
  private readonly gradient: Float64Array;
  private readonly column: Float64Array;
  private readonly widest: Float64Array;
  private readonly widestDoubted: Float64Array;
  /** Do deficits allow for a thermometer that was read wrong? Only worth it where nothing fits otherwise: it reaches almost everything. */
  thermometerDoubted = false;
  /** Coordinates that any reading depends on noticeably under the present hypothesis; the others keep their prior. */
  private active: number[];

  constructor(private readonly predictor: Predictor) {
    const n = (this.n = predictor.latent.dimension);
    const m = (this.m = predictor.readings.length);
    const vector = (k: number): Float64Array => new Float64Array(k);
    [this.u, this.next, this.moved, this.gradient, this.column] = [
      vector(n),
      vector(n),
      vector(n),
      vector(n),
      vector(n),
    ];
    [this.predictions, this.residual, this.shifted, this.weights] = [vector(m), vector(m), vector(m), vector(m)];
    [this.jacobian, this.precision, this.factor] = [vector(m * n), vector(n * n), vector(n * n)];
    [this.widest, this.widestDoubted] = [vector(m).fill(1), vector(m).fill(1)];
    this.active = Array.from({ length: n }, (_, k) => k);
  }

  /** Turns to another hypothesis: finds, at three positions, which unknowns its readings depend on at all (0.01 σ or more). */
  focus(h: Hypothesis): void {
    const { n, m } = this;
    const all = Array.from({ length: n }, (_, k) => k);
    const felt = new Set<number>();
    for (const position of h.branch.sized ? [0.1, 0.5, 0.9] : [0.5]) {
      this.u.fill(0);
      this.active = all;
      this.residualsAt(h, position, this.u, this.residual);
      this.linearise(h, position);
      for (let i = 0; i < m; i++) {
        for (let k = 0; k < n; k++) if (Math.abs(this.jacobian[i * n + k]) > 0.01) felt.add(k);
      }
    }
    this.active = all.filter((k) => felt.has(k));
    this.jacobian.fill(0);
  }

  /** Deviations at the last position looked at by `deficitAt`, in units of 1σ; overwritten by the next call of anything. */
  get residualsNow(): Float64Array {
    return this.residual;
  }

  /**
   * How badly the readings miss at this position with every unknown at its middle: Σ ½·r²/(1 + widest prior variance), each reading capped,
   * since it may be a blunder. A place with a much larger deficit than the best is not worth a fit.
   */
  deficitAt(h: Hypothesis, position: number): number {
    this.u.fill(0);
    this.residualsAt(h, position, this.u, this.residual);
    const trusted = this.deficit(this.widest);
    return this.thermometerDoubted ? Math.min(trusted, THERMOMETER_COST + this.deficit(this.widestDoubted)) : trusted;
  }

  private deficit(widest: Float64Array): number {
    let sum = 0;
    for (let i = 0; i < this.m; i++) sum += Math.min(CAP, (0.5 * this.residual[i] * this.residual[i]) / widest[i]);
    return sum;
  }

  /** Deviation of one reading at a position, in units of 1σ, every unknown at its middle. */
  residualAt(h: Hypothesis, position: number, reading: number): number {
    this.u.fill(0);
    return this.predictor.residualOf(h, position, this.u, reading);
  }

  /** Widest 1 + variance (in σ²) that the unknowns give each reading, over some hypotheses of every kind; generous by a factor of two. */
  widen(hypotheses: readonly Hypothesis[]): void {
    const { n, m } = this;
    this.widest.fill(1);
    this.widestDoubted.fill(1);
    this.active = Array.from({ length: n }, (_, k) => k);
    for (const h of hypotheses) {
      this.u.fill(0);
      this.residualsAt(h, 0.5, this.u, this.residual);
      this.linearise(h, 0.5);
      for (let i = 0; i < m; i++) {
        let [variance, doubted] = [0, 0];
        for (let k = 0; k < n; k++) {
          const part = this.jacobian[i * n + k] ** 2;
          variance += part;
          doubted += part * this.predictor.latent.doubtedVariance(k);
        }
        this.widest[i] = Math.max(this.widest[i], 1 + 2 * variance);
        this.widestDoubted[i] = Math.max(this.widestDoubted[i], 1 + 2 * doubted);
      }
    }
  }

  /** The best fit from one start: every reading trusted at first, or each weighed against the prior at first. */
  fit(h: Hypothesis, position: number, trusting: boolean): Conditional {
    const { n, u } = this;
    u.fill(0);
    this.residualsAt(h, position, u, this.residual);
    let doubtful = false;
    let stale = true;
    for (let round = 0; round < MAX_ROUNDS && stale; round++) {
      this.linearise(h, position);
      if (round === 0) this.firstWeights(trusting);
      doubtful ||= this.solveWeighted();
      // The step is shortened until the weighted misfit falls; one that keeps its promise needs no new linearisation. The likelihood itself
      // is no guide here: far from a reading it is flat, since the reading may be a blunder.
      const before = this.misfit(u, this.residual);
      let accepted = false;
      for (let tries = 0, factor = 1; tries < 5 && !accepted; tries++, factor *= 0.35) {
        for (let k = 0; k < n; k++) this.moved[k] = u[k] + factor * this.column[k];
        this.residualsAt(h, position, this.moved, this.shifted);
        if (this.misfit(this.moved, this.shifted) > before + 1e-9) continue;
        accepted = true;
        stale = factor < 1 || this.bend(factor) > 0.3;
        u.set(this.moved);
        this.residual.set(this.shifted);
      }
      if (!accepted) break;
    }
    const logDet = this.factorise();
    this.predictor.predict(h, position, u, this.predictions);
    const score = this.score(u);
    const slope = h.branch.sized ? this.modeSlope(h, position) : new Float64Array(n);
    return { logEvidence: score - 0.5 * logDet, mode: u.slice(), slope, factor: this.factor.slice(), logDet, doubtful };
  }

  /** d mode / d position = −H⁻¹·Jᵀ·W·∂r/∂position, from the factor and Jacobian in force. */
  private modeSlope(h: Hypothesis, position: number): Float64Array {
    const { n, m, jacobian, weights } = this;
    const step = position < 0.5 ? POSITION_STEP : -POSITION_STEP;
    this.residualsAt(h, position + step, this.u, this.shifted);
    const slope = new Float64Array(n);
    for (let i = 0; i < m; i++) {
      const change = (weights[i] * (this.shifted[i] - this.residual[i])) / step;
      for (const k of this.active) slope[k] -= jacobian[i * n + k] * change;
    }
    solveLower(this.factor, n, slope, slope);
    solveUpper(this.factor, n, slope, slope);
    return slope;
  }

  private residualsAt(h: Hypothesis, position: number, u: Float64Array, out: Float64Array): Float64Array {
    this.predictor.predict(h, position, u, this.predictions);
    this.predictor.residuals(this.predictions, out);
    return out;
  }

  /** ln likelihood of the last predictions plus ln prior of u relative to the density at the middle. */
  private score(u: Float64Array): number {
    let half = 0;
    for (let k = 0; k < this.n; k++) half += u[k] * u[k];
    return this.predictor.logLikelihood(this.predictions) + this.predictor.latent.logPriorRatio(u) - 0.5 * half;
  }

  /** What a step must lower: half the weighted squares of the residuals and of the distance from the prior. */
  private misfit(u: Float64Array, residual: Float64Array): number {
    let sum = 0;
    for (let i = 0; i < this.m; i++) sum += this.weights[i] * residual[i] * residual[i];
    for (let k = 0; k < this.n; k++) sum += this.predictor.latent.precision(k, u[k]) * u[k] * u[k];
    return 0.5 * sum;
  }

  /** Largest difference between the residuals found and those the straight line promised, among trusted readings. */
  private bend(factor: number): number {
    const { n, m } = this;
    let worst = 0;
    for (let i = 0; i < m; i++) {
      if (this.weights[i] < 0.5) continue;
      let promised = this.residual[i];
      for (let k = 0; k < n; k++) promised += this.jacobian[i * n + k] * factor * this.column[k];
      worst = Math.max(worst, Math.abs(promised - this.shifted[i]));
    }
    return worst;
  }

  private linearise(h: Hypothesis, position: number): void {
    const { n, m, u } = this;
    for (const k of this.active) {
      const kept = u[k];
      u[k] = kept + STEP;
      this.residualsAt(h, position, u, this.shifted);
      u[k] = kept;
      for (let i = 0; i < m; i++) this.jacobian[i * n + k] = (this.shifted[i] - this.residual[i]) / STEP;
    }
  }

  private firstWeights(trusting: boolean): void {
    const { n, m } = this;
    for (let i = 0; i < m; i++) {
      let variance = 1;
      if (!trusting) for (let k = 0; k < n; k++) variance += this.jacobian[i * n + k] ** 2;
      this.weights[i] = trusting ? 1 : soundProbability(this.residual[i], variance);
    }
  }

  /**
   * Weighted least squares on the straight-line model, the weights renewed until they stand still; the step goes into `column`.
   * Returns whether a reading was doubted on the way.
   */
  private solveWeighted(): boolean {
    const { n, m, u, next, jacobian, residual, weights } = this;
    let lowest = 1;
    for (let i = 0; i < m; i++) lowest = Math.min(lowest, weights[i]);
    for (let round = 0; round < 6; round++) {
      this.factorise();
      for (let k = 0; k < n; k++) {
        let sum = 0;
        for (let i = 0; i < m; i++) {
          let fixed = residual[i];
          for (let l = 0; l < n; l++) fixed -= jacobian[i * n + l] * u[l];
          sum -= weights[i] * jacobian[i * n + k] * fixed;
        }
        this.gradient[k] = sum;
      }
      solveLower(this.factor, n, this.gradient, next);
      solveUpper(this.factor, n, next, next);
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
    for (let k = 0; k < n; k++) this.column[k] = next[k] - u[k];
    return lowest < 0.95;
  }

  /** Precision at the present weights: prior plus the weighted normal equations. Returns ln det. */
  private factorise(): number {
    const { n, m, precision, jacobian, weights } = this;
    precision.fill(0);
    for (let k = 0; k < n; k++) precision[k * n + k] = this.predictor.latent.precision(k, this.u[k]);
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
    return choleskyFactor(precision, n, this.factor);
  }
}

/** Probability that a reading with this deviation (1σ units, variance as given) is no blunder, blunders (1 %) spread over about 300 σ. */
function soundProbability(residual: number, variance: number): number {
  const good = Math.exp(-0.5 * Math.min(1400, (residual * residual) / variance)) / Math.sqrt(2 * Math.PI * variance);
  return good / (good + 3e-5);
}
