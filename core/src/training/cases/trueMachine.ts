import type { CircuitState } from '../../circuit/network/sensorCircuit.ts';
import { canStandTogether } from '../../circuit/faults/together.ts';
import { type Branch, type Fault, positionOf } from '../../circuit/faults/fault.ts';
import { healthy } from '../../circuit/faults/healthy.ts';
import { LatentSpace } from '../../inference/model/latent.ts';
import { hypothesesOf, settingOf, weightedFaults } from '../../inference/model/hypotheses.ts';
import { DRAWN_FAULTS, DRAWN_TESTS } from '../simulation/drawnFrom.ts';
import { plainTests } from '../../inference/model/healthyRanges.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { drawBy, happens, type Uniform } from '../../base/numeric/random.ts';
import { shifts } from '../simulation/shifts.ts';
import type { FaultGroup, MachineState } from '../../base/units/vocabulary.ts';

/** One thing that is really wrong. */
export interface TrueFault {
  fault: Fault;
  branch: Branch;
  /** 0 … 1 in its range of sizes. */
  position: number;
  /** The one machine state in which it is there; null: in all. */
  onlyIn: MachineState | null;
}

/** What is asked of a truth: which faults it may be, how large, in which state alone, and how many. */
export interface Wanted {
  /** Null: by the weights of the problem. */
  faults: readonly string[] | null;
  onlyIn: MachineState | null;
  count: 0 | 1 | 2;
  /** Sizes from this position on: the plain cases are not the smallest. */
  from: number;
}

/** A machine as it really is: everything uncertain drawn from the model, and its faults. */
export interface TrueMachine {
  /** As it is handed over, with no readings. */
  problem: Problem;
  latent: LatentSpace;
  /** The point of the unknowns at which it is. */
  u: Float64Array;
  ratiometric: boolean;
  faults: readonly TrueFault[];
}

/** Draws a sound machine; `problem` has no readings, and a thermometer for the hot machine as well. */
export function drawMachine(problem: Problem, uniform: Uniform): TrueMachine {
  const latent = new LatentSpace(withHot(problem));
  const u = new Float64Array(latent.dimension);
  latent.draw(() => normalQuantile(uniform()), uniform, u);
  return { problem, latent, u, ratiometric: problem.circuit.display.ratiometric ?? happens(0.5, uniform), faults: [] };
}

/** Its circuit in a state of the machine, without the faults of groups that were put right. A fresh one: it may be changed. */
export function circuitIn(
  { problem, latent, u, ratiometric, faults }: TrueMachine,
  state: MachineState,
  mended: readonly FaultGroup[] = [],
): CircuitState {
  const circuit = latent.state(u, state, ratiometric, latent.scratch());
  circuit.sensorCurve = circuit.moduleCurve = problem.circuit.curve;
  for (const { fault, branch, position, onlyIn } of faults)
    if (!mended.includes(fault.group) && (onlyIn === null || onlyIn === state)) branch.apply(circuit, position);
  return circuit;
}

/** With a reading in the hot state, so that the machine has a temperature there as well. */
function withHot(problem: Problem): Problem {
  const hot = { id: 'hot', measurement: 'displayed', value: 0, conditions: {}, state: 'hot' as const };
  return { ...problem, readings: [hot] };
}

/** Tries until what was drawn shows. */
const MOST_TRIES = 400;

/**
 * Draws what is wrong by the weights of the problem, as it was wanted. A fault that no test could tell from a sound circuit is drawn anew; of
 * two, each must show with the other present.
 */
export function drawFaults(machine: TrueMachine, wanted: Wanted, uniform: Uniform): TrueFault[] {
  const { problem } = machine;
  const weighted = weightedFaults(problem, DRAWN_FAULTS).filter(
    ({ fault }) => fault !== healthy && (wanted.faults === null || wanted.faults.includes(fault.id)),
  );
  const one = (): TrueFault => {
    const { fault } = drawBy(weighted, (w) => w.weight, uniform);
    const { branch } = drawBy(hypothesesOf(fault, settingOf(problem), problem), (h) => Math.exp(h.logShare), uniform);
    return {
      fault,
      branch,
      position: positionOf(branch, wanted.from + (1 - wanted.from) * uniform()),
      onlyIn: wanted.onlyIn,
    };
  };
  if (wanted.count === 0) return [];
  for (let i = 0; i < MOST_TRIES; i++) {
    const drawn = wanted.count === 1 ? [one()] : [one(), one()];
    if (drawn.length === 2 && !canBeTwo(drawn)) continue;
    if (drawn.every((f) => shows(machine, drawn, f))) return drawn;
  }
  throw new Error(`drawFaults: nothing shows in ${MOST_TRIES} tries`);
}

/** Two that can stand together, to be put right in two ways. */
const canBeTwo = ([a, b]: readonly TrueFault[]): boolean =>
  canStandTogether(a.fault, b.fault) && a.fault.group !== b.fault.group;

/** Does any plain test show this one of the faults? */
function shows(machine: TrueMachine, faults: readonly TrueFault[], one: TrueFault): boolean {
  const state = one.onlyIn ?? 'steady';
  const tests = plainTests(machine.problem, DRAWN_TESTS);
  const shownWith = (list: readonly TrueFault[]): number[] => {
    const solved = new SolvedCircuit().set(circuitIn({ ...machine, faults: list }, state));
    return tests.map(({ measurement, conditions }) => measurement.predict(solved, conditions));
  };
  return shifts(machine.problem, tests, shownWith(faults), shownWith(faults.filter((f) => f !== one)));
}
