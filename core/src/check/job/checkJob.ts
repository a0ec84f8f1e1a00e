import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { PULL_UP_SPREAD, YARD_SPREAD } from '../../circuit/network/spread.ts';
import { wireOhm } from '../../circuit/network/wireOhm.ts';
import { type Problem, type ReadingInput, type Thermometer, usualMoment } from '../../inference/model/problem.ts';
import { instrumentsOf, thermometerAt } from '../../catalogue/kit/instrumentsOf.ts';
import type { Kit } from '../../catalogue/kit/kitSchema.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Conditions } from '../../circuit/measurements/measurement.ts';
import { toldSigmaK } from '../../base/units/toldTemperature.ts';
import type { FieldQuantity } from '../../base/units/quantity.ts';
import { SUBSTITUTES, workingRange } from '../../catalogue/parts/circuits.ts';
import { comesAndGoes } from '../../catalogue/parts/symptoms.ts';
import { namesHighVoltage, sensorCodes } from '../../catalogue/parts/troubleCodes.ts';
import type { MachineState } from '../../base/units/vocabulary.ts';
import { readCurve } from './circuitCurve.ts';
import type { FieldIssue, Issue } from './fieldIssue.ts';
import type { Entry } from '../../base/units/entry.ts';
import { stopsOf } from '../../circuit/harness/harnessSchema.ts';
import { kitIssues } from './kitIssues.ts';
import { harnessWeights } from '../../circuit/harness/harnessWeights.ts';
import type { Job, JobReading } from './jobSchema.ts';
import { kitAt, type Moment, momentOf } from './moments.ts';
import { pooled } from '../../inference/model/priorFactor.ts';
import { ofOneKind } from './ofOneKind.ts';
import { priorFactors } from './priorFactors.ts';
import { boundOf, isUnknown, readFigure, readPair, showable, toldOf, valueOf } from './readFigure.ts';

export interface CheckedJob {
  /** Everything that is wrong or missing. */
  issues: Issue[];
  /** What can be computed with; null while the circuit itself is not complete. Readings with an issue are left out. */
  problem: Problem | null;
}

/** Figures of `worth` that must be 0 or more. */
const WORTH_FIGURES = ['hourPrice', 'partPrice', 'fitMinutes', 'modulePrice', 'backPrice'] as const;

/** Copper of a wire whose size nobody told, mm². */
const USUAL_MM2 = 0.75;

/** A loom of a few metres with its joints, one way. Source: fault model. */
const HARNESS = { minOhm: 0.05, maxOhm: 1.5 };

/** Takes a figure within bounds; what is wrong with it goes to the issues at this path, and it is null then. */
type Take = (path: string, entry: Entry, quantity: FieldQuantity, low: number, high: number) => number | null;

/** Turns a job as typed into a problem to compute with, and tells what in it cannot be used and why. */
export function checkJob(job: Job): CheckedJob {
  const issues: Issue[] = [];
  const take: Take = (path, entry, quantity, low, high) => {
    const result = readFigure(entry, quantity, low, high);
    if (typeof result === 'number') return result;
    issues.push({ path, issue: result });
    return null;
  };
  const optional: Take = (path, entry, ...bounds) => (entry.text.trim() === '' ? null : take(path, entry, ...bounds));
  const figures = circuitFigures(job, take, optional);
  const curve = readCurve(job.circuit.curve, issues);
  const thermometers = Object.fromEntries(
    job.moments.map((moment) => [moment.id, temperatureOf(job, moment, curve, take, issues)]),
  );
  const readings = [
    ...job.readings.flatMap((reading) => readReading(job, reading, issues)),
    ...comparisonReadings(job, issues),
  ];
  issues.push(...kitIssues(job.kit));
  const wire = wireRange(job, optional);
  for (const field of WORTH_FIGURES)
    optional(`worth.${field}`, job.worth[field], 'number', 0, field === 'fitMinutes' ? 10_000 : 1e7);
  if (!figures || !curve) return { issues, problem: null };
  const circuit = sensorCircuitOf(job, figures, curve, wire);
  const states = intermittentStates(job);
  const problem: Problem = {
    circuit,
    thermometers,
    readings: ofOneKind(readings),
    instruments: instrumentsOf(job.kit),
    factors: pooled(priorFactors(job, circuit)),
    ...(states.length > 0 && { comesAndGoes: states }),
    ...(namesHighVoltage(job.complaint.codes) && { displayOnly: true }),
  };
  return { issues, problem };
}

