import { describe, expect, test } from 'vitest';
import { problemWith } from '../../../test/problems.ts';
import type { Shares } from '../../circuit/network/chain.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { assess } from '../../inference/verdict/assessment.ts';
import { mendedApart } from './mendedApart.ts';
import { candidateTests, proposeTests } from './nextTest.ts';

type Readings = Parameters<typeof problemWith>[0];
const sharing = (shares: Shares | undefined, readings: Readings): Problem => {
  const problem = problemWith(readings);
  return { ...problem, circuit: { ...problem.circuit, shares } };
};
/** 3.1 V at our plug and at a neighbour's, everything else sound. */
const LOW: Readings = [
  ['sensor-ohms', 3450],
  ['open-voltage', 3.1],
  ['neighbour-reference', 3.1],
];
const GONE: Readings = [
  ['sensor-ohms', 3450],
  ['open-voltage', 0.02],
  ['neighbour-reference', 0.02],
];

describe('a neighbour that drags the reference down', () => {
  test.each([
    ['low', 'reference-low', LOW],
    ['gone', 'reference-missing', GONE],
  ] as const)(
    'reference %s: back with the neighbours unplugged, a neighbour; else the module',
    (_, fault, readings) => {
      const found = (alone: number) =>
        assess(sharing('reference', [...readings, ['reference-alone', alone]])).suspects[0];
      const [neighbour, module] = [found(4.98), found(readings[1][1])];
      expect(neighbour).toMatchObject({ fault, detail: 'dragged down by a neighbour' });
      expect(neighbour.probability).toBeGreaterThan(0.9);
      expect(neighbour.repair).toMatch(/^Plug the neighbours in again one by one, key off/);
      expect(module).toMatchObject({ fault, detail: 'by the module itself' });
      expect(module.probability).toBeGreaterThan(0.9);
      expect(module.repair).toMatch(/^No neighbour/);
    },
  );

  test('before that it is open, and unplugging them is the test that tells; where nothing is shared it is none', () => {
    const problem = sharing('both', LOW);
    const posterior = posteriorOf(problem);
    const [suspect] = assess(problem).suspects;
    expect(suspect).toMatchObject({ fault: 'reference-low', detail: null });
    expect(suspect.repair).toContain('one by one');
    const [first] = proposeTests(problem, posterior, EVERYTHING_AT_HAND);
    expect(first.measurement).toBe('reference-alone');
    // 0.7 to 0.3: the entropy of a question that the reading answers.
    expect(first.bits).toBeGreaterThan(0.8);
    expect(first.outcomes.map((o) => o.leaves[0].name)).toEqual([
      'reference low, dragged down by a neighbour',
      'reference low, by the module itself',
    ]);
    expect(first.outcomes[0].interval.low).toBeGreaterThan(4.5);
    expect(first.outcomes[1].interval.high).toBeLessThan(3.5);
    for (const shares of [undefined, 'unknown', 'nothing', 'return'] as const) {
      const ids = candidateTests(sharing(shares, LOW), EVERYTHING_AT_HAND).map((t) => t.measurement.id);
      expect(ids, shares).not.toContain('reference-alone');
    }
    // Read all the same, it counts.
    expect(assess(sharing(undefined, [...LOW, ['reference-alone', 4.98]])).suspects[0].detail).toBe(
      'dragged down by a neighbour',
    );
  });

  test('as suspects of their own: each its share, the rest as they were', () => {
    const { faults } = posteriorOf(sharing('reference', LOW));
    const apart = mendedApart(faults);
    const low = faults.find((f) => f.fault.id === 'reference-low')!;
    const parts = apart.filter((f) => f.fault.id === 'reference-low');
    expect(parts).toHaveLength(2);
    expect(parts[0].probability / low.probability).toBeCloseTo(0.7, 1);
    for (const part of parts) expect(part.draws.reduce((sum, d) => sum + d.weight, 0)).toBeCloseTo(1, 12);
    const sum = (list: readonly { probability: number }[]): number => list.reduce((s, f) => s + f.probability, 0);
    expect(sum(parts)).toBeCloseTo(low.probability, 12);
    expect(sum(apart)).toBeCloseTo(sum(faults), 12);
    const sensor = faults.find((f) => f.fault.id === 'sensor-high')!;
    expect(apart).toContain(sensor);
    expect(mendedApart(posteriorOf(sharing('nothing', LOW)).faults)).toHaveLength(faults.length);
  });

  test('it does not change what is believed of the groups', () => {
    const groups = (shares: Shares): number[] =>
      posteriorOf(sharing(shares, LOW))
        .faults.map((f) => [f.fault.id, f.probability] as const)
        .sort(([a], [b]) => a.localeCompare(b))
        .map(([, p]) => p);
    groups('reference').forEach((p, i) => expect(p).toBeCloseTo(groups('nothing')[i], 2));
  });
});
