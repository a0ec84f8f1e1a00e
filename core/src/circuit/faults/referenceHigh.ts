import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { evenSized, type Fault } from './fault.ts';

export const referenceHigh: Fault = {
  id: 'reference-high',
  group: 'reference',
  name: 'reference high',
  weight: 0.01,
  unit: 'factor',
  layouts: LAYOUTS,
  part: 'reference',
  repair: 'Look for supply on the reference at a neighbour; a regulator that fails high is a module fault.',
  branches: () => [evenSized(1.07, 1.5, (c, factor) => (c.referenceV *= factor))],
};
