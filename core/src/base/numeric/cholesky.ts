/**
 * Cholesky factor of a symmetric positive definite n×n matrix (row major, lower triangle read), written into `factor`.
 * Returns ln det, or NaN when the matrix is not positive definite. In place and without allocation: the ranking calls it
 * tens of thousands of times on matrices of about eight rows, where a general matrix class would dominate the cost.
 *
 * @example choleskyFactor(Float64Array.of(4, 0, 2, 5), 2, new Float64Array(4)) // Math.log(16)
 */
export function choleskyFactor(matrix: Float64Array, n: number, factor: Float64Array): number {
  let logDet = 0;
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i * n + j];
      for (let k = 0; k < j; k++) sum -= factor[i * n + k] * factor[j * n + k];
      if (i === j) {
        if (!(sum > 0)) return NaN;
        factor[i * n + i] = Math.sqrt(sum);
        logDet += Math.log(sum);
      } else {
        factor[i * n + j] = sum / factor[j * n + j];
      }
    }
  }
  return logDet;
}

/**
 * Solves L y = b for the lower factor L; `out` may be `b`. Returns `out`.
 *
 * @example solveLower(Float64Array.of(2, 0, 1, 2), 2, Float64Array.of(2, 5), new Float64Array(2)) // Float64Array.of(1, 2)
 */
export function solveLower(factor: Float64Array, n: number, b: Float64Array, out: Float64Array): Float64Array {
  for (let i = 0; i < n; i++) {
    let sum = b[i];
    for (let k = 0; k < i; k++) sum -= factor[i * n + k] * out[k];
    out[i] = sum / factor[i * n + i];
  }
  return out;
}

/**
 * Solves Lᵀ x = y for the lower factor L; `out` may be `y`. Returns `out`.
 *
 * @example solveUpper(Float64Array.of(2, 0, 1, 2), 2, Float64Array.of(4, 4), new Float64Array(2)) // Float64Array.of(1, 2)
 */
export function solveUpper(factor: Float64Array, n: number, y: Float64Array, out: Float64Array): Float64Array {
  for (let i = n - 1; i >= 0; i--) {
    let sum = y[i];
    for (let k = i + 1; k < n; k++) sum -= factor[k * n + i] * out[k];
    out[i] = sum / factor[i * n + i];
  }
  return out;
}
