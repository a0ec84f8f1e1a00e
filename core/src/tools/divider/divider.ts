import { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import { type CircuitState, nominalState, type SensorCircuit } from '../../circuit/network/sensorCircuit.ts';

/** A value with its 1σ, both in the same unit. */
export interface Measured {
  value: number;
  sigma: number;
}

export type Derived = ({ ok: true } & Measured & { parts: number[] }) | { ok: false; reason: 'outside' };

/**
 * Resistance under a pull-up from the pin's voltage: R = Rp·V/(Vref − V), with its 1σ by the law of propagation (JCGM 100, 5.1.2).
 * `parts`: what V, Vref and Rp each contribute, Ω.
 * @example sensorFromVolts({ value: 2.5, sigma: 0.01 }, { value: 5, sigma: 0.025 }, { value: 2490, sigma: 14.4 }).value // 2490
 */
export function sensorFromVolts(volts: Measured, reference: Measured, pullUp: Measured): Derived {
  const [v, r, p] = [volts.value, reference.value, pullUp.value];
  if (!(v > 0) || !(v < r) || !(p > 0)) return { ok: false, reason: 'outside' };
  const rest = r - v;
  return propagated((p * v) / rest, [
    (p * r * volts.sigma) / (rest * rest),
    (p * v * reference.sigma) / (rest * rest),
    (v / rest) * pullUp.sigma,
  ]);
}

/** The pull-up from one good pair: Rp = R·(Vref − V)/V. `parts`: what R, V and Vref each contribute, Ω. */
export function pullUpFromPair(ohm: Measured, volts: Measured, reference: Measured): Derived {
  const [r, v, ref] = [ohm.value, volts.value, reference.value];
  if (!(v > 0) || !(v < ref) || !(r > 0)) return { ok: false, reason: 'outside' };
  return propagated((r * (ref - v)) / v, [
    ((ref - v) / v) * ohm.sigma,
    ((r * ref) / (v * v)) * volts.sigma,
    (r / v) * reference.sigma,
  ]);
}

function propagated(value: number, contributions: number[]): Derived {
  const parts = contributions.map(Math.abs);
  return { ok: true, value, sigma: Math.hypot(...parts), parts };
}

/** What is added to a circuit on the desk: Ω of wire one way, of a bad joint in the signal, of a leak to ground and of one across the plug. */
export interface DeskFaults {
  wireOhm: number;
  seriesOhm: number;
  leakGroundOhm: number;
  leakAcrossOhm: number;
  /** Is the meter on the pin? Its input then loads the divider. */
  meterOn: boolean;
}

export const NO_DESK_FAULTS: DeskFaults = {
  wireOhm: 0,
  seriesOhm: 0,
  leakGroundOhm: Infinity,
  leakAcrossOhm: Infinity,
  meterOn: false,
};

/** One temperature on the desk. V at the module's pin above module ground; °C shown. */
export interface DeskPoint {
  temperatureC: number;
  sensorOhm: number;
  volts: number;
  shownC: number;
}

function deskState(circuit: SensorCircuit, pullUpOhm: number, temperatureC: number, f: DeskFaults): CircuitState {
  const state = nominalState(circuit, temperatureC, pullUpOhm);
  state.signalOhm = state.returnOhm = Math.max(f.wireOhm, 1e-3);
  state.signalFaultOhm = f.seriesOhm;
  state.leakGroundS = 1 / f.leakGroundOhm;
  state.leakReturnS = 1 / f.leakAcrossOhm;
  return state;
}

/** The divider over temperatures in °C, with what is wrong with it. */
export function deskCurve(
  circuit: SensorCircuit,
  pullUpOhm: number,
  temperatures: readonly number[],
  faults: DeskFaults,
): DeskPoint[] {
  const solved = new SolvedCircuit();
  return temperatures.map((temperatureC) => {
    solved.set(deskState(circuit, pullUpOhm, temperatureC, faults));
    const shownC = solved.displayedC('sensor');
    const volts = faults.meterOn ? solved.volts('sensor', 'modulePin', 'moduleGround') : solved.pinVolts('sensor');
    return { temperatureC, sensorOhm: solved.sensorOhm, volts, shownC };
  });
}

/** What would be read on the desk's circuit with a common meter, V, and what it shows in three states of the plug, °C. */
export interface DeskReadings {
  sensorOhm: number;
  /** At the module's pin, and at the plug of the sensor, seated; at the plug with it pulled. */
  pinV: number;
  plugV: number;
  openV: number;
  shownC: number;
  unpluggedC: number;
  bridgedC: number;
}

/** The desk's circuit at one temperature as it would be measured. */
export function deskReadings(
  circuit: SensorCircuit,
  pullUpOhm: number,
  temperatureC: number,
  faults: DeskFaults,
): DeskReadings {
  const solved = new SolvedCircuit().set(deskState(circuit, pullUpOhm, temperatureC, faults));
  return {
    sensorOhm: solved.sensorOhm,
    pinV: solved.pinVolts('sensor'),
    plugV: solved.volts('sensor', 'signal', 'chassis'),
    openV: solved.volts('open', 'signal', 'chassis'),
    shownC: solved.displayedC('sensor'),
    unpluggedC: solved.displayedC('open'),
    bridgedC: solved.displayedC('bridge'),
  };
}

/** Sensitivity at a temperature: mV per K, and how far one Ω of wire moves the shown value, K. */
export function sensitivityAt(
  circuit: SensorCircuit,
  pullUpOhm: number,
  temperatureC: number,
): { milliVoltPerK: number; kelvinPerOhm: number } {
  const volts = (t: number, faults: DeskFaults): number => deskCurve(circuit, pullUpOhm, [t], faults)[0].volts;
  const slope = (volts(temperatureC + 0.5, NO_DESK_FAULTS) - volts(temperatureC - 0.5, NO_DESK_FAULTS)) * 1000;
  const perOhm =
    (volts(temperatureC, { ...NO_DESK_FAULTS, seriesOhm: 1 }) - volts(temperatureC, NO_DESK_FAULTS)) * 1000;
  return { milliVoltPerK: slope, kelvinPerOhm: slope === 0 ? 0 : perOhm / slope };
}

/**
 * The pull-up with the largest worst sensitivity over a range: for two ends it is near √(R(low)·R(high)). Searched on a logarithmic grid.
 * @returns Ω, and the worst sensitivity there, mV per K
 */
export function bestPullUp(
  circuit: SensorCircuit,
  fromC: number,
  toC: number,
): { ohm: number; worstMilliVoltPerK: number } {
  const [a, b] = [circuit.curve.resistanceOhm(fromC), circuit.curve.resistanceOhm(toC)];
  const worst = (ohm: number): number => {
    let least = Infinity;
    for (let i = 0; i <= 8; i++)
      least = Math.min(least, Math.abs(sensitivityAt(circuit, ohm, fromC + ((toC - fromC) * i) / 8).milliVoltPerK));
    return least;
  };
  let best = { ohm: Math.sqrt(a * b), worstMilliVoltPerK: 0 };
  const [low, high] = [Math.log(Math.min(a, b) / 3), Math.log(Math.max(a, b) * 3)];
  for (let i = 0; i <= 120; i++) {
    const ohm = Math.exp(low + ((high - low) * i) / 120);
    const w = worst(ohm);
    if (w > best.worstMilliVoltPerK) best = { ohm, worstMilliVoltPerK: w };
  }
  return best;
}
