import { describe, expect, test } from 'vitest';
import { CATALOGUE_CIRCUITS } from '../catalogue/parts/circuits.ts';
import { CATALOGUE_CURVES } from '../catalogue/parts/curves.ts';
import { curveModel } from '../circuit/curves/curve.ts';
import { newHarness, newStop, type Harness } from '../circuit/harness/harnessSchema.ts';
import type { LookFirst } from '../advice/place/lookFirst.ts';
import type { PlaceAdvice, PlaceTest } from '../advice/place/placeAdvice.ts';
import type { Option, Plan } from '../advice/plan/planOf.ts';
import { circuitLine, curveLine } from './catalogueFacts.ts';
import { conditionsText } from './conditionsText.ts';
import {
  lookLines,
  lookText,
  placeName,
  placeOutcomeLines,
  placesName,
  positionName,
  searchText,
  wayTestName,
  wayThrough,
  whereText,
} from './placeText.ts';
import { breakEvenText, costText, optionName, planSentence, riskText } from './planText.ts';

const loom: Harness = {
  ...newHarness(),
  stops: [{ ...newStop('a', 'connector'), name: 'C2' }, newStop('b', 'splice')],
};
const next: PlaceTest = {
  measurement: 'connector-voltage',
  conditions: { wire: 'return', position: 1, side: 'module' },
  minutes: 6,
  bits: 0.9,
  outcomes: [
    { shows: { low: 3.4, high: 3.8 }, probability: 0.4, from: 0, to: 2 },
    { shows: { low: 0, high: 0.02 }, probability: 0.6, from: 2, to: 7 },
  ],
  expected: { best: 12.4, endToEnd: 20, middle: 31 },
};
const advice = (change: Partial<PlaceAdvice>): PlaceAdvice => ({
  connectors: 2,
  strand: 'return',
  probability: 0.96,
  shares: {
    signal: [0, 0, 0, 0, 0, 0, 0],
    return: [0.05, 0.05, 0.5, 0.1, 0.1, 0.06, 0.1],
    leak: [0, 0, 0, 0, 0, 0, 0],
  },
  elsewhere: 0.04,
  known: null,
  next,
  first: null,
  profile: null,
  ...change,
});

test('what to look at first, and what either outcome leaves', () => {
  const first: LookFirst = {
    kind: 'wiggle',
    stop: 1,
    minutes: 2,
    saves: 3,
    outcomes: [
      { hint: 'wiggle-moves', probability: 0.2, likeliest: 2, share: 0.9 },
      { hint: 'wiggle-still', probability: 0.8, likeliest: 4, share: 0.31 },
    ],
  };
  expect(lookText(first, loom)).toBe('wiggle C2 and its wires while the value is watched');
  expect(lookText({ ...first, kind: 'look', stop: 3 }, loom)).toBe(
    'inspect sensor plug: corrosion, water, a pin pushed back',
  );
  expect(lookLines(first, loom)).toEqual([
    { hint: 'wiggle-moves', says: 'It moves', leaves: 'then most likely contact at C2, 90 %', chance: '20 %' },
    {
      hint: 'wiggle-still',
      says: 'It does not move',
      leaves: 'then most likely joint at splice 2, 31 %',
      chance: '80 %',
    },
  ]);
  expect(lookLines({ ...first, kind: 'look' }, loom).map((l) => l.says)).toEqual(['Something seen', 'Nothing seen']);
});

describe('places in words', () => {
  test('every place of a loom has a name of its own', () => {
    expect([0, 1, 2, 3, 4, 5, 6].map((e) => placeName(loom, e))).toEqual([
      'plug of the module',
      'run from module to C2',
      'contact at C2',
      'run from C2 to splice 2',
      'joint at splice 2',
      'run from splice 2 to sensor plug',
      'terminal of the sensor plug',
    ]);
    expect(positionName(undefined, 3)).toBe('connector 3');
    expect(positionName(loom, 1)).toBe('C2');
  });
  test('stretches by their ends; the whole way is no answer', () => {
    expect(placesName(loom, { from: 2, to: 3 })).toBe('contact at C2');
    expect(placesName(loom, { from: 0, to: 2 })).toBe('module … short of C2');
    expect(placesName(loom, { from: 3, to: 7 })).toBe('beyond C2 … sensor plug');
    expect(placesName(loom, { from: 2, to: 5 })).toBe('C2 … splice 2');
    expect(placesName(loom, { from: 0, to: 7 })).toBe('anywhere in the harness');
  });
  test('where it lies: known, likeliest, or nothing yet', () => {
    expect(whereText(advice({ known: { from: 2, to: 3 }, next: null }), loom)).toBe(
      'Contact at C2, return wire: 50 %.',
    );
    expect(whereText(advice({}), loom)).toBe('Return wire, 96 %. Likeliest place: contact at C2, 50 %.');
    expect(whereText(advice({ next: null }), loom)).toBe('');
  });
  test('the next reading with what each outcome leaves, and what the search takes', () => {
    expect(wayTestName(next, loom)).toBe('Voltage at a connector, return wire, C2, module side');
    const lines = placeOutcomeLines(next, loom, 'C');
    expect(lines.map((l) => l.leaves)).toEqual([
      'towards the module: module … short of C2',
      'towards the sensor: C2 … sensor plug',
    ]);
    expect(lines[0].range).toContain('V');
    expect(
      placeOutcomeLines(
        { ...next, outcomes: [{ ...next.outcomes[0], shows: { low: Infinity, high: Infinity } }, next.outcomes[1]] },
        loom,
        'C',
      )[0].range,
    ).toBe('OL');
    expect(searchText(next)).toBe(
      'In this order about 12 min until the place is known; from the sensor backwards 20 min, always the middle 31 min.',
    );
  });
  test('the way through a loom', () => {
    const placed: Harness = { ...loom, stops: [{ ...loom.stops[0], where: 'behind the tank' }, loom.stops[1]] };
    expect(wayThrough(placed)).toBe('module – C2 (behind the tank) – splice 2 – sensor plug');
    expect(wayThrough(newHarness())).toBe('');
  });
  test('conditions name the stop where the loom is at hand', () => {
    const at = { wire: 'signal', position: 1, side: 'sensor' } as const;
    expect(conditionsText(at, 'C', loom)).toBe('signal wire, C2, sensor side');
    expect(conditionsText({ wire: 'signal', position: 2 }, 'C')).toBe('signal wire, connector 2');
  });
});

