import { describe, expect, test } from 'vitest';
import { checkJob } from '../../check/job/checkJob.ts';
import { jobSchema } from '../../check/job/jobSchema.ts';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { measurementById, MEASUREMENTS } from '../../circuit/measurements/list.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { FIELDS } from '../../base/units/vocabulary.ts';
import { caseNumberOf, DIFFICULTIES, MOST_SEEDS, readCaseNumber, type CaseKey } from './caseNumber.ts';
import { rightPair, showsOn } from './caseMeter.ts';
import { COURSE } from './course.ts';
import { classTable, examCsv, examNumbers, examRows, readExam, readExamCsv } from './exam.ts';
import { carefully, jobAfter, moveSchema, type Move, replay } from './play.ts';
import { newPlay, playSchema, resultOf, type PlayRecord, type PlayResult } from './playRecord.ts';
import { openPlays, savePlays } from './playsFile.ts';
import { playBy, POLICIES, wasRight } from './policies.ts';
import { calibrationOf, endedPlays, meanLogScore, nextCase, nextDifficulty, weakSpots } from './progress.ts';
import { schoolFollowed } from './schoolFollowed.ts';
import { debrief } from './score.ts';
import { rightSetUp, type SetUp, UNTOUCHED } from './setUp.ts';
import { THEME_IDS, THEMES } from './themes.ts';
import { guiltyGroups, trainingCase, type TrainingCase } from './trainingCase.ts';

const key = (change: Partial<CaseKey> = {}): CaseKey => ({
  ...{ theme: 'any', field: 'engine', difficulty: 1, seed: 1 },
  ...change,
});
const EVERY_KIND = THEME_IDS.flatMap((theme) =>
  FIELDS.flatMap((field) => DIFFICULTIES.map((difficulty) => ({ theme, field, difficulty }))),
);
const measure = (measurement: string, setUp: SetUp, conditions = {}): Extract<Move, { kind: 'measure' }> => ({
  ...{ kind: 'measure', id: measurement, measurement, conditions, setUp, expects: null },
});
const right = (ofCase: TrainingCase, id: string): SetUp => rightSetUp(measurementById(id), carefully(ofCase));
const shows = (ofCase: TrainingCase, id: string, change: Partial<SetUp> = {}, conditions = {}) =>
  showsOn(ofCase, measurementById(id), conditions, { ...right(ofCase, id), ...change }, 0);

describe('case numbers', () => {
  test('every kind, first and last seed, comes back as it was; no two alike', () => {
    const seen = new Set<string>();
    for (const kind of EVERY_KIND)
      for (const seed of [0, 1, 77_777, MOST_SEEDS - 1]) {
        const number = caseNumberOf({ ...kind, seed });
        expect(number).toMatch(/^2-[0-9A-Z]{6}-[0-9A-Z]$/);
        expect(readCaseNumber(number)).toEqual({ ok: true, key: { ...kind, seed }, number });
        seen.add(number);
      }
    expect(seen.size).toBe(4 * EVERY_KIND.length);
  });
  test('typed by hand: small letters, no strokes, O for 0, l for 1', () => {
    const number = caseNumberOf(key({ seed: 7 }));
    const typed = ` ${number.toLowerCase().replace(/-/g, ' ').replace(/0/g, 'o').replace(/1/g, 'l')} `;
    expect(readCaseNumber(typed)).toMatchObject({ ok: true, number });
  });
  test('any one sign wrong is noticed; another generator and another form are told apart', () => {
    const number = caseNumberOf(key({ seed: 4217 }));
    for (const at of [2, 3, 4, 5, 6, 7, 9])
      for (const other of 'AZ07') {
        if (number[at] === other) continue;
        expect(readCaseNumber(number.slice(0, at) + other + number.slice(at + 1))).toMatchObject({ ok: false });
      }
    expect(readCaseNumber(`1${number.slice(1)}`)).toEqual({ ok: false, why: 'other-generator' });
    expect(readCaseNumber('4217')).toEqual({ ok: false, why: 'form' });
  });
});

