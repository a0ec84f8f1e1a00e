import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, logSized } from './fault.ts';

export const sensorHigh: Fault = {
  id: 'sensor-high',
  group: 'sensor',
  name: 'sensor drifted high',
  weight: 0.11,
  unit: 'factor',
  layouts: LAYOUTS,
  part: 'sensor',
  repair: 'Replace the sensor. Check it at two temperatures first if the part is expensive.',
  branches: () => [logSized(fixed(1.12), fixed(30), (c, factor) => (c.sensorFactor *= factor))],
};
