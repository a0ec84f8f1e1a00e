import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const referenceAlone: Measurement = {
  id: 'reference-alone',
  name: 'Reference voltage, neighbours unplugged',
  title: 'Reference with the neighbours on it unplugged, to battery negative',
  quantity: 'volts',
  minutes: 8,
  repeatMinutes: 5,
  setup: 'scan',
  station: 'supply',
  sharing: ['reference', 'both'],
  atNeighbour: true,
  atLivePin: true,
  tools: ['meter'],
  needs: [],
  layouts: LAYOUTS,
  probes: { red: 'reference', black: 'chassis' },
  mark: null,
  steps: [
    'Find in the diagram every sensor fed by the same reference.',
    'Key off. Unplug them one after the other, with the key on to read and off to unplug.',
    'Meter on volts DC, 20 V range. Red lead: the reference wire. Black lead: battery negative.',
    'Write down the volts with all of them unplugged. If the voltage came back before, the one unplugged last pulls it down.',
  ],
  caution:
    'Key off to unplug and to plug. Leave airbag, high-voltage and limit circuits alone. The maker’s data comes first.',
  predict: ({ state }) => state.groundOffsetV + (Number.isNaN(state.aloneV) ? state.referenceV : state.aloneV),
};