describe('a case', () => {
  test('of every theme, field and difficulty: a job that can be opened and computed with, true to its theme', () => {
    expect(THEMES.map((t) => t.id)).toEqual(THEME_IDS);
    for (const kind of EVERY_KIND) {
      const made = trainingCase({ ...kind, seed: 11 });
      expect(jobSchema.safeParse(made.job).error, made.number).toBeUndefined();
      const { problem, issues } = checkJob(made.job);
      expect(issues).toEqual([]);
      expect(problem!.readings).toEqual([]);
      const faults = made.machine.faults.map((f) => f.fault);
      const [first] = made.machine.faults;
      const is: Record<string, () => boolean> = {
        any: () => faults.length <= 1,
        'series-resistance': () => faults[0].id.endsWith('-resistive'),
        'two-sensors': () => made.other !== null && faults.length === 1,
        'shared-reference': () => faults[0].group === 'reference' && made.job.circuit.shares === 'reference',
        'nothing-now': () => faults.length === 0 && made.told === 'past',
        'only-hot': () => first.onlyIn === 'hot' && made.told === 'hot',
        wiggle: () => first.onlyIn === 'wiggling' && made.told === 'wiggle',
        'new-sensor': () =>
          made.job.complaint.replaced.includes('sensor') && /new sensor/i.test(made.job.complaint.text),
        'two-faults': () => faults.length === 2 && faults[0].group !== faults[1].group,
      };
      expect(is[kind.theme](), `${kind.theme} ${made.number}`).toBe(true);
      if (kind.difficulty === 3) expect(made.job.kit.tools).not.toContain('bath');
    }
  });
  test('the same number is the same case with the same readings, in whatever order they are taken', () => {
    const [a, b] = [trainingCase(key({ seed: 5 })), trainingCase(key({ seed: 5 }))];
    expect(b.job).toEqual(a.job);
    const tests = ['displayed', 'open-voltage', 'sensor-ohms', 'loaded-voltage'];
    const forth = tests.map((id) => shows(a, id).text);
    const back = [...tests].reverse().map((id) => shows(b, id).text);
    expect(back.reverse()).toEqual(forth);
    expect(showsOn(a, measurementById('open-voltage'), {}, right(a, 'open-voltage'), 1).text).not.toBe(forth[1]);
    expect(trainingCase(key({ seed: 6 })).job).not.toEqual(a.job);
  });
  test('codes follow what the module sees: low codes where the pin lies low, of the past where nothing is wrong now', () => {
    let codes = 0;
    for (let seed = 0; seed < 120; seed++) {
      const made = trainingCase(key({ theme: seed % 2 ? 'nothing-now' : 'any', seed }));
      for (const { code, state } of made.job.complaint.codes) {
        codes++;
        if (made.machine.faults.length === 0) expect(state).toBe('past');
        // A display that divides by its own reference shows the right value while that is missing.
        if (made.machine.faults.every((f) => f.fault.group === 'reference')) continue;
        // Of an NTC to a pull-up: a pin that lies low reads hot, one that lies high reads cold.
        const off = shows(made, 'displayed').value! - made.job.moments[0].temperatureC.value!;
        if (/P0(117|112|197)/.test(code)) expect(off, made.number).toBeGreaterThan(40);
        if (/P0(118|113|198)/.test(code)) expect(off, made.number).toBeLessThan(-20);
      }
    }
    expect(codes).toBeGreaterThan(30);
  });
});

