import type { FaultPosterior } from '../../inference/posterior/posterior.ts';

/**
 * Faults whose branches are mended differently as so many suspects of their own (a reference that a neighbour drags down, or that the module gives
 * too low), so that a test which tells them apart is worth something. The others as they are; probabilities sum to what they did.
 */
export function mendedApart(faults: readonly FaultPosterior[]): FaultPosterior[] {
  return faults.flatMap((f) => {
    const repairs = new Set(f.draws.map((d) => d.hypothesis.branch.repair));
    if (repairs.size < 2) return [f];
    return [...repairs].map((repair): FaultPosterior => {
      const own = f.draws.filter((d) => d.hypothesis.branch.repair === repair);
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
