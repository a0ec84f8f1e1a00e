/**
 * A smooth curve through knots that never turns round where they do not: cubic between two knots, with the slope at each knot that of the parabola
 * through it and its neighbours, held between a twentieth and three times the slopes beside it. `x` strictly ascending, `y` strictly rising or
 * falling, two knots at least; a parabola is met exactly. Inside the knots only. Source: F. N. Fritsch, R. E. Carlson, SIAM J. Numer. Anal. 17
 * (1980) 238 (the bound of three times).
 *
 * @example monotoneCubic([0, 1, 3], [0, 1, 9])(2) // 4
 */
export function monotoneCubic(x: readonly number[], y: readonly number[]): (at: number) => number {
  const last = x.length - 1;
  const rise = x.slice(1).map((_, i) => (y[i + 1] - y[i]) / (x[i + 1] - x[i]));
  const held = (slope: number, ...beside: number[]): number => {
    const sizes = beside.map(Math.abs);
    const size = Math.min(3 * Math.min(...sizes), Math.max(Math.min(...sizes) / 20, slope * Math.sign(beside[0])));
    return size * Math.sign(beside[0]);
  };
  const slopes = x.map((_, i) => {
    if (last === 1) return rise[0];
    const k = Math.min(Math.max(i, 1), last - 1);
    const [left, right] = [x[k] - x[k - 1], x[k + 1] - x[k]];
    // Second divided difference of the three knots: half the bend of their parabola.
    const bend = (rise[k] - rise[k - 1]) / (left + right);
    if (i === 0) return held(rise[0] - bend * left, rise[0]);
    if (i === last) return held(rise[last - 1] + bend * right, rise[last - 1]);
    return held(rise[k - 1] + bend * left, rise[k - 1], rise[k]);
  });
  return (at) => {
    let [low, high] = [0, last];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (x[middle] <= at) low = middle;
      else high = middle;
    }
    const h = x[high] - x[low];
    const u = (at - x[low]) / h;
    const v = 1 - u;
    return (
      y[low] * v * v * (1 + 2 * u) + y[high] * u * u * (1 + 2 * v) + h * u * v * (slopes[low] * v - slopes[high] * u)
    );
  };
}
