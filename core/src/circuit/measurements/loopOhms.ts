import { parallelOhm, shownOhm } from '../network/solvedCircuit.ts';
import { TWO_WIRE } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const loopOhms: Measurement = {
  id: 'loop-ohms',
  name: 'Loop resistance, far end joined',
  title: 'Both wires in series, twisted together at the sensor',
  quantity: 'ohms',
  minutes: 12,
  repeatMinutes: 5,
  setup: 'both-ends-free',
  station: 'wires',
  tools: ['meter', 'module-access'],
  needs: [],
  layouts: TWO_WIRE,
  probes: { red: 'modulePin', black: 'moduleGround' },
  mark: null,
  steps: [
    'Power off. Sensor off, its two wires twisted together.',
    'Meter on ohms, lowest range, at the panel end with the module unplugged.',
    'Twice the run of wire: compare with length and size.',
  ],
  caution: 'Undo the twist afterwards.',
  predict: ({ state: s }) =>
    shownOhm(s, s.signalOhm + s.signalFaultOhm + s.returnOhm + s.returnFaultOhm + parallelOhm(0.02, s.leakReturnS)),
};
