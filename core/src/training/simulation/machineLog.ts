import { normalQuantile } from '../../base/numeric/normal.ts';
import { happens, pick, seededUniform, type Uniform } from '../../base/numeric/random.ts';
import type { ChannelRole } from '../../intake/logs/channelRoles.ts';
import type { LogUnit } from '../../intake/logs/logColumns.ts';
import { clamp01, type Course, COURSES, LOG_MACHINES, type LogMachine } from './machineCourses.ts';

// Logs of made-up machines, for the bar of the log laboratory: what eight kinds of machines do when they are sound, and one fault of eight kinds put
// into it. Ranges for tuning and for the test are disjoint: sizes, noises, rates and headings of one are never those of the other.

export const LOG_FAULTS = ['drop-out', 'step', 'spike', 'stuck', 'noise', 'sag', 'drift', 'drop-out when hot'] as const;
export type LogFaultKind = (typeof LOG_FAULTS)[number];
/** What would not stand out in what such a machine does by itself: steps of a few kelvin in exhaust gas, heat where nothing gets hot. */
const NOT_SHOWN: Partial<Record<LogMachine, readonly LogFaultKind[]>> = {
  'exhaust gas': ['step', 'spike', 'noise', 'drift'],
  'outdoor air': ['drop-out when hot'],
  'room air': ['drop-out when hot'],
  'cold store': ['drop-out when hot'],
};
/** Which of the two disjoint sets of ranges is drawn from. */
export type LogSet = 'tune' | 'test';

/** One channel as the machine gives it, in °C or V, before a logger writes it. */
export interface MadeChannel {
  role: ChannelRole;
  /** What the logger calls it, without its unit. */
  name: string;
  unit: LogUnit;
  values: number[];
}

/** A made-up log and what is in it. */
export interface MachineLog {
  machine: LogMachine;
  timeS: number[];
  channels: MadeChannel[];
  /** What was put in, and in which channel; null: the machine is sound. Of slow ones, the whole stretch. */
  fault: { kind: LogFaultKind; channel: number; fromS: number; toS: number } | null;
}

/** The ranges that differ between tuning and test. Sizes in steps of the display or 1σ of its noise, whichever is more. */
const RANGES = {
  tune: {
    noiseK: [0.1, 0.3],
    size: [8, 20],
    ratesHz: [1, 2, 10],
    sagV: [0.35, 0.6],
    driftK: [4, 6],
    hours: [0.35, 0.6],
  },
  test: { noiseK: [0.3, 0.5], size: [6, 8], ratesHz: [4, 5, 20], sagV: [0.6, 0.9], driftK: [6, 9], hours: [0.6, 0.8] },
} as const;

const between = ([low, high]: readonly [number, number], uniform: Uniform): number => low + (high - low) * uniform();

/** 5 V over 2.49 kΩ and an NTC of 2 kΩ at 25 °C, B 3600 K. Invented. */
const dividerVolts = (c: number, referenceV: number): number => {
  const ohm = 2000 * Math.exp(3600 * (1 / (c + 273.15) - 1 / 298.15));
  return (referenceV * ohm) / (ohm + 2490);
};

/**
 * A log of a machine, sound or with one fault. Same set, seed and fault, same log.
 *
 * @param wanted null: sound; a fault that such a machine cannot show becomes a drop-out
 */
