import { normalQuantile } from './normal.ts';

/**
 * Steps of a Kronecker sequence, found by the search in `scripts/searchSteps.ts`, which also checks them: each far from every fraction with a
 * small denominator (q·‖q·step‖ ≥ 0.15 up to 1600), and any two of them filling 8×8 cells evenly at 256, 512 and 1536 points. The usual powers of a generalised golden ratio fail this badly: in nine dimensions one of their steps is 0.5998, next to 3/5.
 */
export const STEPS = [
  0.581158906, 0.1773458766, 0.3131790091, 0.5527759525, 0.2642733254, 0.6907474301, 0.4566689134, 0.2966316859,
  0.6403109531, 0.1504675387, 0.2688364219, 0.6106049451, 0.8410180162, 0.7840459535, 0.409554377, 0.183503733,
  0.2925710096, 0.377472546,
] as const;

/** Length of the sequence: the steps were checked for this many points. */
const POINTS = 1536;

/** One coordinate of all points, in order: as it is, strictly between 0 and 1, and turned standard normal. */
export interface QuasiRandomColumn {
  readonly even: Float64Array;
  readonly normal: Float64Array;
}

const columns = new Map<number, QuasiRandomColumn>();

/**
 * Coordinate `k` (0 … 17) of a low-discrepancy sequence: frac(½ + (i + 1)·step). Every estimate begins with the same points, so a column is worked
 * out once and kept: do not write to it. Throws beyond the last coordinate: a longer list of steps wants its own search.
 *
 * @example quasiRandomColumn(1).even[0] // 0.6773458766
 */
export function quasiRandomColumn(k: number): QuasiRandomColumn {
  const known = columns.get(k);
  if (known) return known;
  if (k >= STEPS.length) throw new Error(`quasiRandomColumn: at most ${STEPS.length} coordinates, not ${k + 1}`);
  const even = Float64Array.from({ length: POINTS }, (_, i) => {
    const x = (0.5 + (i + 1) * STEPS[k]) % 1;
    return Math.min(1 - 1e-12, Math.max(1e-12, x));
  });
  const column = { even, normal: even.map(normalQuantile) };
  columns.set(k, column);
  return column;
}
