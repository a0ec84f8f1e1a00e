import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import type { FaultPosterior } from '../../inference/posterior/posterior.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { type Access, EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { NoiseModel } from '../../inference/model/noise.ts';
import { normalCdf } from '../../base/numeric/normal.ts';
import { BINS, mutualInformation, outcomeTable, thinned } from './information.ts';
import { candidateTests, minutesOf, proposeTests, soonest } from './nextTest.ts';
import { undecidedPairs } from './separation.ts';

const planned = (id: string, conditions = {}) => ({
  measurement: measurementById(id),
  conditions,
  state: 'steady' as const,
});

describe('tests that could be done', () => {
  const ids = (...asked: Parameters<typeof candidateTests>): string[] =>
    candidateTests(...asked).map((t) => t.measurement.id);
  test('a plain test that was done is not offered again, under whatever conditions; one with conditions is, under others', () => {
    const readings = [
      ['open-voltage', 5],
      ['displayed-substituted', 24, { substituteOhm: 2000 }],
    ] as const;
    const all = candidateTests(problemWith(readings), EVERYTHING_AT_HAND);
    expect(all.some((t) => t.measurement.id === 'open-voltage')).toBe(false);
    const resistors = all.filter((t) => t.measurement.id === 'displayed-substituted').map((t) => t.conditions);
    // 2 kΩ is what this sensor has at 25 °C; at 60 °C it has 561 Ω (B 3600, by hand), as a resistor of two digits.
    expect(resistors).toEqual([{ substituteOhm: 560 }]);
    expect(all.every((t) => t.state === 'steady')).toBe(true);
  });
  test('hot is a state of its own: what was read cold is offered hot, what was read hot is not; as found, either counts', () => {
    const problem = problemWith([
      ['open-voltage', 5],
      ['sensor-ohms', 2000],
    ]);
    problem.readings[1].state = 'hot';
    const offered = (state?: 'steady' | 'hot' | 'wiggling'): boolean[] => {
      const all = ids(problem, EVERYTHING_AT_HAND, state);
      return ['open-voltage', 'sensor-ohms'].map((id) => all.includes(id));
    };
    expect(offered()).toEqual([false, false]);
    expect(offered('hot')).toEqual([true, false]);
    expect(offered('wiggling')).toEqual([true, true]);
    expect(candidateTests(problem, EVERYTHING_AT_HAND, 'hot').every((t) => t.state === 'hot')).toBe(true);
  });
  test('what the technician cannot do is left out; with a high-voltage code all but displayed values', () => {
    const without: Access = { ...EVERYTHING_AT_HAND, leftOut: ['open-voltage'] };
    expect(ids(problemWith([]), EVERYTHING_AT_HAND)).toContain('open-voltage');
    expect(ids(problemWith([]), without)).not.toContain('open-voltage');
    const shown = candidateTests({ ...problemWith([]), displayOnly: true }, EVERYTHING_AT_HAND);
    expect(shown.length).toBeGreaterThan(0);
    for (const { measurement } of shown) expect([measurement.setup, measurement.quantity]).toEqual(['scan', 'celsius']);
  });
  test('water hot and iced; nothing on the way', () => {
    const conditions = (connectors: number, id: string): unknown[] =>
      candidateTests(problemWith([], { circuit: coolantCircuit({ connectors }) }), EVERYTHING_AT_HAND)
        .filter((t) => t.measurement.id === id)
        .map((t) => t.conditions);
    expect(conditions(0, 'bench-ohms')).toEqual([{ bathC: 60 }, { bathC: 0 }]);
    expect(conditions(0, 'connector-voltage')).toEqual([]);
    // What tells where on the way is proposed by `advice/place/`, not as a test of what is wrong.
    expect(conditions(2, 'connector-voltage')).toEqual([]);
  });
  test('a neighbour is asked about only where something is shared', () => {
    const offered = (shares?: 'unknown' | 'nothing' | 'reference' | 'return' | 'both'): boolean =>
      ids(problemWith([], { circuit: coolantCircuit({ shares }) }), EVERYTHING_AT_HAND).includes('neighbour-displayed');
    expect([undefined, 'unknown', 'nothing', 'reference', 'return', 'both'].map((s) => offered(s as never))).toEqual([
      ...[false, false, false],
      ...[true, true, true],
    ]);
  });
  test('only what the tools at hand allow and the layout has', () => {
    const bare: Access = { ...EVERYTHING_AT_HAND, tools: ['meter'] };
    for (const id of ids(problemWith([]), bare)) expect(measurementById(id).tools, id).toEqual(['meter']);
    expect(ids(problemWith([]), bare).length).toBeGreaterThan(3);
    for (const layout of ['pull-up', 'pull-down', 'one-wire'] as const)
      for (const id of ids(problemWith([], { circuit: coolantCircuit({ layout }) }), EVERYTHING_AT_HAND))
        expect(measurementById(id).layouts, id).toContain(layout);
  });
});

