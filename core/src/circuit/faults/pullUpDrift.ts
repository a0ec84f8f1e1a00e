import type { CircuitState } from '../network/sensorCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, logSized } from './fault.ts';

const put = (c: CircuitState, factor: number): void => {
  c.pullUpOhm *= factor;
  if (c.hotPullUpOhm !== null) c.hotPullUpOhm *= factor;
};

export const pullUpDrift: Fault = {
  id: 'pull-up-drift',
  group: 'module',
  name: 'pull-up in the module changed',
  weight: 0.02,
  unit: 'factor',
  layouts: LAYOUTS,
  part: 'pullUp',
  repair: 'Check it with a known resistor in place of the sensor. If that confirms it, repair or replace the module.',
  branches: () => [logSized(fixed(0.3), fixed(0.85), put, 0.4), logSized(fixed(1.18), fixed(5), put, 0.6)],
};
