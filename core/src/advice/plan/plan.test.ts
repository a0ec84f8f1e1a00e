import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { problemWith } from '../../../test/problems.ts';
import { accessOf, EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import { genericKit } from '../../catalogue/kit/kitSchema.ts';
import { proposeTests } from '../nextTest/nextTest.ts';
import { SCHOOLS } from '../nextTest/schools.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { figure } from '../../base/units/entry.ts';
import { FAULT_GROUPS } from '../../base/units/vocabulary.ts';
import { actOn, bestStep, maySatisfy, type Prospect, type Trial, withTrial } from './lookAhead.ts';
import { cheapestFirst } from './cheapestFirst.ts';
import { costOfRule } from './fixedRules.ts';
import { cheapestStep, planOf } from './planOf.ts';
import { actNow, type Costs, type Repair, repairsOf } from './repairs.ts';
import { costsOf, hasPrices, newWorth } from './worthSchema.ts';

const MINUTES: Costs = costsOf(newWorth(), genericKit(), null);
const permutations = (n: number): number[][] =>
  n === 0
    ? [[]]
    : permutations(n - 1).flatMap((p) =>
        Array.from({ length: n }, (_, at) => [...p.slice(0, at), n - 1, ...p.slice(at)]),
      );
/** Expected cost of an order, summed case by case: the truth is one group, everything before it was in vain. */
function costOfOrder(
  order: readonly number[],
  repairs: readonly Repair[],
  weights: readonly number[],
  { perMinute, back }: Costs,
): number {
  return weights.reduce((sum, weight, truth) => {
    let cost = 0;
    for (const i of order) {
      cost += repairs[i].minutes * perMinute + repairs[i].money;
      if (i === truth) break;
      cost += back;
    }
    return sum + weight * cost;
  }, 0);
}

describe('acting now', () => {
  test('no order of the repairs is cheaper (property, against every order)', () => {
    const figureOf = (max: number) => fc.integer({ min: 0, max });
    const repairs = fc.array(
      fc.record({ minutes: figureOf(60), money: figureOf(300), weight: fc.integer({ min: 1, max: 40 }) }),
      {
        minLength: 1,
        maxLength: 5,
      },
    );
    fc.assert(
      fc.property(repairs, figureOf(200), fc.integer({ min: 1, max: 3 }), (list, back, perMinute) => {
        const costs = { ...MINUTES, back, perMinute };
        const own = list.map(({ minutes, money }, i): Repair => ({ group: FAULT_GROUPS[i], minutes, money }));
        const weights = list.map((r) => r.weight);
        const best = actNow(own, weights, costs);
        const all = permutations(own.length).map((order) => costOfOrder(order, own, weights, costs));
        expect(best.total).toBeCloseTo(Math.min(...all), 6);
        expect(best.total).toBeCloseTo(best.minutes * perMinute + best.money, 6);
        own.forEach((repair, first) => {
          const led = actNow(own, weights, costs, first);
          expect(led.order[0]).toBe(repair.group);
          const withIt = permutations(own.length)
            .filter((o) => o[0] === first)
            .map((o) => costOfOrder(o, own, weights, costs));
          expect(led.total).toBeCloseTo(Math.min(...withIt), 6);
        });
      }),
      { seed: 51, numRuns: 120 },
    );
  });
  test('worked by hand: a cheap part first, then the loom', () => {
    const repairs: Repair[] = [
      { group: 'sensor', minutes: 10, money: 8 },
      { group: 'wiring', minutes: 60, money: 0 },
    ];
    // 0.4 · 18 + 0.6 · (18 + 30 + 60) = 72; the other way round 0.6 · 60 + 0.4 · (60 + 30 + 18) = 79.2.
    const plan = actNow(repairs, [0.4, 0.6], { ...MINUTES, back: 30 });
    expect(plan.order).toEqual(['sensor', 'wiring']);
    expect(plan.total).toBeCloseTo(72, 9);
    expect([plan.minutes, plan.money]).toEqual([46, expect.closeTo(26, 9)]);
  });
});

describe('looking ahead', () => {
  const trialOf = (chance: number[][], minutes: number, setup: string): Trial => ({
    minutes,
    repeatMinutes: Math.min(1, minutes),
    setup,
    outcomes: chance[0].length,
    chance: Float64Array.from(chance.flat()),
  });
  /** Least cost of all policies of so many tests, case by case and without any shortcut. */
  function byTryingAll(
    p: Prospect,
    weights: readonly number[],
    depth: number,
    done: readonly number[],
    before: Trial | null,
  ): number {
    const groupSums = p.repairs.map((_, g) => weights.reduce((s, w, d) => s + (p.groups[d] === g ? w : 0), 0));
    const sureOf = groupSums.findIndex((s) => s >= p.costs.sure * groupSums.reduce((a, b) => a + b, 0));
    // As sure as asked: that group first. Less sure: no act while a trial is left in view.
    const orders = permutations(p.repairs.length).filter((o) => p.costs.sure === 0 || sureOf < 0 || o[0] === sureOf);
    const act = Math.min(...orders.map((o) => costOfOrder(o, p.repairs, groupSums, p.costs)));
    const ways = p.costs.sure > 0 && sureOf < 0 && depth > 0 && done.length < p.trials.length ? [] : [act];
    if (depth > 0)
      p.trials.forEach((trial, t) => {
        if (done.includes(t)) return;
        const own =
          (before?.setup === trial.setup ? trial.repeatMinutes : trial.minutes) * weights.reduce((a, b) => a + b, 0);
        const rest = Array.from({ length: trial.outcomes }, (_, k) =>
          byTryingAll(
            p,
            weights.map((w, d) => w * trial.chance[d * trial.outcomes + k]),
            depth - 1,
            [...done, t],
            trial,
          ),
        );
        ways.push(own * p.costs.perMinute + rest.reduce((a, b) => a + b, 0));
      });
    return Math.min(...ways);
  }
  test('no policy of so many tests is cheaper (property, against every policy)', () => {
    const chances = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 3 });
    const prospect = fc
      .record({
        weights: fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 4, maxLength: 4 }),
        minutes: fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 3, maxLength: 3 }),
        shapes: fc.array(chances, { minLength: 12, maxLength: 12 }),
        back: fc.integer({ min: 0, max: 90 }),
        sure: fc.constantFrom(0, 0, 0.6, 0.8),
      })
      .map(({ weights, minutes, shapes, back, sure }): Prospect => {
        const costs = { ...MINUTES, back, sure };
        return {
          costs,
          repairs: repairsOf(costs).slice(0, 3),
          weights: Float64Array.from(weights),
          groups: Uint8Array.of(0, 1, 2, 0),
          trials: minutes.map((m, t) => {
            const rows = shapes.slice(4 * t, 4 * t + 4).map((s) => s.slice(0, 2));
            const shares = rows.map((s) => s.map((x) => x / s.reduce((a, b) => a + b, 0)));
            return trialOf(shares, m, t === 2 ? 'b' : 'a');
          }),
        };
      });
    fc.assert(
      fc.property(prospect, fc.integer({ min: 0, max: 3 }), (p, depth) => {
        const step = bestStep(p, p.weights, depth);
        expect(step.total).toBeCloseTo(byTryingAll(p, [...p.weights], depth, [], null), 6);
        if (step.trial >= 0) expect(withTrial(p, p.weights, step.trial, depth)!.total).toBeCloseTo(step.total, 6);
        if (depth > 0 && p.costs.sure === 0)
          expect(step.total).toBeLessThanOrEqual(bestStep(p, p.weights, depth - 1).total + 1e-9);
      }),
      { seed: 52, numRuns: 60 },
    );
  });
  test('a test that tells nothing is never worth its minutes; one that tells all is worth less than the errors it saves', () => {
    const costs = { ...MINUTES, back: 40 };
    const base = {
      costs,
      repairs: repairsOf(costs).slice(0, 2),
      weights: Float64Array.of(0.5, 0.5),
      groups: Uint8Array.of(0, 1),
    };
    const blind = {
      ...base,
      trials: [
        trialOf(
          [
            [0.5, 0.5],
            [0.5, 0.5],
          ],
          1,
          'a',
        ),
      ],
    };
    expect(bestStep(blind, blind.weights, 2).trial).toBe(-1);
    const clear = (minutes: number): Prospect => ({
      ...base,
      trials: [
        trialOf(
          [
            [1, 0],
            [0, 1],
          ],
          minutes,
          'a',
        ),
      ],
    });
    const saved = actOn(blind, blind.weights).total - (0.5 * base.repairs[0].minutes + 0.5 * base.repairs[1].minutes);
    expect(bestStep(clear(saved - 1), base.weights, 1).trial).toBe(0);
    expect(bestStep(clear(saved + 1), base.weights, 1).trial).toBe(-1);
  });
});

