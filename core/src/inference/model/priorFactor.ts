/** One thing that moves the odds before any reading: what it is, and its factor on each fault. */
export interface PriorFactor {
  source: 'code' | 'finding' | 'symptom' | 'experience' | 'by-hand';
  name: string;
  ratios: Readonly<Record<string, number>>;
}

/**
 * Odds that all that is seen and told can reach together, ln: what one careful measurement tells. Things seen and told are not independent
 * (corrosion, a high code and several codes speak of one drip), so they are not multiplied without end.
 */
const MOST_TOLD = Math.log(30);

/**
 * One factor for each fault out of all that is seen and told: the product, its span drawn together so that no fault falls below a thirtieth of
 * the one that is told most; then the workshop's own base rates and what was changed by hand, as they stand: they are no evidence of this case.
 */
export function pooled(factors: readonly PriorFactor[]): Record<string, number> {
  const asItStands = (f: PriorFactor): boolean => f.source === 'by-hand' || f.source === 'experience';
  const told = multiplied(factors.filter((f) => !asItStands(f)));
  const most = Math.log(Math.max(1, ...Object.values(told)));
  // A fault that nothing names has factor 1.
  const drawn = (ratio: number): number => {
    const below = (Math.log(Math.max(ratio, 1e-300)) - most) / MOST_TOLD;
    return Math.exp(most - MOST_TOLD * (1 - Math.exp(below)));
  };
  const unnamed = drawn(1);
  const together = Object.fromEntries(Object.entries(told).map(([fault, ratio]) => [fault, drawn(ratio) / unnamed]));
  return multiplied([{ source: 'finding', name: '', ratios: together }, ...factors.filter(asItStands)]);
}

/** The product of the factors, by fault. */
function multiplied(factors: readonly PriorFactor[]): Record<string, number> {
  const product: Record<string, number> = {};
  for (const { ratios } of factors) {
    for (const [fault, ratio] of Object.entries(ratios)) product[fault] = (product[fault] ?? 1) * ratio;
  }
  return product;
}
