// @vitest-environment happy-dom
import {
  findingListWords as found,
  logAskedWords as asked,
  logColumnsWords as columns,
  logListWords as list,
  logMoreWords as more,
  logsScreenWords as say,
  logViewWords as view,
  useLogRoomWords as room,
} from '@mellow-probe/core/wording/screens/logs';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { clockText, TIME_NAMES } from '@mellow-probe/core/wording/logText';
import { NOT_TAKEN } from '@mellow-probe/core/wording/storageText';
import { type VueWrapper } from '@vue/test-utils';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { browser, until } from '../../../test/browserWindow.ts';
import { SINE, worker } from '../../../test/logWorker.ts';
import {
  bring,
  expectSound,
  isOff,
  jobDoor,
  listOf,
  notices,
  NOW,
  pickFrom,
  press,
  pressNamed,
  show,
  unmountAll,
  untilShown,
} from '../../../test/mountedScreens.ts';
import { lastSaved } from '../../../test/savedFiles.ts';

/** A chart library that draws nothing; `change` is what it says when a range is dragged. */
const plot = vi.hoisted(() => ({
  drawn: 0,
  purged: 0,
  change: null as null | ((to: Record<string, unknown>) => void),
}));
vi.mock('plotly.js-basic-dist-min', () => ({
  default: {
    react: () => {
      plot.drawn++;
      return Promise.resolve({ on: (_: string, on: typeof plot.change) => (plot.change = on) });
    },
    purge: () => void plot.purged++,
  },
}));
const { default: LogChart } = await import('./LogChart.vue');
const { default: LogsScreen } = await import('./LogsScreen.vue');

const EXAMPLE = readFileSync('examples/logs/loose-plug.csv', 'utf8');
beforeEach(() => {
  Object.assign(worker, { rooms: 0, left: 0, held: null, fails: '' });
  Object.assign(plot, { drawn: 0, purged: 0, change: null });
});
async function opened(text: string, path = '/logs', name = 'run.csv'): Promise<VueWrapper> {
  const screen = await show(LogsScreen, { path });
  await bring(screen, [name, text]);
  return screen;
}
/** Waits for all that a log brings: the chart, and what was found. */
async function analysed(screen: VueWrapper): Promise<void> {
  await untilShown(
    () => screen.find('[data-test="range"]').exists() && screen.find('[data-test="findings"]').exists(),
    'chart and findings',
  );
}
const rangeOf = (screen: VueWrapper): string => screen.get('[data-test="range"]').text();
const lines = (screen: VueWrapper): { name: string; visible?: unknown }[] =>
  (screen.getComponent(LogChart).props('figure') as { data: { name: string; visible?: unknown }[] }).data;