describe('as sure as the customer wants it', () => {
  /** One test that tells, but for one case in ten, which of two it is. */
  const prospect = (sure: number, told = [0.9, 0.1, 0.1, 0.9]): Prospect => {
    const costs = { ...MINUTES, back: 0, sure };
    return {
      costs,
      repairs: repairsOf(costs).slice(0, 2),
      weights: Float64Array.of(0.8, 0.2),
      groups: Uint8Array.of(0, 1),
      trials: [{ minutes: 30, repeatMinutes: 30, setup: 'a', outcomes: 2, chance: Float64Array.from(told) }],
    };
  };
  test('what pays is done where nothing is asked; surer than now only after the test', () => {
    const step = (sure: number) => bestStep(prospect(sure), prospect(sure).weights, 2);
    expect(step(0).trial).toBe(-1);
    expect(step(0.8).trial).toBe(-1);
    expect(step(0.81).trial).toBe(0);
  });
  test('what no outcome can bring is known beforehand: 0.8 of 0.9 against 0.2 of 0.1 is 0.973', () => {
    expect(maySatisfy(prospect(0.97), 1)).toBe(true);
    expect(maySatisfy(prospect(0.98), 2)).toBe(false);
    expect(maySatisfy(prospect(0.8), 0)).toBe(true);
    expect(maySatisfy(prospect(0.81), 0)).toBe(false);
    // An outcome of one case in 125 is not hoped for; one of one in 75 is.
    const rare = (chance: number) => prospect(0.95, [1 - chance, chance, 1, 0]);
    expect(maySatisfy(rare(0.01), 1)).toBe(false);
    expect(maySatisfy(rare(1 / 60), 1)).toBe(true);
  });
});

