import { FAULT_GROUPS, type FaultGroup } from '../../base/units/vocabulary.ts';
import { type SizeUnit } from '../../circuit/faults/fault.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { weightedQuantile } from '../../base/numeric/weightedQuantile.ts';
import { healthyRanges, plainTests } from '../model/healthyRanges.ts';
import { inside, type Interval } from '../../base/numeric/interval.ts';
import { predictiveInterval } from '../model/predictiveInterval.ts';
import { type FaultPosterior, type Posterior, posteriorOf } from '../posterior/posterior.ts';
import type { Predictor } from '../model/predictor.ts';
import { possibleCurves } from './possibleCurves.ts';
import { displayStuck } from '../model/displayStuck.ts';
import type { Problem } from '../model/problem.ts';
import {
  type Doubt,
  doubtOf,
  type Explained,
  explainedReadings,
  type Stretched,
  stretchedBy,
  thermometerSlip,
} from './doubt.ts';

/** Size of a fault: middle and 95 % range, in its unit. */
export interface SizeEstimate extends Interval {
  middle: number;
  unit: SizeUnit;
}

/** A fault worth naming, with what it predicts. Plain data: it crosses to the page and into files. */
export interface Suspect {
  fault: string;
  group: FaultGroup;
  name: string;
  probability: number;
  /** Null where the fault has none, and before the first reading. */
  size: SizeEstimate | null;
  /** Which connector segment, which other curve; null where there is no such choice or it is open. */
  detail: string | null;
  /** The machine state in which alone it seems to be present, or null. */
  onlyIn: string | null;
  part: string;
  repair: string;
  /** What each reading should be under this fault, in the order of the readings. */
  predicts: Interval[];
}

export interface ReadingView extends Explained {
  id: string;
  measurement: string;
  healthy: Interval;
  verdict: 'inside' | 'low' | 'high';
}

export interface Assessment {
  groups: { group: FaultGroup; probability: number }[];
  /** Every fault, most probable first. */
  ranking: { fault: string; name: string; group: FaultGroup; probability: number; prior: number }[];
  suspects: Suspect[];
  readings: ReadingView[];
  /** The readings themselves, in the same order: V, Ω (Infinity is OL) or °C. */
  values: number[];
  /** 95 % range of every plain test on a healthy circuit, by measurement. */
  healthy: Record<string, Interval>;
  doubt: Doubt;
  /** What is sound under the leading suspect but further off than sound circuits show: which unknown, and by how many of its 1σ. */
  stretched: Stretched[];
  /** What the thermometer at the machine probably showed, °C, where it was read in the wrong unit; else null. */
  thermometerSlip: number | null;
  /** Curves of the catalogue that the readings leave, most likely first, where the curve was not known; else null. */
  possibleCurves: { name: string; share: number }[] | null;
  /** Does the display show the same whether the sensor is plugged in, unplugged or jumpered? */
  displayStuck: boolean;
  /** What would have to be read before a sound circuit is known to be one: ids of tests, and "hot" for a reading at working temperature. */
  untested: string[];
  /** Pull-up the readings suggest, where it was not known, Ω. */
  learnedPullUp: (Interval & { middle: number }) | null;
}

const MAX_SUSPECTS = 6;
/** From this share on a slip becomes a question. */
const WORTH_ASKING = 0.3;
/** Faults below this probability are not shown as suspects. */
const WORTH_NAMING = 0.005;

/** The whole verdict on a problem as data: ranking, sizes, predicted intervals, contradictions. Deterministic. */
export function assess(problem: Problem): Assessment {
  return explain(problem, posteriorOf(problem));
}

/** Turns a posterior into the data a person is shown. `rangesOf`: as `healthyRanges`, for one who remembers them. */
export function explain(problem: Problem, posterior: Posterior, rangesOf = healthyRanges): Assessment {
  const { faults, predictor } = posterior;
  const tests = plainTests(problem);
  const taken = problem.readings.map((r) => ({
    measurement: measurementById(r.measurement),
    conditions: r.conditions,
    state: r.state,
    ...(r.moment !== undefined && { moment: r.moment }),
  }));
  const ranges = rangesOf(problem, [...tests, ...taken]);
  const suspects = faults.filter((f) => f.probability >= WORTH_NAMING && f.draws.length > 0).slice(0, MAX_SUSPECTS);
  const leading = leadingFaults(posterior);
  // The leading suspect may do without a slip. The question costs one tap and is worth it where one in three would answer yes.
  const asked = explainedReadings(
    posterior,
    faults.filter((f) => f.draws.length > 0),
    WORTH_ASKING,
  );
  const explained = explainedReadings(posterior, leading).map((e, i) => ({ ...e, slip: e.slip ?? asked[i].slip }));
  return {
    groups: groupProbabilities(faults),
    ranking: faults.map(({ fault, probability, prior }) => ({
      fault: fault.id,
      name: fault.name,
      group: fault.group,
      probability,
      prior,
    })),
    suspects: suspects.map((s) => suspectOf(s, predictor)),
    readings: problem.readings.map((r, i) => {
      const range = ranges[tests.length + i];
      return {
        id: r.id,
        measurement: r.measurement,
        healthy: range,
        verdict: inside(range, r.value),
        ...explained[i],
      };
    }),
    values: problem.readings.map((r) => r.value),
    healthy: Object.fromEntries(tests.map((t, i) => [t.measurement.id, ranges[i]])),
    doubt: doubtOf(
      posterior,
      leading,
      explained.map((e) => e.blunder),
    ),
    thermometerSlip: thermometerSlip(posterior, leading),
    stretched: stretchedBy(posterior, leading),
    displayStuck: displayStuck(problem),
    untested: untestedOf(problem),
    possibleCurves:
      problem.circuit.curve.alternatives && problem.readings.length > 0 ? possibleCurves(posterior) : null,
    learnedPullUp: problem.circuit.pullUpOhm === null && problem.readings.length > 0 ? learnedPullUp(posterior) : null,
  };
}

