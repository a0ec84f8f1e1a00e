// @vitest-environment happy-dom
import { MEASUREMENTS, measurementById } from '@mellow-probe/core/circuit/measurements/list';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { openJob } from '@mellow-probe/core/check/job/openJob';
import { SCHOOLS } from '@mellow-probe/core/advice/nextTest/schools';
import { PARTS_OF_WORK } from '@mellow-probe/core/advice/workOrder/stations';
import { formatMinutes } from '@mellow-probe/core/base/units/format';
import { HIGH_VOLTAGE } from '@mellow-probe/core/wording/codeText';
import {
  benchTableWords as bench,
  cardOutcomeWords as outcome,
  repeatTapWords as repeat,
  schoolChoiceWords as school,
  undoButtonsWords as undo,
  workOrderWords as order,
} from '@mellow-probe/core/wording/screens/bench';
import { nextTestWords as next, verdictPanelWords as panel } from '@mellow-probe/core/wording/screens/benchVerdict';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { describe, expect, test, vi } from 'vitest';
import {
  advised,
  broken,
  isOff,
  jobDoor,
  judged,
  NOW,
  ownCheck,
  pickFrom,
  plain,
  press,
  reading,
  session,
  show,
  thePage,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { lastSaved, saved } from '../../../test/savedFiles.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import type { Advice } from '../../workers/engineAnswer.ts';
import BenchTable from './BenchTable.vue';
import CardOutcome from './CardOutcome.vue';
import NextTest from './NextTest.vue';
import SchoolChoice from './SchoolChoice.vue';
import UndoButtons from './UndoButtons.vue';
import VerdictPanel from './VerdictPanel.vue';
import WorkList from './WorkList.vue';

const check = (change?: (job: Job) => void, judging = false): Promise<Job> => ownCheck(change, { judging });
const key = async (name: string, more: KeyboardEventInit = {}, on: EventTarget = document.body): Promise<boolean> => {
  const went = on.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true, ...more }));
  await flushPromises();
  return went;
};

describe('undo and redo', () => {
  const state = (w: VueWrapper): boolean[] => [isOff(w, undo.undo), isOff(w, undo.redo)];
  test('by buttons and by keys; what was undone is said; text that is not saved yet keeps the browser’s own undo', async () => {
    const job = await check();
    const sheet = await show(UndoButtons);
    expect(state(sheet)).toEqual([true, true]);
    expect(sheet.findAll('button').map((b) => b.attributes('title'))).toEqual([undo.nothingToUndo, undo.nothingToRedo]);
    job.machine = 'Pump';
    await untilShown(() => sheet.get('button').attributes('title') !== undo.nothingToUndo, 'what can be undone');
    expect(state(sheet)).toEqual([false, true]);
    await press(sheet, undo.undo);
    expect(job.machine).toBe('');
    expect(sheet.get('[data-test="undo-told"]').text()).toMatch(/^Undone: ./);
    for (const [name, more, machine] of [
      ['Z', { ctrlKey: true, shiftKey: true }, 'Pump'],
      ['z', { metaKey: true }, ''],
      ['y', { ctrlKey: true }, 'Pump'],
      ['z', {}, 'Pump'],
      ['z', { ctrlKey: true, altKey: true }, 'Pump'],
      ['x', { ctrlKey: true }, 'Pump'],
      ['z', { ctrlKey: true }, ''],
    ] as const) {
      await key(name, more);
      expect(job.machine, `${name} ${JSON.stringify(more)}`).toBe(machine);
    }
    const unsent = document.createElement('span');
    unsent.innerHTML = '<i data-unsent><textarea></textarea></i>';
    document.body.append(unsent);
    expect([await key('y', { ctrlKey: true }, unsent.querySelector('textarea')!), job.machine]).toEqual([true, '']);
    expect([await key('y', { ctrlKey: true }, document.body), job.machine]).toEqual([false, 'Pump']);
    unsent.remove();
    sheet.unmount();
    await key('z', { ctrlKey: true });
    expect(job.machine).toBe('Pump');
  });
  test('a hand that goes to another field begins another step', async () => {
    const job = await check();
    const sheet = await show(UndoButtons);
    job.machine = 'Pump';
    await flushPromises();
    document.body.dispatchEvent(new FocusEvent('focusin', { bubbles: true }));
    job.machine = 'Pump 3';
    await flushPromises();
    await press(sheet, undo.undo);
    expect(job.machine).toBe('Pump');
  });
  test('what was said is gone after six seconds', async () => {
    const job = await check();
    const sheet = await show(UndoButtons);
    job.machine = 'Pump';
    await flushPromises();
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    try {
      await press(sheet, undo.undo);
      vi.advanceTimersByTime(5900);
      await flushPromises();
      expect(sheet.get('[data-test="undo-told"]').text()).not.toBe('');
      vi.advanceTimersByTime(200);
      await flushPromises();
      expect(sheet.get('[data-test="undo-told"]').text()).toBe('');
    } finally {
      vi.useRealTimers();
    }
  });
});

