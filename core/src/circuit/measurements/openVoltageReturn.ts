import { TWO_WIRE } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const openVoltageReturn: Measurement = {
  id: 'open-voltage-return',
  name: 'Plug voltage to return, unplugged',
  title: 'Signal to return, unplugged',
  quantity: 'volts',
  minutes: 1,
  repeatMinutes: 1,
  setup: 'unplugged',
  station: 'supply',
  atLivePin: true,
  tools: ['meter'],
  needs: [],
  layouts: TWO_WIRE,
  probes: { red: 'signal', black: 'return' },
  mark: { place: 'across', label: 'across, unplugged' },
  steps: [
    'Key on, engine off. Sensor unplugged.',
    'Meter on volts DC, 20 V range.',
    'Red lead: signal cavity. Black lead: return cavity.',
  ],
  caution: null,
  predict: (solved) => solved.volts('open', 'signal', 'return'),
};
