import { describe, expect, test } from 'vitest';
import type { Proposal } from '../../advice/nextTest/nextTest.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { FAULT_GROUPS, type FaultGroup } from '../../base/units/vocabulary.ts';
import { carefully, type Happened, type Move, problemAfter, replay } from './play.ts';
import { leadersOf, type Played, playBy, POLICIES, policyName, wasRight } from './policies.ts';
import { ruleOfThumb } from './ruleOfThumb.ts';
import { type DebriefStep, debriefOf, follow, followFrom, tellable } from './score.ts';
import { rightSetUp } from './setUp.ts';
import { trainingCase, type TrainingCase } from './trainingCase.ts';

const measure = (made: TrainingCase, id: string, conditions = {}): Move => ({
  ...{ kind: 'measure', id, measurement: id, conditions, expects: null },
  setUp: rightSetUp(measurementById(id), carefully(made)),
});

describe('the score of a play, by hand', () => {
  const made = trainingCase({ theme: 'series-resistance', field: 'engine', difficulty: 1, seed: 301 });
  const start = followFrom(made);
  const ideal: Played = {
    moves: [measure(made, 'open-voltage'), { kind: 'act', group: 'wiring', reason: '' }],
    state: { ...start.state, minutes: 50, money: 20, total: 90 },
    first: { group: 'wiring', probability: 0.97 },
    sure: true,
  };
  const event = (move: Move, change: Partial<Happened> = {}): Happened => ({
    ...{ move, minutes: 0, money: 0, shown: null, seen: null, helped: null, careless: null },
    ...change,
  });
  const step = (of: Happened, wiringAfter: number, change: Partial<DebriefStep> = {}): DebriefStep => ({
    event: of,
    before: [],
    after: [
      { group: 'wiring', probability: wiringAfter },
      { group: 'sensor', probability: 1 - wiringAfter },
    ],
    ...{ test: null, best: null, lost: 0, won: null },
    ...change,
  });
  const shown = { text: '5.00 V', value: 5, mistakes: [], damage: null };
  const act = (group: FaultGroup, helped: Happened['helped']): DebriefStep =>
    step(event({ kind: 'act', group, reason: '' }, { helped }), 0.5);
  const scored = (steps: DebriefStep[], state: Partial<Played['state']> = {}, by = ideal) =>
    debriefOf(made, { ...start, state: { ...start.state, events: steps.map((s) => s.event), ...state }, steps }, by)
      .score;

  test('minutes, money and both together, against the ideal', () => {
    const score = scored([], { minutes: 80, money: 25, total: 140, ended: 'gave-up' });
    expect(score).toMatchObject({
      ...{ minutes: 80, money: 25, total: 140, healed: false, right: null, tests: 0, wonPerMinute: 0, logScore: null },
      ideal: { minutes: 50, money: 20, total: 90, tests: 1 },
      regret: { minutes: 30, money: 5, total: 50 },
      ...{ unneeded: [], careless: 0, mistakes: 0, said: [], school: null, knownAt: null },
    });
    const { allowed } = made;
    expect(scored([], { minutes: allowed.minutes, total: allowed.money }).over).toEqual({
      minutes: false,
      money: false,
    });
    expect(scored([], { minutes: allowed.minutes + 1, total: 0 }).over).toEqual({ minutes: true, money: false });
    expect(scored([], { minutes: 0, total: allowed.money + 1 }).over).toEqual({ minutes: false, money: true });
  });
  test('bits a minute of measuring; what was passed over; from where on it could have been known', () => {
    const wrong = { ...shown, mistakes: ['key-on' as const] };
    const steps = [
      step(event({ kind: 'diagram' }, { minutes: 9 }), 0.99),
      step(event(measure(made, 'open-voltage'), { minutes: 3, shown }), 0.4, { won: 0.5 }),
      step(event(measure(made, 'sensor-ohms'), { minutes: 2, shown: wrong, careless: 'ohms-on-live' }), 0.94, {
        won: 1.5,
      }),
      step(event(measure(made, 'loaded-voltage'), { minutes: 5, shown }), 0.95, { won: -0.4 }),
      act('sensor', 'no'),
      act('wiring', 'healed'),
    ];
    const score = scored(steps, { ended: 'healed' });
    expect(score).toMatchObject({ tests: 3, careless: 1, mistakes: 1, knownAt: 3, unneeded: ['sensor'], right: false });
    expect(score.wonPerMinute).toBeCloseTo(1.6 / 10, 12);
    expect(score.healed).toBe(true);
    expect(scored([act('wiring', 'healed'), act('sensor', 'no')]).right).toBe(true);
    expect(scored([act('wiring', 'better')]).right).toBe(true);
  });
  test('“cannot be told” is right where the ideal was not sure either', () => {
    expect(scored([], { ended: 'cannot-tell' }).right).toBe(false);
    expect(scored([], { ended: 'cannot-tell' }, { ...ideal, sure: false }).right).toBe(true);
    expect([tellable(ideal), tellable({ ...ideal, sure: false })]).toEqual([true, false]);
    expect(wasRight(made, ideal)).toBe(true);
    expect(wasRight(made, { ...ideal, first: { group: 'sensor', probability: 0.9 } })).toBe(false);
    expect(wasRight(made, { ...ideal, first: null })).toBe(false);
  });
  test('what was believed: −ln of what the fault was given, a thousandth at least; the likeliest as a point of the curve', () => {
    const believe = (shares: Partial<Record<FaultGroup, number>>): DebriefStep =>
      step(event({ kind: 'believe', shares }), 0.5);
    const score = scored([believe({ sensor: 0.2, wiring: 0.8 }), believe({ sensor: 1, wiring: 0 })]);
    expect(score.logScore).toBeCloseTo((-Math.log(0.8) - Math.log(0.001)) / 2, 12);
    expect(score.said).toEqual([
      { probability: 0.8, right: true },
      { probability: 1, right: false },
    ]);
    expect(scored([believe({ module: 1 })]).logScore).toBeCloseTo(-Math.log(0.001), 12);
    // Held alike: the first that was named.
    expect(scored([believe({ sensor: 0.5, wiring: 0.5 })]).said).toEqual([{ probability: 0.5, right: false }]);
  });
  test('followed: a move after the end changes nothing; only what can change the odds is ranked anew', () => {
    const looked = follow(made, start, { kind: 'diagram' });
    expect(looked.posterior).toBe(start.posterior);
    expect(looked.steps.map((s) => [s.won, s.lost, s.test, s.best])).toEqual([[null, 0, null, null]]);
    const measured = follow(made, looked, measure(made, 'loaded-voltage'));
    expect(measured.posterior).not.toBe(looked.posterior);
    const [, { test: taken, best, lost, won, before, after }] = measured.steps;
    const { bitsPerCost } = taken as Proposal;
    expect([taken!.measurement, best !== null]).toEqual(['loaded-voltage', true]);
    expect(lost).toBeCloseTo(Math.max(0, best!.bitsPerCost - bitsPerCost), 12);
    const wiring = (list: typeof before): number => list.find((g) => g.group === 'wiring')!.probability;
    expect(won).toBeCloseTo(Math.log2(wiring(after) / wiring(before)), 12);
    const dark = follow(made, measured, {
      ...measure(made, 'displayed'),
      setUp: { ...rightSetUp(measurementById('displayed'), carefully(made)), key: false },
    } as Move);
    expect([dark.steps[2].won, dark.steps[2].event.shown!.text]).toEqual([0, '']);
    const ended = follow(made, dark, { kind: 'give-up' });
    expect(ended.posterior).toBe(dark.posterior);
    expect(follow(made, ended, { kind: 'look' })).toBe(ended);
  });
  test('enough known: then no test was better', () => {
    const tests = playBy(made, 'ideal').moves.filter((m) => m.kind === 'measure');
    const { steps } = [...tests, measure(made, 'supply-to-return')].reduce((f, move) => follow(made, f, move), start);
    const known = steps.findIndex((s) => s.after[0].probability >= 0.95);
    expect(known).toBe(tests.length - 1);
    expect(steps.map((s) => s.best === null)).toEqual(steps.map((_, i) => i > known));
    expect(steps[known + 1].lost).toBe(0);
  });
});

