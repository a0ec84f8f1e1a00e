import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { otherCommonCurves } from '../../catalogue/parts/curves.ts';
import { type CircuitState, nominalState } from '../network/sensorCircuit.ts';
import type { Setting } from './fault.ts';
import { faultById, FAULTS } from './list.ts';
import { canStandTogether } from './together.ts';

const circuit = coolantCircuit({ connectors: 2, hotPullUpOhm: 350, switchRatio: 0.1 });
const whole = [{ from: 0, to: 7, share: 1, name: '' }];
const setting: Setting = {
  layout: 'pull-up',
  stretches: { signal: whole, return: whole, leak: whole },
  otherCurves: otherCommonCurves(circuit.curve),
  curveKnown: true,
  noticed: null,
  neighbours: false,
};
const RP = 2490;

/** What a branch changes of a healthy circuit at one end of its sizes. */
function changed(id: string, branch: number, position: number, in_: Setting = setting): Partial<CircuitState> {
  const healthy = nominalState(circuit, 12, RP);
  const state = nominalState(circuit, 12, RP);
  faultById(id).branches(in_)[branch].apply(state, position);
  return Object.fromEntries(
    Object.entries(state).filter(([key, value]) => !Object.is(value, healthy[key as keyof CircuitState])),
  );
}

/** Each fault's branches: share, what they set, from and to. The sizes are those of the fault model, §3. */
const SIZES: Readonly<Record<string, readonly (readonly [number, keyof CircuitState, number, number])[]>> = {
  healthy: [],
  'sensor-open': [[1, 'sensorFixedOhm', 2e6, 1e9]],
  'sensor-short': [[1, 'sensorFixedOhm', 0.1, 20]],
  'sensor-high': [[1, 'sensorFactor', 1.12, 30]],
  'sensor-low': [[1, 'sensorFactor', 0.01, 0.88]],
  'sensor-to-body': [[1, 'leakBodyS', 10, 1 / (10 * RP)]],
  'signal-open': [
    [0.6, 'signalFaultOhm', 1e12, 1e12],
    [0.4, 'signalFaultOhm', 2e6, 1e9],
  ],
  'return-open': [
    [0.6, 'returnFaultOhm', 1e12, 1e12],
    [0.4, 'returnFaultOhm', 2e6, 1e9],
  ],
  'signal-resistive': [[1, 'signalFaultOhm', 0.02 * RP, 1e6]],
  'return-resistive': [[1, 'returnFaultOhm', 0.02 * RP, 1e6]],
  'signal-to-ground': [[1, 'leakGroundS', 10, 1 / (10 * RP)]],
  'signal-to-return': [[1, 'leakReturnS', 10, 1 / (10 * RP)]],
  'signal-to-supply': [[1, 'leakSupplyS', 10, 1 / (20 * RP)]],
  'reference-missing': [[1, 'referenceV', 0, 0.2]],
  'reference-low': [[1, 'referenceV', 1, 4.65]],
  'reference-high': [[1, 'referenceV', 5.35, 7.5]],
  'ground-offset': [[1, 'groundOffsetV', 0.15, 2]],
  'pull-up-drift': [
    [0.4, 'pullUpOhm', 0.3 * RP, 0.85 * RP],
    [0.6, 'pullUpOhm', 1.18 * RP, 5 * RP],
  ],
  'input-conversion': [
    [0.4, 'displayOffsetC', -60, -8],
    [0.4, 'displayOffsetC', 8, 60],
    [0.2, 'displayStuckC', -40, 140],
  ],
  placement: [
    // At 12 °C: 4 K at least, towards surroundings of 0 °C or 45 °C; or heated.
    [0.5, 'sensorOffsetC', -4, -12],
    [0.25, 'sensorOffsetC', 4, 33],
    [0.25, 'sensorOffsetC', 6, 40],
  ],
};

