import { describe, expect, test } from 'vitest';
import { type JobLine } from '../../check/job/jobList.ts';
import { jobLine } from '../../check/job/jobLine.ts';
import { jobSchema } from '../../check/job/jobSchema.ts';
import { newJob } from '../../check/job/newJob.ts';
import { newReading } from '../../check/job/newReading.ts';
import { priorFactors } from '../../check/job/priorFactors.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { pooled } from '../../inference/model/priorFactor.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { FAULT_GROUPS, type FaultGroup } from '../../base/units/vocabulary.ts';
import { experienceCsv } from './experienceCsv.ts';
import {
  DEFAULT_SHARES,
  experienceFor,
  type KnownCase,
  knownCases,
  ownShares,
  type Shares,
  trackRecord,
} from './experience.ts';

const AT = '2025-06-01T08:00:00.000Z';
function closed(id: string, group: FaultGroup, more: Partial<JobLine> = {}): JobLine {
  const job = newJob(id, AT);
  job.decision = { group, toolGroup: group, toolProbability: 0.8, reason: '', decidedAt: AT };
  job.closed = { at: AT, how: 'proved', reason: '' };
  return { ...jobLine(job), circuit: 'Coolant', ...more };
}
const sum = (shares: Shares): number => FAULT_GROUPS.reduce((all, g) => all + shares[g], 0);

describe('base rates of one’s own', () => {
  test('the default shares are those of the weights', () => {
    expect(sum(DEFAULT_SHARES)).toBeCloseTo(1, 12);
    const [mine, all] = [FAULTS.filter((f) => f.group === 'wiring'), FAULTS].map((l) =>
      l.reduce((s, f) => s + f.weight, 0),
    );
    expect(DEFAULT_SHARES.wiring).toBeCloseTo(mine / all, 12);
  });
  test('only what was closed with proof and did not come back counts', () => {
    const lines = [
      closed('a', 'sensor'),
      closed('b', 'sensor', { unproved: true }),
      closed('c', 'wiring', { state: 'repaired' }),
      closed('d', 'wiring'),
      closed('e', 'module', { recurrenceOf: 'd' }),
      closed('f', 'healthy', { group: null }),
    ];
    expect(knownCases(lines)).toEqual([
      { field: 'engine', circuit: 'coolant', group: 'sensor' },
      { field: 'engine', circuit: 'coolant', group: 'module' },
    ]);
  });
  test('a Dirichlet distribution by hand: what is far is the start of what is near', () => {
    const cases: KnownCase[] = [
      { field: 'boiler', circuit: 'flow', group: 'sensor' },
      { field: 'engine', circuit: 'air', group: 'wiring' },
      { field: 'engine', circuit: 'coolant', group: 'wiring' },
      { field: 'engine', circuit: 'coolant', group: 'module' },
    ];
    const d = DEFAULT_SHARES.wiring;
    const far = (10 * d) / 11;
    const near = (10 * far + 1) / 11;
    expect(ownShares(cases, 'engine', ' Coolant', 10).wiring).toBeCloseTo((10 * near + 1) / 12, 12);
    expect(ownShares(cases, 'climate', 'coolant', 10).wiring).toBeCloseTo((10 * d + 2) / 14, 12);
    expect(sum(ownShares(cases, 'engine', 'Coolant'))).toBeCloseTo(1, 12);
    expect(ownShares([], 'engine', 'x')).toEqual(DEFAULT_SHARES);
  });
  test('a new check takes the factors with it: seen among what moved the odds, and its verdict stays as it was begun', () => {
    const lines = Array.from({ length: 30 }, (_, i) => closed(`j${i}`, 'wiring'));
    const job = newJob('new', AT);
    job.experience = experienceFor(lines, { field: 'engine', circuit: 'Coolant' }, 60, AT)!;
    expect(jobSchema.safeParse(job).success).toBe(true);
    const { factors, checks } = job.experience;
    expect(checks).toBe(30);
    expect(factors.wiring).toBeCloseTo((60 * DEFAULT_SHARES.wiring + 30) / 90 / DEFAULT_SHARES.wiring, 3);
    expect(factors.sensor).toBeCloseTo(60 / 90, 3);
    const [factor] = priorFactors(job, null);
    expect(factor).toMatchObject({ source: 'experience', name: 'Your own 30 closed checks' });
    for (const { id, group } of FAULTS) expect(factor.ratios[id]).toBe(factors[group]);
    // Base rates are not drawn together with what is seen of this case.
    expect(pooled([factor])).toEqual(factor.ratios);
    expect(experienceFor([], { field: 'engine', circuit: '' }, 60, AT)).toBeNull();
  });
  test('where the rates are others a hundred checks help; where they are the default’s they cost next to nothing', () => {
    const uniform = seededUniform(5);
    const draw = (shares: Shares): FaultGroup => {
      let rest = uniform() * sum(shares);
      return FAULT_GROUPS.find((g) => (rest -= shares[g]) < 0)!;
    };
    /** What the reading that follows is worth: the true group is told with a likelihood ratio of 4, another one at times. */
    const loss = (own: Shares, truth: Shares): number => {
      let total = 0;
      for (let i = 0; i < 1000; i++) {
        const is = draw(truth);
        const said = uniform() < 0.6 ? is : draw(DEFAULT_SHARES);
        const weight = (g: FaultGroup): number => own[g] * (g === said ? 4 : 1);
        total -= Math.log(weight(is) / FAULT_GROUPS.reduce((s, g) => s + weight(g), 0));
      }
      return total / 1000;
    };
    const learned = (truth: Shares): Shares => {
      const cases = Array.from({ length: 100 }, (): KnownCase => ({
        field: 'engine',
        circuit: 'c',
        group: draw(truth),
      }));
      return ownShares(cases, 'engine', 'c');
    };
    const other: Shares = {
      sensor: 0.06,
      wiring: 0.7,
      reference: 0.04,
      module: 0.04,
      installation: 0.1,
      healthy: 0.06,
    };
    let [gain, cost] = [0, 0];
    for (let i = 0; i < 10; i++) {
      gain += (loss(DEFAULT_SHARES, other) - loss(learned(other), other)) / 10;
      cost += (loss(learned(DEFAULT_SHARES), DEFAULT_SHARES) - loss(DEFAULT_SHARES, DEFAULT_SHARES)) / 10;
    }
    expect(gain).toBeGreaterThan(0.1);
    expect(cost).toBeLessThan(0.02);
  });
});

