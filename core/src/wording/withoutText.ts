import { formatProbability } from '../base/units/format.ts';
import type { FaultGroup } from '../base/units/vocabulary.ts';
import type { WithoutReading } from '../inference/verdict/withoutReading.ts';
import { groupName } from './groupName.ts';

/** What the verdict would be without one reading, in a sentence. `leader`: the group that leads with it; `name`: of the reading. */
export function withoutText({ ofPresentLeader, ...other }: WithoutReading, leader: FaultGroup, name: string): string {
  const said = (group: FaultGroup): string => groupName(group).toLowerCase();
  const present = `Without ${name}: ${said(leader)} ${formatProbability(ofPresentLeader)}`;
  if (other.leader === leader) return `${present}.`;
  return `${present}; ${said(other.leader)} would lead with ${formatProbability(other.probability)}.`;
}
