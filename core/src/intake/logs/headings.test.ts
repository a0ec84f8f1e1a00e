import { describe, expect, test } from 'vitest';
import { parseLog } from './parseLog.ts';

const rows = (make: (i: number) => string, count = 40): string =>
  Array.from({ length: count }, (_, i) => make(i)).join('\n');
const read = (heads: string, make: (i: number) => string) => parseLog(`${heads}\n${rows(make)}\n`);

describe('headings of a log as loggers write them', () => {
  test.each([
    'mV',
    'Signal voltage mV',
    'Voltage/mV',
    'CH2 mV',
    'Sensor millivolts',
    'Spannung mV',
    'signal_mv',
    'SignalMV',
  ])('%s is in millivolts', (head) => {
    const log = read(`time_s,${head}`, (i) => `${i},${540 + i}`);
    if (!log.ok) throw new Error(log.reason);
    expect(log.columns[1]).toMatchObject({ use: 'values', unit: 'mV' });
    expect(log.log.channels[0].values[0]).toBeCloseTo(0.54, 9);
  });
  test.each(['Time_ms', 'TimeMs', 't_ms', 'Elapsed_ms', 'Zeit_ms', 'millis', 'ms'])(
    '%s is a clock in milliseconds',
    (head) => {
      const log = read(`${head},Temp C`, (i) => `${i * 125},${20 + (i % 3)}`);
      if (!log.ok) throw new Error(log.reason);
      expect(log.columns[0]).toMatchObject({ use: 'time', time: 'milliseconds' });
      expect(log.log.timeS[39]).toBeCloseTo(4.875, 9);
    },
  );
  test('time_s is a clock in seconds', () => {
    const log = read('time_s,Temp C', (i) => `${i * 2},20`);
    expect(log.ok && log.log.timeS[39]).toBe(78);
  });
  test.each(['ECT', 'CLT', 'MAT', 'IAT'])('%s is a sensor, and its unit stays a question', (head) => {
    const log = read(`time_s,${head}`, (i) => `${i},${20 + i}`);
    expect(log).toMatchObject({ ok: false, reason: 'unit-asked' });
  });
});

describe('damaged times', () => {
  const damaged = (bad: string, at = 20) => read('time_s,Temp C', (i) => `${i === at ? bad : i},${20 + i}`);
  test.each(['1e300', '99999999', '-5000', 'inf', 'nan', '1e999'])(
    'a row with the time %s is left out and counted',
    (bad) => {
      const log = damaged(bad);
      if (!log.ok) throw new Error(log.reason);
      expect([log.rows, log.skipped, log.firstSkipped, log.setBack]).toEqual([39, 1, 22, 0]);
      expect(log.log.timeS[38]).toBe(39);
    },
  );
  test('at the end too', () => {
    const log = damaged('99999999', 39);
    expect(log.ok && [log.rows, log.skipped]).toEqual([39, 1]);
  });
  test('a pause of the logger is no damage, and a clock set back runs on', () => {
    const pause = read('time_s,Temp C', (i) => `${i < 20 ? i : i + 5000},20`);
    expect(pause.ok && [pause.rows, pause.skipped, pause.log.timeS[39]]).toEqual([40, 0, 5039]);
    const back = read('time_s,Temp C', (i) => `${i < 20 ? i : i - 10},20`);
    expect(back.ok && [back.rows, back.skipped, back.setBack]).toEqual([40, 0, 1]);
  });
});

describe('what cannot be is asked, not believed', () => {
  test.each([
    ['Signal [V]', 540],
    ['Coolant [°C]', 36500],
    ['Coolant (°C)', -250],
    ['Sensor [MΩ]', 2200],
  ])('%s with figures about %d: the unit is asked', (head, about) => {
    expect(read(`time_s,${head}`, (i) => `${i},${about + (i % 3)}`)).toMatchObject({
      ok: false,
      reason: 'unit-asked',
    });
  });
  test.each([
    ['Battery [V]', 27.9],
    ['Exhaust [°C]', 905],
    ['Sensor [MΩ]', 20],
    ['Signal [V]', -0.004],
  ])('%s with figures about %d is possible', (head, about) => {
    expect(read(`time_s,${head}`, (i) => `${i},${about + (i % 3) / 1000}`).ok).toBe(true);
  });
  test('what a person said stands; a few wild figures among good ones ask nothing', () => {
    const text = (value: (i: number) => number): string =>
      `time_s,Signal [V]\n${Array.from({ length: 40 }, (_, i) => `${i},${value(i)}`).join('\n')}\n`;
    const said = parseLog(
      text((i) => 540 + i),
      { '1': { unit: 'mV' } },
    );
    expect(said.ok && said.log.channels[0].values[0]).toBeCloseTo(0.54, 9);
    expect(parseLog(text((i) => (i % 5 === 0 ? 999 : 2.5))).ok).toBe(true);
  });
  test('a log without a time is asked for it; the sparest answer is so many seconds a row', () => {
    const text = `Coolant [°C]\tVolts [V]\n${Array.from({ length: 20 }, (_, i) => `${20 + i}\t2.5`).join('\n')}\n`;
    expect(parseLog(text)).toMatchObject({ ok: false, reason: 'time-asked' });
    const every = parseLog(text, {}, 0.2);
    expect(every.ok && [every.log.timeS[1], every.log.timeS[19]]).toEqual([0.2, expect.closeTo(3.8, 9)]);
    expect(every.ok && every.began).toBeNull();
  });
});
