import { CATALOGUE_CURVES } from '../../catalogue/parts/curves.ts';
import { realOhm } from '../../circuit/network/sensorCircuit.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import type { Posterior } from '../posterior/posterior.ts';

/** Temperatures at which a curve is compared, °C, and how near in ln R it must come to be the same part. */
const AT_C = [0, 25, 50];
const NEAR_LOG = 0.08;
/** Curves below this share of the likeliest are not named, and not more than these. */
const [WORTH_NAMING, MOST] = [0.1, 4];

/**
 * The curves of the catalogue near those that the readings leave, most likely first; `share` is relative to all of the catalogue. Empty where
 * none is near, or where the readings say nothing of the curve yet.
 */
export function possibleCurves({ faults, predictor }: Posterior): { name: string; share: number }[] {
  const known = CATALOGUE_CURVES.map(({ name, curve }) => {
    const model = curveModel(curve);
    return { name, logs: logsOf((t) => model.resistanceOhm(t)) };
  });
  const scores = new Float64Array(known.length);
  for (const f of faults) {
    for (const d of f.draws) {
      const { state } = predictor.solvedAt(d.hypothesis, d.position, d.u, 'steady');
      const logs = logsOf((t) => realOhm(d.hypothesis.curve, state, t));
      known.forEach((curve, i) => {
        const square = curve.logs.reduce((sum, l, k) => sum + (l - logs[k]) ** 2, 0) / AT_C.length;
        scores[i] += f.probability * d.weight * Math.exp(-square / (2 * NEAR_LOG * NEAR_LOG));
      });
    }
  }
  const total = scores.reduce((a, b) => a + b, 0);
  const top = Math.max(...scores);
  return known
    .map(({ name }, i) => ({ name, share: total > 0 ? scores[i] / total : 0 }))
    .filter(({ share }) => share >= (WORTH_NAMING * top) / Math.max(total, 1e-300) && share > 0.02)
    .sort((a, b) => b.share - a.share)
    .slice(0, MOST);
}

function logsOf(resistanceOhm: (temperatureC: number) => number): number[] {
  return AT_C.map((t) => Math.log(resistanceOhm(t)));
}
