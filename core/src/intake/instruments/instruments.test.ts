import { describe, expect, test } from 'vitest';
import { seededUniform } from '../../base/numeric/random.ts';
import { standInBench } from '../../training/simulation/standIns/standInBench.ts';
import { benchMeter, scpiFigure } from './benchMeter.ts';
import { busFrame, busLog, busTemperatures } from './busLog.ts';
import { decadeBox } from './decadeBox.ts';
import type { Driver, Heard } from './heard.ts';
import { lineSplitter } from './lineSplitter.ts';
import { BUS_PARAMETERS, busTemperatureC, PARAMETERS, pgnOf, supportedPids } from './parameters.ts';
import { type Sample, standStill } from './standStill.ts';
import { lineCheck, thermometerLine } from './thermometerLine.ts';
import { framed, unframed, vehicleAdapter } from './vehicleAdapter.ts';
import { reference } from '../../../test/reference.ts';

const samples = (heard: readonly Heard[]): number[] => heard.flatMap((h) => (h.kind === 'sample' ? [h.value] : []));
const faults = (heard: readonly Heard[]): string[] => heard.flatMap((h) => (h.kind === 'fault' ? [h.fault] : []));

/** A meter that has said its name and is waiting for its first reading. */
function waitingMeter(): ReturnType<typeof benchMeter> {
  const meter = benchMeter(0.1);
  expect(meter.step(0).send).toBe('*IDN?\n');
  expect(meter.hear('MAKER,MODEL,0,1\n', 0.1)).toEqual([{ kind: 'named', name: 'MAKER MODEL' }]);
  expect(meter.step(0.2).send).toBe('CONF:VOLT:DC\nREAD?;:CONF?\n');
  return meter;
}
const VOLTS = '+4.98712000E+00;"VOLT +1.0E+01,+1.0E-05"';

describe('the bench meter over SCPI', () => {
  test('a figure is taken with the function it is of, and the next question follows', () => {
    const meter = waitingMeter();
    expect(meter.hear(`${VOLTS}\r\n`, 0.3)).toEqual([
      { kind: 'sample', channel: 'meter volts', timeS: 0.3, value: 4.98712 },
    ]);
    expect(meter.step(0.35).send).toBe('');
    expect(meter.step(0.41).send).toBe('READ?;:CONF?\n');
  });
  test('an answer of the function before is right, and not taken', () => {
    const meter = waitingMeter();
    meter.use('ohms');
    expect(meter.hear(`${VOLTS}\n`, 0.3)).toEqual([]);
    expect(meter.step(1).send).toBe('CONF:RES\nREAD?;:CONF?\n');
    expect(samples(meter.hear('+2.88000000E+03;"RES +1.0E+05,+1.0E-01"\n', 1.1))).toEqual([2880]);
  });
  test('OL is SCPI’s infinity on ohms, and no voltage', () => {
    const meter = waitingMeter();
    expect(faults(meter.hear('+9.90000000E+37;"VOLT +1.0E+01,+1.0E-05"\n', 0.3))).toEqual(['refused']);
    meter.use('ohms');
    meter.step(1);
    expect(samples(meter.hear('+9.90000000E+37;"RES +1.0E+05,+1.0E-01"\n', 1.1))).toEqual([Infinity]);
  });
  test.each([
    ['half an answer', '+4.98712', 'half'],
    ['a figure that lost digits', '+4.98E+00;"VOLT +1.0E+01,+1.0E-05"\n', 'garbled'],
    ['a figure without its function', '+4.98712000E+00\n', 'garbled'],
    ['noise', '@@\u0000ÿ\n', 'garbled'],
    ['two answers in one line', `${VOLTS}${VOLTS}\n`, 'garbled'],
    ['more than any meter shows', '+4.98712000E+09;"VOLT +1.0E+01,+1.0E-05"\n', 'garbled'],
  ])('%s is told, and nothing taken', (_, text, fault) => {
    const meter = waitingMeter();
    const heard = [...meter.hear(text, 0.3), ...meter.step(1.4).heard];
    expect(samples(heard)).toEqual([]);
    expect(faults(heard)).toContain(fault);
  });
  test('a second answer at once is not asked for; the first is taken', () => {
    const meter = waitingMeter();
    const heard = meter.hear(`${VOLTS}\n+1.00000000E+00;"VOLT +1.0E+01,+1.0E-05"\n`, 0.3);
    expect(samples(heard)).toEqual([4.98712]);
    expect(faults(heard)).toEqual(['unasked']);
  });
  test('silence is told after two seconds, and what comes late is not taken', () => {
    const meter = waitingMeter();
    expect(meter.step(2.1).heard).toEqual([]);
    expect(faults(meter.step(2.3).heard)).toEqual(['silent']);
    expect(faults(meter.hear(`${VOLTS}\n`, 2.5))).toEqual(['unasked']);
    expect(meter.step(3).send).toBe('CONF:VOLT:DC\nREAD?;:CONF?\n');
  });
  test('figures as IEEE 488.2 prints them (NR3)', () => {
    expect(scpiFigure(4.98712)).toBe('+4.98712000E+00');
    expect(scpiFigure(-0.0123456789)).toBe('-1.23456789E-02');
    expect(scpiFigure(2.88e6)).toBe('+2.88000000E+06');
    expect(scpiFigure(Infinity)).toBe('+9.90000000E+37');
  });
});

