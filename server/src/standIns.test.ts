import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { standInAddress } from '@mellow-probe/core/training/simulation/standIns/standInAddress';
import type { StandInId } from '@mellow-probe/core/training/simulation/standIns/standInBench';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { WebSocket } from 'ws';
import { attachStandIns } from './standIns.ts';

let server: Server;
let standIns: { close(): void };
let port = 0;
let nowMs = 0;

beforeEach(async () => {
  nowMs = 0;
  server = createServer();
  standIns = attachStandIns(server, null, () => nowMs);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  ({ port } = server.address() as AddressInfo);
});
afterEach(async () => {
  standIns.close();
  await new Promise((done) => server.close(done));
});

const choice = { case: 'sound', seed: 3, bench: 'a1', speed: 10 };
const open = (device: StandInId, origin?: string, own = choice): WebSocket =>
  new WebSocket(`ws://127.0.0.1:${port}${standInAddress(device, own)}`, origin ? { headers: { origin } } : {});
const outcome = (line: WebSocket): Promise<string> =>
  new Promise((done) => {
    line.on('open', () => done('open'));
    line.on('unexpected-response', (_, r) => done(String(r.statusCode)));
    line.on('error', () => done('error'));
  });
const message = (line: WebSocket): Promise<string> =>
  new Promise((done) => line.once('message', (data) => done((data as Buffer).toString())));
const closed = (line: WebSocket): Promise<number> => new Promise((done) => line.once('close', (code) => done(code)));

test('a page opens an instrument only from the address that it came from itself', async () => {
  expect(await outcome(open('meter', `http://127.0.0.1:${port}`))).toBe('open');
  expect(await outcome(open('adapter', 'http://elsewhere.example'))).toBe('403');
  expect(await outcome(open('adapter', 'null'))).toBe('403');
  expect(await outcome(open('adapter'))).toBe('open');
});

test('what is no instrument, or no case, is not there', async () => {
  const at = (path: string): Promise<string> => outcome(new WebSocket(`ws://127.0.0.1:${port}${path}`));
  expect(await at('/instruments/kettle?case=sound&seed=1&bench=a&speed=1')).toBe('404');
  expect(await at('/instruments/meter?case=none&seed=1&bench=a&speed=1')).toBe('404');
  expect(await at('/instruments/meter?case=sound&seed=1&bench=a&speed=1000')).toBe('404');
  expect(await at('/elsewhere')).toBe('404');
});

test('all lines of a bench meet one machine, in its own time', async () => {
  const meter = open('meter');
  const machine = open('machine');
  await Promise.all([outcome(meter), outcome(machine)]);
  machine.send('key on\n');
  expect(await message(machine)).toBe('DONE key on\n');
  const ask = async (): Promise<number> => {
    const answer = message(meter);
    meter.send('MEAS:VOLT:DC?\n');
    await new Promise((wait) => setTimeout(wait, 60));
    nowMs += 100;
    return Number(await answer);
  };
  const plugged = await ask();
  expect(plugged).toBeGreaterThan(2);
  expect(plugged).toBeLessThan(4);
  machine.send('plug open\n');
  expect(await message(machine)).toBe('DONE plug open\n');
  expect(await ask()).toBeGreaterThan(4.9);
  machine.send('make tea\n');
  expect(await message(machine)).toBe('NOT UNDERSTOOD make tea\n');
});

test('an instrument has one plug; another bench has its own', async () => {
  const first = open('meter');
  await outcome(first);
  expect(await closed(open('meter'))).toBe(4409);
  expect(await outcome(open('meter', undefined, { ...choice, bench: 'b2' }))).toBe('open');
  const gone = closed(first);
  first.close();
  await gone;
  const again = open('meter');
  await outcome(again);
  again.send('*IDN?\n');
  await new Promise((wait) => setTimeout(wait, 60));
  nowMs += 100;
  expect(await message(again)).toContain('STAND-IN METER');
});

test('a line whose other end has left the network frees its place', async () => {
  const own = createServer();
  const quick = attachStandIns(own, null, () => nowMs, 40);
  await new Promise<void>((done) => own.listen(0, '127.0.0.1', done));
  const at = (own.address() as AddressInfo).port;
  const line = (autoPong: boolean): WebSocket =>
    new WebSocket(`ws://127.0.0.1:${at}${standInAddress('meter', choice)}`, { autoPong });
  const gone = line(false);
  expect(await outcome(gone)).toBe('open');
  expect(await closed(gone)).toBe(1006);
  const next = line(true);
  expect(await outcome(next)).toBe('open');
  // One that answers is left alone: it is asked several times over.
  let pings = 0;
  await new Promise<void>((done) => next.on('ping', () => ++pings === 4 && done()));
  expect(next.readyState).toBe(WebSocket.OPEN);
  quick.close();
  await new Promise((done) => own.close(done));
});

test('a flood of messages closes its own line, and a second line answers as before', async () => {
  const flood = open('meter');
  const other = open('machine', undefined, { ...choice, bench: 'b2' });
  await Promise.all([outcome(flood), outcome(other)]);
  for (let i = 0; i < 5000; i++) flood.send('VAL1?\n');
  expect(await closed(flood)).toBe(4429);
  other.send('key on\n');
  expect(await message(other)).toBe('DONE key on\n');
});
