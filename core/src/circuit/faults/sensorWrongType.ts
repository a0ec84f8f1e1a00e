import { LAYOUTS } from '../../base/units/vocabulary.ts';
import type { CircuitState } from '../network/sensorCircuit.ts';
import { type Fault, fixed, logSized } from './fault.ts';

const scale = (c: CircuitState, factor: number): void => {
  c.sensorFactor *= factor;
};

export const sensorWrongType: Fault = {
  id: 'sensor-wrong-type',
  group: 'sensor',
  name: 'sensor of another type fitted',
  weight: 0.03,
  unit: null,
  layouts: LAYOUTS,
  part: 'sensor',
  repair: 'Fit the type this module expects; check the part number, and that it is not the gauge sender.',
  branches: ({ otherCurves, curveKnown }) => {
    if (!curveKnown)
      return [logSized(fixed(0.05), fixed(0.8), scale, 0.5), logSized(fixed(1.25), fixed(20), scale, 0.5)];
    return otherCurves.map(({ name, model }) => ({
      share: 1 / otherCurves.length,
      sized: false,
      detail: name,
      apply: (c) => {
        c.sensorCurve = model;
        return NaN;
      },
    }));
  },
};
