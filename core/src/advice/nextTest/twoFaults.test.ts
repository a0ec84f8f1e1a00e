import { describe, expect, test } from 'vitest';
import { problemWith } from '../../../test/problems.ts';
import { canStandTogether } from '../../circuit/faults/together.ts';
import { FAULTS, faultById } from '../../circuit/faults/list.ts';
import { pairsOf } from '../../inference/posterior/pairs.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import { simulateCase, withReadings } from '../../training/simulation/simulateCase.ts';
import { simulatePair } from '../../training/simulation/simulatePair.ts';
import { explain } from '../../inference/verdict/assessment.ts';
import { testsAtRandom } from '../../../../studies/cases.ts';
import { verdictText } from '../../wording/verdictText.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { mayBeTwo, saysTwo, twoFaultsOf } from './twoFaults.ts';

const judged = (problem: Problem) => {
  const posterior = posteriorOf(problem);
  const assessment = explain(problem, posterior);
  return { assessment, two: twoFaultsOf(problem, posterior, assessment, EVERYTHING_AT_HAND) };
};
/** A wet plug (8 kΩ across) and a corroded return (1.2 kΩ): 20 °C, 2 kΩ sensor, 2.49 kΩ pull-up; worked by hand from the divider. */
const WET_AND_CORRODED = problemWith(
  [
    ['sensor-ohms', 2458],
    ['open-voltage', 3.93],
    ['open-voltage-return', 3.42],
    ['return-wire-ohms', 1200],
    ['isolation-return', 8000],
    ['signal-wire-ohms', 0.6],
    ['isolation-ground', Infinity],
  ],
  { thermometers: { steady: { readC: 20, sigmaK: 1.5 } } },
);

