import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const displayedPluggedIn: Measurement = {
  id: 'displayed',
  name: 'Displayed value',
  title: 'What the module displays, sensor plugged in',
  quantity: 'celsius',
  minutes: 1,
  repeatMinutes: 1,
  setup: 'scan',
  station: 'live',
  tools: ['live-data'],
  needs: [],
  layouts: LAYOUTS,
  probes: null,
  mark: { place: 'display', label: 'shows' },
  steps: ['Key on. Sensor plugged in.', 'Read the live value from the display or scan tool.'],
  caution: null,
  predict: (solved) => solved.displayedC('sensor'),
};
