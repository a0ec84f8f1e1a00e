import { describe, expect, test } from 'vitest';
import { problemWith } from '../../../test/problems.ts';
import { SCHOOLS } from '../../advice/nextTest/schools.ts';
import { measurementById, MEASUREMENTS } from '../../circuit/measurements/list.ts';
import { caseNumberOf, type CaseKey, MOST_SEEDS, readCaseNumber } from './caseNumber.ts';
import { classTable, type ExamRow, examNumbers, MOST_EXAM_CASES, readExam, readExamCsv } from './exam.ts';
import { HAND_RULES } from './handRules.ts';
import type { Move } from './play.ts';
import { newPlay, type PlayResult } from './playRecord.ts';
import { openPlays } from './playsFile.ts';
import { type Ended, endedPlays, nextCase, nextDifficulty, weakSpots } from './progress.ts';
import { schoolFollowed } from './schoolFollowed.ts';
import type { Debrief, DebriefStep } from './score.ts';
import { bridges, doneIn, keyFor, plugFor, rightSetUp, UNTOUCHED, waitsFor } from './setUp.ts';
import { type SlipId, slipsOf } from './slips.ts';
import { THEME_IDS } from './themes.ts';
import { guiltyGroups, trainingCase } from './trainingCase.ts';

describe('rules of thumb, by hand', () => {
  const problem = problemWith([]);
  const rule = (id: string) => HAND_RULES.find((r) => r.id === id)!;
  const says = (id: string, ...readings: number[]): string => rule(id).judge(readings, problem);
  const ids = (id: string): string[] =>
    rule(id)
      .tests(problem)
      .map((t) => t.measurement.id);
  test('5 V is 4.8 … 5.3 V', () => {
    expect([4.81, 5.29].map((v) => says('five-volts', v))).toEqual(['sensor', 'sensor']);
    expect([4.79, 5.31, 0, 12].map((v) => says('five-volts', v))).toEqual(['wiring', 'wiring', 'wiring', 'wiring']);
    expect(ids('five-volts')).toEqual(['open-voltage']);
    expect(says('swap')).toBe('sensor');
    expect(ids('swap')).toEqual([]);
  });
  test('5 V, ground and ohms: in that order', () => {
    const ohm = problem.circuit.curve.resistanceOhm(12);
    expect(ids('five-volts-ground-ohms')).toEqual(['open-voltage', 'supply-to-return', 'sensor-ohms']);
    expect(says('five-volts-ground-ohms', 0.19, 12.6, ohm)).toBe('wiring');
    expect(says('five-volts-ground-ohms', 0.21, 12.6, ohm)).toBe('reference');
    expect(says('five-volts-ground-ohms', 6, 12.6, ohm)).toBe('reference');
    expect(says('five-volts-ground-ohms', 5, 11.3, ohm)).toBe('wiring');
    expect(says('five-volts-ground-ohms', 5, 11.4, ohm)).toBe('healthy');
    expect(says('five-volts-ground-ohms', 5, 12.6, ohm * 1.09)).toBe('healthy');
    expect(says('five-volts-ground-ohms', 5, 12.6, ohm * 1.11)).toBe('sensor');
    expect(says('five-volts-ground-ohms', 5, 12.6, ohm * 0.91)).toBe('healthy');
    expect(says('five-volts-ground-ohms', 5, 12.6, ohm * 0.89)).toBe('sensor');
  });
  test('bypass: does the display follow the resistor; compare: does the old one differ', () => {
    // 2 kΩ is this sensor at 25 °C.
    expect(rule('bypass').tests(problem)).toEqual([
      { measurement: measurementById('displayed-substituted'), conditions: { substituteOhm: 2000 }, state: 'steady' },
    ]);
    expect([22, 28].map((c) => says('bypass', c))).toEqual(['sensor', 'sensor']);
    expect([21.9, 28.1, -40].map((c) => says('bypass', c))).toEqual(['wiring', 'wiring', 'wiring']);
    expect(says('compare', 2000, 2100)).toBe('wiring');
    expect(says('compare', 2000, 2300)).toBe('sensor');
    expect(ids('compare')).toEqual(['sensor-ohms', 'known-good-ohms']);
  });
});

