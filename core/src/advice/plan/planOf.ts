import { bestBorders } from '../nextTest/outcomes.ts';
import { BINS, outcomeTable, predictAll, thinned } from '../nextTest/information.ts';
import { schoolOrder, SCHOOLS } from '../nextTest/schools.ts';
import { costOfRule } from './fixedRules.ts';
import { candidateTests, isSafeNow, minutesOf } from '../nextTest/nextTest.ts';
import type { Posterior } from '../../inference/posterior/posterior.ts';
import type { Access } from '../../catalogue/kit/access.ts';
import type { Conditions } from '../../circuit/measurements/measurement.ts';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import { normalCdf } from '../../base/numeric/normal.ts';
import type { FaultGroup } from '../../base/units/vocabulary.ts';
import { actOn, bestStep, maySatisfy, type Prospect, type Step, type Trial, withTrial } from './lookAhead.ts';
import { type Costs, repairsOf, type Spent } from './repairs.ts';

/** One way to go on, with what it is expected to cost until the machine is right. */
export interface Option extends Spent {
  /** act: this repair first, then the next likeliest; test: this test first. */
  kind: 'act' | 'test';
  group: FaultGroup | null;
  measurement: string | null;
  conditions: Conditions;
  /** Minutes of this step alone. */
  ownMinutes: number;
  /** Probability that this repair is not the one that helps; null for a test. */
  wrong: number | null;
  /** Is this repair less sure than the customer wants it? */
  tooUnsure: boolean;
}

/** The ways to go on, cheapest first, those that are less sure than asked last. Plain data: it crosses to the page. */
export interface Ways {
  options: Option[];
  /** The customer wants it surer than any tests in view can make it: then what pays is advised. */
  outOfReach: boolean;
}

/** The ways, with what stands beside them. */
export interface Plan extends Ways {
  /** Price of the part at which changing the sensor now and the best test first cost the same; null where one is always better. */
  breakEven: number | null;
  /** What fixed ways of working are expected to cost on this very job, beside it. */
  rules: ({ id: string; name: string } & Spent)[];
}

/** Tests ahead that are weighed. */
const DEPTH = 2;
/** Tests that are shown. */
const SHOWN = 3;
/** Repairs below this probability are not shown. */
const WORTH_NAMING = 0.02;

/** Acting now, testing on or stopping, each with its expected cost from what is believed now. Deterministic. */
export function planOf(posterior: Posterior, access: Access, costs: Costs): Plan {
  const outlook = outlookOn(posterior, access, costs);
  const { tests, prospect } = outlook;
  return { ...waysOf(outlook), breakEven: breakEvenOf(prospect), rules: rulesOf(tests, prospect) };
}

/** The ways alone: a fraction of the work of the whole plan. */
export const optionsOf = (posterior: Posterior, access: Access, costs: Costs): Ways =>
  waysOf(outlookOn(posterior, access, costs));

function waysOf({ tests, prospect, outOfReach }: Outlook): Ways {
  const { sure } = prospect.costs;
  const acts = prospect.repairs.flatMap(({ group, minutes }, i): Option[] => {
    const probability = shareOf(prospect, i);
    if (probability < WORTH_NAMING || (group === 'healthy' && prospect.costs.protects)) return [];
    const { order: _, ...spent } = actOn(prospect, prospect.weights, i);
    return [
      {
        kind: 'act',
        group,
        measurement: null,
        conditions: {},
        ownMinutes: minutes,
        wrong: 1 - probability,
        tooUnsure: probability < sure,
        ...spent,
      },
    ];
  });
  const trials = tests
    .map((test, t) => ({ test, step: withTrial(prospect, prospect.weights, t, DEPTH)! }))
    .sort((a, b) => a.step.total - b.step.total)
    .slice(0, SHOWN)
    .map(({ test, step: { trial, ...spent } }): Option => ({
      kind: 'test',
      group: null,
      measurement: test.measurement.id,
      conditions: test.conditions,
      ownMinutes: prospect.trials[trial].minutes,
      wrong: null,
      tooUnsure: false,
      ...spent,
    }));
  const options = [...acts, ...trials].sort((a, b) => Number(a.tooUnsure) - Number(b.tooUnsure) || a.total - b.total);
  return { options, outOfReach };
}

/** The best next step alone: act (null) or this test. */
export function cheapestStep(
  posterior: Posterior,
  access: Access,
  costs: Costs,
): { test: PlannedTest | null; step: Step; group: FaultGroup } {
  const { tests, prospect } = outlookOn(posterior, access, costs);
  const step = bestStep(prospect, prospect.weights, DEPTH);
  const [group] = actOn(prospect, prospect.weights).order;
  return { test: step.trial < 0 ? null : tests[step.trial], step, group };
}

/** A school tests until it is this sure, if the customer does not say. */
const SURE_ENOUGH = 0.95;

function rulesOf(tests: readonly PlannedTest[], prospect: Prospect): Plan['rules'] {
  const swap = actOn(prospect, prospect.weights, 0);
  const schools = SCHOOLS.map((school) => {
    const order = schoolOrder(school).flatMap((id) =>
      tests.flatMap(({ measurement }, t) => (measurement.id === id ? [t] : [])),
    );
    return { id: school.id, name: school.name, ...costOfRule(prospect, order, prospect.costs.sure || SURE_ENOUGH) };
  });
  const { minutes, money, total } = swap;
  return [{ id: 'swap-first', name: 'Change the sensor first', minutes, money, total }, ...schools];
}

