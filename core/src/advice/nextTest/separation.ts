import { outcomeTable, predictAll, thinned, unbiasedInformation } from './information.ts';
import { type Access } from '../../catalogue/kit/access.ts';
import { candidateTests, isSafeNow, minutesOf, soonest } from './nextTest.ts';
import type { Posterior } from '../../inference/posterior/posterior.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import type { Problem } from '../../inference/model/problem.ts';

/** Two suspects that the readings do not tell apart yet, and the test that would do it soonest; null where none at hand would. */
export interface Undecided {
  faults: [string, string];
  names: [string, string];
  test: ReturnType<typeof soonest>;
}

/** A suspect below this probability is not worth telling apart. */
const WORTH_TELLING = 0.05;
/** Two suspects whose odds are beyond this are told apart. */
const TOLD_APART = 20;
/** Less than this (of the one bit that two suspects differ by at most) settles nothing. */
const SETTLES = 0.25;
const MOST_PAIRS = 3;

/** Pairs of leading suspects that are still open, with the test of the most information per minute about that pair alone. */
export function undecidedPairs(problem: Problem, posterior: Posterior, access: Access): Undecided[] {
  const suspects = posterior.faults.filter((f) => f.draws.length > 0 && f.probability > WORTH_TELLING);
  const samples = suspects.map((f) => thinned(f));
  const tests =
    problem.readings.length === 0 ? [] : candidateTests(problem, access).filter((t) => isSafeNow(t, problem));
  const predictions = tests.map((test) => samples.map((s) => predictAll(posterior, test, s)));
  const noises = tests.map((t) => noiseOf(problem, t.measurement, t.conditions));
  const pairs: Undecided[] = [];
  for (let i = 0; i < suspects.length; i++) {
    for (let j = i + 1; j < suspects.length && pairs.length < MOST_PAIRS && tests.length > 0; j++) {
      if (suspects[i].probability > TOLD_APART * suspects[j].probability) continue;
      // Both equally likely: what the test says of this pair, whatever the odds are now.
      const even = [suspects[i], suspects[j]].map((f) => ({ ...f, probability: 0.5 }));
      const worth = tests.map((test, t) => {
        const both = [predictions[t][i], predictions[t][j]];
        const bits = unbiasedInformation(outcomeTable(even, both, noises[t]));
        return { test, bits, minutes: minutesOf(test, problem, access) };
      });
      pairs.push({
        faults: [suspects[i].fault.id, suspects[j].fault.id],
        names: [suspects[i].fault.name, suspects[j].fault.name],
        test: soonest(worth, SETTLES),
      });
    }
  }
  return pairs;
}
