import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { curveModel } from '../curves/curve.ts';
import { elementsOf, pointAt, shareBefore } from './chain.ts';
import { partedVolts } from './partedVolts.ts';
import { placeWeightsOf, putAt, USUAL, usualWeights } from './placeWeights.ts';
import { ELEMENT_OHM, nominalState, realC, realOhm, sensorOhm } from './sensorCircuit.ts';
import { parallelOhm, shownOhm, SolvedCircuit } from './solvedCircuit.ts';
import { awgAreaMm2, wireOhm } from './wireOhm.ts';

const solved = new SolvedCircuit();
const nominal = nominalState(coolantCircuit(), 12, 2490);

describe('the circuit with nothing wrong', () => {
  test('holds the figures told, wires and input at their geometric middle', () => {
    expect(nominal).toMatchObject({ referenceV: 5, nominalReferenceV: 5, pullUpOhm: 2490, nominalPullUpOhm: 2490 });
    expect(nominal.signalOhm).toBeCloseTo(Math.sqrt(0.05 * 1.5), 12);
    expect(nominal.returnOhm).toBeCloseTo(Math.sqrt(0.05 * 1.5), 12);
    expect(nominal.inputOhm).toBeCloseTo(Math.sqrt(3e5 * 3e8), 3);
    expect(nominal.aloneV).toBeNaN();
    expect(nominal.sensorFixedOhm).toBeNaN();
    expect(nominal.displayStuckC).toBeNaN();
    expect([nominal.displayMinC, nominal.displayMaxC]).toEqual([-40, 150]);
  });
  test('a module whose way of reading is not known is taken for ratiometric; one that is known keeps it', () => {
    const told = (ratiometric: boolean | null): boolean =>
      nominalState(coolantCircuit({ display: { ...coolantCircuit().display, ratiometric } }), 12, 2490).ratiometric;
    expect([told(null), told(true), told(false)]).toEqual([true, true, false]);
  });
  test('what is shared is read from one word', () => {
    const shared = (shares: Parameters<typeof coolantCircuit>[0]): boolean[] => {
      const s = nominalState(coolantCircuit(shares), 12, 2490);
      return [s.sharesReference, s.sharesReturn];
    };
    expect(shared({ shares: 'reference' })).toEqual([true, false]);
    expect(shared({ shares: 'return' })).toEqual([false, true]);
    expect(shared({ shares: 'both' })).toEqual([true, true]);
    expect(shared({ shares: 'nothing' })).toEqual([false, false]);
    expect(shared({ shares: 'unknown' })).toEqual([false, false]);
    expect(shared({})).toEqual([false, false]);
  });
});

describe('a curve as it really is', () => {
  const curve = curveModel({ kind: 'beta', r25Ohm: 2000, betaK: 3600 });
  test('ohms and temperature undo each other, with a bent form and with a level that is not known', () => {
    for (const c of [-20, 10, 60, 95]) {
      for (const formError of [-1.5, 0, 2]) {
        const shared = { formError, levelU: 0 };
        const off = Math.abs(realC(curve, shared, realOhm(curve, shared, c)) - c);
        expect(off).toBeLessThan(formError === 0 ? 1e-9 : 0.6);
        const wide = { ...curve, level: (u: number) => 0.7 * u };
        const moved = { formError, levelU: 0.8 };
        expect(realC(wide, moved, realOhm(wide, moved, c))).toBeCloseTo(c, formError === 0 ? 6 : 1);
      }
    }
  });
  test('the level alone moves it by its own factor, in both directions', () => {
    const wide = { ...curve, level: (u: number) => 0.5 * u };
    expect(realOhm(wide, { formError: 0, levelU: 2 }, 25)).toBeCloseTo(2000 * Math.E, 6);
    expect(realC(wide, { formError: 0, levelU: 2 }, 2000 * Math.E)).toBeCloseTo(25, 6);
    expect(realOhm(wide, { formError: 0, levelU: 0 }, 25)).toBeCloseTo(2000, 9);
  });
  test('no sensor and a dead short are the ends of the curve, whatever its form', () => {
    for (const shared of [
      { formError: 0, levelU: 0 },
      { formError: 2, levelU: 0 },
    ]) {
      expect(realC(curve, shared, Infinity)).toBe(curve.temperatureC(Infinity));
      expect(realC(curve, shared, 0)).toBe(curve.temperatureC(0));
      expect(realC(curve, shared, 0)).not.toBeNaN();
    }
  });
  test('the bend turns at the pivot, and no bend is more than a factor of some 8 000', () => {
    const bent = { ...curve, formErrorLog: (c: number) => Math.abs(c - 40) / 100, pivotC: 40 };
    const factor = (c: number, formError: number): number =>
      Math.log(realOhm(bent, { formError, levelU: 0 }, c) / curve.resistanceOhm(c));
    expect(factor(20, 1)).toBeCloseTo(0.2, 9);
    expect(factor(60, 1)).toBeCloseTo(-0.2, 9);
    expect(factor(20, -1)).toBeCloseTo(-0.2, 9);
    expect(factor(20, 1000)).toBeCloseTo(9, 6);
    expect(factor(20, -1000)).toBeCloseTo(-9, 6);
  });
  test('tolerance multiplies the curve, a fixed element takes its place; both stay within what conducts at all', () => {
    expect(sensorOhm({ ...nominal, sensorFactor: 1.5 }, 25)).toBeCloseTo(3000, 9);
    expect(sensorOhm({ ...nominal, sensorFactor: 1.5, sensorFixedOhm: 7 }, 25)).toBe(7);
    expect(sensorOhm({ ...nominal, sensorFixedOhm: 1e20 }, 25)).toBe(ELEMENT_OHM.most);
    expect(sensorOhm({ ...nominal, sensorFixedOhm: 0 }, 25)).toBe(ELEMENT_OHM.least);
    expect(solved.set({ ...nominal, sensorOffsetC: 13 }).sensorOhm).toBeCloseTo(2000, 9);
  });
});

