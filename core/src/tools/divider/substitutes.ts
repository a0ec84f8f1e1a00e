import type { CurveModel } from '../../circuit/curves/curveModel.ts';

/** One or two resistors in place of a sensor. Ω; °C. */
export interface Substitute {
  ohm: number;
  /** The resistors themselves; one, or two in series or side by side. */
  parts: number[];
  how: 'one' | 'series' | 'parallel';
  /** What the module will show, and by how much that misses the wanted temperature. */
  shownC: number;
  errorK: number;
  /** How far the resistors' own tolerance moves it, ± K. */
  toleranceK: number;
}

/**
 * The best substitutes for a wanted displayed temperature from the resistors at hand, best first; fewer parts first among equals.
 * @param ohms what is at hand, Ω
 * @param tolerance of the resistors, a share (0.01 is 1 %)
 */
export function substitutesFor(
  wantedC: number,
  curve: CurveModel,
  ohms: readonly number[],
  tolerance: number,
  count = 5,
): Substitute[] {
  const target = curve.resistanceOhm(wantedC);
  const slope = Math.log(curve.resistanceOhm(wantedC + 0.5) / curve.resistanceOhm(wantedC - 0.5));
  const toleranceK = tolerance / Math.abs(slope);
  const found: Substitute[] = [];
  const add = (ohm: number, parts: number[], how: Substitute['how']): void => {
    const shownC = curve.temperatureC(ohm);
    if (Number.isFinite(shownC)) found.push({ ohm, parts, how, shownC, errorK: shownC - wantedC, toleranceK });
  };
  const sorted = [...ohms].sort((a, b) => a - b);
  const nearest = (wanted: number): number[] => {
    let low = 0;
    let high = sorted.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (sorted[middle] < wanted) low = middle + 1;
      else high = middle;
    }
    return [sorted[low - 1], sorted[low]].filter((x) => x !== undefined);
  };
  for (const ohm of nearest(target)) add(ohm, [ohm], 'one');
  for (const first of sorted) {
    if (first < target)
      for (const second of nearest(target - first)) if (second <= first) add(first + second, [first, second], 'series');
    if (first > target) {
      for (const second of nearest(1 / (1 / target - 1 / first))) {
        if (second >= first) add(1 / (1 / first + 1 / second), [first, second], 'parallel');
      }
    }
  }
  // A pair is worth its trouble only where it is nearer by more than resistors are true.
  const worth = (s: Substitute): number => Math.abs(s.errorK) + (s.how === 'one' ? 0 : Math.max(0.05, toleranceK));
  return found.sort((a, b) => worth(a) - worth(b)).slice(0, count);
}

/** Single resistors that cover a range of displayed temperatures in about even steps: a sweep of the module's own curve. */
export function sweepSteps(
  fromC: number,
  toC: number,
  count: number,
  curve: CurveModel,
  ohms: readonly number[],
): { ohm: number; shownC: number }[] {
  const steps: { ohm: number; shownC: number }[] = [];
  for (let i = 0; i < count; i++) {
    const wanted = fromC + ((toC - fromC) * i) / Math.max(1, count - 1);
    const usable = ohms
      .map((ohm) => ({ ohm, shownC: curve.temperatureC(ohm) }))
      .filter((s) => Number.isFinite(s.shownC));
    if (usable.length === 0) return [];
    const best = usable.reduce((a, b) => (Math.abs(b.shownC - wanted) < Math.abs(a.shownC - wanted) ? b : a));
    if (!steps.some((s) => s.ohm === best.ohm)) steps.push(best);
  }
  return steps.sort((a, b) => a.shownC - b.shownC);
}
