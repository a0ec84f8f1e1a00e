import { parallelOhm, shownOhm } from '../network/solvedCircuit.ts';
import { TWO_WIRE } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const panelOhms: Measurement = {
  id: 'panel-ohms',
  name: 'Sensor resistance at the module',
  title: 'Sensor through its cable, from the module end',
  quantity: 'ohms',
  minutes: 4,
  repeatMinutes: 2,
  setup: 'key-off',
  station: 'wires',
  risky: true,
  tools: ['meter', 'module-access'],
  needs: [],
  layouts: TWO_WIRE,
  probes: { red: 'modulePin', black: 'moduleGround' },
  mark: null,
  steps: [
    'Power off. Module unplugged, sensor plugged in.',
    'Meter on ohms, range above the expected value.',
    'Leads on the signal and return pins of the module plug.',
  ],
  caution: 'Boards may carry mains beside the low-voltage plug: isolate first.',
  predict: ({ state: s, sensorOhm }) =>
    shownOhm(
      s,
      s.signalOhm + s.signalFaultOhm + s.returnOhm + s.returnFaultOhm + parallelOhm(sensorOhm, s.leakReturnS),
    ),
};
