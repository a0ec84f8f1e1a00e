import { shownOhm } from '../network/solvedCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const isolationSignalGround: Measurement = {
  id: 'isolation-ground',
  name: 'Insulation, signal to ground',
  title: 'Signal wire to chassis, both ends free',
  quantity: 'ohms',
  minutes: 8,
  repeatMinutes: 3,
  setup: 'both-ends-free',
  station: 'wires',
  tools: ['meter', 'module-access'],
  needs: [],
  layouts: LAYOUTS,
  probes: { red: 'signal', black: 'chassis' },
  mark: null,
  steps: [
    'Key off. Sensor and module unplugged.',
    'Meter on its highest ohms range.',
    'Signal cavity to bare chassis metal: OL.',
  ],
  caution: null,
  predict: ({ state }) => shownOhm(state, 1 / state.leakGroundS),
};
