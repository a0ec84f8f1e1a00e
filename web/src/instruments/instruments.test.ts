import { thermometerLine, lineCheck } from '@mellow-probe/core/intake/instruments/thermometerLine';
import type { Heard } from '@mellow-probe/core/intake/instruments/heard';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { instrumentLine } from './line.ts';
import { INSTRUMENT_IDS, INSTRUMENTS, instrument } from './list.ts';
import { pageStandIns } from './pageStandIns.ts';
import { type Port, serialTransport } from './serialTransport.ts';
import { socketTransport } from './socketTransport.ts';
import type { LineEvents } from './transport.ts';

/** A serial port that a test plugs things into. */
function fakePort(): {
  port: Port;
  say: (text: string) => void;
  pull: () => void;
  written: string[];
  closed: () => boolean;
} {
  let controller!: ReadableStreamDefaultController<Uint8Array>;
  const written: string[] = [];
  let closed = false;
  const port: Port = {
    open: () => Promise.resolve(),
    close: () => {
      closed = true;
      return Promise.resolve();
    },
    readable: new ReadableStream<Uint8Array>({ start: (c) => void (controller = c) }),
    writable: new WritableStream<Uint8Array>({ write: (chunk) => void written.push(new TextDecoder().decode(chunk)) }),
  };
  return {
    port,
    written,
    say: (text) => controller.enqueue(new TextEncoder().encode(text)),
    pull: () => controller.error(new Error('pulled')),
    closed: () => closed,
  };
}
const events = (): LineEvents & { got: string[]; why: string[] } => {
  const got: string[] = [];
  const why: string[] = [];
  return { got, why, text: (t) => void got.push(t), gone: (w) => void why.push(w) };
};
const settle = (): Promise<void> => new Promise((r) => setTimeout(r, 5));

describe('a serial port', () => {
  test('text both ways; pulled out it is gone, once', async () => {
    const { port, say, pull, written } = fakePort();
    const line = serialTransport(port, 9600);
    const e = events();
    await line.open(e);
    say('1,21.');
    await settle();
    line.send('hello\n');
    await settle();
    pull();
    await settle();
    expect(e.got).toEqual(['1,21.']);
    expect(written).toEqual(['hello\n']);
    expect(e.why).toEqual(['it was unplugged']);
  });
  test('closed by us it says nothing', async () => {
    const { port, closed } = fakePort();
    const line = serialTransport(port, 9600);
    const e = events();
    await line.open(e);
    line.close();
    await settle();
    expect(closed()).toBe(true);
    expect(e.why).toEqual([]);
  });
  test('a port in use is told', async () => {
    const { port } = fakePort();
    const line = serialTransport({ ...port, open: () => Promise.reject(new Error('busy')) }, 9600);
    await expect(line.open(events())).rejects.toThrow('in use');
  });
  test('unplugged in the middle of a value: the value is not taken, and it is told', async () => {
    const { port, say, pull } = fakePort();
    const heard: Heard[] = [];
    const line = instrumentLine(
      thermometerLine(),
      serialTransport(port, 9600),
      () => 1,
      (h) => void heard.push(...h),
    );
    await line.open();
    const whole = '1,21.4,C';
    say(`${whole},${lineCheck(whole)}\n2,2`);
    await settle();
    pull();
    await settle();
    expect(heard.flatMap((h) => (h.kind === 'sample' ? [h.value] : []))).toEqual([21.4]);
    expect(heard.at(-1)).toMatchObject({ kind: 'fault', fault: 'gone', text: 'it was unplugged' });
  });
});

describe('a socket', () => {
  class FakeSocket {
    onopen: (() => void) | null = null;
    onmessage: ((e: { data: unknown }) => void) | null = null;
    onclose: ((e: { code: number }) => void) | null = null;
    readyState = 0;
    sent: string[] = [];
    send(text: string): void {
      this.sent.push(text);
    }
    close(): void {
      this.onclose?.({ code: 1000 });
    }
  }
  beforeEach(() => {
    vi.stubGlobal('location', { protocol: 'http:', host: 'here:1' });
    vi.stubGlobal('WebSocket', { OPEN: 1 });
  });
  afterEach(() => void vi.unstubAllGlobals());
  test('opens, hears, sends, and tells when it is gone', async () => {
    const fake = new FakeSocket();
    let address = '';
    const line = socketTransport('/instruments/meter', (a) => {
      address = a;
      return fake as unknown as WebSocket;
    });
    const e = events();
    const opening = line.open(e);
    fake.readyState = 1;
    fake.onopen!();
    await opening;
    expect(address).toBe('ws://here:1/instruments/meter');
    line.send('x');
    fake.onmessage!({ data: 'y' });
    fake.onclose!({ code: 1006 });
    expect([fake.sent, e.got, e.why]).toEqual([['x'], ['y'], ['the server does not answer']]);
  });
  test('one that never opens rejects, with why', async () => {
    const fake = new FakeSocket();
    const opening = socketTransport('/x', () => fake as unknown as WebSocket).open(events());
    fake.onclose!({ code: 4409 });
    await expect(opening).rejects.toThrow('another window');
  });
  test('closed by us it says nothing', async () => {
    const fake = new FakeSocket();
    const line = socketTransport('/x', () => fake as unknown as WebSocket);
    const e = events();
    const opening = line.open(e);
    fake.onopen!();
    await opening;
    line.close();
    expect(e.why).toEqual([]);
  });
});

describe('the stand-ins in the page', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());
  test.each(INSTRUMENT_IDS)('%s: its driver runs on its stand-in without faults', async (id) => {
    const bench = pageStandIns({ case: 'sound', seed: 2, bench: 'a', speed: 10 });
    const machine = bench.line('machine');
    await machine.open(events());
    machine.send('key on\n');
    const heard: Heard[] = [];
    const start = performance.now();
    const driver = instrument(id).make(0.25);
    const line = instrumentLine(
      driver,
      bench.line(id),
      () => ((performance.now() - start) / 1000) * 10,
      (h) => void heard.push(...h),
    );
    await line.open();
    driver.put?.(1000);
    await vi.advanceTimersByTimeAsync(3000);
    line.close();
    expect(heard.filter((h) => h.kind === 'fault')).toEqual([]);
    expect(heard.some((h) => h.kind === (id === 'box' ? 'set' : 'sample'))).toBe(true);
    const before = heard.length;
    await vi.advanceTimersByTimeAsync(1000);
    expect(heard).toHaveLength(before);
  });
  test('every instrument is in the list once', () => {
    expect(INSTRUMENTS.map((i) => i.id).sort()).toEqual([...INSTRUMENT_IDS].sort());
  });
});
