// @vitest-environment happy-dom
import { liveTakeWords as take } from '@mellow-probe/core/wording/screens/bench';
import {
  heatCycleWords as cycle,
  recordBarWords as bar,
  valueStripWords as strip,
} from '@mellow-probe/core/wording/screens/live';
import type { StandStill } from '@mellow-probe/core/intake/instruments/standStill';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { MARK_NAMES } from '@mellow-probe/core/wording/logText';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { expectSound, press, show } from '../../../test/mountedScreens.ts';
import { useLive } from '../../data/stores/live/live.ts';
import type { LiveChannel } from '../../data/stores/live/liveChannels.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import LiveTake from '../bench/LiveTake.vue';
import HeatCycle from './HeatCycle.vue';
import RecordBar from './RecordBar.vue';
import ValueStrip from './ValueStrip.vue';

beforeEach(() => void vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance', 'Date'] }));
afterEach(() => vi.useRealTimers());

type Quantity = LiveChannel['channel']['quantity'];
const MOVING: StandStill = { still: false, why: 'moving', amount: 3 };
const steadyAt = (value: number): StandStill => ({ still: true, value, spread: 0.2, overS: 5 }) as StandStill;
/** A channel as an instrument has filled it: values at times, s. */
function channel(name: string, quantity: Quantity, samples: [timeS: number, value: number][]): LiveChannel {
  return {
    channel: { id: name, name, quantity } as LiveChannel['channel'],
    instrument: name.startsWith('thermometer') ? 'thermometer' : 'adapter',
    recent: samples.map(([timeS, value]) => ({ timeS, value })),
    still: MOVING,
  };
}
/** Puts what one channel shows now on the live store; every other screen follows at the next beat. */
function shows(name: string, quantity: Quantity, value: number, still: StandStill = MOVING): void {
  const live = useLive();
  live.channels.set(name, { ...channel(name, quantity, [[live.clockS(), value]]), still });
  live.beat++;
}
const key = (name: string): boolean =>
  document.body.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }));

describe('the strip of a channel', () => {
  const shown = async (own: LiveChannel, nowS = 60, freshS = 6) => {
    const wrapper = await show(ValueStrip, { props: { own, beat: 0, nowS, freshS } });
    const [high, low] = wrapper.findAll('.limit').map((l) => l.text());
    return {
      value: wrapper.get('[data-test="live-value"]').text(),
      says: wrapper.get('.says').text(),
      isStale: wrapper.get('[data-test="live-value"]').classes('stale'),
      isSteady: wrapper.get('.says').classes('still'),
      points: (wrapper.get('path').attributes('d') ?? '')
        .slice(1)
        .split('L')
        .map((p) => p.split(' ').map(Number)),
      limits: [low, high],
    };
  };
  test('volts to the millivolt, other quantities as everywhere; nothing read is a dash', async () => {
    expect((await shown(channel('a', 'volts', [[59, 2.5]]))).value).toBe('2.500 V');
    expect((await shown(channel('a', 'celsius', [[59, 20.5]]))).value).toBe('20.5 °C');
    expect(await shown(channel('a', 'ohms', []))).toMatchObject({
      value: '—',
      isStale: true,
      says: strip.nothingComes,
    });
  });
  test('a value is gone once it is older than it may be, not sooner; only a fresh one is steady', async () => {
    const own = { ...channel('a', 'celsius', [[54, 20]]), still: steadyAt(20) };
    expect(await shown(own)).toMatchObject({ isStale: false, isSteady: true });
    expect(await shown(own, 60.1)).toMatchObject({ isStale: true, isSteady: false, says: strip.nothingComes });
  });
  test('the last minute is a line over the whole width, highest value on top; an open lead leaves a gap', async () => {
    const { points, limits } = await shown(
      channel('a', 'celsius', [
        [0, 20],
        [30, Infinity],
        [45, 40],
        [60, 30],
      ]),
    );
    expect(points).toEqual([
      [0, 42],
      [225, 2],
      [300, 22],
    ]);
    expect(limits).toEqual(['20 °C', '40 °C']);
    expect((await shown(channel('a', 'celsius', [[59, 20]]))).limits).toEqual(['', '']);
  });
  test.each([
    ['celsius', 20, ['18 °C', '22 °C']],
    ['volts', 2.5, ['2.48 V', '2.52 V']],
    ['volts', 0.2, ['0.19 V', '0.21 V']],
    ['ohms', 2000, ['1980 Ω', '2020 Ω']],
  ] as const)('%s that do not move are in the middle of some steps of the display', async (quantity, value, limits) => {
    const { points, limits: said } = await shown(
      channel('a', quantity, [
        [0, value],
        [60, value],
      ]),
    );
    expect(points.map(([, y]) => y)).toEqual([22, 22]);
    expect(said.map((l) => parseFloat(l) * (/k/.test(l) ? 1000 : /m/.test(l) ? 0.001 : 1))).toEqual(
      limits.map((l) => parseFloat(l)),
    );
  });
});