describe('what a test costs', () => {
  const unplugged = measurementById('open-voltage');
  const access = (factor: number): Access => ({ ...EVERYTHING_AT_HAND, effort: { [unplugged.setup]: factor } });
  test('its minutes; fewer where the set-up stands from the last reading; more where the place is hard to reach', () => {
    const fresh = problemWith([['displayed', 20]]);
    const standing = problemWith([
      ['displayed', 20],
      ['open-voltage-return', 5],
    ]);
    expect(measurementById('open-voltage-return').setup).toBe(unplugged.setup);
    expect(unplugged.repeatMinutes).toBeLessThan(unplugged.minutes);
    const cost = (problem: typeof fresh, by: Access): number => minutesOf(planned('open-voltage'), problem, by);
    expect(cost(fresh, EVERYTHING_AT_HAND)).toBe(unplugged.minutes);
    expect(cost(problemWith([]), EVERYTHING_AT_HAND)).toBe(unplugged.minutes);
    expect(cost(standing, EVERYTHING_AT_HAND)).toBe(unplugged.repeatMinutes);
    expect(cost(fresh, access(3))).toBe(3 * unplugged.minutes);
  });
  test('the soonest is the one of most bits a minute among those that tell enough', () => {
    const worth = [
      { test: planned('displayed'), bits: 0.05, minutes: 0.1 },
      { test: planned('open-voltage'), bits: 0.6, minutes: 4 },
      { test: planned('loaded-voltage'), bits: 0.5, minutes: 2 },
      { test: planned('sensor-ohms'), bits: 0.1, minutes: 0.2 },
    ];
    expect(soonest(worth, 0.1)).toEqual({ measurement: 'loaded-voltage', conditions: {}, bits: 0.5, minutes: 2 });
    expect(soonest(worth, 0.04)).toMatchObject({ measurement: 'displayed' });
    expect(soonest(worth, 0.6)).toBeNull();
    expect(soonest([], 0)).toBeNull();
    const equal = [
      { test: planned('open-voltage'), bits: 1, minutes: 2 },
      { test: planned('sensor-ohms'), bits: 2, minutes: 4 },
    ];
    expect(soonest(equal, 0)!.measurement).toBe('open-voltage');
  });
  test('proposals: most bits a cost first, as many as asked for, each with its bits a minute', () => {
    const problem = problemWith([['displayed', -40]]);
    const list = proposeTests(problem, posteriorOf(problem), EVERYTHING_AT_HAND, 5);
    expect(list).toHaveLength(5);
    for (const p of list) expect(p.bitsPerMinute).toBeCloseTo(p.bits / p.minutes, 12);
    const cost = (p: (typeof list)[number]): number => p.minutes + (measurementById(p.measurement).risky ? 1 : 0);
    list.slice(1).forEach((p, i) => expect(list[i].bits / cost(list[i])).toBeGreaterThanOrEqual(p.bits / cost(p)));
  });
});

