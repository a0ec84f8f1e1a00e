import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { posteriorOf } from '../posterior/posterior.ts';
import type { Problem } from '../model/problem.ts';
import { assess, explain } from './assessment.ts';
import { chartLines } from './chartLines.ts';
import { probablyMeant } from './probablyMeant.ts';

describe('a figure a thousand times off', () => {
  const healthy = { low: 1900, high: 2100 };
  test('is asked about where a thousandth or a thousandfold lies near what a sound circuit shows', () => {
    expect(probablyMeant(2, healthy)).toBe(2000);
    expect(probablyMeant(2e6, healthy)).toBeCloseTo(2000, 9);
    expect(probablyMeant(0.64, healthy)).toBe(640);
    expect(probablyMeant(6.2, healthy)).toBe(6200);
  });
  test('is left where it is near already, and where neither is near', () => {
    for (const value of [2000, 634, 6299, 0.6, 6.4, 7e6, 50])
      expect(probablyMeant(value, healthy), String(value)).toBeNull();
    // Near of itself and times a thousand: what was typed stands.
    expect(probablyMeant(2, { low: 3, high: 3000 })).toBeNull();
  });
  test('OL, nothing, and a range from nothing or to OL say nothing', () => {
    for (const value of [Infinity, NaN, 0, -2]) expect(probablyMeant(value, healthy)).toBeNull();
    expect(probablyMeant(2, { low: 0, high: 2100 })).toBeNull();
    expect(probablyMeant(2, { low: -1, high: 2100 })).toBeNull();
    expect(probablyMeant(2, { low: 1900, high: Infinity })).toBeNull();
  });
});

describe('a thermometer in the other unit', () => {
  /** A sound circuit at a temperature, told as another figure. */
  const told = (readC: number, realC: number, change: Partial<Problem['thermometers']['steady'] & object> = {}) => {
    const ohm = 2000 * Math.exp(3600 * (1 / (realC + 273.15) - 1 / 298.15));
    const volts = (5 * ohm) / (ohm + 2490);
    return assess(
      problemWith(
        [
          ['sensor-ohms', Number(ohm.toPrecision(3))],
          ['loaded-voltage', Number(volts.toFixed(2))],
          ['displayed', Math.round(realC)],
        ],
        { thermometers: { steady: { readC, sigmaK: 1, ...change } } },
      ),
    ).thermometerSlip;
  };
  test('is named where everything else asks for it', () => {
    expect(told(68, 20)).toBeCloseTo(20, 9);
    expect(told(50, 10)).toBeCloseTo(10, 9);
    // Three figures agree on 15 °C, and 59 stands beside them: a sensor that is five times too high would be a chance.
    expect(told(59, 15)).toBeCloseTo(15, 9);
    expect(told(20, 20)).toBeNull();
    expect(told(50, 50)).toBeNull();
    expect(told(90, 90)).toBeNull();
    expect(told(68, 68)).toBeNull();
  });
  test('below 40 and above 120 no figure is taken for °F by the fit alone; a range that is told is none', () => {
    // 38 °F are 3.3 °C, 122 °F are 50: both would explain it.
    const circuit = coolantCircuit();
    const alone = (readC: number, change: object = {}) => {
      const realC = ((readC - 32) * 5) / 9;
      const ohm = Number(circuit.curve.resistanceOhm(realC).toPrecision(3));
      return assess(problemWith([['sensor-ohms', ohm]], { thermometers: { steady: { readC, sigmaK: 1, ...change } } }))
        .thermometerSlip;
    };
    expect(alone(41)).toBeCloseTo(5, 9);
    expect(alone(119)).toBeCloseTo((87 * 5) / 9, 9);
    expect(alone(39)).toBeNull();
    expect(alone(121)).toBeNull();
    expect(alone(68, { halfWidthK: 3 })).toBeNull();
    // What fits as it stands is not asked about.
    expect(
      assess(problemWith([['sensor-ohms', 560]], { thermometers: { steady: { readC: 60, sigmaK: 1 } } }))
        .thermometerSlip,
    ).toBeNull();
  });
});

