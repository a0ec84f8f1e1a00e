import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, ofReference } from './fault.ts';

export const referenceMissing: Fault = {
  id: 'reference-missing',
  group: 'reference',
  name: 'reference missing',
  weight: 0.03,
  unit: 'factor',
  layouts: LAYOUTS,
  part: 'reference',
  repair: 'Check the supply and ground of the module, then the neighbours on this reference for a short.',
  branches: (setting) =>
    ofReference(
      setting,
      0,
      0.04,
      0.5,
      'No neighbour shorts it: check supply and ground of the module, its fuse first.',
    ),
};
