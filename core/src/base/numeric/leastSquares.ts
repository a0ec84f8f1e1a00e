import { inverse, Matrix, solve } from 'ml-matrix';

/** Best parameters of a model, their covariance, and the scatter of what is left over. */
export interface LeastSquares {
  parameters: number[];
  covariance: number[][];
  scatter: number;
}

/**
 * Damped Gauss–Newton (Levenberg 1944, Marquardt 1963: damped by the diagonal, bad steps rejected), derivatives by central differences. Null where it does
 * not settle or the parameters cannot be told apart.
 *
 * @param residuals weighted differences, model less measured, for a set of parameters; NaN where the model cannot be had
 * @example leastSquares(([a]) => [a - 1, a - 2, a - 3], [0])?.parameters.map((v) => Number(v.toFixed(6))) // [2]
 */
export function leastSquares(
  residuals: (parameters: readonly number[]) => readonly number[],
  start: readonly number[],
): LeastSquares | null {
  let p = [...start];
  let r = residuals(p);
  let square = sumOf(r);
  if (!Number.isFinite(square)) return null;
  let damping = 1e-3;
  for (let round = 0; round < 200; round++) {
    const j = jacobian(residuals, p, r.length);
    const jt = j.transpose();
    const normal = jt.mmul(j);
    const gradient = jt.mmul(Matrix.columnVector([...r]));
    const damped = normal.clone();
    for (let k = 0; k < p.length; k++) damped.set(k, k, normal.get(k, k) * (1 + damping) + 1e-30);
    const step = solve(damped, gradient).to1DArray();
    const next = p.map((v, k) => v - step[k]);
    const rNext = residuals(next);
    const squareNext = sumOf(rNext);
    if (squareNext <= square) {
      const settled = square - squareNext <= 1e-10 * (square + 1e-30);
      [p, r, square] = [next, rNext, squareNext];
      damping = Math.max(1e-9, damping / 5);
      if (settled) break;
    } else if ((damping *= 4) > 1e10) break;
  }
  const free = r.length - p.length;
  if (free <= 0) return null;
  const j = jacobian(residuals, p, r.length);
  try {
    const covariance = inverse(j.transpose().mmul(j))
      .mul(square / free)
      .to2DArray();
    if (covariance.some((row, k) => !(row[k] > 0))) return null;
    return { parameters: p, covariance, scatter: Math.sqrt(square / free) };
  } catch {
    return null;
  }
}

/** Infinity where a residual cannot be had: such a step is bad. */
function sumOf(r: readonly number[]): number {
  let sum = 0;
  for (const v of r) sum += v * v;
  return Number.isFinite(sum) ? sum : Infinity;
}

function jacobian(residuals: (p: readonly number[]) => readonly number[], p: readonly number[], rows: number): Matrix {
  const j = Matrix.zeros(rows, p.length);
  p.forEach((v, k) => {
    const h = 1e-5 * Math.max(Math.abs(v), 1e-3);
    const up = residuals(p.map((x, i) => (i === k ? v + h : x)));
    const down = residuals(p.map((x, i) => (i === k ? v - h : x)));
    for (let i = 0; i < rows; i++) j.set(i, k, (up[i] - down[i]) / (2 * h));
  });
  return j;
}
