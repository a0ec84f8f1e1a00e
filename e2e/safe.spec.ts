import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { newJob } from '../core/src/check/job/newJob.ts';
import { newReading } from '../core/src/check/job/newReading.ts';
import { saveJob } from '../core/src/check/job/openJob.ts';
import { field, files, kept, openImport, startCheck } from './bench.ts';

// Everything out as one file, and back in on another device.

/** Everything that is kept in a workshop's stores, as text. */
const everything = (page: Page): Promise<Record<string, string>> =>
  page.evaluate(`(async () => {
    const out = {};
    for (const { name } of await indexedDB.databases()) {
      if (!/^mellow-probe(-demo)?(-photos|-shelf|-recordings|-training)?$/.test(name)) continue;
      const db = await new Promise((ok) => { const r = indexedDB.open(name); r.onsuccess = () => ok(r.result); });
      for (const store of db.objectStoreNames) {
        if (store.startsWith('local-forage')) continue;
        const s = db.transaction(store).objectStore(store);
        const [keys, values] = await Promise.all([s.getAllKeys(), s.getAll()].map((r) => new Promise((ok) => { r.onsuccess = () => ok(r.result); })));
        const plain = (_k, v) => (ArrayBuffer.isView(v) ? Array.from(v, String) : v);
        keys.forEach((k, i) => { out[store + '/' + k] = JSON.stringify(values[i], plain); });
      }
      db.close();
    }
    return out;
  })()`);

async function backup(page: Page, phrase = ''): Promise<string> {
  if (phrase) await page.getByLabel('Passphrase, to encrypt it').fill(phrase);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the backup' }).click(),
  ]);
  await expect(page.locator('[data-test="written"]')).toContainText(/records? in mellow-probe-/);
  return download.path();
}

test('the phone falls into the harbour: on a new one everything is back, key for key', async ({ page, browser }) => {
  test.slow();
  await startCheck(page);
  await field(page, 'Title of this check').fill('Winch');
  await field(page, 'Ohms, sensor').fill('2.2k');
  await page.locator('[data-station="look"]').click();
  await files(page, 'Add photos').setInputFiles('docs/screenshots/bench.png');
  await expect(page.getByAltText('bench', { exact: true })).toBeVisible();
  await page.locator('[data-station="quick"]').click();
  await kept(page);
  await page.goto('/logs');
  await files(page, 'a log file').setInputFiles('examples/logs/loose-plug.csv');
  await page.locator('[data-test="findings"]').waitFor();
  await page.goto('/shelf/kit');
  await page.locator('main').first().waitFor();
  await page.goto('/train/cases');
  await page.getByRole('button', { name: /Next case/ }).click();
  await page.locator('[data-test="probe"]').waitFor();
  await page.goto('/safe');
  const before = await everything(page);
  expect(Object.keys(before).map((k) => k.split('/')[0])).toEqual(
    expect.arrayContaining(['jobs', 'photos', 'recordings', 'training']),
  );
  const file = await backup(page);

  const next = await (await browser.newContext()).newPage();
  await next.goto('/safe');
  await files(next, 'a backup').setInputFiles(file);
  await expect(next.getByText(/Written on/)).toBeVisible();
  await next.getByRole('button', { name: /^Restore \d+ records/ }).click();
  await expect(next.locator('[data-test="taken"]')).toContainText('not here');
  const after = await everything(next);
  const wanted = Object.fromEntries(Object.entries(before).filter(([k]) => !k.startsWith('shelf/draft')));
  expect(Object.fromEntries(Object.entries(after).filter(([k]) => !k.startsWith('shelf/draft')))).toEqual(wanted);
  await next.locator('[data-test="taken"]').getByRole('link', { name: 'Checks' }).click();
  await next.getByRole('link', { name: 'Winch' }).click();
  await expect(field(next, 'Ohms, sensor')).toHaveValue('2.2k');
  await next.goto('/logs');
  await expect(next.getByRole('link', { name: /loose-plug/ })).toBeVisible();
  await next.context().close();
});

test('a hostile file: an id no address can hold, a photo that is none, OL on a display; what contradicts itself is refused', async ({
  page,
}) => {
  const job = newJob('a/b?c#d', '2026-01-02T03:04:05.000Z');
  job.title = 'Odd one';
  job.photos = [{ id: 'p', caption: 'no picture', takenAt: job.createdAt, image: 'data:image/jpeg;base64,AAAA' }];
  job.readings = [newReading('d', 'displayed', { text: 'OL', value: 'OL' })];
  const file = (name: string, text: string) => ({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await page.goto('/');
  await openImport(page);
  await files(page, 'Import check files').setInputFiles([
    file('odd.json', saveJob(job)),
    file('twice.json', saveJob({ ...job, readings: [...job.readings, ...job.readings] })),
    file('proved.json', saveJob({ ...job, closed: { at: job.createdAt, how: 'proved', reason: '' } })),
    file('deep.json', `{"format":"mellow-probe/job","formatVersion":6,"a":${'['.repeat(9000)}${']'.repeat(9000)}}`),
  ]);
  await expect(page.getByText('odd.json: added.')).toBeVisible();
  await expect(page.getByText(/twice.json: not opened.*the same id twice/)).toBeVisible();
  await expect(page.getByText(/proved.json: not opened.*without any proof/)).toBeVisible();
  await expect(page.getByText(/deep.json: not opened/)).toBeVisible();
  await page.getByRole('link', { name: 'Odd one' }).click();
  await expect(page.getByLabel('Title of this check')).toHaveValue('Odd one');
  expect(new URL(page.url()).pathname).toMatch(/^\/check\/[\w-]+$/);
  await expect(page.locator('body')).not.toContainText(/Infinity|NaN/);
  await page.goto(`${page.url()}/report`);
  await expect(page.locator('[data-test="unreadable"]')).toHaveText('1 photo is not a picture and is left out.');
  await expect(page.locator('body')).not.toContainText(/Infinity|NaN/);
  const [paper] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'PDF' }).click()]);
  expect(
    readFileSync(await paper.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
});

test('a browser without channels and locks between windows keeps all the same', async ({ page }) => {
  await page.addInitScript(() => {
    Reflect.deleteProperty(window, 'BroadcastChannel');
    Object.defineProperty(navigator, 'locks', { value: undefined });
  });
  await startCheck(page);
  await field(page, 'Title of this check').fill('Winch');
  await field(page, 'Ohms, sensor').fill('2.2k');
  await kept(page);
  await page.reload();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('2.2k');
  await page.goto('/safe');
  await backup(page);
});
