// Shared or own: machines whose circuits share reference and return, a fault drawn by its weight, and what the module displays of the circuit
// complained of and of one neighbour. Is a fault of what they share told from one of its own? Beside it the same circuit alone, and ideal inference on the
// first of them. `npx tsx studies/shared.ts [machines, 300] [weighed ideally, 100]`
import { catalogueCircuit } from '../core/src/catalogue/parts/catalogueCircuit.ts';
import { CATALOGUE_CIRCUITS } from '../core/src/catalogue/parts/circuits.ts';
import { JOIN } from '../core/src/circuit/network/chain.ts';
import type { Branch, Fault } from '../core/src/circuit/faults/fault.ts';
import type { FaultPosterior } from '../core/src/inference/posterior/posterior.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { measurementById } from '../core/src/circuit/measurements/list.ts';
import { weightedFaults } from '../core/src/inference/model/hypotheses.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { logSumExp } from '../core/src/base/numeric/logSumExp.ts';
import { FAULT_GROUPS } from '../core/src/base/units/vocabulary.ts';
import { simulateCase } from '../core/src/training/simulation/simulateCase.ts';
import { groupProbabilities } from '../core/src/inference/verdict/assessment.ts';
import { pick, seededUniform } from '../core/src/base/numeric/random.ts';
import { temperedEvidence } from './tempered.ts';

const [CASES, IDEAL] = [300, 100].map((n, i) => Number(process.argv[2 + i] ?? n));
const uniform = seededUniform(20261127);
const circuits = CATALOGUE_CIRCUITS.filter((c) => c.layout === 'pull-up' && c.pullUpOhm !== null);
const REFERENCE = new Set(['reference-low', 'reference-missing', 'reference-high']);
const isSharedBranch = ({ place }: Branch): boolean => place?.strand === 'return' && place.to <= JOIN;
/** Is it a fault of what the circuits share: by the fault, and for the return by its place. */
const sharedShare = ({ fault, draws, probability }: FaultPosterior): number => {
  if (REFERENCE.has(fault.id)) return probability;
  const before = draws.reduce((sum, d) => sum + (isSharedBranch(d.hypothesis.branch) ? d.weight : 0), 0);
  return probability * before;
};
/** Two readings are little to weigh. */
const EFFORT = { runs: 1, particles: 150, moves: 2, draws: 3000 };
/** Groups and what is shared by ideal inference: each fault weighed by itself, those of the return apart for the shared part and the rest. */
function ideal(problem: Problem): { shared: number; group: string } {
  const part = (fault: Fault, of: (b: Branch) => boolean): Fault => ({
    ...fault,
    branches: (setting) => fault.branches(setting).filter(of),
  });
  const weighed = weightedFaults(problem).flatMap(({ fault, weight }, i) => {
    const parts = fault.id.startsWith('return')
      ? [part(fault, isSharedBranch), part(fault, (b) => !isSharedBranch(b))]
      : [fault];
    return parts.map((one, k) => ({
      fault,
      shared: REFERENCE.has(fault.id) || (parts.length > 1 && k === 0),
      log: Math.log(weight) + temperedEvidence(problem, one, EFFORT, i + 1).logEvidence,
    }));
  });
  const total = logSumExp(weighed.map((w) => w.log));
  const sum = (of: (w: (typeof weighed)[number]) => boolean): number =>
    weighed.filter(of).reduce((all, w) => all + Math.exp(w.log - total), 0);
  const [group] = FAULT_GROUPS.map((g) => ({ g, p: sum((w) => w.fault.group === g) })).sort((a, b) => b.p - a.p);
  return { shared: sum((w) => w.shared), group: group.g };
}
const onFirst = { engine: 0, ideal: 0, engineShared: 0, idealShared: 0, sharedCases: 0, engineFound: 0, idealFound: 0 };
const score = { alone: 0, neighbour: 0, groupAlone: 0, groupNeighbour: 0 };
/** Of the machines whose fault is shared: told so by the display alone, and with the neighbour's. */
const found = { alone: 0, neighbour: 0 };
let [cases, shared] = [0, 0];
for (let seed = 1; cases < CASES; seed++) {
  const entry = pick(circuits, uniform);
  const circuit = { ...catalogueCircuit(entry.id), shares: 'both' as const, connectors: 2 };
  const one = simulateCase(seed, circuit);
  if (one.group === 'healthy') continue;
  const airC = Math.round(2 + 28 * uniform());
  const readings = [
    { id: 'a', measurement: 'displayed', conditions: {} },
    { id: 'b', measurement: 'neighbour-displayed', conditions: { airC, ownK: 1.5 } },
  ].map((r) => ({
    ...r,
    state: 'steady' as const,
    value: one.take({ measurement: measurementById(r.measurement), conditions: r.conditions, state: 'steady' }),
  }));
  // The draw of the case puts a fault of the return somewhere by weight: at an element before the join or beyond it.
  const isShared = REFERENCE.has(one.fault) || (one.fault.startsWith('return') && one.element! < JOIN);
  cases++;
  if (isShared) shared++;
  const told = (count: number): { shared: number; group: string } => {
    // Where they join is part of the question from the start, whatever was read.
    const { faults } = posteriorOf({ ...one.problem, readings: readings.slice(0, count) });
    return { shared: faults.reduce((sum, f) => sum + sharedShare(f), 0), group: groupProbabilities(faults)[0].group };
  };
  const [alone, both] = [told(1), told(2)];
  if (alone.shared > 0.5 === isShared) score.alone++;
  if (both.shared > 0.5 === isShared) score.neighbour++;
  if (isShared && alone.shared > 0.5) found.alone++;
  if (isShared && both.shared > 0.5) found.neighbour++;
  if (cases <= IDEAL) {
    const best = ideal({ ...one.problem, readings });
    onFirst.engine += Number(both.group === one.group);
    onFirst.ideal += Number(best.group === one.group);
    onFirst.engineShared += Number(both.shared > 0.5 === isShared);
    onFirst.idealShared += Number(best.shared > 0.5 === isShared);
    onFirst.sharedCases += Number(isShared);
    onFirst.engineFound += Number(isShared && both.shared > 0.5);
    onFirst.idealFound += Number(isShared && best.shared > 0.5);
  }
  if (alone.group === one.group) score.groupAlone++;
  if (both.group === one.group) score.groupNeighbour++;
}
const percent = (n: number): string => `${((100 * n) / cases).toFixed(1)} %`;
console.log(`${cases} machines, ${shared} with a fault of what they share`);
console.log(
  `shared or own: after the display ${percent(score.alone)}, after one neighbour's too ${percent(score.neighbour)} (bar 90 %)`,
);
console.log(
  `right group: after the display ${percent(score.groupAlone)}, after one neighbour's too ${percent(score.groupNeighbour)}`,
);
console.log(`of the shared ones found: ${found.alone} by the display alone, ${found.neighbour} with the neighbour's`);
console.log(`the first ${Math.min(IDEAL, cases)}, engine and ideal inference: ${JSON.stringify(onFirst)}`);
