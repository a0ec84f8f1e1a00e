import { MEASUREMENTS } from '../measurements/list.ts';
import type { Conditions, Tool } from '../measurements/measurement.ts';
import type { PlannedTest } from './healthyRange.ts';
import { type Interval, predictiveInterval } from './interval.ts';
import type { NoiseModel } from './likelihood.ts';
import type { FaultPosterior, Posterior } from './posterior.ts';
import { noiseOf } from './predictor.ts';
import type { Problem } from './problem.ts';
import { normalCdf } from '../numeric/normal.ts';

/** What the technician has and how much work the places are. */
export interface Access {
  tools: readonly Tool[];
  /** Factors on the default minutes by set-up: 2 where the plug is behind the bumper. */
  effort: Readonly<Partial<Record<PlannedTest['measurement']['setup'], number>>>;
}

export const EVERYTHING_AT_HAND: Access = {
  tools: ['meter', 'thermometer', 'live-data', 'resistors', 'jumper', 'module-access', 'bath', 'second-sensor'],
  effort: {},
};

/** One proposed test: what it would tell and cost, and what each leading suspect predicts for it. */
export interface Proposal {
  measurement: string;
  conditions: Conditions;
  minutes: number;
  /** Expected information about the fault, in bits, and per minute of work. */
  bits: number;
  bitsPerMinute: number;
  predicts: { fault: string; name: string; probability: number; interval: Interval }[];
}

const DRAWS_PER_FAULT = 64;
const BINS = 96;

/**
 * The tests not yet done, best first, by mutual information between fault and outcome per minute of work. Faults below 0.2 % take no
 * part. A test whose set-up stands already (same `setup` as the last reading) costs its shorter time.
 */
export function proposeTests(problem: Problem, posterior: Posterior, access: Access, count = 3): Proposal[] {
  const faults = posterior.faults.filter((f) => f.draws.length > 0);
  if (faults.length === 0) return [];
  const samples = faults.map(thinned);
  const last = problem.readings[problem.readings.length - 1];
  const lastSetup = last && MEASUREMENTS.find((m) => m.id === last.measurement)?.setup;
  return candidateTests(problem, access)
    .map((test) => {
      const { measurement, conditions } = test;
      const predictions = samples.map((draws) => predictAll(posterior, test, draws));
      const noise = noiseOf(problem, measurement, conditions);
      const bits = mutualInformation(faults, samples, predictions, noise);
      const effort = access.effort[measurement.setup] ?? 1;
      const minutes = effort * (measurement.setup === lastSetup ? measurement.repeatMinutes : measurement.minutes);
      return { test, predictions, noise, bits, minutes };
    })
    .sort((a, b) => b.bits / b.minutes - a.bits / a.minutes)
    .slice(0, count)
    .map(({ test, predictions, noise, bits, minutes }) => ({
      measurement: test.measurement.id,
      conditions: test.conditions,
      minutes,
      bits,
      bitsPerMinute: bits / minutes,
      predicts: faults.slice(0, 4).map((f, i) => ({
        fault: f.fault.id,
        name: f.fault.name,
        probability: f.probability,
        interval: predictiveInterval(
          predictions[i],
          samples[i].weights,
          noise,
          test.measurement.quantity === 'ohms' ? 0 : -Infinity,
        ),
      })),
    }));
}

/** Every test that fits the circuit, is possible with the tools at hand and has not been done under the same conditions. */
export function candidateTests(problem: Problem, access: Access): PlannedTest[] {
  const { circuit } = problem;
  const done = new Set(problem.readings.map((r) => `${r.measurement} ${JSON.stringify(r.conditions)}`));
  const doneKinds = new Set(problem.readings.map((r) => r.measurement));
  const tests: PlannedTest[] = [];
  for (const measurement of MEASUREMENTS) {
    if (!measurement.layouts.includes(circuit.layout)) continue;
    if (!measurement.tools.every((tool) => access.tools.includes(tool))) continue;
    for (const conditions of conditionsFor(measurement.needs, problem)) {
      const plain = measurement.needs.length === 0;
      if (plain ? doneKinds.has(measurement.id) : done.has(`${measurement.id} ${JSON.stringify(conditions)}`)) continue;
      tests.push({ measurement, conditions, state: 'steady' });
    }
  }
  return tests;
}

