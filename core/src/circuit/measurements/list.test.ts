import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { SolvedCircuit } from '../network/solvedCircuit.ts';
import { nominalState } from '../network/sensorCircuit.ts';
import { isMeasurementId, measurementById, MEASUREMENTS } from './list.ts';

const at = (id: string, change: Parameters<typeof coolantCircuit>[0] = {}, faults: object = {}): number => {
  const state = { ...nominalState(coolantCircuit(change), 12, 2490), ...faults };
  return measurementById(id).predict(new SolvedCircuit().set(state), {
    substituteOhm: 1000,
    bathC: 60,
    wire: 'return',
    position: 1,
  });
};

describe.each(MEASUREMENTS.map((m) => [m.id, m] as const))('measurement %s', (id, m) => {
  test('tells how it is done', () => {
    expect(MEASUREMENTS.filter((x) => x.id === id)).toHaveLength(1);
    expect(m.steps.length).toBeGreaterThan(0);
    expect(m.repeatMinutes).toBeGreaterThan(0);
    expect(m.repeatMinutes).toBeLessThanOrEqual(m.minutes);
    expect(m.layouts.length).toBeGreaterThan(0);
    if (m.quantity !== 'celsius') expect(m.tools).toContain('meter');
  });
  test('ohms are never asked for with the key on', () => {
    if (m.quantity === 'ohms') expect(['key-off', 'both-ends-free', 'taken-off']).toContain(m.setup);
  });
});

test('a bridge, a substitute and hot water carry their caution', () => {
  for (const m of MEASUREMENTS) {
    if (m.tools.includes('jumper') || m.needs.includes('substituteOhm') || m.needs.includes('bathC'))
      expect(m.caution).toBeTruthy();
  }
});

test('worked by hand: divider, drop, loop and isolation of a healthy circuit', () => {
  const ohm = 2000 * Math.exp(3600 * (1 / 285.15 - 1 / 298.15));
  expect(at('sensor-ohms')).toBeCloseTo(ohm, 6);
  const parallel = 1 / (1 / ohm + 1e-6 + 1e-7);
  expect(at('loaded-voltage', {}, { inputOhm: 1e6 })).toBeCloseTo((5 * parallel) / (parallel + 2490), 3);
  expect(Math.abs(at('return-drop'))).toBeLessThan(0.001);
  expect(at('supply-to-return')).toBeCloseTo(12.6, 3);
  expect(at('isolation-ground')).toBe(Infinity);
  expect(at('loop-ohms')).toBeLessThan(3.1);
  expect(at('dead-wire-voltage')).toBe(0);
});

test('faults show where they sit', () => {
  expect(at('signal-wire-ohms', {}, { signalFaultOhm: 3000 })).toBeGreaterThan(3000);
  expect(at('return-wire-ohms', {}, { signalFaultOhm: 3000 })).toBeLessThan(2);
  expect(at('isolation-return', {}, { leakReturnS: 1e-4 })).toBeCloseTo(10_000, 6);
  expect(at('panel-ohms', {}, { leakReturnS: 1 })).toBeLessThan(5);
  expect(at('dead-wire-voltage', {}, { leakSupplyS: 1e-3 })).toBeCloseTo(12.6, 2);
  expect(at('sensor-ohms', {}, { sensorFixedOhm: 5e8 })).toBe(Infinity);
  expect(at('connector-ohms', { connectors: 1 }, { returnFaultOhm: 700, returnFaultAt: 3 })).toBeGreaterThan(700);
  expect(at('connector-ohms', { connectors: 1 }, { returnFaultOhm: 700, returnFaultAt: 2 })).toBeLessThan(1);
  // The in-between unloaded voltage of a leak to ground does not change when the return is bridged.
  const leak = { leakGroundS: 1 / 3000 };
  expect(at('open-voltage-return-bridged', {}, leak)).toBeCloseTo(at('open-voltage-return', {}, leak), 2);
});

test('the reference without its neighbours: as it is, or as it was before one dragged it down; the ground offset counts', () => {
  const low = { referenceV: 3, groundOffsetV: 0.1 };
  expect(at('reference-alone', {}, low)).toBeCloseTo(3.1, 12);
  expect(at('reference-alone', {}, { ...low, aloneV: 5 })).toBeCloseTo(5.1, 12);
  expect(at('neighbour-reference', {}, { ...low, aloneV: 5 })).toBeCloseTo(3.1, 3);
});

test('unknown ids are refused', () => {
  expect(isMeasurementId('guess')).toBe(false);
  expect(() => measurementById('guess')).toThrow('measurementById');
});
