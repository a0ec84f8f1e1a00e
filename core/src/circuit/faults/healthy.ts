import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault } from './fault.ts';

export const healthy: Fault = {
  id: 'healthy',
  group: 'healthy',
  name: 'nothing wrong now',
  weight: 0.1,
  unit: null,
  layouts: LAYOUTS,
  part: 'none',
  repair: 'Nothing to replace. Clear old codes, repeat hot and while wiggling the harness before handing over.',
  branches: () => [{ share: 1, sized: false, apply: () => NaN }],
};