describe('what the module displays', () => {
  const shown = (change: Partial<typeof nominal>, plug: 'sensor' | 'open' | 'bridge' = 'sensor'): number =>
    solved.set({ ...nominal, ...change }).displayedC(plug);
  test('stuck: its own figure, whatever the pin says; offset: added', () => {
    expect(shown({ displayStuckC: 77 })).toBe(77);
    expect(shown({ displayStuckC: 77 }, 'open')).toBe(77);
    expect(shown({ displayOffsetC: 10 }) - shown({})).toBeCloseTo(10, 9);
  });
  test('a low reference moves only a module that divides by the nominal one', () => {
    expect(shown({ referenceV: 4, ratiometric: true })).toBeCloseTo(shown({}), 6);
    // 4/5 of the share: by hand on 2 000 Ω at 25 °C and 2 490 Ω.
    const share = 0.8 * (2000 / 4490);
    const ohm = (2490 * share) / (1 - share);
    const c = 1 / (1 / 298.15 + Math.log(ohm / 2000) / 3600) - 273.15;
    expect(
      shown({ temperatureC: 25, referenceV: 4, ratiometric: false, inputOhm: 1e12, signalOhm: 1e-3, returnOhm: 1e-3 }),
    ).toBeCloseTo(c, 3);
    expect(shown({ referenceV: 0 })).toBe(150);
  });
  test('at the very ends of its scale it shows the end, or what it substitutes', () => {
    const substitute = { ...nominal.display, substituteC: 60 };
    expect(shown({}, 'open')).toBe(-40);
    expect(shown({ display: substitute }, 'open')).toBe(60);
    expect(shown({ display: substitute }, 'bridge')).toBe(60);
    expect(shown({ display: substitute })).toBeCloseTo(12, 0);
    const own = shown({});
    expect(shown({ displayMaxC: own })).toBe(own);
    expect(shown({ displayMaxC: own, display: substitute })).toBe(60);
    expect(shown({ displayMinC: own, display: substitute })).toBe(60);
  });
  test('on pull-down the sensor lies above the pin: open shows cold, bridged hot', () => {
    expect(shown({ layout: 'pull-down' }, 'open')).toBe(-40);
    expect(shown({ layout: 'pull-down' }, 'bridge')).toBe(150);
  });
  test('below its ratio the second pull-up is in, and the module knows it', () => {
    const hot = { hotPullUpOhm: 350, switchRatio: 0.3 };
    // 2 490 Ω over 250 Ω is a share of 0.09: switched, 250 Ω over 350 Ω is 5/12 of the reference.
    const state = { ...nominal, ...hot, sensorFixedOhm: 250, inputOhm: 1e12 };
    expect(solved.set(state).pinVolts('sensor')).toBeCloseTo((5 * 250.6) / 600.6, 2);
    expect(solved.set({ ...state, hotPullUpOhm: null }).pinVolts('sensor')).toBeCloseTo((5 * 250.6) / 2740.6, 2);
    const at = (ohm: number): number => nominal.moduleCurve.temperatureC(ohm);
    expect(solved.set(state).displayedC('sensor')).toBeCloseTo(at(250.55), 1);
    // Above the ratio nothing switches.
    expect(solved.set({ ...state, sensorFixedOhm: 2000 }).pinVolts('sensor')).toBeCloseTo((5 * 2000) / 4490, 2);
    // A hot pull-up that has drifted is still the one the module reckons with.
    expect(solved.set({ ...state, referenceV: 0 }).pinVolts('sensor')).toBe(0);
  });
});

