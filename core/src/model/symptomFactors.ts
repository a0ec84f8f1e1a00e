import { SolvedCircuit } from '../circuit/solvedCircuit.ts';
import { nominalState, type SensorCircuit } from '../circuit/sensorCircuit.ts';
import { FAULTS } from '../faults/list.ts';
import { settingOfCircuit } from './hypotheses.ts';

/** How likely the complaint is under a fault that moves the display its way, leaves it alone, or moves it the other way. Common practice, no source. */
const LIKELIHOOD = { same: 0.6, alike: 0.2, other: 0.1 } as const;
/** Less than this nobody would complain of, K. */
const NOTICEABLE_K = 4;
const SIZES = [0.1, 0.3, 0.5, 0.7, 0.9];

/**
 * Factors on the weights of the faults from a complaint that the value reads too cold or too hot, worked out on the circuit itself: the share
 * of a fault's sizes that move the displayed value that way. "Not moved" has factor 1, since the cause may then be no electrical one.
 * @param temperatureC where the sensor is, °C; the middle of the curve when not known
 */
export function symptomFactors(
  circuit: SensorCircuit,
  reads: 'cold' | 'hot',
  temperatureC: number,
): Record<string, number> {
  const solved = new SolvedCircuit();
  const pullUp = circuit.pullUpOhm ?? circuit.curve.resistanceOhm(25);
  const shownWith = (change: (c: ReturnType<typeof nominalState>) => void): number => {
    const state = nominalState(circuit, temperatureC, pullUp);
    change(state);
    return solved.set(state).displayedC('sensor');
  };
  const healthy = shownWith(() => undefined);
  const wanted = reads === 'cold' ? -1 : 1;
  const factors: Record<string, number> = {};
  for (const fault of FAULTS.filter((f) => f.layouts.includes(circuit.layout))) {
    let likelihood = 0;
    for (const branch of fault.branches(settingOfCircuit(circuit))) {
      const positions = branch.sized ? SIZES : [0.5];
      for (const position of positions) {
        const shift = shownWith((c) => branch.apply(c, position)) - healthy;
        const kind = Math.abs(shift) < NOTICEABLE_K ? 'alike' : Math.sign(shift) === wanted ? 'same' : 'other';
        likelihood += (branch.share / positions.length) * LIKELIHOOD[kind];
      }
    }
    factors[fault.id] = likelihood / LIKELIHOOD.alike;
  }
  return factors;
}