describe('the meter of a case', () => {
  const sound = trainingCase(key({ theme: 'nothing-now', seed: 3 }));
  const { circuit } = sound.machine.problem;
  test('every test of every field shows something when it is set up rightly, and no mistake', () => {
    for (const field of FIELDS)
      for (const m of MEASUREMENTS.filter((x) => !x.needs.includes('position'))) {
        const made = trainingCase(key({ theme: 'nothing-now', field, seed: 8 }));
        if (!m.layouts.includes(made.job.circuit.layout)) continue;
        const got = shows(made, m.id, {}, { substituteOhm: 2000, bathC: 40, airC: 20 });
        expect(got.mistakes, m.id).toEqual([]);
        expect(got.text, m.id).not.toBe('');
      }
  });
  test('key off: volts at the plug are dead, the display is dark; the battery is still there', () => {
    expect(shows(sound, 'open-voltage', { key: false })).toMatchObject({ mistakes: ['key-off'] });
    expect(Math.abs(shows(sound, 'open-voltage', { key: false }).value!)).toBeLessThan(0.1);
    expect(shows(sound, 'displayed', { key: false })).toMatchObject({ text: '', value: null, mistakes: ['key-off'] });
    expect(shows(sound, 'supply-to-return', { key: false }).value!).toBeGreaterThan(11);
  });
  test('the plug not pulled: open volts are the loaded ones, and ohms have the pull-up beside them', () => {
    const loaded = shows(sound, 'loaded-voltage').value!;
    const seated = shows(sound, 'open-voltage', { plug: 'in' });
    expect(seated.mistakes).toEqual(['plug-not-pulled']);
    expect(Math.abs(seated.value! / loaded - 1)).toBeLessThan(0.06);
    const alone = shows(sound, 'sensor-ohms').value!;
    const beside = shows(sound, 'sensor-ohms', { plug: 'in' });
    const pullUp = circuit.pullUpOhm!;
    expect(beside.value! / ((alone * pullUp) / (alone + pullUp))).toBeGreaterThan(0.85);
    expect(beside.value! / ((alone * pullUp) / (alone + pullUp))).toBeLessThan(1.15);
    expect(shows(sound, 'sensor-ohms', { plug: 'in', key: true })).toMatchObject({ text: '', value: null });
    expect(shows(sound, 'loaded-voltage', { plug: 'out' }).mistakes).toEqual(['plug-pulled']);
    expect(shows(sound, 'loaded-voltage', { plug: 'out' }).value!).toBeGreaterThan(0.93 * circuit.referenceV);
  });
  test('ranges: too low is OL, by hand there is no unit and the k is easily missed, far too high loses digits', () => {
    const auto = shows(sound, 'sensor-ohms');
    expect(auto.value!).toBeGreaterThan(1000);
    expect(auto.text).toMatch(/ kΩ$/);
    const low = shows(sound, 'sensor-ohms', { range: '200' });
    expect(low).toMatchObject({ text: 'OL', value: Infinity, mistakes: ['over-range'] });
    const byHand = shows(sound, 'sensor-ohms', { range: '20k' });
    expect(byHand.text).toMatch(/^\d\.\d\d$|^\d\d\.\d\d$/);
    const [reading] = jobAfter(
      sound,
      replay(sound, [measure('sensor-ohms', { ...right(sound, 'sensor-ohms'), range: '20k' })]),
    ).readings;
    expect(reading.value).toBe(Number(byHand.text));
    expect(shows(sound, 'sensor-ohms', { range: '20M' }).mistakes).toEqual(['coarse-range']);
  });
  test('not waited for: the bath has not got through, the hand has', () => {
    const cold = shows(sound, 'bench-ohms', { waited: false }, { bathC: 60 });
    expect(cold.mistakes).toEqual(['not-waited']);
    expect(cold.value!).toBeGreaterThan(1.3 * shows(sound, 'bench-ohms', {}, { bathC: 60 }).value!);
    const inHand = shows(sound, 'off-ohms', { waited: false }, { airC: 15 });
    expect(inHand.value!).toBeLessThan(0.85 * shows(sound, 'off-ohms', {}, { airC: 15 }).value!);
  });
  test('a bridge on the live cavity breaks something and shows nothing; on signal and return it does not', () => {
    const at = (what: string): number => sound.cavities.indexOf(what as 'signal') + 1;
    const pair = (a: string, b: string): SetUp['across'] => [at(a), at(b)].sort().join('-') as SetUp['across'];
    expect(rightPair(sound)).toBe(pair('signal', 'return'));
    expect(shows(sound, 'displayed-bridged')).toMatchObject({ damage: null, mistakes: [] });
    expect(shows(sound, 'displayed-bridged', { across: pair('signal', 'supply') })).toMatchObject({
      ...{ damage: 'input', text: '', mistakes: ['wrong-cavities'] },
    });
    expect(shows(sound, 'displayed-bridged', { across: pair('return', 'supply') })).toMatchObject({ damage: 'fuse' });
  });
  test('the plug of the other sensor: its own ohms, and the display does not move', () => {
    const two = trainingCase(key({ theme: 'two-sensors', seed: 2 }));
    const wrong = two.plug === 'A' ? 'B' : 'A';
    const display = shows(two, 'displayed').value!;
    const pulled = shows(two, 'displayed-unplugged', { at: wrong });
    expect(pulled.mistakes).toEqual(['wrong-plug']);
    expect(Math.abs(pulled.value! - display)).toBeLessThan(4);
    const expected = two.machine.problem.circuit.curve.resistanceOhm(two.job.moments[0].temperatureC.value!);
    const ohms = shows(two, 'sensor-ohms', { at: wrong }).value!;
    expect(ohms / expected).toBeGreaterThan(0.75);
    expect(ohms / expected).toBeLessThan(1.3);
    expect(shows(two, 'displayed', { at: wrong }).mistakes).toEqual([]);
  });
});