describe('the heat cycle', () => {
  const passes = (seconds: number) => vi.advanceTimersByTime(1000 * seconds);
  const read = async (w: VueWrapper, sensor: number, beside: number): Promise<void> => {
    shows('coolant', 'celsius', sensor, steadyAt(sensor));
    shows('thermometer', 'celsius', beside);
    await flushPromises();
    await w
      .findAll('button')
      .find((b) => b.text().startsWith(cycle.readIt('')))!
      .trigger('click');
  };
  const done = (w: VueWrapper) => w.findAll('li').filter((li) => li.classes('done')).length;

  test('without a temperature it says what to connect', async () => {
    shows('meter', 'volts', 3);
    const wrapper = await show(HeatCycle);
    expect(wrapper.text()).toBe(cycle.needsChannel);
  });
  test('an old value does not count; a steady one is marked', async () => {
    shows('coolant', 'celsius', 20, steadyAt(20));
    const wrapper = await show(HeatCycle);
    const now = (): string => wrapper.get('.now-line').text();
    expect(now()).toContain(cycle.nowBeside('20 °C', '—', cycle.stands));
    expect(wrapper.get('button').attributes('disabled')).toBeUndefined();
    passes(useLive().freshS() + 0.1);
    useLive().beat++;
    await flushPromises();
    expect(now()).toContain(cycle.nowBeside('—', '—', cycle.stands));
    expect(wrapper.get('button').attributes('disabled')).toBeDefined();
    shows('coolant', 'celsius', 21);
    await flushPromises();
    expect(now()).toContain(cycle.nowBeside('21 °C', '—', cycle.stillMoving));
  });
  test.each([
    ['comes back', 20, 'falls-when-heated'],
    ['is off after the heat', 35, null],
  ])('cold, hot and after: a sensor that %s', async (_, last, finding) => {
    const wrapper = await show(HeatCycle);
    shows('thermometer', 'celsius', 20);
    await read(wrapper, 20, 20);
    expect(done(wrapper)).toBe(1);
    passes(60);
    await read(wrapper, 80, 80);
    expect(done(wrapper)).toBe(2);
    expect(wrapper.get('.now-line').text()).toContain(cycle.waitMore('10:00'));
    passes(240);
    useLive().beat++;
    await flushPromises();
    expect(wrapper.get('.now-line').text()).toContain(cycle.waitMore('6:00'));
    passes(360);
    useLive().beat++;
    await flushPromises();
    expect(wrapper.findAll('button').map((b) => b.text())).not.toContain(cycle.putOnCheck);
    await read(wrapper, last, 20);
    await press(wrapper, cycle.putOnCheck);
    expect(wrapper.emitted('done')!.map((said) => (said as unknown[])[1])).toEqual([finding]);
  });
  test('one that fails while it is hot is put on the check as such; each reading is a note of the recording', async () => {
    const live = useLive();
    live.startRecording('x', null);
    const wrapper = await show(HeatCycle);
    await read(wrapper, 20, 20);
    await read(wrapper, 120, 80);
    expect(wrapper.get('[data-test="cycle"]').text()).not.toBe('');
    await press(wrapper, cycle.putOnCheck);
    expect((wrapper.emitted('done')![0] as unknown[])[1]).toBe('jumps-when-heated');
    expect(live.recording!.head.marks.map((m) => m.text)).toEqual([
      cycle.heatCycleBeside(cycle.cold, '20 °C', '20 °C'),
      cycle.heatCycleBeside(cycle.hot, '120 °C', '80 °C'),
    ]);
  });
});

