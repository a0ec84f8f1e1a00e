import { type Fault, leakInEachStretch } from './fault.ts';

export const signalToReturn: Fault = {
  id: 'signal-to-return',
  group: 'wiring',
  name: 'signal leaks to the return (wet connector)',
  weight: 0.05,
  unit: 'ohm',
  layouts: ['pull-up', 'pull-down'],
  part: 'plug',
  repair: 'Dry and clean the connector, renew the seal, find where the water comes from.',
  branches: (setting) => leakInEachStretch(setting, 0.1, 10, (c, conductance) => (c.leakReturnS = conductance)),
};
