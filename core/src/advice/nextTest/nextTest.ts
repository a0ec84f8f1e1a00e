import { measurementById, MEASUREMENTS } from '../../circuit/measurements/list.ts';
import type { Conditions, Measurement } from '../../circuit/measurements/measurement.ts';
import type { Access } from '../../catalogue/kit/access.ts';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import { CLOSELY, outcomeTable, predictAll, ROUGHLY, thinned, unbiasedInformation } from './information.ts';
import { mendedApart } from './mendedApart.ts';
import { type Outcome, outcomesOf } from './outcomes.ts';
import type { Posterior } from '../../inference/posterior/posterior.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import { displayStuck } from '../../inference/model/displayStuck.ts';
import type { Problem } from '../../inference/model/problem.ts';
import type { MachineState } from '../../base/units/vocabulary.ts';

/** One proposed test: what it would tell and cost, and what each outcome would mean. */
export interface Proposal {
  measurement: string;
  conditions: Conditions;
  /** The state of the machine in which it is worth taking. */
  state: MachineState;
  minutes: number;
  /** Expected information about the fault, in bits, per minute of work, and per minute with the risk counted: by the last they are ranked. */
  bits: number;
  bitsPerMinute: number;
  bitsPerCost: number;
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
  const tests =
    state === 'steady' ? testsToPropose(problem, posterior, access) : candidateTests(problem, access, state);
  return proposalsFor(problem, posterior, access, tests, count);
}

/** Set-ups that leave everything plugged in: what fails now and then is not disturbed by them. */
const UNDISTURBED: readonly Measurement['setup'][] = ['scan', 'plugged'];
/** Where so much of the belief lies on faults that are there all the time, nothing needs to be caught failing. */
const THERE_ANYWAY = 0.9;

/**
 * The tests to choose from. Where the fault comes and goes, first what can be read with everything plugged in while it fails: unplugging re-seats a
 * bad terminal and destroys the evidence. A display that does not react is not asked again.
 */
export function testsToPropose(problem: Problem, { faults }: Pick<Posterior, 'faults'>, access: Access): PlannedTest[] {
  const stuck = displayStuck(problem);
  const useful = (test: PlannedTest): boolean =>
    isSafeNow(test, problem) &&
    (!stuck || test.measurement.quantity !== 'celsius' || test.measurement.ofNeighbour === true);
  const undisturbed = ({ measurement }: PlannedTest): boolean => UNDISTURBED.includes(measurement.setup);
  const all = candidateTests(problem, access).filter(useful);
  const failing = (problem.comesAndGoes ?? []).map((state) => {
    const caught = problem.readings.some((r) => r.state === state);
    const tests = candidateTests(problem, access, state).filter((t) => useful(t) && (caught || undisturbed(t)));
    return { caught, tests };
  });
  const caught = failing.every((f) => f.caught || f.tests.length === 0);
  const first = caught || presentNow(faults) > THERE_ANYWAY ? all : all.filter(undisturbed);
  return [...first, ...failing.flatMap((f) => f.tests)];
}

/** Set-ups that connect something to the pins of the plug. */
const CONNECTING: readonly Measurement['setup'][] = ['bridged', 'substituted'];
/** So far above the reference the meter may show it. */
const REFERENCE_SLACK = 1.06;

/**
 * May this be proposed now? A jumper or a resistor only once the volts unplugged were read and are no more than the reference: then the pins were found,
 * and nothing stronger is on them. Common practice, no source.
 */
export function isSafeNow({ measurement }: PlannedTest, { circuit, readings }: Problem): boolean {
  if (!CONNECTING.includes(measurement.setup)) return true;
  const volts = readings.filter((r) => r.measurement.startsWith('open-voltage')).map((r) => r.value);
  return volts.length > 0 && volts.every((v) => v <= REFERENCE_SLACK * circuit.referenceV);
}

