import { groupProbabilities } from '@mellow-probe/core/inference/verdict/assessment';
import type { PlannedTest } from '@mellow-probe/core/inference/model/healthyRanges';
import { candidateTests, proposeTests } from '@mellow-probe/core/advice/nextTest/nextTest';
import { EVERYTHING_AT_HAND } from '@mellow-probe/core/catalogue/kit/access';
import { type Posterior, posteriorOf } from '@mellow-probe/core/inference/posterior/posterior';
import type { Problem } from '@mellow-probe/core/inference/model/problem';
import { schoolOrder, SCHOOLS } from '@mellow-probe/core/advice/nextTest/schools';
import { simulateCase } from '@mellow-probe/core/training/simulation/simulateCase';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';

/** How one way of choosing tests fared. */
export interface OrderResult {
  name: string;
  tests: number;
  minutes: number;
  /** Share of cases that reached 95 % on a group, and share in which that group was the right one. */
  reached: number;
  right: number;
}

/** Picks the next test from those still possible, or null. */
type Choose = (problem: Problem, posterior: Posterior) => PlannedTest | null;

const SURE = 0.95;
const MOST_TESTS = 20;

const byInformation: Choose = (problem, posterior) => {
  const [best] = proposeTests(problem, posterior, EVERYTHING_AT_HAND, 1);
  return best ? { measurement: measurementById(best.measurement), conditions: best.conditions, state: 'steady' } : null;
};

const inOrder =
  (ids: readonly string[]): Choose =>
  (problem) => {
    const possible = candidateTests(problem, EVERYTHING_AT_HAND);
    for (const id of ids) {
      const test = possible.find((t) => t.measurement.id === id);
      if (test) return test;
    }
    return null;
  };

/** Runs the proposal and every school on the same cases until 95 % is on one group. */
export function studyOrders(count: number, seed: number, progress: (done: number) => void): OrderResult[] {
  const orders = [
    { name: 'Proposed next test', choose: byInformation },
    ...SCHOOLS.map((s) => ({ name: s.name, choose: inOrder(schoolOrder(s)) })),
  ];
  return orders.map(({ name, choose }, o) => {
    const total = { tests: 0, minutes: 0, reached: 0, right: 0 };
    for (let i = 0; i < count; i++) {
      const run = runUntilSure(seed + i, choose);
      total.tests += run.tests;
      total.minutes += run.minutes;
      total.reached += Number(run.reached);
      total.right += Number(run.right);
    }
    progress(o + 1);
    return {
      name,
      tests: total.tests / count,
      minutes: total.minutes / count,
      reached: total.reached / count,
      right: total.right / count,
    };
  });
}

function runUntilSure(
  seed: number,
  choose: Choose,
): { tests: number; minutes: number; reached: boolean; right: boolean } {
  const simulated = simulateCase(seed);
  let { problem } = simulated;
  let minutes = 0;
  for (let tests = 0; ; tests++) {
    const posterior = posteriorOf(problem);
    const [leader] = groupProbabilities(posterior.faults);
    const sure = tests > 0 && leader.probability >= SURE;
    const test = sure || tests >= MOST_TESTS ? null : choose(problem, posterior);
    if (!test) return { tests, minutes, reached: sure, right: leader.group === simulated.group };
    const last = problem.readings[problem.readings.length - 1];
    const standing = last && measurementById(last.measurement).setup === test.measurement.setup;
    minutes += standing ? test.measurement.repeatMinutes : test.measurement.minutes;
    const reading = {
      id: `r${tests}`,
      measurement: test.measurement.id,
      value: simulated.take(test),
      conditions: test.conditions,
      state: test.state,
    };
    problem = { ...problem, readings: [...problem.readings, reading] };
  }
}
