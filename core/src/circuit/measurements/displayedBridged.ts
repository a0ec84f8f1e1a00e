import { CAUTION, type Measurement } from './measurement.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';

export const displayedBridged: Measurement = {
  id: 'displayed-bridged',
  name: 'Displayed value, jumpered',
  title: 'What the module displays with the plug jumpered',
  quantity: 'celsius',
  minutes: 3,
  repeatMinutes: 2,
  setup: 'bridged',
  station: 'bypass',
  risky: true,
  tools: ['live-data', 'jumper'],
  needs: [],
  layouts: LAYOUTS,
  probes: null,
  mark: { place: 'display', label: 'jumpered' },
  steps: [
    'Key on. Sensor unplugged.',
    'Jumper the two cavities of the plug with a fused jumper.',
    'Read the live value: it must go to the shorted end of the scale.',
  ],
  caution: CAUTION.pin,
  predict: (solved) => solved.displayedC('bridge'),
};
