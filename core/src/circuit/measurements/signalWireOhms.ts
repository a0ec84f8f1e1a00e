import { shownOhm } from '../network/solvedCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const signalWireOhms: Measurement = {
  id: 'signal-wire-ohms',
  name: 'Signal wire resistance',
  title: 'Signal wire end to end',
  quantity: 'ohms',
  minutes: 12,
  repeatMinutes: 4,
  setup: 'both-ends-free',
  station: 'wires',
  tools: ['meter', 'module-access'],
  needs: [],
  layouts: LAYOUTS,
  probes: { red: 'modulePin', black: 'signal' },
  mark: { place: 'signalWire', label: 'end to end' },
  steps: [
    'Key off. Sensor and module unplugged.',
    'Meter on ohms, lowest range. Touch the leads together first and subtract.',
    'One lead at the module end, one at the sensor plug. Wiggle the harness.',
  ],
  caution: null,
  predict: ({ state }) => shownOhm(state, state.signalOhm + state.signalFaultOhm),
};
