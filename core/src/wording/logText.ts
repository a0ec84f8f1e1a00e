import { FINDINGS } from '../catalogue/parts/findings.ts';
import { evidenceFigure, type LogEvidence } from '../check/job/logEvidence.ts';
import type { ChannelRole } from '../intake/logs/channelRoles.ts';
import type { MarkKind } from '../intake/logs/log.ts';
import type { TimeKind } from '../intake/logs/logColumns.ts';
import type { LogRead } from '../intake/logs/logRows.ts';
import type { LogFault } from '../intake/logs/parseLog.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import { differenceUnit, formatQuantity, shownDifference, type TemperatureUnit } from '../base/units/format.ts';
import { counted, fixed } from '../base/units/writing.ts';

export const MARK_NAMES: Record<MarkKind, string> = {
  unplugged: 'unplugged',
  bridged: 'jumpered',
  wiggling: 'wiggling',
  heated: 'heated',
  cooled: 'cooled',
  fan: 'fan on',
  'key-off': 'key off',
  note: 'note',
};

export const ROLE_NAMES: Record<ChannelRole, string> = {
  displayed: 'displayed value',
  'signal-volts': 'signal to chassis',
  'across-volts': 'across the sensor',
  'return-volts': 'return to chassis',
  'reference-volts': 'reference supply',
  'supply-volts': 'battery or supply',
  'sensor-ohms': 'sensor’s ohms',
  thermometer: 'thermometer beside it',
  companion: 'a sensor to compare with',
  other: 'something else',
};

export const TIME_NAMES: Record<TimeKind, string> = {
  seconds: 'seconds',
  milliseconds: 'milliseconds',
  minutes: 'minutes',
  clock: 'time of day',
  'date-time': 'date and time',
  serial: 'spreadsheet days',
  epoch: 'seconds since 1970',
  'epoch-ms': 'milliseconds since 1970',
  rows: 'a row a second',
};

/** A time of a log: "1:23", "12.4 s" or "1:02:03". */
export function clockText(s: number): string {
  if (s < 60) return `${s < 10 ? fixed(s, 1) : Math.round(s)} s`;
  const whole = Math.round(s);
  const [h, m, rest] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), String(whole % 60).padStart(2, '0')];
  return h > 0 ? `${h}:${String(m).padStart(2, '0')}:${rest}` : `${m}:${rest}`;
}

/** A difference of temperature: "2.5 K", in °F its own degrees. */
export const kelvinText = (k: number, unit: TemperatureUnit): string =>
  `${fixed(shownDifference(k, unit), 1)} ${differenceUnit(unit)}`;

/** What evidence puts on the check, in words. */
export function evidenceText(e: LogEvidence, unit: TemperatureUnit): string {
  switch (e.kind) {
    case 'reading': {
      const state = { steady: '', hot: ', hot', wiggling: ', wiggling' }[e.state];
      return `${measurementById(e.measurement).name} ${evidenceFigure(e.value, e.quantity)}${state}`;
    }
    case 'thermometer':
      return `${e.hot ? 'Thermometer, hot' : 'Thermometer'} ${formatQuantity(Number(e.valueC.toFixed(1)), 'celsius', unit)}`;
    case 'finding':
      return FINDINGS.find((f) => f.id === e.id)?.name ?? e.id;
    case 'hint':
      return `${e.place}: ${e.hint === 'wiggle-moves' ? 'moves when wiggled' : 'does not move when wiggled'}`;
  }
}

/** Why a log cannot be read, and what to do. */
export function logFaultText(fault: LogFault): string {
  return {
    empty: 'There are no rows in it.',
    'no-figures': 'There are no figures in it: a table with a time and values is wanted, as text.',
    'no-values':
      'No column holds temperatures, volts or ohms as far as its headings say. Say below what each column holds.',
    'too-long': 'It holds more than four million rows. Cut it in two.',
    'unit-asked': 'The unit of a column is missing, or its figures cannot be in that unit. Choose it below.',
    'time-asked': 'No column holds the time. Choose it below, or say how often a row was written.',
  }[fault.reason];
}

/** How a log was read, in a line. */
export function logReadText({ rows, skipped, firstSkipped, setBack }: Omit<LogRead, 'log'>): string {
  const parts = [`${counted(rows)} rows`];
  if (skipped > 0) parts.push(`${skipped} lines could not be read, the first is line ${firstSkipped}`);
  if (setBack > 0)
    parts.push(`the clock ran back ${setBack === 1 ? 'once' : `${setBack} times`}; the log runs on from there`);
  return parts.join(' · ');
}
