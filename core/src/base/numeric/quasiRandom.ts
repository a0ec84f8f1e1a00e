/**
 * Steps of a Kronecker sequence, found by the search in `scripts/searchSteps.ts`, which also checks them: each far from every fraction with a
 * small denominator (q·‖q·step‖ ≥ 0.15 up to 1600), and any two of them filling 8×8 cells evenly at 256, 512 and 1536 points. The usual powers of a generalised golden ratio fail this badly: in nine dimensions one of their steps is 0.5998, next to 3/5.
 */
const STEPS = [
  0.581158906, 0.1773458766, 0.3131790091, 0.5527759525, 0.2642733254, 0.6907474301, 0.4566689134, 0.2966316859,
  0.6403109531, 0.1504675387, 0.2688364219, 0.6106049451, 0.8410180162, 0.7840459535, 0.409554377, 0.183503733,
  0.2925710096, 0.377472546,
] as const;

/**
 * Low-discrepancy steps for up to 18 coordinates. Throws beyond: a longer list wants its own search.
 *
 * @example quasiRandomSteps(2) // Float64Array.of(0.581158906, 0.1773458766)
 */
export function quasiRandomSteps(dimension: number): Float64Array {
  if (dimension > STEPS.length)
    throw new Error(`quasiRandomSteps: at most ${STEPS.length} dimensions, not ${dimension}`);
  return Float64Array.from(STEPS.slice(0, dimension));
}

/**
 * Writes point `index` (from 0) of the sequence with these steps into `out`, which is returned: coordinate k is frac(½ + (index + 1)·step),
 * strictly in (0, 1).
 *
 * @example quasiRandomPoint(Float64Array.of(0.25), 0, new Float64Array(1)) // Float64Array.of(0.75)
 */
export function quasiRandomPoint(steps: Float64Array, index: number, out: Float64Array): Float64Array {
  for (let k = 0; k < steps.length; k++) {
    const x = (0.5 + (index + 1) * steps[k]) % 1;
    out[k] = Math.min(1 - 1e-12, Math.max(1e-12, x));
  }
  return out;
}
