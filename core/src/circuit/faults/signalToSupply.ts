import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Fault, leakInEachStretch } from './fault.ts';

export const signalToSupply: Fault = {
  id: 'signal-to-supply',
  group: 'wiring',
  name: 'signal leaks to the supply',
  weight: 0.04,
  unit: 'ohm',
  layouts: LAYOUTS,
  part: 'signal',
  repair: 'Find the neighbour wire that carries supply; repair before plugging the module in again.',
  branches: (setting) => leakInEachStretch(setting, 0.1, 20, (c, conductance) => (c.leakSupplyS = conductance)),
};
