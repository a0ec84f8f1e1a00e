import type { CircuitState } from '../network/sensorCircuit.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { type Branch, evenSized, type Fault } from './fault.ts';

/** Nearer than this to its medium a sensor sits well enough, K. */
const LEAST_K = 4;
/** Surroundings that a badly seated sensor feels, °C: at the coldest on something warm, at the warmest on something cold. Common practice, no source. */
const SURROUNDINGS_C = { coldest: 0, warmest: 45 } as const;
/** A sensor that sits where its medium does not reach it may be this far off where the surroundings are as warm as the medium, K. */
const EVEN_SO_K = 12;

/** The sensor between its medium and the surroundings: how far it can be off depends on how far apart the two are. */
function towards(share: number, detail: string, reachK: (temperatureC: number) => number, sign: -1 | 1): Branch {
  const apply = (c: CircuitState, position: number): number => {
    const most = Math.max(EVEN_SO_K, reachK(c.temperatureC));
    c.sensorOffsetC = sign * (LEAST_K + position * (most - LEAST_K));
    return c.sensorOffsetC;
  };
  return { share, sized: true, detail, apply };
}

export const placement: Fault = {
  id: 'placement',
  group: 'installation',
  name: 'sensor sits at another temperature',
  weight: 0.08,
  unit: 'kelvin',
  layouts: LAYOUTS,
  part: 'place',
  repair:
    'Look where the tip sits: trapped air, low level, a vent, no contact. Compare the thermometer at the very tip.',
  branches: () => [
    towards(0.5, 'badly seated, cooled by the surroundings', (t) => t - SURROUNDINGS_C.coldest, -1),
    towards(0.25, 'badly seated, warmed by the surroundings', (t) => SURROUNDINGS_C.warmest - t, 1),
    {
      ...evenSized(6, 40, (c, kelvin) => (c.sensorOffsetC = kelvin), 0.25),
      detail: 'heated by the sun or a hot neighbour',
      repair: 'Shade the sensor from sun and hot parts, or move it. Then compare it with a thermometer at the tip.',
    },
  ],
};
