// @vitest-environment happy-dom
import { lineCheck } from '@mellow-probe/core/intake/instruments/thermometerLine';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { browser, emptyBrowser } from '../../../../test/browserWindow.ts';
import type { LineEvents, Transport } from '../../../instruments/transport.ts';
import { readRecording } from '../../storage/recordingStorage.ts';

/** The server’s lines: whether they can be opened, and what each was told. */
const server = vi.hoisted(() => ({
  answers: false,
  lines: new Map<string, { events: unknown; sent: string[]; closed: boolean }>(),
}));
vi.mock('../../../instruments/socketTransport.ts', () => ({
  socketTransport: (path: string): Transport => {
    const own = { events: null as LineEvents | null, sent: [] as string[], closed: false };
    return {
      open(events) {
        if (!server.answers) return Promise.reject(new Error('no server'));
        own.events = events;
        server.lines.set(path.replace(/.*\/|\?.*/g, ''), own);
        return Promise.resolve();
      },
      send: (text) => void own.sent.push(text),
      close: () => void (own.closed = true),
    };
  },
}));
const { useLive } = await import('./live.ts');

/** A line that the test speaks on. */
function hand(opens = true) {
  const state = { events: null as LineEvents | null, sent: [] as string[], closed: false };
  const transport: Transport = {
    open(events) {
      if (!opens) return Promise.reject(new Error('the port is in use'));
      state.events = events;
      return Promise.resolve();
    },
    send: (text) => void state.sent.push(text),
    close: () => void (state.closed = true),
  };
  return { transport, state, say: (text: string) => state.events!.text(text) };
}

beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance', 'Date'] });
  await emptyBrowser();
  setActivePinia(createPinia());
  [server.answers] = [false];
  server.lines.clear();
});
afterEach(() => vi.useRealTimers());

/** Lets time pass, a thermometer printing a line a second. */
let printed = 0;
function seconds(line: ReturnType<typeof hand>, count: number, celsius: (i: number) => number): void {
  for (let i = 0; i < count; i++) {
    vi.advanceTimersByTime(1000);
    const text = `${++printed},${celsius(i).toFixed(1)},C`;
    line.say(`${text},${lineCheck(text)}\r\n`);
  }
}
const shown = (live: ReturnType<typeof useLive>) => [...live.channels.values()].map((c) => c.channel.id);

describe('lines', () => {
  test('an instrument that opens is read; its channels come with what it says, and go with it', async () => {
    const live = useLive();
    const line = hand();
    expect(live.reading).toBe(false);
    await live.connect('thermometer', line.transport);
    expect([live.lines[0].state, live.reading, shown(live)]).toEqual(['open', true, []]);
    seconds(line, 3, () => 20);
    expect(shown(live)).toEqual(['thermometer 1']);
    expect(live.channels.get('thermometer 1')!.recent.map((s) => s.value)).toEqual([20, 20, 20]);
    live.disconnect('thermometer');
    expect([line.state.closed, live.lines.length, live.reading, shown(live)]).toEqual([true, 0, false, []]);
  });
  test('a line that cannot be opened is told with its reason, and is none that is read', async () => {
    const live = useLive();
    await expect(live.connect('thermometer', hand(false).transport)).rejects.toThrow('in use');
    expect(live.lines.map((l) => [l.state, l.why])).toEqual([['gone', 'the port is in use']]);
    expect(live.reading).toBe(false);
  });
  test('a second instrument of the same kind takes the place of the first', async () => {
    const live = useLive();
    const [one, two] = [hand(), hand()];
    await live.connect('thermometer', one.transport);
    seconds(one, 2, () => 20);
    await live.connect('thermometer', two.transport);
    expect([one.state.closed, live.lines.length, shown(live)]).toEqual([true, 1, []]);
  });
  test('of two instruments one is put away: the values of the other stay, and go on', async () => {
    const live = useLive();
    const [one, two] = [hand(), hand()];
    await live.connect('thermometer', one.transport);
    await live.connect('meter', two.transport);
    seconds(one, 2, () => 20);
    live.disconnect('meter');
    expect([live.lines.map((l) => l.id), shown(live), live.reading]).toEqual([
      ['thermometer'],
      ['thermometer 1'],
      true,
    ]);
    seconds(one, 1, () => 21);
    const before = live.beat;
    vi.advanceTimersByTime(1000);
    expect(live.beat).toBeGreaterThan(before);
  });
  test('of two instruments one is pulled out: that one is said to be gone, and no other', async () => {
    const live = useLive();
    const [one, two] = [hand(), hand()];
    await live.connect('thermometer', one.transport);
    await live.connect('meter', two.transport);
    two.state.events!.gone('it was unplugged');
    expect(live.lines.map((l) => [l.id, l.state, l.faults])).toEqual([
      ['thermometer', 'open', 0],
      ['meter', 'gone', 1],
    ]);
  });
  test('a channel is not known to be steady before its first values; announced again it keeps those it has', async () => {
    const live = useLive();
    const line = hand();
    await live.connect('thermometer', line.transport);
    seconds(line, 1, () => 20);
    const own = live.channels.get('thermometer 1')!;
    expect([own.still.still, own.recent.map((s) => s.value)]).toEqual([false, [20]]);
    seconds(line, 3, () => 21);
    expect(live.channels.get('thermometer 1')!.recent.map((s) => s.value)).toEqual([20, 21, 21, 21]);
  });
  test('the decade box is set and opened; without one, setting it does nothing', async () => {
    const live = useLive();
    live.setBox(2000);
    const line = hand();
    await live.connect('box', line.transport);
    live.setBox(2000);
    vi.advanceTimersByTime(1000);
    expect(line.state.sent.join('')).toMatch(/2000|2\.0+E\+0?3/i);
  });
  test('pulled out: told once, its values are gone, what is recorded stays', async () => {
    const live = useLive();
    const line = hand();
    await live.connect('thermometer', line.transport);
    seconds(line, 2, () => 20);
    line.state.events!.gone('it was unplugged');
    expect(live.lines[0]).toMatchObject({ state: 'gone', why: 'it was unplugged', faults: 1 });
    expect([live.reading, shown(live)]).toEqual([false, []]);
  });
});

