import { describe, expect, test } from 'vitest';
import { problemWith } from '../../test/problems.ts';
import { curveModel } from '../circuit/curves/curve.ts';
import { assess, type Assessment } from '../inference/verdict/assessment.ts';
import { DRAWN_FAULTS } from '../training/simulation/drawnFrom.ts';
import { plainTests } from '../inference/model/healthyRanges.ts';
import { simulateCase, withReadings } from '../training/simulation/simulateCase.ts';
import { FAULT_GROUPS } from '../base/units/vocabulary.ts';
import { FAULTS } from '../circuit/faults/list.ts';
import type { FieldIssue } from '../check/job/fieldIssue.ts';
import { judgeResistance } from '../tools/judging/judgeResistance.ts';
import { MEASUREMENTS } from '../circuit/measurements/list.ts';
import { codeText } from './codeText.ts';
import { conditionsText } from './conditionsText.ts';
import { groupName } from './groupName.ts';
import { issueText } from './issueText.ts';
import { judgedText } from './judgedText.ts';
import { outcomeText } from './outcomeText.ts';
import { pointFaultText } from './pointText.ts';
import { sizeText } from './sizeText.ts';
import { suspectDetail, verdictText } from './verdictText.ts';

const LEAK = /undefined|NaN|null|Infinity|\[object/;
const nameOf = (id: string): string => `reading ${id}`;

describe('every fault, put into words', () => {
  // One simulated machine for each fault: the first seed that draws it.
  const seeds = new Map<string, number>();
  for (let seed = 1; seeds.size < FAULTS.length && seed < 4000; seed++) {
    const { fault } = simulateCase(seed);
    if (!seeds.has(fault)) seeds.set(fault, seed);
  }
  test('the simulator draws every fault of its list', () =>
    expect([...seeds.keys()].sort()).toEqual(DRAWN_FAULTS.map((f) => f.id).sort()));
  test.each([...seeds])('%s: verdict, suspects and readings are whole sentences without a leaked figure', (_, seed) => {
    const simulated = simulateCase(seed);
    const tests = plainTests(simulated.problem).slice(0, 5);
    const a = assess(withReadings(simulated, tests));
    const v = verdictText(a, nameOf, 'C');
    expect(`${v.title} ${v.detail}`).not.toMatch(LEAK);
    expect(v.title).toMatch(/^[A-Z]/);
    expect(v.title.length).toBeLessThan(70);
    expect(v.state).not.toBe('nothing-yet');
    for (const s of a.suspects) expect(`${s.name} ${suspectDetail(s)}`).not.toMatch(LEAK);
    for (const r of a.readings) {
      const o = outcomeText(a, r.id, 'C')!;
      expect(`${o.title} ${o.text}`).not.toMatch(LEAK);
      expect(o.text).toMatch(/\.$/);
      if (o.standing !== 'doubtful') expect(o.standing).toBe(r.verdict === 'inside' ? 'fits' : 'off');
    }
  });
  test.each(FAULTS.map((f) => [f.id, f] as const))(
    '%s: its repair and part are told, capitalised, with a full stop',
    (_, fault) => {
      expect(fault.repair).toMatch(/^[A-Z].*\.$/s);
      expect(fault.part).not.toBe('');
      expect(groupName(fault.group)).not.toBe('');
    },
  );
});

describe('how surely a verdict is said', () => {
  const base = assess(
    problemWith([
      ['displayed', -40],
      ['sensor-ohms', Infinity],
    ]),
  );
  const led = (probability: number, change: Partial<Assessment> = {}): Assessment => ({
    ...base,
    groups: [
      { group: 'sensor', probability },
      { group: 'wiring', probability: 1 - probability },
    ],
    suspects: base.suspects.map((s, i) => (i === 0 ? { ...s, probability } : s)),
    doubt: { kind: 'none' },
    ...change,
  });
  test.each([
    [0.5, 'open'],
    [0.699, 'open'],
    [0.7, 'likely'],
    [0.949, 'likely'],
    [0.95, 'firm'],
    [0.999, 'firm'],
  ] as const)('%d: %s', (p, state) => {
    const v = verdictText(led(p), nameOf, 'C');
    expect(v.state).toBe(state);
    if (state === 'open') expect(v.detail).toContain('wiring');
    else expect(v.title).toContain('ensor open');
  });
  test('a contradiction takes the certainty away and names the reading', () => {
    const v = verdictText(led(0.99, { doubt: { kind: 'contradiction', readings: ['r1'] } }), nameOf, 'C');
    expect(v.state).toBe('doubt');
    expect(v.detail).toContain('reading r1. Repeat it.');
  });
  test('nothing fits: two faults are thought of, no part is named', () => {
    const v = verdictText(
      led(0.99, { doubt: { kind: 'nothing-fits', readings: ['r0', 'r1', 'thermometer'] } }),
      nameOf,
      'C',
    );
    expect(v.title).toBe('No single fault explains this');
    expect(v.detail).toContain('look for two faults');
    expect(v.detail).not.toContain('sensor open');
  });
  test('a group without a leading kind says so', () => {
    const split = led(0.9, {
      suspects: [0.35, 0.3].map((probability) => ({ ...base.suspects[0], group: 'sensor' as const, probability })),
    });
    expect(verdictText(split, nameOf, 'C')).toMatchObject({ title: 'Sensor fault' });
    expect(verdictText(split, nameOf, 'C').detail).toMatch(/^Which one is open: /);
  });
  test('before the first reading no size is claimed', () => {
    const none = assess(problemWith([]));
    expect(verdictText(none, nameOf, 'C').state).toBe('nothing-yet');
    for (const s of none.suspects) expect(s.size).toBeNull();
  });
});

describe('sizes', () => {
  test.each([
    [{ low: 9800, middle: 10_240, high: 10_700, unit: 'ohm' as const }, 'about 10 kΩ (9.80 … 10.7 kΩ)'],
    [{ low: 3e9, middle: 1e10, high: 1e11, unit: 'ohm' as const }, 'a clean break'],
    [{ low: 10, middle: 400, high: 20_000, unit: 'ohm' as const }, 'between about 10 Ω and 20 kΩ'],
    [{ low: 1.2, middle: 1.31, high: 1.44, unit: 'factor' as const }, 'about × 1.3 (× 1.2 … 1.4)'],
    [{ low: -0.31, middle: -0.25, high: -0.2, unit: 'volt' as const }, 'about −0.25 V (−0.31 … −0.20 V)'],
    [{ low: 11, middle: 14.2, high: 18, unit: 'kelvin' as const }, 'about 14 K (11 … 18 K)'],
  ])('%o', (size, words) => expect(sizeText(size)).toBe(words));
});

describe('what is wrong with a figure', () => {
  const issues: FieldIssue[] = [
    { ok: false, reason: 'empty' },
    { ok: false, reason: 'not-a-number' },
    { ok: false, reason: 'negative' },
    { ok: false, reason: 'below-absolute-zero' },
    { ok: false, reason: 'out-of-range' },
    { ok: false, reason: 'overload-not-here' },
    {
      ok: false,
      reason: 'ambiguous',
      choices: [
        { text: '11.883', value: 11.883 },
        { text: '11883', value: 11_883 },
      ],
    },
    { ok: false, reason: 'must-be-positive' },
    { ok: false, reason: 'too-low', limit: 0.5 },
    { ok: false, reason: 'too-high', limit: 30 },
    { ok: false, reason: 'outside-curve', minC: -40, maxC: 150 },
    { ok: false, reason: 'equal-points' },
    { ok: false, reason: 'not-monotone' },
    { ok: false, reason: 'too-few-points' },
    { ok: false, reason: 'unknown-curve' },
    { ok: false, reason: 'needs-condition' },
    { ok: false, reason: 'not-on-this-layout' },
  ];
  test.each(issues.map((i) => [i.reason, i] as const))(
    '%s: one short sentence in every quantity and unit',
    (_, issue) => {
      for (const quantity of ['volts', 'ohms', 'celsius', 'number'] as const) {
        for (const unit of ['C', 'F'] as const) {
          const text = issueText(issue, quantity, unit);
          expect(text).not.toMatch(LEAK);
          expect(text).toMatch(/[.?]$/);
          expect(text.length).toBeLessThan(110);
        }
      }
    },
  );
  test('limits are said in the unit that is shown', () => {
    expect(issueText({ ok: false, reason: 'outside-curve', minC: -40, maxC: 100 }, 'celsius', 'F')).toContain(
      '−40 °F … 212 °F',
    );
    expect(issueText({ ok: false, reason: 'too-high', limit: 100 }, 'celsius', 'F')).toContain('212 °F');
    expect(issueText({ ok: false, reason: 'too-low', limit: 0.5 }, 'volts', 'F')).toContain('0.5 V');
  });
  test('every fault of a pasted line quotes the line', () => {
    for (const reason of [
      'no-resistance',
      'one-column',
      'not-a-temperature',
      'not-a-resistance',
      'limits-swapped',
      'same-temperature',
      'too-many',
    ] as const) {
      expect(pointFaultText({ line: 3, reason, text: 'the line' }), reason).toContain('the line');
    }
  });
});

describe('codes, conditions, one resistance', () => {
  test('“low” and “high” are volts: which way they read hangs on layout and curve', () => {
    expect(codeText({ code: 'P0118' }, 'pull-up', 'ntc')).toMatch(/reads cold, like an open/);
    expect(codeText({ code: 'P0117' }, 'pull-up', 'ntc')).toMatch(/reads hot, like a short/);
    expect(codeText({ code: 'P0118' }, 'pull-up', 'ptc')).toMatch(/reads hot, like an open/);
    expect(codeText({ code: 'P0118' }, 'pull-down', 'ntc')).toMatch(/reads hot, like a short/);
    expect(codeText({ code: 'SPN 110 FMI 5' }, 'pull-up', 'ntc')).toContain('reads cold');
    expect(codeText({ code: 'SPN 110 FMI 5' }, 'pull-up', 'ptc')).toContain('reads hot');
    expect(codeText({ code: 'P0118-13' }, 'one-wire', 'ptc')).toContain('reads hot');
    expect(codeText({ code: 'not a code' }, 'pull-up', 'ntc')).toBeNull();
  });
  test('every test that needs a condition says it', () => {
    for (const m of MEASUREMENTS) {
      const given = { substituteOhm: 1000, bathC: 60, airC: 20, wire: 'signal' as const, position: 2 };
      const conditions = Object.fromEntries(m.needs.map((n) => [n, given[n]]));
      expect(conditionsText(conditions, 'C') === '', m.id).toBe(m.needs.length === 0);
    }
    expect(conditionsText({ substituteOhm: 1000, bathC: 60 }, 'F')).toBe('with 1.00 kΩ, water at 140 °F');
    expect(conditionsText({ airC: 20.5 }, 'C')).toBe('air at 20.5 °C');
  });
  test('a judged resistance tells pass, what it must read, and what the machine does with it', () => {
    const curve = curveModel({ kind: 'beta', r25Ohm: 2000, betaK: 3600 });
    const judge = (factor: number, sigmaK = 0.3): string =>
      judgedText(judgeResistance(curve, 25, sigmaK, 2000 * factor, 5, 0.05), 'engine', 'C')
        .map((l) => l.text)
        .join(' ');
    expect(judge(1)).toMatch(/^Passes\..*not moved/);
    expect(judge(1.5)).toMatch(/^Fails\..*too cold.*rich/);
    expect(judge(0.6)).toMatch(/^Fails\..*too hot.*lean/);
    expect(judge(1.045)).toMatch(/^Open:/);
    expect(judge(1, 3)).toContain('too coarse');
    expect(judgedText({ ok: false, reason: 'outside-curve', minC: -40, maxC: 150 }, 'boiler', 'C')).toEqual([
      { text: 'Outside this curve (−40 °C … 150 °C).', odd: true },
    ]);
  });
  test('every group has a name of its own', () => {
    expect(new Set(FAULT_GROUPS.map(groupName)).size).toBe(FAULT_GROUPS.length);
  });
});