describe('the order of work', () => {
  const rows = (w: VueWrapper, id: string): string[] => w.findAll(`[data-test-id="${id}"]`).map((t) => plain(t.text()));
  test('stations under four headings; of one that is not open only the tests that were done, with the last reading that counts', async () => {
    const job = await check((j) => {
      j.readings = [
        reading('open-voltage', '4.9', 4.9, 'a'),
        reading('open-voltage', '4.8', 4.8, 'b'),
        { ...reading('open-voltage', '3', 3, 'c'), voided: { reason: 'x', at: NOW } },
        { ...reading('sensor-ohms', '2k', 2000, 'd'), voided: { reason: 'x', at: NOW } },
      ];
    });
    const list = await show(WorkList);
    const headings = list.findAll('h2').map((h) => h.text());
    expect(headings.length).toBe(PARTS_OF_WORK.length);
    for (const h of headings) expect(h).toMatch(/\d+\/\d+$/);
    const supply = session().work.stations.find((s) => s.tests.includes('open-voltage'))!;
    expect(supply.tests.length).toBeGreaterThan(1);
    expect([rows(list, 'open-voltage'), rows(list, 'sensor-ohms')]).toEqual([[expect.stringContaining('4.8')], []]);
    expect(list.find(`[data-test-id="${supply.tests.find((t) => t !== 'open-voltage')}"]`).exists()).toBe(false);
    await list.get(`[data-station="${supply.id}"]`).trigger('click');
    expect(supply.tests.every((id) => rows(list, id).length === 1)).toBe(true);
    expect([session().work.station, list.emitted('gone')!.length]).toEqual([supply.id, 1]);
    expect(list.get(`[data-station="${supply.id}"]`).attributes('aria-current')).toBe('step');
    const other = supply.tests.at(-1)!;
    await list.get(`[data-test-id="${other}"]`).trigger('click');
    expect([session().work.test, list.get(`[data-test-id="${other}"]`).attributes('aria-current')]).toEqual([
      other,
      'true',
    ]);
    expect(list.findAll('[aria-current="true"]')).toHaveLength(1);
    expect(job.readings).toHaveLength(4);
  });
  test('another order of tests puts other stations first, and leaves none out', async () => {
    await check();
    const list = await show(WorkList);
    const shown = (): string[] => list.findAll('[data-station]').map((s) => s.attributes('data-station')!);
    const before = shown();
    const choice = await show(SchoolChoice);
    await pickFrom(choice, school.wayOfWorking, 'sensor-first');
    const after = shown();
    expect([...after].sort()).toEqual([...before].sort());
    expect([
      before.indexOf('sensor') < before.indexOf('live'),
      after.indexOf('sensor') < after.indexOf('live'),
    ]).toEqual([false, true]);
  });
  test('a reading within its range is done, one outside is marked; the suggested test is named', async () => {
    await check(
      (j) => (j.readings = [reading('open-voltage', '5', 5, 'a'), reading('supply-to-return', '0.2', 0.2, 'b')]),
      true,
    );
    const list = await show(WorkList);
    const sign = (id: string): string => list.get(`[data-test-id="${id}"] .sign`).text();
    expect([sign('open-voltage'), sign('supply-to-return')]).toEqual(['●', '◆']);
    const { proposed, stations } = session().work;
    const own = stations.find((s) => s.tests.includes(proposed!.measurement) && s.tests.length > 1);
    if (own) await list.get(`[data-station="${own.id}"]`).trigger('click');
    expect(list.text().includes(order.next)).toBe(own !== undefined);
  });
});

