import { nominalState, type SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import { type Fault, logPositionDensity } from '../../circuit/faults/fault.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { settingOfCircuit } from './hypotheses.ts';

const SIZES = [0.05, 0.15, 0.25, 0.35, 0.45, 0.55, 0.65, 0.75, 0.85, 0.95];

/**
 * The mean of a figure over all sizes of each fault, taken on the circuit itself with every other value nominal, by id of the fault.
 * @param temperatureC where the sensor is, °C
 * @param figure of a circuit with one fault in it, and of the same circuit without
 */
export function overSizes(
  circuit: SensorCircuit,
  temperatureC: number,
  figure: (solved: SolvedCircuit, sound: SolvedCircuit, fault: Fault) => number,
): Record<string, number> {
  const pullUp = circuit.pullUpOhm ?? circuit.curve.resistanceOhm(25);
  const sound = new SolvedCircuit().set(nominalState(circuit, temperatureC, pullUp));
  const solved = new SolvedCircuit();
  const means: Record<string, number> = {};
  for (const fault of FAULTS.filter((f) => f.layouts.includes(circuit.layout))) {
    let mean = 0;
    for (const branch of fault.branches(settingOfCircuit(circuit))) {
      const positions = branch.sized ? SIZES : [0.5];
      for (const position of positions) {
        const state = nominalState(circuit, temperatureC, pullUp);
        branch.apply(state, position);
        const share = (branch.share / positions.length) * Math.exp(logPositionDensity(branch, position));
        mean += share * figure(solved.set(state), sound, fault);
      }
    }
    means[fault.id] = mean;
  }
  return means;
}
