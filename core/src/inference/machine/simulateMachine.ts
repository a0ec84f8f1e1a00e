import { happens, pick, type Uniform } from '../../base/numeric/random.ts';
import type { MachineMoment, MachineSensor } from './machineSensors.ts';

/** A made-up machine after a rest, and what is true of it. */
export interface SimulatedMachine {
  sensors: MachineSensor[];
  moments: MachineMoment[];
  /** Ids of the sensors that are out of line by more than 4 K and three times what a sound one scatters. */
  off: string[];
  /** Is some sensor out by less than that: neither right nor wrong to name it? */
  between: boolean;
  /** Can it be known: is the majority sound, or the air known? */
  knowable: boolean;
}

/** What counts as out of line, K: more than 4 K and 3σ of a sound circuit. */
const OUT_K = 4.5;

/**
 * Draws a machine of three to eight sensors that stood in air of 2 … 32 °C: none, one or several out by 3 … 60 K. Its scatter is not that of the
 * inference: tolerances lie evenly within ±2 K, displays show whole degrees.
 */
export function simulateMachine(uniform: Uniform): SimulatedMachine {
  const n = 3 + Math.floor(6 * uniform());
  const airC = 2 + 30 * uniform();
  const count = happens(0.4, uniform) ? 0 : happens(0.6, uniform) ? 1 : 2 + Math.floor(2 * uniform());
  const offsets = Array.from({ length: n }, (_, i) =>
    i < count ? pick([-1, 1], uniform) * 3 * Math.exp(Math.log(20) * uniform()) : 0,
  );
  // What a sensor is off by is its fault and its own tolerance together.
  const deviations = offsets.map((offK) => offK + 4 * uniform() - 2);
  const sensors = deviations.map((ownK, i): MachineSensor => ({
    id: `s${i}`,
    valuesC: [Math.round(airC + ownK + uniform() - 0.5)],
    shares: [],
  }));
  const known = happens(0.5, uniform);
  const isOut = (i: number): boolean => offsets[i] !== 0 && Math.abs(deviations[i]) > OUT_K;
  return {
    sensors,
    moments: [{ rested: true, airC: known ? airC + 2 * uniform() - 1 : null }],
    off: sensors.filter((_, i) => isOut(i)).map((s) => s.id),
    between: offsets.some((offK, i) => offK !== 0 && !isOut(i)),
    knowable: known || count < n / 2,
  };
}