describe('a log', () => {
  test('is read and saved under its own address; it is still there after a look at something else', async () => {
    const screen = await show(LogsScreen, { path: '/logs' });
    expect(screen.text()).toContain(list.noRecordingsYet);
    expect(screen.text()).toContain(say.emptyTitle);
    await bring(screen, ['run.csv', SINE(200)]);
    await analysed(screen);
    expectSound(screen);
    expect(screen.text()).not.toContain(say.emptyTitle);
    expect(screen.get('h2.log').text()).toBe('run.csv');
    expect(screen.get('.what').text()).toContain('200 rows');
    expect(screen.get('[data-test="read-as"]').text()).toBe(
      asked.readAs(`time s (${TIME_NAMES.seconds}) · coolant °C (°C)`),
    );
    const { path } = screen.vm.$route;
    expect(path).toMatch(/^\/logs\/\w/);
    expect(screen.findAll('nav li.on a').map((a) => a.get('b').text())).toEqual(['run.csv']);
    unmountAll();
    const again = await show(LogsScreen, { path });
    await untilShown(() => again.find('h2.log').exists(), 'the recording');
    expect([again.get('h2.log').text(), again.find('[data-test="read-as"]').exists()]).toEqual(['run.csv', false]);
  });
  test('is deleted after a second question; the page begins anew', async () => {
    const screen = await opened(SINE(100));
    await untilShown(() => screen.find('nav li.on').exists() && screen.find('h2.log').exists(), 'the log');
    await pressNamed(screen, list.deleteRecording('run.csv'));
    await press(screen, list.keepIt);
    expect(screen.findAll('nav li')).toHaveLength(1);
    await pressNamed(screen, list.deleteRecording('run.csv'));
    await press(screen, list.deleteForGood);
    await untilShown(() => screen.findAll('nav li').length === 0, 'the empty list');
    await untilShown(() => screen.vm.$route.path === '/logs', 'the address');
    expect([screen.find('h2.log').exists(), screen.text().includes(say.emptyTitle)]).toEqual([false, true]);
  });
  test('whose units are missing asks, and is read with what is chosen', async () => {
    const screen = await opened('time;value\n0;180\n1;181\n2;182\n3;183');
    await untilShown(() => screen.find('[data-test="log-columns"]').exists(), 'the question');
    expect(notices(screen)[0]).toMatch(/^run\.csv: /);
    await pickFrom(screen, columns.columnHolds(1), 'time');
    await pickFrom(screen, columns.timeUnitOf(1), 'seconds');
    await pickFrom(screen, columns.columnHolds(2), 'values');
    await pickFrom(screen, columns.unitOfColumn(2), '°F');
    await press(screen, columns.readItSo);
    await untilShown(() => screen.find('[data-test="read-as"]').exists(), 'the log');
    expect(screen.get('[data-test="read-as"]').text()).toBe(asked.readAs(`time (${TIME_NAMES.seconds}) · value (°F)`));
  });
  test('a column that is to be read without its unit is named until it has one', async () => {
    const screen = await opened('time s;coolant °C;other\n0;80;2\n1;81;3\n2;82;4\n3;82;5');
    await untilShown(() => screen.find('[data-test="read-as"]').exists(), 'the log');
    expect(screen.findAll('.channels li')).toHaveLength(1);
    // Few values say nothing unusual.
    await untilShown(() => screen.text().includes(say.nothingStandsOut), 'what was found');
    await pickFrom(screen, columns.columnHolds(3), 'values');
    await press(screen, columns.readItSo);
    await untilShown(() => notices(screen).includes(asked.unitAsked('other')), 'the question');
    expect(screen.find('[data-test="read-as"]').exists()).toBe(false);
    await pickFrom(screen, columns.unitOfColumn(3), 'V');
    await press(screen, columns.readItSo);
    await untilShown(() => screen.findAll('.channels li').length === 2, 'all of it');
    expect(screen.get('[data-test="read-as"]').text()).toContain('other (V)');
  });
  test('that does not fit the store, cannot be read or is not here is reported', async () => {
    browser.refuse = 'full';
    const full = await opened(SINE(50));
    await untilShown(() => notices(full).some((n) => n.startsWith(say.notKept('').trim())), 'what the store said');
    unmountAll();
    browser.refuse = null;
    worker.fails = 'out of memory';
    const broken = await opened(SINE(50));
    await untilShown(() => notices(broken).includes('out of memory'), 'the failure');
    worker.fails = '';
    unmountAll();
    const missing = await show(LogsScreen, { path: '/logs/nowhere' });
    await untilShown(() => notices(missing).includes(room.recordingMissing), 'that it is missing');
  });
  test('can be seen while it is still analysed', async () => {
    let go!: () => void;
    worker.held = new Promise((done) => (go = done));
    const screen = await opened(SINE(200));
    await untilShown(() => screen.text().includes(say.analysing), 'the work');
    expect(screen.find('[role="status"] [role="progressbar"]').exists()).toBe(true);
    expect(screen.get('h2.log').text()).toBe('run.csv');
    go();
    await analysed(screen);
    expect(screen.text()).not.toContain(say.analysing);
  });
});