/** As `proposeTests`, of these tests. */
export function proposalsFor(
  problem: Problem,
  posterior: Posterior,
  access: Access,
  tests: readonly PlannedTest[],
  count: number,
  least = TELLS_NOTHING,
): Proposal[] {
  const faults = mendedApart(posterior.faults.filter((f) => f.draws.length > 0));
  if (faults.length === 0) return [];
  const rated = (list: readonly PlannedTest[], draws: number) => {
    const samples = faults.map((f) => thinned(f, draws));
    return list
      .map((test) => {
        const { measurement, conditions } = test;
        const predictions = samples.map((sample) => predictAll(posterior, test, sample));
        const table = outcomeTable(faults, predictions, noiseOf(problem, measurement, conditions));
        const minutes = minutesOf(test, problem, access);
        const cost = minutes + (measurement.risky ? access.riskMinutes : 0);
        return { test, table, bits: unbiasedInformation(table), minutes, cost };
      })
      .sort((a, b) => b.bits / b.cost - a.bits / a.cost);
  };
  const rough = rated(tests, ROUGHLY).filter(({ bits }) => bits > least / 2);
  const front = rated(
    rough.slice(0, FRONT).map(({ test }) => test),
    CLOSELY,
  );
  return [...front, ...rough.slice(FRONT)]
    .filter(({ bits }) => bits > least)
    .slice(0, count)
    .map(({ test, table, bits, minutes, cost }) => ({
      measurement: test.measurement.id,
      conditions: test.conditions,
      state: test.state,
      minutes,
      bits,
      bitsPerMinute: bits / minutes,
      bitsPerCost: bits / cost,
      outcomes: outcomesOf(faults, table),
    }));
}

/** So many of the tests that look best are looked at closely. */
const FRONT = 6;
/** A test that tells less than this is never proposed, bits. */
const TELLS_NOTHING = 0.05;

/** Probability that something is wrong that shows as the machine is found, not only hot or while wiggling. */
export const presentNow = (faults: Posterior['faults']): number =>
  faults
    .filter((f) => f.fault.id !== 'healthy')
    .reduce(
      (sum, f) =>
        sum +
        f.probability *
          f.draws.reduce((s, d) => s + (['steady', null].includes(d.hypothesis.onlyIn) ? d.weight : 0), 0),
      0,
    );

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
export function minutesOf({ measurement, state }: PlannedTest, { readings }: Problem, access: Access): number {
  const last = readings[readings.length - 1];
  const standing = last !== undefined && measurementById(last.measurement).setup === measurement.setup;
  const extra = readings.some((r) => r.state === state) ? 0 : STATE_MINUTES[state];
  return extra + (access.effort[measurement.setup] ?? 1) * (standing ? measurement.repeatMinutes : measurement.minutes);
}

/** Minutes to bring the machine into a state: to run it warm, to find what to wiggle. Common practice, no source. */
const STATE_MINUTES: Readonly<Record<MachineState, number>> = { steady: 0, hot: 10, wiggling: 1 };

/**
 * Every test that fits the circuit, is possible with the tools at hand and has not been done under the same conditions. As found (`steady`) what was
 * read in any state counts as done; in another state only what was read there.
 */
export function candidateTests(problem: Problem, access: Access, state: MachineState = 'steady'): PlannedTest[] {
  const read = problem.readings.filter((r) => state === 'steady' || r.state === state);
  const done = new Set(read.map((r) => `${r.measurement} ${JSON.stringify(r.conditions)}`));
  const doneKinds = new Set(read.map((r) => r.measurement));
  const tests: PlannedTest[] = [];
  for (const measurement of MEASUREMENTS.filter((m) => isPossible(m, problem, access))) {
    for (const conditions of conditionsFor(measurement.needs, problem)) {
      const plain = measurement.needs.length === 0;
      if (plain ? doneKinds.has(measurement.id) : done.has(`${measurement.id} ${JSON.stringify(conditions)}`)) continue;
      tests.push({ measurement, conditions, state });
    }
  }
  return tests;
}

/** Does the measurement fit the circuit, and can it be taken with the tools and the access at hand? */
function isPossible(measurement: Measurement, { circuit, displayOnly }: Problem, access: Access): boolean {
  const { layouts, sharing, setup, quantity, tools } = measurement;
  if (!layouts.includes(circuit.layout) || (sharing && !sharing.includes(circuit.shares ?? 'unknown'))) return false;
  if (displayOnly && !(setup === 'scan' && quantity === 'celsius')) return false;
  return !access.leftOut?.includes(measurement.id) && tools.every((tool) => access.tools.includes(tool));
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
