import { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import { type CircuitState, nominalState } from '../../circuit/network/sensorCircuit.ts';
import { faultById } from '../../circuit/faults/list.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Assessment } from './assessment.ts';
import { settingOf } from '../model/hypotheses.ts';
import { inside, type Interval } from '../../base/numeric/interval.ts';
import { noiseOf } from '../model/predictor.ts';
import { toleranceAt } from '../../circuit/curves/curveModel.ts';
import type { Problem } from '../model/problem.ts';

/** One line of a chart: same length everywhere; °C, and Ω or V. */
export interface BandLine {
  temperatureC: number[];
  middle: number[];
  low: number[];
  high: number[];
}

/** A measured value with its 95 % bars. */
export interface ChartPoint {
  temperatureC: Interval & { middle: number };
  value: Interval & { middle: number };
  fits: boolean;
}

export interface ChartLines {
  resistance: BandLine;
  /** Loaded voltage at the plug, signal to chassis; null while no pull-up is known. */
  voltage: BandLine | null;
  resistancePoint: ChartPoint | null;
  voltagePoint: ChartPoint | null;
  /** Voltage under the leading fault at its most likely size, where that differs. */
  suspect: { name: string; voltage: number[] } | null;
}

const STEPS = 81;

/** The two charts of a check: resistance and loaded voltage against temperature, healthy with 95 % band, with what was measured. */
export function chartLines(problem: Problem, assessment: Assessment): ChartLines {
  const resistance = resistanceBand(problem);
  const pullUp = problem.circuit.pullUpOhm ?? assessment.learnedPullUp?.middle ?? null;
  const voltAt = pullUp === null ? null : loadedVoltage(problem.circuit, pullUp);
  return {
    resistance,
    voltage: voltAt && voltageBand(resistance, voltAt),
    resistancePoint: chartPoint(problem, assessment, 'sensor-ohms'),
    voltagePoint: chartPoint(problem, assessment, 'loaded-voltage'),
    suspect: voltAt && suspectLine(problem, assessment, resistance, nominalState(problem.circuit, 25, pullUp!), voltAt),
  };
}

function resistanceBand({ circuit, thermometers }: Problem): BandLine {
  const { curve, display } = circuit;
  const readC = thermometers.steady?.readC ?? 20;
  const from = Math.max(curve.minC, Math.min(display.minC, readC - 10));
  const to = Math.min(curve.maxC, Math.max(Math.min(display.maxC, 130), readC + 10));
  const temperatureC = Array.from({ length: STEPS }, (_, i) => from + ((to - from) * i) / (STEPS - 1));
  // The band is what sound sensors show, as the ranking takes them.
  const level = curve.level?.(1) ?? 0;
  const spread = (t: number): number => Math.exp(2 * Math.hypot(toleranceAt(curve, t), level, curve.formErrorLog(t)));
  const middle = temperatureC.map((t) => curve.resistanceOhm(t));
  return {
    temperatureC,
    middle,
    low: middle.map((r, i) => r / spread(temperatureC[i])),
    high: middle.map((r, i) => r * spread(temperatureC[i])),
  };
}

/** The loaded voltage with a sensor of so many Ω at a temperature, with a fault where one is given. */
type VoltAt = (temperatureC: number, ohm: number, fault?: (c: CircuitState) => void) => number;

function loadedVoltage(circuit: Problem['circuit'], pullUpOhm: number): VoltAt {
  const solved = new SolvedCircuit();
  return (t, ohm, fault) => {
    const state = nominalState(circuit, t, pullUpOhm);
    state.sensorFactor = ohm / circuit.curve.resistanceOhm(t);
    fault?.(state);
    return solved.set(state).volts('sensor', 'signal', 'chassis');
  };
}

function voltageBand({ temperatureC, middle, low, high }: BandLine, voltAt: VoltAt): BandLine {
  const lineOf = (ohms: number[]): number[] => ohms.map((r, i) => voltAt(temperatureC[i], r));
  const [one, other] = [lineOf(low), lineOf(high)];
  return {
    temperatureC,
    middle: lineOf(middle),
    low: one.map((v, i) => Math.min(v, other[i])),
    high: one.map((v, i) => Math.max(v, other[i])),
  };
}

function chartPoint(problem: Problem, assessment: Assessment, measurement: string): ChartPoint | null {
  const i = problem.readings.findIndex((r) => r.measurement === measurement && r.state === 'steady');
  const thermometer = problem.thermometers.steady;
  if (i < 0 || !thermometer || !Number.isFinite(problem.readings[i].value)) return null;
  const { value } = problem.readings[i];
  const sigma = noiseOf(problem, measurementById(measurement), {}).sigma(value);
  const bars = (m: number, s: number) => ({ middle: m, low: m - 2 * s, high: m + 2 * s });
  return {
    temperatureC: bars(thermometer.readC, thermometer.sigmaK),
    value: bars(value, sigma),
    fits: inside(assessment.readings[i].healthy, value) === 'inside',
  };
}

function suspectLine(
  problem: Problem,
  { suspects: [leader], doubt }: Assessment,
  { temperatureC, middle }: BandLine,
  sound: CircuitState,
  voltAt: VoltAt,
): ChartLines['suspect'] {
  if (!leader || leader.fault === 'healthy' || leader.probability < 0.3 || doubt.kind === 'no-readings') return null;
  const branch = faultById(leader.fault)
    .branches(settingOf(problem))
    .find((b) => leader.detail === null || (b.detail ?? null) === leader.detail);
  if (!branch) return null;
  // The position whose size is nearest to the estimate.
  const sizes = Array.from({ length: 400 }, (_, i) => ({ p: i / 399, size: branch.apply({ ...sound }, i / 399) }));
  const aim = leader.size?.middle ?? NaN;
  const best = sizes.reduce((a, b) => (Math.abs(b.size - aim) < Math.abs(a.size - aim) ? b : a));
  return {
    name: leader.name,
    voltage: temperatureC.map((t, i) => voltAt(t, middle[i], (c) => branch.apply(c, best.p))),
  };
}
