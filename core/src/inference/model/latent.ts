import type { CircuitState, SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { copyState, nominalState } from '../../circuit/network/sensorCircuit.ts';
import { heavy } from '../../circuit/network/spread.ts';
import { type CurveModel, invertMonotone, toleranceAt } from '../../circuit/curves/curveModel.ts';
import { logNormalDensity, normalCdf } from '../../base/numeric/normal.ts';
import { type Problem, type Thermometer, THERMOMETER_BLUNDER_SPREAD, UNMEASURED } from './problem.ts';

/** Bounds of a pull-up nobody knows, Ω. */
export const UNKNOWN_PULL_UP = { minOhm: 300, maxOhm: 100_000 } as const;

interface Coordinate {
  readonly name: string;
  /** Prior is standard normal, or, for a thermometer that may be a blunder, a mixture with a wide one. */
  readonly blunder: number;
  /** Is it felt by displayed values only? */
  readonly displayedOnly: boolean;
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
  /** Index of the temperature coordinate of each moment. */
  private readonly temperatureOf: ReadonlyMap<string, number>;
  private readonly temperatures: readonly (Thermometer & { blunder: number; tail: number })[];
  /** The circuit with nothing wrong at `lastU`; its pull-up is the factor on the nominal one. */
  private readonly sound: CircuitState;
  private readonly lastU: Float64Array;
  private readonly curve: CurveModel;

  /** Index of the unknown that is the size of a second fault; −1 where there is none. */
  readonly secondSize: number;

  constructor(problem: Problem, pairs = false) {
    const { circuit } = problem;
    this.curve = circuit.curve;
    const { meterInputOhm, meterOverloadOhm, leadOhm } = problem.instruments;
    const nominal = nominalState(circuit, 0, circuit.pullUpOhm ?? 5000);
    this.sound = { ...nominal, pullUpOhm: 1, meterInputOhm, meterOverloadOhm, leadOhm };
    const common = commonCoordinates(circuit);
    this.secondSize = pairs ? common.length : -1;
    if (pairs) common.push({ name: 'second size', blunder: 0, displayedOnly: false, put: () => undefined });
    const moments = momentsOf(problem);
    this.temperatures = moments.map(({ id, hot }) => {
      const thermometer = problem.thermometers[id];
      return thermometer
        ? { ...thermometer, blunder: problem.instruments.blunder, tail: circuit.spread.tail }
        : { ...(hot && circuit.worksC ? warmBy(circuit.worksC) : UNMEASURED), blunder: 0, tail: 0 };
    });
    this.temperatureOf = new Map(moments.map(({ id }, i) => [id, common.length + i]));
    this.coordinates = [
      ...common,
      ...this.temperatures.map(({ readC, sigmaK, upK = sigmaK, downK = sigmaK, halfWidthK = 0, blunder, tail }) => ({
        name: 'temperature',
        blunder,
        displayedOnly: false,
        put: (c: CircuitState, u: number): void => {
          c.temperatureC = readC + (u < 0 ? downK : upK) * heavy(u, tail);
          if (halfWidthK > 0) c.temperatureC += halfWidthK * (2 * normalCdf(u) - 1);
        },
      })),
    ];
    this.dimension = this.coordinates.length;
    this.lastU = new Float64Array(this.dimension).fill(NaN);
    this.names = this.coordinates.map((c) => c.name);
  }

  /** Index of the temperature of a moment; of one that no reading belongs to, that of the machine as it was found. */
  private temperatureIndex(moment: string): number {
    return this.temperatureOf.get(moment) ?? this.temperatureOf.get('steady')!;
  }

  /** Writes the healthy circuit at point `u` at a moment into `into` (a scratch object that is fully overwritten). */
  state(u: ArrayLike<number>, moment: string, ratiometric: boolean, into: CircuitState): CircuitState {
    const { sound, lastU } = this;
    const temperature = this.temperatureIndex(moment);
    const first = this.dimension - this.temperatures.length;
    // Most calls differ from the one before in one coordinate: only what has moved is worked out again.
    for (let k = 0; k < first; k++) {
      if (u[k] === lastU[k]) continue;
      this.coordinates[k].put(sound, u[k]);
      lastU[k] = u[k];
    }
    copyState(sound, into);
    into.ratiometric = ratiometric;
    into.pullUpOhm *= into.nominalPullUpOhm;
    this.coordinates[temperature].put(into, u[temperature]);
    // Here stands how many σ the sensor is off; what a σ is depends on the temperature for sensors made to a class in kelvin.
    into.sensorFactor = Math.exp(into.sensorFactor * toleranceAt(this.curve, into.temperatureC));
    return into;
  }

  /** Coordinate of the temperature at a moment, and the value of it that stands for a temperature, °C; within ±6. */
  temperatureAt(moment: string, temperatureC: number): { k: number; u: number } {
    const k = this.temperatureIndex(moment);
    const probe = this.scratch();
    const at = (u: number): number => {
      this.coordinates[k].put(probe, u);
      return probe.temperatureC;
    };
    return { k, u: invertMonotone(at, temperatureC, -6, 6) };
  }

  /** Is coordinate k felt by displayed values only? */
  displayedOnly(k: number): boolean {
    return this.coordinates[k].displayedOnly;
  }

  /** A fresh scratch circuit for `state`. */
  scratch(): CircuitState {
    return { ...this.sound };
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

/** The moments whose temperatures matter: the machine as it was found, hot where that counts, and the others that have readings. */
function momentsOf({ readings, comesAndGoes }: Problem): { id: string; hot: boolean }[] {
  const hot = comesAndGoes?.includes('hot') || readings.some((r) => r.state === 'hot' && r.moment === undefined);
  const own = new Map(
    readings.flatMap((r) => (r.moment === undefined ? [] : [[r.moment, r.state === 'hot'] as const])),
  );
  return [
    { id: 'steady', hot: false },
    ...(hot ? [{ id: 'hot', hot: true }] : []),
    ...[...own].map(([id, isHot]) => ({ id, hot: isHot })),
  ];
}

/** What is believed of a hot machine that nobody measured: near the upper end of what it does at work, °C. */
const warmBy = ({ high }: { high: number }): Thermometer => ({ readC: high - 20, sigmaK: 12 });

function wideRatio(u: number): number {
  const narrow = u / THERMOMETER_BLUNDER_SPREAD;
  return Math.exp(Math.min(600, logNormalDensity(narrow) - logNormalDensity(u))) / THERMOMETER_BLUNDER_SPREAD;
}

// A list of the unknowns, one after the other: it reads better whole.
// eslint-disable-next-line max-lines-per-function
function commonCoordinates(circuit: SensorCircuit): Coordinate[] {
  const { spread, curve } = circuit;
  type Put = (c: CircuitState, value: number) => void;
  const of = (name: string, value: (u: number) => number, put: Put, displayedOnly = false): Coordinate => ({
    name,
    blunder: 0,
    displayedOnly,
    put: (c, u) => put(c, value(u)),
  });
  /** Off by so many of this 1σ, with the tails of the yard; as a difference, or as a factor. */
  const off =
    (sigma: number, middle = 0) =>
    (u: number): number =>
      middle + sigma * heavy(u, spread.tail);
  const factor =
    (sigma: number) =>
    (u: number): number =>
      Math.exp(sigma * heavy(u, spread.tail));
  const logEven = (low: number, high: number) => {
    const span = Math.log(high / low);
    return (u: number): number => low * Math.exp(span * normalCdf(u));
  };
  const wire = logEven(circuit.wireMinOhm, circuit.wireMaxOhm);
  const list: Coordinate[] = [];
  if (circuit.pullUpOhm === null) {
    const put: Put = (c, ohm) => (c.nominalPullUpOhm = ohm);
    list.push(of('pull-up', logEven(UNKNOWN_PULL_UP.minOhm, UNKNOWN_PULL_UP.maxOhm), put));
  } else {
    // The given figure may be wrong; the module knows what it has.
    const given = circuit.pullUpOhm;
    list.push(of('given pull-up', factor(spread.pullUpGiven), (c, f) => (c.nominalPullUpOhm = given * f)));
  }
  const changePullUps: Put = (c, f) => {
    c.pullUpOhm = f;
    if (circuit.hotPullUpOhm !== null) c.hotPullUpOhm = circuit.hotPullUpOhm * f;
  };
  // A module divides by the reference it has: only a fault parts the two.
  const reference: Put = (c, f) => (c.referenceV = c.nominalReferenceV = circuit.referenceV * f);
  list.push(
    of('reference', (u) => Math.exp(spread.reference * heavy(u, spread.referenceTails[u < 0 ? 0 : 1])), reference),
    of('pull-up tolerance', (u) => Math.exp(spread.pullUp * u), changePullUps),
    of(
      'sensor tolerance',
      (u) => u,
      (c, sigmas) => (c.sensorFactor = sigmas),
    ),
    of('ground', off(spread.groundV), (c, volt) => (c.groundOffsetV = volt)),
    of('signal wire', wire, (c, ohm) => (c.signalOhm = ohm)),
    of('return wire', wire, (c, ohm) => (c.returnOhm = ohm)),
    of('supply', off(spread.supplyV, circuit.supplyV), (c, volt) => (c.supplyV = volt)),
  );
  if (spread.inputMaxOhm > spread.inputMinOhm) {
    list.push(of('module input', logEven(spread.inputMinOhm, spread.inputMaxOhm), (c, ohm) => (c.inputOhm = ohm)));
  }
  if (spread.lowEndK > 0) {
    const { minC, maxC } = circuit.display;
    list.push(of('low end', off(spread.lowEndK, minC), (c, t) => (c.displayMinC = t), true));
    list.push(of('high end', off(spread.highEndK, maxC), (c, t) => (c.displayMaxC = t), true));
  }
  if (curve.level)
    list.push(
      of(
        'curve level',
        (u) => u,
        (c, u) => (c.levelU = u),
      ),
    );
  if ([-40, 0, 60, 120].some((t) => curve.formErrorLog(t) > 0)) {
    list.push(
      of(
        'curve form',
        (u) => u,
        (c, sigmas) => (c.formError = sigmas),
      ),
    );
  }
  return list;
}
