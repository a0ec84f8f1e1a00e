import { happens, pick, seededUniform } from '../../base/numeric/random.ts';
import type { LogUnit } from '../../intake/logs/logColumns.ts';
import type { LogSet, MachineLog, MadeChannel } from './machineLog.ts';

/** How one sort of loggers writes its files. */
interface Logger {
  delimiter: string;
  comma: boolean;
  /** Heading of the clock, for tuning and for the test, and a row's time. */
  clock: readonly [tune: string, test: string];
  time(t: number): string;
  head(name: string, unit: string): string;
  /** A line of units under the headings. */
  unitRow?: boolean;
  /** Lines above the headings. */
  preface?: readonly string[];
  /** Volts are written in mV, temperatures in °F. */
  small?: boolean;
  fahrenheit?: boolean;
  lineEnd?: string;
}

const two = (n: number): string => String(Math.floor(n)).padStart(2, '0');
const dayTime = (t: number): string => {
  const s = (10 * 3600 + 120 + t) % 86_400;
  return `${two(s / 3600)}:${two((s / 60) % 60)}:${two(s % 60)}.${String(Math.round((s % 1) * 1000) % 1000).padStart(3, '0')}`;
};
/** A log that begins ten minutes before midnight. */
const nightTime = (t: number): string => dayTime((t + 86_400 - 10 * 3600 - 120 - 600) % 86_400);

export const LOGGERS: readonly Logger[] = [
  {
    delimiter: ',',
    comma: false,
    clock: ['time_s', 'Time (s)'],
    time: (t) => t.toFixed(3),
    head: (n, u) => `${n} (${u})`,
  },
  {
    delimiter: ';',
    comma: true,
    clock: ['Zeit [s]', 'Zeit s'],
    time: (t) => t.toFixed(3),
    head: (n, u) => `${n} [${u}]`,
  },
  {
    delimiter: '\t',
    comma: false,
    clock: ['t_ms', 'Time_ms'],
    time: (t) => String(Math.round(1000 * t)),
    head: (n, u) => `${n}/${u}`,
  },
  { delimiter: ',', comma: false, clock: ['Timestamp', 'Time'], time: dayTime, head: (n, u) => `${n} ${u}` },
  { delimiter: ',', comma: false, clock: ['Time', 'Clock'], time: nightTime, head: (n, u) => `${n} [${u}]` },
  {
    delimiter: ',',
    comma: false,
    clock: ['epoch', 'timestamp'],
    time: (t) => (1_767_225_600 + t).toFixed(3),
    head: (n, u) => `${n.replaceAll(' ', '_')}_${u.replace('°', '')}`,
  },
  {
    delimiter: ';',
    comma: true,
    clock: ['Datum', 'Date/Time'],
    time: (t) => `2026-01-12 ${dayTime(t)}`,
    head: (n, u) => `${n} (${u})`,
    lineEnd: '\r\n',
  },
  {
    delimiter: ',',
    comma: false,
    clock: ['Elapsed', 'Time'],
    time: (t) => t.toFixed(2),
    head: (n) => n,
    unitRow: true,
    preface: ['Logger 4, channel export', 'Serial 0000'],
  },
  {
    delimiter: ',',
    comma: false,
    clock: ['TimeMs', 'Elapsed_ms'],
    time: (t) => String(Math.round(1000 * t)),
    head: (n, u) => `${n} ${u}`,
    small: true,
  },
  {
    delimiter: '\t',
    comma: false,
    clock: ['Time [min]', 'Minutes'],
    time: (t) => (t / 60).toFixed(5),
    head: (n, u) => `${n} (${u})`,
    fahrenheit: true,
  },
  {
    delimiter: '|',
    comma: false,
    clock: ['sec', 'Seconds'],
    time: (t) => t.toFixed(3),
    head: (n, u) => `${n} in ${u}`,
  },
];

/** A log as a logger wrote it, and the unit in which each of its columns of values stands. */
export interface LoggerText {
  text: string;
  logger: number;
  units: LogUnit[];
}

/** Writes a log as one of the sorts of loggers does; now and then with a gap of a few seconds and an engine's speed beside it. */
export function loggerText(log: MachineLog, set: LogSet, seed: number): LoggerText {
  const uniform = seededUniform(seed * 4409 + 17);
  const logger = seed % LOGGERS.length;
  const {
    delimiter,
    comma,
    clock,
    time,
    head,
    unitRow,
    preface = [],
    small,
    fahrenheit,
    lineEnd = '\n',
  } = LOGGERS[logger];
  const unitOf = (c: MadeChannel): LogUnit =>
    c.unit === 'V' && small ? 'mV' : c.unit === '°C' && fahrenheit ? '°F' : c.unit;
  const written = (c: MadeChannel, v: number): string => {
    const figure =
      unitOf(c) === 'mV' ? (1000 * v).toFixed(0) : unitOf(c) === '°F' ? (1.8 * v + 32).toFixed(1) : String(v);
    return comma ? figure.replace('.', ',') : figure;
  };
  const speed = happens(0.5, uniform);
  const heads = [
    clock[set === 'tune' ? 0 : 1],
    ...log.channels.map((c) => head(c.name, unitOf(c))),
    ...(speed ? ['rpm'] : []),
  ];
  const units = [logger === 7 ? 's' : '', ...log.channels.map(unitOf), ...(speed ? ['1/min'] : [])];
  const gapAt = happens(0.3, uniform) ? pick([0.2, 0.85], uniform) : 2;
  const lines: string[] = [...preface, heads.join(delimiter), ...(unitRow ? [units.join(delimiter)] : [])];
  log.timeS.forEach((t, i) => {
    const share = i / log.timeS.length;
    if (share > gapAt && share < gapAt + 0.01) return;
    const at = comma ? time(t).replace('.', ',') : time(t);
    const cells = [at, ...log.channels.map((c) => written(c, c.values[i]))];
    if (speed) cells.push(String(Math.round(900 + 600 * Math.abs(Math.sin(t / 40)))));
    lines.push(cells.join(delimiter));
  });
  return { text: `${lines.join(lineEnd)}${lineEnd}`, logger, units: log.channels.map(unitOf) };
}
