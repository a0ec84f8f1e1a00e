import type { Uniform } from '../../base/numeric/random.ts';

// What eight kinds of made-up machines do when they are sound.

export const LOG_MACHINES = [
  'car cold start',
  'truck on the road',
  'outdoor air',
  'boiler flow',
  'cold store',
  'room air',
  'exhaust gas',
  'hydraulic oil',
] as const;
export type LogMachine = (typeof LOG_MACHINES)[number];

/** What a machine's sensor sees over time, °C, and its working range. */
export interface Course {
  /** The temperature that a step of the world brings about. */
  at(t: number): number;
  /** Time constant of the sensor, s. */
  lagS: number;
  name: readonly [tune: string, test: string];
  volts: boolean;
}

export const COURSES: Readonly<Record<LogMachine, (uniform: Uniform) => Course>> = {
  'car cold start'(uniform) {
    const [cold, hot, tau] = [5 + 15 * uniform(), 86 + 6 * uniform(), 250 + 150 * uniform()];
    const swing = 1 + 2 * uniform();
    return {
      at: (t) =>
        Math.min(hot, cold + (hot + 12 - cold) * (1 - Math.exp(-t / tau))) +
        swing * Math.sin(t / 60) * clamp01((t - 2 * tau) / 120),
      lagS: 5,
      name: ['Coolant', 'Engine coolant temperature'],
      volts: true,
    };
  },
  'truck on the road'(uniform) {
    const [level, period] = [84 + 5 * uniform(), 200 + 300 * uniform()];
    return {
      at: (t) => level + 3 * Math.sin((2 * Math.PI * t) / period) + 2 * Math.sin((2 * Math.PI * t) / (0.37 * period)),
      lagS: 6,
      name: ['ECT', 'Coolant temp'],
      volts: true,
    };
  },
  'outdoor air'(uniform) {
    const [level, bonnet] = [4 + 18 * uniform(), 4 * uniform()];
    // Air that stands warms up at the bumper, and cools when the car moves.
    return {
      at: (t) => level + bonnet * (Math.sin(t / 180) > 0.4 ? 1 : 0),
      lagS: 40,
      name: ['Outside air', 'Ambient air temperature'],
      volts: true,
    };
  },
  'boiler flow'(uniform) {
    const [on, off, period] = [48 + 4 * uniform(), 66 + 4 * uniform(), 240 + 240 * uniform()];
    return {
      at(t) {
        const phase = (t % period) / period;
        return phase < 0.4 ? on + ((off - on) * phase) / 0.4 : off - ((off - on) * (phase - 0.4)) / 0.6;
      },
      lagS: 8,
      name: ['Flow', 'Boiler flow temperature'],
      volts: true,
    };
  },
  'cold store'(uniform) {
    const [low, period] = [-24 + 4 * uniform(), 700 + 500 * uniform()];
    const defrost = 900 + 600 * uniform();
    return {
      at: (t) =>
        low +
        3 * Math.abs(((t % period) / period) * 2 - 1) +
        28 * Math.exp(-Math.abs(t - defrost) / 150) * (t > defrost - 400 ? 1 : 0),
      lagS: 20,
      name: ['Coil', 'Evaporator temperature'],
      volts: true,
    };
  },
  'room air'(uniform) {
    const level = 19 + 3 * uniform();
    return {
      at: (t) => level + 0.8 * Math.sin(t / 500),
      lagS: 60,
      name: ['Room', 'Room air temperature'],
      volts: true,
    };
  },
  'exhaust gas'(uniform) {
    const [idle, load, period] = [180 + 40 * uniform(), 420 + 150 * uniform(), 60 + 90 * uniform()];
    return {
      at: (t) =>
        Math.sin((2 * Math.PI * t) / period) + 0.6 * Math.sin((2 * Math.PI * t) / (2.7 * period)) > 0.2 ? load : idle,
      lagS: 9,
      name: ['EGT', 'Exhaust gas temperature'],
      volts: false,
    };
  },
  'hydraulic oil'(uniform) {
    const [cold, hot, tau] = [12 + 10 * uniform(), 55 + 12 * uniform(), 700 + 400 * uniform()];
    return {
      at: (t) => cold + (hot - cold) * (1 - Math.exp(-t / tau)) + 0.7 * Math.sin(t / 45),
      lagS: 12,
      name: ['Oil', 'Hydraulic oil temperature'],
      volts: true,
    };
  },
};

export const clamp01 = (x: number): number => Math.min(1, Math.max(0, x));
