import { JOIN } from '../network/chain.ts';
import { neighbourC } from '../network/neighbourC.ts';
import { type Measurement } from './measurement.ts';

export const neighbourDisplayed: Measurement = {
  id: 'neighbour-displayed',
  name: 'Displayed value of a neighbour',
  title: 'What another sensor on the same reference or return displays',
  quantity: 'celsius',
  minutes: 1,
  repeatMinutes: 1,
  setup: 'scan',
  station: 'live',
  atNeighbour: true,
  ofNeighbour: true,
  sharing: ['reference', 'return', 'both'],
  tools: ['live-data'],
  needs: ['airC'],
  layouts: ['pull-up'],
  probes: null,
  mark: null,
  parts: (strand) => (strand === 'return' ? [JOIN] : []),
  steps: [
    'Key on, everything plugged in. Find in the diagram a sensor that shares the reference or the return.',
    'Read its live value, and enter the temperature there, measured or estimated.',
    'If it is right and this one wrong, the fault is in this circuit. If both are wrong, check what they share.',
  ],
  caution: null,
  predict: ({ state, sensorOhm }, { airC = 20 }) => neighbourC(state, sensorOhm, airC),
};