export function machineLog(set: LogSet, seed: number, wanted: LogFaultKind | null): MachineLog {
  const uniform = seededUniform(seed * 8101 + (set === 'tune' ? 7 : 3001));
  const ranges = RANGES[set];
  const machine = LOG_MACHINES[seed % LOG_MACHINES.length];
  const fault = wanted !== null && NOT_SHOWN[machine]?.includes(wanted) ? 'drop-out' : wanted;
  const course = COURSES[machine](uniform);
  const slow = fault === 'sag' || fault === 'drift' || fault === 'drop-out when hot';
  const hours = between(ranges.hours, uniform);
  const rate = slow ? Math.min(4, pick(ranges.ratesHz, uniform)) : pick(ranges.ratesHz, uniform);
  const lengthS = 3600 * hours * (slow ? 1.3 : 0.6);
  const n = Math.round(lengthS * rate);
  const timeS = Array.from({ length: n }, (_, i) => i / rate);
  const noise = between(ranges.noiseK, uniform);
  const real = lagged(timeS, course);
  const startS = machine === 'car cold start' ? 5 + 10 * uniform() : -1;
  const battery = timeS.map((t) => batteryAt(t, startS, machine) + 0.03 * normalQuantile(uniform()));
  const made: Made = { set, machine, course, timeS, rate, noise, real, battery, uniform };
  return build(made, fault, ranges);
}

/** A machine while its log is made. */
interface Made {
  set: LogSet;
  machine: LogMachine;
  course: Course;
  timeS: readonly number[];
  rate: number;
  noise: number;
  real: readonly number[];
  battery: readonly number[];
  uniform: Uniform;
}

/** A sensor follows its medium with its own lag. */
function lagged(timeS: readonly number[], course: Course): number[] {
  let value = course.at(0);
  return timeS.map((t, i) => {
    const dt = i > 0 ? t - timeS[i - 1] : 0;
    value += (course.at(t) - value) * (1 - Math.exp(-dt / course.lagS));
    return value;
  });
}

/** Rest, the dip of cranking, and charging; of a machine on the mains its 24 V. */
function batteryAt(t: number, startS: number, machine: LogMachine): number {
  if (machine === 'boiler flow' || machine === 'cold store' || machine === 'room air') return 24.1;
  const rest = machine === 'truck on the road' ? 25.2 : 12.5;
  if (t < startS) return rest;
  return startS >= 0 && t < startS + 1.5 ? 0.8 * rest : rest * 1.13;
}

const rounded = (v: number, to: number): number => Number((Math.round(v / to) * to).toFixed(4));

function build(made: Made, fault: LogFaultKind | null, ranges: (typeof RANGES)[LogSet]): MachineLog {
  const { machine, timeS, noise, uniform } = made;
  const n = timeS.length;
  const where = placeOf(made, fault);
  const sagV = between(ranges.sagV, () => 0.5);
  const referenceV = timeS.map((_, i) =>
    fault === 'sag' ? 5 - sagV * clamp01((i - where.from) / Math.max(1, where.to - where.from)) : 5.01,
  );
  const signal = made.real.map((c, i) => dividerVolts(c, referenceV[i]) + 0.004 * normalQuantile(uniform()));
  const driftK = fault === 'drift' ? between(ranges.driftK, () => 0.5) : 0;
  const shown = made.real.map((c, i) => c + noise * normalQuantile(uniform()) + (driftK * timeS[i]) / 3600);
  const quantum = noise > 0.25 ? 0.5 : 0.1;
  const size = between(ranges.size, uniform) * Math.max(noise, quantum) * (happens(0.5, uniform) ? 1 : -1);
  /** What display and signal show at a sample while the fault is there; `held` is what stood on the display when it came. */
  const broken = (i: number, held: number): [shown: number, signal: number] => {
    switch (fault) {
      case 'drop-out':
      case 'drop-out when hot':
        return [-40, referenceV[i] - 0.02];
      case 'spike':
      case 'step':
        return [shown[i] + size, signal[i]];
      case 'stuck':
        return [held, signal[i]];
      case 'noise':
        return [shown[i] + Math.abs(size) * 0.5 * normalQuantile(uniform()), signal[i]];
      default:
        return [shown[i], signal[i]];
    }
  };
  for (const [from, to] of where.stretches) {
    const held = shown[from];
    for (let i = from; i < to; i++) [shown[i], signal[i]] = broken(i, held);
  }
  const channels = channelsOf(made, fault, { shown, signal, referenceV, quantum });
  const channel = fault === 'sag' ? channels.findIndex((c) => c.role === 'reference-volts') : 0;
  const told =
    fault === null ? null : { kind: fault, channel, fromS: timeS[where.from], toS: timeS[Math.min(n - 1, where.to)] };
  return { machine, timeS: [...timeS], channels, fault: told };
}

