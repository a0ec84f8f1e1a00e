import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { platinum } from '../../circuit/curves/platinum.ts';
import { verdictText } from '../../wording/verdictText.ts';
import { assess } from './assessment.ts';
import { probablyMeant } from './probablyMeant.ts';
import { posteriorOf } from '../posterior/posterior.ts';
import type { Problem } from '../model/problem.ts';

const probabilityOf = (problem: Problem, fault: string): number =>
  posteriorOf(problem).faults.find((f) => f.fault.id === fault)!.probability;
const leader = (problem: Problem): string => posteriorOf(problem).faults[0].fault.id;

/** The four figures of a good sensor, a good reference and some 15 kΩ in the return. */
const RETURN_CASE = problemWith([
  ['sensor-ohms', 3600],
  ['open-voltage', 5.01],
  ['loaded-voltage', 4.4],
]);

describe('verdicts of known outcome', () => {
  test('5 V present, sensor good, 4.4 V loaded: some 15 kΩ in the return, not the sensor', () => {
    const a = assess(RETURN_CASE);
    expect(a.groups[0]).toMatchObject({ group: 'wiring' });
    expect(a.groups[0].probability).toBeGreaterThan(0.95);
    expect(a.suspects[0].fault).toBe('return-resistive');
    expect(a.suspects[0].size!.middle).toBeGreaterThan(13_000);
    expect(a.suspects[0].size!.middle).toBeLessThan(17_000);
    expect(a.readings.map((r) => r.verdict)).toEqual(['inside', 'inside', 'high']);
    expect(a.groups.find((g) => g.group === 'sensor')!.probability).toBeLessThan(0.02);
    expect(verdictText(a, (id) => id, 'C')).toMatchObject({
      state: 'firm',
      title: 'Wiring fault: resistance in the return',
    });
  });

  test.each([
    [
      'healthy',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 4.98],
        ['loaded-voltage', 2.89],
        ['displayed', 12],
      ],
    ],
    [
      'sensor-open',
      [
        ['sensor-ohms', Infinity],
        ['open-voltage', 4.98],
        ['displayed', -40],
      ],
    ],
    [
      'sensor-short',
      [
        ['sensor-ohms', 3],
        ['open-voltage', 4.98],
        ['displayed', 150],
      ],
    ],
    [
      'sensor-high',
      [
        ['sensor-ohms', 6800],
        ['open-voltage', 4.98],
        ['loaded-voltage', 3.65],
      ],
    ],
    [
      'sensor-low',
      [
        ['sensor-ohms', 1500],
        ['open-voltage', 4.98],
        ['bench-ohms', 245, { bathC: 60 }],
      ],
    ],
    [
      'signal-open',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 0],
        ['displayed', -40],
      ],
    ],
    [
      'return-open',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 5],
        ['open-voltage-return', 0.02],
        ['loaded-voltage', 4.98],
      ],
    ],
    [
      'signal-resistive',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 4.98],
        ['loaded-voltage', 1.9],
        ['displayed', -14],
      ],
    ],
    [
      'signal-to-ground',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 2.4],
        ['open-voltage-return', 2.4],
        ['isolation-ground', 2300],
      ],
    ],
    [
      'signal-to-return',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 3.3],
        ['isolation-return', 4900],
      ],
    ],
    [
      'signal-to-supply',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 7.4],
        ['dead-wire-voltage', 12.4],
      ],
    ],
    [
      'reference-low',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 3.1],
        ['neighbour-reference', 3.1],
      ],
    ],
    [
      'reference-missing',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 0.02],
        ['neighbour-reference', 0.03],
      ],
    ],
    [
      'ground-offset',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 5.6],
        ['return-drop', 0.62],
      ],
    ],
    [
      'placement',
      [
        ['sensor-ohms', 1200],
        ['bench-ohms', 595, { bathC: 60 }],
        ['loaded-voltage', 1.63],
        ['open-voltage', 5],
      ],
    ],
    [
      'input-conversion',
      [
        ['sensor-ohms', 3450],
        ['open-voltage', 5],
        ['loaded-voltage', 2.9],
        ['return-drop', 0.003],
        ['displayed', 45],
      ],
    ],
  ] as const)('%s', (fault, readings) => {
    expect(leader(problemWith(readings as never))).toBe(fault);
  });

  test('a platinum circuit is judged the other way round: open reads hot', () => {
    const circuit = coolantCircuit({
      curve: platinum.model({ kind: 'platinum', r0Ohm: 200 }),
      pullUpOhm: 1000,
      display: { minC: -40, maxC: 930, resolutionC: 1, substituteC: null, ratiometric: null },
    });
    expect(
      leader(
        problemWith(
          [
            ['displayed', 930],
            ['sensor-ohms', Infinity],
          ],
          { circuit },
        ),
      ),
    ).toBe('sensor-open');
    expect(
      leader(
        problemWith(
          [
            ['displayed', 14],
            ['sensor-ohms', 209],
            ['loaded-voltage', 0.865],
          ],
          { circuit },
        ),
      ),
    ).toBe('healthy');
  });

  test('a fault present only while hot is told as such', () => {
    const problem = problemWith(
      [
        ['loaded-voltage', 2.9],
        ['displayed', 12],
        ['displayed', -40, {}, 'hot'],
        ['sensor-ohms', Infinity, {}, 'hot'],
        ['sensor-ohms', 3450],
      ],
      { thermometers: { steady: { readC: 12, sigmaK: 1 }, hot: { readC: 80, sigmaK: 2 } } },
    );
    const first = assess(problem).suspects[0];
    expect(first).toMatchObject({ fault: 'sensor-open', onlyIn: 'hot' });
  });

  test('a pull-up nobody knows is learned from a good pair', () => {
    const circuit = coolantCircuit({ pullUpOhm: null });
    const a = assess(
      problemWith(
        [
          ['sensor-ohms', 3450],
          ['open-voltage', 5],
          ['loaded-voltage', 2.9],
          ['displayed', 12],
        ],
        { circuit },
      ),
    );
    expect(a.learnedPullUp!.middle).toBeGreaterThan(2490 * 0.9);
    expect(a.learnedPullUp!.middle).toBeLessThan(2490 * 1.1);
  });

  test('where a bad joint sits between connectors', () => {
    const circuit = coolantCircuit({ connectors: 2 });
    const position = (n: number) => ({ wire: 'return' as const, position: n });
    const a = assess(
      problemWith(
        [
          ['sensor-ohms', 3500],
          ['open-voltage', 5],
          ['loaded-voltage', 4.4],
          ['connector-voltage', 0.003, position(1)],
          ['connector-voltage', 3.4, position(2)],
        ],
        { circuit },
      ),
    );
    expect(a.suspects[0]).toMatchObject({ fault: 'return-resistive', detail: 'between connector 1 and connector 2' });
  });
});

