import { type Spread, YARD_SPREAD } from '../core/src/circuit/network/spread.ts';
import { GENERIC_INSTRUMENTS } from '../core/src/catalogue/kit/instruments.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';

/** What is told of a circuit taken for nearly exact: the fault model of §1 to §4, before it was widened to the yard. */
export const NARROW_SPREAD: Spread = {
  ...YARD_SPREAD,
  tail: 0,
  referenceTails: [0, 0],
  pullUp: 0.01,
  inputMinOhm: 1e6,
  inputMaxOhm: 1e6,
  lowEndK: 0,
  highEndK: 0,
  supplyV: 0.2,
};

/** Instruments of the narrow model, and its thermometer, 1σ in K. */
export const NARROW_INSTRUMENTS = {
  ...GENERIC_INSTRUMENTS,
  volts: [{ upTo: Infinity, relative: 0.005, absolute: 0.003 }],
  ohms: [{ upTo: Infinity, relative: 0.008, absolute: 0.1 }],
};

export const NARROW_THERMOMETER_K = 1;

/** The same problem with its unknowns switched narrow; a thermometer is good to 1 K. */
export function narrowed(problem: Problem): Problem {
  const steady = problem.thermometers.steady && { ...problem.thermometers.steady, sigmaK: NARROW_THERMOMETER_K };
  return {
    ...problem,
    circuit: { ...problem.circuit, spread: NARROW_SPREAD },
    instruments: NARROW_INSTRUMENTS,
    thermometers: { ...problem.thermometers, steady },
  };
}
