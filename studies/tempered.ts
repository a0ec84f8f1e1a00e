import type { Fault } from '../core/src/circuit/faults/fault.ts';
import type { Predictor } from '../core/src/inference/model/predictor.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { logSumExp } from '../core/src/base/numeric/logSumExp.ts';
import { normalQuantile } from '../core/src/base/numeric/normal.ts';
import { happens, pick, seededUniform } from '../core/src/base/numeric/random.ts';
import { type Normal, type Particle, Possibilities, type Possibility } from './possibilities.ts';

/** How a fault's evidence is to be had: so many runs of so many particles, each moved so often after every step; then so many draws around them. */
export interface Effort {
  runs: number;
  particles: number;
  moves: number;
  draws: number;
}

/** ln evidence of one fault and its relative standard error. */
export interface TemperedEvidence {
  logEvidence: number;
  relativeError: number;
  /** How often the circuit was solved for it. */
  draws: number;
}

/** The instruments are taken for so many times less exact to begin with. */
const COARSEST = 300;
/** Steps of the likelihood are such that so many of the particles still count. */
const STILL_COUNT = 0.6;
const [BY_GUIDE, BY_PRIOR] = [0.6, 0.3];

/**
 * Ideal inference with nothing of the engine's but its model: particles drawn from the prior of a fault, read with instruments that are taken for coarse and
 * become exact little by little, resampled and walked in between; where they have come to only says around where to draw. The figure is that of plain importance
 * sampling with these draws and a tenth from the prior, so that no step of the walk can bias it. Where the readings are many and exact, averaging over prior draws
 * (`yardstick.ts`) finds next to nothing; this finds the same number.
 * Source: Del Moral, Doucet and Jasra, Sequential Monte Carlo samplers, J. R. Stat. Soc. B 68 (2006); draws around draws: Cappé and others, Population Monte Carlo,
 * J. Comput. Graph. Stat. 13 (2004).
 */
export function temperedEvidence(problem: Problem, fault: Fault, effort: Effort, seed = 1): TemperedEvidence {
  return tempered(problem, fault, effort, seed).evidence;
}

/** The same, with so many draws of what is then believed of the fault, equally weighted. */
export function temperedDraws(
  problem: Problem,
  fault: Fault,
  effort: Effort,
  count: number,
  seed = 1,
): TemperedEvidence & { possibilities: Possibility[] } {
  const { evidence, weighed, runs } = tempered(problem, fault, effort, seed);
  const total = logSumExp(weighed.logWeights);
  const weights = weighed.logWeights.map((l) => Math.exp(l - total));
  const particles = resampled(weighed.particles, weights, count, runs[0].uniform);
  return { ...evidence, possibilities: particles.map((p) => runs[0].possibility(p)) };
}

function tempered(
  problem: Problem,
  fault: Fault,
  effort: Effort,
  seed: number,
): { evidence: TemperedEvidence; weighed: Weighed; runs: readonly Run[] } {
  const runs = Array.from({ length: effort.runs }, (_, r) => new Run(problem, fault, effort, seed * 1009 + r));
  let around = runs.flatMap((run) => run.come());
  let weighed: Weighed = { particles: [], logWeights: [] };
  for (const share of [0.15, 0.25, 0.6]) {
    weighed = runs[0].drawnAround(around, Math.round(share * effort.draws));
    const total = logSumExp(weighed.logWeights);
    around = resampled(
      weighed.particles,
      weighed.logWeights.map((l) => Math.exp(l - total)),
      around.length,
      runs[0].uniform,
    );
  }
  const { logWeights } = weighed;
  const logEvidence = logSumExp(logWeights) - Math.log(logWeights.length);
  const squares = Math.exp(logSumExp(logWeights.map((l) => 2 * (l - logEvidence))));
  const evidence = {
    logEvidence,
    relativeError: Math.sqrt(Math.max(0, squares / logWeights.length - 1) / logWeights.length),
    draws: runs.reduce((sum, r) => sum + r.draws, 0),
  };
  return { evidence, weighed, runs };
}

