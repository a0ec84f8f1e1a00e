import { CAUTION, type Measurement } from './measurement.ts';
import { LAYOUTS } from '../units/vocabulary.ts';

export const connectorVoltage: Measurement = {
  id: 'connector-voltage',
  name: 'Volts at a connector',
  title: 'A connector on the way to battery negative, plugged in',
  quantity: 'volts',
  minutes: 4,
  repeatMinutes: 2,
  setup: 'plugged',
  tools: ['meter'],
  needs: ['wire', 'position'],
  layouts: LAYOUTS,
  probes: null,
  mark: null,
  steps: [
    'Key on, engine off. Everything plugged in.',
    'Meter on volts DC, 20 V range.',
    'Red lead: back-probe the wire at the connector (counted from the module). Black lead: battery negative.',
  ],
  caution: CAUTION.fan,
  predict: (solved, { wire = 'signal', position = 1 }) => solved.connectorVolts('sensor', wire, position),
};