describe('what the reading on the card says', () => {
  test('a second reading is taken in the same conditions, hot, or while the harness is moved', async () => {
    await check((j) => (j.readings = [reading('open-voltage', '5', 5, 'a')]));
    const { work } = session();
    for (const [words, state] of [
      [repeat.sameConditions, 'steady'],
      [repeat.hot, 'hot'],
      [repeat.wiggling, 'wiggling'],
    ] as const) {
      work.goReading('a');
      const card = await show(CardOutcome);
      await press(card, outcome.repeat);
      await untilShown(
        () =>
          thePage()
            .findAll('button')
            .some((b) => b.text() === words),
        'the question',
      );
      await press(thePage(), words);
      expect([work.readingId, work.state], words).toEqual([null, state]);
      card.unmount();
    }
  });
  test('before the figure: each outcome of the suggested test with what it would leave', async () => {
    await check(undefined, true);
    const [first] = (await advised()).proposals;
    session().work.goTest(first.measurement);
    const card = await show(CardOutcome);
    expect(card.findAll('.ahead .line').length).toBeGreaterThan(1);
    expect([card.find('[data-test="outcome"]').exists(), card.find('.acts').exists()]).toEqual([false, false]);
  });
});

test.each([
  ['silent', panel.computationStopped],
  ['stopped', panel.computationFailed],
  ['threw', panel.theComputationFailed],
] as const)('a computation that fails is reported with its reason: %s', async (why, words) => {
  await check();
  broken.why = why;
  session().judging.again();
  const verdict = await show(VerdictPanel);
  const said = (): string => (verdict.find('[role="alert"]').exists() ? verdict.get('[role="alert"]').text() : '');
  await untilShown(() => said().includes(words(broken.message)), 'the reason');
  Object.assign(broken, { message: '' });
  await press(verdict, panel.computeAgain);
  await judged();
  await untilShown(() => said() === '', 'a verdict');
});

describe('the suggested next test', () => {
  const adviceOn = async (change?: (job: Job) => void): Promise<Advice> => {
    await check(change, true);
    return advised();
  };
  const open = (advice: Advice) => show(NextTest, { props: { advice } });
  test('the best with its minutes and outcomes, and the others to choose from', async () => {
    const advice = await adviceOn();
    const sheet = await open(advice);
    const [first, ...others] = advice.proposals;
    const about = measurementById(first.measurement);
    expect(plain(sheet.get('h3').text())).toContain(next.next(about.name));
    expect(sheet.get('.minutes').text()).toBe(formatMinutes(first.minutes));
    expect(sheet.findAll('dt').length).toBeGreaterThan(1);
    expect(sheet.findAll('.link')).toHaveLength(others.length);
    await sheet.get('h3 button').trigger('click');
    expect(sheet.emitted('go')).toHaveLength(1);
    await sheet.findAll('.link')[0].trigger('click');
    expect(session().work.test).toBe(others[0].measurement);
  });
  test('in a fixed order: its next test, beside the most informative one', async () => {
    const compare = SCHOOLS.find((s) => s.id === 'compare')!;
    const advice = await adviceOn((j) => (j.school = compare.id));
    const sheet = await open(advice);
    expect(session().work.proposed!.measurement).toBe('sensor-ohms');
    expect(sheet.get('h3').text()).toContain(measurementById('sensor-ohms').name);
    expect(sheet.find('.minutes').exists()).toBe(false);
    expect(sheet.text()).toContain(`“${compare.name}”`);
  });
  test('nothing left that tells more: what to do now, and never before a high-voltage circuit is safe', async () => {
    const advice = await adviceOn();
    const bare = {
      ...advice,
      proposals: [],
      where: { ...advice.where, next: null, first: null },
      undecided: [],
      remaining: [],
    } as unknown as Advice;
    const sheet = await open(bare);
    expect(sheet.get('h3').text()).toBe(next.enoughMeasured);
    expect(sheet.text()).toContain(next.nothingLeft);
    session().job.complaint.codes.push({ id: 'c', code: 'P0AA6', state: 'present' });
    await flushPromises();
    expect(sheet.get('[data-test="high-voltage"]').text()).toContain(HIGH_VOLTAGE);
    expect(sheet.text()).not.toContain(next.nothingLeft);
    expect((await open(advice)).get('[data-test="high-voltage"]').text()).toContain(HIGH_VOLTAGE);
  });
  test('two faults that no test separates are named', async () => {
    const advice = await adviceOn();
    const pair = { names: ['one', 'other'], test: null };
    const sheet = await open({ ...advice, undecided: [pair] } as unknown as Advice);
    expect(sheet.text()).toContain(next.notSeparated('one and other', next.noneSeparates));
    const test_ = { measurement: 'open-voltage', conditions: {} };
    const other = await open({ ...advice, undecided: [{ ...pair, test: test_ }] } as unknown as Advice);
    expect(other.text()).toContain(next.wouldTell(measurementById('open-voltage').name));
  });
});

