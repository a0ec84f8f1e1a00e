import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { createApp } from './app.ts';

let folder = '';
let server: http.Server;
let base = '';

beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'mellow-probe-page-'));
  mkdirSync(path.join(folder, 'page/assets'), { recursive: true });
  writeFileSync(path.join(folder, 'page/index.html'), '<!doctype html><title>page</title>');
  writeFileSync(path.join(folder, 'page/assets/a.js'), 'export {};');
  writeFileSync(path.join(folder, 'page/icon.svg'), '<svg xmlns="http://www.w3.org/2000/svg"/>');
  writeFileSync(path.join(folder, 'page/.hidden'), 'hidden');
  writeFileSync(path.join(folder, 'secret.txt'), 'secret');
  server = createApp(path.join(folder, 'page')).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve));
  rmSync(folder, { recursive: true });
});

/** A request whose path is sent as it stands: fetch would tidy the dots away. */
function raw(target: string): Promise<{ status: number; body: string }> {
  return new Promise((resolve, reject) => {
    http
      .get({ host: '127.0.0.1', port: Number(new URL(base).port), path: target }, (response) => {
        let body = '';
        response.on('data', (chunk: Buffer) => (body += chunk.toString()));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, body }));
      })
      .on('error', reject);
  });
}

test('the page comes with a strict content policy: no inline or remote scripts', async () => {
  const response = await fetch(`${base}/check/abc`);
  expect(response.status).toBe(200);
  const policy = response.headers.get('content-security-policy')!;
  expect(policy).toContain("default-src 'self'");
  expect(policy.match(/script-src[^;]*/)![0].trim()).toBe("script-src 'self' 'wasm-unsafe-eval'");
  expect(response.headers.get('x-content-type-options')).toBe('nosniff');
  expect(response.headers.get('x-powered-by')).toBeNull();
  expect(await response.text()).toContain('<title>page</title>');
});

test.each([
  '/../secret.txt',
  '/..%2fsecret.txt',
  '/assets/../../secret.txt',
  '/%2e%2e/secret.txt',
  '/assets/..%5c..%5csecret.txt',
  '/.hidden',
])('nothing outside the folder: %s', async (target) => {
  const { body } = await raw(target);
  expect(body).not.toContain('secret');
  expect(body).not.toContain('hidden');
});

test('health, assets and unknown interface paths', async () => {
  expect(await (await fetch(`${base}/api/health`)).json()).toEqual({ ok: true });
  expect((await fetch(`${base}/api/nothing`)).status).toBe(404);
  expect((await fetch(`${base}/assets/a.js`)).headers.get('cache-control')).toContain('immutable');
  expect((await fetch(`${base}/assets/none.js`)).status).toBe(404);
});

test('errors are told by their number: no path of this machine, no stack', async () => {
  for (const target of ['/assets/none.js', '/%E0%A4%A', '/assets/%00', '/%c0%ae%c0%ae/x']) {
    const { status, body } = await raw(target);
    expect(status, target).toBeGreaterThanOrEqual(400);
    expect(status, target).toBeLessThan(500);
    expect(body).not.toMatch(/\/(root|home|tmp|work|usr|node_modules)|at \w+ \(|Error:/);
    expect(body.length).toBeLessThan(80);
  }
  expect((await fetch(`${base}/check/abc`, { method: 'POST' })).status).toBe(405);
});

test('what browsers and robots ask for by themselves is there', async () => {
  const icon = await fetch(`${base}/favicon.ico`);
  expect([icon.status, icon.headers.get('content-type')]).toEqual([200, 'image/svg+xml']);
  expect(await (await fetch(`${base}/robots.txt`)).text()).toBe('User-agent: *\nDisallow: /\n');
});

test('under a name that is not its own it does not answer', async () => {
  const own = createApp(path.join(folder, 'page'), ['localhost', 'bench.example']).listen(0, '127.0.0.1');
  await new Promise((resolve) => own.once('listening', resolve));
  const { port } = own.address() as AddressInfo;
  const asked = (host: string): Promise<number> =>
    new Promise((resolve, reject) => {
      http
        .get({ host: '127.0.0.1', port, path: '/', headers: { host } }, (r) => resolve(r.resume().statusCode ?? 0))
        .on('error', reject);
    });
  expect(await asked('bench.example:4180')).toBe(200);
  expect(await asked('LOCALHOST')).toBe(200);
  for (const other of ['evil.example', '127.0.0.1.evil.example', 'localhost@evil.example', 'bench.example.'])
    expect(await asked(other), other).toBe(421);
  await new Promise((resolve) => own.close(resolve));
});

test('a folder without a built page is refused at once', () => {
  expect(() => createApp(path.join(folder, 'nothing'))).toThrow('createApp');
});

test('a new build under a running server: packed or not, what is there now is served', async () => {
  const page = path.join(folder, 'page');
  const get = async (target: string): Promise<[string, string | null]> => {
    const response = await fetch(`${base}${target}`, { headers: { 'accept-encoding': 'gzip' } });
    return [await response.text(), response.headers.get('content-encoding')];
  };
  writeFileSync(path.join(page, 'offline.js'), 'first');
  writeFileSync(path.join(page, 'offline.js.gz'), gzipSync('first'));
  expect(await get('/offline.js')).toEqual(['first', 'gzip']);
  // The next build packs nothing, and the one after it packs what did not exist before.
  rmSync(path.join(page, 'offline.js.gz'));
  writeFileSync(path.join(page, 'offline.js'), 'second');
  expect(await get('/offline.js')).toEqual(['second', null]);
  writeFileSync(path.join(page, 'assets/b.js'), 'third');
  writeFileSync(path.join(page, 'assets/b.js.gz'), gzipSync('third'));
  expect(await get('/assets/b.js')).toEqual(['third', 'gzip']);
});