describe('the plan of a job', () => {
  const open = posteriorOf(
    problemWith([
      ['displayed', -40],
      ['open-voltage', 5],
      ['open-voltage-return', 5],
    ]),
  );
  /** The plug is hard to get at: every further test there costs three times its minutes. */
  const hard = accessOf({ ...genericKit(), access: { plug: 'hard', module: 'hard', sensor: 'easy' } });
  const priced = (part: number, fitMinutes: number, change: Partial<Costs> = {}): Costs => ({
    ...MINUTES,
    perMinute: 1,
    part,
    fitMinutes,
    back: 30,
    ...change,
  });
  test('a cheap part in an easy place is changed sooner than a dear one deep in the plant', () => {
    const easy = planOf(open, hard, priced(2, 2, { back: 10 }));
    expect(easy.options[0]).toMatchObject({ kind: 'act', group: 'sensor' });
    const deep = planOf(open, hard, priced(400, 180));
    expect(deep.options[0].kind).toBe('test');
    const now = deep.options.find((o) => o.group === 'sensor')!;
    expect(now.total).toBeGreaterThan(deep.options[0].total + 20);
    expect(now.wrong).toBeGreaterThan(0.05);
    // Cheapest first, and every total is made of its minutes and its money.
    for (const { options } of [easy, deep]) {
      options.forEach((o, i) => {
        if (i > 0) expect(o.total).toBeGreaterThanOrEqual(options[i - 1].total);
        expect(o.total).toBeCloseTo(o.minutes + o.money, 6);
      });
    }
  });
  test('a customer who wants to be surer has it tested first, though the change alone would be cheaper', () => {
    const cheap = priced(2, 2, { back: 10 });
    const wrong = planOf(open, hard, cheap).options[0].wrong!;
    expect(wrong).toBeGreaterThan(0.05);
    const sure = planOf(open, hard, { ...cheap, sure: 0.95 });
    expect(sure.outOfReach).toBe(false);
    expect(sure.options[0]).toMatchObject({ kind: 'test', tooUnsure: false });
    const change = sure.options.find((o) => o.group === 'sensor')!;
    expect(change).toMatchObject({ tooUnsure: true, wrong });
    expect(change.total).toBeLessThan(sure.options[0].total);
    // Behind everything that is as sure as asked; no price makes it the next step.
    expect(sure.options.findIndex((o) => o.tooUnsure)).toBe(sure.options.filter((o) => !o.tooUnsure).length);
    expect(sure.breakEven).toBeNull();
    expect(cheapestStep(open, hard, { ...cheap, sure: 0.95 }).test?.measurement.id).toBe(sure.options[0].measurement);
  });
  test('surer than any test can make it: that is said, and what pays is advised', () => {
    const cheap = priced(2, 2, { back: 10 });
    const plan = planOf(open, hard, { ...cheap, sure: 0.999_999 });
    expect(plan.outOfReach).toBe(true);
    expect(plan.options).toEqual(planOf(open, hard, cheap).options);
  });
  test('the price at which both cost the same is said, and lies between the two', () => {
    const { breakEven } = planOf(open, hard, priced(2, 2, { back: 10 }));
    expect(breakEven).toBeGreaterThan(2);
    const below = planOf(open, hard, priced(0.8 * breakEven!, 2, { back: 10 }));
    const above = planOf(open, hard, priced(1.25 * breakEven!, 2, { back: 10 }));
    expect(below.options[0].group).toBe('sensor');
    expect(above.options[0].kind).toBe('test');
    expect(planOf(open, hard, priced(400, 180)).breakEven).toBeNull();
  });
  test('where nothing is wrong any more, to stop is a way; where the circuit protects it is none, and costs its proof', () => {
    const sound = posteriorOf(
      problemWith([
        ['displayed', 12],
        ['open-voltage', 5],
        ['sensor-ohms', 3480],
      ]),
    );
    const stop = (protects: boolean) =>
      planOf(sound, EVERYTHING_AT_HAND, { ...MINUTES, protects }).options.find((o) => o.group === 'healthy');
    expect(stop(false)).toBeDefined();
    expect(stop(true)).toBeUndefined();
    expect(repairsOf({ ...MINUTES, protects: true }).find((r) => r.group === 'healthy')!.minutes).toBeGreaterThan(0);
    expect(repairsOf(MINUTES).find((r) => r.group === 'healthy')!.minutes).toBe(0);
  });
  test('the same on every run; the cheapest step is the first option', () => {
    const costs = priced(20, 20);
    expect(planOf(open, hard, costs)).toEqual(planOf(open, hard, costs));
    const { options } = planOf(open, hard, costs);
    const { test: next, step } = cheapestStep(open, hard, costs);
    expect(step.total).toBeCloseTo(options[0].total, 9);
    expect(next?.measurement.id ?? null).toBe(options[0].measurement);
  });
});