describe('what each fault does to a circuit, from its least to its greatest size', () => {
  test.each(Object.entries(SIZES))('%s', (id, branches) => {
    const found = faultById(id).branches(setting);
    if (id === 'healthy') {
      expect(changed(id, 0, 0.5)).toEqual({});
      return;
    }
    expect(found.map((b) => b.share)).toEqual(branches.map(([share]) => share));
    branches.forEach(([, field, from, to], i) => {
      for (const [position, size] of [
        [0, from],
        [1, to],
      ] as const) {
        const state = changed(id, i, position);
        const fields = Object.keys(state).filter((key) => key !== 'hotPullUpOhm');
        expect(fields, `${id} ${i}`).toEqual([field]);
        expect(Number(state[field]) / size || Number(state[field])).toBeCloseTo(size === 0 ? 0 : 1, 9);
      }
      expect(found[i].sized).toBe(from !== to);
    });
  });
  test('the sensor of another type is its curve, or a factor where the curve is not known', () => {
    const known = faultById('sensor-wrong-type').branches(setting);
    expect(known.map((b) => b.detail)).toEqual(setting.otherCurves.map((c) => c.name));
    expect(known.reduce((sum, b) => sum + b.share, 0)).toBeCloseTo(1, 12);
    expect(changed('sensor-wrong-type', 1, 0)).toEqual({ sensorCurve: setting.otherCurves[1].model });
    const unknown = { ...setting, curveKnown: false };
    expect(
      faultById('sensor-wrong-type')
        .branches(unknown)
        .map((b) => b.share),
    ).toEqual([0.5, 0.5]);
    const factors = [0, 1].flatMap((i) => [0, 1].map((p) => changed('sensor-wrong-type', i, p, unknown).sensorFactor!));
    [0.05, 0.8, 1.25, 20].forEach((size, i) => expect(factors[i]).toBeCloseTo(size, 12));
  });
  test('a pull-up drifts with its hot one, where there is one', () => {
    expect(changed('pull-up-drift', 1, 1).hotPullUpOhm).toBeCloseTo(350 * 5, 9);
    const cold = nominalState(coolantCircuit(), 12, RP);
    faultById('pull-up-drift').branches(setting)[0].apply(cold, 0);
    expect(cold.hotPullUpOhm).toBeNull();
  });
  test('half way, a size that runs over decades is the geometric middle, one that runs over volts or kelvin the plain one', () => {
    expect(changed('sensor-short', 0, 0.5).sensorFixedOhm).toBeCloseTo(Math.SQRT2, 9);
    expect(changed('ground-offset', 0, 0.5).groundOffsetV).toBeCloseTo(1.075, 9);
    expect(changed('placement', 2, 0.5).sensorOffsetC).toBeCloseTo(23, 9);
  });
  test('the size told is the size put in', () => {
    for (const fault of FAULTS) {
      for (const [i, branch] of fault.branches(setting).entries()) {
        const state = nominalState(circuit, 12, RP);
        const size = branch.apply(state, 0.3);
        if (fault.unit === 'ohm' && branch.sized) {
          const value = Number(Object.values(changed(fault.id, i, 0.3))[0]);
          const isLeak = Object.keys(changed(fault.id, i, 0.3))[0].startsWith('leak');
          expect(isLeak ? 1 / value : value, fault.id).toBeCloseTo(size, 6);
        }
        if (fault.unit === 'factor' && fault.group === 'reference') expect(state.referenceV).toBeCloseTo(5 * size, 9);
      }
    }
  });
});

describe('where a fault lies, and by whom', () => {
  test('each stretch has its share, its name and its place, and the fault lies at its first element', () => {
    const parted: Setting = {
      ...setting,
      stretches: {
        ...setting.stretches,
        signal: [
          { from: 0, to: 3, share: 0.4, name: 'before' },
          { from: 3, to: 7, share: 0.6, name: 'beyond' },
        ],
        leak: [
          { from: 0, to: 5, share: 0.3, name: 'module side' },
          { from: 5, to: 7, share: 0.7, name: 'sensor side' },
        ],
      },
    };
    const [, beyond] = faultById('signal-resistive').branches(parted);
    expect(beyond).toMatchObject({ share: 0.6, detail: 'beyond', place: { strand: 'signal', from: 3, to: 7 } });
    expect(changed('signal-resistive', 1, 1, parted).signalFaultAt).toBe(3);
    const open = faultById('signal-open').branches(parted);
    expect(open.map((b) => Number(b.share.toFixed(9)))).toEqual([0.24, 0.36, 0.16, 0.24]);
    expect(changed('signal-open', 3, 0, parted).signalFaultAt).toBe(3);
    const [, leak] = faultById('signal-to-ground').branches(parted);
    expect(leak).toMatchObject({ share: 0.7, detail: 'sensor side', place: { strand: 'leak', from: 5, to: 7 } });
    expect(changed('signal-to-ground', 1, 1, parted).leakAt).toBe(5);
    expect(faultById('return-resistive').branches(parted)[0].detail).toBeUndefined();
  });
  test('a reference that a neighbour drags down comes back without it; one that is the module’s own does not', () => {
    const shared = { ...setting, neighbours: true };
    for (const [id, byNeighbour] of [
      ['reference-low', 0.7],
      ['reference-missing', 0.5],
    ] as const) {
      const [neighbour, own] = faultById(id).branches(shared);
      expect([neighbour.share, own.share].map((s) => Number(s.toFixed(9)))).toEqual([
        byNeighbour,
        Number((1 - byNeighbour).toFixed(9)),
      ]);
      expect(changed(id, 0, 1, shared)).toMatchObject({ aloneV: 5 });
      expect(changed(id, 1, 1, shared).aloneV).toBeUndefined();
      expect(neighbour.repair).not.toBe(own.repair);
    }
  });
});

test('one element or wire has one fault at a time; nothing wrong stands with none', () => {
  const together = (a: string, b: string): boolean => canStandTogether(faultById(a), faultById(b));
  expect(together('sensor-open', 'sensor-low')).toBe(false);
  expect(together('signal-open', 'signal-resistive')).toBe(false);
  expect(together('return-open', 'return-resistive')).toBe(false);
  expect(together('reference-low', 'reference-high')).toBe(false);
  expect(together('sensor-open', 'sensor-open')).toBe(false);
  expect(together('healthy', 'sensor-open')).toBe(false);
  expect(together('sensor-open', 'healthy')).toBe(false);
  expect(together('signal-open', 'return-resistive')).toBe(true);
  expect(together('sensor-high', 'signal-open')).toBe(true);
  expect(together('placement', 'pull-up-drift')).toBe(true);
});