describe('the vehicle adapter', () => {
  test('every temperature of SAE J1979 service 01 as the reference table has it (from memory; decoded alike by python3-scapy)', () => {
    let checked = 0;
    for (const row of reference('saej1979-temperature-pids.csv')) {
      const parameter = PARAMETERS.find((p) => `01${p.pid}` === row.service_pid);
      if (row.unit !== 'C') continue;
      expect(parameter, row.name).toBeDefined();
      expect(parameter!.bytes).toBe(Number(row.data_bytes));
      for (const [, bytes, values] of row.example.matchAll(/((?:0x)?[0-9A-F][0-9A-F ]*) -> ([-\d., ]+)/g)) {
        const hex = bytes.replace('0x', '').replaceAll(' ', '');
        const data = hex.match(/../g)!.map((b) => parseInt(b, 16));
        const read = parameter!.sensors.flatMap((s) => s.read(data) ?? []);
        expect(read).toEqual(values.split(',').map(Number));
        checked++;
      }
    }
    expect(checked).toBeGreaterThanOrEqual(8);
  });
  test('support masks: the standard’s BE 1F A8 13 names 01 03 04 05 06 07 0C … (worked example, from memory)', () => {
    expect(supportedPids(0, [0xbe, 0x1f, 0xa8, 0x13])).toEqual([
      '01',
      '03',
      '04',
      '05',
      '06',
      '07',
      '0C',
      '0D',
      '0E',
      '0F',
      '10',
      '11',
      '13',
      '15',
      '1C',
      '1F',
      '20',
    ]);
  });
  test('a frame is what it was; a letter lost or turned is noticed', () => {
    const line = framed('A', 0x1c, [0x41, 0x05, 0x7b]);
    expect(line).toBe('A 1C 41 05 7B =DD');
    expect(unframed(line, 'AN')).toEqual({ letter: 'A', number: 0x1c, bytes: [0x41, 0x05, 0x7b] });
    for (let i = 0; i < line.length; i++) {
      expect(unframed(line.slice(0, i) + line.slice(i + 1), 'AN')).toBeNull();
      const other = line[i] === '0' ? '1' : '0';
      expect(unframed(line.slice(0, i) + other + line.slice(i + 1), 'AN')).toBeNull();
    }
  });
  test('it asks what there is, then each in turn; an answer to another question is not taken', () => {
    const adapter = vehicleAdapter(0.1);
    const asked = (send: string): number[] => unframed(send.trim(), 'Q')!.bytes;
    const answer = (n: number, bytes: number[]): string => `${framed('A', n, bytes)}\n`;
    expect(asked(adapter.step(0).send)).toEqual([1, 0]);
    expect(adapter.hear(answer(1, [0x41, 0, 0x08, 0x02, 0, 0]), 0.1)).toHaveLength(2);
    expect(asked(adapter.step(0.2).send)).toEqual([1, 5]);
    expect(faults(adapter.hear(answer(1, [0x41, 5, 100]), 0.3))).toEqual(['unasked']);
    expect(samples(adapter.hear(answer(2, [0x41, 5, 100]), 0.35))).toEqual([60]);
    expect(asked(adapter.step(0.6).send)).toEqual([1, 0x0f]);
    expect(faults(adapter.hear(answer(3, [0x41, 5, 100]), 0.7))).toEqual(['garbled']);
    expect(asked(adapter.step(1.1).send)).toEqual([1, 5]);
    expect(faults(adapter.hear(`${framed('N', 4, [])}\n`, 1.2))).toEqual(['refused']);
    adapter.step(2);
    expect(faults(adapter.step(4).heard)).toEqual(['silent']);
  });
});