describe('the bench by keys', () => {
  test('each key goes where it says; the check goes out as a file and as a table', async () => {
    const job = await check((j) => {
      j.title = 'Pump';
      j.readings = [reading('open-voltage', '5', 5, 'a')];
    });
    const sheet = await show(BenchTable, { path: `/check/${job.id}` });
    const { work } = session();
    expect([
      sheet.find('[data-test="far-figure"]').exists(),
      sheet.findComponent({ name: 'ShareSheet' }).exists(),
    ]).toEqual([false, false]);
    expect(sheet.findComponent({ name: 'BenchTour' }).exists()).toBe(false);
    await key('d');
    expect(work.station).toBe('decision');
    await key('k');
    const before = work.station;
    await key('j');
    expect([before === 'decision', work.station]).toEqual([false, 'decision']);
    await key('q');
    expect(work.station).toBe('quick');
    const unit = usePreferences().temperatureUnit;
    await key('u');
    expect(usePreferences().temperatureUnit).not.toBe(unit);
    await key('u');
    work.goTest('sensor-ohms');
    await key('r');
    await untilShown(() => thePage().find('[data-test="far-figure"]').exists(), 'the large view');
    expect(work.test).toBe('sensor-ohms');
    await key('Escape');
    const actions = sheet.findComponent({ name: 'TopBar' }).vm.$props.actions as { name: string; run?: () => void }[];
    const act = async (name: string): Promise<void> => {
      actions.find((a) => a.name === name)!.run!();
      await flushPromises();
    };
    await act(bench.csv);
    await untilShown(() => saved.length === 1, 'the table');
    const table = await lastSaved();
    expect([table.name, table.text.includes('open-voltage')]).toEqual(['Pump.csv', true]);
    await act(bench.export);
    await untilShown(() => saved.length === 1, 'the file');
    const opened = openJob((await lastSaved()).text);
    expect(opened.ok && [opened.job.title, opened.job.readings.length]).toEqual(['Pump', 1]);
    await act(bench.share);
    await untilShown(() => sheet.findComponent({ name: 'ShareSheet' }).exists(), 'the sheet');
    await key('p');
    expect(sheet.vm.$route.path).toBe(`/check/${job.id}/report`);
  });
  test('the suggested test is one key away', async () => {
    const job = await check(undefined, true);
    const sheet = await show(BenchTable, { path: `/check/${job.id}` });
    await advised();
    await key('n');
    expect(session().work.test).toBe(session().work.proposed!.measurement);
    // Its field waits for the figure.
    await untilShown(() => document.activeElement?.closest('.large') !== null, 'the field');
    expect(MEASUREMENTS.some((m) => m.id === session().work.test)).toBe(true);
    await untilShown(() => sheet.findComponent({ name: 'VerdictPanel' }).exists(), 'the verdict');
    await judged();
    expect(await jobDoor(job.id).read()).not.toBeNull();
  });
});
