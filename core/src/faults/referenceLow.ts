import { LAYOUTS } from '../units/vocabulary.ts';
import { evenSized, type Fault } from './fault.ts';

export const referenceLow: Fault = {
  id: 'reference-low',
  group: 'reference',
  name: 'reference low',
  weight: 0.04,
  unit: 'factor',
  layouts: LAYOUTS,
  part: 'reference',
  repair: 'Unplug the neighbours on this reference one by one until it comes back; only then doubt the module.',
  branches: () => [evenSized(0.2, 0.93, (c, factor) => (c.referenceV *= factor))],
};