describe('how a test has to be set up', () => {
  test.each(MEASUREMENTS.map((m) => [m.id, m] as const))('%s', (id, m) => {
    const setUp = rightSetUp(m, { at: 'B', across: '2-3', state: 'hot' });
    expect(setUp).toMatchObject({ at: 'B', across: '2-3', state: 'hot', waited: true, range: 'auto' });
    if (m.setup === 'taken-off')
      expect([plugFor(m), keyFor(m), setUp.plug, setUp.key]).toEqual([null, null, 'in', false]);
    else expect(keyFor(m)).toBe(m.quantity !== 'ohms');
    if (m.atNeighbour) expect(plugFor(m)).toBeNull();
    else if (id === 'panel-ohms' || m.setup === 'scan' || m.setup === 'plugged') expect(plugFor(m)).toBe('in');
    else if (m.setup === 'bridged') expect(plugFor(m)).toBe('bridged');
    else if (m.setup === 'substituted') expect(plugFor(m)).toBe('resistor');
    else if (m.setup !== 'taken-off') expect(plugFor(m)).toBe('out');
    expect(bridges(m)).toBe(['bridged', 'substituted'].includes(m.setup) || id === 'open-voltage-return-bridged');
    expect(waitsFor(m)).toBe(!m.ofNeighbour && (m.needs.includes('bathC') || m.needs.includes('airC')));
    expect(doneIn(m, 'steady')).toBe(true);
    expect(doneIn(m, 'hot')).toBe(m.setup !== 'taken-off');
    expect(doneIn(m, 'wiggling')).toBe(m.setup !== 'taken-off' && m.setup !== 'both-ends-free');
  });
});

describe('whose order was followed', () => {
  const measure = (measurement: string): Move => ({
    ...{ kind: 'measure', id: measurement, measurement, conditions: {}, setUp: UNTOUCHED, expects: null },
  });
  const act = (group: 'sensor' | 'wiring'): Move => ({ kind: 'act', group, reason: '' });
  test('the first test is a school’s mark, and two in its order make a follower', () => {
    for (const { id, first } of SCHOOLS) {
      expect(schoolFollowed(first.slice(0, 3).map(measure)), id).toBe(id);
      expect(schoolFollowed([measure(first[0]), measure('contact-drop')])).toBeNull();
      expect(schoolFollowed([measure('contact-drop'), ...first.map(measure)])).toBeNull();
    }
    // A test done twice counts once; what comes after the first repair does not count.
    const [a, b] = SCHOOLS[1].first;
    expect(schoolFollowed([measure(a), measure(a), measure(b)])).toBe(SCHOOLS[1].id);
    expect(schoolFollowed([measure(a), act('wiring'), measure(b)])).toBeNull();
  });
  test('who changes the sensor before the second test swaps first', () => {
    expect(schoolFollowed([act('sensor')])).toBe('swap-first');
    expect(schoolFollowed([measure('displayed'), act('sensor')])).toBe('swap-first');
    expect(schoolFollowed([measure('displayed'), measure('contact-drop'), act('sensor')])).toBeNull();
    expect(schoolFollowed([act('wiring'), act('sensor')])).toBeNull();
  });
});