/** The figures of a circuit as they were read: V, Ω and °C. A pull-up of null is unknown, a second one of null is none. */
interface CircuitFigures {
  referenceV: number;
  pullUpOhm: number | null;
  hotPullUpOhm: number | null;
  supplyV: number;
  minC: number;
  maxC: number;
  substituteC: number | null;
}

/** The figures of the circuit; null while one that is needed is missing or cannot be used. */
function circuitFigures({ circuit }: Job, take: Take, optional: Take): CircuitFigures | null {
  const { display } = circuit;
  const referenceV = take('circuit.referenceV', circuit.referenceV, 'volts', 0.5, 30);
  const unknown = isUnknown(circuit.pullUpOhm.text);
  const pullUpOhm = unknown ? null : take('circuit.pullUpOhm', circuit.pullUpOhm, 'ohms', 1, 10e6);
  const hotPullUpOhm = optional('circuit.hotPullUpOhm', circuit.hotPullUpOhm, 'ohms', 1, 10e6);
  const supplyV = take('circuit.supplyV', circuit.supplyV, 'volts', 1, 60);
  const minC = take('circuit.display.minC', display.minC, 'celsius', -270, 1000);
  const maxC = take('circuit.display.maxC', display.maxC, 'celsius', (minC ?? -270) + 10, 1500);
  const substituteC = optional('circuit.display.substituteC', display.substituteC, 'celsius', -270, 1500);
  if (referenceV === null || supplyV === null || minC === null || maxC === null) return null;
  if (pullUpOhm === null && !unknown) return null;
  return { referenceV, pullUpOhm, hotPullUpOhm, supplyV, minC, maxC, substituteC };
}

function sensorCircuitOf(
  job: Job,
  figures: CircuitFigures,
  curve: CurveModel,
  wire: { minOhm: number; maxOhm: number },
): SensorCircuit {
  const { circuit, field, loom } = job;
  const { minC, maxC, substituteC, hotPullUpOhm } = figures;
  const { resolutionC, ratiometric } = circuit.display;
  return {
    layout: circuit.layout,
    referenceV: figures.referenceV,
    pullUpOhm: figures.pullUpOhm,
    hotPullUpOhm,
    switchRatio: hotPullUpOhm === null ? 0 : 0.2,
    curve,
    display: { minC, maxC, resolutionC, substituteC, substitutes: SUBSTITUTES[field], ratiometric },
    supplyV: figures.supplyV,
    worksC: workingRange(field, { minC, maxC }),
    wireMinOhm: wire.minOhm,
    wireMaxOhm: wire.maxOhm,
    connectors: loom.stops.length,
    placeWeights: harnessWeights(loom),
    shares: circuit.shares,
    spread: { ...YARD_SPREAD, pullUpGiven: PULL_UP_SPREAD[circuit.pullUpSource] },
  };
}

/** The temperature of a moment as it was told; undefined where none can be used. */
function temperatureOf(
  { kit }: Job,
  moment: Moment,
  curve: CurveModel | null,
  take: Take,
  issues: Issue[],
): Thermometer | undefined {
  const { id, temperatureC: entry } = moment;
  if (entry.text.trim() === '') return undefined;
  const path = `moments.${id}.temperatureC`;
  const value = take(path, entry, 'told-celsius', -100, 1200);
  if (value === null) return undefined;
  const { kind, middleC } = toldOf({ ...entry, value })!;
  // A range may reach beyond the curve; a figure beyond it cannot be used.
  if (kind === 'figure' && curve && (middleC < curve.minC || middleC > curve.maxC)) {
    issues.push({ path, issue: { ok: false, reason: 'outside-curve', minC: curve.minC, maxC: curve.maxC } });
    return undefined;
  }
  return thermometerTold({ ...entry, value }, kitAt(kit, moment)) ?? undefined;
}

