import type { FaultPosterior } from '../inference/posterior.ts';

/**
 * Faults whose branches are mended differently as so many suspects of their own (a reference that a neighbour drags down, or that the module gives
 * too low), so that a test which tells them apart is worth something. The others as they are; probabilities sum to what they did.
 */
export function mendedApart(faults: readonly FaultPosterior[]): FaultPosterior[] {
  return faults.flatMap((f) => {
    const ways = new Map<string | undefined, FaultPosterior['draws'][number][]>();
    for (const d of f.draws) {
      const { repair } = d.hypothesis.branch;
      ways.set(repair, [...(ways.get(repair) ?? []), d]);
    }
    if (ways.size < 2) return [f];
    return [...ways.values()].map((own): FaultPosterior => {
      const share = own.reduce((sum, d) => sum + d.weight, 0);
      const { detail } = own[0].hypothesis.branch;
      return {
        ...f,
        fault: { ...f.fault, name: `${f.fault.name}, ${detail}` },
        probability: f.probability * share,
        draws: own.map((d) => ({ ...d, weight: d.weight / share })),
      };
    });
  });
}
