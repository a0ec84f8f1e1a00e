/** From so many bits on a test is very informative, and informative; the figure itself stands in the views in figures. */
const [VERY, SOME] = [0.7, 0.2];

/** How much a test tells about the fault, in words. `bits` is its expected information. */
export function informativeText(bits: number): string {
  return bits >= VERY ? 'very informative' : bits >= SOME ? 'informative' : 'little information';
}
