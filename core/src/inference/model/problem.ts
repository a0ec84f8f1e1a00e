import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import type { Instruments } from '../../catalogue/kit/instruments.ts';
import type { Conditions } from '../../circuit/measurements/measurement.ts';
import type { MachineState } from '../../base/units/vocabulary.ts';

/** One reading as the engine sees it. `value` in V, Ω (Infinity is OL) or °C, by the measurement's quantity. */
export interface ReadingInput {
  id: string;
  measurement: string;
  value: number;
  conditions: Conditions;
  state: MachineState;
  /** The moment it was taken at, where that is not the usual one of its state: readings of one moment share one temperature. */
  moment?: string;
}

/** The moment at which readings in a state of the machine are usually taken: shaking changes no temperature. */
export const usualMoment = (state: MachineState): 'steady' | 'hot' => (state === 'hot' ? 'hot' : 'steady');

/**
 * A temperature at the machine as it is known: the middle, °C; 1σ of the thermometer or of the edges, K; where the thermometer errs more to one side
 * than to the other, how far the true temperature may lie above and below it, 1σ in K; where it is a range, half its width, K.
 */
export interface Thermometer {
  readC: number;
  sigmaK: number;
  upK?: number;
  downK?: number;
  halfWidthK?: number;
}

/** Everything a verdict is computed from. Plain data and curve models; nothing typed, nothing about screens. */
export interface Problem {
  circuit: SensorCircuit;
  /** Temperature beside the sensor, by moment; a missing one is hardly known (25 ± 30 °C). */
  thermometers: { steady?: Thermometer; hot?: Thermometer; [moment: string]: Thermometer | undefined };
  readings: readonly ReadingInput[];
  instruments: Instruments;
  /** Factors on the weights of single faults, from history, codes and findings; 1 where absent. */
  factors: Readonly<Record<string, number>>;
  /** States of the machine in which alone the complaint shows, where it comes and goes. */
  comesAndGoes?: readonly MachineState[];
  /** A code of a high-voltage system was read: nothing is proposed but reading the display. */
  displayOnly?: true;
  /** Ids of the faults that are weighed; absent: all that are listed. */
  faults?: readonly string[];
}

/** What is believed of a temperature nobody measured, °C and 1σ in K. */
export const UNMEASURED = { readC: 25, sigmaK: 30 } as const;
/** A thermometer reading that is a blunder is this many times less exact. */
export const THERMOMETER_BLUNDER_SPREAD = 8;
/** Stands for the thermometer among the ids of doubtful readings. */
export const THERMOMETER = 'thermometer';
