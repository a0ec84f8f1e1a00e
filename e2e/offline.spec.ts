import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { CHROMIUM } from '../scripts/builtPage.ts';
import { createApp } from '../server/src/app.ts';
import { begun, field, files, TOOL_PAGES, verdict } from './bench.ts';
import { tablePicture, dragCorners } from './tablePictures.ts';

// Without the server, and with a newer one: a server of the test's own, on a copy of the built page.

test.use({ serviceWorkers: 'allow', fetchesAhead: true });
let folder: string;
let server: Server;
let url: string;
test.beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'mellow-probe-'));
  cpSync('web/dist', folder, { recursive: true });
  server = createServer(createApp(folder));
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
async function end(): Promise<void> {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
}
test.afterEach(async () => {
  await end();
  rmSync(folder, { recursive: true });
});

/** Visits the page once, and waits until it has rested and everything is kept. */
async function visit(page: Page): Promise<void> {
  await page.goto(url);
  await begun(page);
  await expect(page.getByText('Four figures are enough')).toBeVisible();
  const state = (): Promise<unknown> =>
    page.evaluate('navigator.serviceWorker.getRegistration().then((r) => r?.active?.state)');
  await expect.poll(state, { timeout: 60_000 }).toBe('activated');
}

test('after one visit everything works with the server gone: checks, shelf, paper, training, logs, live values, pictures', async ({
  page,
  browser,
}) => {
  test.slow();
  const picture = await (async () => {
    const context = await browser.newContext({ deviceScaleFactor: 2 });
    const made = await tablePicture(await context.newPage(), 1);
    await context.close();
    return made;
  })();
  await visit(page);
  await page.goto(`${url}/settings/storage`);
  await page.getByRole('button', { name: /Make pictures work offline too/ }).click();
  await expect(page.locator('[data-test="reader"]')).toContainText('without the server too', { timeout: 60_000 });
  await page.goto(`${url}/`);
  await end();
  await page.reload();
  await page.getByRole('button', { name: 'Start the first check' }).click();
  await field(page, 'Volts unplugged').fill('5.0');
  await field(page, 'Ohms, sensor').fill('OL');
  await expect(verdict(page)).toContainText('Sensor');
  await expect(page.locator('.js-plotly-plot .main-svg').first()).toBeVisible();
  const check = page.url();
  await page.goto(`${check}/report`);
  const [paper] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF' }).click()]);
  expect(paper.suggestedFilename()).toMatch(/\.pdf$/);
  for (const tool of TOOL_PAGES) {
    await page.goto(`${url}/demo/shelf/${tool}`);
    await expect(page.locator('main, [data-tool]').first()).toBeVisible();
  }
  for (const address of ['/logbook', '/logbook/due', '/logbook/experience', '/take', '/demo/', '/train/course/load']) {
    await page.goto(`${url}${address}`);
    await expect(page.locator('main').first()).toBeVisible();
  }
  await page.goto(`${url}/train/cases`);
  await page.getByLabel('Case number').fill('2-VTP2ME-K');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('[data-test="probe"]')).toBeVisible();
  await page.goto(`${url}/logs`);
  await files(page, 'a log file').setInputFiles('examples/logs/loose-plug.csv');
  await expect(page.locator('[data-test="findings"]')).toBeVisible();
  await page.goto(`${url}/safe`);
  await expect(page.locator('[data-test="offline"]')).toHaveText(/^Works without the server/);
  const [backup] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the backup' }).click(),
  ]);
  expect(backup.suggestedFilename()).toMatch(/\.zip$/);
  await page.goto(`${url}/live`);
  await page.getByText('Simulated machine, to try').click();
  await page.getByRole('button', { name: 'Start the machine' }).click();
  await expect(page.locator('[data-test="stand-in"]')).toContainText('in this page, without the server');
  await page.goto(`${url}/shelf/own`);
  await page.getByLabel('From a picture').check();
  await files(page, 'Picture of the table').setInputFiles({
    name: 'page.png',
    mimeType: 'image/png',
    buffer: picture.png,
  });
  await expect(page.locator('.layer svg')).toBeVisible();
  await page.getByRole('button', { name: 'Read the table' }).scrollIntoViewIfNeeded();
  await dragCorners(page, picture);
  await page.getByRole('button', { name: 'Read the table' }).click();
  await expect(page.locator('[data-test="picture-figures"] tbody tr')).toHaveCount(picture.rows.length, {
    timeout: 60_000,
  });
});

test('a newer version is announced, waits in the middle of a check, and is taken when it is said; what was typed stays', async ({
  page,
}) => {
  await visit(page);
  await page.reload();
  await page.getByRole('button', { name: 'Start the first check' }).click();
  await field(page, 'Ohms, sensor').fill('2.2k');
  const opened = await page.evaluate('performance.timeOrigin');
  // A deploy under the open page.
  appendFileSync(path.join(folder, 'offline.js'), '\n// newer\n');
  await page.evaluate('navigator.serviceWorker.getRegistration().then((r) => r.update())');
  const waits = (): Promise<unknown> =>
    page.evaluate('navigator.serviceWorker.getRegistration().then((r) => r.waiting !== null)');
  await expect.poll(waits).toBe(true);
  await page.waitForTimeout(500);
  expect(await page.evaluate('performance.timeOrigin')).toBe(opened);
  await expect(field(page, 'Ohms, sensor')).toHaveValue('2.2k');
  await page.getByRole('link', { name: 'Checks' }).click();
  await expect(page.getByText('An update is ready')).toBeVisible();
  const again = page.waitForEvent('load');
  await page.getByRole('button', { name: 'Update now' }).click();
  await again;
  await expect(page.locator('[data-test="job"]')).toHaveCount(1);
  await expect.poll(waits).toBe(false);
  await page.locator('[data-test="job"]').getByRole('link').first().click();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('2.2k');
});

test('a newer version is taken even where the first asking came to nothing', async ({ page }) => {
  await visit(page);
  await page.goto(`${url}/safe`);
  await expect(page.locator('[data-test="offline"]')).toHaveText(/^Works without the server/);
  await page.evaluate('ServiceWorker.prototype.postMessage = () => undefined');
  appendFileSync(path.join(folder, 'offline.js'), '\n// newer\n');
  await page.evaluate('navigator.serviceWorker.getRegistration().then((r) => r.update())');
  await page.getByRole('button', { name: 'Update now' }).click();
  const left = (): Promise<unknown> =>
    page
      .evaluate('navigator.serviceWorker.getRegistration().then((r) => [r.waiting !== null, sessionStorage.length])')
      .catch(() => 'opening');
  // What stays of the session is the window's name: nothing is asked any more.
  await expect.poll(left, { timeout: 30_000 }).toEqual([false, 1]);
  await expect(page.locator('[data-test="offline"]')).toHaveText(/^Works without the server/);
});

test('it can be installed: the browser reports no error', async () => {
  const profile = mkdtempSync(path.join(tmpdir(), 'mellow-profile-'));
  const context = await chromium.launchPersistentContext(profile, CHROMIUM);
  try {
    const page = await context.newPage();
    await visit(page);
    const session = await context.newCDPSession(page);
    expect(await session.send('Page.getInstallabilityErrors')).toEqual({ installabilityErrors: [] });
    const { errors } = await session.send('Page.getAppManifest');
    expect(errors).toEqual([]);
  } finally {
    await context.close();
    rmSync(profile, { recursive: true, force: true });
  }
});
