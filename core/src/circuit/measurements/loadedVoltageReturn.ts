import { CAUTION, type Measurement } from './measurement.ts';
import { TWO_WIRE } from '../../base/units/vocabulary.ts';

export const loadedVoltageReturn: Measurement = {
  id: 'loaded-voltage-return',
  name: 'Sensor voltage, plugged in',
  title: 'Signal to return, plugged in',
  quantity: 'volts',
  minutes: 3,
  repeatMinutes: 1,
  setup: 'plugged',
  station: 'loaded',
  atLivePin: true,
  tools: ['meter'],
  needs: [],
  layouts: TWO_WIRE,
  probes: { red: 'signal', black: 'return' },
  mark: { place: 'across', label: 'across, plugged in' },
  steps: [
    'Key on, engine off. Plug seated.',
    'Meter on volts DC, 20 V range.',
    'Red lead: back-probe the signal wire. Black lead: back-probe the return wire.',
  ],
  caution: CAUTION.fan,
  predict: (solved) => solved.volts('sensor', 'signal', 'return'),
};
