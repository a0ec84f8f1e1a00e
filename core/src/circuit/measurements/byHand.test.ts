import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { neighbourC } from '../network/neighbourC.ts';
import { partedVolts } from '../network/partedVolts.ts';
import { type CircuitState, nominalState, sensorOhm } from '../network/sensorCircuit.ts';
import { SolvedCircuit } from '../network/solvedCircuit.ts';
import type { Conditions } from './measurement.ts';
import { measurementById } from './list.ts';

const circuit = coolantCircuit({ connectors: 3, shares: 'both' });
/** A circuit in which every figure is another, so that no two readings are alike by chance. */
const STATE: CircuitState = {
  ...nominalState(circuit, 12, 2490),
  referenceV: 4.9,
  groundOffsetV: 0.3,
  supplyV: 12.2,
  signalOhm: 0.8,
  returnOhm: 1.2,
  signalFaultOhm: 400,
  signalFaultAt: 4,
  returnFaultOhm: 90,
  returnFaultAt: 2,
  leakGroundS: 1 / 20_000,
  leakReturnS: 1 / 30_000,
  leakSupplyS: 1 / 50_000,
  leakBodyS: 1 / 8000,
  leakAt: 3,
  sensorFactor: 1.1,
  sensorOffsetC: 2,
};
const CONDITIONS: Conditions = { substituteOhm: 1500, bathC: 60, airC: 21, wire: 'signal', position: 2 };
const solved = new SolvedCircuit();
const read = (id: string, change: Partial<CircuitState> = {}, conditions: Conditions = {}): number =>
  measurementById(id).predict(solved.set({ ...STATE, ...change }), { ...CONDITIONS, ...conditions });

const ohmAt = (c: number): number => 1.1 * 2000 * Math.exp(3600 * (1 / (c + 273.15) - 1 / 298.15));
const parallel = (...ohms: number[]): number => 1 / ohms.reduce((sum, ohm) => sum + 1 / ohm, 0);
const wires = 0.8 + 400 + 1.2 + 90;

/** What each test reads in that circuit, by its own sum; the meter loads with 10 MΩ. */
const OHMS: Readonly<Record<string, number>> = {
  'sensor-ohms': ohmAt(14),
  'pin-to-body': 8000,
  'off-ohms': ohmAt(21),
  'bench-ohms': ohmAt(60),
  'known-good-ohms': ohmAt(12) / 1.1,
  'panel-ohms': wires + parallel(ohmAt(14), 30_000),
  'signal-wire-ohms': 400.8,
  'return-wire-ohms': 91.2,
  'isolation-ground': 20_000,
  'isolation-return': 30_000,
  'loop-ohms': wires + parallel(0.02, 30_000),
  // Beyond connector 2: two of the four runs; the fault in the contact of that connector lies before.
  'connector-ohms': 0.4,
};

describe('ohms of a circuit in which every figure is another, by their own sums', () => {
  test.each(Object.entries(OHMS))('%s', (id, ohm) => {
    expect(read(id)).toBeCloseTo(ohm, 6);
    expect(read(id, { leadOhm: 0.3 }), 'the leads add').toBeCloseTo(ohm + 0.3, 6);
    expect(read(id, { meterOverloadOhm: ohm * 0.99 }), 'beyond its range a meter shows OL').toBe(Infinity);
    expect(read(id, { meterOverloadOhm: ohm * (1 + 1e-9) }), 'and not within it').toBeCloseTo(ohm, 6);
  });
  test('the table is of tests on ohms', () => {
    for (const id of Object.keys(OHMS)) expect(measurementById(id).quantity, id).toBe('ohms');
  });
  test('the sensor’s body counts where it is the return', () => {
    expect(read('sensor-ohms', { layout: 'one-wire' })).toBeCloseTo(parallel(ohmAt(14), 8000), 6);
  });
  test('ohms of a part of the loom: either wire, before and beyond', () => {
    expect(read('connector-ohms', { signalFaultAt: 5 })).toBeCloseTo(400.4, 9);
    expect(read('connector-ohms', { signalFaultAt: 4 })).toBeCloseTo(0.4, 9);
    expect(read('connector-ohms', {}, { wire: 'return', position: 1 })).toBeCloseTo(0.9, 9);
    expect(read('connector-ohms', { returnFaultAt: 3 }, { wire: 'return', position: 1 })).toBeCloseTo(90.9, 9);
    // Nothing said: the signal wire, from the first connector on.
    expect(measurementById('connector-ohms').predict(solved.set(STATE), {})).toBeCloseTo(0.6 + 400, 9);
  });
});

