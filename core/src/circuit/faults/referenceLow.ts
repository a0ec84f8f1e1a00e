import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, ofReference } from './fault.ts';

export const referenceLow: Fault = {
  id: 'reference-low',
  group: 'reference',
  name: 'reference low',
  weight: 0.04,
  unit: 'factor',
  layouts: LAYOUTS,
  part: 'reference',
  repair: 'Unplug the neighbours on this reference one by one until it comes back; only then doubt the module.',
  // Common practice, no source: more often a neighbour than the module.
  branches: (setting) =>
    ofReference(
      setting,
      0.2,
      0.93,
      0.7,
      'No neighbour drags it down: check supply and ground of the module, then have the module tested.',
    ),
};
