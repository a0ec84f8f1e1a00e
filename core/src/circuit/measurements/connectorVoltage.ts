import { pointAt } from '../network/chain.ts';
import { CAUTION, type Measurement } from './measurement.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';

export const connectorVoltage: Measurement = {
  id: 'connector-voltage',
  name: 'Voltage at a connector',
  title: 'A connector in the harness to battery negative, plugged in',
  quantity: 'volts',
  minutes: 4,
  repeatMinutes: 2,
  setup: 'plugged',
  station: 'places',
  tools: ['meter'],
  needs: ['wire', 'position'],
  layouts: LAYOUTS,
  probes: null,
  mark: null,
  steps: [
    'Key on, engine off. Everything plugged in.',
    'Meter on volts DC, 20 V range.',
    'Red lead: back-probe the wire at the connector (counted from the module), on the side named. Black lead: battery negative.',
  ],
  caution: CAUTION.fan,
  parts: (strand, { wire = 'signal', position = 1, side }) => (strand === wire ? [pointAt(position, side)] : []),
  predict: (solved, { wire = 'signal', position = 1, side }) =>
    solved.pointVolts('sensor', wire, pointAt(position, side)),
};
