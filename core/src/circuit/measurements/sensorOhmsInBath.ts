import { shownOhm } from '../network/solvedCircuit.ts';
import { sensorOhm } from '../network/sensorCircuit.ts';
import { CAUTION, type Measurement } from './measurement.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';

export const sensorOhmsInBath: Measurement = {
  id: 'bench-ohms',
  name: 'Sensor resistance, in water',
  title: 'Across the sensor, taken off, at a known temperature',
  quantity: 'ohms',
  minutes: 25,
  repeatMinutes: 10,
  setup: 'taken-off',
  station: 'sensor',
  onSensor: true,
  tools: ['meter', 'thermometer', 'bath'],
  needs: ['bathC'],
  layouts: LAYOUTS,
  probes: null,
  mark: { place: 'sensor', label: 'in the bath' },
  steps: [
    'Sensor off, tip in stirred water with the thermometer beside it.',
    'Wait until both readings are steady, at least two minutes.',
    'Meter on ohms. Note the temperature with the reading.',
  ],
  caution: CAUTION.hot,
  predict: (solved, { bathC = NaN }) => shownOhm(solved.state, sensorOhm(solved.state, bathC)),
};