describe('what went wrong in a play', () => {
  const made = (theme: CaseKey['theme'], wanted: (groups: readonly string[]) => boolean) => {
    for (let seed = 1; seed < 200; seed++) {
      const one = trainingCase({ theme, field: 'engine', difficulty: 1, seed });
      if (wanted(guiltyGroups(one))) return one;
    }
    throw new Error('no such case');
  };
  const wiring = made('any', (g) => g.length === 1 && g[0] === 'wiring');
  const sensor = made('any', (g) => g.length === 1 && g[0] === 'sensor');
  const healthy = made('nothing-now', (g) => g.includes('healthy'));
  const { referenceV } = wiring.machine.problem.circuit;
  const step = (move: object, rest: object = {}, event: object = {}): DebriefStep =>
    ({
      event: { move, shown: null, careless: null, ...event },
      before: [
        { group: 'sensor', probability: 0.5 },
        { group: 'wiring', probability: 0.5 },
      ],
      won: null,
      ...rest,
    }) as unknown as DebriefStep;
  const took = (
    measurement: string,
    value: number | null = null,
    rest: object = {},
    state = 'steady',
    event: object = {},
  ): DebriefStep =>
    step(
      { kind: 'measure', measurement, setUp: { state } },
      { won: 0, ...rest },
      { shown: value === null ? null : { value }, ...event },
    );
  const act = (group: string, probability = 0.5): DebriefStep =>
    step({ kind: 'act', group }, { before: [{ group, probability }] });
  const score = { right: true, said: [], tests: 0, mistakes: 0, knownAt: null, unneeded: [] };
  const of = (ofCase: typeof wiring, steps: DebriefStep[], change: object = {}) =>
    slipsOf(ofCase, { score: { ...score, ...change }, steps } as unknown as Debrief);
  const could = (...args: Parameters<typeof of>): readonly SlipId[] => of(...args).could;
  const did = (...args: Parameters<typeof of>): readonly SlipId[] => of(...args).did;
  test('5 V at the plug taken as proof: seen on a bad wire, and the sensor changed', () => {
    const saw = (share: number): DebriefStep => took('open-voltage', share * referenceV);
    expect(could(wiring, [saw(1)])).toContain('five-volts-as-proof');
    expect(did(wiring, [saw(1), act('wiring')])).not.toContain('five-volts-as-proof');
    expect(did(wiring, [saw(1), act('sensor')])).toContain('five-volts-as-proof');
    expect(did(wiring, [saw(1), act('wiring'), act('sensor')])).not.toContain('five-volts-as-proof');
    for (const share of [0.95, 1.07]) expect(could(wiring, [saw(share)])).not.toContain('five-volts-as-proof');
    for (const share of [0.97, 1.05]) expect(could(wiring, [saw(share)])).toContain('five-volts-as-proof');
    expect(could(wiring, [took('loaded-voltage', referenceV)])).not.toContain('five-volts-as-proof');
    expect(could(sensor, [saw(1)])).not.toContain('five-volts-as-proof');
  });
  test('the sensor on suspicion, acted early, repaired what is sound', () => {
    expect(could(wiring, [])).toContain('sensor-on-suspicion');
    expect(could(sensor, [])).not.toContain('sensor-on-suspicion');
    expect(did(wiring, [act('wiring'), act('sensor')])).toContain('sensor-on-suspicion');
    expect(did(wiring, [act('wiring')])).not.toContain('sensor-on-suspicion');
    expect(could(wiring, [])).not.toContain('acted-early');
    expect(did(wiring, [act('sensor', 0.79)], { right: false })).toContain('acted-early');
    expect(did(wiring, [act('sensor', 0.81)], { right: false })).not.toContain('acted-early');
    expect(did(wiring, [act('sensor', 0.3)], { right: true })).not.toContain('acted-early');
    expect(did(healthy, [], { unneeded: ['sensor'] })).toContain('not-stopped');
    expect(could(healthy, [])).toContain('not-stopped');
    expect(did(healthy, [])).not.toContain('not-stopped');
    expect(could(wiring, [], { unneeded: ['sensor'] })).not.toContain('not-stopped');
  });
  test('too sure, set up wrongly, tested on, pins not looked up, the state not tried', () => {
    const said = (probability: number, right: boolean) => ({ said: [{ probability, right }] });
    expect(could(wiring, [], said(0.89, false))).not.toContain('too-sure');
    expect(did(wiring, [], said(0.9, false))).toContain('too-sure');
    expect(could(wiring, [], said(0.9, true))).toContain('too-sure');
    expect(did(wiring, [], said(0.9, true))).not.toContain('too-sure');
    expect(could(wiring, [])).not.toContain('set-up');
    expect(did(wiring, [], { tests: 1, mistakes: 1 })).toContain('set-up');
    expect(did(wiring, [], { tests: 1 })).not.toContain('set-up');
    const four = [took('displayed'), took('open-voltage'), took('loaded-voltage'), took('sensor-ohms')];
    expect(did(wiring, four, { knownAt: 0 })).toContain('tested-on');
    expect(did(wiring, four, { knownAt: 1 })).not.toContain('tested-on');
    expect(could(wiring, four)).not.toContain('tested-on');
    const bridge = (careless: string | null): DebriefStep =>
      took('displayed-bridged', null, {}, 'steady', { careless });
    expect(could(wiring, four)).not.toContain('unidentified-pins');
    expect(did(wiring, [bridge('bridged-unidentified')])).toContain('unidentified-pins');
    expect(could(wiring, [bridge(null)])).toContain('unidentified-pins');
    expect(did(wiring, [bridge('ohms-on-live')])).not.toContain('unidentified-pins');
    const hot = { ...wiring, told: 'hot' } as typeof wiring;
    expect(did(hot, four)).toContain('state-not-tried');
    expect(did(hot, [took('displayed', null, {}, 'hot')])).not.toContain('state-not-tried');
    const wiggle = { ...wiring, told: 'wiggle' } as typeof wiring;
    expect(did(wiggle, [took('displayed', null, {}, 'hot')])).toContain('state-not-tried');
    expect(did(wiggle, [took('displayed', null, {}, 'wiggling')])).not.toContain('state-not-tried');
    expect(could({ ...wiring, told: null } as unknown as typeof wiring, four)).not.toContain('state-not-tried');
  });
});

