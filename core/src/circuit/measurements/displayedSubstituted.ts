import { CAUTION, type Measurement } from './measurement.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';

export const displayedSubstituted: Measurement = {
  id: 'displayed-substituted',
  name: 'Displayed value, substitute resistor',
  title: 'What the module displays with a resistor in place of the sensor',
  quantity: 'celsius',
  minutes: 3,
  repeatMinutes: 1,
  setup: 'substituted',
  station: 'bypass',
  tools: ['live-data', 'resistors'],
  needs: ['substituteOhm'],
  layouts: LAYOUTS,
  probes: null,
  mark: { place: 'display', label: 'with resistor' },
  steps: [
    'Sensor unplugged. Put the resistor across the two cavities of the plug.',
    'Key on. Read the live value once it has settled.',
  ],
  caution: CAUTION.substitute,
  predict: (solved, { substituteOhm = NaN }) => solved.displayedC(substituteOhm),
};