/** States in which alone the complaint shows; a code that comes now and then says neither heat nor shaking. */
function intermittentStates({ complaint }: Job): MachineState[] {
  const said = comesAndGoes(complaint.symptoms);
  if (said.length > 0) return said;
  return sensorCodes(complaint.codes).some((c) => c.state === 'sporadic') ? ['hot', 'wiggling'] : [];
}

/** A temperature as it was told, by the kit's thermometer where it is a figure; null while it is no temperature. */
export function thermometerTold(entry: Entry, kit: Kit): Thermometer | null {
  const told = toldOf(entry);
  if (!told) return null;
  const { kind, middleC, halfWidthK, edgeK } = told;
  return kind === 'figure' ? thermometerAt(kit, middleC) : { readC: middleC, sigmaK: edgeK, halfWidthK };
}

/** 1σ of a bath or of the air, where it was told otherwise than by a thermometer. */
function ownSpread(entry: Entry): { ownK?: number } {
  const told = toldOf(entry);
  return told && told.kind !== 'figure' ? { ownK: toldSigmaK(told, NaN) } : {};
}

/** The moment of a reading, where it is not the usual one of its state. */
function momentOfProblem(job: Job, reading: JobReading): { moment?: string } {
  const { id } = momentOf(job, reading);
  return id === usualMoment(reading.state) ? {} : { moment: id };
}

/** Resistance of one wire, Ω: the loom's, and for a long run the copper's with a tenth either way. */
function wireRange({ circuit, loom }: Job, optional: Take): { minOhm: number; maxOhm: number } {
  const read = (path: string, entry: Entry, low: number, high: number): number | null =>
    optional(path, entry, 'number', low, high);
  const lengthM = read('circuit.cableM', circuit.cableM, 0.1, 5000);
  const areaMm2 = read('circuit.cableMm2', circuit.cableMm2, 0.05, 50);
  const runs = stopsOf(loom)
    .slice(0, -1)
    .map(({ id, run }) => ({
      lengthM: read(`loom.${id}.lengthM`, run.lengthM, 0.05, 5000),
      areaMm2: read(`loom.${id}.areaMm2`, run.areaMm2, 0.05, 50) ?? areaMm2 ?? USUAL_MM2,
    }));
  for (const { id, minutes } of stopsOf(loom)) read(`loom.${id}.minutes`, minutes, 0.1, 5000);
  const told = runs.filter((run) => run.lengthM !== null);
  if (lengthM === null && told.length === 0) return HARNESS;
  // Where the runs are told one by one, they are the cable.
  const copper =
    told.length > 0
      ? told.reduce((sum, run) => sum + wireOhm(run.lengthM!, run.areaMm2), 0)
      : wireOhm(lengthM!, areaMm2 ?? USUAL_MM2);
  return { minOhm: HARNESS.minOhm + 0.9 * copper, maxOhm: HARNESS.maxOhm + 1.1 * copper };
}

/** The pairs of a comparison that were taken on this sensor, as readings in a bath; after a heat cycle they count as 'hot'. */
function comparisonReadings(job: Job, issues: Issue[]): ReadingInput[] {
  return job.comparison.pairs.flatMap((pair): ReadingInput[] => {
    if (pair.temperatureC.text.trim() === '' && pair.resistanceOhm.text.trim() === '') return [];
    const path = `comparison.${pair.id}`;
    const { bathC, ohm: value } = readPair(pair);
    if (typeof bathC !== 'number') issues.push({ path: `${path}.temperatureC`, issue: bathC });
    if (typeof value !== 'number') issues.push({ path: `${path}.resistanceOhm`, issue: value });
    if (typeof bathC !== 'number' || typeof value !== 'number' || pair.sensor !== 'this') return [];
    const above = value === Infinity ? boundOf(pair.resistanceOhm.text) : undefined;
    return [
      {
        id: path,
        measurement: 'bench-ohms',
        value,
        conditions: { bathC, ...ownSpread(pair.temperatureC), ...(above !== undefined && { aboveOhm: above }) },
        state: pair.phase === 'after' ? 'hot' : 'steady',
      },
    ];
  });
}

