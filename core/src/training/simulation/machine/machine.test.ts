import { describe, expect, test } from 'vitest';
import { afterHeat, coldMachine, type HeatSetup } from './heat.ts';
import { MACHINE_CASES, machineCase } from './machineCase.ts';
import { MachineInTime } from './machineInTime.ts';
import { actFromLine } from '../standIns/actLine.ts';
import { standInAddress, standInOf } from '../standIns/standInAddress.ts';
import { driveBench } from '../standIns/driveBench.ts';
import { standInBench } from '../standIns/standInBench.ts';

const SETUP: HeatSetup = {
  ambientC: 20,
  powerW: 7000,
  thermostat: { opensC: 84, spanK: 8, stuckOpen: false },
  fan: { onC: 98, offC: 93 },
  airflow: 1,
};

describe('heat of the machine', () => {
  test('what goes in less what goes out is what warms it: no heat is made or lost', () => {
    const s = coldMachine(SETUP);
    const next = afterHeat(s, SETUP, true, 60);
    // Cold, the thermostat is shut and the losses are small: 7 kW for a minute into 41 kJ/K.
    const stored = 26_000 * (next.blockC - 20) + 15_000 * (next.coolantC - 20);
    expect(stored).toBeGreaterThan(0.97 * 7000 * 60);
    expect(stored).toBeLessThan(7000 * 60);
  });
  test('the thermostat and the fan hold it, cycle after cycle; stuck open it stays cool', () => {
    let s = coldMachine(SETUP);
    const late: number[] = [];
    for (let t = 0; t < 3000; t++) {
      s = afterHeat(s, SETUP, true, 1);
      if (t > 1500) late.push(s.coolantC);
    }
    expect(Math.min(...late)).toBeGreaterThan(84);
    expect(Math.max(...late)).toBeLessThan(101);
    expect(Math.max(...late) - Math.min(...late)).toBeGreaterThan(3);
    const open = { ...SETUP, thermostat: { ...SETUP.thermostat, stuckOpen: true }, airflow: 2.2 };
    expect(afterHeat(coldMachine(open), open, true, 4000).coolantC).toBeLessThan(75);
  });
  test('stopped, the block goes on heating the coolant, then all cools down', () => {
    let s = afterHeat(coldMachine(SETUP), SETUP, true, 520);
    const stopped = s.coolantC;
    s = afterHeat(s, SETUP, false, 60);
    expect(s.coolantC).toBeGreaterThan(stopped);
    expect(afterHeat(s, SETUP, false, 40_000).coolantC).toBeLessThan(30);
  });
});

