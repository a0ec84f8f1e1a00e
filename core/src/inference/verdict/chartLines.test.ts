import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { noiseOf } from '../model/predictor.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Problem } from '../model/problem.ts';
import { assess } from './assessment.ts';
import { chartLines } from './chartLines.ts';

const linesOf = (problem: Problem) => chartLines(problem, assess(problem));
/** Resistance of the coolant sensor by its own law, Ω: 2 kΩ at 25 °C, B 3600. */
const law = (t: number): number => 2000 * Math.exp(3600 * (1 / (t + 273.15) - 1 / 298.15));
const axisOf = (problem: Problem): [from: number, to: number, steps: number] => {
  const { temperatureC } = linesOf(problem).resistance;
  return [temperatureC[0], temperatureC.at(-1)!, temperatureC.length];
};
const at = (readC: number): Partial<Problem> => ({ thermometers: { steady: { readC, sigmaK: 1 } } });

describe('the axis', () => {
  test('the display’s scale, hot no further than 130 °C', () => {
    expect(axisOf(problemWith([]))).toEqual([-40, 130, 81]);
    const short = coolantCircuit({ display: { ...coolantCircuit().display, minC: -10, maxC: 110 } });
    expect(axisOf(problemWith([], { circuit: short }))).toEqual([-10, 110, 81]);
  });
  test('ten kelvin beyond the thermometer, where that is further; never beyond the curve', () => {
    const { minC, maxC } = coolantCircuit().curve;
    expect(axisOf(problemWith([], at(-35)))[0]).toBe(-45);
    expect(axisOf(problemWith([], at(125)))[1]).toBe(135);
    expect(axisOf(problemWith([], at(minC + 1)))[0]).toBe(minC);
    expect(axisOf(problemWith([], at(maxC - 1)))[1]).toBe(maxC);
    // Without a thermometer as if it were 20 °C.
    const narrow = coolantCircuit({ display: { ...coolantCircuit().display, minC: 15, maxC: 25 } });
    expect(axisOf(problemWith([], { circuit: narrow, thermometers: {} }))).toEqual([10, 30, 81]);
  });
});

describe('the lines of a sound circuit', () => {
  const { resistance, voltage, suspect } = linesOf(problemWith([]));
  test('resistance by the curve’s law, its band by what sound sensors show', () => {
    const { curve } = coolantCircuit();
    resistance.temperatureC.forEach((t, i) => {
      expect(t).toBeCloseTo(-40 + (170 * i) / 80, 9);
      expect(resistance.middle[i] / law(t)).toBeCloseTo(1, 9);
      const log = 2 * Math.hypot(curve.toleranceLog, curve.formErrorLog(t));
      expect(Math.log(resistance.high[i] / resistance.middle[i])).toBeCloseTo(log, 9);
      expect(Math.log(resistance.middle[i] / resistance.low[i])).toBeCloseTo(log, 9);
    });
  });
  test('volts by the divider, the band from the sensor’s', () => {
    const divided = (ohm: number): number => (5 * ohm) / (2490 + ohm);
    voltage!.temperatureC.forEach((_, i) => {
      // Wires, ground and the module’s input stay below a hundredth.
      expect(Math.abs(voltage!.middle[i] - divided(resistance.middle[i]))).toBeLessThan(0.05);
      expect(Math.abs(voltage!.low[i] - divided(resistance.low[i]))).toBeLessThan(0.05);
      expect(Math.abs(voltage!.high[i] - divided(resistance.high[i]))).toBeLessThan(0.05);
      expect(voltage!.low[i]).toBeLessThan(voltage!.middle[i]);
      expect(voltage!.high[i]).toBeGreaterThan(voltage!.middle[i]);
    });
    expect(suspect).toBeNull();
  });
  test('of a pull-down the volts fall with resistance, and low is still below high', () => {
    const circuit = coolantCircuit({ layout: 'pull-down' });
    const lines = linesOf(problemWith([], { circuit }));
    lines.voltage!.middle.forEach((v, i) => {
      expect(lines.voltage!.low[i]).toBeLessThan(v);
      expect(lines.voltage!.high[i]).toBeGreaterThan(v);
      if (i > 0) expect(v).toBeGreaterThan(lines.voltage!.middle[i - 1]);
    });
  });
  test('as wide as the curve’s class, where that is wider, and as its level is unsure', () => {
    const widthOf = (change: object): number => {
      const circuit = coolantCircuit({ curve: { ...coolantCircuit().curve, ...change } });
      const lines = linesOf(problemWith([], { circuit })).resistance;
      return Math.log(lines.high[40] / lines.middle[40]);
    };
    const form = coolantCircuit().curve.formErrorLog(45);
    expect(widthOf({ toleranceLog: 0.2 })).toBeCloseTo(2 * Math.hypot(0.2, form), 9);
    expect(widthOf({ toleranceLog: 0.2, level: (z: number) => 0.3 * z })).toBeCloseTo(
      2 * Math.hypot(0.2, 0.3, form),
      9,
    );
  });
});

