/** Standard normal density, distribution and quantile. Argument and result are plain numbers. */

const SQRT_2PI = Math.sqrt(2 * Math.PI);

/**
 * Natural log of the standard normal density at z.
 *
 * @example logNormalDensity(0) // -0.5 * Math.log(2 * Math.PI)
 */
export function logNormalDensity(z: number): number {
  return -0.5 * z * z - Math.log(SQRT_2PI);
}

/**
 * Standard normal distribution function, relative error below 1.3e-7 in both tails.
 * Source: rational Chebyshev fit of erfc, Press et al., Numerical Recipes (2nd ed., §6.2).
 *
 * @example normalCdf(1.959964) // 0.975
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.5 * x);
  const poly =
    -1.26551223 +
    t *
      (1.00002368 +
        t *
          (0.37409196 +
            t *
              (0.09678418 +
                t *
                  (-0.18628806 +
                    t * (0.27886807 + t * (-1.13520398 + t * (1.48851587 + t * (-0.82215223 + t * 0.17087277))))))));
  const tail = 0.5 * t * Math.exp(-x * x + poly);
  return z > 0 ? 1 - tail : tail;
}

/**
 * Standard normal quantile for p in (0, 1), relative error below 1.2e-9; ±Infinity at the ends.
 * Source: P. J. Acklam's rational approximation (from memory; tested against scipy).
 *
 * @example normalQuantile(0.975) // 1.959964
 */
export function normalQuantile(p: number): number {
  if (p <= 0) return -Infinity;
  if (p >= 1) return Infinity;
  if (p > 0.97575) return -lowerTail(1 - p);
  if (p < 0.02425) return lowerTail(p);
  const q = p - 0.5;
  const r = q * q;
  const a =
    ((((-39.69683028665376 * r + 220.9460984245205) * r - 275.9285104469687) * r + 138.357751867269) * r -
      30.66479806614716) *
      r +
    2.506628277459239;
  const b =
    ((((-54.47609879822406 * r + 161.5858368580409) * r - 155.6989798598866) * r + 66.80131188771972) * r -
      13.28068155288572) *
      r +
    1;
  return (a * q) / b;
}

function lowerTail(p: number): number {
  const q = Math.sqrt(-2 * Math.log(p));
  const c =
    ((((-0.007784894002430293 * q - 0.3223964580411365) * q - 2.400758277161838) * q - 2.549732539343734) * q +
      4.374664141464968) *
      q +
    2.938163982698783;
  const d = (((0.007784695709041462 * q + 0.3224671290700398) * q + 2.445134137142996) * q + 3.754408661907416) * q + 1;
  return c / d;
}
