import { METER_INPUT_OHM, METER_OVERLOAD_OHM, type SensorCircuit } from '../circuit/sensorCircuit.ts';
import type { Conditions } from '../measurements/measurement.ts';

/** State of the machine while a reading was taken. Readings 'while wiggling' share the temperature of the steady ones. */
export type MachineState = 'steady' | 'hot' | 'wiggling';
export const MACHINE_STATES: readonly MachineState[] = ['steady', 'hot', 'wiggling'];

/** One reading as the engine sees it. `value` in V, Ω (Infinity is OL) or °C, by the measurement's quantity. */
export interface ReadingInput {
  id: string;
  measurement: string;
  value: number;
  conditions: Conditions;
  state: MachineState;
}

/** A thermometer at the machine: °C and its 1σ in K. */
export interface Thermometer {
  readC: number;
  sigmaK: number;
}

/**
 * 1σ of a meter for figures up to `upTo` (V or Ω): `relative` of the figure and `absolute` (V or Ω), added as variances, or `together` as a
 * data sheet's ±(percent + digits) adds them.
 */
export interface Accuracy {
  upTo: number;
  relative: number;
  absolute: number;
  together?: boolean;
}

/** 1σ of the instruments, and what else of the meter shows in a reading. */
export interface Instruments {
  /** By range, ascending; the last goes to Infinity. */
  volts: readonly Accuracy[];
  ohms: readonly Accuracy[];
  meterInputOhm: number;
  meterOverloadOhm: number;
  leadOhm: number;
  displayedK: number;
  bathK: number;
  /** Chance that a reading is a blunder: bad contact, wrong unit, wrong pin. */
  blunder: number;
}

/** Everything a verdict is computed from. Plain data and curve models; nothing typed, nothing about screens. */
export interface Problem {
  circuit: SensorCircuit;
  /** Temperature beside the sensor, by state; a missing one is hardly known (25 ± 30 °C). */
  thermometers: Partial<Record<'steady' | 'hot', Thermometer>>;
  readings: readonly ReadingInput[];
  instruments: Instruments;
  /** Factors on the weights of single faults, from history, codes and findings; 1 where absent. */
  factors: Readonly<Record<string, number>>;
}

/** Generic instruments: volts 0.5 % + 3 mV, ohms 0.8 % + 0.1 Ω, display 0.6 K, bath 0.5 K, one blunder in a hundred. */
export const GENERIC_INSTRUMENTS: Instruments = {
  volts: [{ upTo: Infinity, relative: 0.005, absolute: 0.003 }],
  ohms: [{ upTo: Infinity, relative: 0.008, absolute: 0.1 }],
  meterInputOhm: METER_INPUT_OHM,
  meterOverloadOhm: METER_OVERLOAD_OHM,
  leadOhm: 0,
  displayedK: 0.6,
  bathK: 0.5,
  blunder: 0.01,
};

/** 1σ of a thermometer at the machine, K. */
export const THERMOMETER_SIGMA_K = 1;
/** What is believed of a temperature nobody measured, °C and 1σ in K. */
export const UNMEASURED = { readC: 25, sigmaK: 30 } as const;
/** A thermometer reading that is a blunder is this many times less exact. */
export const THERMOMETER_BLUNDER_SPREAD = 15;
/** Stands for the thermometer among the ids of doubtful readings. */
export const THERMOMETER = 'thermometer';
