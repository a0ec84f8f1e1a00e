import { ALL_LAYOUTS, type Fault, fixed, inEachSegment } from './fault.ts';

export const returnOpen: Fault = {
  id: 'return-open',
  group: 'wiring',
  name: 'return wire open',
  weight: 0.05,
  unit: 'ohm',
  layouts: ALL_LAYOUTS,
  part: 'return',
  repair: 'Find the break by halving the run; a shared return explains several codes at once.',
  branches: (setting) => inEachSegment(setting, 'return', fixed(2e6), fixed(1e9)),
};
