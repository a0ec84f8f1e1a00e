// @vitest-environment happy-dom
import { FAULT_GROUPS, FIELDS } from '@mellow-probe/core/base/units/vocabulary';
import { formatOhm, formatTemperature, formatVolt } from '@mellow-probe/core/base/units/format';
import { catalogueCircuit } from '@mellow-probe/core/catalogue/parts/catalogueCircuit';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { deskReadings, NO_DESK_FAULTS } from '@mellow-probe/core/tools/divider/divider';
import { readCaseNumber } from '@mellow-probe/core/training/cases/caseNumber';
import { COURSE } from '@mellow-probe/core/training/cases/course';
import { EXAM_CASES, examNumbers, readExam, readExamCsv } from '@mellow-probe/core/training/cases/exam';
import { newPlay, type PlayRecord, type PlayResult } from '@mellow-probe/core/training/cases/playRecord';
import { savePlays } from '@mellow-probe/core/training/cases/playsFile';
import { THEMES } from '@mellow-probe/core/training/cases/themes';
import { SLIP_TEXT, truthText } from '@mellow-probe/core/wording/trainingText';
import {
  casesPartWords as cases,
  coursePartWords,
  courseDeskWords as desk,
  debriefStepsWords as steps,
  debriefViewWords as debrief,
  examPartWords as exam,
  progressPartWords as progress,
} from '@mellow-probe/core/wording/screens/train';
import {
  beliefFormWords as belief,
  playScreenWords as playing,
  practicePanelWords as panel,
} from '@mellow-probe/core/wording/screens/trainPlay';
import { beatenText, rightAtOnceText } from '@mellow-probe/core/wording/noticeText';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test, vi } from 'vitest';
import type { Ref } from 'vue';
import { browser, until } from '../../../test/browserWindow.ts';
import {
  bring,
  expectSound,
  isOff,
  listOf,
  NOW,
  pickFrom,
  press,
  rowsOf,
  show,
  type,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { lastSaved } from '../../../test/savedFiles.ts';
import type { Practice } from '../../session/practice.ts';
import type { Told } from '../../workers/training.ts';

/** The worker's own work, in this thread. */
vi.mock('../../workers/trainingClient.ts', async () => {
  const { trainingWork } = await import('../../workers/training.ts');
  const ask = (work: (remote: unknown) => Promise<unknown>): Promise<unknown> => work(trainingWork);
  return { trainingLines: () => ({ scene: { ask }, judge: { ask } }) };
});
const { usePreferences } = await import('../../data/stores/preferences.ts');
const { useTraining } = await import('../../data/stores/training.ts');
const { playDoor } = await import('../../data/storage/trainingStorage.ts');
const { default: SlideBar } = await import('../../components/base/SlideBar.vue');
const { default: CourseDesk } = await import('./CourseDesk.vue');
const { default: PlayScreen } = await import('./PlayScreen.vue');
const { default: StepScreen } = await import('./StepScreen.vue');
const { default: TrainScreen } = await import('./TrainScreen.vue');

/** A resistance in the return wire: a fault of the wiring. */
const NUMBER = '2-VTP2ME-K';
const RESULT: PlayResult = {
  ...{
    right: true,
    healed: true,
    minutes: 20.4,
    total: 51,
    idealMinutes: 15.2,
    idealTotal: 50,
    tests: 3,
    unneeded: [],
  },
  ...{ careless: 0, mistakes: 0, logScore: 0.25, said: [], school: null, could: [], did: [] },
};
/** Puts a play in the store; one with a result has ended. */
async function played(id: string, number: string, result: Partial<PlayResult> | null, partOf: string | null = null) {
  const play: PlayRecord = {
    ...newPlay(id, NOW, number, 'hidden', partOf),
    ...(result && { endedAt: NOW, result: { ...RESULT, ...result } }),
  };
  await playDoor(id).write(play, null);
  await useTraining().load();
  return play;
}
const part = (name: string): Promise<VueWrapper> => show(TrainScreen, { path: `/train/${name}` });

describe('the parts of the training', () => {
  test('each by its address, the course where there is none', async () => {
    for (const [name, label] of [
      ['exam', exam.exam],
      ['progress', progress.progress],
      ['', coursePartWords.course],
    ]) {
      const wrapper = await show(TrainScreen, { path: `/train/${name}` });
      expectSound(wrapper);
      expect(wrapper.find(`section[aria-label="${label}"]`).exists(), label).toBe(true);
    }
  });
  test('a course step is open, begun or done by its own cases; the next one is the first that is not done', async () => {
    const [first, second] = COURSE;
    for (const number of first.cases) await played(number, number, {}, first.id);
    await played('wrong', second.cases[0], { right: false }, second.id);
    await played('right', second.cases[2], {}, second.id);
    await played('elsewhere', second.cases[1], {}, null);
    const wrapper = await part('course');
    const shown = wrapper.findAll('li').map((li) => [li.get('.sign').text(), li.get('.count').text()]);
    expect(shown.slice(0, 3)).toEqual([
      ['●', coursePartWords.ofRight(first.cases.length, first.cases.length)],
      ['◐', coursePartWords.ofRight(1, second.cases.length)],
      ['○', ''],
    ]);
    expect(
      wrapper
        .findAll('li a')
        .map((a) => a.classes('next'))
        .indexOf(true),
    ).toBe(1);
    const step = await show(StepScreen, { path: `/train/course/${second.id}` });
    expect(step.get('h1').text()).toBe(`2 · ${second.title}`);
    expect(step.findAll('.case').map((c) => c.get('button').classes('main'))).toEqual([true, false, false]);
    await step.findAll('.case button')[1].trigger('click');
    await until(() => step.vm.$route.path.startsWith('/train/play/'), 'the case');
    const { plays } = useTraining();
    expect(plays.find((p) => p.id === step.vm.$route.params.id)).toMatchObject({
      number: second.cases[1],
      partOf: second.id,
    });
  });
});

describe('cases to play', () => {
  const begun = async (w: VueWrapper): Promise<PlayRecord> => {
    await until(() => w.vm.$route.path.startsWith('/train/play/'), 'the case');
    return useTraining().plays.find((p) => p.id === w.vm.$route.params.id)!;
  };
  test('one of a theme, a field and a difficulty; every theme and field is offered', async () => {
    const wrapper = await part('cases');
    expectSound(wrapper);
    const offered = (label: string) => listOf(wrapper, label).options!.map((o) => [o.value, o.label]);
    expect(offered(cases.theme)).toEqual(THEMES.map((t) => [t.id, t.name]));
    expect(offered(cases.field)).toEqual(FIELDS.map((f) => [f, f]));
    const theme = THEMES.at(-1)!;
    await pickFrom(wrapper, cases.theme, theme.id);
    expect(wrapper.text()).toContain(theme.idea);
    await pickFrom(wrapper, cases.field, 'boiler');
    await press(wrapper, cases.drawACase);
    const { number, mode } = await begun(wrapper);
    const read = readCaseNumber(number);
    expect([read.ok && read.key, mode]).toEqual([
      expect.objectContaining({ theme: theme.id, field: 'boiler', difficulty: 1 }),
      'hidden',
    ]);
  });
  test('one by its number; another spelling is reported', async () => {
    const wrapper = await part('cases');
    expect(wrapper.get('form button').attributes('disabled')).toBeDefined();
    const byNumber = async (text: string): Promise<void> => {
      await type(wrapper, cases.caseNumber, text);
      await wrapper.get('form').trigger('submit');
    };
    await byNumber('2-WRONG');
    expect(wrapper.get('[role="alert"]').text()).not.toBe('');
    await byNumber(` ${NUMBER.toLowerCase()} `);
    expect((await begun(wrapper)).number).toBe(NUMBER);
  });
  test('the suggested one, and the last five that are open, the latest first', async () => {
    const numbers = examNumbers(11, 1, 7);
    for (const [i, number] of numbers.entries()) await played(`p${i}`, number, i === 3 ? {} : null);
    const wrapper = await part('cases');
    expect(wrapper.findAll('section a').map((a) => a.text())).toEqual(
      [6, 5, 4, 2, 1].map((i) => cases.goOnWith(numbers[i])),
    );
    const { next } = useTraining();
    await press(wrapper, cases.nextCase);
    expect((await begun(wrapper)).number).toBe(next);
  });
});

describe('the desk of the course', () => {
  const START = { referenceV: 5, pullUpOhm: 2490, temperatureC: 20, seriesOhm: null, leakOhm: null };
  const slide = (w: VueWrapper, label: string) =>
    w.findAllComponents(SlideBar).find((s) => s.props('label') === label)!;
  test.each([
    [START, NO_DESK_FAULTS],
    [
      { ...START, seriesOhm: 1000, leakOhm: 10_000, temperatureC: 60 },
      { ...NO_DESK_FAULTS, seriesOhm: 1000, leakGroundOhm: 10_000 },
    ],
  ])('shows what the divider gives, from where the step begins (%#)', async (start, faults) => {
    const wrapper = await show(CourseDesk, { props: { start } });
    const circuit = { ...catalogueCircuit('engine-coolant-2k8'), referenceV: 5, pullUpOhm: 2490 };
    const r = deskReadings(circuit, 2490, start.temperatureC, { ...faults, wireOhm: 0.2 });
    const shown = (c: number): string => formatTemperature(c, 'C');
    expect(rowsOf(wrapper, desk.whatIsRead)).toEqual(
      [
        [desk.sensor, formatOhm(r.sensorOhm)],
        [desk.voltsPlugPulled, formatVolt(r.openV)],
        [desk.voltsPluggedIn, formatVolt(r.plugV)],
        [desk.voltsAtModule, formatVolt(r.pinV)],
        [desk.itShows, shown(r.shownC)],
        [desk.itShowsPulled, shown(r.unpluggedC)],
        [desk.itShowsBridged, shown(r.bridgedC)],
      ].map((row) => row.map((c) => c.replaceAll('\u00a0', ' '))),
    );
    const shares = wrapper.get('[role="img"]').attributes('aria-label')!;
    expect(shares).toBe(
      [
        [desk.pullUp, 5 - r.pinV],
        [desk.wire, r.pinV - r.plugV],
        [desk.sensor, r.plugV],
      ]
        .map(([name, volts]) => `${name} ${formatVolt(volts as number)}`)
        .join(', '),
    );
    expect(slide(wrapper, desk.inTheWire).props('text')).toBe(start.seriesOhm ? formatOhm(1000) : desk.nothing);
    expect(slide(wrapper, desk.leakToGround).props('text')).toBe(start.leakOhm ? formatOhm(10_000) : desk.none);
  });
  test('moved, it follows; another step begins anew', async () => {
    const wrapper = await show(CourseDesk, { props: { start: START } });
    const volts = (): string => rowsOf(wrapper, desk.whatIsRead)[2][1];
    const before = volts();
    slide(wrapper, desk.reference).vm.$emit('update:modelValue', 2.5);
    await flushPromises();
    expect(parseFloat(volts())).toBeCloseTo(parseFloat(before) / 2, 1);
    slide(wrapper, desk.inTheWire).vm.$emit('update:modelValue', 0.5);
    await flushPromises();
    expect(slide(wrapper, desk.inTheWire).props('text')).toBe(formatOhm(1000));
    await wrapper.setProps({ start: { ...START, temperatureC: 21 } });
    expect([
      slide(wrapper, desk.reference).props('modelValue'),
      slide(wrapper, desk.temperature).props('modelValue'),
    ]).toEqual([5, 21]);
    expect(slide(wrapper, desk.inTheWire).props()).toMatchObject({ text: desk.nothing, modelValue: 0 });
    expect(slide(wrapper, desk.leakToGround).props()).toMatchObject({ text: desk.none, modelValue: 0 });
  });
});

describe('an exam', () => {
  const numbers = examNumbers(7, 2, 3);
  const fields = async (w: VueWrapper, learner: string, text: string): Promise<void> => {
    await w
      .findAll('input')
      .find((i) => i.attributes('maxlength') === '400')!
      .setValue(learner);
    await w.get('textarea').setValue(text);
    await flushPromises();
  };
  test('draws the usual number of cases; a word that is no number is named; the others can be played', async () => {
    const wrapper = await part('exam');
    await press(wrapper, exam.draw(EXAM_CASES));
    const drawn = wrapper.get('textarea').element.value;
    expect([new Set(readExam(drawn).numbers).size, readExam(drawn).wrong]).toEqual([EXAM_CASES, []]);
    expect(wrapper.find('[role="alert"]').exists()).toBe(false);
    await fields(wrapper, '', `${numbers[0]}, hello\n${numbers[1]}`);
    expect(wrapper.get('[role="alert"]').text()).toBe(exam.noCaseNumber('hello'));
    await press(wrapper, `2 · ${exam.play}`);
    await until(() => wrapper.vm.$route.path.startsWith('/train/play/'), 'the case');
    expect(useTraining().plays).toMatchObject([{ number: numbers[1], partOf: 'exam', mode: 'hidden' }]);
  });
  test('a case counts as it was first played for the exam; the result says how many are left, and goes to the instructor', async () => {
    await played('a', numbers[0], { right: false, unneeded: ['sensor'], careless: 2, logScore: null }, 'exam');
    await played('b', numbers[0], {}, 'exam');
    await played('c', numbers[1], null, 'exam');
    await played('d', numbers[2], {}, null);
    const wrapper = await part('exam');
    expect(wrapper.find('[data-test="exam-result"]').exists()).toBe(false);
    await fields(wrapper, 'A. Learner', numbers.join('\n'));
    const acts = wrapper.findAll('.acts')[0].findAll('button');
    expect(acts.map((b) => [b.text(), b.attributes('disabled') !== undefined])).toEqual([
      [`1 · ${exam.done}`, true],
      [`2 · ${exam.goOn}`, false],
      [`3 · ${exam.play}`, false],
    ]);
    const result = wrapper.get('[data-test="exam-result"]').text();
    expect(result).toContain(exam.resultOf('A. Learner'));
    expect(result).toContain(exam.standing(0, 1, 2));
    expect(rowsOf(wrapper, exam.result).slice(-1)).toEqual([[numbers[0], 'no', '20', '15', '1', '2', '–']]);
    await press(wrapper, exam.exportCsv);
    const { name, text } = await lastSaved();
    expect([name, readExamCsv(text).rows.map((r) => [r.learner, r.number, r.right])]).toEqual([
      'exam-A-Learner.csv',
      [['A. Learner', numbers[0], 'no']],
    ]);
    // What the learners hand in becomes one table; a foreign file is named, and changes nothing.
    const other = text.replaceAll('A. Learner', 'B. Learner').replace(',no,', ',yes,');
    await bring(wrapper, ['a.csv', text], ['b.csv', other]);
    expect(rowsOf(wrapper, exam.theClass).map((row) => row.slice(0, 3))).toEqual([
      ['B. Learner', exam.of(1, 1), '5'],
      ['A. Learner', exam.of(0, 1), '5'],
    ]);
    expect(rowsOf(wrapper, exam.theClass)[0].slice(3)).toEqual(['1', '1', '2', '–']);
    // The heading of the learners puts them in the order of their names.
    const headings = wrapper.findAll(`[aria-label="${exam.theClass}"] th`);
    await headings.find((h) => h.text() === exam.learner)!.trigger('click');
    await flushPromises();
    expect(rowsOf(wrapper, exam.theClass).map(([learner]) => learner)).toEqual(['A. Learner', 'B. Learner']);
    await bring(wrapper, ['notes.csv', 'name,age\nx,3'], ['c.csv', other.replace(/,20\.4,/, ',soon,')]);
    expect(wrapper.findAll('.wrong li').map((l) => l.text())).toEqual([
      exam.foreignFile('notes.csv'),
      exam.badLine('c.csv', 2),
    ]);
    expect(rowsOf(wrapper, exam.theClass)).toHaveLength(2);
  });
});

describe('progress', () => {
  test('nothing played: where to begin', async () => {
    const wrapper = await part('progress');
    expect(wrapper.text()).toContain(progress.nothingPlayedYet);
    expect(wrapper.findAll('button').some((b) => b.text() === progress.exportAllCases)).toBe(false);
  });
  test('what was right, at the ideal’s cost, what goes wrong most, and each case, the latest first', async () => {
    const numbers = examNumbers(3, 1, 3);
    await played('a', numbers[0], { total: 51 });
    const slips = ['set-up', 'too-sure'] as const;
    await played('b', numbers[1], { right: false, total: 51.1, could: [...slips], did: [...slips.slice(0, 1)] });
    await played('c', numbers[2], { right: null, total: 200, said: [{ probability: 0.9, right: true }] });
    const wrapper = await part('progress');
    const rows = rowsOf(wrapper, progress.casesPlayed);
    expect(rows.map((r) => [r[0], r[2], r[3], r[4]])).toEqual([
      [numbers[2], '–', '20', '150'],
      [numbers[1], progress.no, '20', '1'],
      [numbers[0], progress.yes, '20', '1'],
    ]);
    expect(rows.every((r) => r[1] !== '')).toBe(true);
    expect(wrapper.findAll('[data-test="weak"] li').map((l) => l.text())).toEqual([
      progress.of(SLIP_TEXT['set-up'], 1, 1),
    ]);
    expect(wrapper.get('h2').text()).toBe(rightAtOnceText(1, 3));
    expect(wrapper.text()).toContain(beatenText(1, 1));
    expect(wrapper.text()).toContain(progress.estimatesScore('0.25', '1.79'));
    expect(wrapper.find('[role="img"]').exists()).toBe(true);
  });
  test('cases go out as a file and come from one, each once; a foreign file and a full store are reported', async () => {
    const play = await played('a', NUMBER, {});
    const wrapper = await part('progress');
    await press(wrapper, progress.exportAllCases);
    expect((await lastSaved()).text).toBe(savePlays([play]));
    const file = savePlays([play, { ...play, id: 'b' }]);
    const said = (): string => wrapper.get('.out [role="status"]').text();
    await bring(wrapper, ['all.json', file]);
    await until(() => wrapper.find('.out [role="status"]').exists(), 'an answer');
    expect(said()).toBe(progress.casesCameFrom(1, 'all.json'));
    await bring(wrapper, ['x.json', '{}']);
    expect(said()).toMatch(/^x\.json: ./);
    browser.refuse = 'full';
    await bring(wrapper, ['more.json', savePlays([{ ...play, id: 'c' }])]);
    await until(() => said() === progress.notSaved, 'the refusal');
  });
});

describe('a case that is played', () => {
  async function open(mode: PlayRecord['mode'] = 'hidden'): Promise<{ wrapper: VueWrapper; practice: Practice }> {
    const id = await useTraining().begin(NUMBER, mode);
    const wrapper = await show(PlayScreen, { path: `/train/play/${id}` });
    await until(() => wrapper.findComponent({ name: 'PlayGate' }).exists(), 'the case');
    const practice = wrapper.getComponent({ name: 'PlayGate' }).props('practice') as Practice;
    return { wrapper, practice };
  }
  const moved = (practice: Practice, count: number): Promise<void> =>
    until(async () => {
      await flushPromises();
      return practice.standing.value.state.events.length === count;
    }, `${count} moves`);

  test('a case that is not here is reported', async () => {
    const wrapper = await show(PlayScreen, { path: '/train/play/nowhere' });
    await until(() => wrapper.find('.said p:not(.soft)').exists(), 'an answer');
    expect(wrapper.get('.said').text()).toContain(playing.missing);
  });
  test('hidden the tool says nothing; in a bet it answers an estimate, until the next move; shown it suggests', async () => {
    const tool = (w: VueWrapper): string | null =>
      w.find('[data-test="tool"]').exists() ? w.get('[data-test="tool"]').text() : null;
    for (const mode of ['hidden', 'bet', 'shown'] as const) {
      const { wrapper, practice } = await open(mode);
      await press(wrapper, panel.inspect(2));
      await moved(practice, 1);
      if (mode === 'shown') {
        await untilShown(() => tool(wrapper)?.includes(panel.theToolSays) === true, 'what the tool says');
        const suggested = (): string =>
          panel.itWouldMeasure(measurementById(practice.session.work.proposed!.measurement).name);
        await untilShown(
          () => practice.session.work.proposed !== null && tool(wrapper)!.includes(suggested()),
          'its test',
        );
        expect(wrapper.findAllComponents({ name: 'ProbabilityBar' })).toHaveLength(4);
        continue;
      }
      expect(tool(wrapper), mode).toBeNull();
      await pickFrom(wrapper, belief.label, 'wiring');
      await press(wrapper, belief.saySo);
      await moved(practice, 2);
      if (mode === 'bet') {
        await untilShown(() => tool(wrapper) !== null, 'the answer');
        expect(tool(wrapper)).toContain(panel.theToolHeld);
        expect(tool(wrapper)).not.toContain(panel.itWouldMeasure('').split(':')[0]);
        await press(wrapper, panel.diagramMin(1));
        await moved(practice, 3);
      }
      expect(tool(wrapper), mode).toBeNull();
    }
  });
  test('j and k go through the order of work, u changes the unit', async () => {
    const { practice } = await open();
    const { work } = practice.session;
    const key = async (name: string): Promise<void> => {
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }));
      await flushPromises();
    };
    const before = work.current!.id;
    await key('j');
    const after = work.current!.id;
    expect(after).not.toBe(before);
    await key('k');
    expect(work.current!.id).toBe(before);
    await key('j');
    expect(work.current!.id).toBe(after);
    const unit = usePreferences().temperatureUnit;
    await key('u');
    expect(usePreferences().temperatureUnit).not.toBe(unit);
  });
  test('inspecting and the diagram cost their minutes, once; what happened is listed, the latest first', async () => {
    const { wrapper, practice } = await open();
    expectSound(wrapper);
    expect(wrapper.get('[data-test="minutes"]').text()).toMatch(/^0 /);
    await press(wrapper, panel.inspect(2));
    await moved(practice, 1);
    await press(wrapper, panel.diagramMin(1));
    await moved(practice, 2);
    expect(wrapper.get('[data-test="minutes"]').text()).toMatch(/^3 /);
    expect(isOff(wrapper, panel.inspect(2))).toBe(true);
    expect(isOff(wrapper, panel.diagramMin(1))).toBe(true);
    expect(wrapper.findAll('.events li .mono.soft').map((m) => m.text())).toEqual(['1′', '2′']);
    expect(wrapper.get('[data-test="cavities"]').text()).not.toBe('');
    expect(wrapper.find('.caution').exists()).toBe(false);
    await press(wrapper, panel.warmItMin(15));
    await moved(practice, 3);
    expect(wrapper.get('.practice .caution').text()).toContain(panel.hotCaution);
    const over = practice.handed.allowed.minutes < 18;
    expect(wrapper.get('[data-test="minutes"]').classes('over')).toBe(over);
    while (practice.standing.value.state.minutes <= practice.handed.allowed.minutes) {
      const count = practice.standing.value.state.events.length;
      await practice.make({ kind: 'act', group: 'reference', reason: '' });
      await moved(practice, count + 1);
    }
    expect(wrapper.get('[data-test="minutes"]').classes('over')).toBe(true);
  });
  test('an estimate of one group shares the rest among the others; each by itself is in proportion', async () => {
    const { wrapper, practice } = await open();
    expect(isOff(wrapper, belief.saySo)).toBe(true);
    await pickFrom(wrapper, belief.label, 'wiring');
    await press(wrapper, belief.saySo);
    await moved(practice, 1);
    const [said] = practice.record.value.moves;
    const rest = 0.3 / (FAULT_GROUPS.length - 1);
    expect(said).toMatchObject({ kind: 'believe' });
    const shares = (said as { shares: Record<string, number> }).shares;
    expect(shares.wiring).toBeCloseTo(0.7, 9);
    expect(shares.sensor).toBeCloseTo(rest, 9);
  });
  test('ended with a reason: the truth, the cost against the ideal and each step with what it won', async () => {
    const { wrapper, practice } = await open();
    await press(wrapper, panel.inspect(2));
    await moved(practice, 1);
    expect(isOff(wrapper, panel.doIt)).toBe(true);
    await pickFrom(wrapper, panel.act, 'wiring');
    await wrapper
      .findAll('.practice input')
      .find((i) => i.attributes('maxlength') === '400')!
      .setValue('green pin');
    await press(wrapper, panel.doIt);
    await until(() => wrapper.find('[data-test="truth"]').exists(), 'the debrief');
    const told = practice.told.value!;
    const { score } = told;
    expect(wrapper.get('[data-test="truth"] h2').text()).toBe(truthText(told.truth));
    expect(wrapper.get('[data-test="truth"]').text()).toContain(debrief.rightAtOnce);
    const signed = (v: number): string => `${v >= 0 ? '+' : '−'}${Math.abs(Math.round(v))}`;
    const row = (name: string, you: number, best: number, above: number): string[] => [
      name,
      String(Math.round(you)),
      String(Math.round(best)),
      signed(above),
    ];
    expect(rowsOf(wrapper, debrief.againstTheIdeal)).toEqual([
      row(debrief.minutes, score.minutes, score.ideal.minutes, score.minutes - score.ideal.minutes),
      row(debrief.partsAndVisits, score.money, score.ideal.money, score.money - score.ideal.money),
      row(debrief.inAll, score.total, score.ideal.total, score.total - score.ideal.total),
      row(debrief.tests, 0, score.ideal.tests, -score.ideal.tests),
    ]);
    const shown = wrapper.findAll('[data-test="step"]').map((s) => s.text());
    expect(shown).toHaveLength(2);
    expect(shown[1]).toContain('“green pin”');
    expect(shown[0]).not.toContain(steps.takenBefore);
    const remarks = wrapper.get('[data-test="remarks"]').text();
    for (const slip of told.result.did) expect(remarks).toContain(SLIP_TEXT[slip]);
    expect(wrapper.findAll('.ideal li')).toHaveLength(told.ideal.length);
    await press(wrapper, debrief.theSameAgain);
    await until(
      () => wrapper.vm.$route.path.startsWith('/train/play/') && !wrapper.find('[data-test="truth"]').exists(),
      'the same case',
    );
    expect(useTraining().plays.filter((p) => p.number === NUMBER)).toHaveLength(2);
  });
  test('measured first, each step says what was expected and what it was worth; a part replaced without success is counted', async () => {
    const { wrapper, practice } = await open();
    const measure = (measurement: string, plug: 'in' | 'out') =>
      practice.make({
        ...{ kind: 'measure', id: measurement, measurement, conditions: {}, expects: 'sound' },
        setUp: { ...practice.setUp, key: true, plug },
      });
    await measure('open-voltage', 'out');
    await moved(practice, 1);
    await practice.make({ kind: 'act', group: 'sensor', reason: '' });
    await moved(practice, 2);
    await practice.make({ kind: 'give-up' });
    await until(() => wrapper.find('[data-test="truth"]').exists(), 'the debrief');
    expect(wrapper.get('[data-test="truth"]').text()).toContain(debrief.givenUp);
    const [first] = wrapper.findAll('[data-test="step"]');
    expect(first.text()).toContain(measurementById('open-voltage')!.name);
    expect(first.text()).toMatch(/You expected/);
    expect(first.findAll('.odds > *').length).toBeGreaterThan(0);
    const { score } = practice.told.value!;
    expect(wrapper.get('[data-test="remarks"]').text()).toContain(debrief.replacedInVain('sensor'));
    expect(score.unneeded).toEqual(['sensor']);
    expect(rowsOf(wrapper, debrief.againstTheIdeal)[3][1]).toBe('1');

    // The remarks to other scores of the same play.
    const told = practice.told as Ref<Told>;
    const whole = told.value;
    const PLAIN = {
      careless: 0,
      mistakes: 0,
      logScore: null,
      over: { minutes: false, money: false },
      knownAt: null,
      tests: 0,
      unneeded: [],
    };
    const remarks = async (change: Partial<Told['score']>): Promise<string[]> => {
      told.value = {
        ...whole,
        result: { ...whole.result, did: [] },
        score: { ...whole.score, ...PLAIN, ...change } as Told['score'],
      };
      await flushPromises();
      return wrapper.findAll('[data-test="remarks"] li').map((l) => l.text());
    };
    expect(await remarks({})).toEqual([]);
    for (const [change, words] of [
      [{ careless: 1 }, debrief.cautionsPassedOver(1)],
      [{ mistakes: 2 }, debrief.wrongSetUps(2)],
      [{ logScore: 0 }, debrief.estimatesScore('0.00', '1.79')],
      [{ over: { minutes: true, money: false } }, debrief.overBudget],
      [{ over: { minutes: false, money: true } }, debrief.overBudget],
      [{ knownAt: 0 }, debrief.knownAfterStep(1)],
      [{ tests: 1, wonPerMinute: 0.125 }, debrief.bitsPerMinute('0.13')],
    ] as const)
      expect(await remarks(change as Partial<Told['score']>), words).toEqual([words]);
    const end = async (ended: string, change: Partial<Told['score']>): Promise<string> => {
      (practice.standing as Ref<typeof practice.standing.value>).value = {
        ...practice.standing.value,
        state: { ...practice.standing.value.state, ended: ended as never },
      };
      await remarks(change);
      return wrapper.get('[data-test="truth"]').text();
    };
    expect(await end('cannot-tell', { right: true })).toContain(debrief.rightUndecidable);
    expect(await end('cannot-tell', { right: false })).toContain(debrief.wasDecidable);
    expect(await end('repaired', { unneeded: [] })).toContain(debrief.rightAtOnce);
    expect(await end('repaired', { unneeded: ['sensor', 'wiring'] })).toContain(debrief.rightInTheEnd(2));
  });
});
