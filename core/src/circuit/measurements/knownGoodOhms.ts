import { shownOhm } from '../network/solvedCircuit.ts';
import { realOhm } from '../network/sensorCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Measurement } from './measurement.ts';

export const knownGoodOhms: Measurement = {
  id: 'known-good-ohms',
  name: 'Known-good sensor resistance',
  title: 'Across a known-good sensor of the same type at the same temperature',
  quantity: 'ohms',
  minutes: 5,
  repeatMinutes: 2,
  setup: 'taken-off',
  station: 'sensor',
  ofAnotherSensor: true,
  onSensor: true,
  tools: ['meter', 'second-sensor'],
  needs: [],
  layouts: LAYOUTS,
  probes: null,
  mark: null,
  steps: [
    'Lay the good sensor beside the suspect one until both have the same temperature.',
    'Meter on ohms, same range for both.',
    'Leads on the two pins of the good sensor.',
  ],
  caution: null,
  predict: ({ state }) => shownOhm(state, realOhm(state.moduleCurve, state, state.temperatureC)),
};
