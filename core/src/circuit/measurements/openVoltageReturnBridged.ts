import { CAUTION, type Measurement } from './measurement.ts';

export const openVoltageReturnBridged: Measurement = {
  id: 'open-voltage-return-bridged',
  name: 'Plug voltage, return grounded',
  title: 'Signal to return, unplugged, return jumpered to a known ground',
  quantity: 'volts',
  minutes: 3,
  repeatMinutes: 2,
  setup: 'unplugged',
  station: 'supply',
  risky: true,
  atLivePin: true,
  tools: ['meter', 'jumper'],
  needs: [],
  layouts: ['pull-up'],
  probes: { red: 'signal', black: 'return' },
  mark: null,
  steps: [
    'Key on, engine off. Sensor unplugged.',
    'Jumper the return cavity to battery negative through a test lamp.',
    'Red lead: signal cavity. Black lead: return cavity. No change: check the signal and the reference side.',
  ],
  caution: CAUTION.pin,
  predict: (solved) => solved.volts('open', 'signal', 'return', true),
};
