import { spawn } from 'node:child_process';
import { generateKeyPairSync } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { isOurHost, readSettings } from './settings.ts';

const settings = (env: Record<string, string>) => {
  const read = readSettings(env);
  if (!read.ok) throw new Error(read.why);
  return read.settings;
};
const pem = (name: string): string => path.resolve(import.meta.dirname, '../test', name);
const why = (env: Record<string, string>): string => {
  const read = readSettings(env);
  return read.ok ? '' : read.why;
};

describe('what the environment says', () => {
  test('nothing: this device alone, plain, its usual port', () => {
    expect(settings({})).toEqual({
      ...{ host: '127.0.0.1', port: 4180, tls: null },
      hosts: ['localhost', '127.0.0.1', '[::1]'],
    });
  });
  test('an address and names, in any case; every address of the device is no name', () => {
    expect(settings({ HOST: 'Bench.local', ALLOWED_HOSTS: 'a.example, 192.168.1.5 [fe80::1]' }).hosts).toEqual([
      ...['localhost', '127.0.0.1', '[::1]', 'bench.local', 'a.example', '192.168.1.5', '[fe80::1]'],
    ]);
    expect(settings({ HOST: '0.0.0.0' }).hosts).toEqual(['localhost', '127.0.0.1', '[::1]']);
    expect(settings({ HOST: 'fe80::2' }).hosts).toContain('[fe80::2]');
  });
  test('what cannot be used is said by its name', () => {
    expect(why({ PORT: '' })).toMatch(/^PORT must/);
    expect(why({ PORT: '99999' })).toMatch(/"99999"/);
    expect(why({ HOST: ' ' })).toMatch(/^HOST/);
    expect(why({ ALLOWED_HOSTS: 'a.example:80' })).toMatch(/no ports/);
    expect(why({ TLS_CERT: '/nowhere.pem' })).toMatch(/go together/);
    expect(why({ TLS_CERT: '/nowhere.pem', TLS_KEY: import.meta.filename })).toBe(
      'TLS_CERT names a file that is not there: /nowhere.pem',
    );
    expect(settings({ TLS_CERT: pem('cert.pem'), TLS_KEY: pem('key.pem') }).tls).not.toBeNull();
  });
  test('certificate and key that cannot be used together are said in one sentence', () => {
    expect(why({ TLS_CERT: pem('key.pem'), TLS_KEY: pem('cert.pem') })).toBe(
      'TLS_CERT names the key and TLS_KEY the certificate: swap them.',
    );
    expect(why({ TLS_CERT: import.meta.filename, TLS_KEY: pem('key.pem') })).toMatch(/^TLS_CERT holds no certificate/);
    expect(why({ TLS_CERT: pem('cert.pem'), TLS_KEY: import.meta.filename })).toMatch(/^TLS_KEY holds no private key/);
    expect(why({ TLS_CERT: import.meta.dirname, TLS_KEY: pem('key.pem') })).toMatch(/^TLS_CERT cannot be read/);
    expect(why({ TLS_CERT: pem('cert.pem'), TLS_KEY: import.meta.dirname })).toMatch(/^TLS_KEY cannot be read/);
    // Another pair's key.
    const { privateKey } = generateKeyPairSync('rsa', { modulusLength: 2048 });
    const other = path.join(mkdtempSync(path.join(tmpdir(), 'mellow-probe-key-')), 'key.pem');
    writeFileSync(other, privateKey.export({ type: 'pkcs8', format: 'pem' }));
    expect(why({ TLS_CERT: pem('cert.pem'), TLS_KEY: other })).toMatch(/^TLS_CERT and TLS_KEY cannot be used together/);
    rmSync(path.dirname(other), { recursive: true });
  });
});

test('a host is ours by its name, whatever the port', () => {
  const hosts = ['localhost', '[::1]'];
  for (const ours of ['localhost', 'localhost:1', 'LocalHost:65535', '[::1]:4180'])
    expect(isOurHost(ours, hosts)).toBe(true);
  for (const other of [undefined, '', 'localhost:', 'localhost:123456', 'x.localhost', '::1', 'localhost, evil'])
    expect(isOurHost(other, hosts), String(other)).toBe(false);
  expect(isOurHost('anything', null)).toBe(true);
});

/** Starts the server itself with this environment, and says how it ended. */
function ends(env: Record<string, string>): Promise<{ code: number | null; said: string }> {
  const main = path.resolve(import.meta.dirname, 'main.ts');
  const child = spawn('node', ['--import', 'tsx', main], { env: { ...process.env, PORT: '0', ...env } });
  let said = '';
  child.stderr.on('data', (data: Buffer) => (said += data.toString()));
  return new Promise((resolve) => child.on('close', (code) => resolve({ code, said })));
}

test('a wrong setting ends it at once with 2', async () => {
  const { code, said } = await ends({ PORT: '' });
  expect([code, said.trim()]).toEqual([2, 'PORT must be a number from 0 to 65535, not "".']);
});

test('swapped certificate and key end it with one sentence, no stack', async () => {
  const { code, said } = await ends({ TLS_CERT: pem('key.pem'), TLS_KEY: pem('cert.pem') });
  expect([code, said.trim()]).toEqual([2, 'TLS_CERT names the key and TLS_KEY the certificate: swap them.']);
});
