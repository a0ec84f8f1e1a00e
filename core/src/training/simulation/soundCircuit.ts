import { catalogueCircuit } from '../../catalogue/parts/catalogueCircuit.ts';
import { GENERIC_INSTRUMENTS, THERMOMETER_SIGMA_K } from '../../catalogue/kit/instruments.ts';
import { toleranceAt } from '../../circuit/curves/curveModel.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { type CircuitState, nominalState, type SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { happens, pick, seededUniform, type Uniform } from '../../base/numeric/random.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { DRAWN_CIRCUITS } from './drawnFrom.ts';

/** The usual readings in the order in which they are taken. */
export const FIRST_NINE = [
  'displayed',
  'open-voltage',
  'loaded-voltage',
  'sensor-ohms',
  'supply-to-return',
  'return-drop',
  'displayed-unplugged',
  'open-voltage-return',
  'displayed-bridged',
];

/** Limits within which nobody calls a circuit faulty; each figure lies anywhere between them alike. Common practice, no source. */
export const SOUND = {
  reference: [0.96, 1.06],
  part: 0.05,
  ownPullUp: 0.01,
  thermometerK: 3,
  meter: 0.015,
  inputOhm: [5e5, 1e9],
  endK: 6,
} as const;
/** The same where a row is not about them: as exact as the model of §1 to §4 takes them, 1σ. */
export const EXACT = { reference: 0.01, part: 0.01, thermometerK: 1, meter: 0.005, inputOhm: 1e6 } as const;

/** A sound circuit with a pull-up, everything anywhere within what nobody calls a fault, with `count` of the usual readings. */
export function soundCircuit(seed: number, count: number): Problem {
  const uniform = seededUniform(seed * 9241 + 11);
  const known = DRAWN_CIRCUITS.filter((c) => c.layout === 'pull-up' && c.pullUpOhm !== null);
  const circuit = catalogueCircuit(pick(known, uniform).id);
  const real = realState(circuit, uniform, { reference: true, input: true, ends: false, parts: true });
  const realC = 2 + 28 * uniform();
  const gain = 1 + (2 * uniform() - 1) * SOUND.meter;
  const solved = new SolvedCircuit().set({ ...real, temperatureC: realC });
  const readC = realC + (2 * uniform() - 1) * SOUND.thermometerK;
  return {
    ...plainProblem(circuit),
    thermometers: { steady: { readC, sigmaK: THERMOMETER_SIGMA_K } },
    readings: FIRST_NINE.slice(0, count).map((id) => {
      const measurement = measurementById(id);
      const ideal = measurement.predict(solved, {});
      const value = measurement.quantity === 'celsius' ? Math.round(ideal) : Number((ideal * gain).toPrecision(4));
      return { id, measurement: id, value, conditions: {}, state: 'steady' as const };
    }),
  };
}

/** A circuit of which nothing is known yet. */
export function plainProblem(circuit: SensorCircuit): Problem {
  return { circuit, thermometers: {}, readings: [], instruments: GENERIC_INSTRUMENTS, factors: {} };
}

/** A sound circuit as it really is; what is not `wide` is as exact as the narrow model has it. */
export function realState(
  circuit: SensorCircuit,
  uniform: Uniform,
  wide: { reference: boolean; input: boolean; ends: boolean; parts: boolean },
): CircuitState {
  const normal = (sigma: number): number => sigma * normalQuantile(uniform());
  const within = (limit: number): number => (2 * uniform() - 1) * limit;
  const [low, high] = SOUND.reference;
  const state = nominalState(circuit, 20, circuit.pullUpOhm!);
  state.referenceV *= wide.reference ? low + (high - low) * uniform() : 1 + normal(EXACT.reference);
  // A module knows the reference and the pull-up it has; the part itself is good to 1 %.
  state.nominalReferenceV = state.referenceV;
  state.nominalPullUpOhm *= 1 + (wide.parts ? within(SOUND.part) : normal(EXACT.part));
  state.pullUpOhm = state.nominalPullUpOhm * (1 + within(SOUND.ownPullUp));
  state.sensorFactor = Math.exp(within(2 * toleranceAt(circuit.curve, 20)));
  const [least, most] = SOUND.inputOhm;
  state.inputOhm = wide.input ? least * Math.pow(most / least, uniform()) : EXACT.inputOhm;
  state.groundOffsetV = wide.parts ? within(0.02) : normal(0.01);
  state.supplyV += within(0.35);
  const { wireMinOhm, wireMaxOhm } = circuit;
  state.signalOhm = wireMinOhm * Math.pow(wireMaxOhm / wireMinOhm, uniform());
  state.returnOhm = wireMinOhm * Math.pow(wireMaxOhm / wireMinOhm, uniform());
  if (wide.ends) {
    state.displayMinC += within(SOUND.endK);
    state.displayMaxC += within(SOUND.endK);
  }
  state.ratiometric = happens(0.5, uniform);
  return state;
}