/** Sensible conditions for tests that need some: a resistor as the sensor would be at 25 and 60 °C, a bath of hot and of iced water. */
function conditionsFor(needs: readonly (keyof Conditions)[], problem: Problem): Conditions[] {
  const { circuit } = problem;
  if (needs.length === 0) return [{}];
  if (needs.includes('substituteOhm')) return [25, 60].map((t) => ({ substituteOhm: twoDigits(circuit.curve.resistanceOhm(t)) }));
  if (needs.includes('bathC')) return [{ bathC: 60 }, { bathC: 0 }];
  if (circuit.connectors === 0) return [];
  return (['signal', 'return'] as const).flatMap((wire) =>
    Array.from({ length: circuit.connectors }, (_, i) => ({ wire, position: i + 1 })),
  );
}

function twoDigits(ohm: number): number {
  return Number(ohm.toPrecision(2));
}

interface Thinned {
  draws: FaultPosterior['draws'];
  weights: Float64Array;
}

/** A few equally weighted draws that stand for all, by systematic resampling. */
function thinned(fault: FaultPosterior): Thinned {
  const draws: FaultPosterior['draws'][number][] = [];
  let sum = 0;
  let next = 0.5 / DRAWS_PER_FAULT;
  for (const d of fault.draws) {
    sum += d.weight;
    while (next < sum && draws.length < DRAWS_PER_FAULT) {
      draws.push(d);
      next += 1 / DRAWS_PER_FAULT;
    }
  }
  return { draws, weights: new Float64Array(draws.length).fill(1) };
}

function predictAll({ predictor }: Posterior, { measurement, conditions, state }: PlannedTest, { draws }: Thinned): Float64Array {
  return Float64Array.from(draws, (d) =>
    measurement.predict(predictor.benchAt(d.hypothesis, d.position, d.u, state), conditions),
  );
}

/** Mutual information between fault and outcome in bits, the outcome binned on a scale on which noise is about even. */
function mutualInformation(
  faults: readonly FaultPosterior[],
  samples: readonly Thinned[],
  predictions: readonly Float64Array[],
  noise: NoiseModel,
): number {
  const scale = outcomeScale(predictions, noise);
  const total = faults.reduce((sum, f) => sum + f.probability, 0);
  const mixed = new Float64Array(BINS + 1);
  let inner = 0;
  faults.forEach((f, i) => {
    const table = histogram(predictions[i], noise, scale);
    const share = f.probability / total;
    for (let b = 0; b <= BINS; b++) {
      const p = table[b] / samples[i].draws.length;
      if (p <= 0) continue;
      mixed[b] += share * p;
      inner += share * p * Math.log2(p);
    }
  });
  let outer = 0;
  for (const p of mixed) if (p > 0) outer += p * Math.log2(p);
  return Math.max(0, inner - outer);
}

interface OutcomeScale {
  to: (value: number) => number;
  low: number;
  width: number;
}

function outcomeScale(predictions: readonly Float64Array[], noise: NoiseModel): OutcomeScale {
  let [low, high] = [Infinity, -Infinity];
  for (const list of predictions) {
    for (const p of list) {
      if (!Number.isFinite(p)) continue;
      low = Math.min(low, p - 3 * noise.sigma(p));
      high = Math.max(high, p + 3 * noise.sigma(p));
    }
  }
  if (!(high > low)) [low, high] = [0, 1];
  // asinh is even for small and logarithmic for large values, as the noise is.
  const unit = Math.max(noise.sigma(0) * 3, 1e-9);
  const to = (v: number): number => Math.asinh(v / unit);
  return { to, low: to(low), width: (to(high) - to(low)) / BINS };
}

/** Counts a bin; the last entry is OL. Each prediction is smeared over the bins its noise reaches. */
function histogram(predictions: Float64Array, noise: NoiseModel, { to, low, width }: OutcomeScale): Float64Array {
  const table = new Float64Array(BINS + 1);
  for (const p of predictions) {
    if (!Number.isFinite(p)) {
      table[BINS]++;
      continue;
    }
    const s = noise.sigma(p);
    const centre = (to(p) - low) / width;
    const spread = Math.max((to(p + s) - to(p - s)) / 2 / width, 1e-6);
    const first = Math.max(0, Math.floor(centre - 3 * spread));
    const last = Math.min(BINS - 1, Math.floor(centre + 3 * spread));
    let below = first === 0 ? 0 : normalCdf((first - centre) / spread);
    for (let b = first; b <= last; b++) {
      const above = b === BINS - 1 ? 1 : normalCdf((b + 1 - centre) / spread);
      table[b] += above - below;
      below = above;
    }
  }
  return table;
}