describe('who is named', () => {
  test('six at most, each with half a per cent or more and draws of its own', () => {
    const problem = problemWith([['displayed', -40]]);
    const posterior = posteriorOf(problem);
    const { suspects, ranking } = explain(problem, posterior);
    expect(suspects).toHaveLength(6);
    expect(suspects.map((s) => s.fault)).toEqual(ranking.slice(0, 6).map((r) => r.fault));
    // One below, one at, one above the bound; one that nothing was drawn of.
    const [a, b, c, d] = posterior.faults;
    const with_ = (probability: number, fault: typeof a, draws = fault.draws) => ({ ...fault, probability, draws });
    const few = {
      ...posterior,
      faults: [with_(0.98, a), with_(0.0051, b, []), with_(0.005, c), with_(0.0049, d)],
    };
    expect(explain(problem, few).suspects.map((s) => s.fault)).toEqual([a.fault.id, c.fault.id]);
  });
  test('a pull-up that nobody told is learned, and drawn with', () => {
    const circuit = coolantCircuit({ pullUpOhm: null });
    const problem = problemWith(
      [
        ['sensor-ohms', 3460],
        ['loaded-voltage', 2.91],
      ],
      { circuit },
    );
    const a = assess(problem);
    const learned = a.learnedPullUp!;
    expect(learned.middle).toBeGreaterThan(2100);
    expect(learned.middle).toBeLessThan(2900);
    expect(learned.low).toBeLessThan(learned.middle);
    expect(learned.high).toBeGreaterThan(learned.middle);
    const { voltage } = chartLines(problem, a);
    const at = voltage!.temperatureC.findIndex((t) => t >= 12);
    expect(voltage!.middle[at]).toBeCloseTo(2.9, 0);
    const none = problemWith([], { circuit });
    expect(assess(none).learnedPullUp).toBeNull();
    expect(chartLines(none, assess(none)).voltage).toBeNull();
    expect(assess(problemWith([['displayed', 12]])).learnedPullUp).toBeNull();
  });
  test('what each predicts: ohms never below nothing, volts and degrees where they lie', () => {
    const problem = problemWith([
      ['sensor-ohms', 0.4],
      ['displayed', -40],
      ['return-drop', -0.05],
    ]);
    const { suspects } = assess(problem);
    const short = suspects.find((s) => s.fault === 'sensor-short')!;
    expect(short.predicts[0].low).toBeGreaterThanOrEqual(0);
    expect(short.predicts[0].high).toBeLessThan(30);
    expect(Math.min(...suspects.map((s) => s.predicts[1].low))).toBeLessThan(-39);
    for (const s of suspects) expect(s.predicts[2].low, s.fault).toBeLessThan(0.01);
    expect(Math.min(...suspects.map((s) => s.predicts[2].low))).toBeLessThan(-0.005);
  });
  test('where and how it is mended are said once four fifths of it agree', () => {
    const circuit = coolantCircuit({ shares: 'reference' });
    const read = (alone: number) => {
      const { suspects } = assess(
        problemWith(
          [
            ['neighbour-reference', 3],
            ['reference-alone', alone],
          ],
          { circuit },
        ),
      );
      return suspects.find((s) => s.fault === 'reference-low')!;
    };
    const plain = assess(problemWith([['neighbour-reference', 3]], { circuit })).suspects[0];
    expect(read(5).repair).toContain('Plug the neighbours in again one by one');
    expect(read(5).detail).toBe('dragged down by a neighbour');
    expect(read(3).repair).toMatch(/^No neighbour drags it down/);
    expect(read(3).detail).toBe('by the module itself');
    // Seven of ten are no four fifths: the repair of the fault as such.
    expect(plain.fault).toBe('reference-low');
    expect(plain.repair).toMatch(/^Unplug the neighbours on this reference one by one/);
    expect(plain.detail).toBeNull();
    const hot = assess(
      problemWith(
        [
          ['sensor-ohms', 3460],
          ['displayed', 12],
          ['displayed', -40, {}, 'hot'],
          ['sensor-ohms', Infinity, {}, 'hot'],
        ],
        { thermometers: { steady: { readC: 12, sigmaK: 1 }, hot: { readC: 80, sigmaK: 2 } } },
      ),
    ).suspects[0];
    expect([hot.fault, hot.onlyIn]).toEqual(['sensor-open', 'hot']);
  });
});
