import { LAYOUTS } from '../units/vocabulary.ts';
import { type Fault, fixed, logSized, timesPullUp } from './fault.ts';

export const signalToGround: Fault = {
  id: 'signal-to-ground',
  group: 'wiring',
  name: 'signal leaks to ground',
  weight: 0.06,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'signal',
  repair: 'Find where the loom touches metal or water; repair the insulation and secure the run.',
  branches: () => [logSized(fixed(0.1), timesPullUp(10), (c, ohm) => (c.leakGroundS = 1 / ohm))],
};
