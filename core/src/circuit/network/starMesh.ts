/**
 * Solves a resistive network by star–mesh elimination. Nodes 0…known−1 have given voltages; the rest are unknown and are removed one
 * by one, each star of conductances replaced by the equivalent mesh g_ij += g_ik·g_jk / Σ g_k.
 *
 * Every step only adds, multiplies and divides positive numbers: nothing cancels, so a 0.05 Ω wire beside a 1 TΩ leak costs no digits
 * (plain Gaussian elimination loses up to twelve there), and the answer is always between the lowest and the highest source.
 * Source: star–mesh transform, A. Rosen, J. IEE 62 (1924) 916; subtraction-free elimination, Grassmann, Taksar, Heyman (1985).
 *
 * @param g conductances in S, size×size, row major; only entries [i, j] with j < i are read; overwritten
 * @param voltages V of the known nodes on entry; all nodes on return (0 V for a node joined to nothing)
 */
export function solveStarMesh(g: Float64Array, size: number, known: number, voltages: Float64Array): void {
  for (let k = size - 1; k >= known; k--) {
    const row = k * size;
    let total = 0;
    for (let i = 0; i < k; i++) total += g[row + i];
    g[row + k] = total;
    if (total === 0) continue;
    for (let i = 1; i < k; i++) {
      const part = g[row + i] / total;
      if (part === 0) continue;
      for (let j = 0; j < i; j++) g[i * size + j] += part * g[row + j];
    }
  }
  for (let k = known; k < size; k++) {
    const row = k * size;
    let sum = 0;
    for (let i = 0; i < k; i++) sum += g[row + i] * voltages[i];
    voltages[k] = g[row + k] === 0 ? 0 : sum / g[row + k];
  }
}
