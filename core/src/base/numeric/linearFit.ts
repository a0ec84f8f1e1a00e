import { inverse, Matrix, QrDecomposition } from 'ml-matrix';

/** Coefficients of a linear least-squares fit, their covariance, and the scatter of what is left over. */
export interface LinearFit {
  coefficients: number[];
  /** Covariance of the coefficients; NaN throughout where no point is left over to tell the scatter. */
  covariance: number[][];
  /** Standard deviation of the residuals, with the degrees of freedom that are left. */
  scatter: number;
}

/**
 * Least squares of y on columns of basis functions, by QR of columns brought to one size (powers of ln R lie close together). The covariance is
 * s²(XᵀX)⁻¹. Source: GUM (JCGM 100), H.3. Throws where the columns are not independent.
 *
 * @example linearFit([[1, 1, 1], [0, 1, 2]], [1, 3, 5]).coefficients.map((x) => Number(x.toFixed(9))) // [1, 2]
 */
export function linearFit(columns: readonly (readonly number[])[], y: readonly number[]): LinearFit {
  const sizes = columns.map((c) => Math.max(...c.map(Math.abs), Number.MIN_VALUE));
  const x = new Matrix(y.map((_, i) => columns.map((c, k) => c[i] / sizes[k])));
  const qr = new QrDecomposition(x);
  const triangle = qr.upperTriangularMatrix;
  if (triangle.diagonal().some((d) => !(Math.abs(d) > 1e-12)))
    throw new Error('linearFit: columns are not independent');
  const coefficients = qr
    .solve(Matrix.columnVector([...y]))
    .to1DArray()
    .map((v, k) => v / sizes[k]);
  const left = y.map((v, i) => v - columns.reduce((sum, c, k) => sum + coefficients[k] * c[i], 0));
  const free = y.length - columns.length;
  const scatter = free > 0 ? Math.sqrt(left.reduce((sum, v) => sum + v * v, 0) / free) : NaN;
  const back = inverse(triangle);
  const covariance = back
    .mmul(back.transpose())
    .to2DArray()
    .map((row, i) => row.map((v, j) => (scatter ** 2 * v) / sizes[i] / sizes[j]));
  return { coefficients, covariance, scatter };
}

/**
 * 1σ of the fitted value where the basis functions have these values.
 *
 * @example Number(fittedSigma(linearFit([[1, 1]], [1, 3]), [1]).toFixed(9)) // 1
 */
export function fittedSigma({ covariance }: LinearFit, basis: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < basis.length; i++)
    for (let j = 0; j < basis.length; j++) sum += basis[i] * covariance[i][j] * basis[j];
  return Math.sqrt(Math.max(0, sum));
}
