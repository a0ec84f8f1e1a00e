import { type Measurement } from './measurement.ts';

export const supplyToReturn: Measurement = {
  id: 'supply-to-return',
  name: 'Battery to return, unplugged',
  title: 'Battery positive to return, unplugged',
  quantity: 'volts',
  minutes: 1,
  repeatMinutes: 1,
  setup: 'unplugged',
  station: 'supply',
  tools: ['meter'],
  needs: [],
  layouts: ['pull-up'],
  probes: { red: 'supply', black: 'return' },
  mark: { place: 'return', label: 'from battery +' },
  steps: [
    'Key on, engine off. Sensor unplugged.',
    'Meter on volts DC, 20 V range or above the supply.',
    'Red lead: battery positive. Black lead: return cavity. About battery voltage: the ground is there.',
  ],
  caution: 'Insulate the red lead: battery positive touching metal makes an arc.',
  predict: (solved) => solved.volts('open', 'supply', 'return'),
};
