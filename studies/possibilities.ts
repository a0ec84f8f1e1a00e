import type { Fault } from '../core/src/circuit/faults/fault.ts';
import type { Instruments } from '../core/src/catalogue/kit/instruments.ts';
import { hypothesesOf, settingOf } from '../core/src/inference/model/hypotheses.ts';
import type { LatentSpace } from '../core/src/inference/model/latent.ts';
import { type Hypothesis, Predictor } from '../core/src/inference/model/predictor.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { choleskyFactor, solveUpper } from '../core/src/base/numeric/cholesky.ts';
import { positionOf } from '../core/src/circuit/faults/fault.ts';
import { normalCdf, normalQuantile } from '../core/src/base/numeric/normal.ts';

/** One definite possibility: a hypothesis, where in its range the fault lies (standard normal), and the unknowns. */
export interface Particle {
  hypothesis: number;
  /** The unknowns, and last the place of the fault. */
  x: Float64Array;
  /** What each reading is predicted to be. */
  predictions: Float64Array;
  /** By the instruments as they are taken at the moment. */
  logLikelihood: number;
}

/** A possibility in the terms of the model. */
export interface Possibility {
  hypothesis: Hypothesis;
  position: number;
  u: Float64Array;
  predictions: Float64Array;
}

/** A normal distribution about a particle, by the lower factor of its precision and half ln of that one's determinant. */
export interface Normal {
  hypothesis: number;
  x: Float64Array;
  factor: Float64Array;
  halfLogDet: number;
}
/** So far apart are two points for a slope, in 1σ of the prior. */
const STEP = 1e-4;

/**
 * What a fault may be, as a space to draw from: its hypotheses, its place in each, and the unknowns, with the density that they have before the readings and
 * what the readings make of them. The slopes are its own and not the engine's, which this is to be held against.
 */
export class Possibilities {
  private readonly predictor: Predictor;
  /** Judges as if the instruments were less exact. */
  judge: Predictor;
  private readonly latent: LatentSpace;
  readonly hypotheses: readonly Hypothesis[];
  /** Sum of their shares: one, but for a part of a fault. */
  readonly shares: number;
  /** The unknowns and the place. */
  readonly dimension: number;
  /** How often the circuit was solved. */
  draws = 0;

  constructor(
    private readonly problem: Problem,
    fault: Fault,
    readonly uniform: () => number,
  ) {
    this.predictor = new Predictor(problem);
    this.judge = this.predictor;
    this.latent = this.predictor.latent;
    this.hypotheses = hypothesesOf(fault, settingOf(problem), problem);
    this.shares = this.hypotheses.reduce((sum, h) => sum + Math.exp(h.logShare), 0);
    this.dimension = this.latent.dimension + 1;
  }

  /** A draw of the prior; `share` in [0, 1) picks the hypothesis. */
  drawn(share: number): Particle {
    const { latent, hypotheses, uniform, dimension } = this;
    const x = new Float64Array(dimension);
    let rest = share * this.shares;
    const at = hypotheses.findIndex((h) => (rest -= Math.exp(h.logShare)) < 0);
    latent.draw(() => normalQuantile(uniform()), uniform, x);
    x[dimension - 1] = normalQuantile(uniform());
    return this.judged(at < 0 ? hypotheses.length - 1 : at, x);
  }

  /** A possibility with what the readings make of it. */
  judged(hypothesis: number, x: Float64Array): Particle {
    const predictions = new Float64Array(this.predictor.readings.length);
    this.predict(hypothesis, x, predictions);
    return { hypothesis, x, predictions, logLikelihood: this.judge.logLikelihood(predictions) };
  }

  private predict(hypothesis: number, x: Float64Array, out: Float64Array): void {
    this.draws++;
    const h = this.hypotheses[hypothesis];
    this.predictor.predict(h, positionOf(h.branch, normalCdf(x[this.dimension - 1])), x, out);
  }

  possibility({ hypothesis, x, predictions }: Particle): Possibility {
    const h = this.hypotheses[hypothesis];
    return { hypothesis: h, position: positionOf(h.branch, normalCdf(x[this.dimension - 1])), u: x, predictions };
  }

  /** ln density before the readings, but for what all possibilities share. */
  logPrior({ hypothesis, x }: Particle): number {
    let sum = this.hypotheses[hypothesis].logShare + this.latent.logPriorRatio(x);
    for (const v of x) sum -= 0.5 * v * v;
    return sum;
  }

  /** The normal distribution that fits around a particle: the curvature of what the prior and the readings met there say. */
  normalAt({ hypothesis, x, predictions }: Particle): Normal {
    const { judge, dimension: d } = this;
    const count = predictions.length;
    const at = x.slice();
    const [here, there] = [new Float64Array(count), new Float64Array(count)];
    judge.residuals(predictions, here);
    const moved = new Float64Array(count);
    const slopes = new Float64Array(d * count);
    for (let k = 0; k < d; k++) {
      at[k] += STEP;
      this.predict(hypothesis, at, moved);
      judge.residuals(moved, there);
      at[k] = x[k];
      for (let i = 0; i < count; i++) slopes[k * count + i] = (there[i] - here[i]) / STEP;
    }
    const precision = new Float64Array(d * d);
    for (let i = 0; i < count; i++) {
      const outcomes = new Float64Array(judge.readings[i].slips.length + 3);
      judge.explanations(i, predictions[i], outcomes);
      for (let k = 0; k < d; k++)
        for (let l = 0; l <= k; l++)
          precision[k * d + l] += outcomes[0] * slopes[k * count + i] * slopes[l * count + i];
    }
    for (let k = 0; k < d; k++) precision[k * d + k] += k < d - 1 ? this.latent.precision(k, x[k]) : 1;
    const factor = new Float64Array(d * d);
    return { hypothesis, x, factor, halfLogDet: choleskyFactor(precision, d, factor) / 2 };
  }

  /** A normal step of this width from x. */
  stepped(x: Float64Array, { factor }: Normal, width: number): Float64Array {
    const d = this.dimension;
    const z = new Float64Array(d);
    for (let k = 0; k < d; k++) z[k] = width * normalQuantile(this.uniform());
    solveUpper(factor, d, z, z);
    for (let k = 0; k < d; k++) z[k] += x[k];
    return z;
  }

  /** Scores predictions as if every instrument were so many times less exact. */
  judgeAs(coarse: number): Predictor {
    const { problem } = this;
    const { instruments } = problem;
    const wider = (ranges: Instruments['volts']): Instruments['volts'] =>
      ranges.map((r) => ({ ...r, relative: r.relative * coarse, absolute: r.absolute * coarse }));
    return new Predictor({
      ...problem,
      instruments: {
        ...instruments,
        volts: wider(instruments.volts),
        ohms: wider(instruments.ohms),
        displayedK: instruments.displayedK * coarse,
        bathK: instruments.bathK * coarse,
      },
    });
  }
}
