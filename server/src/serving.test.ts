import express from 'express';
import { get } from 'node:https';
import { Agent, get as plainGet, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { expect, test } from 'vitest';
import { endInOrder, serverFor } from './serving.ts';

// A certificate of its own for "bench.example", made for this test and good for nothing else.
const file = (name: string): string => path.resolve(import.meta.dirname, '../test', name);
const hello = () => express().get('/', (_request, response) => void response.send('here'));
const listening = async (server: Server): Promise<number> => {
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return (server.address() as AddressInfo).port;
};

test('with certificate and key it speaks HTTPS, and nothing plain', async () => {
  const server = serverFor(hello(), { cert: file('cert.pem'), key: file('key.pem') });
  const port = await listening(server);
  const said = await new Promise<string>((resolve, reject) => {
    get({ host: '127.0.0.1', port, path: '/', rejectUnauthorized: false, agent: false }, (response) => {
      response.on('data', (data: Buffer) => resolve(data.toString()));
    }).on('error', reject);
  });
  expect(said).toBe('here');
  await expect(fetch(`http://127.0.0.1:${port}/`)).rejects.toThrow();
  await endInOrder(server, 50);
});

test('what is no certificate is refused at once', () => {
  expect(() => serverFor(hello(), { cert: file('key.pem'), key: file('cert.pem') })).toThrow();
});

test('it ends in order: what is under way is answered, what is only held open is let go', async () => {
  const app = express();
  const reached = new Promise<() => void>((resolve) => {
    app.get('/quick', (_request, response) => void response.send('at once'));
    app.get('/slow', (_request, response) => resolve(() => void response.send('done')));
  });
  const server = serverFor(app, null);
  const port = await listening(server);
  // A browser keeps its connection after an answer.
  const agent = new Agent({ keepAlive: true });
  const letGo = new Promise<void>((closed) => {
    const asked = plainGet({ host: '127.0.0.1', port, path: '/quick', agent }, (response) => response.resume());
    asked.once('socket', (socket) => socket.once('close', () => closed()));
  });
  const answer = fetch(`http://127.0.0.1:${port}/slow`).then((r) => r.text());
  const go = await reached;
  await expect.poll(() => Object.keys(agent.freeSockets).length).toBe(1);
  let over = false;
  const ending = endInOrder(server, 20_000).then(() => (over = true));
  await letGo;
  expect(over).toBe(false);
  go();
  expect(await answer).toBe('done');
  await ending;
});

test('who never ends is not waited for', async () => {
  const server = serverFor(
    express().get('/never', () => undefined),
    null,
  );
  const port = await listening(server);
  const answer = fetch(`http://127.0.0.1:${port}/never`);
  await new Promise((resolve) => setTimeout(resolve, 50));
  const ending = endInOrder(server, 100);
  await expect(answer).rejects.toThrow();
  await ending;
});