describe('the heavy-duty bus (SAE J1939-71, from memory)', () => {
  test('coolant of one byte, oil of two; the top of the range is no temperature', () => {
    const frame = busFrame('12.340 18FEEE00 8 5AFFFF2BFFFFFFFF')!;
    expect(frame).toEqual({ timeS: 12.34, pgn: 65262, data: [0x5a, 0xff, 0xff, 0x2b, 0xff, 0xff, 0xff, 0xff] });
    expect(busTemperatures(frame)).toEqual([
      { spn: 110, name: 'Coolant', valueC: 50 },
      { spn: 175, name: 'Engine oil', valueC: 0x2bff / 32 - 273 },
    ]);
    const oil = BUS_PARAMETERS.find((p) => p.spn === 175)!;
    expect(busTemperatureC(oil, [0, 0, 0x00, 0x25, 0, 0, 0, 0])).toBe(0x2500 / 32 - 273);
    expect(busTemperatureC(oil, [0, 0, 0xff, 0xfe, 0, 0, 0, 0])).toBe('error');
    const coolant = BUS_PARAMETERS[0];
    expect(busTemperatureC(coolant, [0xfa])).toBe(210);
    expect(busTemperatureC(coolant, [0xfb])).toBe('not-there');
    expect(busTemperatureC(coolant, [0xfe])).toBe('error');
    expect(busTemperatureC(coolant, [0xff])).toBe('not-there');
  });
  test('a group with a destination leaves it out of its number', () => {
    expect(pgnOf(0x18feee00)).toBe(0xfeee);
    expect(pgnOf(0x0cef2103)).toBe(0xef00);
    expect(pgnOf(0x19feee00)).toBe(0x1feee);
  });
  test('a log line that is cut or torn is told', () => {
    const bus = busLog();
    expect(faults(bus.hear('12.340 18FEEE00 8 5AFFFF2BFFFF\n', 1))).toEqual(['garbled']);
    expect(faults(bus.hear('12.340 18FE', 2))).toEqual([]);
    expect(faults(bus.step(3.1).heard)).toEqual(['half']);
  });
});

test('the thermometer: °F is read as such, a line sent twice is one, silence is told', () => {
  const t = thermometerLine();
  const line = (text: string): string => `${text},${lineCheck(text)}\n`;
  expect(samples(t.hear(line('1,21.4,C') + line('2,70.7,F'), 1))).toEqual([21.4, 21.5]);
  expect(faults(t.hear(line('2,70.7,F'), 1.5))).toEqual(['unasked']);
  expect(faults(t.hear('3,21.4,C\n', 2))).toEqual(['garbled']);
  // A digit lost on the way leaves a figure that looks sound.
  expect(faults(t.hear(line('4,21.4,C').replace('21.4', '1.4'), 2))).toEqual(['garbled']);
  expect(faults(t.step(5.9).heard)).toEqual([]);
  expect(faults(t.step(6.1).heard)).toEqual(['silent']);
});

test('the decade box is set, and only what it says it has counts', () => {
  const box = decadeBox();
  expect(box.step(0).send).toBe('');
  box.put(1000);
  expect(box.step(0.1).send).toBe('R 1000\n');
  expect(box.hear('= 1000\n', 0.2)).toEqual([{ kind: 'set', ohm: 1000 }]);
  box.put(null);
  expect(box.step(0.3).send).toBe('R OPEN\n');
  expect(faults(box.hear('= 1000\n', 0.4))).toEqual(['refused']);
  expect(() => box.put(0.5)).toThrow('whole ohms');
});

test('lines come whole out of any pieces; one without an end is no line', () => {
  const s = lineSplitter();
  expect(s.push('ab', 0)).toEqual([]);
  expect(s.push('c\r', 0.1)).toEqual(['abc']);
  expect(s.push('\nde\n\nf', 0.2)).toEqual(['de']);
  expect(s.overdue(0.9, 1)).toBeNull();
  expect(s.overdue(1.3, 1)).toBe('f');
  expect(s.push(`${'x'.repeat(300)}\nok\n`, 2)).toEqual([null, 'ok']);
});

/** Answers as they should be, for each driver, after what it asked. */
const TALKS: readonly { name: string; driver: () => Driver; device: 'meter' | 'adapter' | 'bus' | 'thermometer' }[] = [
  { name: 'meter', driver: () => benchMeter(0.1), device: 'meter' },
  { name: 'adapter', driver: () => vehicleAdapter(0.1), device: 'adapter' },
  { name: 'bus', driver: busLog, device: 'bus' },
  { name: 'thermometer', driver: thermometerLine, device: 'thermometer' },
];

