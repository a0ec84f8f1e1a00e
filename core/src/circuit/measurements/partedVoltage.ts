import { pointAt } from '../network/chain.ts';
import { partedVolts } from '../network/partedVolts.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const partedVoltage: Measurement = {
  id: 'parted-voltage',
  name: 'Voltage at an open connector',
  title: 'Signal to battery negative where the harness is opened, module side',
  quantity: 'volts',
  minutes: 5,
  repeatMinutes: 3,
  setup: 'unplugged',
  station: 'places',
  tools: ['meter'],
  needs: ['wire', 'position'],
  layouts: LAYOUTS,
  probes: null,
  mark: null,
  parts: (strand, { position = 1 }) => (strand === 'return' ? [] : [pointAt(position)]),
  steps: [
    'Key off, part the connector (counted from the module), key on, engine off.',
    'Meter on volts DC, 20 V range.',
    'Red lead: signal on the half that goes to the module. Black lead: battery negative. Everything beyond it is disconnected.',
  ],
  caution: 'Key off before a connector is parted or joined. Never part an airbag, high-voltage or limit circuit.',
  predict: ({ state }, { position = 1 }) => partedVolts(state, position),
};
