import { hypothesesOf, settingOf, weightedFaults } from '../core/src/inference/model/hypotheses.ts';
import { Predictor } from '../core/src/inference/model/predictor.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { type Fault, positionOf } from '../core/src/circuit/faults/fault.ts';
import { normalQuantile } from '../core/src/base/numeric/normal.ts';
import { drawIndex, seededUniform } from '../core/src/base/numeric/random.ts';

/** Evidence of one fault by plain averaging over prior draws. */
export interface BruteEvidence {
  fault: string;
  prior: number;
  logEvidence: number;
  /** Relative standard error of the average. */
  relativeError: number;
}

/** The slow, simple way to the same numbers: the likelihood of all readings, averaged over `draws` draws of each fault's prior. */
export function yardstick(
  problem: Problem,
  draws: number,
  only?: (fault: Fault) => boolean,
  seed = 1,
): BruteEvidence[] {
  const predictor = new Predictor(problem);
  const setting = settingOf(problem);
  const { latent } = predictor;
  const u = new Float64Array(latent.dimension);
  const predictions = new Float64Array(predictor.readings.length);
  return weightedFaults(problem)
    .filter(({ fault }) => only?.(fault) ?? true)
    .map(({ fault, weight }) => {
      const uniform = seededUniform(seed);
      const hypotheses = hypothesesOf(fault, setting, problem);
      const shares = hypotheses.map((h) => Math.exp(h.logShare));
      let top = -Infinity;
      let [sum, squares] = [0, 0];
      for (let i = 0; i < draws; i++) {
        const h = hypotheses[drawIndex(shares, uniform)];
        latent.draw(() => normalQuantile(uniform()), uniform, u);
        predictor.predict(h, positionOf(h.branch, uniform()), u, predictions);
        const log = predictor.logLikelihood(predictions);
        if (log > top) {
          const scale = Math.exp(top - log);
          [sum, squares, top] = [sum * scale, squares * scale * scale, log];
        }
        const w = Math.exp(log - top);
        sum += w;
        squares += w * w;
      }
      return {
        fault: fault.id,
        prior: weight,
        logEvidence: top + Math.log(sum / draws),
        relativeError: Math.sqrt(Math.max(0, squares / (sum * sum) - 1 / draws)),
      };
    });
}
