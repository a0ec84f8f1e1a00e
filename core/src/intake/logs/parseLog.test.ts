import { describe, expect, test } from 'vitest';
import type { Log } from './log.ts';
import { logToCsv } from './logCsv.ts';
import { clockS, dayNumber } from './logTime.ts';
import type { LogChoices } from './logColumns.ts';
import { logReader, parseLog } from './parseLog.ts';

interface Case {
  name: string;
  text: string;
  choices?: LogChoices;
  everyS?: number;
  timeS: number[];
  /** Channel name and first values, in °C, V, Ω. */
  channels: Record<string, number[]>;
}

const CASES: readonly Case[] = [
  {
    name: 'a scan tool: clock, °F, a column that is none of ours',
    text: 'Time,Coolant Temperature (°F),Engine speed (rpm)\n10:00:00,68,700\n10:00:01,212,701\n10:00:02,-40,699\n',
    timeS: [0, 1, 2],
    channels: { 'Coolant Temperature': [20, 100, -40] },
  },
  {
    name: 'a meter of a country with commas: semicolons, date beside the clock, rows of one second',
    text: 'Gerät X\nDatum;Uhrzeit;Spannung [V]\n26.11.2026;10:00:00;3,281\n26.11.2026;10:00:00;3,280\n26.11.2026;10:00:01;3,279\n',
    timeS: [0, 0.5, 1],
    channels: { Spannung: [3.281, 3.28, 3.279] },
  },
  {
    name: 'milliseconds, kΩ, OL, quotes and a line that tells the separator',
    text: 'sep=;\n"t [ms]";"R kOhm"\n0;2,2\n100;2,1\n200;OL\n300;2,0\n',
    timeS: [0, 0.1, 0.2, 0.3],
    channels: { 'R kOhm': [2200, 2100, Infinity, 2000] },
  },
  {
    name: 'spreadsheet days, tabs, a unit that is said',
    text: 'date\ttemp\n46352.50000\t70\n46352.50001\t71\n46352.50002\t72\n',
    choices: { '1': { unit: '°F' } },
    timeS: [0, 0.864, 1.728],
    channels: { temp: [(38 * 5) / 9, (39 * 5) / 9, (40 * 5) / 9] },
  },
  {
    name: 'ISO times with fractions, a gap, a letter for a unit',
    text: 'timestamp,ECT C,Volts\n2026-11-26T10:00:00.000Z,20,3.1\n2026-11-26T10:00:00.500Z,,3.1\n2026-11-26T10:00:01.000Z,22,3.0\n',
    timeS: [0, 0.5, 1],
    channels: { 'ECT C': [20, NaN, 22], Volts: [3.1, 3.1, 3] },
  },
  {
    name: 'over midnight, am and pm, month first',
    text: '11/26/2026 11:59:59 PM,70.1 °F\n11/27/2026 12:00:01 AM,70.2 °F\n11/27/2026 12:00:02 AM,70.3 °F\n',
    timeS: [0, 2, 3],
    channels: { 'Column 2': [(38.1 * 5) / 9, (38.2 * 5) / 9, (38.3 * 5) / 9] },
  },
  {
    name: 'a clock alone that passes midnight',
    text: 'time;T °C\n23:59:58;20\n23:59:59;21\n00:00:01;22\n',
    timeS: [0, 1, 3],
    channels: { 'T °C': [20, 21, 22] },
  },
  {
    name: 'blanks, no heading at all, units said',
    text: '  0.0   21.5  3.10\n  1.0   21.6  3.09\n  2.0   21.4  3.08\n',
    choices: { '1': { unit: '°C' }, '2': { unit: 'mV' } },
    timeS: [0, 1, 2],
    channels: { 'Column 2': [21.5, 21.6, 21.4], 'Column 3': [0.0031, 0.00309, 0.00308] },
  },
  {
    name: 'no time: as often as was said',
    text: 'coolant [°C],volts [V]\n20,3.1\n21,3.0\n20,3.1\n',
    everyS: 0.5,
    timeS: [0, 0.5, 1],
    channels: { coolant: [20, 21, 20], volts: [3.1, 3, 3.1] },
  },
  {
    name: 'epoch milliseconds, kelvin in brackets',
    text: 'time,oil [K]\n1795687200000,293.15\n1795687200250,294.15\n1795687200500,295.15\n',
    timeS: [0, 0.25, 0.5],
    channels: { oil: [20, 21, 22] },
  },
];