describe('doubt is said, not hidden', () => {
  test('no readings: the prior, and nothing claimed', () => {
    const a = assess(problemWith([]));
    expect(a.doubt.kind).toBe('no-readings');
    for (const row of a.ranking) expect(row.probability).toBeCloseTo(row.prior, 2);
  });
  test('two readings that exclude each other are named', () => {
    const a = assess(
      problemWith([
        ['loaded-voltage', 1],
        ['loaded-voltage', 4],
      ]),
    );
    expect(a.doubt).toMatchObject({ kind: 'contradiction', readings: ['r0', 'r1'] });
    expect(a.groups[0].probability).toBeLessThan(0.9);
  });
  test('one absurd reading does not overturn five good ones, and is pointed out', () => {
    const good = [
      ['sensor-ohms', 3450],
      ['open-voltage', 4.98],
      ['loaded-voltage', 2.89],
      ['displayed', 12],
      ['return-drop', 0.004],
    ] as const;
    const a = assess(problemWith([...good, ['supply-to-return', 3.3]]));
    expect(a.suspects[0].fault).toBe('healthy');
    expect(a.doubt).toEqual({ kind: 'contradiction', readings: ['r5'] });
  });
  test('a thermometer that disagrees with everything else is doubted, not the rest', () => {
    // All as on a healthy circuit at 30 °C, where the thermometer says 12 °C.
    const a = assess(
      problemWith([
        ['sensor-ohms', 1640],
        ['bench-ohms', 562, { bathC: 60 }],
        ['loaded-voltage', 1.985],
        ['displayed', 30],
        ['known-good-ohms', 1640],
        ['known-good-ohms', 1650],
      ]),
    );
    expect(a.doubt).toEqual({ kind: 'contradiction', readings: ['thermometer'] });
    expect(verdictText(a, (id) => id, 'C').detail).toContain('the thermometer');
  });
  test('what no single fault explains is said to be so', () => {
    // A leak of 1.8 kΩ to ground and a sensor of three times its resistance, each measured twice over.
    const a = assess(
      problemWith([
        ['sensor-ohms', 10400],
        ['bench-ohms', 1690, { bathC: 60 }],
        ['bench-ohms', 17900, { bathC: 0 }],
        ['open-voltage', 2.1],
        ['open-voltage-return', 2.1],
        ['neighbour-reference', 5],
        ['isolation-ground', 1800],
      ]),
    );
    expect(a.doubt.kind).toBe('nothing-fits');
    expect(verdictText(a, (id) => id, 'C').title).toBe('No single fault explains this');
  });
});

