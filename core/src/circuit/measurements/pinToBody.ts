import { shownOhm } from '../network/solvedCircuit.ts';
import { TWO_WIRE } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const pinToBody: Measurement = {
  id: 'pin-to-body',
  name: 'Sensor pin to body',
  title: 'Sensor pin to its metal body',
  quantity: 'ohms',
  minutes: 2,
  repeatMinutes: 1,
  setup: 'key-off',
  station: 'sensor',
  tools: ['meter'],
  needs: [],
  layouts: TWO_WIRE,
  probes: null,
  mark: null,
  steps: [
    'Key off. Sensor unplugged.',
    'Meter on its highest ohms range.',
    'One lead on a pin, the other on the bare body: OL.',
  ],
  caution: null,
  predict: (solved) => shownOhm(solved.state, 1 / solved.state.leakBodyS),
};
