import { groupProbabilities } from './assessment.ts';
import { posteriorOf } from '../posterior/posterior.ts';
import type { Problem } from '../model/problem.ts';
import type { FaultGroup } from '../../base/units/vocabulary.ts';

/** What a verdict would be had one reading not been taken: how much hangs on it. */
export interface WithoutReading {
  id: string;
  leader: FaultGroup;
  probability: number;
  /** What the group that leads with all readings would have. */
  ofPresentLeader: number;
}

/** Ranks again without each reading in turn: the part of every reading in the verdict, at the cost of one ranking a reading. */
export function withoutEach(problem: Problem): WithoutReading[] {
  const [present] = groupProbabilities(posteriorOf(problem).faults);
  return problem.readings.map(({ id }) => {
    const groups = groupProbabilities(
      posteriorOf({ ...problem, readings: problem.readings.filter((r) => r.id !== id) }).faults,
    );
    const same = groups.find((g) => g.group === present.group)!;
    return { id, leader: groups[0].group, probability: groups[0].probability, ofPresentLeader: same.probability };
  });
}
