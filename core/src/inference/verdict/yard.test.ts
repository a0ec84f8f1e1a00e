import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import type { Problem } from '../model/problem.ts';
import { soundCircuit } from '../../training/simulation/soundCircuit.ts';
import { YARD_ROWS, yardCase } from '../../training/simulation/yardCase.ts';
import { posteriorOf } from '../posterior/posterior.ts';
import { assess, groupProbabilities } from './assessment.ts';

const at = (readC: number, halfWidthK = 0): Pick<Problem, 'thermometers'> => ({
  thermometers: { steady: { readC, sigmaK: halfWidthK > 0 ? 1 : 1.5, halfWidthK } },
});
const shares = (problem: Problem): Record<string, number> =>
  Object.fromEntries(assess(problem).groups.map((g) => [g.group, g.probability]));
const faultShare = (problem: Problem, id: string): number =>
  assess(problem).ranking.find((r) => r.fault === id)!.probability;

describe('figures the trade calls sound (common practice, no source)', () => {
  test.each([4.8, 5, 5.31])('%s V at the plug, ground there, ohms right: no group is condemned surely', (volts) => {
    const groups = shares(
      problemWith(
        [
          ['open-voltage', volts],
          ['supply-to-return', 12.6],
          ['sensor-ohms', 2000],
        ],
        at(25),
      ),
    );
    expect(groups.reference).toBeLessThan(0.1);
    expect(groups.wiring).toBeLessThan(0.6);
    expect(groups.healthy).toBeGreaterThan(0.25);
  });
  test.each([4.8, 5, 5.31])('%s V and the display right as well: nothing wrong leads', (volts) => {
    const problem = problemWith(
      [
        ['open-voltage', volts],
        ['open-voltage-return', volts],
        ['sensor-ohms', 2000],
        ['displayed', 25],
        ['return-drop', 0],
      ],
      at(25),
    );
    expect(assess(problem).groups[0].group).toBe('healthy');
  });
  test('2.8 V is not sound: reference or wiring, and nothing else', () => {
    const groups = shares(problemWith([['open-voltage', 2.8]], at(20)));
    expect(groups.reference + groups.wiring).toBeGreaterThan(0.95);
  });
  test('12 °C displayed against 10 °C by infra-red agrees', () => {
    const groups = shares(problemWith([['displayed', 12]], { thermometers: { steady: { readC: 10, sigmaK: 2.5 } } }));
    expect(groups.healthy).toBeGreaterThan(0.15);
    expect(groups.sensor).toBeLessThan(0.4);
  });
  test('healthy ranges are what sound circuits show: 4.8 … 5.3 V at the plug', () => {
    const { healthy } = assess(problemWith([['displayed', 20]], at(20)));
    expect(healthy['open-voltage'].low).toBeLessThan(4.82);
    expect(healthy['open-voltage'].high).toBeGreaterThan(5.24);
    expect(healthy['open-voltage'].high).toBeLessThan(5.45);
  });
  test('a bound is a reading: > 200 kΩ across a 2 kΩ sensor is an open one, > 20 kΩ at a 30 kΩ sensor says little', () => {
    const bounded = (problem: Problem, aboveOhm: number): Problem => ({
      ...problem,
      readings: problem.readings.map((r) => ({ ...r, conditions: { ...r.conditions, aboveOhm } })),
    });
    const across = problemWith([['sensor-ohms', Infinity]], at(25));
    expect(faultShare(bounded(across, 200_000), 'sensor-open')).toBeGreaterThan(0.9);
    const curve = curveModel({ kind: 'beta', r25Ohm: 30_000, betaK: 3950 });
    const high = { ...across, circuit: coolantCircuit({ curve, pullUpOhm: 30_000 }) };
    expect(faultShare(high, 'sensor-open')).toBeGreaterThan(0.9);
    const [before, said] = [shares({ ...high, readings: [] }), shares(bounded(high, 20_000))];
    for (const group of Object.keys(before)) expect(Math.abs(said[group] - before[group]), group).toBeLessThan(0.1);
  });
  test('a 100 kΩ sensor under 100 kΩ, every reading perfect for a module that does not load its pin', () => {
    const curve = curveModel({ kind: 'beta', r25Ohm: 100_000, betaK: 3950 });
    const circuit = coolantCircuit({ curve, pullUpOhm: 100_000 });
    const problem = problemWith(
      [
        ['displayed', 25],
        ['open-voltage', 4.95],
        ['sensor-ohms', 100_000],
        ['loaded-voltage', 2.49],
        ['displayed-unplugged', -40],
      ],
      { ...at(25), circuit },
    );
    expect(assess(problem).groups[0]).toMatchObject({ group: 'healthy' });
    expect(faultShare(problem, 'return-resistive')).toBeLessThan(0.1);
  });
});