describe('progress', () => {
  let n = 0;
  const one = (change: Partial<PlayResult> = {}, theme: CaseKey['theme'] = 'any'): Ended => {
    n++;
    const result: PlayResult = {
      ...{ right: true, healed: true, minutes: 20, total: 30, idealMinutes: 15, idealTotal: 25, tests: 3 },
      ...{ unneeded: [], careless: 0, mistakes: 0, logScore: null, said: [], school: null, could: [], did: [] },
      ...change,
    };
    const number = caseNumberOf({ theme, field: 'engine', difficulty: 1, seed: n });
    const play = {
      ...newPlay(`p${n}`, '2026-01-01T00:00:00.000Z', number, 'hidden'),
      endedAt: new Date(1e12 + n * 1000).toISOString(),
      result,
    };
    return endedPlays([play])[0];
  };
  const rights = (...list: boolean[]): Ended[] => list.map((right) => one({ right }));
  test('oldest first, whatever order they come in', () => {
    const [a, b] = [one(), one()];
    expect(endedPlays([b.play, a.play]).map((e) => e.play.id)).toEqual([a.play.id, b.play.id]);
    expect(endedPlays([{ ...a.play, endedAt: null }])).toEqual([]);
  });
  test('harder after four of four, easier after one of four, counted anew after each step; never beyond the ends', () => {
    const [t, f] = [true, false];
    expect(nextDifficulty(rights(t, t, t))).toBe(1);
    expect(nextDifficulty(rights(t, t, t, f))).toBe(1);
    expect(nextDifficulty(rights(f, t, t, t, t))).toBe(2);
    expect(nextDifficulty(rights(t, t, t, t, t, t, t))).toBe(2);
    expect(nextDifficulty(rights(t, t, t, t, t, t, t, t))).toBe(3);
    expect(nextDifficulty(rights(...Array<boolean>(16).fill(t)))).toBe(3);
    expect(nextDifficulty(rights(...Array<boolean>(8).fill(f)))).toBe(1);
    expect(nextDifficulty(rights(t, t, t, t, f, f, t, f))).toBe(1);
    expect(nextDifficulty(rights(t, t, t, t, f, f, t, t))).toBe(2);
  });
  test('weak spots: worst share first, then the more frequent', () => {
    const list = [
      one({ could: ['set-up', 'too-sure', 'tested-on'], did: ['set-up', 'too-sure'] }),
      one({ could: ['set-up', 'tested-on'], did: ['set-up'] }),
    ];
    expect(weakSpots(list).map((w) => [w.slip, w.did, w.could])).toEqual([
      ['set-up', 2, 2],
      ['too-sure', 1, 1],
    ]);
  });
  test('the next case: the same for the same plays, of the level that is due; what was not seen for long comes round', () => {
    const plays = Array.from({ length: 30 }, (_, i) => one({}, THEME_IDS[i % 3]));
    expect(nextCase(plays)).toEqual(nextCase(plays));
    expect(nextCase(plays).difficulty).toBe(nextDifficulty(plays));
    const seen = plays.map((_, i) => nextCase(plays.slice(0, i + 1)).theme);
    const fresh = seen.filter((theme) => !THEME_IDS.slice(0, 3).includes(theme)).length;
    // Three of the themes were just seen: the others are four times as likely each.
    expect(fresh / seen.length).toBeGreaterThan(0.8);
    for (const { seed } of [nextCase([]), nextCase(plays)]) {
      expect(seed).toBeGreaterThanOrEqual(20_000);
      expect(seed).toBeLessThan(1_020_000);
    }
    plays.forEach((_, i) => expect(nextCase(plays.slice(0, i + 1)).theme).not.toBe(plays[i].key.theme));
  });
});