/** The tests that between them look at every part of a circuit. Common practice, no source. */
const EVERY_PART = ['displayed', 'open-voltage', 'loaded-voltage', 'sensor-ohms'];
/** From here on a sensor is at its working temperature, as a share of its working range. */
const WARM = 0.6;

function untestedOf({ readings, circuit, thermometers }: Problem): string[] {
  const tests = EVERY_PART.filter((id) => readings.every((r) => r.measurement !== id));
  const { low, high } = circuit.worksC ?? { low: 0, high: 0 };
  const warm = (thermometers.steady?.readC ?? -Infinity) >= low + WARM * (high - low);
  return warm || readings.some((r) => r.state === 'hot') ? tests : [...tests, 'hot'];
}

/** Probability of each group, most probable first; faults of a group add up. */
export function groupProbabilities(faults: readonly FaultPosterior[]): { group: FaultGroup; probability: number }[] {
  return FAULT_GROUPS.map((group) => ({
    group,
    probability: faults.reduce((sum, f) => sum + (f.fault.group === group ? f.probability : 0), 0),
  })).sort((a, b) => b.probability - a.probability);
}

function suspectOf(s: FaultPosterior, predictor: Predictor): Suspect {
  const weights = Float64Array.from(s.draws, (d) => d.weight);
  const { fault } = s;
  return {
    fault: fault.id,
    group: fault.group,
    name: fault.name,
    probability: s.probability,
    size:
      fault.unit === null || predictor.readings.length === 0
        ? null
        : sizeEstimate(
            s.draws.map((d) => d.size),
            weights,
            fault.unit,
          ),
    detail: dominant(s, (d) => d.hypothesis.branch.detail ?? null),
    onlyIn: dominant(s, (d) => d.hypothesis.onlyIn),
    part: fault.part,
    repair: dominant(s, (d) => d.hypothesis.branch.repair ?? null) ?? fault.repair,
    predicts: predictor.readings.map((reading, i) => {
      const lowest = reading.measurement.quantity === 'ohms' ? 0 : -Infinity;
      return predictiveInterval(
        Float64Array.from(s.draws, (d) => d.predictions[i]),
        weights,
        reading.noise,
        lowest,
      );
    }),
  };
}

/** Middle and 95 % range of weighted sizes. */
export function sizeEstimate(sizes: readonly number[], weights: ArrayLike<number>, unit: SizeUnit): SizeEstimate {
  const [low, middle, high] = weightedQuantile(sizes, weights, [0.025, 0.5, 0.975]);
  return { low, middle, high, unit };
}

/** The value that four fifths of the weight agree on, or null. */
function dominant(s: FaultPosterior, key: (d: FaultPosterior['draws'][number]) => string | null): string | null {
  const shares = new Map<string | null, number>();
  for (const d of s.draws) shares.set(key(d), (shares.get(key(d)) ?? 0) + d.weight);
  for (const [value, share] of shares) if (share > 0.8) return value;
  return null;
}

/** The faults of the leading group: a reading that they explain is in no doubt, whatever the others make of it. */
export function leadingFaults({ faults }: Posterior): readonly FaultPosterior[] {
  const sampled = faults.filter((f) => f.draws.length > 0);
  const [{ group }] = groupProbabilities(sampled);
  return sampled.filter((f) => f.fault.group === group);
}

function learnedPullUp({ faults, predictor }: Posterior): Interval & { middle: number } {
  const k = predictor.latent.names.indexOf('pull-up');
  const values: number[] = [];
  const weights: number[] = [];
  for (const f of faults) {
    for (const d of f.draws) {
      predictor.solvedAt(d.hypothesis, d.position, d.u, 'steady');
      values.push(k < 0 ? NaN : predictor.lastPullUpOhm);
      weights.push(f.probability * d.weight);
    }
  }
  const [low, middle, high] = weightedQuantile(values, weights, [0.025, 0.5, 0.975]);
  return { low, middle, high };
}
