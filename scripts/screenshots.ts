// Renews docs/screenshots from the demo data: build first (npm run build).
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import path from 'node:path';

const root = path.resolve(import.meta.dirname, '..');
const port = 4197;
const base = `http://127.0.0.1:${port}`;
const server = spawn('npx', ['--no-install', 'tsx', 'server/src/main.ts'], { cwd: root, env: { ...process.env, PORT: String(port) }, detached: true });
for (let i = 0; i < 100; i++) {
  if (await fetch(`${base}/api/health`).then((r) => r.ok, () => false)) break;
  await new Promise((resolve) => setTimeout(resolve, 200));
}
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shoot = async (name: string): Promise<void> => {
  await page.waitForTimeout(1200);
  await page.screenshot({ path: path.join(root, 'docs/screenshots', `${name}.png`) });
};
const open = async (title: RegExp): Promise<void> => {
  await page.goto(`${base}/demo/`);
  await page.getByRole('link', { name: title }).click();
  await page.locator('[data-test="evidence"]').waitFor();
  await page.locator('.plot .trace').first().waitFor();
};

await page.goto(base);
await page.getByText('Four figures are enough').waitFor();
await shoot('ledger-empty');
await page.goto(`${base}/demo/`);
await page.locator('[data-test="job"]').first().waitFor();
await shoot('ledger');
await open(/Pilot boat/);
await shoot('bench');
await page.getByRole('button', { name: 'Dark' }).click();
await open(/Swimming bath/);
await shoot('bench-dark');
await page.getByRole('button', { name: 'Light' }).click();
await page.setViewportSize({ width: 800, height: 1280 });
await open(/Cold store/);
await shoot('bench-tablet');
await browser.close();
process.kill(-server.pid!);
