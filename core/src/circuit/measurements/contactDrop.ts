import { pointAt } from '../network/chain.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { CAUTION, type Measurement } from './measurement.ts';

export const contactDrop: Measurement = {
  id: 'contact-drop',
  name: 'Voltage drop across a contact',
  title: 'From one side of a connector to the other, plugged in',
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
  parts: (strand, { wire = 'signal', position = 1 }) =>
    strand === wire ? [pointAt(position, 'module'), pointAt(position, 'sensor')] : [],
  steps: [
    'Key on, engine off. Everything plugged in, so that current flows.',
    'Meter on volts DC, lowest range.',
    'Back-probe the same wire on both sides of the connector (counted from the module): the drop over its contact.',
  ],
  caution: CAUTION.fan,
  predict: (solved, { wire = 'signal', position = 1 }) =>
    Math.abs(
      solved.pointVolts('sensor', wire, pointAt(position, 'module')) -
        solved.pointVolts('sensor', wire, pointAt(position, 'sensor')),
    ),
};
