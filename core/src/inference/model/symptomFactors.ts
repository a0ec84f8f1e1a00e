import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { overSizes } from './overSizes.ts';

/** How likely the complaint is under a fault that moves the display its way, leaves it alone, or moves it the other way. Common practice, no source. */
const LIKELIHOOD = { same: 0.6, alike: 0.2, other: 0.1 } as const;
/** Less than this nobody would complain of, K. */
const NOTICEABLE_K = 4;

/**
 * Factors on the weights of the faults from a complaint that the value reads too cold or too hot, worked out on the circuit itself: the share
 * of a fault's sizes that move the displayed value that way. "Not moved" has factor 1, since the cause may then be no electrical one.
 * @param temperatureC where the sensor is, °C; the middle of the curve when not known
 */
export function symptomFactors(
  circuit: SensorCircuit,
  reads: 'cold' | 'hot',
  temperatureC: number,
): Record<string, number> {
  const wanted = reads === 'cold' ? -1 : 1;
  return overSizes(circuit, temperatureC, (solved, sound) => {
    const shift = solved.displayedC('sensor') - sound.displayedC('sensor');
    const kind = Math.abs(shift) < NOTICEABLE_K ? 'alike' : Math.sign(shift) === wanted ? 'same' : 'other';
    return LIKELIHOOD[kind] / LIKELIHOOD.alike;
  });
}
