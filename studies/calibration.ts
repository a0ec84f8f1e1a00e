/** Mean distance between the probability that was given and how often it was right, in bands of equally many cases. */
export function calibrationError(said: readonly { probability: number; is: boolean }[], bands = 10): number {
  const sorted = [...said].sort((a, b) => a.probability - b.probability);
  let sum = 0;
  for (let b = 0; b < bands; b++) {
    const band = sorted.slice(Math.floor((b * said.length) / bands), Math.floor(((b + 1) * said.length) / bands));
    const mean = (of: (s: (typeof band)[number]) => number): number =>
      band.reduce((all, s) => all + of(s), 0) / band.length;
    sum += (band.length / said.length) * Math.abs(mean((s) => s.probability) - mean((s) => Number(s.is)));
  }
  return sum;
}
