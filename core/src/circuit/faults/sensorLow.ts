import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, logSized } from './fault.ts';

export const sensorLow: Fault = {
  id: 'sensor-low',
  group: 'sensor',
  name: 'sensor drifted low',
  weight: 0.09,
  unit: 'factor',
  layouts: LAYOUTS,
  part: 'sensor',
  repair: 'Replace the sensor; low drift is mostly moisture, so find where it came in.',
  branches: () => [logSized(fixed(0.01), fixed(0.88), (c, factor) => (c.sensorFactor *= factor))],
};