describe('a play', () => {
  const ofCase = trainingCase(key({ theme: 'series-resistance', seed: 4 }));
  test('minutes and money are those of the trade: set-ups that stand cost less, a wrong part costs itself and the way back', () => {
    const state = replay(ofCase, [
      measure('open-voltage', right(ofCase, 'open-voltage')),
      measure('open-voltage-return', right(ofCase, 'open-voltage-return')),
      { kind: 'look' },
      { kind: 'diagram' },
      { kind: 'act', group: 'sensor', reason: '' },
    ]);
    expect(state.events.map((e) => e.minutes)).toEqual([2, 1, 2, 1, ofCase.costs.fitMinutes + 5]);
    expect(state.money).toBe(ofCase.costs.part + ofCase.costs.back);
    expect(state.total).toBeCloseTo(state.minutes * ofCase.costs.perMinute + state.money, 9);
    expect(state).toMatchObject({ ended: null, looked: true, knowsCavities: true, mended: ['sensor'] });
    expect(state.events[4].helped).toBe('no');
    const healed = replay(ofCase, [{ kind: 'act', group: 'wiring', reason: '' }, { kind: 'look' }]);
    expect(healed.ended).toBe('healed');
    expect(healed.events, 'nothing counts after the end').toHaveLength(1);
  });
  test('what breaks is paid for; a bridge without the diagram, and ohms on a live circuit, are cautions passed over', () => {
    const live = ofCase.cavities.indexOf('supply') + 1;
    const signal = ofCase.cavities.indexOf('signal') + 1;
    const across = [live, signal].sort().join('-') as SetUp['across'];
    const burnt = replay(ofCase, [measure('displayed-bridged', { ...right(ofCase, 'displayed-bridged'), across })]);
    expect(burnt.money).toBe(ofCase.costs.module);
    expect(burnt.minutes).toBe(3 + ofCase.costs.moduleMinutes);
    expect(burnt.events[0].careless).toBe('bridged-unidentified');
    const careful = replay(ofCase, [
      { kind: 'diagram' },
      measure('displayed-bridged', right(ofCase, 'displayed-bridged')),
    ]);
    expect(careful.events[1].careless).toBeNull();
    const ohms = replay(ofCase, [measure('sensor-ohms', { ...right(ofCase, 'sensor-ohms'), key: true })]);
    expect(ohms.events[0].careless).toBe('ohms-on-live');
  });
  test('of two faults the first repair makes it better, and readings begin anew', () => {
    const two = trainingCase(key({ theme: 'two-faults', seed: 9 }));
    const [a, b] = guiltyGroups(two);
    const moves: Move[] = [
      measure('displayed', right(two, 'displayed')),
      { kind: 'act', group: a, reason: '' },
      measure('displayed', right(two, 'displayed')),
    ];
    const state = replay(two, moves);
    expect(state.events[1].helped).toBe('better');
    expect(jobAfter(two, state).readings).toHaveLength(1);
    expect(replay(two, [...moves, { kind: 'act', group: b, reason: '' }]).ended).toBe('healed');
  });
  test('warmed and looked at stand on the bench; what is hot only shows only hot', () => {
    const hot = trainingCase(key({ theme: 'only-hot', seed: 3 }));
    const before = jobAfter(hot, replay(hot, []));
    expect(before.moments[1].temperatureC.value).toBeNull();
    const state = replay(hot, [{ kind: 'warm' }, { kind: 'look' }]);
    expect(jobAfter(hot, state).moments[1].temperatureC.value).toBe(hot.hotC);
    expect(jobAfter(hot, state).findings).toEqual(hot.looks);
    expect(state.minutes).toBe(17);
    const cold = shows(hot, 'displayed').value!;
    expect(Math.abs(cold - hot.job.moments[0].temperatureC.value!)).toBeLessThan(8);
    expect(Math.abs(shows(hot, 'displayed', { state: 'hot' }).value! - hot.hotC)).toBeGreaterThan(8);
  });
  test('moves come back from JSON as they were; what is no move does not', () => {
    const moves: Move[] = [
      measure('open-voltage', right(ofCase, 'open-voltage')),
      { kind: 'believe', shares: { wiring: 0.7 } },
    ];
    for (const move of moves) expect(moveSchema.parse(JSON.parse(JSON.stringify(move)))).toEqual(move);
    expect(moveSchema.safeParse({ kind: 'measure', measurement: 'x' }).success).toBe(false);
    expect(moveSchema.safeParse({ kind: 'believe', shares: { wiring: 7 } }).success).toBe(false);
  });
});

