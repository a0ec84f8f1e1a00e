// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { newHarness, newStop } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { MACHINE_CASES, machineCase } from '@mellow-probe/core/training/simulation/machine/machineCase';
import { stopName } from '@mellow-probe/core/wording/placeText';
import {
  instrumentPanelWords as panel,
  liveDeskWords as desk,
  machinePanelWords as machine,
} from '@mellow-probe/core/wording/screens/live';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import {
  boxOf,
  expectSound,
  isOff,
  NOW,
  pickFrom,
  press,
  show,
  tick,
  type,
  typedFields,
} from '../../../test/mountedScreens.ts';
import { useLive } from '../../data/stores/live/live.ts';
import { INSTRUMENTS } from '../../instruments/list.ts';
import InstrumentPanel from './InstrumentPanel.vue';
import LiveDesk from './LiveDesk.vue';
import MachinePanel from './MachinePanel.vue';

/** Only this shows how the page meets a browser with serial ports: none is installed with the tests. */
const serial = vi.hoisted(() => ({ has: false, ask: vi.fn() }));
vi.mock('../../instruments/serialTransport.ts', async (original) => ({
  ...(await original<object>()),
  hasSerial: () => serial.has,
  askPort: serial.ask,
}));
vi.mock('../../workers/logClient.ts', async (original) => ({
  ...(await original<object>()),
  warmLogRoom: () => undefined,
}));
beforeEach(() => {
  serial.has = false;
  serial.ask.mockReset();
});
afterEach(() => vi.restoreAllMocks());

const CASE = MACHINE_CASES[1];
/** A simulated machine as the live store has it once it runs, with what is done to it. */
function running(change: Partial<NonNullable<ReturnType<typeof useLive>['standIn']>> = {}, lines: string[] = []) {
  const live = useLive();
  live.standIn = { ...{ case: CASE.id, seed: 1, speed: 1, bench: 'b', where: 'page' as const }, ...change };
  live.lines = lines.map((id) => ({ id, name: id, state: 'open', why: '', faults: 0, lastFault: null })) as never;
  const act = vi.spyOn(live, 'act').mockImplementation(() => undefined);
  return { live, done: () => act.mock.calls.map(([what]) => what) };
}

