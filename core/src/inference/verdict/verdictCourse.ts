import { posteriorOf } from '../posterior/posterior.ts';
import type { Problem } from '../model/problem.ts';
import type { FaultGroup } from '../../base/units/vocabulary.ts';
import { groupProbabilities } from './assessment.ts';

/** The verdict at one moment of the work. */
export interface CourseStep {
  /** Id of the reading that came last; null: before any. */
  after: string | null;
  /** Probability of each group, in the order of the vocabulary's groups as ranked by the whole. */
  groups: { group: FaultGroup; probability: number }[];
}

/** Most steps that are worked out: a long list of readings is told from its last ones. */
const MOST_STEPS = 12;

/** How the verdict moved as the readings came in, in the order in which they stand; the last step is the verdict itself. */
export function courseOf(problem: Problem): CourseStep[] {
  const { readings } = problem;
  const first = Math.max(0, readings.length - MOST_STEPS + 1);
  return Array.from({ length: readings.length - first + 1 }, (_, i) => {
    const count = first + i;
    return {
      after: readings[count - 1]?.id ?? null,
      groups: groupProbabilities(posteriorOf({ ...problem, readings: readings.slice(0, count) }).faults),
    };
  });
}
