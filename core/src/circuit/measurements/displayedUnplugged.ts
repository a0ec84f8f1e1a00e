import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const displayedUnplugged: Measurement = {
  id: 'displayed-unplugged',
  name: 'Displayed value, unplugged',
  title: 'What the module displays with the sensor unplugged',
  quantity: 'celsius',
  minutes: 2,
  repeatMinutes: 1,
  setup: 'unplugged',
  station: 'bypass',
  tools: ['live-data'],
  needs: [],
  layouts: LAYOUTS,
  probes: null,
  mark: { place: 'display', label: 'unplugged' },
  steps: ['Key on. Unplug the sensor.', 'Read the live value: it must go to the open end of the scale.'],
  caution: null,
  predict: (solved) => solved.displayedC('open'),
};