describe('what is shown', () => {
  test('a value that keeps coming stands; one that changes does not; one that stops coming is none', async () => {
    const live = useLive();
    const line = hand();
    await live.connect('thermometer', line.transport);
    seconds(line, 12, () => 20);
    vi.advanceTimersByTime(200);
    const still = () => live.channels.get('thermometer 1')!.still.still;
    expect(still()).toBe(true);
    seconds(line, 12, (i) => 20 + 3 * i);
    vi.advanceTimersByTime(200);
    expect(still()).toBe(false);
    seconds(line, 12, () => 56);
    vi.advanceTimersByTime(200);
    expect(still()).toBe(true);
    vi.advanceTimersByTime(30_000);
    expect(still()).toBe(false);
  });
  test('a strip holds the last minute; the beat goes on while something is read, and stops', async () => {
    const live = useLive();
    const line = hand();
    await live.connect('thermometer', line.transport);
    seconds(line, 90, (i) => i);
    const { recent } = live.channels.get('thermometer 1')!;
    expect(recent[0].value).toBeGreaterThanOrEqual(28);
    expect(recent[0].value).toBeLessThanOrEqual(31);
    const before = live.beat;
    vi.advanceTimersByTime(1000);
    expect(live.beat - before).toBe(5);
    live.disconnect('thermometer');
    const after = live.beat;
    vi.advanceTimersByTime(2000);
    expect(live.beat).toBe(after);
  });
});

describe('a simulated machine', () => {
  const CHOICE = { case: 'sound', seed: 1, speed: 10 };
  test('without a server it runs in the page, at its own speed; left, its lines and its clock are gone', async () => {
    const live = useLive();
    await live.useStandIn(CHOICE, ['thermometer', 'adapter']);
    expect(live.standIn).toMatchObject({ where: 'page', case: 'sound' });
    expect(live.lines.map((l) => [l.id, l.state])).toEqual([
      ['thermometer', 'open'],
      ['adapter', 'open'],
    ]);
    const before = live.clockS();
    vi.advanceTimersByTime(2000);
    expect(live.clockS() - before).toBeCloseTo(20, 0);
    expect(live.freshS()).toBe(15);
    expect(shown(live)).toContain('thermometer 1');
    live.leaveStandIn();
    expect([live.standIn, live.lines, shown(live)]).toEqual([null, [], []]);
    expect(live.freshS()).toBe(6);
    const left = live.clockS();
    vi.advanceTimersByTime(2000);
    // Its clock goes on from where it was, at the pace of a watch: it never runs back.
    expect(live.clockS() - left).toBeCloseTo(2, 1);
  });
  test('on the server where there is one: told key on, and what is done to it; gone, it goes on in the page', async () => {
    server.answers = true;
    const live = useLive();
    await live.useStandIn(CHOICE, ['thermometer']);
    expect(live.standIn).toMatchObject({ where: 'server' });
    live.act('engine on');
    expect(server.lines.get('machine')!.sent).toEqual(['key on\n', 'engine on\n']);
    (server.lines.get('machine')!.events as LineEvents).text(' warm \n');
    expect(live.machineSays).toBe('warm');
    server.answers = false;
    (server.lines.get('machine')!.events as LineEvents).gone('the server does not answer');
    await vi.waitFor(() => expect(live.standIn).toMatchObject({ where: 'page' }));
    await vi.waitFor(() => expect(live.lines.map((l) => l.state)).toEqual(['open']));
    expect(live.places.length).toBeGreaterThan(0);
  });
});

describe('a recording', () => {
  test('holds what was read and marked, from where it began; ended, it is a log', async () => {
    const live = useLive();
    const line = hand();
    await live.connect('thermometer', line.transport);
    seconds(line, 5, () => 99);
    live.startRecording('Warm-up', { id: 'j', title: 'Pump' });
    const first = live.recording;
    live.startRecording('another', null);
    expect(live.recording).toBe(first);
    seconds(line, 10, (i) => i);
    expect(live.mark('wiggling', 'plug')).toMatchObject({ kind: 'wiggling', place: 'plug', toS: null });
    seconds(line, 2, () => 5);
    live.mark('wiggling', 'plug');
    vi.useRealTimers();
    const id = (await live.stopRecording())!;
    expect([live.recording, await live.stopRecording()]).toEqual([null, null]);
    const { head, log } = (await readRecording(id))!;
    expect(head).toMatchObject({ title: 'Warm-up', job: { id: 'j' }, from: 'recorded' });
    expect(head.endedAt).not.toBeNull();
    expect([...log.channels[0].values].slice(0, 3)).toEqual([0, 1, 2]);
    expect(log.marks).toHaveLength(1);
    expect(log.marks[0].toS! - log.marks[0].fromS).toBeCloseTo(2, 1);
  });
  test('a full store is said while it runs; one of a simulated machine says so', async () => {
    const live = useLive();
    await live.useStandIn({ case: 'sound', seed: 1, speed: 10 }, ['thermometer']);
    browser.refuse = 'full';
    live.startRecording('x', null);
    expect(live.recording!.head.from).toBe('stand-ins');
    vi.advanceTimersByTime(4000);
    vi.useRealTimers();
    await live.stopRecording();
    expect(live.recordFault).toBe('full');
    browser.refuse = null;
  });
});