describe('policies and score', () => {
  const sample = THEME_IDS.map((theme, i) =>
    trainingCase({ theme, field: FIELDS[i % 3], difficulty: 1, seed: 320 + i }),
  );
  const ideals = sample.map((c) => playBy(c, 'ideal'));
  test('the ideal heals every case of the sample, right first time where one thing is wrong, without a mistake, at no regret', () => {
    sample.forEach((made, i) => {
      const { moves, state, sure } = ideals[i];
      expect(state.ended, made.number).toBe('healed');
      if (made.key.theme !== 'two-faults') expect([sure, wasRight(made, ideals[i])], made.number).toEqual([true, true]);
      // A debrief plays every other order too and takes a second or two: every third case has one here.
      if (i % 3 > 0) return;
      const { score } = debrief(made, moves, ideals[i]);
      expect(score.regret).toEqual({ minutes: 0, money: 0, total: 0 });
      expect([score.mistakes, score.careless]).toEqual([0, 0]);
      expect(score.right).toBe(wasRight(made, ideals[i]));
    });
  });
  test('two plugs are tried before one is measured at; heat and movement only where they are complained of', () => {
    const kinds = (i: number): string[] => ideals[i].moves.map((m) => (m.kind === 'measure' ? m.setUp.state : m.kind));
    expect(kinds(THEME_IDS.indexOf('two-sensors'))).toContain('which-plug');
    expect(kinds(THEME_IDS.indexOf('only-hot'))).toContain('warm');
    expect(kinds(THEME_IDS.indexOf('wiggle'))).toContain('wiggling');
    expect(kinds(THEME_IDS.indexOf('series-resistance'))).not.toContain('warm');
    for (const { moves } of ideals) for (const move of moves) expect(moveSchema.parse(move)).toEqual(move);
    expect(() => playBy(sample[0], 'nobody’s')).toThrow('no policy');
  });
  test('a school costs more than the ideal on this case, and is known by its order', () => {
    const at = THEME_IDS.indexOf('series-resistance');
    for (const policy of ['supply-first']) {
      const played = playBy(sample[at], policy);
      const { score } = debrief(sample[at], played.moves, ideals[at]);
      expect(score.school).toBe(policy);
      expect(score.total, policy).toBeGreaterThan(score.ideal.total);
    }
    const swapped = playBy(sample[at], 'swap-first');
    expect([swapped.first!.group, wasRight(sample[at], swapped)]).toEqual(['sensor', false]);
    const swap = debrief(sample[at], swapped.moves, ideals[at]);
    expect(swap.score).toMatchObject({ school: 'swap-first', right: false, unneeded: ['sensor'] });
    expect(POLICIES).toContain('swap-first');
    expect(schoolFollowed([])).toBeNull();
  });
  test('beliefs are scored: −ln of what was given to the truth, and a point of the curve', () => {
    const made = sample[1];
    const moves: Move[] = [
      { kind: 'believe', shares: { sensor: 0.9, wiring: 0.1 } },
      { kind: 'believe', shares: { wiring: 0.5, sensor: 0.3 } },
      { kind: 'act', group: 'wiring', reason: 'loaded volts' },
    ];
    const { score, steps } = debrief(made, moves, ideals[1]);
    expect(score.logScore).toBeCloseTo(-(Math.log(0.1) + Math.log(0.5)) / 2, 9);
    expect(score.said).toEqual([
      { probability: 0.9, right: false },
      { probability: 0.5, right: true },
    ]);
    expect([score.healed, score.right, score.knownAt]).toEqual([true, true, null]);
    expect(steps[0].won).toBeNull();
  });
  test('a step is held against the best test of its moment: worth, loss, and what it won', () => {
    const made = sample[1];
    const moves: Move[] = [
      measure('open-voltage', right(made, 'open-voltage')),
      measure('open-voltage', right(made, 'open-voltage')),
      { kind: 'act', group: 'sensor', reason: '' },
    ];
    const { score, steps } = debrief(made, moves, ideals[1]);
    expect(steps[0].best!.bitsPerCost).toBeGreaterThanOrEqual(steps[0].test!.bitsPerCost);
    expect(steps[0].lost).toBeCloseTo(steps[0].best!.bitsPerCost - steps[0].test!.bitsPerCost, 9);
    expect(steps[1].test, 'taken already').toBeNull();
    const shareOf = (list: (typeof steps)[number]['after']): number =>
      list.find((g) => g.group === 'wiring')!.probability;
    expect(steps[0].won).toBeCloseTo(Math.log2(shareOf(steps[0].after) / shareOf(steps[0].before)), 9);
    expect(resultOf(made, { score, steps }).did).toEqual(
      expect.arrayContaining(['five-volts-as-proof', 'sensor-on-suspicion']),
    );
  });
});