describe('exams', () => {
  test('themes come round only when all were there; other seeds, other exams', () => {
    const keys = examNumbers(3, 1, MOST_EXAM_CASES).flatMap((text) => {
      const read = readCaseNumber(text);
      return read.ok ? [read.key] : [];
    });
    expect(keys).toHaveLength(MOST_EXAM_CASES);
    expect(new Set(keys.slice(0, THEME_IDS.length).map((k) => k.theme)).size).toBe(THEME_IDS.length);
    expect(new Set(keys.map((k) => k.field)).size).toBeGreaterThan(1);
    for (const { seed } of keys) expect(seed >= 2_000_000 && seed < 3_000_000).toBe(true);
    expect(examNumbers(4, 1)).not.toEqual(examNumbers(3, 1));
    expect(examNumbers(3, 2)).not.toEqual(examNumbers(3, 1));
    expect(examNumbers(3, 1)).toHaveLength(6);
    expect(readExam(' \n,;')).toEqual({ numbers: [], wrong: [] });
  });
  const row = (learner: string, number: string, change: Partial<ExamRow> = {}): ExamRow => ({
    ...{
      learner,
      number,
      right: 'yes',
      healed: 'yes',
      minutes: 20,
      idealMinutes: 15,
      cost: 30,
      idealCost: 25,
      tests: 3,
    },
    ...{ unneeded: 1, cautionsMissed: 2, setUpMistakes: 0, logScore: '0.5', endedAt: '2026-01-01T00:00:00.000Z' },
    ...change,
  });
  test('a class: sums by learner, best first, then by what it cost; the first try of a case counts', () => {
    const table = classTable([
      row('Bo', 'b', { right: 'no', endedAt: '2026-01-02T00:00:00.000Z' }),
      row('Bo', 'b', { endedAt: '2026-01-01T00:00:00.000Z', logScore: '' }),
      row('Bo', 'a', { minutes: 25, cost: 26 }),
      row('Al', 'a', { right: 'no' }),
      row('Cy', 'a', { cost: 27 }),
    ]);
    expect(table.map((l) => l.learner)).toEqual(['Cy', 'Bo', 'Al']);
    expect(table[1]).toEqual({
      ...{ learner: 'Bo', cases: 2, right: 2, minutes: 45, overIdealMinutes: 15, overIdealCost: 6 },
      ...{ unneeded: 2, cautionsMissed: 4, logScore: 0.5 },
    });
    expect(classTable([row('Al', 'a', { logScore: '' })])[0].logScore).toBeNull();
  });
  test('a file of results: each line that is none is named', () => {
    const head =
      'learner,number,right,healed,minutes,idealMinutes,cost,idealCost,tests,unneeded,cautionsMissed,setUpMistakes,logScore,endedAt';
    const number = caseNumberOf({ theme: 'any', field: 'engine', difficulty: 1, seed: 5 });
    const line = (figures: string, of = number): string => `Al,${of},yes,yes,${figures},0.5,2026-01-01T00:00:00.000Z`;
    const read = readExamCsv(
      [
        head,
        line('1,2,3,4,5,6,7,8'),
        line('1,2,3,4,5,6,7,x'),
        line('1,2,3,4,5,6,7,8', '1-XXXXXX-X'),
        line('x,2,3,4,5,6,7,8'),
      ].join('\n'),
    );
    expect(read.faults).toEqual([3, 4, 5].map((at) => ({ line: at, what: 'figure' })));
    expect(read.rows).toEqual([
      {
        learner: 'Al',
        number,
        right: 'yes',
        healed: 'yes',
        minutes: 1,
        idealMinutes: 2,
        cost: 3,
        idealCost: 4,
        tests: 5,
        unneeded: 6,
        cautionsMissed: 7,
        setUpMistakes: 8,
        logScore: '0.5',
        endedAt: '2026-01-01T00:00:00.000Z',
      },
    ]);
  });
});

test('case numbers: any key comes back, neighbours look unlike, one wrong sign is noticed, and what is beyond is none', () => {
  for (const seed of [0, 1, 12_345, MOST_SEEDS - 1])
    for (const theme of THEME_IDS) {
      const key: CaseKey = { theme, field: 'boiler', difficulty: 3, seed };
      const number = caseNumberOf(key);
      expect(readCaseNumber(number)).toEqual({ ok: true, key, number });
      expect(readCaseNumber(number.toLowerCase().replaceAll('-', ' '))).toEqual({ ok: true, key, number });
    }
  const of = (seed: number): string => caseNumberOf({ theme: 'any', field: 'engine', difficulty: 1, seed });
  const differs = [...of(7)].filter((sign, i) => sign !== of(8)[i]).length;
  expect(differs).toBeGreaterThan(3);
  expect(readCaseNumber('1' + of(7).slice(1))).toEqual({ ok: false, why: 'other-generator' });
  for (const text of ['', '1-ABC-D', '1-ABCDEFG-HH', 'x'])
    expect(readCaseNumber(text)).toEqual({ ok: false, why: 'form' });
  expect(openPlays('x'.repeat(50_000_001))).toEqual({ ok: false, why: 'The file is too large for training cases.' });
});
