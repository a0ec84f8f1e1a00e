import { FAULT_GROUPS, type FaultGroup } from '../units/vocabulary.ts';
import { type SizeUnit } from '../faults/fault.ts';
import { measurementById } from '../measurements/list.ts';
import { weightedQuantile } from '../numeric/weightedQuantile.ts';
import { healthyRanges, plainTests } from '../model/healthyRanges.ts';
import { inside, type Interval } from '../numeric/interval.ts';
import { predictiveInterval } from '../model/predictiveInterval.ts';
import { type FaultPosterior, type Posterior, posteriorOf } from '../inference/posterior.ts';
import type { Predictor } from '../model/predictor.ts';
import type { SlipKind } from '../model/slips.ts';
import { possibleCurves } from './possibleCurves.ts';
import { type Problem, THERMOMETER } from '../model/problem.ts';

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

export interface ReadingView {
  id: string;
  measurement: string;
  healthy: Interval;
  verdict: 'inside' | 'low' | 'high';
  /** Probability that this reading is a blunder, under what leads. */
  blunder: number;
  /** The slip that explains it best, where it is more likely than not: how, and what was meant (null: to be taken again). */
  slip: { kind: SlipKind; meant: number | null } | null;
}

/** How far the ranking may be trusted. */
export type Doubt =
  | { kind: 'none' }
  | { kind: 'no-readings' }
  /** One or more readings that even the best fault does not explain, most doubtful first. */
  | { kind: 'contradiction'; readings: string[] }
  /** No single fault explains the readings. */
  | { kind: 'nothing-fits'; readings: string[] };

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
  stretched: { unknown: string; sigmas: number }[];
  /** What the thermometer at the machine probably showed, °C, where it was read in the wrong unit; else null. */
  thermometerSlip: number | null;
  /** Curves of the catalogue that the readings leave, most likely first, where the curve was not known; else null. */
  possibleCurves: { name: string; share: number }[] | null;
  /** Pull-up the readings suggest, where it was not known, Ω. */
  learnedPullUp: (Interval & { middle: number }) | null;
}

const MAX_SUSPECTS = 6;
/** Faults below this probability are not shown as suspects. */
const WORTH_NAMING = 0.005;

/** The whole verdict on a problem as data: ranking, sizes, predicted intervals, contradictions. Deterministic. */
export function assess(problem: Problem): Assessment {
  return explain(problem, posteriorOf(problem));
}

/** Turns a posterior into the data a person is shown. */
export function explain(problem: Problem, posterior: Posterior): Assessment {
  const { faults, predictor } = posterior;
  const tests = plainTests(problem);
  const taken = problem.readings.map((r) => ({
    measurement: measurementById(r.measurement),
    conditions: r.conditions,
    state: r.state,
  }));
  const ranges = healthyRanges(problem, [...tests, ...taken]);
  const suspects = faults.filter((f) => f.probability >= WORTH_NAMING && f.draws.length > 0).slice(0, MAX_SUSPECTS);
  const leading = leadingFaults(posterior);
  const blunders = blunderProbabilities(posterior, leading);
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
        blunder: blunders[i],
        slip: slipOf(posterior, leading, i),
      };
    }),
    values: problem.readings.map((r) => r.value),
    healthy: Object.fromEntries(tests.map((t, i) => [t.measurement.id, ranges[i]])),
    doubt: doubtOf(problem, blunders, thermometerBlunder(posterior, leading)),
    thermometerSlip: thermometerSlip(posterior, leading) ?? betterInFahrenheit(problem, posterior),
    stretched: stretchedBy(posterior, leading),
    possibleCurves:
      problem.circuit.curve.alternatives && problem.readings.length > 0 ? possibleCurves(posterior) : null,
    learnedPullUp: problem.circuit.pullUpOhm === null && problem.readings.length > 0 ? learnedPullUp(posterior) : null,
  };
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
    size: fault.unit === null || predictor.readings.length === 0 ? null : sizeOf(s, weights),
    detail: dominant(s, (d) => d.hypothesis.branch.detail ?? null),
    onlyIn: dominant(s, (d) => d.hypothesis.onlyIn),
    part: fault.part,
    repair: fault.repair,
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

function sizeOf(s: FaultPosterior, weights: Float64Array): SizeEstimate {
  const [low, middle, high] = weightedQuantile(
    Float64Array.from(s.draws, (d) => d.size),
    weights,
    [0.025, 0.5, 0.975],
  );
  return { low, middle, high, unit: s.fault.unit! };
}

/** The value that four fifths of the weight agree on, or null. */
function dominant(s: FaultPosterior, key: (d: FaultPosterior['draws'][number]) => string | null): string | null {
  const shares = new Map<string | null, number>();
  for (const d of s.draws) shares.set(key(d), (shares.get(key(d)) ?? 0) + d.weight);
  for (const [value, share] of shares) if (share > 0.8) return value;
  return null;
}

/** The faults of the leading group: a reading that they explain is in no doubt, whatever the others make of it. */
function leadingFaults({ faults }: Posterior): readonly FaultPosterior[] {
  const sampled = faults.filter((f) => f.draws.length > 0);
  const [{ group }] = groupProbabilities(sampled);
  return sampled.filter((f) => f.fault.group === group);
}