test('proposals by expected cost: those the plan weighs cheapest come first, the others keep their order', () => {
  const posterior = posteriorOf(problemWith([['displayed', -40]]));
  const proposals = proposeTests(posterior.predictor.problem, posterior, EVERYTHING_AT_HAND, 30);
  const plan = planOf(posterior, EVERYTHING_AT_HAND, MINUTES);
  const ordered = cheapestFirst(proposals, plan);
  const keyOf = (p: { measurement: string | null; conditions: object }): string =>
    `${p.measurement} ${JSON.stringify(p.conditions)}`;
  const weighed = plan.options.filter((o) => o.kind === 'test').map(keyOf);
  const offered = weighed.filter((key) => proposals.some((p) => keyOf(p) === key));
  expect(offered.length).toBeGreaterThan(0);
  expect(ordered.slice(0, offered.length).map(keyOf)).toEqual(offered);
  expect(ordered.slice(offered.length)).toEqual(proposals.filter((p) => !offered.includes(keyOf(p))));
});

describe('fixed rules', () => {
  test('against cases worked one by one: a test that tells all, then the right repair', () => {
    const costs = { ...MINUTES, back: 40 };
    const trial = (chance: number[], minutes: number): Trial => ({
      minutes,
      repeatMinutes: 1,
      setup: 'a',
      outcomes: 2,
      chance: Float64Array.from(chance),
    });
    const prospect: Prospect = {
      costs,
      repairs: repairsOf(costs).slice(0, 2),
      weights: Float64Array.of(0.25, 0.75),
      groups: Uint8Array.of(0, 1),
      trials: [trial([0.5, 0.5, 0.5, 0.5], 3), trial([1, 0, 0, 1], 10)],
    };
    const [sensor, wiring] = prospect.repairs.map((r) => r.minutes);
    // Both tests are done, the second at its shorter time: 3 + 1, then the right repair.
    expect(costOfRule(prospect, [0, 1], 0.95).minutes).toBeCloseTo(4 + 0.25 * sensor + 0.75 * wiring, 9);
    expect(costOfRule(prospect, [1], 0.95).minutes).toBeCloseTo(10 + 0.25 * sensor + 0.75 * wiring, 9);
    // Sure enough at once: nothing is tested, and the likelier one is tried first.
    const none = costOfRule(prospect, [0, 1], 0.7);
    expect(none.total).toBeCloseTo(actOn(prospect, prospect.weights).total, 9);
    expect(none.total).toBeCloseTo(none.minutes + none.money, 9);
  });
  test('of a job: every school has its cost, none is cheaper than the plan', () => {
    const posterior = posteriorOf(problemWith([['displayed', -40]]));
    const { rules, options } = planOf(posterior, EVERYTHING_AT_HAND, MINUTES);
    expect(rules.map((r) => r.id)).toEqual(['swap-first', ...SCHOOLS.map((s) => s.id)]);
    // The walks of a rule are a sample: a little room.
    for (const rule of rules) expect(rule.total, rule.id).toBeGreaterThan(0.9 * options[0].total);
  });
});