/** What is written where a display does not follow: it shows what it showed before. */
const LAST_VALUE =
  /^(?:the )?(?:(?:last|same|old)(?: good)? value|does not (?:move|change|react)|no change|unchanged|the same|same)$/i;

/** The value that the display showed before, plugged in, where that is what was entered; else what was entered. */
function lastShown(job: Job, { text, value, state }: JobReading): number | FieldIssue | null {
  if (value !== null || !LAST_VALUE.test(text.trim())) return null;
  const before = job.readings.filter((r) => r.measurement === 'displayed' && !r.voided);
  const { value: shown = null } = before.find((r) => r.state === state) ?? before.at(-1) ?? {};
  return typeof shown === 'number' ? shown : { ok: false, reason: 'needs-last-value' };
}

function readReading(job: Job, reading: JobReading, issues: Issue[]): ReadingInput[] {
  const { id, state, text } = reading;
  if (reading.voided || (text.trim() === '' && reading.value === null)) return [];
  const measurement = measurementById(reading.measurement);
  const path = `readings.${id}`;
  const refuse = (issue: FieldIssue, at = path): [] => {
    issues.push({ path: at, issue });
    return [];
  };
  if (!measurement.layouts.includes(job.circuit.layout)) return refuse({ ok: false, reason: 'not-on-this-layout' });
  const { quantity } = measurement;
  const last = quantity === 'celsius' ? lastShown(job, reading) : null;
  const value = showable(last ?? valueOf(text, reading.value, quantity, { overload: true }), quantity);
  if (typeof value !== 'number') return refuse(value);
  const aboveOhm = value === Infinity ? boundOf(text) : undefined;
  const told = toldConditions(job, reading, measurement.needs);
  if ('key' in told) return refuse(told.issue, `${path}.${told.key}`);
  const conditions: Conditions = { ...told, ...(aboveOhm !== undefined && { aboveOhm }) };
  return [{ id, measurement: reading.measurement, value, conditions, state, ...momentOfProblem(job, reading) }];
}

/** Conditions that are figures, with their bounds. */
const CONDITION_FIGURES = [
  ['substituteOhm', 'ohms', 0.01, 1e8],
  ['bathC', 'told-celsius', -80, 1000],
  ['airC', 'told-celsius', -80, 100],
] as const;

/** The conditions of a reading as they were told, or which of them cannot be used and why. */
function toldConditions(
  { loom }: Job,
  { conditions: told }: JobReading,
  needs: readonly string[],
): Conditions | { key: string; issue: FieldIssue } {
  const conditions: Conditions = {};
  if (told.wire !== undefined) conditions.wire = told.wire;
  if (told.position !== undefined) conditions.position = told.position;
  if (told.side !== undefined) conditions.side = told.side;
  for (const [key, quantity, low, high] of CONDITION_FIGURES.filter(([key]) => needs.includes(key))) {
    const entry = told[key];
    if (!entry || entry.text.trim() === '') return { key, issue: { ok: false, reason: 'needs-condition' } };
    const result = readFigure(entry, quantity, low, high);
    if (typeof result !== 'number') return { key, issue: result };
    conditions[key] = result;
    if (quantity === 'told-celsius') Object.assign(conditions, ownSpread(entry));
  }
  if (needs.includes('position') && (conditions.position ?? 99) > loom.stops.length)
    return { key: 'position', issue: { ok: false, reason: 'needs-condition' } };
  return conditions;
}