describe('progress, exam, course', () => {
  const result: PlayResult = {
    ...{ right: true, healed: true, minutes: 20, total: 30, idealMinutes: 15, idealTotal: 25, tests: 3 },
    ...{ unneeded: [], careless: 0, mistakes: 0, logScore: 0.2, said: [], school: null, could: [], did: [] },
  };
  let n = 0;
  const played = (change: Partial<PlayResult>, theme: CaseKey['theme'] = 'any'): PlayRecord => ({
    ...newPlay(`p${++n}`, '2026-01-01T00:00:00.000Z', caseNumberOf(key({ theme, seed: n })), 'hidden'),
    endedAt: `2026-01-02T00:00:${String(n % 60).padStart(2, '0')}.000Z`,
    result: { ...result, ...change },
  });
  test('a record is checked, and an unfinished one or one of an unknown number counts for nothing', () => {
    const one = played({});
    expect(playSchema.parse(JSON.parse(JSON.stringify(one)))).toEqual(one);
    expect(endedPlays([{ ...one, result: null }, { ...one, number: '1-XXXXXX-X' }, one])).toHaveLength(1);
  });
  test('plays go out as a file and come back; what is none says where', () => {
    const plays = [played({}), played({ right: false })];
    expect(openPlays(savePlays(plays))).toEqual({ ok: true, plays });
    expect(openPlays('nonsense')).toEqual({ ok: false, why: 'This is not a JSON file.' });
    expect(openPlays('{}')).toMatchObject({ ok: false, why: expect.stringContaining('at format') as string });
    const broken = savePlays(plays).replace('"hidden"', '"loud"');
    expect(openPlays(broken)).toMatchObject({ ok: false, why: expect.stringContaining('plays.0.mode') as string });
  });
  test('weak spots: how often of how often it could have, worst first', () => {
    const ended = endedPlays([
      played({ could: ['five-volts-as-proof', 'set-up'], did: ['five-volts-as-proof'] }),
      played({ could: ['five-volts-as-proof', 'set-up'], did: ['five-volts-as-proof', 'set-up'] }),
      played({ could: ['five-volts-as-proof', 'set-up'], did: [] }),
    ]);
    expect(weakSpots(ended)).toEqual([
      { slip: 'five-volts-as-proof', did: 2, could: 3 },
      { slip: 'set-up', did: 1, could: 3 },
    ]);
  });
  test('calibration: what was said against what came, by bands', () => {
    const said = [
      ...Array.from({ length: 10 }, (_, i) => ({ probability: 0.95, right: i < 6 })),
      { probability: 0.6, right: true },
    ];
    const ended = endedPlays([played({ said })]);
    expect(calibrationOf(ended)).toEqual([
      { from: 0.5, to: 0.7, said: 0.6, right: 1, count: 1 },
      { from: 0.9, to: 1, said: expect.closeTo(0.95, 9) as number, right: 0.6, count: 10 },
    ]);
    expect(meanLogScore(ended)).toBe(0.2);
    expect(meanLogScore([])).toBeNull();
  });
  test('the next case: harder after four right, easier after three wrong of four; where it goes wrong; never the same theme twice', () => {
    const good = Array.from({ length: 4 }, () => played({}));
    expect(nextDifficulty([])).toBe(1);
    expect(nextDifficulty(endedPlays(good))).toBe(2);
    const bad = Array.from({ length: 4 }, (_, i) => played({ right: i === 0 }));
    expect(nextDifficulty([...endedPlays(good), ...endedPlays(bad)])).toBe(1);
    const lured = Array.from({ length: 12 }, () => played({ did: ['five-volts-as-proof'] }, 'any'));
    let series = 0;
    for (let i = 1; i <= 12; i++) {
      const { theme } = nextCase(endedPlays(lured.slice(0, i)));
      expect(theme).not.toBe('any');
      series += Number(theme === 'series-resistance');
    }
    expect(series).toBeGreaterThan(3);
  });
  test('an exam: its numbers are cases of the asked difficulty, no theme twice before all were there', () => {
    const numbers = examNumbers(5, 2, 9);
    expect(examNumbers(5, 2, 9)).toEqual(numbers);
    const keys = numbers.map((text) => readCaseNumber(text)).flatMap((r) => (r.ok ? [r.key] : []));
    expect(new Set(keys.map((k) => k.theme)).size).toBe(9);
    expect(keys.every((k) => k.difficulty === 2)).toBe(true);
    expect(readExam(`${numbers[0]}\n${numbers[1]}, nonsense; ${numbers[0]}`)).toEqual({
      ...{ numbers: numbers.slice(0, 2), wrong: ['nonsense'] },
    });
  });
  test('results go out and come back as CSV, formulae as text; a class is put together, a second try does not count', () => {
    const [a, b, again] = [played({}), played({ right: false, unneeded: ['sensor'] }), played({ right: true })];
    again.number = b.number;
    const text = examCsv(examRows('=Ada', endedPlays([a, b, again])));
    expect(text).toContain("'=Ada");
    const { rows, faults } = readExamCsv(text);
    expect(faults).toEqual([]);
    expect(rows).toEqual(examRows('=Ada', endedPlays([a, b, again])));
    const [line] = classTable(rows);
    expect(line).toMatchObject({ learner: '=Ada', cases: 2, right: 1, unneeded: 1, overIdealMinutes: 10 });
    expect(line.logScore).toBeCloseTo(0.2, 9);
    expect(readExamCsv('a,b\n1,2').faults).toEqual([{ line: 1, what: 'columns' }]);
    expect(readExamCsv(text.replace(/,20,/, ',x,')).faults).toEqual([{ line: 2, what: 'figure' }]);
    const other = examRows('Bo', endedPlays([played({})]));
    expect(classTable([...rows, ...other]).map((l) => l.learner)).toEqual(['Bo', '=Ada']);
  });
  test('the course has twenty steps, each with a page, something to try and three cases of its own', () => {
    expect(COURSE).toHaveLength(20);
    const numbers = COURSE.flatMap((s) => s.cases);
    expect(new Set(numbers).size).toBe(60);
    for (const step of COURSE) {
      expect(step.page.join(' ').split(' ').length, step.id).toBeGreaterThan(35);
      expect(step.cases.every((text) => readCaseNumber(text).ok)).toBe(true);
    }
    expect(new Set(COURSE.map((s) => s.id)).size).toBe(20);
  });
});

