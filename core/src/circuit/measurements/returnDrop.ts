import { CAUTION, type Measurement } from './measurement.ts';
import { TWO_WIRE } from '../../base/units/vocabulary.ts';

export const returnDrop: Measurement = {
  id: 'return-drop',
  name: 'Return voltage drop',
  title: 'Return to battery negative, plugged in',
  quantity: 'volts',
  minutes: 1,
  repeatMinutes: 1,
  setup: 'plugged',
  station: 'loaded',
  tools: ['meter'],
  needs: [],
  layouts: TWO_WIRE,
  probes: { red: 'return', black: 'chassis' },
  mark: { place: 'return', label: 'drop, plugged in' },
  steps: [
    'Key on, engine off. Plug seated.',
    'Meter on volts DC, 2 V or 20 V range.',
    'Red lead: back-probe the return wire. Black lead: battery negative.',
  ],
  caution: CAUTION.fan,
  predict: (solved) => solved.volts('sensor', 'return', 'chassis'),
};
