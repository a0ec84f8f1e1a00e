import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, inEachStretch, noticedInWire } from './fault.ts';

export const signalResistive: Fault = {
  id: 'signal-resistive',
  group: 'wiring',
  name: 'resistance in the signal wire',
  weight: 0.07,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'signal',
  repair: 'Clean or replace the bad joint; tug each terminal; note what corroded it.',
  branches: (setting) => inEachStretch(setting, 'signal', noticedInWire(setting), fixed(1e6), 'low'),
};
