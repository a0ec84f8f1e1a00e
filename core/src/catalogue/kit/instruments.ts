import { METER_INPUT_OHM, METER_OVERLOAD_OHM } from '../../circuit/network/sensorCircuit.ts';

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

/**
 * Generic instruments: volts 0.7 % + 5 mV, ohms 1 % + 0.2 Ω, display 0.6 K, bath 0.5 K, one blunder in a hundred. A common meter is good to
 * 1.5 % (limit). Common practice, no source.
 */
export const GENERIC_INSTRUMENTS: Instruments = {
  volts: [{ upTo: Infinity, relative: 0.007, absolute: 0.005 }],
  ohms: [{ upTo: Infinity, relative: 0.01, absolute: 0.2 }],
  meterInputOhm: METER_INPUT_OHM,
  meterOverloadOhm: METER_OVERLOAD_OHM,
  leadOhm: 0,
  displayedK: 0.6,
  bathK: 0.5,
  blunder: 0.01,
};

/** 1σ of a thermometer at the machine, K. */
export const THERMOMETER_SIGMA_K = 1.5;
