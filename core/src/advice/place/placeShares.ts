import { elementsOf } from '../../circuit/network/chain.ts';
import { type Strand, STRANDS, placeWeightsOf } from '../../circuit/network/placeWeights.ts';
import type { Posterior } from '../../inference/posterior/posterior.ts';

/** Probability that the fault lies at each element of the chain, by strand; together with `elsewhere` it is one. */
export interface PlaceShares {
  shares: Readonly<Record<Strand, readonly number[]>>;
  /** No fault at all, or one that has no place on the way. */
  elsewhere: number;
}

/**
 * Where the fault lies, from what is believed of it: each stretch that the readings leave is shared out among its places by their weights. Exact for
 * the model: between two readings on the way every place explains them alike.
 */
export function placeShares({ faults, predictor }: Posterior): PlaceShares {
  const { circuit } = predictor.problem;
  const weights = placeWeightsOf(circuit);
  const shares: Record<Strand, number[]> = { signal: [], return: [], leak: [] };
  for (const strand of STRANDS) shares[strand] = new Array<number>(elementsOf(circuit.connectors)).fill(0);
  let placed = 0;
  for (const { probability, draws } of faults) {
    for (const { weight, hypothesis } of draws) {
      const { place } = hypothesis.branch;
      if (!place) continue;
      const { strand, from, to } = place;
      const part = probability * weight;
      placed += part;
      let total = 0;
      for (let e = from; e < to; e++) total += weights[strand][e];
      for (let e = from; e < to; e++) shares[strand][e] += (part * weights[strand][e]) / total;
    }
  }
  return { shares, elsewhere: Math.max(0, 1 - placed) };
}

/** Probability of a strand as a whole. */
export const strandShare = ({ shares }: PlaceShares, strand: Strand): number =>
  shares[strand].reduce((a, b) => a + b, 0);
