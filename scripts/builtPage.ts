// The built page and a browser for it, for the commands that drive it outside the browser tests.
import { spawn, spawnSync } from 'node:child_process';
import path from 'node:path';

const root = path.resolve(import.meta.dirname, '..');

/** How Debian's headless Chromium is started here, also by the browser tests: nothing that asks the network. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--font-render-hinting=none',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** A browser dies as by a power switch: every process of this profile at once. */
export const killBrowser = (profile: string): void =>
  void spawnSync('pkill', ['-KILL', '-f', `user-data-dir=${profile}`]);

/** Serves the built page (`npm run build` first) on a port of this machine. Throws where it does not answer within 20 s. */
export async function servePage(port: number): Promise<{ url: string; stop: () => void }> {
  const url = `http://127.0.0.1:${port}`;
  const server = spawn('node', ['server/dist/main.js'], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: 'ignore',
  });
  const stop = (): void => void server.kill();
  const answers = (): Promise<boolean> =>
    fetch(`${url}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
  for (let i = 0; i < 100; i++) {
    if (await answers()) return { url, stop };
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  stop();
  throw new Error(`servePage: no answer at ${url}`);
}
