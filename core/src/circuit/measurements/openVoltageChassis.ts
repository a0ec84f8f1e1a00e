import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const openVoltageChassis: Measurement = {
  id: 'open-voltage',
  name: 'Signal voltage, unplugged',
  title: 'Signal to battery negative, unplugged',
  quantity: 'volts',
  minutes: 2,
  repeatMinutes: 1,
  setup: 'unplugged',
  station: 'supply',
  atLivePin: true,
  tools: ['meter'],
  needs: [],
  layouts: LAYOUTS,
  probes: { red: 'signal', black: 'chassis' },
  mark: { place: 'signal', label: 'unplugged' },
  steps: [
    'Key on, engine off. Sensor unplugged.',
    'Meter on volts DC, 20 V range.',
    'Red lead: signal cavity of the plug. Black lead: battery negative.',
  ],
  caution: 'Probe from behind or with a fitting pin: a spread terminal is a new fault.',
  predict: (solved) => solved.volts('open', 'signal', 'chassis'),
};
