import { healthy } from '../../circuit/faults/healthy.ts';
import { MEASUREMENTS } from '../../circuit/measurements/list.ts';
import type { Conditions, Measurement } from '../../circuit/measurements/measurement.ts';
import { quasiRandomColumn } from '../../base/numeric/quasiRandom.ts';
import { hypothesesOf, settingOf } from './hypotheses.ts';
import { type Interval } from '../../base/numeric/interval.ts';
import { predictiveInterval } from './predictiveInterval.ts';
import { noiseOf, Predictor } from './predictor.ts';
import type { MachineState } from '../../base/units/vocabulary.ts';
import { type Problem, usualMoment } from './problem.ts';

const DRAWS = 1024;

/** A test with the conditions it is done under. */
export interface PlannedTest {
  measurement: Measurement;
  conditions: Conditions;
  state: MachineState;
  /** The moment, where that is not the usual one of the state. */
  moment?: string;
}

/** What sound readings of these tests would be if nothing were wrong (95 %), from the circuit and the thermometer alone. */
export function healthyRanges(problem: Problem, tests: readonly PlannedTest[]): Interval[] {
  const predictor = new Predictor(problem);
  const kinds = hypothesesOf(healthy, settingOf(problem), problem);
  const { latent } = predictor;
  const normals = Array.from({ length: latent.dimension }, (_, k) => quasiRandomColumn(k).normal);
  const u = new Float64Array(latent.dimension);
  const weights = new Float64Array(DRAWS).fill(1);
  const moments = tests.map((t) => t.moment ?? usualMoment(t.state));
  const groups = tests
    .map(({ state }, t) => ({ state, moment: moments[t] }))
    .filter((g, t, all) => all.findIndex((o) => o.state === g.state && o.moment === g.moment) === t);
  const values = tests.map(() => new Float64Array(DRAWS));
  for (let i = 0; i < DRAWS; i++) {
    for (let k = 0; k < u.length; k++) u[k] = normals[k][i];
    // The circuit of a moment is put together once for all its tests.
    for (const { moment, state } of groups) {
      const solved = predictor.solvedAt(kinds[i % kinds.length], 0.5, u, state, moment);
      tests.forEach((test, t) => {
        if (test.state === state && moments[t] === moment)
          values[t][i] = test.measurement.predict(solved, test.conditions);
      });
    }
  }
  return tests.map(({ measurement, conditions }, t) => {
    const lowest = measurement.quantity === 'ohms' ? 0 : -Infinity;
    return predictiveInterval(values[t], weights, noiseOf(problem, measurement, conditions), lowest);
  });
}

/** Those of these tests that need no further conditions and fit this layout. */
export function plainTests(problem: Problem, tests: readonly Measurement[] = MEASUREMENTS): PlannedTest[] {
  return tests
    .filter((m) => m.needs.length === 0 && m.layouts.includes(problem.circuit.layout))
    .map((measurement) => ({ measurement, conditions: {}, state: 'steady' as const }));
}