describe('its chart', () => {
  test('is zoomed about its middle and moved by halves, within the log', async () => {
    const screen = await opened(SINE(201));
    await untilShown(() => screen.find('[data-test="range"]').exists(), 'the chart');
    const steps: [string, number, number][] = [
      [view.closer, 30, 70],
      [view.later, 50, 90],
      [view.earlier, 30, 70],
      [view.wider, 0, 100],
      [view.later, 0, 100],
    ];
    const shownAs = (from: number, to: number): string => `${clockText(from)} … ${clockText(to)}`;
    expect(rangeOf(screen)).toBe(`${shownAs(0, 100)}: ${view.everySample}`);
    expect(isOff(screen, view.wholeLog)).toBe(true);
    for (const [name, from, to] of steps) {
      if (name === view.later || name === view.earlier) await pressNamed(screen, name);
      else await press(screen, name);
      expect(rangeOf(screen), name).toContain(shownAs(from, to));
    }
    await press(screen, view.closer);
    expect(isOff(screen, view.wholeLog)).toBe(false);
    await press(screen, view.wholeLog);
    expect(rangeOf(screen)).toContain(shownAs(0, 100));
  });
  test('a finding of a long log leads to the samples it was found in', async () => {
    const rows = Array.from({ length: 30_000 }, (_, i) => {
      const value = 70 + Math.sin(i / 900) + (i === 17_000 ? -110 : 0);
      return `${(i / 10).toFixed(1)};${value.toFixed(1)}`;
    });
    const screen = await opened(`time s;temp °C\n${rows.join('\n')}`);
    await analysed(screen);
    const drop = screen
      .findAll('[data-test="findings"] li')
      .find((li) => li.text().includes('1 drop-out to the low end'))!;
    expect(rangeOf(screen)).toContain(view.thinned);
    await drop
      .findAll('button')
      .find((b) => b.text() === found.show)!
      .trigger('click');
    await untilShown(() => rangeOf(screen).includes(view.everySample), 'the samples');
    // Sample 17,000 of ten a second.
    expect(rangeOf(screen)).toContain('28:1');
  });
  test('says when not every sample is drawn; a channel is left out of it; another part analyses anew', async () => {
    const screen = await opened(SINE(4000));
    await untilShown(() => screen.find('[data-test="range"]').exists(), 'the chart');
    await untilShown(() => rangeOf(screen).includes(view.thinned), 'that it is thinned');
    const shown = lines(screen).length;
    await pressNamed(screen, view.show('coolant °C'));
    expect(screen.get('.channels li').classes('off')).toBe(true);
    expect(lines(screen).length).toBeLessThan(shown);
    await pressNamed(screen, view.show('coolant °C'));
    expect([screen.get('.channels li').classes('off'), lines(screen).length]).toEqual([false, shown]);
    expect(listOf(screen, view.is('coolant °C')).modelValue).toBe('displayed');
    await pickFrom(screen, view.is('coolant °C'), 'companion');
    expect(listOf(screen, view.is('coolant °C')).modelValue).toBe('companion');
  });
  test('a range that is dragged over it is shown, a double tap shows all; it ends with the screen', async () => {
    const figure = { data: [], layout: {} };
    const sized: ((entries: { contentRect: { width: number } }[]) => void)[] = [];
    vi.stubGlobal(
      'ResizeObserver',
      class {
        constructor(on: (typeof sized)[number]) {
          sized.push(on);
        }
        observe(): void {}
        disconnect(): void {}
      },
    );
    const chart = await show(LogChart, { props: { figure, label: 'a chart' } });
    sized.at(-1)!([{ contentRect: { width: 640 } }]);
    await untilShown(() => chart.get('[data-test="log-chart"]').attributes('data-drawn') === '1', 'the chart');
    expect(chart.emitted('width')).toEqual([[640]]);
    await chart.setProps({ figure: { data: [], layout: {} } });
    await untilShown(() => chart.get('[data-test="log-chart"]').attributes('data-drawn') === '2', 'the new figure');
    plot.change!({ 'xaxis.range[0]': 10, 'xaxis.range[1]': '25.5' });
    plot.change!({ 'xaxis.range[0]': 10, 'xaxis.range[1]': 10 });
    plot.change!({ 'xaxis.autorange': true });
    plot.change!({ width: 500 });
    expect([chart.emitted('range'), chart.emitted('whole')]).toEqual([[[10, 25.5]], [[]]]);
    expect([plot.drawn, plot.purged]).toEqual([2, 0]);
    unmountAll();
    expect(plot.purged).toBe(1);
    vi.unstubAllGlobals();
  });
});

