import type { MachineState } from '../../base/units/vocabulary.ts';
import type { SizeEstimate } from '../../inference/verdict/assessment.ts';
import type { PlugName, TrainingCase } from './trainingCase.ts';
import { circuitIn } from './trueMachine.ts';

/** What was wrong with a machine, without words: they are written where they are read. */
export interface TrueState {
  faults: { name: string; size: { value: number; unit: SizeEstimate['unit'] } | null; onlyIn: MachineState | null }[];
  /** The plug of the sensor, where there are two. */
  plug: PlugName | null;
}

/** What was wrong with the machine of a case. */
export const trueStateOf = ({ machine, plug, other }: TrainingCase): TrueState => ({
  faults: machine.faults.map(({ fault, branch, position, onlyIn }) => {
    const value = branch.apply(circuitIn({ ...machine, faults: [] }, 'steady'), position);
    return { name: fault.name, size: branch.sized && fault.unit ? { value, unit: fault.unit } : null, onlyIn };
  }),
  plug: other ? plug : null,
});
