import { type Fault, logPositionDensity } from '../../circuit/faults/fault.ts';
import { solveUpper } from '../../base/numeric/cholesky.ts';
import { firstAtLeast } from '../../base/numeric/firstAtLeast.ts';
import { logSumExp } from '../../base/numeric/logSumExp.ts';
import { quasiRandomColumn } from '../../base/numeric/quasiRandom.ts';
import { type Cell, type NodeLayout, toCells } from './cells.ts';
import type { Conditional } from './conditionalFit.ts';
import type { Hypothesis, Predictor } from '../model/predictor.ts';

/** One weighted draw from the posterior of a fault. */
export interface Draw {
  hypothesis: Hypothesis;
  position: number;
  u: Float64Array;
  /** Size in the fault's unit; NaN for a fault without one. */
  size: number;
  /** Share within the fault; the shares sum to one. */
  weight: number;
  /** What each reading is predicted to be. */
  predictions: Float64Array;
}

/** ln probability of all readings under one fault, with draws from what is then believed. */
export interface FaultEvidence {
  fault: Fault;
  logEvidence: number;
  /** Relative 1σ of the evidence from sampling; NaN where the fault was too unlikely to be sampled (`draws` is empty then). */
  relativeError: number;
  draws: readonly Draw[];
}

/** A fault before sampling: the cells of all its hypotheses and the Laplace estimate of its evidence. */
export interface FaultOutline {
  fault: Fault;
  cells: readonly Cell[];
  logEvidence: number;
}

/** The fault's outline from the layouts of its hypotheses as they stand. */
export function outlineFault(fault: Fault, layouts: readonly NodeLayout[]): FaultOutline {
  const cells = layouts.flatMap(toCells);
  return { fault, cells, logEvidence: logSumExp(cells.map((c) => c.logMass)) };
}

const BATCH = 256;
const MAX_BATCHES = 6;
/** Batches for a fault whose rough `probability` is below 1 %. */
const FEW_BATCHES = 2;
/** Relative error that will do; less is asked where one fault has it all and its own figure changes nothing. */
const ENOUGH = 0.03;
const ENOUGH_WHEN_DECIDED = 0.045;
/** Beyond this relative error one draw carries most of it. */
const UNSURE = 0.7;
/** Share of draws spread by width alone, share of unknowns drawn from the prior, and widening of the fitted normals. */
const [BY_WIDTH, FROM_PRIOR, WIDER] = [0.1, 0.25, 1.1];

/**
 * Evidence of one fault by importance sampling over its cells: position even within a cell, unknowns from the normals fitted there, or
 * now and then from the prior, so that no explanation is missed. Low-discrepancy points, the same on every run; more batches while the
 * estimate is not yet good to 3 %, six at most. `probability` is the rough one, from the outlines.
 */
export function sampleFault(outline: FaultOutline, predictor: Predictor, probability: number): FaultEvidence {
  const { fault, cells } = outline;
  const { latent } = predictor;
  const [n, m] = [latent.dimension, predictor.readings.length];
  const sampler = new CellSampler(cells, n);
  const draws: Draw[] = [];
  const logWeights: number[] = [];
  let relativeError = Infinity;
  const batches = probability < 0.01 ? FEW_BATCHES : MAX_BATCHES;
  const enough = probability > 0.99 ? ENOUGH_WHEN_DECIDED : ENOUGH;
  for (let batch = 0; batch < batches && relativeError > enough; batch++) {
    // One store for all draws of a batch: a thousand small ones would cost more than what is put into them.
    const store = new Float64Array(BATCH * (n + m));
    for (let i = 0; i < BATCH; i++) {
      const u = store.subarray(i * (n + m), i * (n + m) + n);
      const predictions = store.subarray(i * (n + m) + n, (i + 1) * (n + m));
      const { cell, position, logDensity } = sampler.draw(batch * BATCH + i, u);
      predictor.predict(cell.hypothesis, position, u, predictions);
      logWeights.push(
        predictor.logLikelihood(predictions) +
          latent.logPriorRatio(u) +
          cell.hypothesis.logShare +
          logPositionDensity(cell.hypothesis.branch, position) -
          logDensity,
      );
      draws.push({ hypothesis: cell.hypothesis, position, u, size: predictor.lastSize, weight: 0, predictions });
    }
    relativeError = relativeSpread(logWeights);
  }
  if (relativeError > UNSURE) truncate(logWeights);
  const total = logSumExp(logWeights);
  draws.forEach((draw, i) => (draw.weight = Math.exp(logWeights[i] - total)));
  return { fault, logEvidence: total - Math.log(draws.length), relativeError, draws };
}

/**
 * Caps the weights at √N times their mean, so that no single draw carries the estimate: a little too low then, in place of anything at all.
 * Source: Ionides, Truncated importance sampling, J. Comput. Graph. Stat. 17 (2008).
 */
function truncate(logWeights: number[]): void {
  const cap = logSumExp(logWeights) - 0.5 * Math.log(logWeights.length);
  logWeights.forEach((w, i) => (logWeights[i] = Math.min(w, cap)));
}

/** Relative standard error of the mean of exp(values). */
function relativeSpread(values: readonly number[]): number {
  const top = Math.max(...values);
  if (top === -Infinity) return 0;
  let [sum, squares] = [0, 0];
  for (const v of values) {
    const w = Math.exp(v - top);
    sum += w;
    squares += w * w;
  }
  return Math.sqrt(Math.max(0, squares / (sum * sum) - 1 / values.length));
}

