import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, fixed, inEachStretch, timesPullUp } from './fault.ts';

export const signalResistive: Fault = {
  id: 'signal-resistive',
  group: 'wiring',
  name: 'resistance in the signal wire',
  weight: 0.07,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'signal',
  repair: 'Clean or replace the bad joint; tug each terminal; note what corroded it.',
  branches: (setting) => inEachStretch(setting, 'signal', timesPullUp(0.02), fixed(1e6)),
};