describe('two faults at once', () => {
  test('a wet plug and a corroded return are named as two, each with its size', () => {
    const { assessment, two } = judged(WET_AND_CORRODED);
    expect(two!.probability).toBeGreaterThan(0.9);
    const [top] = two!.pairs;
    const sizes = Object.fromEntries([top.first, top.second].map((f) => [f.fault, f.size!.middle]));
    expect(Object.keys(sizes).sort()).toEqual(['return-resistive', 'signal-to-return']);
    expect(sizes['return-resistive']).toBeGreaterThan(1000);
    expect(sizes['return-resistive']).toBeLessThan(1400);
    expect(sizes['signal-to-return']).toBeGreaterThan(7000);
    expect(sizes['signal-to-return']).toBeLessThan(9000);
    // What would prove the second is a test that can be done, of so many minutes.
    if (top.test) expect([top.test.minutes > 0, top.test.bits > 0]).toEqual([true, true]);
    expect(two!.pairs.some((p) => p.test !== null)).toBe(true);
    const words = verdictText(assessment, (id) => id, 'C', two);
    expect(words.title).toContain('Two things are wrong');
    expect(words.title).toContain('resistance in the return');
    expect(words.title).toContain('wet connector');
    expect(words.detail).toMatch(/Ω/);
  });
  test('one fault, however many readings: pairs are not even weighed', () => {
    const { assessment, two } = judged(
      problemWith([
        ['sensor-ohms', Infinity],
        ['displayed', -40],
        ['open-voltage', 5],
      ]),
    );
    expect(assessment.doubt.kind).toBe('none');
    expect(two).toBeNull();
  });
  test('a reference of 5.55 V beside an open sensor is said, though it may be sound', () => {
    const { assessment } = judged(
      problemWith([
        ['sensor-ohms', Infinity],
        ['displayed', -40],
        ['open-voltage', 5.55],
      ]),
    );
    expect(assessment.suspects[0].fault).toBe('sensor-open');
    expect(assessment.stretched.map((s) => s.unknown)).toEqual(['reference']);
    expect(verdictText(assessment, (id) => id, 'C').detail).toContain('Outside the usual range: the reference');
  });
  test('simulated pairs: most are named; simulated single faults: none is taken for two', () => {
    let [named, said] = [0, 0];
    for (let i = 0; i < 10; i++) {
      const { problem, faults } = simulatePair(9100 + i, (p) => testsAtRandom(i, p, 18));
      const { assessment, two } = judged(problem);
      const top = saysTwo(two) ? two.pairs[0] : null;
      const truth = faults.map((f) => f.id).sort();
      named += Number(top !== null && [top.first.fault, top.second.fault].sort().join() === truth.join());
      said += Number(top !== null || assessment.doubt.kind === 'nothing-fits');
      const single = simulateCase(21_000 + i);
      const alone = judged(withReadings(single, testsAtRandom(i, single.problem, 18))).two;
      expect(alone === null || alone.probability < 0.5, `single case ${i}`).toBe(true);
    }
    expect(named).toBeGreaterThanOrEqual(7);
    expect(said).toBeGreaterThanOrEqual(9);
  });
  // Each was missed by a search that took one stretch of the second size, one kind of converter, or places of an even grid alone.
  test.each([
    [9035, 'return-open+sensor-low'],
    [9047, 'placement+signal-to-ground'],
    [9074, 'placement+signal-resistive'],
    [9177, 'reference-low+signal-to-return'],
    [9288, 'return-resistive+signal-resistive'],
  ])('narrow peaks are found: pair %i is %s', (seed, truth) => {
    const { problem } = simulatePair(seed, (p) => testsAtRandom(seed - 9000, p, 18));
    const { two } = judged(problem);
    expect(two!.probability).toBeGreaterThan(0.5);
    expect(two!.pairs.map((p) => [p.first.fault, p.second.fault].sort().join('+'))).toContain(truth);
  });
  test('a second fault that is likelier than one in ten but not likely is possible, and only that', () => {
    const { problem } = simulatePair(9113, (p) => testsAtRandom(113, p, 18));
    const { two } = judged(problem);
    expect([mayBeTwo(two), saysTwo(two)]).toEqual([true, false]);
    for (const [probability, may] of [
      [0.09, false],
      [0.11, true],
      [0.69, true],
      [0.7, false],
    ] as const)
      expect(mayBeTwo({ ...two!, probability }), String(probability)).toBe(may);
    expect(mayBeTwo(null)).toBe(false);
    expect(mayBeTwo({ probability: 0.3, pairs: [] })).toBe(false);
  });
  test('pairs are weighed where a reading is in some doubt, though none is doubted outright', () => {
    const { problem } = simulatePair(9028, (p) => testsAtRandom(28, p, 18));
    const { assessment, two } = judged(problem);
    expect([assessment.doubt.kind, assessment.stretched]).toEqual(['none', []]);
    expect(saysTwo(two)).toBe(true);
  });
  test('it gives way between its steps', () => {
    const steps = pairsOf(WET_AND_CORRODED, posteriorOf(WET_AND_CORRODED));
    let count = 0;
    for (let step = steps.next(); !step.done; step = steps.next()) count++;
    expect(count).toBeGreaterThan(10);
  });
});

test('which faults can stand together: never two of one element, never nothing wrong', () => {
  const of = (a: string, b: string): boolean => canStandTogether(faultById(a), faultById(b));
  expect(of('sensor-open', 'sensor-high')).toBe(false);
  expect(of('signal-open', 'signal-resistive')).toBe(false);
  expect(of('reference-low', 'reference-high')).toBe(false);
  expect(of('healthy', 'sensor-open')).toBe(false);
  expect(of('sensor-high', 'return-resistive')).toBe(true);
  expect(of('sensor-to-body', 'sensor-open')).toBe(true);
  for (const a of FAULTS) {
    expect(canStandTogether(a, a)).toBe(false);
    for (const b of FAULTS) expect(canStandTogether(a, b)).toBe(canStandTogether(b, a));
  }
});