test('the meter on ohms: leads added, OL only above its range; two in parallel', () => {
  const meter = { ...nominal, leadOhm: 0.2, meterOverloadOhm: 1000 };
  expect([999, 1000, 1000.001, Infinity].map((ohm) => shownOhm(meter, ohm))).toEqual([
    999.2,
    1000.2,
    Infinity,
    Infinity,
  ]);
  expect(parallelOhm(300, 1 / 600)).toBeCloseTo(200, 12);
  expect(parallelOhm(300, 0)).toBe(300);
});

describe('the chain between module and plug', () => {
  test('three connectors: nine elements, their points and the copper before them', () => {
    expect(elementsOf(3)).toBe(9);
    expect([pointAt(1), pointAt(1, 'sensor'), pointAt(3)]).toEqual([2, 3, 6]);
    expect([0, 1, 2, 3, 4, 6, 8, 9].map((p) => shareBefore(p, 3))).toEqual([0, 0, 0.25, 0.25, 0.5, 0.75, 1, 1]);
  });
  test('usual weights: the module’s plug, contacts, the sensor’s plug, and runs with their wire between', () => {
    const { series, leak } = USUAL;
    const run = series.run + 1.5 * series.metre;
    const weights = usualWeights(2);
    expect(weights.signal).toEqual([series.module, run, series.contact, run, series.contact, run, series.plug]);
    expect(weights.return).toEqual(weights.signal);
    expect(weights.leak[0]).toBe(leak.module);
    expect(weights.leak[2]).toBe(leak.contact);
    expect(weights.leak[6]).toBe(leak.plug);
    expect(weights.leak[1]).toBeCloseTo(leak.run + 1.5 * leak.metre, 12);
    expect(usualWeights(0).signal).toEqual([series.module, run, series.plug]);
    const own = { signal: [1], return: [2], leak: [3] };
    expect(placeWeightsOf({ placeWeights: own, connectors: 2 })).toBe(own);
    expect(placeWeightsOf({ connectors: 2 })).toEqual(weights);
  });
  test('a fault is put at an element of its own strand only', () => {
    for (const [strand, key] of [
      ['signal', 'signalFaultAt'],
      ['return', 'returnFaultAt'],
      ['leak', 'leakAt'],
    ] as const) {
      const state = { ...nominal };
      putAt(state, strand, 5);
      expect(state).toEqual({ ...nominal, [key]: 5 });
    }
  });
  test('parted: a fault at the very connector lies beyond it, its leak as well', () => {
    const state = { ...nominal, connectors: 2, signalFaultOhm: 1e6, leakGroundS: 1e-3, meterInputOhm: 1e7 };
    const at = (signalFaultAt: number, leakAt: number): number =>
      partedVolts({ ...state, signalFaultAt, leakAt, inputOhm: 1e12 }, 1);
    // Sound up to there: the meter's 10 MΩ under 2 490 Ω.
    expect(at(2, 2)).toBeCloseTo((5 * 1e7) / (1e7 + 2490), 4);
    expect(at(1, 2)).toBeCloseTo((5 * 1e7) / (1e7 + 2490 + 1e6), 3);
    const leaking = 1 / (1e-3 + 1e-7);
    expect(at(2, 1)).toBeCloseTo((5 * leaking) / (leaking + 2490), 3);
  });
});

test('copper: 1 m of 0.823 mm² (AWG 18) has 20.9 mΩ', () => {
  expect(wireOhm(1, 0.823)).toBeCloseTo(0.02095, 5);
  expect(wireOhm(10, 0.5)).toBeCloseTo(0.344828, 4);
  // ASTM B258, from memory: AWG 18 is 1.024 mm thick, 36 is 0.127 mm.
  expect(awgAreaMm2(18)).toBeCloseTo((Math.PI / 4) * 1.0237 ** 2, 3);
  expect(awgAreaMm2(36)).toBeCloseTo((Math.PI / 4) * 0.127 ** 2, 9);
  expect(awgAreaMm2(0)).toBeCloseTo(53.475, 2);
});