/** The mean of a figure over the draws of these faults. */
function averaged(faults: readonly FaultPosterior[], of: (d: FaultPosterior['draws'][number]) => number): number {
  let [sum, total] = [0, 0];
  for (const f of faults) {
    for (const d of f.draws) {
      sum += f.probability * d.weight * of(d);
      total += f.probability * d.weight;
    }
  }
  return sum / total;
}

/** Probability of each reading being a blunder or a slip under these faults. */
function blunderProbabilities({ predictor }: Posterior, faults: readonly FaultPosterior[]): number[] {
  return predictor.readings.map((_, i) => averaged(faults, (d) => 1 - predictor.explanations(i, d.predictions[i])[0]));
}

/** The slip that reading i is more likely than not, or null. */
function slipOf({ predictor }: Posterior, faults: readonly FaultPosterior[], i: number): ReadingView['slip'] {
  const { slips } = predictor.readings[i];
  const share = (at: number): number => averaged(faults, (d) => predictor.explanations(i, d.predictions[i])[at]);
  for (const [k, { kind, meant }] of slips.entries()) if (share(1 + k) > 0.5) return { kind, meant };
  return share(1 + slips.length) > 0.5 ? { kind: 'wrong-pin', meant: null } : null;
}

/** Probability that the thermometer was read wrong. */
function thermometerBlunder({ predictor }: Posterior, faults: readonly FaultPosterior[]): number {
  return averaged(faults, (d) => predictor.latent.thermometerBlunder(d.u));
}

/** Beyond this an unknown is stretched: with the tails of the yard about 7 % of a reference, and less than one sound circuit in a hundred. */
const STRETCHED = 2.7;

function stretchedBy({ predictor }: Posterior, faults: readonly FaultPosterior[]): Assessment['stretched'] {
  if (predictor.readings.length === 0) return [];
  return predictor.latent.names
    .map((unknown, k) => ({ unknown, sigmas: averaged(faults, (d) => d.u[k]) }))
    .filter(({ sigmas }) => Math.abs(sigmas) > STRETCHED)
    .sort((a, b) => Math.abs(b.sigmas) - Math.abs(a.sigmas));
}

/** Nearer than this a temperature is the one that was meant, K. */
const MEANT_K = 4;

/** The thermometer's figure in the other unit, °C, where that is what the readings ask for. */
function thermometerSlip({ predictor }: Posterior, faults: readonly FaultPosterior[]): number | null {
  const { steady } = predictor.problem.thermometers;
  if (!steady) return null;
  for (const meant of [((steady.readC - 32) * 5) / 9, (steady.readC * 9) / 5 + 32]) {
    if (Math.abs(meant - steady.readC) < 3 * MEANT_K) continue;
    const near = averaged(faults, (d) => {
      const { temperatureC } = predictor.solvedAt(d.hypothesis, d.position, d.u, 'steady').state;
      return Math.abs(temperatureC - meant) < MEANT_K ? 1 : 0;
    });
    if (near > 0.5) return meant;
  }
  return null;
}

/** Figures that are no air temperature in °C but one in °F. */
const LIKE_FAHRENHEIT = { from: 40, to: 120 } as const;
/** Chance from which on the other unit is asked about: generous, for the question costs one tap. */
const OTHER_UNIT = 0.06;

/** The thermometer's figure taken for °F, °C, where that explains the readings better than all faults together do as it stands; else null. */
function betterInFahrenheit(problem: Problem, posterior: Posterior): number | null {
  const { steady } = problem.thermometers;
  if (!steady || problem.readings.length === 0 || steady.halfWidthK) return null;
  if (steady.readC < LIKE_FAHRENHEIT.from || steady.readC > LIKE_FAHRENHEIT.to) return null;
  const readC = ((steady.readC - 32) * 5) / 9;
  const other = posteriorOf({ ...problem, thermometers: { ...problem.thermometers, steady: { ...steady, readC } } });
  return other.logEvidence + Math.log(OTHER_UNIT) > posterior.logEvidence ? readC : null;
}

function doubtOf(problem: Problem, blunders: readonly number[], thermometer: number): Doubt {
  if (problem.readings.length === 0) return { kind: 'no-readings' };
  const doubtful = [
    ...problem.readings.map((r, i) => ({ id: r.id, p: blunders[i] })),
    { id: THERMOMETER, p: thermometer },
  ]
    .filter(({ p }) => p > 0.5)
    .sort((a, b) => b.p - a.p)
    .map(({ id }) => id);
  if (doubtful.length === 0) {
    // Two readings that exclude each other: either may be the blunder, so neither passes one half alone.
    const sum = blunders.reduce((a, b) => a + b, 0);
    if (sum < 0.7) return { kind: 'none' };
    const most = Math.max(...blunders);
    const rivals = problem.readings.filter((_, i) => blunders[i] > most / 2).map((r) => r.id);
    return { kind: 'contradiction', readings: rivals };
  }
  // Of two readings alone nobody can say which is the wrong one.
  if (problem.readings.length === 2 && doubtful[0] !== THERMOMETER) {
    return { kind: 'contradiction', readings: problem.readings.map((r) => r.id) };
  }
  return { kind: doubtful.length > 1 ? 'nothing-fits' : 'contradiction', readings: doubtful };
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
