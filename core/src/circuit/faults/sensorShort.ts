import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, logSized } from './fault.ts';

export const sensorShort: Fault = {
  id: 'sensor-short',
  group: 'sensor',
  name: 'sensor shorted',
  weight: 0.05,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'sensor',
  repair: 'Replace the sensor by part number; look for liquid in the plug: it would short the new one, too.',
  branches: () => [logSized(fixed(0.1), fixed(20), (c, ohm) => (c.sensorFixedOhm = ohm))],
};
