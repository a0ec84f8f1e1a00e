import type { CircuitState } from '../network/sensorCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { evenSized, type Fault } from './fault.ts';

const put = (c: CircuitState, kelvin: number): void => {
  c.sensorOffsetC = kelvin;
};

export const placement: Fault = {
  id: 'placement',
  group: 'installation',
  name: 'sensor sits at another temperature',
  weight: 0.08,
  unit: 'kelvin',
  layouts: LAYOUTS,
  part: 'place',
  repair: 'Look where the tip sits: trapped air, sun, a vent, no contact. Compare the thermometer at the very tip.',
  branches: () => [evenSized(-40, -6, put, 0.5), evenSized(6, 40, put, 0.5)],
};
