import type { CircuitState, SensorCircuit } from '../circuit/sensorCircuit.ts';
import { copyState, nominalState } from '../circuit/sensorCircuit.ts';
import { logNormalDensity, normalCdf } from '../numeric/normal.ts';
import { MACHINE_STATES, type MachineState } from '../units/vocabulary.ts';
import { type Problem, THERMOMETER_BLUNDER_SPREAD, UNMEASURED } from './problem.ts';

/** Bounds of a pull-up nobody knows, Ω. */
export const UNKNOWN_PULL_UP = { minOhm: 300, maxOhm: 100_000 } as const;

interface Coordinate {
  readonly name: string;
  /** Prior is standard normal, or, for a thermometer that may be a blunder, a mixture with a wide one. */
  readonly blunder: number;
  put(c: CircuitState, u: number): void;
}

/**
 * Everything uncertain that is not a fault (reference, pull-up, tolerances, wires, temperature …) as independent coordinates u, each
 * standard normal before any reading. `state` turns a point u into a definite healthy circuit in a given machine state.
 */
export class LatentSpace {
  readonly dimension: number;
  readonly names: readonly string[];
  private readonly coordinates: readonly Coordinate[];
  /** Index of the temperature coordinate of each state. */
  private readonly temperatureOf: Readonly<Record<MachineState, number>>;
  private readonly temperatures: readonly { readC: number; sigmaK: number; blunder: number }[];
  private readonly base: CircuitState;

  constructor(problem: Problem) {
    const { circuit } = problem;
    const { meterInputOhm, meterOverloadOhm, leadOhm } = problem.instruments;
    this.base = { ...nominalState(circuit, 0, circuit.pullUpOhm ?? 5000), meterInputOhm, meterOverloadOhm, leadOhm };
    const common = commonCoordinates(circuit);
    const states = MACHINE_STATES.filter(
      (s) => s !== 'wiggling' && (s === 'steady' || problem.readings.some((r) => r.state === s)),
    );
    this.temperatures = states.map((state) => {
      const thermometer = problem.thermometers[state as 'steady' | 'hot'];
      return thermometer ? { ...thermometer, blunder: problem.instruments.blunder } : { ...UNMEASURED, blunder: 0 };
    });
    const steady = common.length;
    const hot = states.includes('hot') ? common.length + 1 : steady;
    this.temperatureOf = { steady, wiggling: steady, hot };
    this.coordinates = [
      ...common,
      ...this.temperatures.map(({ readC, sigmaK, blunder }) => ({
        name: 'temperature',
        blunder,
        put: (c: CircuitState, u: number) => (c.temperatureC = readC + sigmaK * u),
      })),
    ];
    this.dimension = this.coordinates.length;
    this.names = this.coordinates.map((c) => c.name);
  }

  /** Writes the healthy circuit at point `u` in a machine state into `into` (a scratch object that is fully overwritten). */
  state(u: ArrayLike<number>, machine: MachineState, ratiometric: boolean, into: CircuitState): CircuitState {
    copyState(this.base, into);
    into.ratiometric = ratiometric;
    const temperature = this.temperatureOf[machine];
    const first = this.dimension - this.temperatures.length;
    for (let k = 0; k < first; k++) this.coordinates[k].put(into, u[k]);
    this.coordinates[temperature].put(into, u[temperature]);
    return into;
  }

  /** A fresh scratch circuit for `state`. */
  scratch(): CircuitState {
    return { ...this.base };
  }

  /** ln prior density of a point relative to the standard normal in every coordinate. */
  logPriorRatio(u: ArrayLike<number>): number {
    let sum = 0;
    for (let k = this.dimension - this.temperatures.length; k < this.dimension; k++) {
      const { blunder } = this.coordinates[k];
      if (blunder > 0) sum += Math.log(1 - blunder + blunder * wideRatio(u[k]));
    }
    return sum;
  }

