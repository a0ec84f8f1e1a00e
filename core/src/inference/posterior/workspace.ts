import type { Hypothesis, Predictor } from '../model/predictor.ts';

/**
 * Scratch space of the fits of one predictor: made once, written by every call, read by nobody afterwards. n unknowns, m readings; matrices
 * row major. What a call returns never points into it.
 */
export interface Workspace {
  readonly predictor: Predictor;
  readonly n: number;
  readonly m: number;
  /** The point in hand, a tried one and the solution of the straight-line model. */
  readonly u: Float64Array;
  readonly moved: Float64Array;
  readonly next: Float64Array;
  readonly step: Float64Array;
  readonly gradient: Float64Array;
  readonly predictions: Float64Array;
  /** Deviations of the readings at the point in hand and at another one, in 1σ. */
  readonly residual: Float64Array;
  readonly shifted: Float64Array;
  /** What the straight-line model makes of the deviations where every unknown is at its middle. */
  readonly atOrigin: Float64Array;
  /** Probability of each reading to be no blunder. */
  readonly weights: Float64Array;
  /** m × n: change of each deviation with each unknown. */
  readonly jacobian: Float64Array;
  /** n × n: precision at the point in hand, and its lower Cholesky factor. */
  readonly precision: Float64Array;
  readonly factor: Float64Array;
}

/** Scratch space for the readings and unknowns of a predictor. */
export function makeWorkspace(predictor: Predictor): Workspace {
  const n = predictor.latent.dimension;
  const m = predictor.readings.length;
  const vector = (k: number): Float64Array => new Float64Array(k);
  return {
    predictor,
    n,
    m,
    u: vector(n),
    moved: vector(n),
    next: vector(n),
    step: vector(n),
    gradient: vector(n),
    predictions: vector(m),
    residual: vector(m),
    shifted: vector(m),
    atOrigin: vector(m),
    weights: vector(m),
    jacobian: vector(m * n),
    precision: vector(n * n),
    factor: vector(n * n),
  };
}

/** Deviations of all readings at a point of the unknowns, in 1σ, into `out`. */
export function residualsAt(
  { predictor, predictions }: Workspace,
  h: Hypothesis,
  position: number,
  u: Float64Array,
  out: Float64Array,
): void {
  predictor.predict(h, position, u, predictions);
  predictor.residuals(predictions, out);
}

/** Step of the difference quotients, in 1σ of an unknown. */
const DIFFERENCE = 1e-4;

/** Change of every deviation with each of the unknowns `felt`, at `ws.u` where `ws.residual` was found; other columns are 0. */
export function linearise(ws: Workspace, h: Hypothesis, position: number, felt: readonly number[]): void {
  const { n, m, u, residual, shifted, jacobian, predictor, predictions } = ws;
  for (const k of felt) {
    const kept = u[k];
    u[k] = kept + DIFFERENCE;
    if (predictor.latent.displayedOnly(k)) {
      predictor.predictDisplayed(h, position, u, predictions);
      for (let i = 0; i < m; i++) jacobian[i * n + k] = 0;
      for (const i of predictor.displayed) {
        const { noise, value } = predictor.readings[i];
        jacobian[i * n + k] = (noise.residual(value, predictions[i]) - residual[i]) / DIFFERENCE;
      }
    } else {
      residualsAt(ws, h, position, u, shifted);
      for (let i = 0; i < m; i++) jacobian[i * n + k] = (shifted[i] - residual[i]) / DIFFERENCE;
    }
    u[k] = kept;
  }
}

/** Every unknown of a workspace. */
export function everyUnknown({ n }: Workspace): number[] {
  return Array.from({ length: n }, (_, k) => k);
}

/** Change below which an unknown is not felt, in 1σ of a reading for 1σ of the unknown. */
const FELT = 0.05;

/** The unknowns on which any reading depends noticeably under a hypothesis, looked at in three positions; the others keep their prior. */
export function feltUnknowns(ws: Workspace, h: Hypothesis): number[] {
  const { n, m, u, residual, jacobian } = ws;
  const all = everyUnknown(ws);
  const felt = new Set<number>();
  for (const position of h.branch.sized ? [0.1, 0.5, 0.9] : [0.5]) {
    u.set(ws.predictor.start(h));
    residualsAt(ws, h, position, u, residual);
    linearise(ws, h, position, all);
    for (let i = 0; i < m; i++) {
      for (let k = 0; k < n; k++) if (Math.abs(jacobian[i * n + k]) > FELT) felt.add(k);
    }
  }
  return all.filter((k) => felt.has(k));
}
