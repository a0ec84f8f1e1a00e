import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, openInEachStretch } from './fault.ts';

export const signalOpen: Fault = {
  id: 'signal-open',
  group: 'wiring',
  name: 'signal wire open',
  weight: 0.07,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'signal',
  repair: 'Find the break by halving the run, repair the wire or terminal, route it away from what broke it.',
  branches: (setting) => openInEachStretch(setting, 'signal'),
};