describe('volts and displayed values are taken where the test says', () => {
  const volts = (...args: Parameters<SolvedCircuit['volts']>): number => solved.set(STATE).volts(...args);
  const READ: readonly (readonly [string, () => number])[] = [
    ['open-voltage', () => volts('open', 'signal', 'chassis')],
    ['open-voltage-return', () => volts('open', 'signal', 'return')],
    ['supply-to-return', () => volts('open', 'supply', 'return')],
    ['open-voltage-return-bridged', () => volts('open', 'signal', 'return', true)],
    ['loaded-voltage', () => volts('sensor', 'signal', 'chassis')],
    ['loaded-voltage-return', () => volts('sensor', 'signal', 'return')],
    ['return-drop', () => volts('sensor', 'return', 'chassis')],
    ['neighbour-reference', () => volts('sensor', 'reference', 'chassis')],
    ['reference-alone', () => 5.2],
    ['displayed', () => solved.set(STATE).displayedC('sensor')],
    ['displayed-unplugged', () => solved.set(STATE).displayedC('open')],
    ['displayed-bridged', () => solved.set(STATE).displayedC('bridge')],
    ['displayed-substituted', () => solved.set(STATE).displayedC(1500)],
    ['neighbour-displayed', () => neighbourC(STATE, ohmAt(14), 21)],
    ['parted-voltage', () => partedVolts(STATE, 2)],
    ['connector-voltage', () => solved.set(STATE).pointVolts('sensor', 'signal', 4)],
    [
      'contact-drop',
      () => {
        const at = (point: number): number => solved.set(STATE).pointVolts('sensor', 'signal', point);
        return at(4) - at(5);
      },
    ],
    // The battery through its leak against the leak to ground and the meter.
    ['dead-wire-voltage', () => (12.2 * parallel(20_000, 10e6)) / (parallel(20_000, 10e6) + 50_000)],
  ];
  test.each(READ)('%s', (id, expected) => {
    expect(read(id)).toBeCloseTo(expected(), 9);
  });
  test('on the return wire, beyond a connector, and where nothing is said', () => {
    const at = (point: number): number => solved.set(STATE).pointVolts('sensor', 'return', point);
    expect(read('connector-voltage', {}, { wire: 'return', position: 1, side: 'sensor' })).toBeCloseTo(at(3), 9);
    expect(read('contact-drop', {}, { wire: 'return', position: 1 })).toBeCloseTo(at(3) - at(2), 9);
    expect(read('contact-drop', {}, { wire: 'return', position: 1 })).toBeGreaterThan(0);
    expect(measurementById('connector-voltage').predict(solved.set(STATE), {})).toBeCloseTo(
      solved.set(STATE).pointVolts('sensor', 'signal', 2),
      9,
    );
    expect(measurementById('parted-voltage').predict(solved.set(STATE), {})).toBeCloseTo(partedVolts(STATE, 1), 9);
    expect(measurementById('neighbour-displayed').predict(solved.set(STATE), {})).toBeCloseTo(
      neighbourC(STATE, sensorOhm(STATE, 14), 20),
      9,
    );
  });
  test('the load of the meter at hand counts, whatever is measured', () => {
    const coarse = { meterInputOhm: 200_000 };
    expect(read('dead-wire-voltage', coarse)).toBeCloseTo(
      (12.2 * parallel(20_000, 200_000)) / (parallel(20_000, 200_000) + 50_000),
      9,
    );
    expect(read('open-voltage', coarse)).toBeLessThan(read('open-voltage'));
  });
});

describe('where on the way a test looks', () => {
  test.each([
    ['connector-ohms', 'signal', { wire: 'signal', position: 2 }, [5]],
    ['connector-ohms', 'return', { wire: 'signal', position: 2 }, []],
    ['connector-ohms', 'signal', {}, [3]],
    ['connector-voltage', 'return', { wire: 'return', position: 2, side: 'sensor' }, [5]],
    ['connector-voltage', 'return', { wire: 'return', position: 2 }, [4]],
    ['connector-voltage', 'return', {}, []],
    ['connector-voltage', 'signal', {}, [2]],
    ['contact-drop', 'signal', {}, [2, 3]],
    ['contact-drop', 'return', { wire: 'return', position: 3 }, [6, 7]],
    ['contact-drop', 'signal', { wire: 'return', position: 3 }, []],
    ['parted-voltage', 'signal', { position: 2 }, [4]],
    ['parted-voltage', 'leak', {}, [2]],
    ['parted-voltage', 'return', { position: 2 }, []],
    ['neighbour-displayed', 'return', {}, [2]],
    ['neighbour-displayed', 'signal', {}, []],
  ] as const)('%s for a fault of the %s: %o', (id, strand, conditions, points) => {
    expect(measurementById(id).parts!(strand, conditions)).toEqual(points);
  });
});
