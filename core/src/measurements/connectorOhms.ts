import { shownOhm } from '../circuit/solvedCircuit.ts';
import { LAYOUTS } from '../units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const connectorOhms: Measurement = {
  id: 'connector-ohms',
  name: 'Ohms to a connector',
  title: 'Wire from the sensor plug to a connector on the way',
  quantity: 'ohms',
  minutes: 5,
  repeatMinutes: 3,
  setup: 'both-ends-free',
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
  predict: ({ state: s }, { wire = 'signal', position = 1 }) => {
    const [ohm, fault, segment] =
      wire === 'signal'
        ? [s.signalOhm, s.signalFaultOhm, s.signalFaultSegment]
        : [s.returnOhm, s.returnFaultOhm, s.returnFaultSegment];
    const share = (s.connectors + 1 - position) / (s.connectors + 1);
    return shownOhm(s, ohm * share + (segment >= position ? fault : 0));
  },
};
