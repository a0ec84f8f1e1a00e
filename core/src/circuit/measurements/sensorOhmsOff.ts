import { sensorOhm } from '../network/sensorCircuit.ts';
import { shownOhm } from '../network/solvedCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import type { Measurement } from './measurement.ts';

export const sensorOhmsOff: Measurement = {
  id: 'off-ohms',
  name: 'Sensor resistance, in air',
  title: 'Across the sensor, taken off and lying at room temperature',
  quantity: 'ohms',
  minutes: 20,
  repeatMinutes: 2,
  setup: 'taken-off',
  station: 'sensor',
  onSensor: true,
  tools: ['meter'],
  needs: ['airC'],
  layouts: LAYOUTS,
  probes: null,
  mark: { place: 'sensor', label: 'lying in the air' },
  steps: [
    'Sensor off and dry, lying in still air out of the sun, for a quarter of an hour. Not in the hand.',
    'Meter on ohms. Mind the k.',
    'Note the temperature of the air with the reading: a range will do.',
  ],
  caution: 'Cold system only: do not open a hot or pressurised cooling system.',
  predict: (solved, { airC = NaN }) => shownOhm(solved.state, sensorOhm(solved.state, airC)),
};
