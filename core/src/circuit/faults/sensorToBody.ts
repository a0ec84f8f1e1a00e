import { fixed, logSized, timesPullUp, type Fault } from './fault.ts';

export const sensorToBody: Fault = {
  id: 'sensor-to-body',
  group: 'sensor',
  name: 'sensor leaks to its body',
  weight: 0.01,
  unit: 'ohm',
  layouts: ['pull-up', 'pull-down'],
  part: 'sensor',
  repair: 'Replace the sensor: its element touches the body, or moisture has got in.',
  branches: () => [logSized(fixed(0.1), timesPullUp(10), (c, ohm) => (c.leakBodyS = 1 / ohm))],
};
