import type { Conditions, Measurement } from '../../circuit/measurements/measurement.ts';
import { type CurveModel, invertMonotone } from '../../circuit/curves/curveModel.ts';
import type { LatentSpace } from './latent.ts';
import { type Problem, UNMEASURED } from './problem.ts';

/** No fit sets out further than this from the middle, in 1σ. */
const FURTHEST_START = 2.5;
/** A temperature further than this from its middle, 1σ, is worth a start of its own. */
const FAR_START = 0.5;
/** Starts nearer than this, 1σ, end in the same place; more than so many are not tried. */
const [STARTS_APART, MOST_STARTS] = [0.15, 3];

interface Reading {
  measurement: Measurement;
  conditions: Conditions;
  moment: string;
  value: number;
}

/**
 * Where fits set out: every unknown at its middle. Of a curve that is hardly known its level is where the resistances put it; of a known one there are
 * also the places at which the sensor and the display put the temperature. From the middle a fit would have to come a long way to them.
 */
export function startsFor(
  curve: CurveModel,
  latent: LatentSpace,
  problem: Problem,
  readings: readonly Reading[],
): readonly Float64Array[] {
  const k = latent.names.indexOf('curve level');
  if (curve.level) {
    if (k < 0) return [new Float64Array(latent.dimension)];
    return levelsRead(curve, curve.level, problem, readings).map((at) => {
      const u = new Float64Array(latent.dimension);
      u[k] = at;
      return u;
    });
  }
  return [new Float64Array(latent.dimension), ...temperaturesRead(curve, latent, problem, readings)];
}

/** Points at which the temperature at each moment is what the sensor's own resistance says, and what the display says, where that is far from the middle. */
function temperaturesRead(
  curve: CurveModel,
  latent: LatentSpace,
  { circuit: { display } }: Problem,
  readings: readonly Reading[],
): Float64Array[] {
  const bySensor = readings.filter(
    ({ measurement, conditions: { bathC, airC } }) => measurement.onSensor && bathC === undefined && airC === undefined,
  );
  const byDisplay = readings.filter(
    ({ measurement, value }) => measurement.id === 'displayed' && value > display.minC && value < display.maxC,
  );
  const saying = [
    bySensor.map(({ moment, value }) => ({ moment, shownC: curve.temperatureC(value) })),
    byDisplay.map(({ moment, value }) => ({ moment, shownC: value })),
  ];
  return saying.flatMap((list) => {
    const u = new Float64Array(latent.dimension);
    for (const { moment, shownC } of list) {
      if (!(shownC > curve.minC && shownC < curve.maxC)) continue;
      const there = latent.temperatureAt(moment, shownC);
      u[there.k] = there.u;
    }
    return u.some((x) => Math.abs(x) > FAR_START && Math.abs(x) < 6) ? [u] : [];
  });
}

/** The levels that the resistances read on the sensor itself ask for, the middle one first, those apart that differ; 0 where there is none. */
function levelsRead(
  curve: CurveModel,
  level: (u: number) => number,
  { thermometers }: Problem,
  readings: readonly Reading[],
): number[] {
  const logs = readings
    .filter((r) => r.measurement.onSensor && Number.isFinite(r.value) && r.value > 0)
    .map(({ value, conditions, moment }) => {
      const there = conditions.bathC ?? conditions.airC ?? thermometers[moment]?.readC;
      return Math.log(value / curve.resistanceOhm(there ?? UNMEASURED.readC));
    })
    .sort((a, b) => a - b);
  const levels = logs.map((log) => invertMonotone(level, log, -FURTHEST_START, FURTHEST_START));
  const apart = [levels[levels.length >> 1] ?? 0];
  for (const one of levels)
    if (apart.length < MOST_STARTS && apart.every((other) => Math.abs(other - one) > STARTS_APART)) apart.push(one);
  return apart;
}
