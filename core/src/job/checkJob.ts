import { CATALOGUE_CURVES } from '../catalogue/curves.ts';
import { findingFactors } from '../catalogue/findings.ts';
import type { SensorCircuit } from '../circuit/sensorCircuit.ts';
import { type Curve, curveModel } from '../curves/curve.ts';
import type { CurveModel } from '../curves/curveModel.ts';
import { tableFault } from '../curves/table.ts';
import { GENERIC_INSTRUMENTS, type Problem, type ReadingInput, THERMOMETER_SIGMA_K } from '../diagnosis/problem.ts';
import { measurementById } from '../measurements/list.ts';
import type { Conditions } from '../measurements/measurement.ts';
import { type FieldQuantity, type Parsed, parseReading, type ParseOptions } from '../units/parseReading.ts';
import type { CurveChoice, Entry, Job, JobReading } from './jobSchema.ts';

/** What is wrong with a figure, as data; the wording is elsewhere. */
export type FieldIssue =
  | Exclude<Parsed, { ok: true }>
  | { ok: false; reason: 'must-be-positive' }
  | { ok: false; reason: 'too-low' | 'too-high'; limit: number }
  | { ok: false; reason: 'outside-curve'; minC: number; maxC: number }
  | { ok: false; reason: 'equal-points' }
  | { ok: false; reason: 'not-monotone' }
  | { ok: false; reason: 'too-few-points' }
  | { ok: false; reason: 'unknown-curve' }
  | { ok: false; reason: 'needs-condition' }
  | { ok: false; reason: 'not-on-this-layout' };

/** Where in the job: the same path as in the file, joined by dots; readings by their id. */
export interface Issue {
  path: string;
  issue: FieldIssue;
}

export interface CheckedJob {
  /** Everything that is wrong or missing. */
  issues: Issue[];
  /** What can be computed with; null while the circuit itself is not complete. Readings with an issue are left out. */
  problem: Problem | null;
}

const WIRE = { minOhm: 0.05, maxOhm: 1.5 };

/** Turns a job as typed into a problem to compute with, and tells what in it cannot be used and why. */
export function checkJob(job: Job): CheckedJob {
  const issues: Issue[] = [];
  const { circuit } = job;
  const take = (path: string, entry: Entry, quantity: FieldQuantity, low: number, high: number): number | null => {
    const result = readFigure(entry, quantity, low, high);
    if (typeof result === 'number') return result;
    issues.push({ path, issue: result });
    return null;
  };
  const referenceV = take('circuit.referenceV', circuit.referenceV, 'volts', 0.5, 30);
  const unknown = isUnknown(circuit.pullUpOhm.text);
  const pullUpOhm = unknown ? null : take('circuit.pullUpOhm', circuit.pullUpOhm, 'ohms', 1, 10e6);
  const hot = circuit.hotPullUpOhm.text.trim() === '' ? null : take('circuit.hotPullUpOhm', circuit.hotPullUpOhm, 'ohms', 1, 10e6);
  const supplyV = take('circuit.supplyV', circuit.supplyV, 'volts', 1, 60);
  const minC = take('circuit.display.minC', circuit.display.minC, 'celsius', -270, 1000);
  const maxC = take('circuit.display.maxC', circuit.display.maxC, 'celsius', (minC ?? -270) + 10, 1500);
  const substituteText = circuit.display.substituteC.text.trim();
  const substituteC =
    substituteText === '' ? null : take('circuit.display.substituteC', circuit.display.substituteC, 'celsius', -270, 1500);
  const curve = readCurve(circuit.curve, issues);
  const temperature = (path: string, entry: Entry): number | null => {
    if (entry.text.trim() === '') return null;
    const value = take(path, entry, 'celsius', -100, 1200);
    if (value !== null && curve && (value < curve.minC || value > curve.maxC)) {
      issues.push({ path, issue: { ok: false, reason: 'outside-curve', minC: curve.minC, maxC: curve.maxC } });
      return null;
    }
    return value;
  };
  const steadyC = temperature('temperatureC', job.temperatureC);
  const hotC = temperature('hotTemperatureC', job.hotTemperatureC);
  const readings = job.readings.flatMap((reading) => readReading(job, reading, issues));
  if (referenceV === null || (!unknown && pullUpOhm === null) || supplyV === null || minC === null || maxC === null || !curve) {
    return { issues, problem: null };
  }
  const sensorCircuit: SensorCircuit = {
    layout: circuit.layout,
    referenceV,
    pullUpOhm,
    hotPullUpOhm: hot,
    switchRatio: hot === null ? 0 : 0.2,
    curve,
    display: { minC, maxC, resolutionC: circuit.display.resolutionC, substituteC, ratiometric: circuit.display.ratiometric },
    supplyV,
    wireMinOhm: WIRE.minOhm,
    wireMaxOhm: WIRE.maxOhm,
    connectors: circuit.connectors,
  };
  const thermometer = (readC: number | null) => (readC === null ? undefined : { readC, sigmaK: THERMOMETER_SIGMA_K });
  const problem: Problem = {
    circuit: sensorCircuit,
    thermometers: { steady: thermometer(steadyC), hot: thermometer(hotC) },
    readings,
    instruments: GENERIC_INSTRUMENTS,
    factors: combinedFactors(job),
  };
  return { issues, problem };
}

/** Is the pull-up left to be learned? */
export function isUnknown(text: string): boolean {
  return /^\s*(unknown|not known|\?)?\s*$/i.test(text);
}

function combinedFactors(job: Job): Record<string, number> {
  const factors: Record<string, number> = findingFactors(job.findings);
  for (const [fault, factor] of Object.entries(job.weightFactors)) factors[fault] = (factors[fault] ?? 1) * factor;
  return factors;
}

