import { normalQuantile } from '../../../base/numeric/normal.ts';
import { medianOf, quantileOf } from '../../../base/numeric/quantiles.ts';
import { FALSE_ALARM, LEAST_STEPS, type Series, sizesOf, slopeOf } from './series.ts';

export interface Step {
  /** The first sample after it. */
  at: number;
  height: number;
  z: number;
}

/** A small change of level shows over many samples only: on a quick log twice as many are looked at, as long as they cover no more than this, s. */
const STEP_SIDE_S = 5;

/** Places where the level changes between one sample and the next few, beyond what the lines through both sides do. */
export function findSteps(s: Series): Step[] {
  const n = s.x.length;
  // What was found is bridged by the course.
  const x = s.x.map((v, i) => (s.taken[i] ? s.course[i] : v));
  const sides = 2 * s.half * s.stepS <= STEP_SIDE_S ? [s.half, 2 * s.half] : [s.half];
  const candidates = sides.flatMap((side) => stepCandidates(s, x, side));
  // The clearest first: near it the sides of the same step show as well.
  candidates.sort((a, b) => b.z - a.z);
  const steps: Step[] = [];
  for (const { peak, height, z, side } of candidates) {
    const at = sharpest(x, peak, 3);
    if (steps.some((o) => Math.abs(o.at - at) < side) || s.taken[at] || s.taken[at - 1]) continue;
    if (Math.abs(height) > PACE * paceAt(s, at) && isSharp(s, x, at, height)) steps.push({ at, height, z });
  }
  return steps.sort((a, b) => a.at - b.at).filter((step) => step.at < n);
}

interface StepCandidate {
  peak: number;
  height: number;
  z: number;
  side: number;
}

/** Where the gap between lines through `w` samples on either side stands out from all such gaps of the series. */
function stepCandidates(s: Series, x: Float64Array, w: number): StepCandidate[] {
  const n = x.length;
  if (n < 4 * w) return [];
  const offset = x[0];
  const [s1, s2] = [new Float64Array(n + 1), new Float64Array(n + 1)];
  for (let i = 0; i < n; i++) {
    s1[i + 1] = s1[i] + (x[i] - offset);
    s2[i + 1] = s2[i] + i * (x[i] - offset);
  }
  const middle = (w - 1) / 2;
  const sxx = (w * (w * w - 1)) / 12;
  const height = new Float64Array(n);
  for (let i = w; i <= n - w; i++) {
    // Both lines are led to the middle between the two samples: a bend of the course is no step.
    const [sumB, sumA] = [s1[i] - s1[i - w], s1[i + w] - s1[i]];
    const slopeB = (s2[i] - s2[i - w] - (i - w + middle) * sumB) / sxx;
    const slopeA = (s2[i + w] - s2[i] - (i + middle) * sumA) / sxx;
    height[i] = (sumA - sumB) / w - ((slopeA + slopeB) * w) / 2;
  }
  const scale = Math.max(quantileOf(sizesOf(height, s.taken), 0.683), s.quantum / 4, s.sigma * Math.sqrt(8 / w));
  const least = Math.max(normalQuantile(1 - FALSE_ALARM / n) * scale, LEAST_STEPS * s.quantum);
  const found: StepCandidate[] = [];
  for (let i = w; i <= n - w; i++) {
    const size = Math.abs(height[i]);
    if (size >= least * s.wider[i] && size >= Math.abs(height[i - 1]) && size > Math.abs(height[i + 1] ?? 0))
      found.push({ peak: i, height: height[i], z: size / scale / s.wider[i], side: w });
  }
  return found;
}

/** A step is at least so many times what the course does by itself within three samples: on a slow log the fan's turn is no step. */
const PACE = 1.7;
/** How far around it the pace is looked at, s: some turns of a fan. */
const PACE_S = 400;

function paceAt({ course, half, stepS }: Series, at: number): number {
  const moves: number[] = [];
  const reach = Math.round(Math.max(5 * half, Math.min(PACE_S / stepS, 15 * half)));
  for (let i = Math.max(0, at - reach); i + 3 < Math.min(course.length, at + reach); i++)
    if (i + 3 < at - 3 || i > at + 3) moves.push(Math.abs(course[i + 3] - course[i]));
  return quantileOf(moves, 0.985) || 0;
}

/** Does most of a change of height h come between neighbours, beyond what both sides run by themselves? The clearer it stands out, the more of it. */
function isSharp(s: Series, x: Float64Array, at: number, h: number): boolean {
  const clear = Math.abs(h) > 8 * s.sigma;
  const k = clear ? 3 : 5;
  const w = s.half;
  const run = (slopeOf(x, at - w, at) + slopeOf(x, at, at + w)) / 2;
  const jump = medianOf(x, at, Math.min(x.length, at + k)) - medianOf(x, Math.max(0, at - k), at);
  return (jump - k * run) * Math.sign(h) > (clear ? 0.6 : 0.35) * Math.abs(h);
}

/** The sample near `at` before which the change is greatest. */
function sharpest(x: Float64Array, at: number, w: number): number {
  let [best, most] = [at, -1];
  for (let i = Math.max(2, at - w); i <= Math.min(x.length - 2, at + w); i++) {
    const change = Math.abs(x[i] + x[i + 1] - x[i - 1] - x[i - 2]);
    // The nearest of equals: on a display with steps many changes are alike.
    if (change > most + 1e-12 || (change > most - 1e-12 && Math.abs(i - at) < Math.abs(best - at)))
      [best, most] = [i, change];
  }
  return best;
}

/** A fan that turns makes the same step again and again: so many alike, at such even distances (spread against the mean), are none of a fault. */
const TURNS = { least: 3, alike: 0.4, even: 0.3 } as const;

export function withoutTurns(steps: readonly Step[]): Step[] {
  const turning = ([1, -1] as const).flatMap((sign) => {
    const own = steps.filter((s) => s.height * sign > 0);
    if (own.length < TURNS.least || own.length < 0.7 * steps.length) return [];
    const middle = medianOf(own.map((s) => Math.abs(s.height)));
    const alike = own.every((s) => Math.abs(Math.abs(s.height) - middle) < TURNS.alike * middle);
    const gaps = own.slice(1).map((s, i) => s.at - own[i].at);
    const mean = gaps.reduce((a, b) => a + b, 0) / gaps.length;
    const spread = Math.sqrt(gaps.reduce((a, g) => a + (g - mean) ** 2, 0) / gaps.length);
    return alike && spread < TURNS.even * mean ? own : [];
  });
  return steps.filter((s) => !turning.includes(s));
}