describe('what was measured', () => {
  const taken = problemWith([
    ['displayed', 12],
    ['sensor-ohms', 3450],
    ['loaded-voltage', 2.9],
  ]);
  test('stands where the thermometer stood, with two sigma of both', () => {
    const { resistancePoint, voltagePoint } = linesOf(taken);
    expect(resistancePoint!.temperatureC).toEqual({ middle: 12, low: 10, high: 14 });
    expect(voltagePoint!.temperatureC).toEqual({ middle: 12, low: 10, high: 14 });
    const sigma = (id: string, value: number): number => noiseOf(taken, measurementById(id), {}).sigma(value);
    for (const [point, id, value] of [
      [resistancePoint!, 'sensor-ohms', 3450],
      [voltagePoint!, 'loaded-voltage', 2.9],
    ] as const) {
      expect(point.value.middle).toBe(value);
      expect(point.value.low).toBeCloseTo(value - 2 * sigma(id, value), 9);
      expect(point.value.high).toBeCloseTo(value + 2 * sigma(id, value), 9);
      expect(point.fits).toBe(true);
    }
  });
  test('off the band it says so; OL, a hot reading and a check without a thermometer have no place', () => {
    const off = linesOf(problemWith([['sensor-ohms', 9000]]));
    expect(off.resistancePoint!.fits).toBe(false);
    expect(off.voltagePoint).toBeNull();
    expect(linesOf(problemWith([['sensor-ohms', Infinity]])).resistancePoint).toBeNull();
    expect(linesOf(problemWith([['sensor-ohms', 3450, {}, 'hot']])).resistancePoint).toBeNull();
    expect(linesOf(problemWith([['sensor-ohms', 3450]], { thermometers: {} })).resistancePoint).toBeNull();
  });
});

describe('the leading suspect’s volts', () => {
  test('15 kΩ in the return: the divider with them in it', () => {
    const { suspect, voltage, resistance } = linesOf(
      problemWith([
        ['sensor-ohms', 3600],
        ['open-voltage', 5.01],
        ['loaded-voltage', 4.4],
      ]),
    );
    expect(suspect!.name).toMatch(/return/);
    const size = assess(
      problemWith([
        ['sensor-ohms', 3600],
        ['open-voltage', 5.01],
        ['loaded-voltage', 4.4],
      ]),
    ).suspects[0].size!.middle;
    suspect!.voltage.forEach((v, i) => {
      const inReturn = resistance.middle[i] + size;
      expect(Math.abs(v - (5 * inReturn) / (2490 + inReturn))).toBeLessThan(0.1);
      expect(v).toBeGreaterThan(voltage!.middle[i] - 1e-9);
    });
  });
  test('none before a reading, of a sound circuit, or where nothing leads', () => {
    expect(linesOf(problemWith([])).suspect).toBeNull();
    expect(
      linesOf(
        problemWith([
          ['sensor-ohms', 3450],
          ['open-voltage', 5],
          ['loaded-voltage', 2.9],
        ]),
      ).suspect,
    ).toBeNull();
    const torn = problemWith([['displayed', 140]]);
    expect(assess(torn).suspects[0].probability).toBeLessThan(0.3);
    expect(linesOf(torn).suspect).toBeNull();
  });
});
