import { circuitCurve } from '../../check/job/circuitCurve.ts';
import { thermometerTold } from '../../check/job/checkJob.ts';
import type { Job } from '../../check/job/jobSchema.ts';
import { asFound, kitAt, momentOf } from '../../check/job/moments.ts';
import { instrumentsOf } from '../../catalogue/kit/instrumentsOf.ts';
import type { Instruments } from '../../catalogue/kit/instruments.ts';
import type { Kit } from '../../catalogue/kit/kitSchema.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { sensorFromVolts } from '../../tools/divider/divider.ts';
import { ohmsNoise, voltsNoise } from '../../inference/model/noise.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { placeKey } from '../register/placeKey.ts';
import type { Entry } from '../../base/units/entry.ts';
import { toldTemperature, toldSigmaK } from '../../base/units/toldTemperature.ts';
import { type Drift, driftOf, outAt } from './drift.ts';

/** Where a sensor sits: what the machine is called, and which circuit of it. */
export interface Place {
  machine: string;
  circuit: string;
  /** Its checks, oldest first. */
  jobs: Job[];
}

/** One figure of a place's past as deviation from the curve. */
export interface TrendPoint {
  at: string;
  job: string;
  measurement: string;
  /** Kelvin by which the figure lies above what the temperature beside the sensor asks for, and its 1σ. */
  deviationK: number;
  sigmaK: number;
  /** Temperature at which it was taken, °C. */
  atC: number;
  /** Which sensor it was, counted from 0: one that was changed begins anew. */
  sensor: number;
  /** Is it the sensor alone, or a chain that was proved sound? Only such figures make a drift: a bad wire is none. */
  counts: boolean;
}

export interface PlaceTrend {
  points: TrendPoint[];
  /** Sensors changed on the way: when, and by which check. */
  changes: { at: string; job: string }[];
  /** Of the sensor that is in it now; null where there is too little. */
  drift: Drift | null;
  /** Day on which it would be out of its tolerance, YYYY-MM-DD; null where it does not drift. */
  outOn: string | null;
  toleranceK: number;
}

/** The places that a workshop's checks tell of, each with its checks; one without a machine's name is no place. */
export function placesOf(jobs: readonly Job[]): Place[] {
  const found = new Map<string, Place>();
  for (const job of [...jobs].sort((a, b) => a.createdAt.localeCompare(b.createdAt))) {
    const key = placeKey(job.machine, job.circuit.name);
    if (key === '') continue;
    const place = found.get(key) ?? { machine: job.machine.trim(), circuit: job.circuit.name.trim(), jobs: [] };
    place.jobs.push(job);
    found.set(key, place);
  }
  return [...found.values()];
}

const YEAR_MS = 365.25 * 24 * 3600 * 1000;
/** A moment (ISO 8601) as years, the measure of a drift. */
export const yearsOf = (at: string): number => Date.parse(at) / YEAR_MS;
/** A tolerance is told as limits; they lie at so many of the curve's 1σ. */
const LIMIT_SIGMAS = Math.sqrt(3);

/** The figures that make the drift: of the sensor that is in it now, by itself or proved. */
export const ownPoints = ({ points, changes }: Pick<PlaceTrend, 'points' | 'changes'>): TrendPoint[] =>
  points.filter((p) => p.counts && p.sensor === changes.length);

/** Everything ever read at a place, as deviation from its curve over time; a check whose curve is not known has no figures to hold to it. */
export function trendOf({ jobs }: Place): PlaceTrend {
  const points: TrendPoint[] = [];
  const changes: PlaceTrend['changes'] = [];
  let toleranceK = 0;
  for (const job of jobs) {
    const curve = circuitCurve(job.circuit.curve);
    if (!curve) continue;
    const model = curveModel(curve);
    if (model.alternatives || model.level) continue;
    points.push(...readPoints(job, model, changes.length));
    const { doneAt } = job.repair;
    if (job.decision?.group === 'sensor' && doneAt) changes.push({ at: doneAt, job: job.id });
    points.push(...provedPoints(job, model, changes.length));
    const at = asFound(job).temperatureC.value ?? 25;
    toleranceK = (LIMIT_SIGMAS * model.toleranceLog) / Math.abs(slopeAt(model, at));
  }
  const own = ownPoints({ points, changes });
  const dated = own.map((p) => ({ years: yearsOf(p.at), deviationK: p.deviationK, sigmaK: p.sigmaK }));
  const drift = driftOf(dated);
  const last = Math.max(...dated.map((d) => d.years));
  const out = drift ? outAt(drift, toleranceK, last) : null;
  return { points, changes, drift, toleranceK, outOn: out === null ? null : dayOf(out) };
}

const dayOf = (years: number): string => new Date(years * YEAR_MS).toISOString().slice(0, 10);