describe('what is left to be at fault', () => {
  const made = trainingCase({ theme: 'any', field: 'engine', difficulty: 1, seed: 40 });
  const state = replay(made, []);
  const posterior = posteriorOf(problemAfter(made, state));
  test('all groups at first, likeliest first; what was put right is out, and “sound” after a repair that helped', () => {
    const all = leadersOf(posterior, state);
    expect(all.map((g) => g.group).sort()).toEqual([...FAULT_GROUPS].sort());
    expect(all.reduce((sum, g) => sum + g.probability, 0)).toBeCloseTo(1, 9);
    all.forEach((g, i) => i > 0 && expect(g.probability).toBeLessThanOrEqual(all[i - 1].probability));
    const vain = leadersOf(posterior, { ...state, mended: ['sensor'] });
    const share = (list: typeof all, group: string): number => list.find((g) => g.group === group)?.probability ?? 0;
    expect(share(vain, 'sensor')).toBe(0);
    expect(share(vain, 'wiring')).toBeCloseTo(share(all, 'wiring') / (1 - share(all, 'sensor')), 9);
    const helped = leadersOf(posterior, { ...state, mended: ['sensor'], since: 3 });
    expect([share(helped, 'healthy'), share(vain, 'healthy') > 0]).toEqual([0, true]);
    expect(helped.reduce((sum, g) => sum + g.probability, 0)).toBeCloseTo(1, 9);
    // Nothing left with any weight: all that is left alike.
    const none = leadersOf({ ...posterior, faults: posterior.faults.map((f) => ({ ...f, probability: 0 })) }, state);
    expect(new Set(none.map((g) => g.probability))).toEqual(new Set([1 / none.length]));
  });
});

