import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, inEachStretch, noticedInWire } from './fault.ts';

export const returnResistive: Fault = {
  id: 'return-resistive',
  group: 'wiring',
  name: 'resistance in the return',
  weight: 0.05,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'return',
  repair: 'Clean or replace the bad joint in the return; check the ground point it ends on.',
  branches: (setting) => inEachStretch(setting, 'return', noticedInWire(setting), fixed(1e6), 'low'),
};