describe('what a log says to a check', () => {
  test('is put on the one that is chosen, once; a check that has it already, or cannot be saved, is reported', async () => {
    for (const id of ['mine', 'other']) await jobDoor(id).write({ ...newJob(id, NOW), title: `Check ${id}` }, null);
    const screen = await opened(EXAMPLE);
    await analysed(screen);
    expect(screen.text()).toContain(say.needsCheck);
    expect(screen.findAll('button').some((b) => b.text() === found.putOnCheck)).toBe(false);
    await untilShown(() => listOf(screen, say.forTheCheck).options!.length === 3, 'the checks');
    expect(new Set(listOf(screen, say.forTheCheck).options!.map((o) => o.label))).toEqual(
      new Set([say.noCheck, 'Check mine', 'Check other']),
    );
    await pickFrom(screen, say.forTheCheck, 'mine');
    await untilShown(() => screen.findAll('button').some((b) => b.text() === found.putOnCheck), 'what it gives');
    expect(screen.text()).not.toContain(say.needsCheck);
    const before = screen.findAll('button').filter((b) => b.text() === found.putOnCheck).length;
    await press(screen, found.putOnCheck);
    await untilShown(() => screen.find('.put').exists(), 'that it is on the check');
    expect(notices(screen).some((n) => n.endsWith('put on “Check mine”.'))).toBe(true);
    expect(screen.findAll('button').filter((b) => b.text() === found.putOnCheck)).toHaveLength(before - 1);
    const read = async () => (await jobDoor('mine').read())!.value;
    await until(async () => (await read()).updatedAt !== NOW, 'the check in the store');
    const own = await read();
    expect(own.readings.length + own.findings.length + own.loom.stops.length).toBeGreaterThan(0);
    // Chosen anew, the same finding is offered again, and the check has it already.
    await pickFrom(screen, say.forTheCheck, 'other');
    await pickFrom(screen, say.forTheCheck, 'mine');
    await untilShown(() => screen.findAll('.put').length === 0, 'the offers');
    await press(screen, found.putOnCheck);
    await untilShown(() => notices(screen).includes(say.alreadyThere), 'that it is there');
    browser.refuse = 'full';
    await pickFrom(screen, say.forTheCheck, 'other');
    await untilShown(() => screen.findAll('.put').length === 0, 'the offers');
    await press(screen, found.putOnCheck);
    await untilShown(() => notices(screen).includes(NOT_TAKEN), 'that it is not saved');
  });
  test('a second log is matched by clock or by shape; both go out as CSV', async () => {
    const screen = await opened(SINE(200));
    await untilShown(() => screen.find('[data-test="range"]').exists(), 'the chart');
    const picks = (): VueWrapper[] => screen.findAllComponents({ name: 'FilePick' }) as VueWrapper[];
    const beside = async (about: string, name: string, text: string): Promise<void> => {
      picks()
        .find((p) => (p.props() as { about: string }).about === about)!
        .vm.$emit('files', [new File([text], name)]);
      await untilShown(() => notices(screen).some((n) => n.includes(name)), name);
    };
    await beside(more.besideByClock, 'second.csv', SINE(150));
    await untilShown(() => screen.findAll('.channels li').length === 2, 'both channels');
    await beside(more.besideByCourse, 'bad.csv', 'no log');
    expect(notices(screen)).toContain(room.unreadable('bad.csv'));
    await press(screen, more.saveAsCsv);
    const file = await lastSaved();
    expect([file.name, file.text.split('\n')[0]]).toEqual([
      expect.stringMatching(/^run.*\.csv$/),
      expect.stringContaining('coolant'),
    ]);
  });
});