describe('the recording', () => {
  const PLACES = ['plug', 'bulkhead'];
  const recording = async (): Promise<VueWrapper> => {
    const wrapper = await show(RecordBar, { props: { job: { id: 'j', title: 'Pump' }, places: PLACES } });
    useLive().startRecording('Pump', null);
    await flushPromises();
    return wrapper;
  };
  const marks = () => useLive().recording!.head.marks.map((m) => [m.kind, m.place, m.toS !== null]);
  const held = (w: VueWrapper) => w.findAll('[aria-pressed="true"]').map((b) => b.text());

  test('before an instrument is connected nothing can be recorded, by button or by key', async () => {
    const wrapper = await show(RecordBar, { props: { job: null, places: [] } });
    expect(wrapper.get('button').attributes('disabled')).toBeDefined();
    expect(wrapper.text()).toContain(bar.needsInstrument);
    key('r');
    expect(useLive().recording).toBeNull();
  });
  test('a mark begins with the first tap and ends with the second, by button as by key', async () => {
    const wrapper = await recording();
    expectSound(wrapper);
    await press(wrapper, MARK_NAMES.unplugged);
    expect([marks(), held(wrapper)]).toEqual([
      [['unplugged', '', false]],
      [expect.stringContaining(MARK_NAMES.unplugged)],
    ]);
    vi.advanceTimersByTime(2000);
    key('x');
    useLive().beat++;
    await flushPromises();
    expect([marks(), held(wrapper)]).toEqual([[['unplugged', '', true]], []]);
    key('o');
    expect(marks().at(-1)).toEqual(['key-off', '', false]);
  });
  test('one place at a time is wiggled, by its number', async () => {
    const wrapper = await recording();
    key('x');
    key('1');
    vi.advanceTimersByTime(1000);
    key('2');
    key('3');
    useLive().beat++;
    await flushPromises();
    expect(marks()).toEqual([
      ['unplugged', '', false],
      ['wiggling', 'plug', true],
      ['wiggling', 'bulkhead', false],
    ]);
    expect(held(wrapper)).toEqual([expect.stringContaining(MARK_NAMES.unplugged), `${bar.wiggle('bulkhead')}2`]);
  });
  test('what is done to the simulated machine is done by the same tap', async () => {
    const act = vi.spyOn(useLive(), 'act').mockImplementation(() => undefined);
    await recording();
    for (const k of ['x', 'x', 'b', 'h', 'h', 'l', 'f', 'o', 'o', '2', '2']) {
      vi.advanceTimersByTime(500);
      key(k);
    }
    expect(act.mock.calls.map(([what]) => what)).toEqual([
      ...[
        'plug open',
        'plug sensor',
        'plug bridge',
        'sensor-at 90',
        'sensor-at place',
        'sensor-at 5',
        'key off',
        'key on',
      ],
      ...['wiggle bulkhead', 'wiggle nothing'],
    ]);
  });
  test('a note has the words that were typed, without spaces around them; an empty one is not recorded', async () => {
    const wrapper = await recording();
    const field = wrapper.get<HTMLInputElement>('.note input');
    await wrapper.get('form').trigger('submit');
    await field.setValue('  pump hums ');
    await wrapper.get('form').trigger('submit');
    expect([useLive().recording!.head.marks.map((m) => m.text), field.element.value]).toEqual([['pump hums'], '']);
    useLive().beat++;
    await flushPromises();
    expect(wrapper.get('.last').text()).toContain('pump hums');
  });
  test('ended, it opens as a log of its check', async () => {
    const wrapper = await recording();
    vi.useRealTimers();
    key('R');
    await vi.waitFor(() => expect(wrapper.vm.$route.fullPath).toMatch(/^\/logs\/.+\?check=j$/));
    expect(useLive().recording).toBeNull();
  });
});