interface Weighed {
  particles: Particle[];
  logWeights: number[];
}
/** Share of the last draws that come from the prior; the others come from around so many of the particles, by what is normal there, a little widened. */
const [FROM_PRIOR, CENTRES, WIDTH] = [0.1, 80, 1.2];
/** The draws around have the tails of Student's t with so many degrees of freedom (an even number), so that no region is drawn from too seldom. */
const FREEDOM = 8;
/** The walk goes by what is normal at so many of the particles. */
const GUIDES = 24;

class Run {
  private readonly space: Possibilities;
  readonly uniform: () => number;
  private particles: Particle[];

  constructor(
    problem: Problem,
    fault: Fault,
    private readonly effort: Effort,
    seed: number,
  ) {
    this.uniform = seededUniform(seed);
    this.space = new Possibilities(problem, fault, this.uniform);
    this.space.judge = this.space.judgeAs(COARSEST);
    this.particles = Array.from({ length: effort.particles }, (_, i) =>
      this.space.drawn((i + this.uniform()) / effort.particles),
    );
  }

  get draws(): number {
    return this.space.draws;
  }

  possibility(particle: Particle): Possibility {
    return this.space.possibility(particle);
  }

  /** Where the particles have come to when the instruments are as exact as they are. */
  come(): Particle[] {
    this.weigh(this.particles.map((p) => p.logLikelihood));
    for (let coarse = COARSEST; coarse > 1;) {
      this.walk();
      const [next, judge, logs] = this.nextStep(coarse);
      this.weigh(logs.map((l, i) => l - this.particles[i].logLikelihood));
      this.space.judge = judge;
      for (const p of this.particles) p.logLikelihood = judge.logLikelihood(p.predictions);
      coarse = next;
    }
    this.walk();
    return this.particles;
  }

  private weigh(logs: readonly number[]): void {
    const total = logSumExp(logs);
    const weights = logs.map((l) => Math.exp(l - total));
    this.particles = resampled(this.particles, weights, weights.length, this.uniform);
  }

  /** Draws around these particles and now and then from the prior, with the weights that make of them draws of the prior times the likelihood. */
  drawnAround(around: readonly Particle[], count: number): Weighed {
    const { uniform, space } = this;
    const { dimension: d } = space;
    space.judge = space.judgeAs(1);
    const centres = Array.from({ length: CENTRES }, (_, c) =>
      this.space.normalAt(around[Math.floor(((c + 0.5) * around.length) / CENTRES)]),
    );
    const weighed: Weighed = { particles: [], logWeights: [] };
    const logKernel = Math.log((1 - FROM_PRIOR) / CENTRES) - d * Math.log(WIDTH) + logStudentScale(d);
    for (let i = 0; i < count; i++) {
      const centre = centres[Math.floor(uniform() * CENTRES)];
      const particle = happens(FROM_PRIOR, uniform)
        ? this.space.drawn(uniform())
        : this.space.judged(centre.hypothesis, this.space.stepped(centre.x, centre, WIDTH * this.stretch()));
      const { hypothesis, x } = particle;
      const logPrior = this.space.logPrior(particle);
      const terms = [Math.log(FROM_PRIOR / this.space.shares) + logPrior];
      for (const { hypothesis: own, x: middle, factor, halfLogDet } of centres) {
        if (own !== hypothesis) continue;
        let distance = 0;
        for (let k = 0; k < d; k++) {
          let sum = 0;
          for (let l = k; l < d; l++) sum += factor[l * d + k] * (x[l] - middle[l]);
          distance += sum * sum;
        }
        terms.push(logKernel + halfLogDet - ((FREEDOM + d) / 2) * Math.log1p(distance / (FREEDOM * WIDTH * WIDTH)));
      }
      weighed.particles.push(particle);
      weighed.logWeights.push(particle.logLikelihood + logPrior - logSumExp(terms));
    }
    return weighed;
  }

