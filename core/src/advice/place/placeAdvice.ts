import { elementsOf, pointAt, type Side, SIDES } from '../../circuit/network/chain.ts';
import { putAt, type Strand, STRANDS } from '../../circuit/network/placeWeights.ts';
import type { Harness } from '../../circuit/harness/harnessSchema.ts';
import type { Posterior } from '../../inference/posterior/posterior.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Conditions, Measurement } from '../../circuit/measurements/measurement.ts';
import { predictiveInterval } from '../../inference/model/predictiveInterval.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import type { ReadingInput } from '../../inference/model/problem.ts';
import type { Interval } from '../../base/numeric/interval.ts';
import {
  alwaysMiddle,
  bestSplit,
  chanceBeyond,
  endToEnd,
  expectedMinutes,
  minutesFor,
  type SplitTask,
  startOf,
  USUAL_MINUTES,
} from './halfSplit.ts';
import { type LookFirst, lookFirst } from './lookFirst.ts';
import { placeShares, type PlaceShares, strandShare } from './placeShares.ts';
import type { HarnessReach } from './harnessReach.ts';

/** Elements from … to − 1 of the chain. */
export interface Places {
  from: number;
  to: number;
}

/** What one outcome of the reading would leave: what it shows (95 %), how likely it is, and the places then left. */
export interface PlaceOutcome extends Places {
  shows: Interval;
  probability: number;
}

/** The next reading on the way. */
export interface PlaceTest {
  measurement: string;
  conditions: Conditions;
  minutes: number;
  bits: number;
  /** Fault towards the module, fault towards the sensor. */
  outcomes: readonly [PlaceOutcome, PlaceOutcome];
  /** Expected minutes until the place is known: in the best order, end to end, always the middle. */
  expected: { best: number; endToEnd: number; middle: number };
}

/** Where the fault lies and where to look next. Plain data: it crosses to the page. */
export interface PlaceAdvice extends PlaceShares {
  connectors: number;
  /** The strand that leads, and its probability. */
  strand: Strand;
  probability: number;
  /** The places that no reading on the way could part further, where they have it nearly all; else null. */
  known: Places | null;
  /** Null where the place is known, where wiring does not lead, or where no reading on the way tells. */
  next: PlaceTest | null;
  /** What to look at or to wiggle before that; null where it would not shorten the search. */
  first: LookFirst | null;
  /** What an unfaulted way and the leading fault make of the voltage along it: V before and beyond the bad place. */
  profile: { before: Interval; beyond: Interval } | null;
}

/** From this probability on the wires lead and it pays to ask where. */
const LEADS = 0.5;
/** A place this likely is known. */
export const SURE = 0.9;

/** From this probability of one strand on, where it lies is the question, no longer what it is. */
const FIRM = 0.8;

/** Is the next thing to do a reading on the way? */
export const asksWhere = ({ next, probability }: PlaceAdvice): boolean => next !== null && probability >= FIRM;

/** Advice of earlier figures may speak of another loom: null where it does. */
export const ofThisHarness = (where: PlaceAdvice, loom: Harness): PlaceAdvice | null =>
  where.connectors === loom.stops.length ? where : null;

/** The next place to look where that comes first, on this loom; else null. */
export function nextPlace(where: PlaceAdvice, loom: Harness): PlaceTest | null {
  const told = ofThisHarness(where, loom);
  return told && asksWhere(told) ? told.next : null;
}

/** What can be read on the way for each strand: the plainest first. */
const KINDS: Readonly<Record<Strand, readonly { measurement: string; sides: readonly Side[] }[]>> = {
  signal: [
    { measurement: 'connector-voltage', sides: SIDES },
    { measurement: 'connector-ohms', sides: ['sensor'] },
  ],
  return: [
    { measurement: 'connector-voltage', sides: SIDES },
    { measurement: 'connector-ohms', sides: ['sensor'] },
  ],
  leak: [{ measurement: 'parted-voltage', sides: ['module'] }],
};

/** Where the fault lies on the way, and the reading there with which the least minutes are to be expected. Deterministic. */
export function placeAdvice(posterior: Posterior, reach: HarnessReach): PlaceAdvice {
  const { problem } = posterior.predictor;
  const { connectors } = problem.circuit;
  const places = placeShares(posterior);
  const strand = STRANDS.reduce((a, b) => (strandShare(places, b) > strandShare(places, a) ? b : a));
  const probability = strandShare(places, strand);
  const advice: PlaceAdvice = {
    ...places,
    connectors,
    strand,
    probability,
    known: null,
    next: null,
    first: null,
    profile: null,
  };
  if (probability < LEADS || connectors === 0 || problem.readings.length === 0) return advice;
  for (const { measurement, sides } of KINDS[strand]) {
    const found = withKind(posterior, reach, places.shares[strand], strand, measurementById(measurement), sides);
    if (found) return { ...advice, ...found };
  }
  return advice;
}