test('machines drawn at random, set up anyhow: every figure the meter shows is a figure', () => {
  const uniform = seededUniform(3);
  for (let i = 0; i < 60; i++) {
    const kind = EVERY_KIND[Math.floor(uniform() * EVERY_KIND.length)];
    const made = trainingCase({ ...kind, seed: Math.floor(uniform() * 1e6) });
    const entry = CATALOGUE_CIRCUITS.find((c) => made.job.circuit.name === c.name)!;
    expect(entry.field).toBe(kind.field);
    for (const m of MEASUREMENTS.filter((x) => x.needs.length === 0 && x.layouts.includes(entry.layout))) {
      const wild: SetUp = {
        ...UNTOUCHED,
        key: uniform() < 0.5,
        plug: (['in', 'out', 'bridged', 'resistor'] as const)[Math.floor(uniform() * 4)],
        range: (['auto', '2k', '2M'] as const)[Math.floor(uniform() * 3)],
        state: (['steady', 'hot', 'wiggling'] as const)[Math.floor(uniform() * 3)],
      };
      const got = showsOn(made, m, {}, wild, 0);
      if (got.text === '') expect(got.value).toBeNull();
      else expect(Number.isNaN(got.value), `${m.id} ${got.text}`).toBe(false);
      expect(got.text).not.toContain('NaN');
    }
  }
});
