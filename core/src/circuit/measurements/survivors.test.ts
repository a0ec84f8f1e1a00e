import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { nominalState, realOhm } from '../network/sensorCircuit.ts';
import { SolvedCircuit } from '../network/solvedCircuit.ts';
import { curveModel } from '../curves/curve.ts';
import { measurementById } from './list.ts';

/** Facts of the circuit that tests of whole verdicts do not notice when they are wrong. */
describe('single facts of a circuit', () => {
  const solved = new SolvedCircuit();
  test('a hot circuit is on its second pull-up, a cold one on its first', () => {
    const circuit = coolantCircuit({ hotPullUpOhm: 350, switchRatio: 0.2 });
    const divided = (temperatureC: number, pullUpOhm: number): number => {
      const r = 1 / (1 / circuit.curve.resistanceOhm(temperatureC) + 1e-6);
      return (5 * r) / (r + pullUpOhm);
    };
    expect(solved.set(nominalState(circuit, 90, 2490)).pinVolts('sensor')).toBeCloseTo(divided(90, 350), 2);
    expect(solved.set(nominalState(circuit, 12, 2490)).pinVolts('sensor')).toBeCloseTo(divided(12, 2490), 2);
  });
  test('the form error bends a curve up on the cold side and down on the hot one; the module follows the same real curve', () => {
    const curve = curveModel({ kind: 'beta', r25Ohm: 2000, betaK: 3600 });
    expect(realOhm(curve, { formError: 1, levelU: 0 }, -20)).toBeGreaterThan(curve.resistanceOhm(-20) * 1.01);
    expect(realOhm(curve, { formError: 1, levelU: 0 }, 90)).toBeLessThan(curve.resistanceOhm(90) * 0.99);
    expect(realOhm(curve, { formError: -1, levelU: 0 }, -20)).toBeLessThan(curve.resistanceOhm(-20));
    expect(realOhm(curve, { formError: 0, levelU: 0 }, -20)).toBe(curve.resistanceOhm(-20));
    for (const t of [-20, 90]) {
      const state = { ...nominalState(coolantCircuit({ curve }), t, 2490), formError: 2 };
      expect(Math.abs(solved.set(state).displayedC('sensor') - t)).toBeLessThan(0.6);
    }
  });
  test('ohms from the panel go out through the signal wire and back through the return', () => {
    const panel = (change: object): number =>
      measurementById('panel-ohms').predict(solved.set({ ...nominalState(coolantCircuit(), 12, 2490), ...change }), {});
    const plain = panel({});
    expect(panel({ returnOhm: 1000 }) - plain).toBeCloseTo(1000, 0);
    expect(panel({ signalOhm: 500 }) - plain).toBeCloseTo(500, 0);
    expect(panel({ returnFaultOhm: 300 }) - plain).toBeCloseTo(300, 6);
  });
});
