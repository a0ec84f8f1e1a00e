import { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import type { CircuitState } from '../../circuit/network/sensorCircuit.ts';
import type { Branch, Fault } from '../../circuit/faults/fault.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Conditions, Measurement } from '../../circuit/measurements/measurement.ts';
import { LatentSpace } from './latent.ts';
import {
  boundNoise,
  displayedNoise,
  type DisplayNoise,
  logAtEnds,
  logMixture,
  neighbourNoise,
  type NoiseModel,
  ohmsNoise,
  voltsNoise,
} from './noise.ts';
import { normalCdf } from '../../base/numeric/normal.ts';
import { MACHINE_STATES, type MachineState } from '../../base/units/vocabulary.ts';
import { type Problem, usualMoment } from './problem.ts';
import { startsFor } from './starts.ts';
import { logWrongPin, type Slip, slipsOf } from './slips.ts';
import { logSumExp } from '../../base/numeric/logSumExp.ts';

/** One definite way to be wrong: a branch of a fault, present always or only in one machine state, with one kind of converter. */
export interface Hypothesis {
  fault: Fault;
  branch: Branch;
  ratiometric: boolean;
  /** The curve of sensor and module. */
  curve: CurveModel;
  /** null: present in every state; otherwise the one state in which it is present. */
  onlyIn: MachineState | null;
  /** ln of its share of the fault's weight. */
  logShare: number;
  /** A second fault that is present as well, its position in this stretch; fits set out from its unknown at `start`, else from the middle. */
  second?: { branch: Branch; from: number; to: number; start?: number };
}

interface Prepared {
  measurement: Measurement;
  conditions: Conditions;
  state: MachineState;
  moment: string;
  value: number;
  noise: NoiseModel;
  /** ln of chance and likelihood of this value as a blunder of no known kind, or of a wrong pin. */
  logBad: number;
  /** The two parts of `logBad`: a wrong pin, and any other blunder. */
  logPin: number;
  logOther: number;
  slips: readonly Slip[];
}

/** Where a sound reading is this much (ln) more likely than a blunder, no slip is looked for. */
const MET = 10;

/** Predicts every reading of one problem under any hypothesis, and scores the predictions. Holds scratch space: one per thread. */
export class Predictor {
  readonly latent: LatentSpace;
  readonly readings: readonly Prepared[];
  /** Which of the readings are displayed values. */
  readonly displayed: readonly number[];
  /** Those of this sensor where more than one could be a substitute, and how they scatter; null where it does not matter. */
  private readonly own: { indices: readonly number[]; noise: DisplayNoise } | null;
  /** The first reading of the same kind, moment, state and conditions: they share one prediction. */
  private readonly alike: readonly number[];
  private readonly together: readonly {
    state: MachineState;
    moment: string;
    indices: readonly number[];
    displayed: readonly number[];
  }[];
  private readonly starts = new Map<CurveModel, readonly Float64Array[]>();
  private readonly solved = new SolvedCircuit();
  private readonly scratch: CircuitState;
  /** The displayed values that the last predictions put at an end of the scale. */
  private readonly atEnds: number[] = [];
  /** ln of the chance that a reading is no blunder. */
  readonly logSound: number;
  /** The size the fault had in the last prediction, in its unit. */
  lastSize = NaN;
  /** The size its second fault had, where it has one. */
  lastSecondSize = NaN;
  /** Pull-up the module had in the last prediction, Ω. */
  lastPullUpOhm = NaN;

  /** `pairs`: hypotheses of two faults will be asked about. */
  constructor(
    readonly problem: Problem,
    pairs = false,
  ) {
    this.latent = new LatentSpace(problem, pairs);
    this.scratch = this.latent.scratch();
    this.logSound = Math.log(1 - problem.instruments.blunder);
    this.readings = problem.readings.map((r) => {
      const measurement = measurementById(r.measurement);
      const noise = noiseOf(problem, measurement, r.conditions);
      const logPin = logWrongPin(measurement, r.value);
      const logOther = Math.log(problem.instruments.blunder) + noise.logBlunder(r.value);
      const logBad = logMixture(logOther, logPin);
      const slips = slipsOf(measurement, r.value);
      const { conditions, state, value, moment = usualMoment(state) } = r;
      return { measurement, conditions, state, moment, value, noise, logBad, logPin, logOther, slips };
    });
    this.displayed = this.readings.flatMap(({ measurement }, i) => (measurement.quantity === 'celsius' ? [i] : []));
    const keys = this.readings.map((r) => `${r.measurement.id} ${r.state} ${r.moment} ${JSON.stringify(r.conditions)}`);
    this.alike = keys.map((key) => keys.indexOf(key));
    const own = this.displayed.filter((i) => !this.readings[i].measurement.ofNeighbour);
    const { display, spread } = problem.circuit;
    this.own =
      display.substitutes !== undefined && display.substituteC === null && own.length > 1
        ? { indices: own, noise: displayedNoise(problem.instruments, display, spread) }
        : null;
    const moments = [...new Set(this.readings.map((r) => r.moment))];
    this.together = MACHINE_STATES.flatMap((state) =>
      moments.map((moment) => {
        const indices = this.readings.flatMap((r, i) => (r.state === state && r.moment === moment ? [i] : []));
        return { state, moment, indices, displayed: indices.filter((i) => this.displayed.includes(i)) };
      }),
    ).filter((group) => group.indices.length > 0);
  }

  /** The circuit of one hypothesis in one machine state, ready to be measured. */
  solvedAt(
    h: Hypothesis,
    position: number,
    u: ArrayLike<number>,
    state: MachineState,
    moment: string = usualMoment(state),
  ): SolvedCircuit {
    const c = this.latent.state(u, moment, h.ratiometric, this.scratch);
    c.sensorCurve = c.moduleCurve = h.curve;
    if (h.onlyIn === null || h.onlyIn === state) this.lastSize = h.branch.apply(c, position);
    if (h.second) {
      const { branch, from, to } = h.second;
      this.lastSecondSize = branch.apply(c, from + (to - from) * normalCdf(u[this.latent.secondSize]));
    }
    this.lastPullUpOhm = c.nominalPullUpOhm;
    return this.solved.set(c);
  }

  /**
   * Where a fit sets out: every unknown at its middle, but a second size at its given start, and the level of a curve that is hardly known at what
   * the resistances that were read say of it. From the middle a fit would have to come a long way.
   */
  start(h: Pick<Hypothesis, 'curve' | 'second'>): Float64Array {
    return this.startsOf(h)[0];
  }

  /** `start`, and the other places from which a fit may end elsewhere. */
  startsOf({ curve, second }: Pick<Hypothesis, 'curve' | 'second'>): readonly Float64Array[] {
    const at = second?.start;
    const starts = this.startsFrom(curve);
    return at ? starts.map((u) => u.map((value, k) => (k === this.latent.secondSize ? at : value))) : starts;
  }

  private startsFrom(curve: CurveModel): readonly Float64Array[] {
    let known = this.starts.get(curve);
    if (!known) {
      known = startsFor(curve, this.latent, this.problem, this.readings);
      this.starts.set(curve, known);
    }
    return known;
  }

  /** What every reading should be, in its own unit, into `out`. */
  predict(h: Hypothesis, position: number, u: ArrayLike<number>, out: Float64Array): void {
    for (const group of this.together) this.predictIn(group, group.indices, h, position, u, out);
  }

  /** As `predict`, of the displayed values alone; the other entries of `out` are left as they are. */
  predictDisplayed(h: Hypothesis, position: number, u: ArrayLike<number>, out: Float64Array): void {
    for (const group of this.together) {
      if (group.displayed.length > 0) this.predictIn(group, group.displayed, h, position, u, out);
    }
  }

  private predictIn(
    { state, moment }: { state: MachineState; moment: string },
    indices: readonly number[],
    h: Hypothesis,
    position: number,
    u: ArrayLike<number>,
    out: Float64Array,
  ): void {
    const solved = this.solvedAt(h, position, u, state, moment);
    for (const i of indices) {
      const reading = this.readings[i];
      const alike = this.alike[i];
      out[i] = alike < i ? out[alike] : reading.measurement.predict(solved, reading.conditions);
    }
  }

  /** Deviation of one reading alone, in units of 1σ. */
  residualOf(h: Hypothesis, position: number, u: ArrayLike<number>, reading: number): number {
    const { state, moment, measurement, conditions, noise, value } = this.readings[reading];
    return noise.residual(value, measurement.predict(this.solvedAt(h, position, u, state, moment), conditions));
  }

  /** Deviations of the predictions from the readings, in units of 1σ, into `out`. */
  residuals(predictions: Float64Array, out: Float64Array): void {
    for (let i = 0; i < this.readings.length; i++) {
      out[i] = this.readings[i].noise.residual(this.readings[i].value, predictions[i]);
    }
  }

  /** ln likelihood of all readings, each with its chance of being a blunder. */
  logLikelihood(predictions: Float64Array): number {
    let sum = this.own ? this.logSubstituted(predictions) : 0;
    for (let i = 0; i < this.readings.length; i++) {
      const { noise, value, logBad, slips } = this.readings[i];
      if (this.atEnds.includes(i)) continue;
      const good = this.logSound + noise.logGood(value, predictions[i]);
      // Where a reading is met, that it slipped as well is worth nothing.
      const met = slips.length === 0 || good > logBad + MET;
      sum += logMixture(good, met ? logBad : logMixture(logBad, this.logSlipped(i, predictions[i])));
    }
    return sum;
  }

  /** ln likelihood of the displayed values that are predicted at an end, together; which those are stands in `atEnds`. */
  private logSubstituted(predictions: Float64Array): number {
    const { indices, noise } = this.own!;
    const { atEnds } = this;
    atEnds.length = 0;
    for (const i of indices) if (noise.atEnd(predictions[i])) atEnds.push(i);
    // One alone has its own mixture.
    if (atEnds.length < 2 && atEnds.length === indices.length) atEnds.length = 0;
    if (atEnds.length === 0) return 0;
    const shown = atEnds.map((i) => {
      const { value, logBad, slips } = this.readings[i];
      const bad = slips.length === 0 ? logBad : logMixture(logBad, this.logSlipped(i, predictions[i]));
      return { value, predicted: predictions[i], logBad: bad };
    });
    const good = indices.filter((i) => !atEnds.includes(i)).map((i) => this.readings[i].value);
    return logAtEnds(noise, shown, good, this.logSound);
  }

  /** ln chance and likelihood of reading i as a slip of any known kind, where it is predicted to be this. */
  private logSlipped(i: number, prediction: number): number {
    const { noise, slips } = this.readings[i];
    let sum = -Infinity;
    for (const { meant, logChance } of slips) sum = logMixture(sum, logChance + noise.logGood(meant, prediction));
    return sum;
  }

  /**
   * Probability of each explanation of reading i where it is predicted to be this, into `out`: met, each slip in order, a wrong pin, any other
   * blunder.
   */
  explanations(i: number, prediction: number, out: Float64Array): void {
    const { noise, value, logPin, logOther, slips } = this.readings[i];
    const count = slips.length + 3;
    out[0] = this.logSound + noise.logGood(value, prediction);
    for (let k = 0; k < slips.length; k++) out[1 + k] = slips[k].logChance + noise.logGood(slips[k].meant, prediction);
    out[count - 2] = logPin;
    out[count - 1] = logOther;
    const total = logSumExp(out);
    for (let k = 0; k < count; k++) out[k] = Math.exp(out[k] - total);
  }
}

/** How a reading of this kind scatters with the instruments of this problem. */
export function noiseOf(problem: Problem, measurement: Measurement, conditions: Conditions): NoiseModel {
  const { instruments, circuit } = problem;
  if (measurement.quantity === 'volts') return voltsNoise(instruments, circuit.supplyV);
  if (measurement.ofNeighbour) return neighbourNoise(instruments, circuit.display, circuit.spread);
  if (measurement.quantity === 'celsius') return displayedNoise(instruments, circuit.display, circuit.spread);
  let extra = measurement.ofAnotherSensor ? circuit.curve.toleranceLog : 0;
  const t = conditions.bathC ?? conditions.airC;
  if (t !== undefined) {
    // The temperature it has there is off by a little: through the slope of the curve that is a scatter of the ohms.
    const slope = Math.log(circuit.curve.resistanceOhm(t + 0.5) / circuit.curve.resistanceOhm(t - 0.5));
    extra = Math.hypot(extra, slope * (conditions.ownK ?? instruments.bathK));
  }
  const own = {
    ...instruments,
    ohms: instruments.ohms.map((r) => ({ ...r, relative: Math.hypot(r.relative, extra) })),
  };
  const meter = extra === 0 ? instruments : own;
  return conditions.aboveOhm === undefined ? ohmsNoise(meter) : boundNoise(meter, conditions.aboveOhm);
}
