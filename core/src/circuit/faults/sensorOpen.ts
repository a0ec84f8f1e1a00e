import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, logSized } from './fault.ts';

export const sensorOpen: Fault = {
  id: 'sensor-open',
  group: 'sensor',
  name: 'sensor open',
  weight: 0.12,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'sensor',
  repair: 'Replace the sensor by part number; check pins and seal of the plug before it goes back.',
  branches: () => [logSized(fixed(2e6), fixed(1e9), (c, ohm) => (c.sensorFixedOhm = ohm))],
};
