import type { ConditionalFit } from './conditionalFit.ts';
import type { Hypothesis } from '../model/predictor.ts';

/** A first, cheap look at one hypothesis: where along its sizes could the readings be met at all? */
export interface Survey {
  hypothesis: Hypothesis;
  /** Positions to consider, ascending, with how badly the readings miss there (about −ln likelihood, each reading capped). */
  places: { position: number; deficit: number }[];
}

const COARSE = 16;
/** Positions closer than this are one. */
const SAME = 1e-4;

/**
 * Looks at an even grid of positions and at every position where a single reading alone would be met exactly, so that a peak far narrower
 * than the grid, or one that only a blunder hides, is not passed over. Costs one prediction a place.
 */
export function surveyHypothesis(h: Hypothesis, fit: ConditionalFit): Survey {
  if (!h.branch.sized) return { hypothesis: h, places: [{ position: 0.5, deficit: fit.deficitAt(h, 0.5) }] };
  const places: Survey['places'] = [];
  const crossings: number[] = [];
  let before = new Float64Array(0);
  for (let i = 0; i <= COARSE; i++) {
    const position = i / COARSE;
    const deficit = fit.deficitAt(h, position);
    const here = Float64Array.from(fit.residualsNow);
    if (i % 2 === 1) places.push({ position, deficit });
    for (let r = 0; r < before.length; r++) {
      // A reading that misses by less than 1 σ on both sides needs no place of its own.
      if (before[r] * here[r] < 0 && Math.max(Math.abs(before[r]), Math.abs(here[r])) > 1) {
        crossings.push(crossing(h, fit, r, (i - 1) / COARSE, position, before[r], here[r]));
      }
    }
    before = here;
  }
  for (const position of crossings) {
    if (places.every((p) => Math.abs(p.position - position) > SAME))
      places.push({ position, deficit: fit.deficitAt(h, position) });
  }
  places.sort((a, b) => a.position - b.position);
  return { hypothesis: h, places };
}

/** Position between two of opposite sign at which one reading is met, by four steps of secant and halving in turn. */
function crossing(
  h: Hypothesis,
  fit: ConditionalFit,
  r: number,
  from: number,
  to: number,
  low: number,
  high: number,
): number {
  let [a, b, fa, fb] = [from, to, low, high];
  for (let i = 0; i < 4; i++) {
    const x = i % 2 === 0 ? a + (b - a) * (fa / (fa - fb)) : (a + b) / 2;
    const fx = fit.residualAt(h, x, r);
    if (fx === 0) return x;
    if (fx * fa > 0) [a, fa] = [x, fx];
    else [b, fb] = [x, fx];
  }
  return a + (b - a) * (fa / (fa - fb));
}