describe.each(TALKS)('with its stand-in: $name', ({ driver, device }) => {
  test('values come, and no faults', () => {
    const bench = standInBench('sound', 4);
    bench.machine.do({ act: 'key', to: 'on' });
    const own = driver();
    const heard: Heard[] = [];
    for (let now = 0; now < 12; now += 0.02) {
      const { send, heard: told } = own.step(now);
      bench.devices[device].receive(send, now);
      heard.push(...told, ...own.hear(bench.devices[device].take(now), now));
    }
    expect(faults(heard)).toEqual([]);
    expect(samples(heard).length).toBeGreaterThan(8);
  });
  test('what is turned, lost or cut on the way is never taken for another figure', () => {
    const bench = standInBench('sound', 4);
    bench.machine.do({ act: 'key', to: 'on' });
    const uniform = seededUniform(99);
    const own = driver();
    // A still machine: every value that is right lies in these bounds.
    const right = (h: Extract<Heard, { kind: 'sample' }>): boolean =>
      h.channel === 'meter volts' ? h.value > 2 && h.value < 3.6 : h.value > 8 && h.value < 30;
    let [garbled, wrong, taken] = [0, 0, 0];
    for (let now = 0; now < 160; now += 0.02) {
      const { send, heard: told } = own.step(now);
      bench.devices[device].receive(send, now);
      let text = bench.devices[device].take(now);
      if (text !== '' && uniform() < 0.4) {
        garbled++;
        const at = Math.floor(uniform() * text.length);
        const how = uniform();
        if (how < 0.3) text = text.slice(0, at);
        else if (how < 0.6) text = text.slice(0, at) + text.slice(at + 1);
        else text = `${text.slice(0, at)}#${text.slice(at + 1)}`;
      }
      for (const h of [...told, ...own.hear(text, now)]) {
        if (h.kind !== 'sample') continue;
        taken++;
        if (!right(h)) wrong++;
      }
    }
    expect(garbled).toBeGreaterThan(20);
    expect(taken).toBeGreaterThan(20);
    expect(wrong).toBe(0);
  });
});

describe('standing still', () => {
  const at = (values: readonly number[], everyS = 0.5): Sample[] =>
    values.map((value, i) => ({ timeS: i * everyS, value }));
  test('values that agree for three seconds are one figure: their middle', () => {
    expect(standStill(at([4.98, 4.981, 4.98, 4.982, 4.979, 4.98, 4.98]), 'volts')).toMatchObject({
      still: true,
      value: 4.98,
    });
    expect(standStill(at([21, 21, 22, 21, 21, 21, 21]), 'celsius')).toMatchObject({ still: true, value: 21 });
    expect(standStill(at([Infinity, Infinity, Infinity, Infinity]), 'ohms')).toMatchObject({
      still: true,
      value: Infinity,
    });
  });
  test('a lone one is never taken: three must agree', () => {
    expect(standStill(at([4.98]), 'volts')).toMatchObject({ still: false, why: 'few' });
    expect(standStill(at([4.98, 4.98]), 'volts')).toMatchObject({ still: false, why: 'few' });
    expect(standStill(at([4.98, 4.98, 4.98, 4.98, 4.98, 4.98, 0.02]), 'volts')).toMatchObject({ still: false });
    expect(standStill(at([2000, 2001, 2000, Infinity, 2000]), 'ohms')).toMatchObject({ still: false, why: 'noisy' });
  });
  test('what still runs is told with its slope a minute', () => {
    const s = standStill(at([3, 2.98, 2.96, 2.94, 2.92, 2.9, 2.88]), 'volts');
    expect(s).toMatchObject({ still: false, why: 'moving' });
    expect(s.still ? NaN : s.amount).toBeCloseTo(-2.4, 6);
  });
  test('values older than the window do not count', () => {
    const old = at([1, 1, 1, 1, 1], 0.1);
    const now = [4, 4.3, 4.6, 5].map((t) => ({ timeS: t + 6, value: 4.98 }));
    expect(standStill([...old, ...now], 'volts')).toMatchObject({ still: false, why: 'few' });
    expect(standStill([...old, ...now, { timeS: 11.6, value: 4.98 }], 'volts')).toMatchObject({ still: true });
  });
});
