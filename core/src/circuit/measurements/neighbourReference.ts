import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const neighbourReference: Measurement = {
  id: 'neighbour-reference',
  name: 'Reference voltage at a neighbour',
  title: 'Reference at a neighbour on the same supply, to battery negative',
  quantity: 'volts',
  minutes: 5,
  repeatMinutes: 3,
  setup: 'scan',
  station: 'supply',
  atNeighbour: true,
  atLivePin: true,
  tools: ['meter'],
  needs: [],
  layouts: LAYOUTS,
  probes: { red: 'reference', black: 'chassis' },
  mark: null,
  steps: [
    'Key on, engine off. Find in the diagram a sensor fed by the same reference.',
    'Meter on volts DC, 20 V range.',
    'Red lead: the reference wire of that neighbour. Black lead: battery negative.',
  ],
  caution: null,
  predict: (solved) => solved.volts('sensor', 'reference', 'chassis'),
};
