import { measurementById, MEASUREMENTS } from '../../circuit/measurements/list.ts';
import type { Conditions, Measurement } from '../../circuit/measurements/measurement.ts';
import type { Access } from '../../catalogue/kit/access.ts';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import { mutualInformation, outcomeTable, predictAll, thinned } from './information.ts';
import { mendedApart } from './mendedApart.ts';
import { type Outcome, outcomesOf } from './outcomes.ts';
import type { Posterior } from '../../inference/posterior/posterior.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import type { Problem } from '../../inference/model/problem.ts';
import type { MachineState } from '../../base/units/vocabulary.ts';

/** One proposed test: what it would tell and cost, and what each outcome would mean. */
export interface Proposal {
  measurement: string;
  conditions: Conditions;
  minutes: number;
  /** Expected information about the fault, in bits, and per minute of work. */
  bits: number;
  bitsPerMinute: number;
  /** What it can show, in classes that differ in what they would leave; likeliest first. */
  outcomes: Outcome[];
}

/**
 * The tests not yet done, best first, by mutual information between fault and outcome per minute of work. Faults below 0.2 % take no
 * part, nor does a test that changes nothing. A test whose set-up stands already (same `setup` as the last reading) costs its shorter time; a risky one counts as dearer than it is.
 */
export function proposeTests(
  problem: Problem,
  posterior: Posterior,
  access: Access,
  count = 3,
  state: MachineState = 'steady',
): Proposal[] {
  return proposalsFor(problem, posterior, access, candidateTests(problem, access, state), count);
}

/** As `proposeTests`, of these tests. */
export function proposalsFor(
  problem: Problem,
  posterior: Posterior,
  access: Access,
  tests: readonly PlannedTest[],
  count: number,
  least = CHANGES_NOTHING,
): Proposal[] {
  const faults = mendedApart(posterior.faults.filter((f) => f.draws.length > 0));
  if (faults.length === 0) return [];
  const samples = faults.map(thinned);
  return tests
    .map((test) => {
      const { measurement, conditions } = test;
      const predictions = samples.map((draws) => predictAll(posterior, test, draws));
      const table = outcomeTable(faults, samples, predictions, noiseOf(problem, measurement, conditions));
      const bits = mutualInformation(table);
      const minutes = minutesOf(test, problem, access);
      return { test, table, bits, minutes, cost: minutes + (measurement.risky ? access.riskMinutes : 0) };
    })
    .filter(({ bits }) => bits > least)
    .sort((a, b) => b.bits / b.cost - a.bits / a.cost)
    .slice(0, count)
    .map(({ test, table, bits, minutes }) => ({
      measurement: test.measurement.id,
      conditions: test.conditions,
      minutes,
      bits,
      bitsPerMinute: bits / minutes,
      outcomes: outcomesOf(faults, table),
    }));
}

/** A test that tells less than this changes nothing, bits. */
const CHANGES_NOTHING = 0.005;

/** A test with what it tells, bits, and what it costs now. */
export interface Worth {
  test: PlannedTest;
  bits: number;
  minutes: number;
}

/** The test that tells most per minute among those of more than `least` bits, as plain data; null where there is none. */
export function soonest(
  worth: readonly Worth[],
  least: number,
): { measurement: string; conditions: Conditions; bits: number; minutes: number } | null {
  const telling = worth.filter(({ bits }) => bits > least);
  if (telling.length === 0) return null;
  const { test, bits, minutes } = telling.reduce((a, b) => (b.bits / b.minutes > a.bits / a.minutes ? b : a));
  return { measurement: test.measurement.id, conditions: test.conditions, bits, minutes };
}

/** Minutes a test costs now: less where its set-up stands already from the last reading. */
export function minutesOf({ measurement }: PlannedTest, { readings }: Problem, access: Access): number {
  const last = readings[readings.length - 1];
  const standing = last !== undefined && measurementById(last.measurement).setup === measurement.setup;
  return (access.effort[measurement.setup] ?? 1) * (standing ? measurement.repeatMinutes : measurement.minutes);
}

/**
 * Every test that fits the circuit, is possible with the tools at hand and has not been done under the same conditions. As found (`steady`) what was
 * read in any state counts as done; in another state only what was read there.
 */
export function candidateTests(problem: Problem, access: Access, state: MachineState = 'steady'): PlannedTest[] {
  const { circuit } = problem;
  const read = problem.readings.filter((r) => state === 'steady' || r.state === state);
  const done = new Set(read.map((r) => `${r.measurement} ${JSON.stringify(r.conditions)}`));
  const doneKinds = new Set(read.map((r) => r.measurement));
  const tests: PlannedTest[] = [];
  for (const measurement of MEASUREMENTS) {
    if (!measurement.layouts.includes(circuit.layout)) continue;
    if (!measurement.tools.every((tool) => access.tools.includes(tool))) continue;
    if (measurement.sharing && !measurement.sharing.includes(circuit.shares ?? 'unknown')) continue;
    for (const conditions of conditionsFor(measurement.needs, problem)) {
      const plain = measurement.needs.length === 0;
      if (plain ? doneKinds.has(measurement.id) : done.has(`${measurement.id} ${JSON.stringify(conditions)}`)) continue;
      tests.push({ measurement, conditions, state });
    }
  }
  return tests;
}

/** Sensible conditions for tests that need some: a resistor as the sensor would be at 25 and 60 °C, a bath of hot and of iced water. */
function conditionsFor(needs: Measurement['needs'], problem: Problem): Conditions[] {
  const { circuit } = problem;
  if (needs.length === 0) return [{}];
  if (needs.includes('substituteOhm'))
    return [25, 60].map((t) => ({ substituteOhm: twoDigits(circuit.curve.resistanceOhm(t)) }));
  if (needs.includes('bathC')) return [{ bathC: 60 }, { bathC: 0 }];
  if (needs.includes('airC')) return [{ airC: 20, ownK: 1.5 }];
  // Tests on the way tell where, not what: `advice/place/` proposes them.
  return [];
}

function twoDigits(ohm: number): number {
  return Number(ohm.toPrecision(2));
}
