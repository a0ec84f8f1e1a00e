import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, openInEachStretch } from './fault.ts';

export const returnOpen: Fault = {
  id: 'return-open',
  group: 'wiring',
  name: 'return wire open',
  weight: 0.05,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'return',
  repair: 'Find the break by halving the run; a shared return explains several codes at once.',
  branches: (setting) => openInEachStretch(setting, 'return'),
};
