import { catalogueCircuit } from '../../catalogue/parts/catalogueCircuit.ts';
import { placeWeightsOf, putAt } from '../../circuit/network/placeWeights.ts';
import type { CircuitState, SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { type Fault, positionOf } from '../../circuit/faults/fault.ts';
import type { FaultGroup } from '../../base/units/vocabulary.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { drawBy, drawIndex, happens, pick, seededUniform, type Uniform } from '../../base/numeric/random.ts';
import type { PlannedTest } from '../../inference/model/healthyRanges.ts';
import { hypothesesOf, settingOf, weightedFaults } from '../../inference/model/hypotheses.ts';
import { type Hypothesis, noiseOf, Predictor } from '../../inference/model/predictor.ts';
import { DRAWN_CIRCUITS, DRAWN_FAULTS } from './drawnFrom.ts';
import { GENERIC_INSTRUMENTS, THERMOMETER_SIGMA_K } from '../../catalogue/kit/instruments.ts';
import type { Problem, ReadingInput } from '../../inference/model/problem.ts';

/** A made-up case whose truth is known: a circuit with one fault, on which any test can be taken. */
export interface SimulatedCase {
  seed: number;
  /** The case before any reading. */
  problem: Problem;
  fault: string;
  group: FaultGroup;
  /** Size in the fault's unit, NaN where it has none. */
  size: number;
  /** The element of the chain it sits at (`circuit/network/chain.ts`), where the circuit has connectors and the fault a place; else null. */
  element: number | null;
  circuitName: string;
  /** What was read wrong in this case so far: 'thermometer', or the test of a reading that was drawn as a blunder. */
  blunders: string[];
  /** Takes a test: V, Ω (Infinity is OL) or °C with noise, rounding and now and then a blunder. Every call is a new reading. */
  take: (test: PlannedTest) => number;
}

/** Draws a case from the fault model itself: circuit, fault by weight, size, tolerances, temperature. Same seed, same case and readings. */
export function simulateCase(
  seed: number,
  circuit?: SensorCircuit,
  kit = { instruments: GENERIC_INSTRUMENTS, thermometerK: THERMOMETER_SIGMA_K },
): SimulatedCase {
  const uniform = seededUniform(seed * 7919 + 13);
  const known = DRAWN_CIRCUITS.filter((c) => c.layout === 'pull-up' && c.pullUpOhm !== null);
  const entry = pick(known, uniform);
  const chosen = circuit ?? catalogueCircuit(entry.id);
  const readC = Math.round(2 + 28 * uniform());
  const problem: Problem = {
    circuit: chosen,
    thermometers: { steady: { readC, sigmaK: kit.thermometerK } },
    readings: [],
    instruments: kit.instruments,
    factors: {},
  };
  const predictor = new Predictor(problem);
  const { hypothesis, element } = placed(drawHypothesis(problem, uniform), chosen, uniform);
  const position = positionOf(hypothesis.branch, uniform());
  const u = new Float64Array(predictor.latent.dimension);
  predictor.latent.draw(() => normalQuantile(uniform()), uniform, u);
  // Without display readings the converter kind is not drawn by the list of hypotheses: draw it here.
  const ratiometric = chosen.display.ratiometric ?? happens(0.5, uniform);
  const truth: Truth = {
    predictor,
    hypothesis: { ...hypothesis, ratiometric },
    position,
    u,
    substituteC: drawSubstitute(chosen, uniform),
  };
  predictor.solvedAt(truth.hypothesis, position, u, 'steady');
  const blunders = predictor.latent.thermometerBlunder(u) > 0.5 ? ['thermometer'] : [];
  return {
    seed,
    problem,
    fault: hypothesis.fault.id,
    group: hypothesis.fault.group,
    size: hypothesis.branch.sized ? predictor.lastSize : NaN,
    element,
    circuitName: circuit ? 'given' : entry.name,
    blunders,
    take: taker(truth, uniform, blunders),
  };
}

/** The same fault at one element of the way, drawn by its weight; on a way without connectors it is left as it is. */
function placed(
  hypothesis: Hypothesis,
  circuit: SensorCircuit,
  uniform: Uniform,
): { hypothesis: Hypothesis; element: number | null } {
  const { branch } = hypothesis;
  const strand = branch.place?.strand;
  if (!strand || circuit.connectors === 0) return { hypothesis, element: null };
  const element = drawIndex(placeWeightsOf(circuit)[strand], uniform);
  const apply = (c: CircuitState, position: number): number => {
    const size = branch.apply(c, position);
    putAt(c, strand, element);
    return size;
  };
  return { hypothesis: { ...hypothesis, branch: { ...branch, apply } }, element };
}

/** What is really there: a hypothesis at a point of its unknowns. */
export interface Truth {
  predictor: Predictor;
  hypothesis: Hypothesis;
  position: number;
  u: Float64Array;
  /** What the module shows for an end of its scale, °C, Infinity for nothing; absent or null: the end. */
  substituteC?: number | null;
}

/** Values that modules show in place of what they cannot believe, °C. Common practice, no source. */
const USUAL_SUBSTITUTES_C = [20, 40, 60, 80] as const;

function drawSubstitute({ display }: SensorCircuit, uniform: Uniform): number | null {
  const [whether, which, anywhere] = [uniform(), uniform(), uniform()];
  if (display.substituteC !== null || whether >= (display.substitutes ?? 0)) return null;
  if (which < 0.15) return Infinity;
  if (which < 0.7) return pick(USUAL_SUBSTITUTES_C, () => anywhere);
  return Math.round(display.minC + anywhere * (display.maxC - display.minC));
}

/** Takes readings of the truth with noise, rounding and now and then a blunder, which is noted. */
export function taker(
  { predictor, hypothesis, position, u, substituteC = null }: Truth,
  uniform: Uniform,
  blunders: string[],
): SimulatedCase['take'] {
  const { problem } = predictor;
  return ({ measurement, conditions, state }) => {
    const noise = noiseOf(problem, measurement, conditions);
    const ideal = measurement.predict(predictor.solvedAt(hypothesis, position, u, state), conditions);
    const [chance, p] = [uniform(), uniform()];
    const atEnd = substituteC !== null && (noise.elsewhere?.(ideal) ?? 0) > 0 && !measurement.ofNeighbour;
    if (atEnd && chance >= problem.instruments.blunder) return substituteC;
    if (chance >= problem.instruments.blunder) return noise.draw(ideal, normalQuantile(p));
    blunders.push(measurement.id);
    return noise.drawBlunder(p);
  };
}

/** Draws a fault by its weight. */
export function drawFault(problem: Problem, uniform: Uniform): Fault {
  return drawBy(weightedFaults(problem, DRAWN_FAULTS), (f) => f.weight, uniform).fault;
}

/** Draws a way to be wrong by its weight. */
export function drawHypothesis(problem: Problem, uniform: Uniform): Hypothesis {
  const hypotheses = hypothesesOf(drawFault(problem, uniform), settingOf(problem), problem);
  return drawBy(hypotheses, (h) => Math.exp(h.logShare), uniform);
}

/** A case with the first `count` of these tests taken, as a problem to rank. */
export function withReadings(simulated: SimulatedCase, tests: readonly PlannedTest[]): Problem {
  return { ...simulated.problem, readings: readingsOf(tests, simulated.take) };
}

/** These tests taken one after the other, as readings. */
export function readingsOf(tests: readonly PlannedTest[], take: SimulatedCase['take']): ReadingInput[] {
  return tests.map((test, i) => ({
    id: `r${i}`,
    measurement: test.measurement.id,
    value: take(test),
    conditions: test.conditions,
    state: test.state,
  }));
}