/** d ln R / dT at a temperature, 1/K. */
const slopeAt = (model: CurveModel, atC: number): number =>
  Math.log(model.resistanceOhm(atC + 0.5) / model.resistanceOhm(atC - 0.5));

/** A temperature as it is known, °C and 1σ in K. */
interface Known {
  c: number;
  sigmaK: number;
}

function readPoints(job: Job, model: CurveModel, sensor: number): TrendPoint[] {
  const instruments = instrumentsOf(job.kit);
  return job.readings.flatMap((r): TrendPoint[] => {
    if (r.voided || typeof r.value !== 'number' || r.state === 'wiggling') return [];
    const own = r.conditions.bathC ?? r.conditions.airC;
    const moment = momentOf(job, r);
    const there = own ? toldAt(own.text, instruments.bathK) : knownOf(moment.temperatureC, kitAt(job.kit, moment));
    const point = there && pointOf(job, model, instruments, r.measurement, r.value, there);
    const counts = measurementById(r.measurement).onSensor === true;
    const at = r.takenAt ?? job.createdAt;
    return point ? [{ ...point, at, job: job.id, measurement: r.measurement, sensor, counts }] : [];
  });
}

function provedPoints(job: Job, model: CurveModel, sensor: number): TrendPoint[] {
  const there = knownOf(job.proof.temperatureC, job.kit);
  if (!there) return [];
  const instruments = instrumentsOf(job.kit);
  const at = job.closed?.at ?? job.repair.doneAt ?? job.updatedAt;
  return job.proof.readings.flatMap((r): TrendPoint[] => {
    if (typeof r.value !== 'number') return [];
    const point = pointOf(job, model, instruments, r.measurement, r.value, there);
    return point ? [{ ...point, at, job: job.id, measurement: r.measurement, sensor, counts: true }] : [];
  });
}

function knownOf(entry: Entry, kit: Kit): Known | null {
  const told = thermometerTold(entry, kit);
  return told && { c: told.readC, sigmaK: Math.hypot(told.sigmaK, (told.halfWidthK ?? 0) / LIMIT_SIGMAS) };
}

function toldAt(text: string, ownK: number): Known | null {
  const told = toldTemperature(text, 'C');
  return told.ok ? { c: told.told.middleC, sigmaK: toldSigmaK(told.told, ownK) } : null;
}

/** Pull-up and reference as they are usually known, relative 1σ. Common practice, no source. */
const [PULL_UP_SPREAD, REFERENCE_SPREAD] = [0.01, 0.01];

/** One figure as deviation in K, with what thermometer, instrument and divider leave open; null where it tells nothing of the sensor. */
function pointOf(
  { circuit }: Job,
  model: CurveModel,
  instruments: Instruments,
  measurement: string,
  value: number,
  there: Known,
): Pick<TrendPoint, 'deviationK' | 'sigmaK' | 'atC'> | null {
  if (there.c < model.minC || there.c > model.maxC) return null;
  const told = (c: number, sigmaK: number) => {
    // At an end of the curve, or of the scale, it is no temperature.
    if (!(c > model.minC && c < model.maxC)) return null;
    return { deviationK: c - there.c, sigmaK: Math.hypot(sigmaK, there.sigmaK), atC: there.c };
  };
  const ofOhm = (ohm: number, sigma: number) => {
    const c = model.temperatureC(ohm);
    return Number.isFinite(c) ? told(c, sigma / ohm / Math.abs(slopeAt(model, c))) : null;
  };
  const { quantity, onSensor, ofAnotherSensor } = measurementById(measurement);
  if (measurement === 'displayed') return atScaleEnd(circuit, value) ? null : told(value, instruments.displayedK);
  if (onSensor && !ofAnotherSensor && quantity === 'ohms')
    return value > 0 ? ofOhm(value, ohmsNoise(instruments).sigma(value)) : null;
  if (measurement !== 'loaded-voltage') return null;
  const ohm = ohmOfVolts(circuit, value, instruments);
  return ohm?.ok ? ofOhm(ohm.value, ohm.sigma) : null;
}

function atScaleEnd({ display: { minC, maxC } }: Job['circuit'], shownC: number): boolean {
  return shownC <= (minC.value ?? -Infinity) + 1 || shownC >= (maxC.value ?? Infinity) - 1;
}

/** The sensor's resistance from the volts at the plug; null where the divider is not known well enough. */
function ohmOfVolts(circuit: Job['circuit'], value: number, instruments: Instruments) {
  const [reference, pullUp] = [circuit.referenceV.value, circuit.pullUpOhm.value];
  if (circuit.layout !== 'pull-up' || reference === null || pullUp === null) return null;
  return sensorFromVolts(
    { value, sigma: voltsNoise(instruments, circuit.supplyV.value ?? NaN).sigma(value) },
    { value: reference, sigma: REFERENCE_SPREAD * reference },
    { value: pullUp, sigma: PULL_UP_SPREAD * pullUp },
  );
}