describe('information', () => {
  const table = (...rows: number[][]): Float64Array[] => rows.map((r) => Float64Array.from(r));
  test('by hand: sure, useless and half (Shannon)', () => {
    expect(mutualInformation({ given: table([1, 0], [0, 1]), shares: [0.5, 0.5] })).toBeCloseTo(1, 12);
    expect(mutualInformation({ given: table([0.5, 0.5], [0.5, 0.5]), shares: [0.5, 0.5] })).toBeCloseTo(0, 12);
    // One of four says which for sure: H(1/4) = 0.811278 bit.
    expect(mutualInformation({ given: table([1, 0], [0, 1]), shares: [0.25, 0.75] })).toBeCloseTo(0.811278, 6);
    // Binary symmetric channel, 10 % crossed: 1 − H(0.1) = 0.531004 bit.
    expect(mutualInformation({ given: table([0.9, 0.1], [0.1, 0.9]), shares: [0.5, 0.5] })).toBeCloseTo(0.531004, 6);
  });
  test('draws that stand for all: sixty-four, each as often as it weighs', () => {
    const draws = [0.5, 0.25, 0.25].map((weight, size) => ({ weight, size }));
    const few = thinned({ draws } as unknown as FaultPosterior) as unknown as { size: number }[];
    expect(few).toHaveLength(64);
    expect([0, 1, 2].map((size) => few.filter((d) => d.size === size).length)).toEqual([32, 16, 16]);
    expect(thinned({ draws: [{ weight: 1.5 }] } as unknown as FaultPosterior)).toHaveLength(64);
  });
  // A meter of 0.1 V at any voltage.
  const noise = { sigma: () => 0.1 } as unknown as NoiseModel;
  const faults = (...probabilities: number[]): FaultPosterior[] =>
    probabilities.map((probability) => ({ probability }) as FaultPosterior);
  const of = (...lists: number[][]) =>
    outcomeTable(
      faults(0.3, 0.1),
      lists.map((l) => Float64Array.from(l)),
      noise,
    );
  test('a table holds every outcome once, reaches three sigma to both sides, smears by the noise, and OL differs', () => {
    const { given, shares, border } = of([1, 1, Infinity, Infinity], [4, 4]);
    expect(shares).toEqual([0.3 / 0.4, 0.1 / 0.4].map((x) => expect.closeTo(x, 12) as number));
    // What noise reaches beyond three sigma, a thousandth, is left out.
    for (const bins of given) expect(bins.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 2);
    expect([given[0][BINS], given[1][BINS]]).toEqual([0.5, 0]);
    expect([border(0), border(BINS)]).toEqual([expect.closeTo(0.7, 9), expect.closeTo(4.3, 9)]);
    for (let b = 1; b <= BINS; b++) expect(border(b)).toBeGreaterThan(border(b - 1));
    // Each bin holds what a normal about 4 V of 0.1 V has between its borders.
    for (let b = 0; b < BINS; b++) {
      const share = normalCdf((border(b + 1) - 4) / 0.1) - normalCdf((border(b) - 4) / 0.1);
      expect(Math.abs(given[1][b] - share), `bin ${b}`).toBeLessThan(0.012);
    }
  });
  test('only OL: a scale stands nevertheless, and OL is told', () => {
    const { given, border } = of([Infinity], [Infinity]);
    expect([given[0][BINS], given[1][BINS]]).toEqual([1, 1]);
    expect([border(0), border(BINS)]).toEqual([0, expect.closeTo(1, 9)]);
    expect(mutualInformation(of([Infinity], [2]))).toBeCloseTo(0.811278, 2);
  });
});