/** How a way of working plays a case: what it takes in which order, and what it does. */
const told = ({ moves, state, first, sure }: Played): string => {
  const short = (m: Move): string =>
    m.kind === 'measure'
      ? `${m.measurement}${m.setUp.state === 'steady' ? '' : ` ${m.setUp.state}`}${Object.entries(m.conditions)
          .map(([n, v]) => ` ${n} ${v}`)
          .join('')}`
      : m.kind === 'act'
        ? `mend ${m.group}`
        : m.kind;
  const did = moves.map(short).join(', ');
  return `${state.ended} ${state.minutes} min, ${Number(state.total.toPrecision(6))}; ${first?.group} ${first?.probability.toFixed(3)} ${sure ? 'sure' : 'not sure'}: ${did}`;
};

test('each way of working plays the same case the same way in every version', async () => {
  const ideals = (['two-sensors', 'only-hot', 'nothing-now'] as const).map((theme, i) => ({
    made: trainingCase({ theme, field: 'engine', difficulty: 1, seed: 310 + i }),
    policy: 'ideal',
  }));
  const made = trainingCase({ theme: 'two-sensors', field: 'boiler', difficulty: 3, seed: 320 });
  const schools = ['supply-first', 'bypass-first', 'swap-first'].map((policy) => ({ made, policy }));
  const lines = [...ideals, ...schools].map(
    (one) => `${one.made.number} ${policyName(one.policy)}: ${told(playBy(one.made, one.policy))}`,
  );
  await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('../../../test/data/trainingPlays.txt');
});

test('the rule of thumb behind a school, tried on eighty cases of the same kind', () => {
  const key = { theme: 'any', field: 'engine', difficulty: 2, seed: 1 } as const;
  const rules = [...POLICIES, null].map((school) => ruleOfThumb(school, key));
  expect(rules.filter((r) => r !== null).every((r) => r.of === 80 && r.right > 0 && r.right < 80)).toBe(true);
  expect(rules.map((r) => r?.name.split(':')[0] ?? null)).toMatchInlineSnapshot(`
    [
      null,
      null,
      "5 V, ground and ohms against the table",
      "Bypass",
      null,
      "Compare with new",
      "Swap first",
      null,
    ]
  `);
  // The seed of the case itself plays no part.
  expect(ruleOfThumb('compare', { ...key, seed: 99 })).toEqual(ruleOfThumb('compare', key));
  expect(ruleOfThumb('swap-first', key)!.right).not.toBe(ruleOfThumb('compare', key)!.right);
});
