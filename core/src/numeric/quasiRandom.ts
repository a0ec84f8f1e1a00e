/**
 * Low-discrepancy points in the unit cube: coordinate k of point i is frac(½ + i·g^-(k+1)), g the root of x^(d+1) = x + 1
 * (M. Roberts' generalisation of the golden-ratio sequence). Deterministic, any dimension, no tables.
 */
export function quasiRandomSteps(dimension: number): Float64Array {
  let g = 1.5;
  for (let i = 0; i < 40; i++) g = Math.pow(1 + g, 1 / (dimension + 1));
  return Float64Array.from({ length: dimension }, (_, k) => Math.pow(1 / g, k + 1) % 1);
}

/** Writes point `index` (from 0) of the sequence with these steps into `out`; every coordinate lies strictly in (0, 1). */
export function quasiRandomPoint(steps: Float64Array, index: number, out: Float64Array): void {
  for (let k = 0; k < steps.length; k++) {
    const x = (0.5 + (index + 1) * steps[k]) % 1;
    out[k] = Math.min(1 - 1e-12, Math.max(1e-12, x));
  }
}
