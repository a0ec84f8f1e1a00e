import { CAUTION, type Measurement } from './measurement.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';

export const loadedVoltageChassis: Measurement = {
  id: 'loaded-voltage',
  name: 'Signal voltage, plugged in',
  title: 'Signal to battery negative, plugged in',
  quantity: 'volts',
  minutes: 3,
  repeatMinutes: 1,
  setup: 'plugged',
  station: 'loaded',
  atLivePin: true,
  tools: ['meter'],
  needs: [],
  layouts: LAYOUTS,
  probes: { red: 'signal', black: 'chassis' },
  mark: { place: 'signal', label: 'plugged in' },
  steps: [
    'Key on, engine off. Plug seated.',
    'Meter on volts DC, 20 V range.',
    'Red lead: back-probe the signal wire. Black lead: battery negative.',
  ],
  caution: CAUTION.fan,
  predict: (solved) => solved.volts('sensor', 'signal', 'chassis'),
};
