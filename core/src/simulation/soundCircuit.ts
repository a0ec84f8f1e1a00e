import { catalogueCircuit } from '../catalogue/catalogueCircuit.ts';
import { CATALOGUE_CIRCUITS } from '../catalogue/circuits.ts';
import { nominalState } from '../circuit/sensorCircuit.ts';
import { SolvedCircuit } from '../circuit/solvedCircuit.ts';
import { GENERIC_INSTRUMENTS, THERMOMETER_SIGMA_K } from '../kit/instruments.ts';
import { measurementById } from '../measurements/list.ts';
import type { Problem } from '../model/problem.ts';
import { seededUniform } from '../numeric/random.ts';

/** The four readings that most take first, and the five that follow. */
export const USUAL_FOUR = ['displayed', 'open-voltage', 'loaded-voltage', 'sensor-ohms'] as const;
export const USUAL_NINE = [
  ...USUAL_FOUR,
  'supply-to-return',
  'return-drop',
  'displayed-unplugged',
  'open-voltage-return',
  'displayed-bridged',
] as const;

/** Limits within which nobody calls a circuit faulty; each figure lies anywhere between them alike. Common practice, no source. */
const LIMITS = { reference: [0.96, 1.06], part: 0.05, thermometerK: 3, meter: 0.015, inputOhm: [5e5, 1e9] } as const;

/**
 * A sound circuit of the catalogue (pull-up known) with `count` of the usual readings taken, as a technician would enter it: the figures told
 * are nominal, what is read comes from the real ones. One meter, off by one share throughout. Same seed, same circuit.
 */
export function soundCircuit(seed: number, count: number): Problem {
  const uniform = seededUniform(seed * 6007 + 5);
  const between = (low: number, high: number): number => low + (high - low) * uniform();
  const within = (limit: number): number => between(-limit, limit);
  const known = CATALOGUE_CIRCUITS.filter((c) => c.layout === 'pull-up' && c.pullUpOhm !== null);
  const circuit = catalogueCircuit(known[Math.floor(uniform() * known.length)].id);
  const realC = between(2, 30);
  const state = nominalState(circuit, realC, circuit.pullUpOhm!);
  state.referenceV *= between(...LIMITS.reference);
  state.pullUpOhm *= 1 + within(LIMITS.part);
  state.sensorFactor = 1 + within(LIMITS.part);
  state.inputOhm = LIMITS.inputOhm[0] * Math.pow(LIMITS.inputOhm[1] / LIMITS.inputOhm[0], uniform());
  state.groundOffsetV = within(0.02);
  state.supplyV += within(0.4);
  state.ratiometric = uniform() < 0.8;
  const gain = 1 + within(LIMITS.meter);
  const solved = new SolvedCircuit().set(state);
  return {
    circuit,
    thermometers: { steady: { readC: realC + within(LIMITS.thermometerK), sigmaK: THERMOMETER_SIGMA_K } },
    instruments: GENERIC_INSTRUMENTS,
    factors: {},
    readings: USUAL_NINE.slice(0, count).map((id) => {
      const { quantity, predict } = measurementById(id);
      const ideal = predict(solved, {});
      const value = quantity === 'celsius' ? Math.round(ideal) : Number((ideal * gain).toPrecision(4));
      return { id, measurement: id, value, conditions: {}, state: 'steady' as const };
    }),
  };
}
