import { parallelOhm, shownOhm } from '../network/solvedCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const sensorOhmsInPlace: Measurement = {
  id: 'sensor-ohms',
  name: 'Sensor resistance',
  title: 'Across the sensor, in place, both pins free',
  quantity: 'ohms',
  minutes: 2,
  repeatMinutes: 1,
  setup: 'key-off',
  station: 'sensor',
  onSensor: true,
  tools: ['meter'],
  needs: [],
  layouts: LAYOUTS,
  probes: null,
  mark: { place: 'sensor', label: 'ohms' },
  steps: [
    'Key off. Sensor unplugged: never ohms on a live circuit.',
    'Meter on ohms, 20 kΩ range or automatic. Mind the k.',
    'Leads on the two pins of the sensor. Fingers off the pins.',
  ],
  caution: null,
  predict: (solved) => {
    const { layout, leakBodyS } = solved.state;
    return shownOhm(solved.state, layout === 'one-wire' ? parallelOhm(solved.sensorOhm, leakBodyS) : solved.sensorOhm);
  },
};
