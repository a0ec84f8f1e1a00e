import { SolvedCircuit } from '../circuit/solvedCircuit.ts';
import type { CircuitState } from '../circuit/sensorCircuit.ts';
import type { Branch, Fault } from '../faults/fault.ts';
import { measurementById } from '../measurements/list.ts';
import type { Conditions, Measurement } from '../measurements/measurement.ts';
import { LatentSpace } from './latent.ts';
import { displayedNoise, logMixture, type NoiseModel, ohmsNoise, voltsNoise } from './noise.ts';
import { MACHINE_STATES, type MachineState } from '../units/vocabulary.ts';
import { type Problem } from './problem.ts';

/** One definite way to be wrong: a branch of a fault, present always or only in one machine state, with one kind of converter. */
export interface Hypothesis {
  fault: Fault;
  branch: Branch;
  ratiometric: boolean;
  /** null: present in every state; otherwise the one state in which it is present. */
  onlyIn: MachineState | null;
  /** ln of its share of the fault's weight. */
  logShare: number;
}

interface Prepared {
  measurement: Measurement;
  conditions: Conditions;
  state: MachineState;
  value: number;
  noise: NoiseModel;
  /** ln of chance and likelihood of this value as a blunder. */
  logBad: number;
}

/** Predicts every reading of one problem under any hypothesis, and scores the predictions. Holds scratch space: one per thread. */
export class Predictor {
  readonly latent: LatentSpace;
  readonly readings: readonly Prepared[];
  private readonly byState: readonly { state: MachineState; indices: readonly number[] }[];
  private readonly solved = new SolvedCircuit();
  private readonly scratch: CircuitState;
  /** ln of the chance that a reading is no blunder. */
  readonly logSound: number;
  /** The size the fault had in the last prediction, in its unit. */
  lastSize = NaN;
  /** Pull-up the module had in the last prediction, Ω. */
  lastPullUpOhm = NaN;

  constructor(readonly problem: Problem) {
    this.latent = new LatentSpace(problem);
    this.scratch = this.latent.scratch();
    this.logSound = Math.log(1 - problem.instruments.blunder);
    this.readings = problem.readings.map((r) => {
      const measurement = measurementById(r.measurement);
      const noise = noiseOf(problem, measurement, r.conditions);
      const logBad = Math.log(problem.instruments.blunder) + noise.logBlunder(r.value);
      return { measurement, conditions: r.conditions, state: r.state, value: r.value, noise, logBad };
    });
    this.byState = MACHINE_STATES.map((state) => ({
      state,
      indices: this.readings.flatMap((r, i) => (r.state === state ? [i] : [])),
    })).filter((group) => group.indices.length > 0);
  }

  /** The circuit of one hypothesis in one machine state, ready to be measured. */
  solvedAt(h: Hypothesis, position: number, u: ArrayLike<number>, state: MachineState): SolvedCircuit {
    const c = this.latent.state(u, state, h.ratiometric, this.scratch);
    if (h.onlyIn === null || h.onlyIn === state) this.lastSize = h.branch.apply(c, position);
    this.lastPullUpOhm = c.nominalPullUpOhm;
    return this.solved.set(c);
  }

  /** What every reading should be, in its own unit, into `out`. */
  predict(h: Hypothesis, position: number, u: ArrayLike<number>, out: Float64Array): void {
    for (const { state, indices } of this.byState) {
      const solved = this.solvedAt(h, position, u, state);
      for (const i of indices) {
        const reading = this.readings[i];
        out[i] = reading.measurement.predict(solved, reading.conditions);
      }
    }
  }

  /** Deviation of one reading alone, in units of 1σ. */
  residualOf(h: Hypothesis, position: number, u: ArrayLike<number>, reading: number): number {
    const { state, measurement, conditions, noise, value } = this.readings[reading];
    return noise.residual(value, measurement.predict(this.solvedAt(h, position, u, state), conditions));
  }

  /** Deviations of the predictions from the readings, in units of 1σ, into `out`. */
  residuals(predictions: Float64Array, out: Float64Array): void {
    for (let i = 0; i < this.readings.length; i++) {
      out[i] = this.readings[i].noise.residual(this.readings[i].value, predictions[i]);
    }
  }

  /** ln likelihood of all readings, each with its chance of being a blunder. */
  logLikelihood(predictions: Float64Array): number {
    let sum = 0;
    for (let i = 0; i < this.readings.length; i++) {
      const { noise, value, logBad } = this.readings[i];
      sum += logMixture(this.logSound + noise.logGood(value, predictions[i]), logBad);
    }
    return sum;
  }
}

/** How a reading of this kind scatters with the instruments of this problem. */
export function noiseOf(problem: Problem, measurement: Measurement, conditions: Conditions): NoiseModel {
  const { instruments, circuit } = problem;
  if (measurement.quantity === 'volts') return voltsNoise(instruments, circuit.supplyV);
  if (measurement.quantity === 'celsius') return displayedNoise(instruments, circuit.display);
  let extra = measurement.ofAnotherSensor ? circuit.curve.toleranceLog : 0;
  if (conditions.bathC !== undefined) {
    // The thermometer in the bath is off by a little: through the slope of the curve that is a scatter of the ohms.
    const t = conditions.bathC;
    const slope = Math.log(circuit.curve.resistanceOhm(t + 0.5) / circuit.curve.resistanceOhm(t - 0.5));
    extra = Math.hypot(extra, slope * instruments.bathK);
  }
  if (extra === 0) return ohmsNoise(instruments);
  return ohmsNoise({
    ...instruments,
    ohms: instruments.ohms.map((r) => ({ ...r, relative: Math.hypot(r.relative, extra) })),
  });
}
