import type { Hypothesis } from '../model/predictor.ts';
import { deficitAt, type Reach } from './reach.ts';
import type { Workspace } from './workspace.ts';

/** A first, cheap look at one hypothesis: where along its sizes could the readings be met at all? */
export interface Survey {
  hypothesis: Hypothesis;
  /** Positions to consider, ascending, with how badly the readings miss there (about −ln likelihood, each reading capped). `meets`: one reading exactly. */
  places: { position: number; deficit: number; meets: boolean }[];
}

const COARSE = 16;
/** Positions closer than this are one. */
const SAME = 1e-4;

/**
 * Looks at an even grid of positions and at every position where a single reading alone would be met exactly, so that a peak far narrower
 * than the grid, or one that only a blunder hides, is not passed over. Costs one prediction a place. `doubting`: see `deficitAt`.
 */
export function surveyHypothesis(h: Hypothesis, ws: Workspace, reach: Reach, doubting: boolean): Survey {
  const here = new Float64Array(ws.m);
  const look = (position: number): number => deficitAt(ws, h, position, reach, doubting, here);
  if (!h.branch.sized) return { hypothesis: h, places: [{ position: 0.5, deficit: look(0.5), meets: false }] };
  const places: Survey['places'] = [];
  const crossings: number[] = [];
  let before = new Float64Array(0);
  for (let i = 0; i <= COARSE; i++) {
    const position = i / COARSE;
    const deficit = look(position);
    if (i % 2 === 1) places.push({ position, deficit, meets: false });
    for (let r = 0; r < before.length; r++) {
      // A reading that misses by less than 1 σ on both sides needs no place of its own.
      if (before[r] * here[r] < 0 && Math.max(Math.abs(before[r]), Math.abs(here[r])) > 1) {
        crossings.push(crossing(h, ws, r, (i - 1) / COARSE, position, before[r], here[r]));
      }
    }
    before = here.slice();
  }
  for (const position of crossings) {
    if (places.every((p) => Math.abs(p.position - position) > SAME))
      places.push({ position, deficit: look(position), meets: true });
  }
  places.sort((a, b) => a.position - b.position);
  return { hypothesis: h, places };
}

/** Position between two of opposite sign at which one reading is met, by four steps of secant and halving in turn. */
function crossing(
  h: Hypothesis,
  { predictor, u }: Workspace,
  r: number,
  from: number,
  to: number,
  low: number,
  high: number,
): number {
  let [a, b, fa, fb] = [from, to, low, high];
  u.set(predictor.start(h));
  for (let i = 0; i < 4; i++) {
    const x = i % 2 === 0 ? a + (b - a) * (fa / (fa - fb)) : (a + b) / 2;
    const fx = predictor.residualOf(h, x, u, r);
    if (fx === 0) return x;
    if (fx * fa > 0) [a, fa] = [x, fx];
    else [b, fb] = [x, fx];
  }
  return a + (b - a) * (fa / (fa - fb));
}
