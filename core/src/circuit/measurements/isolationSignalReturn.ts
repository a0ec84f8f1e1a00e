import { shownOhm } from '../network/solvedCircuit.ts';
import { TWO_WIRE } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const isolationSignalReturn: Measurement = {
  id: 'isolation-return',
  name: 'Insulation, signal to return',
  title: 'Signal wire to return wire, both ends free',
  quantity: 'ohms',
  minutes: 8,
  repeatMinutes: 3,
  setup: 'both-ends-free',
  station: 'wires',
  tools: ['meter', 'module-access'],
  needs: [],
  layouts: TWO_WIRE,
  probes: { red: 'signal', black: 'return' },
  mark: null,
  steps: [
    'Key off. Sensor and module unplugged.',
    'Meter on its highest ohms range.',
    'Signal cavity to return cavity: OL.',
  ],
  caution: null,
  predict: ({ state }) => shownOhm(state, 1 / state.leakReturnS),
};