describe('the instruments', () => {
  test('the machine starts with what was chosen, its instruments in their own order', async () => {
    const started = vi.spyOn(useLive(), 'useStandIn').mockResolvedValue();
    const sheet = await show(InstrumentPanel);
    expectSound(sheet);
    expect(INSTRUMENTS.map((i) => boxOf(sheet, i.name).element.checked)).toEqual(
      INSTRUMENTS.map((i) => ['meter', 'adapter', 'thermometer'].includes(i.id)),
    );
    await press(sheet, panel.startTheMachine);
    await tick(sheet, INSTRUMENTS.find((i) => i.id === 'adapter')!.name, false);
    await tick(sheet, INSTRUMENTS.find((i) => i.id === 'box')!.name);
    await tick(sheet, INSTRUMENTS.find((i) => i.id === 'meter')!.name, false);
    await tick(sheet, INSTRUMENTS.find((i) => i.id === 'meter')!.name);
    await pickFrom(sheet, panel.machine, CASE.id);
    await pickFrom(sheet, panel.itsTimeRuns, 60);
    await type(sheet, panel.seedLabel, ' 123456789 ');
    await press(sheet, panel.startTheMachine);
    expect(started.mock.calls).toEqual([
      [{ case: MACHINE_CASES[0].id, seed: 1, speed: 1 }, ['meter', 'adapter', 'thermometer']],
      [{ case: CASE.id, seed: 123_456_789, speed: 60 }, ['meter', 'thermometer', 'box']],
    ]);
  });
  test.each(['', '-1', '1.5', '1234567890', 'x'])('“%s” is no number of a machine', async (text) => {
    const started = vi.spyOn(useLive(), 'useStandIn').mockResolvedValue();
    const sheet = await show(InstrumentPanel);
    await type(sheet, panel.seedLabel, text);
    expect([sheet.get('[role="alert"]').text(), isOff(sheet, panel.startTheMachine)]).toEqual([panel.seedFault, true]);
    await press(sheet, panel.startTheMachine);
    expect(started).not.toHaveBeenCalled();
  });
  test('while it starts it cannot be started twice', async () => {
    let started!: () => void;
    vi.spyOn(useLive(), 'useStandIn').mockReturnValue(new Promise((done) => (started = done)));
    const sheet = await show(InstrumentPanel);
    await press(sheet, panel.startTheMachine);
    expect(isOff(sheet, panel.startTheMachine)).toBe(true);
    started();
    await flushPromises();
    expect(isOff(sheet, panel.startTheMachine)).toBe(false);
  });
  test('what runs is named with where and how fast, and can be removed', async () => {
    const { live } = running({ speed: 10, where: 'server' });
    const sheet = await show(InstrumentPanel);
    const said = (): string => sheet.get('[data-test="stand-in"]').text();
    expect(said()).toContain(panel.madeUpMachine(CASE.name, panel.onTheServer, panel.speedNote(10)));
    expect(sheet.findAll('button').some((b) => b.text() === panel.startTheMachine)).toBe(false);
    live.standIn = { ...live.standIn!, where: 'page', speed: 1 };
    await flushPromises();
    expect(said()).toContain(panel.madeUpMachine(CASE.name, panel.inPage, ''));
    await press(sheet, panel.putItAway);
    expect(sheet.find('[data-test="stand-in"]').exists()).toBe(false);
  });
  test('a line says whether it is open; its faults are named; only a meter has a choice of what it measures', async () => {
    const { live } = running({}, ['adapter']);
    const measure = vi.spyOn(live, 'measure').mockImplementation(() => undefined);
    const sheet = await show(InstrumentPanel);
    const state = (): string => sheet.get('.state').text();
    expect([state(), sheet.find('[data-test="line-fault"]').exists()]).toEqual([panel.connected, false]);
    expect(sheet.find(`[aria-label="${panel.theMeterMeasures}"]`).exists()).toBe(false);
    live.lines = [
      { ...live.lines[0], id: 'meter', state: 'opening', faults: 2, lastFault: { fault: 'garbled', text: '??' } },
    ] as never;
    await flushPromises();
    expect([state(), sheet.get('[data-test="line-fault"]').text()]).toEqual([
      panel.opening,
      expect.stringContaining('??'),
    ]);
    sheet.findComponent({ name: 'ChoiceRow' }).vm.$emit('update:modelValue', 'ohms');
    expect(measure.mock.calls).toEqual([['ohms']]);
    live.lines = [{ ...live.lines[0], state: 'gone', why: 'unplugged' }] as never;
    await flushPromises();
    expect(state()).toBe(panel.notConnected('unplugged'));
    const left = vi.spyOn(live, 'disconnect').mockImplementation(() => undefined);
    await press(sheet, panel.close);
    expect(left.mock.calls).toEqual([['meter']]);
  });
  test('a serial port is chosen and connected; a refusal is shown until the next try', async () => {
    expect((await show(InstrumentPanel)).text()).toContain(panel.noSerialPorts);
    serial.has = true;
    const connected = vi.spyOn(useLive(), 'connectSerial').mockResolvedValue();
    const sheet = await show(InstrumentPanel);
    const [, adapter] = INSTRUMENTS;
    serial.ask
      .mockRejectedValueOnce(new Error('No port selected'))
      .mockRejectedValueOnce('busy')
      .mockResolvedValueOnce('port');
    const said: string[] = [];
    for (let i = 0; i < 3; i++) {
      await press(sheet, adapter.about);
      said.push(sheet.find('[role="alert"]').exists() ? sheet.get('[role="alert"]').text() : '');
    }
    expect([said, connected.mock.calls]).toEqual([['No port selected', 'busy', ''], [['adapter', 'port']]]);
  });
});

