import { shownOhm } from '../network/solvedCircuit.ts';
import { TWO_WIRE } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const returnWireOhms: Measurement = {
  id: 'return-wire-ohms',
  name: 'Return wire resistance',
  title: 'Return wire end to end',
  quantity: 'ohms',
  minutes: 12,
  repeatMinutes: 4,
  setup: 'both-ends-free',
  station: 'wires',
  tools: ['meter', 'module-access'],
  needs: [],
  layouts: TWO_WIRE,
  probes: { red: 'moduleGround', black: 'return' },
  mark: { place: 'returnWire', label: 'end to end' },
  steps: [
    'Key off. Sensor and module unplugged.',
    'Meter on ohms, lowest range. Touch the leads together first and subtract.',
    'One lead at the module end, one at the sensor plug. Wiggle the harness.',
  ],
  caution: null,
  predict: ({ state }) => shownOhm(state, state.returnOhm + state.returnFaultOhm),
};
