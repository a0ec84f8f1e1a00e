import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, leakInEachStretch } from './fault.ts';

export const signalToGround: Fault = {
  id: 'signal-to-ground',
  group: 'wiring',
  name: 'signal leaks to ground',
  weight: 0.06,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'signal',
  repair: 'Find where the harness touches metal or water; repair the insulation and secure the run.',
  branches: (setting) => leakInEachStretch(setting, 0.1, 10, (c, conductance) => (c.leakGroundS = conductance)),
};