describe('what a risky test costs', () => {
  const order = (riskMinutes: number): string[] =>
    proposeTests(problem, posterior, { ...EVERYTHING_AT_HAND, riskMinutes }, Infinity).map((p) => p.measurement);
  const problem = problemWith([
    ['displayed', -40],
    ['open-voltage', 5],
  ]);
  const posterior = posteriorOf(problem);
  test.each([
    ['before the volts were read', [], false],
    ['after the reference was read', [['open-voltage', 5]], true],
    ['after a little more than the reference', [['open-voltage', 5.2]], true],
    ['after battery voltage at the pin', [['open-voltage', 12.4]], false],
    [
      'after two readings, one of them too high',
      [
        ['open-voltage', 5],
        ['open-voltage-return', 12.4],
      ],
      false,
    ],
  ] as const)('nothing is connected to the plug %s', (_, volts, proposed) => {
    const read = problemWith([['displayed', -40], ...volts]);
    const ids = proposeTests(read, posteriorOf(read), EVERYTHING_AT_HAND, Infinity).map((p) => p.measurement);
    expect(ids.includes('displayed-bridged')).toBe(proposed);
    expect(ids.includes('displayed-substituted')).toBe(proposed);
  });
  test('a test that was left out is not proposed', () => {
    const access = { ...EVERYTHING_AT_HAND, leftOut: ['sensor-ohms'] };
    const ids = proposeTests(problem, posterior, access, Infinity).map((p) => p.measurement);
    expect(ids).not.toContain('sensor-ohms');
    expect(ids).toContain('displayed-bridged');
  });
  test('a jumper comes later the more its risk is worth in minutes, and is never left out', () => {
    const [free, dear] = [order(0), order(60)];
    expect(dear).toHaveLength(free.length);
    expect(free.indexOf('displayed-bridged')).toBeLessThan(dear.indexOf('displayed-bridged'));
    // Tests without risk keep their order among themselves.
    const plain = (list: string[]): string[] => list.filter((id) => !measurementById(id).risky);
    expect(plain(dear)).toEqual(plain(free));
  });
});

describe('suspects that are not told apart', () => {
  const pairsAt = (...readings: Parameters<typeof problemWith>[0][number][]) => {
    const problem = problemWith(readings);
    const posterior = posteriorOf(problem);
    const probability = (id: string): number => posterior.faults.find((f) => f.fault.id === id)!.probability;
    return { pairs: undecidedPairs(problem, posterior, EVERYTHING_AT_HAND), probability };
  };
  test('each pair once, both worth naming and within twenty to one, at most three, with what would tell', () => {
    const { pairs, probability } = pairsAt(['displayed', -40]);
    expect(pairs).toHaveLength(3);
    expect(new Set(pairs.map((p) => [...p.faults].sort().join())).size).toBe(3);
    for (const { faults, names, test: telling } of pairs) {
      expect(faults[0]).not.toBe(faults[1]);
      expect(names).toHaveLength(2);
      const [more, less] = faults.map(probability);
      expect(Math.min(more, less)).toBeGreaterThan(0.05);
      expect(more / less).toBeLessThanOrEqual(20);
      if (telling) expect(telling.bits).toBeGreaterThan(0.25);
    }
    expect(pairs.some((p) => p.test !== null)).toBe(true);
  });
  test('two at odds of four to one are still to be told apart', () => {
    // 0 V at the unplugged plug: most likely an open signal wire, but a wet plug does the same.
    const { pairs, probability } = pairsAt(['open-voltage', 0]);
    expect(probability('signal-open') / probability('signal-to-return')).toBeGreaterThan(3.5);
    expect(pairs.map((p) => p.faults)).toContainEqual(['signal-open', 'signal-to-return']);
  });
  test('nothing before the first reading, and nothing where one suspect is sure', () => {
    expect(pairsAt().pairs).toEqual([]);
    const sure = pairsAt(
      ['displayed', -40],
      ['sensor-ohms', Infinity],
      ['open-voltage', 5],
      ['displayed-bridged', 150],
    );
    expect(sure.probability('sensor-open')).toBeGreaterThan(0.96);
    expect(sure.pairs).toEqual([]);
  });
});