describe('tables of meters, scan tools and loggers', () => {
  test.each(CASES)('$name', ({ text, choices, everyS, timeS, channels }) => {
    const read = parseLog(text, choices, everyS);
    expect(read.ok).toBe(true);
    if (!read.ok) return;
    read.log.timeS.forEach((t, i) => expect(t).toBeCloseTo(timeS[i], 3));
    expect(read.log.timeS).toHaveLength(timeS.length);
    expect(read.log.channels.map((c) => c.name)).toEqual(Object.keys(channels));
    read.log.channels.forEach((c) => {
      channels[c.name].forEach((v, i) => {
        if (Number.isFinite(v)) expect(c.values[i]).toBeCloseTo(v, 6);
        else expect(c.values[i]).toBe(v);
      });
    });
  });
  test('in pieces of any length it is the same log', () => {
    const { text } = CASES[1];
    const long =
      text +
      Array.from(
        { length: 3000 },
        (_, i) =>
          `26.11.2026;10:${String(1 + Math.floor(i / 60)).padStart(2, '0')}:${String(i % 60).padStart(2, '0')};3,${200 + (i % 700)}`,
      ).join('\n');
    const whole = parseLog(long);
    const reader = logReader();
    for (let at = 0; at < long.length; at += 777) reader.push(long.slice(at, at + 777));
    const pieces = reader.finish();
    expect(whole.ok && pieces.ok && [...pieces.log.timeS]).toEqual(whole.ok && [...whole.log.timeS]);
    expect(whole.ok && whole.rows).toBe(3003);
  });
  test('what cannot be read is told: nothing in it, no unit, a torn line', () => {
    expect(parseLog('')).toMatchObject({ ok: false });
    expect(parseLog('a letter\nto nobody\n')).toMatchObject({ ok: false, reason: 'no-figures' });
    const asked = parseLog('time,temp\n0,20\n1,21\n2,22\n');
    expect(asked).toMatchObject({ ok: false, reason: 'unit-asked' });
    expect(asked.columns.map((c) => c.use)).toEqual(['time', 'values']);
    const torn = parseLog('time [s],T [°C]\n0,20\n1,21\n!!!\n3,23\n');
    expect(torn).toMatchObject({ ok: true, rows: 3, skipped: 1, firstSkipped: 4 });
  });
  test('a clock that is set back runs on', () => {
    const read = parseLog('time [s],T [°C]\n0,20\n10,21\n2,22\n3,23\n');
    const times = read.ok ? [...read.log.timeS].map(Math.round) : [];
    expect(times).toEqual([0, 10, 11, 11]);
    expect(read.ok && read.setBack).toBe(1);
  });
});

test('times of day and days', () => {
  expect(clockS('10:02:03.25')).toBe(36_123.25);
  expect(clockS('12:00:00 am')).toBe(0);
  expect(clockS('2:03.5')).toBe(123.5);
  expect(clockS('10:02')).toBe(36_120);
  expect(clockS('noon')).toBeNaN();
  expect(dayNumber('1970-01-02')).toBe(1);
  expect(dayNumber('26.11.2026')).toBe(dayNumber('2026-11-26'));
  expect(dayNumber('11/26/2026')).toBe(dayNumber('2026-11-26'));
  expect(dayNumber('26/11/26')).toBe(dayNumber('2026-11-26'));
  expect(dayNumber('2026-13-01')).toBeNaN();
});

test('a log as CSV reads back as it was, marks and gaps and OL with it', () => {
  const log: Log = {
    timeS: Float64Array.of(0, 0.25, 0.5, 1, 61.5),
    channels: [
      { id: 'a', name: 'Coolant', quantity: 'celsius', values: Float64Array.of(20, NaN, 21.5, -40, 22) },
      { id: 'b', name: 'Meter, ohms', quantity: 'ohms', values: Float64Array.of(2880, Infinity, NaN, 2881.5, 2879) },
    ],
    marks: [
      { kind: 'wiggling', fromS: 0.25, toS: 1, place: 'engine plug', text: '' },
      { kind: 'unplugged', fromS: 0.5, toS: 61.5, place: '', text: '' },
      { kind: 'note', fromS: 1, toS: 1, place: '', text: 'fan, came on "twice"' },
    ],
  };
  const read = parseLog(logToCsv(log));
  expect(read.ok).toBe(true);
  if (!read.ok) return;
  expect(read.log.marks).toEqual(log.marks);
  expect(read.log.timeS).toHaveLength(5);
  const at = (t: number): number => read.log.timeS.findIndex((v) => Math.abs(v - t) < 1e-9);
  log.timeS.forEach((t, i) => {
    const row = at(t);
    expect(row).toBeGreaterThanOrEqual(0);
    log.channels.forEach((c, k) => expect(read.log.channels[k].values[row]).toBe(c.values[i]));
  });
});
