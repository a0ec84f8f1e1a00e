import { LAYOUTS } from '../units/vocabulary.ts';
import { type Fault } from './fault.ts';

export const sensorWrongType: Fault = {
  id: 'sensor-wrong-type',
  group: 'sensor',
  name: 'sensor of another type fitted',
  weight: 0.03,
  unit: null,
  layouts: LAYOUTS,
  part: 'sensor',
  repair: 'Fit the type this module expects; check the part number, and that it is not the gauge sender.',
  branches: ({ otherCurves }) =>
    otherCurves.map(({ name, model }) => ({
      share: 1 / otherCurves.length,
      sized: false,
      detail: name,
      apply: (c) => {
        c.sensorCurve = model;
        return NaN;
      },
    })),
};
