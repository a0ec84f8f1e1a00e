const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * Where a function with one valley between two places is lowest, by golden section (Kiefer 1953).
 *
 * @param rounds each narrows the stretch by a factor of 0.618
 * @example Number(goldenSection(0, 5, 60, (x) => (x - 2) ** 2).toFixed(6)) // 2
 */
export function goldenSection(low: number, high: number, rounds: number, of: (x: number) => number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < rounds; i++) {
    const [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
    if (of(c) < of(d)) b = d;
    else a = c;
  }
  return (a + b) / 2;
}
