import type { Proposal } from '../nextTest/nextTest.ts';
import type { Ways } from './planOf.ts';

/** The order of work that goes by expected cost; beside it are "proposal" and the schools. */
export const LEAST_COST = 'least-cost';

/** Proposals in the order of the plan: the tests it weighs cheapest first, then the others as they stand. */
export function cheapestFirst(proposals: readonly Proposal[], { options }: Ways): Proposal[] {
  const rank = ({ measurement, conditions }: Proposal): number => {
    const at = options
      .filter((o) => o.kind === 'test')
      .findIndex((o) => o.measurement === measurement && JSON.stringify(o.conditions) === JSON.stringify(conditions));
    return at < 0 ? options.length : at;
  };
  return [...proposals].sort((a, b) => rank(a) - rank(b));
}