describe('the simulated machine', () => {
  test('key, leads, plug and heat are done to it; the key that is on is marked', async () => {
    const { done } = running();
    const sheet = await show(MachinePanel);
    expect(sheet.text()).toContain(machineCase(CASE.id).complaint);
    const on = (): string[] => sheet.findAll('[aria-pressed="true"]').map((b) => b.text());
    expect(on()).toEqual([machine.keyOn]);
    await press(sheet, machine.engineRuns);
    expect(on()).toEqual([machine.engineRuns]);
    await pickFrom(sheet, machine.theMetersLeads, 'return');
    for (const words of [
      machine.pullThePlug,
      machine.bridgeIt,
      machine.sensorIn,
      machine.hotWater,
      machine.coldSpray,
      machine.putBack,
    ])
      await press(sheet, words);
    expect(done()).toEqual([
      ...['key running', 'leads return', 'plug open', 'plug bridge', 'plug sensor'],
      ...['sensor-at 90', 'sensor-at 5', 'sensor-at place'],
    ]);
    // Leads that are somewhere else are shown there.
    expect(sheet.findComponent({ name: 'PickList' }).props('modelValue')).toBe('return');
  });
  test('a decade box is only offered where one is connected, and takes whole ohms of its range', async () => {
    const { live } = running({}, ['adapter']);
    const set = vi.spyOn(live, 'setBox').mockImplementation(() => undefined);
    const sheet = await show(MachinePanel);
    expect(typedFields(sheet)).toEqual([]);
    running({}, ['box']);
    await flushPromises();
    for (const [text, off] of [
      ['0.9', true],
      ['10M', true],
      ['OL', true],
      ['x', true],
      ['1', false],
      ['9999999', false],
      ['2k2', false],
      ['47.6', false],
    ] as const) {
      await type(sheet, machine.decadeBoxOhms, text);
      expect(isOff(sheet, machine.set), text).toBe(off);
      if (!off) await press(sheet, machine.set);
    }
    await press(sheet, machine.open);
    expect(set.mock.calls.map(([ohm]) => ohm)).toEqual([1, 9_999_999, 2200, 48, null]);
  });
});

describe('the desk', () => {
  const places = (w: VueWrapper): string[] => w.getComponent({ name: 'RecordBar' }).vm.$props.places as string[];
  const withHarness = (): Job => {
    const job = newJob('a', NOW);
    job.title = 'Pump';
    job.loom = { ...newHarness(), stops: [{ ...newStop('s', 'connector'), name: 'C7' }, newStop('t', 'connector')] };
    return job;
  };
  test('places to wiggle are those of the check’s own harness, else those of the machine', async () => {
    running();
    expect(places(await show(LiveDesk, { props: { job: null } }))).toEqual(machineCase(CASE.id).places);
    expect(places(await show(LiveDesk, { props: { job: newJob('b', NOW) } }))).toEqual(machineCase(CASE.id).places);
    const job = withHarness();
    expect(places(await show(LiveDesk, { props: { job } }))).toEqual([
      'C7',
      stopName({ ...job.loom.stops[1], name: '' }, 2),
      job.loom.plug.name || stopName(job.loom.plug, 3),
    ]);
  });
  test('with a check it has its name and its ways; a heat cycle goes on the check, or says where to put it', async () => {
    const job = withHarness();
    const sheet = await show(LiveDesk, { props: { job } });
    expect(sheet.get('h1').text()).toBe(desk.live('Pump'));
    const { actions } = sheet.getComponent({ name: 'TopBar' }).props() as { actions: { to: string }[] };
    expect(actions.map((a) => a.to)).toEqual(['/check/a', '/logs?check=a']);
    expect(sheet.get('.empty').text()).toContain(desk.emptyTitle);
    sheet.getComponent({ name: 'HeatCycle' }).vm.$emit('done', 'Sensor follows', 'falls-when-heated');
    await flushPromises();
    expect(sheet.emitted('cycle')).toEqual([['Sensor follows', 'falls-when-heated']]);
    expect(sheet.text()).toContain(desk.noted);
    const alone = await show(LiveDesk, { props: { job: null } });
    expect(alone.get('h1').text()).toBe(desk.liveValues);
    alone.getComponent({ name: 'HeatCycle' }).vm.$emit('done', 'Sensor follows', null);
    await flushPromises();
    expect([alone.emitted('cycle'), alone.text().includes(desk.needsCheck)]).toEqual([undefined, true]);
  });
});