describe('what any mechanic reads at a glance (common practice, no source)', () => {
  test('OL across the sensor’s own pins outweighs all that is told against it', () => {
    const told = {
      'sensor-open': 0.3,
      'reference-missing': 8,
      'reference-low': 8,
      'return-open': 8,
      'return-resistive': 8,
      'ground-offset': 5,
    };
    const problem = problemWith([['sensor-ohms', Infinity]], { ...at(25), factors: told });
    const a = assess(problem);
    expect(a.groups[0].group).toBe('sensor');
    expect(a.groups[0].probability).toBeGreaterThan(0.7);
    expect(a.doubt).toEqual({ kind: 'none' });
  });
  test('the ends of the scale are learned: −43 unplugged where −40 was told is no fault', () => {
    const problem = problemWith(
      [
        ['displayed', 21],
        ['displayed-unplugged', -43],
        ['displayed-bridged', 159],
        ['sensor-ohms', 2400],
        ['open-voltage', 5],
      ],
      at(20),
    );
    const a = assess(problem);
    expect(a.groups[0].group).toBe('healthy');
    expect(a.doubt).toEqual({ kind: 'none' });
  });
  test('11.5 kΩ at 71 °F on an 11 883 Ω (70 °F) sensor is good, 245 Ω is not', () => {
    const circuit = coolantCircuit({
      curve: curveModel({ kind: 'beta', r25Ohm: 10_000, betaK: 3800 }),
      pullUpOhm: 10_000,
    });
    const of = (ohm: number): string =>
      assess(
        problemWith(
          [
            ['sensor-ohms', ohm],
            ['open-voltage', 5],
            ['displayed', ohm > 1000 ? 22 : 120],
          ],
          { ...at((71 - 32) / 1.8), circuit },
        ),
      ).groups[0].group;
    expect(of(11_500)).toBe('healthy');
    expect(of(245)).toBe('sensor');
  });
  test('a boiler sensor of 10 … 12 kΩ at room temperature: 17 kΩ has failed, 11 kΩ has not', () => {
    const curve = curveModel({
      kind: 'band',
      slope: 'ntc',
      bands: [{ temperatureC: 21, lowOhm: 10_000, highOhm: 12_000 }],
    });
    const circuit = coolantCircuit({ curve, pullUpOhm: 10_000 });
    const of = (ohm: number, shown: number): Record<string, number> =>
      shares(
        problemWith(
          [
            ['off-ohms', ohm, { airC: 21, ownK: 2 }],
            ['displayed', shown],
            ['open-voltage', 5],
          ],
          { ...at(21, 3), circuit },
        ),
      );
    expect(of(17_000, 11).sensor).toBeGreaterThan(0.8);
    expect(of(11_000, 21).sensor).toBeLessThan(0.2);
  });
  test('2–3 kΩ at 20 °C, no thermometer but hoses that can be touched: 2.4 kΩ and 21 °C shown are believable', () => {
    const curve = curveModel({
      kind: 'band',
      slope: 'ntc',
      bands: [{ temperatureC: 20, lowOhm: 2000, highOhm: 3000 }],
    });
    const groups = shares(
      problemWith(
        [
          ['sensor-ohms', 2400],
          ['displayed', 21],
          ['open-voltage', 5],
          ['return-drop', 0],
        ],
        { ...at(27.5, 22.5), circuit: coolantCircuit({ curve }) },
      ),
    );
    expect(groups.healthy).toBeGreaterThan(0.4);
  });
});