describe('a live value for the card of a test', () => {
  const VOLTS = measurementById('open-voltage')!;
  const open = (measurement = VOLTS) => show(LiveTake, { props: { measurement } });
  const taken = (w: VueWrapper) => (w.emitted('take') ?? []).map((said) => (said as unknown[])[0]);

  test('only a channel of the same quantity is offered; the sensor’s own before a thermometer, coolant before others', async () => {
    shows('thermometer', 'celsius', 20);
    expect((await open()).find('[data-test="live-take"]').exists()).toBe(false);
    shows('probe', 'volts', 4.8);
    expect((await open()).get('.mono').text()).toBe('4.800 V');
    const display = measurementById('displayed')!;
    expect((await open(display)).get('.mono').text()).toBe('20 °C');
    shows('oil', 'celsius', 60);
    expect((await open(display)).get('.mono').text()).toBe('60 °C');
    shows('Coolant', 'celsius', 80);
    expect((await open(display)).get('.mono').text()).toBe('80 °C');
  });
  test('a tap takes what is steady, else the last value; an open lead is OL', async () => {
    shows('probe', 'volts', 4.81, steadyAt(4.8));
    const wrapper = await open();
    await press(wrapper, take.takeIt);
    shows('probe', 'volts', 4.9);
    await press(wrapper, take.takeIt);
    expect(taken(wrapper)).toEqual(['4.800 V', '4.900 V']);
    shows('meter', 'ohms', Infinity);
    expect((await open(measurementById('sensor-ohms')!)).get('.mono').text()).toBe('OL');
  });
  test('when it is steady: once, and again only after it has moved', async () => {
    shows('probe', 'volts', 4.8);
    const wrapper = await open();
    const becomes = async (value: number, still?: StandStill): Promise<void> => {
      shows('probe', 'volts', value, still);
      await flushPromises();
    };
    await becomes(4.8, steadyAt(4.8));
    expect(taken(wrapper)).toEqual([]);
    await becomes(4.8);
    await wrapper.get('input[type="checkbox"]').setValue(true);
    await becomes(4.8, steadyAt(4.8));
    await becomes(4.8, steadyAt(4.8));
    expect(taken(wrapper)).toEqual(['4.800 V']);
    await becomes(3);
    await becomes(2.1, steadyAt(2.1));
    expect(taken(wrapper)).toEqual(['4.800 V', '2.100 V']);
    await becomes(3);
    await press(wrapper, take.takeIt);
    await becomes(1, steadyAt(1));
    expect(taken(wrapper)).toEqual(['4.800 V', '2.100 V', '3.000 V']);
  });
  test('by its key, which can be another one; Escape leaves it', async () => {
    shows('probe', 'volts', 4.8);
    const wrapper = await open();
    usePreferences().takeKey = 'F8';
    key('F7');
    expect(taken(wrapper)).toEqual([]);
    expect(key('F8')).toBe(false);
    await press(wrapper, take.otherKey);
    key('Escape');
    await flushPromises();
    expect([usePreferences().takeKey, taken(wrapper)]).toEqual(['F8', ['4.800 V']]);
    await press(wrapper, take.otherKey);
    key('F7');
    await flushPromises();
    expect(wrapper.get('kbd').text()).toBe('F7');
    key('F7');
    expect(taken(wrapper)).toHaveLength(2);
  });
});