describe('a machine in time', () => {
  test('same case and number, same course; another number, another', () => {
    const run = (seed: number): number[] => {
      const m = new MachineInTime(machineCase('loose-plug'), seed);
      m.do({ act: 'key', to: 'running' });
      const out: number[] = [];
      for (let t = 1; t < 60; t++) {
        m.advanceTo(t);
        out.push(m.volts('coolant'));
      }
      return out;
    };
    expect(run(5)).toEqual(run(5));
    expect(run(5)).not.toEqual(run(6));
  });
  test.each(MACHINE_CASES)('$id: its faults are there when they should be', ({ id, faults }) => {
    const m = new MachineInTime(machineCase(id), 2);
    m.do({ act: 'key', to: 'on' });
    m.advanceTo(5);
    const cold = m.faultyNow('coolant');
    m.do({ act: 'sensor-at', site: 'coolant', toC: 95 });
    m.advanceTo(120);
    const hot = m.faultyNow('coolant');
    m.advanceTo(400);
    m.do({ act: 'sensor-at', site: 'coolant', toC: null });
    m.advanceTo(700);
    const after = m.faultyNow('coolant');
    const kind = faults[0]?.when.kind;
    if (kind === 'always') expect([cold, hot, after]).toEqual([true, true, true]);
    else if (kind === 'above') expect([cold, hot, after]).toEqual([false, true, false]);
    else if (kind === 'after-heat') expect([cold, hot, after]).toEqual([false, false, true]);
    else if (kind === undefined) expect([cold, hot, after]).toEqual([false, false, false]);
  });
  test('a loose plug drops out far more often while its own place is wiggled', () => {
    const away = (place: string | null): number => {
      const m = new MachineInTime(machineCase('loose-plug'), 11);
      m.do({ act: 'key', to: 'on' });
      m.do({ act: 'wiggle', place });
      let n = 0;
      for (let t = 0.5; t < 300; t += 0.5) {
        m.advanceTo(t);
        if (m.faultyNow('coolant')) n++;
      }
      return n;
    };
    expect(away('engine plug')).toBeGreaterThan(20);
    expect(away('sensor plug')).toBeLessThan(8);
    expect(away(null)).toBeLessThan(8);
  });
  test('the plug moves the display and the meter; the ohms are those of the sensor alone, and only on free pins', () => {
    const m = new MachineInTime(machineCase('sound'), 3);
    expect(m.displayedC('coolant')).toBeNull();
    m.do({ act: 'key', to: 'on' });
    m.advanceTo(1);
    expect(m.displayedC('coolant')!).toBeCloseTo(m.setup.ambientC, -0.5);
    expect(m.ohms('coolant')).toBe(Infinity);
    m.do({ act: 'plug', site: 'coolant', to: 'open' });
    expect(m.displayedC('coolant')).toBe(-40);
    expect(m.volts('coolant')).toBeGreaterThan(4.9);
    expect(m.displayedC('intake')!).toBeGreaterThan(0);
    m.do({ act: 'leads', site: 'coolant', to: 'sensor' });
    expect(m.volts('coolant')).toBe(0);
    expect(m.ohms('coolant')).toBeGreaterThan(1500);
    expect(m.ohms('coolant')).toBeLessThan(4500);
    m.do({ act: 'plug', site: 'coolant', to: 'bridge' });
    expect(m.displayedC('coolant')!).toBeGreaterThan(140);
  });
});

test('acts as lines, and what is none', () => {
  const read = (line: string) => actFromLine(line, 'coolant', ['engine plug']);
  expect(read('key running')).toEqual({ act: 'key', to: 'running' });
  expect(read('plug 1000')).toEqual({ act: 'plug', site: 'coolant', to: 1000 });
  expect(read('wiggle engine plug')).toEqual({ act: 'wiggle', place: 'engine plug' });
  expect(read('wiggle nothing')).toEqual({ act: 'wiggle', place: null });
  expect(read('sensor-at place')).toEqual({ act: 'sensor-at', site: 'coolant', toC: null });
  for (const line of ['', 'key', 'key fast', 'plug 0', 'plug -5', 'wiggle sofa', 'sensor-at 900', 'leads moon'])
    expect(read(line), line).toBeNull();
});

test('the address of a stand-in reads back; one that is none of ours does not', () => {
  const choice = { case: 'after-heat', seed: 12, bench: 'ab3', speed: 10 };
  expect(standInOf(standInAddress('meter', choice))).toEqual({ device: 'meter', choice });
  for (const bad of [
    '/instruments/kettle?case=sound&seed=1&bench=a&speed=1',
    '/instruments/meter',
    '/instruments/meter?case=sound&seed=1&bench=a&speed=0',
    '/x',
  ])
    expect(standInOf(bad), bad).toBeNull();
});

test('recorded with the drivers: every channel on one clock that never runs back', () => {
  const bench = standInBench('sound', 8);
  const log = driveBench(bench, 30, ['meter', 'adapter', 'bus', 'thermometer'], 0.25, [
    { atS: 0, acts: [{ act: 'key', to: 'on' }] },
  ]);
  expect(log.channels.map((c) => c.id).sort()).toEqual(
    [
      'adapter 05',
      'adapter 0F',
      'adapter 46',
      'adapter 5C',
      'bus 105',
      'bus 110',
      'bus 175',
      'meter volts',
      'thermometer 1',
    ].sort(),
  );
  for (let i = 1; i < log.timeS.length; i++) expect(log.timeS[i]).toBeGreaterThan(log.timeS[i - 1]);
  const volts = log.channels.find((c) => c.id === 'meter volts')!.values.filter((v) => Number.isFinite(v));
  expect(volts.length).toBeGreaterThan(60);
});