function readFigure(entry: Entry, quantity: FieldQuantity, low: number, high: number): number | FieldIssue {
  const value = valueOf(entry.text, entry.value, quantity, { overload: false });
  if (typeof value !== 'number') return value;
  if (value <= 0 && low > 0) return { ok: false, reason: 'must-be-positive' };
  if (value < low) return { ok: false, reason: 'too-low', limit: low };
  return value > high ? { ok: false, reason: 'too-high', limit: high } : value;
}

/**
 * The value of a figure. The stored value wins where there is one: it was read with the unit in force when it was typed, and may be the
 * answer to a question ("11,883: which?"). Without one the text tells why.
 */
function valueOf(text: string, stored: number | 'OL' | null, quantity: FieldQuantity, options: ParseOptions): number | FieldIssue {
  if (stored === 'OL') return Infinity;
  if (stored !== null) return stored;
  const parsed = parseReading(text, quantity, options);
  return parsed.ok ? parsed.value : parsed;
}

function readReading(job: Job, reading: JobReading, issues: Issue[]): ReadingInput[] {
  if (reading.text.trim() === '' && reading.value === null) return [];
  const measurement = measurementById(reading.measurement);
  const path = `readings.${reading.id}`;
  if (!measurement.layouts.includes(job.circuit.layout)) {
    issues.push({ path, issue: { ok: false, reason: 'not-on-this-layout' } });
    return [];
  }
  const value = valueOf(reading.text, reading.value, measurement.quantity, { overload: true });
  if (typeof value !== 'number') {
    issues.push({ path, issue: value });
    return [];
  }
  const conditions: Conditions = { wire: reading.conditions.wire, position: reading.conditions.position };
  if (conditions.wire === undefined) delete conditions.wire;
  if (conditions.position === undefined) delete conditions.position;
  for (const [key, quantity, low, high] of [
    ['substituteOhm', 'ohms', 0.01, 1e8],
    ['bathC', 'celsius', -80, 1000],
  ] as const) {
    if (!measurement.needs.includes(key)) continue;
    const entry = reading.conditions[key];
    const result: number | FieldIssue =
      !entry || entry.text.trim() === '' ? { ok: false, reason: 'needs-condition' } : readFigure(entry, quantity, low, high);
    if (typeof result !== 'number') {
      issues.push({ path: `${path}.${key}`, issue: result });
      return [];
    }
    conditions[key] = result;
  }
  if (measurement.needs.includes('position') && (conditions.position ?? 99) > job.circuit.connectors) {
    issues.push({ path: `${path}.position`, issue: { ok: false, reason: 'needs-condition' } });
    return [];
  }
  return [{ id: reading.id, measurement: reading.measurement, value, conditions, state: reading.state }];
}

/** The curve a job chose, as a model; null with issues where it is not one. */
function readCurve(choice: CurveChoice, issues: Issue[]): CurveModel | null {
  const path = 'circuit.curve';
  const curve = curveOf(choice, issues, path);
  return curve ? curveModel(curve) : null;
}

function curveOf(choice: CurveChoice, issues: Issue[], path: string): Curve | null {
  if (choice.source === 'given') return choice.curve;
  if (choice.source === 'catalogue') {
    const entry = CATALOGUE_CURVES.find((c) => c.id === choice.id);
    if (!entry) issues.push({ path, issue: { ok: false, reason: 'unknown-curve' } });
    return entry?.curve ?? null;
  }
  const read = (at: string, entry: Entry, quantity: FieldQuantity, low: number, high: number): number | null => {
    const value = readFigure(entry, quantity, low, high);
    if (typeof value === 'number') return value;
    issues.push({ path: `${path}.${at}`, issue: value });
    return null;
  };
  if (choice.source === 'r25b') {
    const r25Ohm = read('r25Ohm', choice.r25Ohm, 'ohms', 0.1, 100e6);
    const betaK = read('betaK', choice.betaK, 'number', 500, 10_000);
    return r25Ohm === null || betaK === null ? null : { kind: 'beta', r25Ohm, betaK };
  }
  const points = choice.points
    .map((p, i) => ({ p, i }))
    .filter(({ p }) => p.temperatureC.text.trim() !== '' || p.resistanceOhm.text.trim() !== '')
    .map(({ p, i }) => ({
      row: i,
      temperatureC: read(`points.${i}.temperatureC`, p.temperatureC, 'celsius', -200, 1200),
      resistanceOhm: read(`points.${i}.resistanceOhm`, p.resistanceOhm, 'ohms', 0.01, 1e9),
    }));
  if (points.length < 2) {
    issues.push({ path, issue: { ok: false, reason: 'too-few-points' } });
    return null;
  }
  if (points.some((p) => p.temperatureC === null || p.resistanceOhm === null)) return null;
  const sorted = points.map((p) => ({ row: p.row, temperatureC: p.temperatureC!, resistanceOhm: p.resistanceOhm! }));
  sorted.sort((a, b) => a.temperatureC - b.temperatureC);
  const fault = tableFault(sorted);
  if (fault) {
    const { row } = sorted[fault.row];
    const reason = fault.reason === 'temperatures not ascending' ? 'equal-points' : 'not-monotone';
    issues.push({ path: `${path}.points.${row}.${reason === 'equal-points' ? 'temperatureC' : 'resistanceOhm'}`, issue: { ok: false, reason } });
    return null;
  }
  return { kind: 'table', points: sorted.map(({ temperatureC, resistanceOhm }) => ({ temperatureC, resistanceOhm })) };
}
