import type { CircuitState } from '../network/sensorCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { evenSized, type Fault } from './fault.ts';

const offset = (c: CircuitState, kelvin: number): void => {
  c.displayOffsetC = kelvin;
};

export const inputConversion: Fault = {
  id: 'input-conversion',
  group: 'module',
  name: 'module shows a wrong value for a right voltage',
  weight: 0.02,
  unit: 'kelvin',
  layouts: LAYOUTS,
  part: 'module',
  repair:
    'Check whether the module shows a substitute value because of another fault. If not, repair or replace the module.',
  branches: () => [
    evenSized(-60, -8, offset, 0.4),
    evenSized(8, 60, offset, 0.4),
    evenSized(-40, 140, (c, shownC) => (c.displayStuckC = shownC), 0.2),
  ],
};
