import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { evenSized, type Fault } from './fault.ts';

export const groundOffset: Fault = {
  id: 'ground-offset',
  group: 'wiring',
  name: 'module ground lifted',
  weight: 0.03,
  unit: 'volt',
  layouts: LAYOUTS,
  part: 'ground',
  repair: 'Clean and tighten the ground point of the module; measure its drop with the loads on.',
  branches: () => [evenSized(0.15, 2, (c, volt) => (c.groundOffsetV += volt))],
};