describe('what the closed checks say', () => {
  test('by group: how often it was decided, came back, and was said by the tool', () => {
    const lines = [
      closed('a', 'sensor'),
      closed('b', 'sensor', { tool: { group: 'wiring', probability: 0.6 } }),
      closed('c', 'sensor'),
      closed('d', 'wiring', { recurrenceOf: 'c', tool: { group: 'wiring', probability: 0.95 } }),
      closed('e', 'wiring', { unproved: true }),
    ];
    const record = trackRecord(lines);
    expect(record.closed).toBe(4);
    expect(record.groups).toEqual([
      { group: 'sensor', decided: 3, cameBack: 1, toolSaid: 1 },
      { group: 'wiring', decided: 1, cameBack: 0, toolSaid: 1 },
    ]);
    expect(record.reliability.map((b) => [b.from, b.count, b.right])).toEqual([
      [0.5, 1, 0],
      [0.7, 1, 1],
      [0.9, 1, 1],
    ]);
    expect(trackRecord([])).toEqual({
      closed: 0,
      groups: [],
      reliability: [],
      minutes: { spent: 0, planned: 0, checks: 0 },
    });
  });
  test('minutes at measuring: pauses left out, beside what the tests are planned with', () => {
    const job = newJob('a', AT);
    const at = (minute: number): string => new Date(Date.parse(AT) + minute * 60_000).toISOString();
    const read = (id: string, minute: number | null) =>
      newReading(id, 'displayed', { text: '20', value: 20, takenAt: minute === null ? null : at(minute) });
    job.readings = [read('a', 0), read('b', 7)];
    job.readings.push(
      { ...read('v', 8), voided: { reason: '', at: AT } },
      read('n', null),
      read('c', 37),
      read('d', 97),
    );
    expect(jobLine(job).minutes).toEqual({ spent: 37, planned: 3 });
    job.readings = [read('a', 0), read('n', null)];
    expect(jobLine(job).minutes).toBeNull();
    const lines = [
      closed('x', 'sensor', { minutes: { spent: 10, planned: 8 } }),
      closed('y', 'sensor', { minutes: { spent: 5, planned: 9 } }),
      closed('z', 'sensor'),
    ];
    expect(trackRecord(lines).minutes).toEqual({ spent: 15, planned: 17, checks: 2 });
  });
});

test('the table of base rates: a row for each group of each kind of circuit, no cell a formula', () => {
  const cases: KnownCase[] = [
    { field: 'engine', circuit: '=air', group: 'wiring' },
    { field: 'engine', circuit: '=air', group: 'sensor' },
    { field: 'boiler', circuit: 'flow', group: 'sensor' },
  ];
  const [head, ...rows] = experienceCsv(cases, 60).trim().split('\n');
  expect(head).toBe('field,circuit,group,checks,found,default_share,own_share,default_counts_for');
  expect(rows).toHaveLength(2 * FAULT_GROUPS.length);
  const own = ownShares(cases, 'engine', '=air', 60).wiring.toFixed(4);
  expect(rows[1]).toBe(`engine,"'=air",wiring,2,1,${DEFAULT_SHARES.wiring.toFixed(4)},${own},60`);
});