function shareOf({ groups, weights }: Prospect, group: number): number {
  let sum = 0;
  for (let d = 0; d < weights.length; d++) if (groups[d] === group) sum += weights[d];
  return sum;
}

interface Outlook {
  tests: PlannedTest[];
  prospect: Prospect;
  outOfReach: boolean;
}

/** What the plan is made on; surer than any tests can make it is not asked of it. */
function outlookOn(posterior: Posterior, access: Access, costs: Costs): Outlook {
  const { tests, prospect } = prospectOf(posterior, access, costs);
  if (costs.sure === 0 || maySatisfy(prospect, DEPTH)) return { tests, prospect, outOfReach: false };
  return { tests, prospect: { ...prospect, costs: { ...costs, sure: 0 } }, outOfReach: true };
}

/** The draws and tests of a posterior as the plan sees them. */
export function prospectOf(
  posterior: Posterior,
  access: Access,
  costs: Costs,
): { tests: PlannedTest[]; prospect: Prospect } {
  const { problem } = posterior.predictor;
  const repairs = repairsOf(costs);
  const faults = posterior.faults.filter((f) => f.draws.length > 0);
  const samples = faults.map((f) => thinned(f));
  const total = faults.reduce((sum, f) => sum + f.probability, 0);
  const weights = Float64Array.from(
    samples.flatMap((draws, i) => draws.map(() => faults[i].probability / total / draws.length)),
  );
  const groups = Uint8Array.from(
    samples.flatMap((draws, i) => draws.map(() => repairs.findIndex((r) => r.group === faults[i].fault.group))),
  );
  const tests = candidateTests(problem, access).filter((t) => isSafeNow(t, problem));
  const trials = tests.map((test): Trial => {
    const { measurement, conditions } = test;
    const noise = noiseOf(problem, measurement, conditions);
    const predictions = samples.map((draws) => predictAll(posterior, test, draws));
    const table = outcomeTable(faults, predictions, noise);
    const bins = bestBorders(
      groupedBy(
        table,
        faults.map((f) => f.fault.group),
      ),
    );
    // OL is an outcome of its own where the borders part it off; figures lie between borders, the outermost of which are open.
    const edges = bins.map((b, k) => (k === 0 ? -Infinity : b > BINS - 1 ? Infinity : table.border(b)));
    const outcomes = bins.length - 1;
    const chance = new Float64Array(weights.length * outcomes);
    const slip = problem.instruments.blunder;
    let d = 0;
    for (const list of predictions) {
      for (const p of list) {
        for (let k = 0; k < outcomes; k++) {
          const own = Number.isFinite(p)
            ? normalCdf((edges[k + 1] - p) / noise.sigma(p)) - normalCdf((edges[k] - p) / noise.sigma(p))
            : k === outcomes - 1
              ? 1
              : 0;
          chance[d * outcomes + k] = (1 - slip) * Math.max(0, own) + slip / outcomes;
        }
        d++;
      }
    }
    const minutes = minutesOf(test, problem, access) + (measurement.risky ? access.riskMinutes : 0);
    const repeatMinutes = (access.effort[measurement.setup] ?? 1) * measurement.repeatMinutes;
    return { minutes, repeatMinutes, setup: measurement.setup, outcomes, chance };
  });
  return { tests, prospect: { repairs, costs, weights, groups, trials } };
}

/** An outcome table by group in place of by fault: what a repair needs to know. */
function groupedBy(
  { given, shares }: { given: readonly Float64Array[]; shares: readonly number[] },
  groups: readonly FaultGroup[],
): { given: Float64Array[]; shares: number[] } {
  const names = [...new Set(groups)];
  const sums = names.map((name) => shares.reduce((sum, s, i) => sum + (groups[i] === name ? s : 0), 0));
  const mixed = names.map((name, g) =>
    given.reduce((bins, one, i) => {
      if (groups[i] !== name || sums[g] === 0) return bins;
      for (let b = 0; b < bins.length; b++) bins[b] += (shares[i] / sums[g]) * one[b];
      return bins;
    }, new Float64Array(given[0].length)),
  );
  return { given: mixed, shares: sums };
}

const NONE: ReadonlySet<number> = new Set();
/** Halvings of the search for the price. */
const HALVINGS = 12;

function breakEvenOf(prospect: Prospect): number | null {
  const { costs } = prospect;
  // Where the sensor is less sure than asked, no price makes its change the next step.
  if (shareOf(prospect, 0) < Math.max(WORTH_NAMING, costs.sure)) return null;
  /** How much dearer it is to change the sensor now than to test first. */
  const dearer = (part: number): number => {
    const at = { ...costs, part };
    const priced: Prospect = { ...prospect, costs: at, repairs: repairsOf(at) };
    const now = actOn(priced, priced.weights, 0).total;
    const first = priced.trials.reduce(
      (least, _, t) =>
        Math.min(least, withTrial(priced, priced.weights, t, DEPTH, null, NONE, least)?.total ?? Infinity),
      Infinity,
    );
    return now - first;
  };
  let [low, high] = [0, Math.max(1000 * costs.perMinute, 4 * costs.part)];
  if (dearer(low) >= 0 || dearer(high) <= 0) return null;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (dearer(middle) > 0) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}
