import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, inEachStretch, timesPullUp } from './fault.ts';

export const returnResistive: Fault = {
  id: 'return-resistive',
  group: 'wiring',
  name: 'resistance in the return',
  weight: 0.05,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'return',
  repair: 'Clean or replace the bad joint in the return; check the ground point it ends on.',
  branches: (setting) => inEachStretch(setting, 'return', timesPullUp(0.02), fixed(1e6)),
};