  /** How exact the instruments are taken for next, who judges so, and the ln likelihoods then. */
  private nextStep(coarse: number): [number, Predictor, number[]] {
    const at = (next: number): [number, Predictor, number[]] => {
      const judge = this.space.judgeAs(next);
      return [next, judge, this.particles.map((p) => judge.logLikelihood(p.predictions))];
    };
    const enough = (step: [number, Predictor, number[]]): boolean => {
      const logs = step[2].map((l, i) => l - this.particles[i].logLikelihood);
      return Math.exp(2 * logSumExp(logs) - logSumExp(logs.map((l) => 2 * l))) >= STILL_COUNT * logs.length;
    };
    const last = at(1);
    if (enough(last)) return last;
    let [low, high] = [0, Math.log(coarse)];
    let found = at(coarse * Math.exp(-1e-3));
    for (let i = 0; i < 5; i++) {
      const middle = (low + high) / 2;
      const step = at(coarse * Math.exp(-middle));
      if (enough(step)) [low, found] = [middle, step];
      else high = middle;
    }
    return found;
  }

  /** What turns a normal step into one of Student's t. */
  private stretch(): number {
    let log = 0;
    for (let i = 0; i < FREEDOM / 2; i++) log += Math.log(this.uniform());
    return Math.sqrt(FREEDOM / (-2 * log));
  }

  /** Moves every particle: by what is normal at some other as it stood before, by a fresh draw of one unknown, or to another hypothesis. */
  private walk(): void {
    const guides = Array.from({ length: GUIDES }, () => this.space.normalAt(pick(this.particles, this.uniform)));
    const alike = new Map<number, Normal[]>();
    for (const guide of guides) alike.set(guide.hypothesis, [...(alike.get(guide.hypothesis) ?? []), guide]);
    for (let m = 0; m < this.effort.moves; m++)
      this.particles = this.particles.map((particle) =>
        this.moved(particle, pick(alike.get(particle.hypothesis) ?? guides, this.uniform)),
      );
  }

  private moved(particle: Particle, guide: Normal): Particle {
    const { uniform, space } = this;
    const { dimension: d, hypotheses } = space;
    let x: Float64Array = particle.x.slice();
    let { hypothesis } = particle;
    let gain = 0;
    const kind = uniform();
    if (kind < BY_GUIDE)
      x = this.space.stepped(x, guide, (1.7 / Math.sqrt(d)) * Math.exp(0.7 * normalQuantile(uniform())));
    else if (kind < BY_GUIDE + BY_PRIOR || hypotheses.length === 1) {
      const k = Math.floor(uniform() * d);
      gain -= 0.5 * x[k] * x[k];
      x[k] = normalQuantile(uniform());
      gain += 0.5 * x[k] * x[k];
    } else hypothesis = Math.floor(uniform() * hypotheses.length);
    const next = this.space.judged(hypothesis, x);
    gain += next.logLikelihood - particle.logLikelihood + this.space.logPrior(next) - this.space.logPrior(particle);
    return Math.log(uniform()) < gain ? next : particle;
  }
}

/** ln of the height of Student's t in d dimensions, relative to that of the normal distribution: ln Γ((ν + d)/2) − ln Γ(ν/2) − d/2 · ln(ν/2). */
function logStudentScale(d: number): number {
  // Γ(ν/2 + 1/2) / Γ(ν/2), for the odd dimension.
  let half = Math.sqrt(Math.PI) / 2;
  for (let k = 1; k < FREEDOM / 2; k++) half *= (k + 0.5) / k;
  let sum = d % 2 === 1 ? Math.log(half) : 0;
  for (let k = 0; k < Math.floor(d / 2); k++) sum += Math.log((FREEDOM + (d % 2)) / 2 + k);
  return sum - (d / 2) * Math.log(FREEDOM / 2);
}

/** Systematic resampling: each particle as often as its weight says, to within one. */
function resampled(
  particles: readonly Particle[],
  weights: readonly number[],
  count: number,
  uniform: () => number,
): Particle[] {
  const chosen: Particle[] = [];
  let sum = -uniform() / count;
  weights.forEach((w, i) => {
    sum += w;
    while (chosen.length < count && sum >= chosen.length / count) chosen.push({ ...particles[i] });
  });
  while (chosen.length < count) chosen.push({ ...chosen[chosen.length - 1] });
  return chosen;
}