/** Draws (cell, position, u) and knows the density it draws with, relative to the standard normal in u. */
class CellSampler {
  private readonly cumulative: Float64Array;
  private readonly share: Float64Array;
  private readonly z: Float64Array;
  private readonly away: Float64Array;
  private readonly mixtures: readonly Mixture[];
  private readonly normals: readonly Float64Array[];
  private readonly forCell: Float64Array;
  private readonly forPosition: Float64Array;
  private readonly forFit: Float64Array;

  constructor(
    private readonly cells: readonly Cell[],
    private readonly n: number,
  ) {
    const total = logSumExp(cells.map((c) => c.logMass));
    const prior = cells.map((c) => (c.high - c.low) * Math.exp(c.hypothesis.logShare));
    const priorTotal = prior.reduce((a, b) => a + b, 0);
    this.share = Float64Array.from(
      cells,
      (c, j) => (1 - BY_WIDTH) * Math.exp(c.logMass - total) + (BY_WIDTH * prior[j]) / priorTotal,
    );
    let sum = 0;
    this.cumulative = this.share.map((s) => (sum += s));
    this.z = new Float64Array(n);
    this.away = new Float64Array(n);
    this.mixtures = cells.map((c) => mixtureOf(c, n));
    this.normals = Array.from({ length: n }, (_, k) => quasiRandomColumn(k).normal);
    [this.forCell, this.forPosition, this.forFit] = [n, n + 1, n + 2].map((k) => quasiRandomColumn(k).even);
  }

  /** The draw that belongs to one point of the sequence; its unknowns into `u`. */
  draw(index: number, u: Float64Array): { cell: Cell; position: number; logDensity: number } {
    const { n, z, normals } = this;
    const target = this.forCell[index] * this.cumulative[this.cumulative.length - 1];
    const j = firstAtLeast(this.cumulative, target);
    const cell = this.cells[j];
    const position = cell.low + this.forPosition[index] * (cell.high - cell.low);
    for (let k = 0; k < n; k++) z[k] = normals[k][index];
    const pick = this.forFit[index];
    if (pick < FROM_PRIOR || cell.fits.length === 0) u.set(z);
    else {
      const { shares } = this.mixtures[j];
      let c = 0;
      let rest = (pick - FROM_PRIOR) / (1 - FROM_PRIOR);
      while (c < shares.length - 1 && rest > shares[c]) rest -= shares[c++];
      const fit = cell.fits[c];
      solveUpper(fit.factor, n, z, u);
      const shift = position - cell.node;
      for (let k = 0; k < n; k++) u[k] = fit.mode[k] + along(fit, k, shift) + WIDER * u[k];
    }
    const density = Math.log(this.share[j] / (cell.high - cell.low)) + this.logUnknownsDensity(j, position, u);
    return { cell, position, logDensity: density };
  }

  /** ln of the density of u in the mixture of cell j, relative to the standard normal density at u. */
  private logUnknownsDensity(j: number, position: number, u: Float64Array): number {
    const { fits, node } = this.cells[j];
    if (fits.length === 0) return 0;
    const { n, away } = this;
    const { offsets, terms } = this.mixtures[j];
    let half = 0;
    for (let k = 0; k < n; k++) half += u[k] * u[k];
    half *= 0.5;
    fits.forEach((fit, c) => {
      for (let i = 0; i < n; i++) away[i] = u[i] - fit.mode[i] - along(fit, i, position - node);
      let distance = 0;
      for (let k = 0; k < n; k++) {
        // One row of Lᵀ·(u − mode).
        let sum = 0;
        for (let i = k; i < n; i++) sum += fit.factor[i * n + k] * away[i];
        distance += sum * sum;
      }
      terms[c + 1] = offsets[c] - (0.5 * distance) / (WIDER * WIDER) + half;
    });
    return logSumExp(terms);
  }
}

/** What the density in a cell has that no draw changes. */
interface Mixture {
  /** Share of each fit among what is drawn from the fits. */
  shares: readonly number[];
  /** ln of each fit's density at its mode. */
  offsets: readonly number[];
  /** Scratch: ln density by the prior, then by each fit. */
  terms: Float64Array;
}

function mixtureOf({ fits }: Cell, n: number): Mixture {
  const shares = fitShares(fits);
  const offsets = fits.map((fit, c) => Math.log((1 - FROM_PRIOR) * shares[c]) + 0.5 * fit.logDet - n * Math.log(WIDER));
  const terms = new Float64Array(fits.length + 1);
  terms[0] = Math.log(FROM_PRIOR);
  return { shares, offsets, terms };
}

/** How far the mode of coordinate k has moved at this distance from the node; bounded, since slopes at a kink are wild. */
function along(fit: Conditional, k: number, shift: number): number {
  const moved = fit.slope[k] * shift;
  return moved > 4 ? 4 : moved < -4 ? -4 : moved;
}

function fitShares(fits: readonly Conditional[]): number[] {
  if (fits.length === 1) return [1];
  const total = logSumExp(fits.map((f) => f.logEvidence));
  // Never less than a tenth: the Laplace weights of two rival modes are rough.
  const raw = fits.map((f) => Math.max(0.1, Math.exp(f.logEvidence - total)));
  const sum = raw.reduce((a, b) => a + b, 0);
  return raw.map((r) => r / sum);
}