describe('what is worth it, in words', () => {
  const option = (change: Partial<Option>): Option => ({
    kind: 'act',
    group: 'sensor',
    measurement: null,
    conditions: {},
    ownMinutes: 20,
    wrong: 0.11,
    tooUnsure: false,
    minutes: 38.4,
    money: 24.2,
    total: 62.6,
    ...change,
  });
  const first = option({
    kind: 'test',
    group: null,
    measurement: 'connector-voltage',
    conditions: next.conditions,
    wrong: null,
    minutes: 31,
  });
  test('names, costs and risks', () => {
    expect(optionName(option({}), 'C')).toBe('Replace the sensor now');
    expect(optionName(first, 'C', loom)).toBe('Voltage at a connector (return wire, C2, module side) first');
    expect(optionName(option({ kind: 'test', measurement: 'open-voltage' }), 'C')).toBe(
      'Signal voltage, unplugged first',
    );
    expect(costText(option({}), true)).toBe('38 min and 24');
    expect(costText({ minutes: 38, money: 4.6, total: 42.6 }, false)).toBe('43 min');
    expect(riskText(option({}))).toBe('1 in 9 it does not help');
    expect(riskText(option({ wrong: 0.61 }))).toBe('61 in 100 it does not help');
    expect(riskText(option({ group: 'healthy', wrong: 0.25 }))).toBe('1 in 4 it shows again');
    expect(riskText(option({ wrong: 0.004 }))).toBe('less than 1 in 100 it does not help');
    expect(riskText(first)).toBe('');
  });
  test('the sentence over the list, and where it turns', () => {
    const plan: Plan = { options: [option({}), first], outOfReach: false, breakEven: 11.3, rules: [] };
    expect(planSentence(plan, 'C', true, loom)).toBe(
      'Replace the sensor now: 38 min and 24 until it works, on average. Voltage at a connector (return wire, C2, module side) first would be 31 min and 24.',
    );
    expect(planSentence({ ...plan, options: [] }, 'C', true)).toContain('Nothing to choose');
    expect(planSentence({ ...plan, options: [option({})] }, 'C', true)).toMatch(/on average\.$/);
    expect(planSentence({ ...plan, options: [first, option({ tooUnsure: true })] }, 'C', true)).toMatch(
      /Replace the sensor now would be 38 min and 24, less sure than asked\.$/,
    );
    expect(planSentence({ ...plan, outOfReach: true }, 'C', true)).toMatch(/as sure as asked: this is what pays\.$/);
    expect(breakEvenText(plan, true, false)).toBe('Testing on pays while the part costs more than 11.');
    expect(breakEvenText({ ...plan, breakEven: 0.854 }, true, true)).toBe(
      'Testing on pays while the assembly costs more than 0.9.',
    );
    expect(breakEvenText(plan, false, false)).toBe('');
    expect(breakEvenText({ ...plan, breakEven: null }, true, false)).toBe('');
  });
});

test('second lines of lists: how a circuit is built, what a curve has cold and hot', () => {
  for (const c of CATALOGUE_CIRCUITS)
    expect(circuitLine(c, 'C'), c.id).toMatch(/^(sensor to|one wire).*, shows .* °C$/);
  expect(circuitLine(CATALOGUE_CIRCUITS[0], 'F')).toBe('sensor to ground, shows −40 … 302 °F');
  for (const { id, curve } of CATALOGUE_CURVES) expect(curveLine(curveModel(curve), 'C'), id).toMatch(/Ω at \d+ °C/);
  const pt100 = CATALOGUE_CURVES.find((c) => c.id === 'pt100')!;
  // IEC 60751: 100 Ω at 0 °C, 109.73 Ω at 25 °C, 130.90 Ω at 80 °C.
  expect(curveLine(curveModel(pt100.curve), 'C')).toBe('100 Ω at 0 °C · 110 Ω at 25 °C · 131 Ω at 80 °C');
});
