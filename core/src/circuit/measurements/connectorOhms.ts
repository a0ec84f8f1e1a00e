import { pointAt, shareBefore } from '../network/chain.ts';
import { shownOhm } from '../network/solvedCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const connectorOhms: Measurement = {
  id: 'connector-ohms',
  name: 'Resistance to a connector',
  title: 'Wire from the sensor plug to a connector in the harness',
  quantity: 'ohms',
  minutes: 5,
  repeatMinutes: 3,
  setup: 'both-ends-free',
  station: 'places',
  tools: ['meter'],
  needs: ['wire', 'position'],
  layouts: LAYOUTS,
  probes: null,
  mark: null,
  steps: [
    'Key off. Sensor unplugged, the connector (counted from the module) parted.',
    'Meter on ohms, lowest range.',
    'One lead at the sensor plug, one at the connector: the part of the wire between.',
  ],
  caution: null,
  parts: (strand, { wire = 'signal', position = 1 }) => (strand === wire ? [pointAt(position, 'sensor')] : []),
  predict: ({ state: s }, { wire = 'signal', position = 1 }) => {
    const from = pointAt(position, 'sensor');
    const [ohm, fault, at] =
      wire === 'signal'
        ? [s.signalOhm, s.signalFaultOhm, s.signalFaultAt]
        : [s.returnOhm, s.returnFaultOhm, s.returnFaultAt];
    return shownOhm(s, ohm * (1 - shareBefore(from, s.connectors)) + (at >= from ? fault : 0));
  },
};
