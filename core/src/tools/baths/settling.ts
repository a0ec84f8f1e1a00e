import { type ExponentialLine, exponentialLine } from '../../base/numeric/exponentialFit.ts';
import { goldenSection } from '../../base/numeric/goldenSection.ts';

/** A value read at a time while it settles. Minutes, and any unit. */
export interface TimedReading {
  minute: number;
  value: number;
}

/** Where a settling value will end. Same unit as the readings; minutes. */
export type Settling =
  | { ok: true; final: number; uncertainty: number; timeConstantMin: number; settledAtMin: number; settled: boolean }
  | { ok: false; reason: 'too-few' | 'same-times' | 'not-settling' };

/**
 * Fits value = final + gap·exp(−t/τ) by least squares: for each τ on a fine logarithmic grid the two other unknowns are a straight line.
 * Three readings are enough where they bend; `settledAtMin` is when 1 % of the first gap is left. The uncertainty (1σ) comes from what the
 * readings leave open, at least `resolution`.
 * @example settle([{ minute: 0, value: 90 }, { minute: 1, value: 60 }, { minute: 2, value: 45 }], 0.1).final // 30
 */
export function settle(readings: readonly TimedReading[], resolution: number): Settling {
  if (readings.length < 3) return { ok: false, reason: 'too-few' };
  const sorted = [...readings].sort((a, b) => a.minute - b.minute);
  const span = sorted[sorted.length - 1].minute - sorted[0].minute;
  if (new Set(sorted.map((r) => r.minute)).size < 3 || !(span > 0)) return { ok: false, reason: 'same-times' };
  const spread = Math.max(...sorted.map((r) => r.value)) - Math.min(...sorted.map((r) => r.value));
  if (spread <= 2 * resolution) {
    const final = sorted.reduce((s, r) => s + r.value, 0) / sorted.length;
    return {
      ok: true,
      final,
      uncertainty: resolution,
      timeConstantMin: 0,
      settledAtMin: sorted[0].minute,
      settled: true,
    };
  }
  const [minutes, values] = [sorted.map((r) => r.minute), sorted.map((r) => r.value)];
  const at = (tau: number): ExponentialLine => exponentialLine(minutes, values, tau);
  const grid = Array.from({ length: 240 }, (_, i) => span * 0.03 * Math.pow(400, i / 239));
  const fits = grid.map(at);
  const near = Math.log(grid[fits.reduce((best, f, i) => (f.square < fits[best].square ? i : best), 0)]);
  const tau = Math.exp(goldenSection(near - 0.03, near + 0.03, 40, (x) => at(Math.exp(x)).square));
  const best = at(tau);
  // Within the noise, every τ that fits about as well is possible: their ends are the spread of the answer.
  const allowed = best.square + sorted.length * resolution * resolution;
  const possible = fits.filter((f) => f.square <= allowed).map((f) => f.end);
  const uncertainty = Math.max(resolution, (Math.max(...possible) - Math.min(...possible)) / 2);
  const last = sorted[sorted.length - 1];
  if (tau >= span * 11 || uncertainty > 3 * spread) return { ok: false, reason: 'not-settling' };
  const settledAtMin = sorted[0].minute + tau * Math.log(100);
  return {
    ok: true,
    final: best.end,
    uncertainty,
    timeConstantMin: tau,
    settledAtMin,
    settled: Math.abs(last.value - best.end) <= 2 * resolution,
  };
}