/** Advice by readings of one kind; null where they would not tell the two sides apart. */
function withKind(
  posterior: Posterior,
  reach: HarnessReach,
  shares: readonly number[],
  strand: Strand,
  measurement: Measurement,
  sides: readonly Side[],
): Pick<PlaceAdvice, 'known' | 'next' | 'first' | 'profile'> | null {
  const { problem } = posterior.predictor;
  const end = elementsOf(problem.circuit.connectors);
  const wire = strand === 'return' ? 'return' : 'signal';
  const conditionsOf = (position: number, side: Side): Conditions =>
    sides.length > 1 ? { wire, position, side } : { wire, position };
  const cuts = cutsOf(problem.circuit.connectors, sides);
  const borders = [0, ...cuts.map((c) => c.point), end];
  const weigh = (list: readonly number[]): number[] =>
    borders.slice(1).map((to, i) => list.slice(borders[i], to).reduce((a, b) => a + b, 0));
  const weights = weigh(shares);
  const task: SplitTask = {
    weights,
    cuts: cuts.map((c, i) => ({ before: i + 1, stop: c.position })),
    reach: reach.minutes,
    opening: reach.opening,
    ...standing(problem.readings, reach),
    minutes: USUAL_MINUTES,
    sure: SURE,
  };
  const total = weights.reduce((a, b) => a + b, 0);
  const place = (low: number, high: number): Places => ({ from: borders[low], to: borders[high] });
  const surest = weights.findIndex((w) => w >= SURE * total);
  const start = startOf(task);
  const best = bestSplit(task);
  const cut = surest >= 0 ? -1 : best.rule(task, start);
  const at = cut >= 0 ? cuts[cut] : cuts[cuts.length >> 1];
  const conditions = conditionsOf(at.position, at.side);
  // A fault before the point, and one beyond it.
  const shows = [at.point - 1, at.point].map((element) =>
    predicted(posterior, strand, measurement, conditions, element),
  );
  if (overlap(shows[0], shows[1])) return null;
  const profile = measurement.id === 'connector-voltage' ? { before: shows[1], beyond: shows[0] } : null;
  if (cut < 0) return { known: surest >= 0 ? place(surest, surest + 1) : null, next: null, first: null, profile };
  const beyond = chanceBeyond(task, cut, start);
  const next: PlaceTest = {
    measurement: measurement.id,
    conditions,
    minutes: minutesFor(task, cut, start),
    bits: entropyOf(beyond),
    outcomes: [
      { shows: shows[0], probability: 1 - beyond, ...place(0, cut + 1) },
      { shows: shows[1], probability: beyond, ...place(cut + 1, weights.length) },
    ],
    expected: {
      best: best.minutes,
      endToEnd: expectedMinutes(task, endToEnd),
      middle: expectedMinutes(task, alwaysMiddle),
    },
  };
  return { known: null, next, first: lookFirst(task, best.minutes, shares, weigh, strand, reach), profile };
}

/** Where a reading on the way can be taken: both sides of every connector, or one, from the module on. */
function cutsOf(connectors: number, sides: readonly Side[]): { position: number; side: Side; point: number }[] {
  const positions = Array.from({ length: connectors }, (_, i) => i + 1);
  return positions.flatMap((position) => sides.map((side) => ({ position, side, point: pointAt(position, side) })));
}

/** Which stops the readings on the way have laid open, and at which one the last of all readings was taken. */
function standing(readings: readonly ReadingInput[], { minutes }: HarnessReach): Pick<SplitTask, 'open' | 'here'> {
  const open = minutes.map(() => false);
  let here = -1;
  for (const { measurement, conditions } of readings) {
    here = measurementById(measurement).needs.includes('position') ? (conditions.position ?? 1) : -1;
    if (here >= 0) open[here] = true;
  }
  return { open, here };
}

/** What a reading shows (95 %) where the leading fault lies at this element. */
function predicted(
  { faults, predictor }: Posterior,
  strand: Strand,
  measurement: Measurement,
  conditions: Conditions,
  element: number,
): Interval {
  const values: number[] = [];
  const weights: number[] = [];
  for (const { probability, draws } of faults) {
    for (const d of draws) {
      if (d.hypothesis.branch.place?.strand !== strand || d.weight * probability < 1e-6) continue;
      const solved = predictor.solvedAt(d.hypothesis, d.position, d.u, d.hypothesis.onlyIn ?? 'steady');
      putAt(solved.state, strand, element);
      values.push(measurement.predict(solved, conditions));
      weights.push(probability * d.weight);
    }
  }
  const lowest = measurement.quantity === 'ohms' ? 0 : -Infinity;
  return predictiveInterval(values, weights, noiseOf(predictor.problem, measurement, conditions), lowest);
}

const overlap = (a: Interval, b: Interval): boolean => a.low <= b.high && b.low <= a.high;

function entropyOf(p: number): number {
  const part = (x: number): number => (x > 0 ? -x * Math.log2(x) : 0);
  return part(p) + part(1 - p);
}