describe('properties', () => {
  const reading = fc.oneof(
    fc.tuple(
      fc.constantFrom('open-voltage', 'loaded-voltage', 'return-drop', 'supply-to-return', 'neighbour-reference'),
      fc.double({ min: -1, max: 15, noNaN: true }),
    ),
    fc.tuple(
      fc.constantFrom('sensor-ohms', 'isolation-ground', 'panel-ohms', 'known-good-ohms'),
      fc.oneof(fc.constant(Infinity), fc.constant(0), fc.double({ min: 0.1, max: 1e7, noNaN: true })),
    ),
    fc.tuple(
      fc.constantFrom('displayed', 'displayed-unplugged', 'displayed-bridged'),
      fc.integer({ min: -40, max: 150 }),
    ),
  ) as fc.Arbitrary<[string, number]>;
  const settings = { numRuns: 25, seed: 11 };

  test('probabilities are probabilities and sum to one, whatever is read', () => {
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 7 }), (list) => {
        const a = assess(problemWith(list));
        const sum = a.ranking.reduce((s, r) => s + r.probability, 0);
        expect(sum).toBeCloseTo(1, 9);
        for (const r of a.ranking) expect(r.probability).toBeGreaterThanOrEqual(0);
        for (const s of a.suspects) for (const p of s.predicts) expect(p.low).toBeLessThanOrEqual(p.high);
        for (const r of a.readings) expect(r.blunder).toBeGreaterThanOrEqual(0);
      }),
      settings,
    );
  });

  test('the same on every run; the order of the readings does not matter', () => {
    fc.assert(
      fc.property(fc.array(reading, { minLength: 2, maxLength: 5 }), (list) => {
        const forward = posteriorOf(problemWith(list));
        const again = posteriorOf(problemWith(list));
        const backward = posteriorOf(problemWith([...list].reverse()));
        for (const f of forward.faults) {
          expect(again.faults.find((x) => x.fault.id === f.fault.id)!.probability).toBe(f.probability);
          const other = backward.faults.find((x) => x.fault.id === f.fault.id)!.probability;
          expect(Math.abs(other - f.probability)).toBeLessThan(0.02);
        }
      }),
      settings,
    );
  });

  test('a reading that every suspect predicts alike changes nothing', () => {
    const before = posteriorOf(problemWith([['open-voltage', 3]]));
    const after = posteriorOf(
      problemWith([
        ['open-voltage', 3],
        ['known-good-ohms', 3468],
      ]),
    );
    for (const f of before.faults) {
      expect(Math.abs(after.faults.find((x) => x.fault.id === f.fault.id)!.probability - f.probability)).toBeLessThan(
        0.03,
      );
    }
  });

  test.each([
    ['0 Ω', [['sensor-ohms', 0]]],
    [
      'OL everywhere',
      [
        ['sensor-ohms', Infinity],
        ['panel-ohms', Infinity],
        ['signal-wire-ohms', Infinity],
        ['loop-ohms', Infinity],
      ],
    ],
    [
      'the same reading twice',
      [
        ['open-voltage', 5],
        ['open-voltage', 5],
      ],
    ],
  ] as const)('%s gives a ranking', (_, readings) => {
    const { faults } = posteriorOf(problemWith(readings));
    expect(faults.reduce((s, f) => s + f.probability, 0)).toBeCloseTo(1, 9);
  });

  test('history moves the odds by its documented factor', () => {
    const plain = problemWith([['displayed', -40]]);
    const replaced = { ...plain, factors: { 'sensor-open': 0.2 } };
    const odds = (p: Problem): number => probabilityOf(p, 'sensor-open') / probabilityOf(p, 'signal-open');
    expect(odds(replaced) / odds(plain)).toBeCloseTo(0.2, 2);
  });
});

test('a missed k is asked about', () => {
  expect(probablyMeant(3.6, { low: 3200, high: 3800 })).toBe(3600);
  expect(probablyMeant(3600, { low: 3200, high: 3800 })).toBeNull();
  expect(probablyMeant(300, { low: 3200, high: 3800 })).toBeNull();
  expect(probablyMeant(Infinity, { low: 3200, high: 3800 })).toBeNull();
  expect(probablyMeant(3, { low: Infinity, high: Infinity })).toBeNull();
});