  /** Prior precision at u of coordinate k, as the curvature of its mixture: 1 near the reading, almost nothing far from it. */
  precision(k: number, u: number): number {
    const { blunder } = this.coordinates[k];
    if (blunder === 0) return 1;
    const wide = blunder * wideRatio(u);
    const trusted = (1 - blunder) / (1 - blunder + wide);
    return trusted + (1 - trusted) / (THERMOMETER_BLUNDER_SPREAD * THERMOMETER_BLUNDER_SPREAD);
  }

  /** Variance of coordinate k when its instrument is not trusted: 1, or the wide variance of a thermometer read wrong. */
  doubtedVariance(k: number): number {
    return this.coordinates[k].blunder > 0 ? THERMOMETER_BLUNDER_SPREAD * THERMOMETER_BLUNDER_SPREAD : 1;
  }

  /** Probability that some thermometer at the machine was read wrong, at a point u. */
  thermometerBlunder(u: ArrayLike<number>): number {
    let sound = 1;
    for (let k = this.dimension - this.temperatures.length; k < this.dimension; k++) {
      const { blunder } = this.coordinates[k];
      if (blunder > 0) sound *= (1 - blunder) / (1 - blunder + blunder * wideRatio(u[k]));
    }
    return 1 - sound;
  }

  /** Draws a point of the prior from `dimension + 1` numbers in (0, 1) turned normal by the caller; `chance` decides on blunders. */
  draw(normal: (k: number) => number, chance: () => number, out: Float64Array): void {
    for (let k = 0; k < this.dimension; k++) {
      out[k] = normal(k);
      if (this.coordinates[k].blunder > 0 && chance() < this.coordinates[k].blunder)
        out[k] *= THERMOMETER_BLUNDER_SPREAD;
    }
  }
}

function wideRatio(u: number): number {
  const narrow = u / THERMOMETER_BLUNDER_SPREAD;
  return Math.exp(Math.min(600, logNormalDensity(narrow) - logNormalDensity(u))) / THERMOMETER_BLUNDER_SPREAD;
}

function commonCoordinates(circuit: SensorCircuit): Coordinate[] {
  const plain = (name: string, put: Coordinate['put']): Coordinate => ({ name, blunder: 0, put });
  const wireRatio = Math.log(circuit.wireMaxOhm / circuit.wireMinOhm);
  const wire = (u: number): number => circuit.wireMinOhm * Math.exp(wireRatio * normalCdf(u));
  const list: Coordinate[] = [];
  if (circuit.pullUpOhm === null) {
    const span = Math.log(UNKNOWN_PULL_UP.maxOhm / UNKNOWN_PULL_UP.minOhm);
    list.push(
      plain('pull-up', (c, u) => {
        c.nominalPullUpOhm = UNKNOWN_PULL_UP.minOhm * Math.exp(span * normalCdf(u));
        c.pullUpOhm = c.nominalPullUpOhm;
      }),
    );
  }
  list.push(
    plain('reference', (c, u) => (c.referenceV = circuit.referenceV * (1 + 0.01 * u))),
    plain('pull-up tolerance', (c, u) => {
      c.pullUpOhm *= 1 + 0.01 * u;
      if (circuit.hotPullUpOhm !== null) c.hotPullUpOhm = circuit.hotPullUpOhm * (1 + 0.01 * u);
    }),
    plain('sensor tolerance', (c, u) => (c.sensorFactor = Math.exp(circuit.curve.toleranceLog * u))),
    plain('ground', (c, u) => (c.groundOffsetV = 0.01 * u)),
    plain('signal wire', (c, u) => (c.signalOhm = wire(u))),
    plain('return wire', (c, u) => (c.returnOhm = wire(u))),
    plain('supply', (c, u) => (c.supplyV = circuit.supplyV + 0.2 * u)),
  );
  if ([-40, 0, 60, 120].some((t) => circuit.curve.formErrorLog(t) > 0)) {
    list.push(plain('curve form', (c, u) => (c.formError = u)));
  }
  return list;
}
