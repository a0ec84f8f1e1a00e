import type { FaultGroup } from '../../base/units/vocabulary.ts';
import { groupProbabilities } from '../../inference/verdict/assessment.ts';
import type { Posterior } from '../../inference/posterior/posterior.ts';
import { type Costs, repairsOf } from './repairs.ts';

/** A group that is still possible, with what its repair costs: minutes, and money (0 where no prices are known). */
export interface Remaining {
  group: FaultGroup;
  probability: number;
  minutes: number;
  money: number;
}

/** Below this a group is not worth naming beside the leading one. */
const WORTH_NAMING = 0.05;
/** From so much on the leading group is decided, as the verdict says it. */
const DECIDED = 0.7;

/** The two groups that the readings leave, with what each repair costs; none where one of them is decided. */
export function remainingGroups({ faults }: Posterior, costs: Costs): Remaining[] {
  const groups = groupProbabilities(faults).filter((g) => g.probability >= WORTH_NAMING);
  if (groups.length < 2 || groups[0].probability >= DECIDED) return [];
  return groups.slice(0, 2).map((g) => withRepair(g, costs));
}

/** The group that leads, with what its repair costs: what is lost where it is another one. */
export const leadingGroup = ({ faults }: Posterior, costs: Costs): Remaining =>
  withRepair(groupProbabilities(faults)[0], costs);

function withRepair({ group, probability }: { group: FaultGroup; probability: number }, costs: Costs): Remaining {
  const { minutes, money } = repairsOf(costs).find((r) => r.group === group)!;
  return { group, probability, minutes, money };
}