/** Faults of the display alone: the signal would not show them, and is left out of such a log. */
const OF_THE_DISPLAY: readonly (LogFaultKind | null)[] = ['spike', 'step', 'stuck', 'noise', 'drift'];

/** The channels a logger has: always the display and a supply, the others now and then, and where the fault is seen in them. */
function channelsOf(
  { set, course, battery, real, uniform }: Made,
  fault: LogFaultKind | null,
  made: { shown: readonly number[]; signal: readonly number[]; referenceV: readonly number[]; quantum: number },
): MadeChannel[] {
  const named = (tune: string, test: string): string => (set === 'tune' ? tune : test);
  const { shown, signal, referenceV, quantum } = made;
  const values = (list: readonly number[], to: number): number[] => list.map((v) => rounded(v, to));
  const channels: MadeChannel[] = [
    { role: 'displayed', name: named(...course.name), unit: '°C', values: values(shown, quantum) },
  ];
  if (course.volts && !OF_THE_DISPLAY.includes(fault))
    channels.push({
      role: 'signal-volts',
      name: named('Signal', 'Sensor voltage'),
      unit: 'V',
      values: values(signal, 0.001),
    });
  channels.push({ role: 'supply-volts', name: named('Battery', 'Supply'), unit: 'V', values: values(battery, 0.01) });
  if (fault === 'sag' || happens(0.3, uniform)) {
    const read = referenceV.map((v) => v + 0.002 * normalQuantile(uniform()));
    channels.push({
      role: 'reference-volts',
      name: named('Vref', 'Reference'),
      unit: 'V',
      values: values(read, 0.001),
    });
  }
  if (fault === 'drift' || happens(0.3, uniform)) {
    const read = real.map((c) => c + 0.4 + 0.08 * normalQuantile(uniform()));
    channels.push({ role: 'thermometer', name: named('Probe', 'Thermometer'), unit: '°C', values: values(read, 0.1) });
  }
  return channels;
}

/** Where the fault is: its stretches as samples from … to − 1, and the whole of them. */
function placeOf(made: Made, fault: LogFaultKind | null): { from: number; to: number; stretches: [number, number][] } {
  const { timeS, rate, real, uniform } = made;
  const n = timeS.length;
  const at = Math.floor(n * (0.35 + 0.4 * uniform()));
  const seconds = (low: number, high: number): number =>
    Math.max(3, Math.round((low + (high - low) * uniform()) * rate));
  const whole = (stretches: [number, number][]) => ({
    from: stretches[0][0],
    to: stretches[stretches.length - 1][1],
    stretches,
  });
  switch (fault) {
    case 'drop-out':
      return whole([[at, at + seconds(0.8, 4)]]);
    case 'spike':
      return whole([[at, at + seconds(0.8, 2.5)]]);
    case 'step':
      return { ...whole([[at, n]]), to: at };
    case 'stuck':
    case 'noise':
      return whole([[at, Math.min(n - 1, at + seconds(90, 150))]]);
    case 'drop-out when hot': {
      const sorted = [...real].sort((a, b) => a - b);
      const above = sorted[Math.floor(0.8 * n)];
      const free = real.flatMap((c, i) => (c > above && i > 20 && i < n - 20 ? [i] : []));
      const starts = Array.from({ length: 8 }, (_, k) => free[Math.floor(((k + 0.5) * free.length) / 8)]).sort(
        (a, b) => a - b,
      );
      return whole(starts.map((s): [number, number] => [s, s + seconds(0.8, 2)]));
    }
    default:
      return { from: 0, to: n - 1, stretches: [] };
  }
}