describe('slips are named', () => {
  const sound = [
    ['displayed', 25],
    ['open-voltage', 5],
    ['loaded-voltage', 2.22],
  ] as const;
  test.each([
    ['sensor-ohms', 2, 'k-missed', 2000],
    ['sensor-ohms', 2e6, 'k-extra', 2000],
    ['sensor-ohms', 200, 'range-up', 2000],
    ['displayed-substituted', 77, 'was-fahrenheit', 25],
  ] as const)('%s %s: %s', (measurement, value, kind, meant) => {
    const conditions = measurement === 'displayed-substituted' ? { substituteOhm: 2000 } : {};
    const a = assess(problemWith([...sound, [measurement, value, conditions]], at(25)));
    expect(a.groups[0].group).toBe('healthy');
    expect(a.readings[3].slip).toEqual({ kind, meant });
    expect(a.doubt).toEqual({ kind: 'contradiction', readings: ['r3'] });
  });
  test('0 V where everything else is sound: the wrong pin; 0 V alone is no slip', () => {
    const all = assess(problemWith([...sound, ['sensor-ohms', 2000], ['open-voltage-return', 0]], at(25)));
    expect(all.readings[4].slip).toEqual({ kind: 'wrong-pin', meant: null });
    expect(assess(problemWith([['open-voltage', 0]], at(25))).readings[0].slip).toBeNull();
  });
  test('a thermometer in °F: what it was in °C is named', () => {
    const a = assess(problemWith([...sound, ['sensor-ohms', 2000], ['known-good-ohms', 2010]], at(77)));
    expect(a.thermometerSlip).toBeCloseTo(25, 6);
    expect(assess(problemWith([...sound], at(25))).thermometerSlip).toBeNull();
    // A drifted sensor would explain the readings as well: that the other unit explains everything is said all the same.
    const rival = assess(
      problemWith(
        [
          ['displayed', 20],
          ['sensor-ohms', 2460],
        ],
        at(68),
      ),
    );
    expect(rival.groups[0].group).toBe('sensor');
    expect(rival.thermometerSlip).toBeCloseTo(20, 6);
    // On a machine that is warm indeed nothing of the kind is said.
    expect(
      assess(
        problemWith(
          [
            ['displayed', 68],
            ['sensor-ohms', 430],
          ],
          at(68),
        ),
      ).thermometerSlip,
    ).toBeNull();
  });
});

describe('module and sensor not known at all', () => {
  const circuit = coolantCircuit({ curve: curveModel({ kind: 'unknown' }), pullUpOhm: null });
  const group = (readings: Parameters<typeof problemWith>[0]): string =>
    assess(problemWith(readings, { ...at(20), circuit })).groups[0].group;
  test.each([
    ['an open sensor', 'sensor', [['sensor-ohms', Infinity]]],
    [
      'no voltage, ground there',
      'wiring',
      [
        ['displayed', -40],
        ['open-voltage', 0],
        ['sensor-ohms', 2500],
        ['neighbour-reference', 5],
      ],
    ],
    [
      'a reference that is missing',
      'reference',
      [
        ['open-voltage', 0],
        ['neighbour-reference', 0],
        ['sensor-ohms', 2500],
      ],
    ],
    [
      'all sound',
      'healthy',
      [
        ['displayed', 21],
        ['open-voltage', 5.02],
        ['sensor-ohms', 2500],
        ['loaded-voltage', 2.4],
      ],
    ],
  ] as const)('%s: %s', (_, expected, readings) => expect(group(readings as never)).toBe(expected));
  test('the curves that stay possible are named, and those that do not are not', () => {
    const a = assess(
      problemWith(
        [
          ['bench-ohms', 10_000, { bathC: 25 }],
          ['bench-ohms', 2490, { bathC: 60 }],
        ],
        { ...at(20), circuit },
      ),
    );
    // B 3950 and B 3978 are a third of a kelvin apart.
    expect(
      a
        .possibleCurves!.slice(0, 2)
        .map((c) => c.name)
        .sort(),
    ).toEqual(['NTC 10 kΩ, B25/85 3950', 'NTC 10 kΩ, steep, B25/85 3978']);
    expect(a.possibleCurves!.map((c) => c.name).join()).not.toMatch(/NTC 2 kΩ|Pt|Ni/);
    expect(assess(problemWith([['sensor-ohms', 2000]], at(25))).possibleCurves).toBeNull();
  });
  test('a positive coefficient is learned too', () => {
    const a = assess(
      problemWith(
        [
          ['bench-ohms', 200, { bathC: 0 }],
          ['bench-ohms', 277, { bathC: 100 }],
        ],
        { ...at(20), circuit: { ...circuit, pullUpOhm: 1000 } },
      ),
    );
    expect(a.possibleCurves![0].name).toBe('Platinum Pt200');
  });
});

describe('the yard, a sample of the study', () => {
  test.each(YARD_ROWS.map((row) => [row]))('%s: right as often as it should be, and never surely wrong', (row) => {
    const judged = Array.from({ length: 8 }, (_, i) => {
      const { problem, fault } = yardCase(700 + i, row, 9);
      const [first] = groupProbabilities(posteriorOf(problem).faults);
      return { right: first.group === fault.group, wrong: first.group !== fault.group && first.probability > 0.97 };
    });
    expect(judged.filter((j) => j.right).length).toBeGreaterThanOrEqual(6);
    expect(judged.filter((j) => j.wrong)).toEqual([]);
  });
  test('of forty sound circuits two at most are condemned', () => {
    const condemned = Array.from(
      { length: 40 },
      (_, i) => groupProbabilities(posteriorOf(soundCircuit(i, 4)).faults)[0],
    ).filter((g) => g.group !== 'healthy' && g.probability > 0.5);
    expect(condemned.length).toBeLessThanOrEqual(2);
  });
});
