import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const deadWireVoltage: Measurement = {
  id: 'dead-wire-voltage',
  name: 'Signal wire voltage, both ends free',
  title: 'Signal wire to chassis, both ends free, battery connected',
  quantity: 'volts',
  minutes: 8,
  repeatMinutes: 3,
  setup: 'both-ends-free',
  station: 'wires',
  tools: ['meter', 'module-access'],
  needs: [],
  layouts: LAYOUTS,
  probes: { red: 'signal', black: 'chassis' },
  mark: null,
  steps: [
    'Sensor and module unplugged. Key on, so that neighbours are live.',
    'Meter on volts DC, 20 V range.',
    'Signal cavity to chassis: a sound wire shows 0 V.',
  ],
  caution: null,
  predict: ({ state }) => {
    const drain = state.leakGroundS + 1 / state.meterInputOhm;
    return (state.supplyV * state.leakSupplyS) / (state.leakSupplyS + drain);
  },
};