describe('what is known of prices', () => {
  test('minutes alone where no hour has a price; 0, absurd and negative figures are taken for what they are', () => {
    const worth = { ...newWorth(), partPrice: figure(80), backPrice: figure(500) };
    expect(hasPrices(worth)).toBe(false);
    expect(costsOf(worth, genericKit(), null)).toMatchObject({ perMinute: 1, part: 0, back: 45 });
    expect(costsOf({ ...worth, hourPrice: figure(0) }, genericKit(), null)).toMatchObject({ perMinute: 1, part: 0 });
    const full = { ...worth, hourPrice: figure(90), fitMinutes: figure(10_000), modulePrice: figure(-5) };
    expect(costsOf(full, genericKit(), null)).toMatchObject({
      perMinute: 1.5,
      part: 80,
      back: 500,
      fitMinutes: 10_000,
      module: 0,
    });
    expect(costsOf({ ...full, partPrice: figure(0) }, genericKit(), null).part).toBe(0);
    const hard = { ...genericKit(), access: { plug: 'usual', module: 'usual', sensor: 'hard' } } as const;
    expect(costsOf(newWorth(), hard, null).fitMinutes).toBe(60);
    expect(costsOf(newWorth(), hard, null).sure).toBe(0);
    expect(costsOf({ ...newWorth(), sure: 0.95 }, hard, null).sure).toBe(0.95);
  });
});
