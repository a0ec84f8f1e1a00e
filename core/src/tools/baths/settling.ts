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
  const fits = Array.from({ length: 240 }, (_, i) => fitAt(sorted, span * 0.03 * Math.pow(400, i / 239)));
  const best = sharpened(sorted, fits.reduce((a, b) => (b.misfit < a.misfit ? b : a)).tau);
  // Within the noise, every τ that fits about as well is possible: their ends are the spread of the answer.
  const allowed = best.misfit + sorted.length * resolution * resolution;
  const possible = fits.filter((f) => f.misfit <= allowed).map((f) => f.final);
  const uncertainty = Math.max(resolution, (Math.max(...possible) - Math.min(...possible)) / 2);
  const last = sorted[sorted.length - 1];
  if (best.tau >= span * 11 || uncertainty > 3 * spread) return { ok: false, reason: 'not-settling' };
  const settledAtMin = sorted[0].minute + best.tau * Math.log(100);
  return {
    ok: true,
    final: best.final,
    uncertainty,
    timeConstantMin: best.tau,
    settledAtMin,
    settled: Math.abs(last.value - best.final) <= 2 * resolution,
  };
}

/** The best time constant near one of the grid, by golden section on its logarithm. */
function sharpened(readings: readonly TimedReading[], tau: number): ReturnType<typeof fitAt> {
  const golden = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [Math.log(tau) - 0.03, Math.log(tau) + 0.03];
  for (let i = 0; i < 40; i++) {
    const [a, b] = [high - golden * (high - low), low + golden * (high - low)];
    if (fitAt(readings, Math.exp(a)).misfit < fitAt(readings, Math.exp(b)).misfit) high = b;
    else low = a;
  }
  return fitAt(readings, Math.exp((low + high) / 2));
}

function fitAt(readings: readonly TimedReading[], tau: number): { tau: number; final: number; misfit: number } {
  const start = readings[0].minute;
  let [sx, sy, sxx, sxy] = [0, 0, 0, 0];
  const n = readings.length;
  const points = readings.map((r) => ({ x: Math.exp(-(r.minute - start) / tau), y: r.value }));
  for (const { x, y } of points) [sx, sy, sxx, sxy] = [sx + x, sy + y, sxx + x * x, sxy + x * y];
  const determinant = n * sxx - sx * sx;
  const gap = determinant > 1e-12 ? (n * sxy - sx * sy) / determinant : 0;
  const final = (sy - gap * sx) / n;
  const misfit = points.reduce((s, { x, y }) => s + (y - final - gap * x) ** 2, 0);
  return { tau, final, misfit };
}
