import type { Hypothesis } from '../model/predictor.ts';
import { everyUnknown, linearise, residualsAt, type Workspace } from './workspace.ts';

/**
 * How far the unknowns can carry each reading: the widest 1 + variance (in σ²) that they give it, over some hypotheses of every kind, generous
 * by a factor of two; once with every instrument trusted and once with the thermometer read wrong.
 */
export interface Reach {
  trusted: Float64Array;
  doubted: Float64Array;
}

/** The reach of the unknowns under these hypotheses. */
export function reachOf(ws: Workspace, hypotheses: readonly Hypothesis[]): Reach {
  const { n, m, u, residual, jacobian, predictor } = ws;
  const [trusted, doubted] = [new Float64Array(m).fill(1), new Float64Array(m).fill(1)];
  const all = everyUnknown(ws);
  for (const h of hypotheses) {
    u.set(predictor.start(h));
    residualsAt(ws, h, 0.5, u, residual);
    linearise(ws, h, 0.5, all);
    for (let i = 0; i < m; i++) {
      let [variance, wide] = [0, 0];
      for (let k = 0; k < n; k++) {
        const part = jacobian[i * n + k] ** 2;
        variance += part;
        wide += part * predictor.latent.doubtedVariance(k);
      }
      trusted[i] = Math.max(trusted[i], 1 + 2 * variance);
      doubted[i] = Math.max(doubted[i], 1 + 2 * wide);
    }
  }
  return { trusted, doubted };
}

/** Largest share of one reading in a deficit: about what its being a blunder would cost. */
const CAP = 10;
/** Deficit of a thermometer reading that is a blunder: −ln of its chance and of the width it may then have. */
const THERMOMETER_COST = 6;

/**
 * How badly the readings miss at a position with every unknown at its middle: Σ ½·r²/(1 + widest prior variance), each reading capped, since
 * it may be a blunder. A place with a much larger deficit than the best is not worth a fit. `residual` receives the deviations, in 1σ.
 * `doubting` allows for a thermometer that was read wrong: only worth it where nothing fits otherwise, for it reaches almost everything.
 */
export function deficitAt(
  ws: Workspace,
  h: Hypothesis,
  position: number,
  reach: Reach,
  doubting: boolean,
  residual: Float64Array,
): number {
  ws.u.set(ws.predictor.start(h));
  residualsAt(ws, h, position, ws.u, residual);
  const trusted = missOf(residual, reach.trusted);
  return doubting ? Math.min(trusted, THERMOMETER_COST + missOf(residual, reach.doubted)) : trusted;
}

function missOf(residual: Float64Array, widest: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < residual.length; i++) sum += Math.min(CAP, (0.5 * residual[i] * residual[i]) / widest[i]);
  return sum;
}
