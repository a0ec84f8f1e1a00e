// Backups under blows, in the real browser: 5 000 checks and 500 photos out and back, key for key; 200 checks, the browser killed at a random moment of
// writing or taking in. Arguments: kills (50), checks of the large one (5000), first seed (1). Part of `npm run campaign`.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { type BrowserContext, chromium, expect, type Page } from '@playwright/test';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { CHROMIUM, killBrowser, servePage } from '../scripts/builtPage.ts';
import { noteReliability } from '../scripts/noteReliability.ts';
import { begun, files } from './bench.ts';
import { fillLedger } from './manyChecks.ts';

const [kills, large, first] = [50, 5000, 1].map((usual, i) => Number(process.argv[2 + i] ?? usual));
const { url, stop } = await servePage(4288);
const folders: string[] = [];
interface Browser {
  context: BrowserContext;
  page: Page;
  folder: string;
}
async function start(folder = mkdtempSync(path.join(tmpdir(), 'mellow-probe-backup-'))): Promise<Browser> {
  folders.push(folder);
  const context = await chromium.launchPersistentContext(folder, {
    ...CHROMIUM,
    baseURL: url,
    serviceWorkers: 'block',
  });
  return { context, folder, page: context.pages()[0] ?? (await context.newPage()) };
}

/** Sum of everything in the stores of checks and photos, and how many records. */
const sumOf = (page: Page): Promise<{ count: number; sum: string }> =>
  page.evaluate(`(async () => {
    const parts = [];
    for (const name of ['mellow-probe', 'mellow-probe-photos']) {
      const db = await new Promise((ok) => { const r = indexedDB.open(name); r.onsuccess = () => ok(r.result); });
      for (const store of [...db.objectStoreNames].filter((s) => !s.startsWith('local-forage'))) {
        const s = db.transaction(store).objectStore(store);
        const [keys, values] = await Promise.all([s.getAllKeys(), s.getAll()].map((r) => new Promise((ok) => { r.onsuccess = () => ok(r.result); })));
        keys.forEach((k, i) => parts.push(k + JSON.stringify(values[i])));
      }
      db.close();
    }
    const bytes = new TextEncoder().encode(parts.sort().join('\\n'));
    const sum = [...new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))].map((b) => b.toString(16).padStart(2, '0')).join('');
    return { count: parts.length, sum };
  })()`);

/** Checks behind the program's back, and photos of noise. */
async function fill(page: Page, checks: number, photos: number): Promise<void> {
  await page.goto('/safe');
  // Weighing what is kept opens, and so makes, every store.
  await page.getByRole('button', { name: 'What takes space' }).click();
  await expect
    .poll(() =>
      page.evaluate(async () => (await indexedDB.databases()).find((d) => d.name === 'mellow-probe-photos')?.version),
    )
    .toBeGreaterThan(1);
  await page.goto('/');
  await begun(page);
  await page.getByText('Four figures are enough').waitFor();
  await fillLedger(page, checks);
  await page.evaluate(async (count) => {
    const db = await new Promise<IDBDatabase>((ok) => {
      const request = indexedDB.open('mellow-probe-photos');
      request.onsuccess = () => ok(request.result);
    });
    const put = db.transaction('photos', 'readwrite');
    for (let i = 0; i < count; i++) {
      const noise = crypto.getRandomValues(new Uint8Array(40_000));
      const text = btoa(String.fromCharCode(0xff, 0xd8, 0xff, ...noise));
      put.objectStore('photos').put(`data:image/jpeg;base64,${text}`, `many-${i}/p${i}`);
    }
    await new Promise<void>((ok) => (put.oncomplete = () => ok()));
    db.close();
  }, photos);
}
async function write(page: Page): Promise<string> {
  await page.goto('/safe');
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 600_000 }),
    page.getByRole('button', { name: 'Save the backup' }).click(),
  ]);
  return download.path();
}
async function look(page: Page, file: string): Promise<void> {
  await page.goto('/safe');
  await files(page, 'a backup').setInputFiles(file);
  await page.getByRole('button', { name: /^Restore \d/ }).waitFor({ timeout: 600_000 });
}
/** Takes in what was looked at, to its end. */
async function takeIn(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Restore \d/ }).click();
  await page.locator('[data-test="taken"]').waitFor({ timeout: 600_000 });
}

const wrong: string[] = [];
try {
  if (large > 0) {
    const [old, next] = [await start(), await start()];
    await fill(old.page, large, Math.round(large / 10));
    const before = await sumOf(old.page);
    let at = Date.now();
    const file = await write(old.page);
    const written = Date.now() - at;
    at = Date.now();
    await look(next.page, file);
    await takeIn(next.page);
    const taken = Date.now() - at;
    const after = await sumOf(next.page);
    if (after.sum !== before.sum) wrong.push(`large: ${before.count} records became ${after.count}`);
    const text = `${before.count} records written in ${Math.round(written / 1000)} s, looked at and taken in on another device in ${Math.round(taken / 1000)} s, ${after.sum === before.sum ? 'the same key for key' : 'NOT THE SAME'}`;
    console.log(text);
    noteReliability('backup of a large workshop', text);
    await Promise.all([old.context.close(), next.context.close()]);
  }
  const old = await start();
  await fill(old.page, 200, 20);
  const whole = await sumOf(old.page);
  const file = await write(old.page);
  const keep = path.join(mkdtempSync(path.join(tmpdir(), 'mellow-probe-kept-')), 'backup.zip');
  spawnSync('cp', [file, keep]);
  // How long it takes undisturbed: the blows fall over all of it, and a little beyond.
  const quiet = await start();
  await look(quiet.page, keep);
  const begun = Date.now();
  await takeIn(quiet.page);
  const takes = Date.now() - begun;
  await quiet.context.close();
  const counts = { writing: 0, 'nothing yet': 0, 'all of it': 0 };
  for (let k = 0; k < kills; k++) {
    const uniform = seededUniform(first + k);
    if (k % 5 === 0) {
      // While it is written: what is kept does not change.
      await old.page.goto('/safe');
      await old.page.getByRole('button', { name: 'Save the backup' }).click();
      await old.page.waitForTimeout(uniform() * 900);
      killBrowser(old.folder);
      await old.context.close().catch(() => undefined);
      Object.assign(old, await start(old.folder));
      await old.page.goto('/');
      await old.page.locator('[data-test="job"]').first().waitFor();
      if ((await sumOf(old.page)).sum !== whole.sum)
        wrong.push(`kill ${k}: what was kept has changed while it was written`);
      counts.writing++;
      continue;
    }
    const next = await start();
    await look(next.page, keep);
    await next.page.getByRole('button', { name: /^Restore \d/ }).click();
    await next.page.waitForTimeout(uniform() * 1.1 * takes);
    killBrowser(next.folder);
    await next.context.close().catch(() => undefined);
    const again = await start(next.folder);
    await again.page.goto('/');
    await again.page
      .getByText('Four figures are enough')
      .or(again.page.locator('[data-test="job"]').first())
      .first()
      .waitFor({ timeout: 60_000 });
    await again.page.goto('/logbook');
    await again.page.locator('main section').first().waitFor();
    const after = await sumOf(again.page);
    if (after.count === 0) counts['nothing yet']++;
    else if (after.sum === whole.sum) counts['all of it']++;
    else wrong.push(`kill ${k}: ${after.count} of ${whole.count} records`);
    await again.context.close();
  }
  await old.context.close();
  const told = `${kills} kills on 200 checks: ${counts.writing} while writing, nothing changed; while taking in ${counts['nothing yet']} left nothing yet, ${counts['all of it']} all of it; ${wrong.length} wrong (bar: 0)`;
  console.log(told);
  noteReliability('backup under kills', told);
} catch (error) {
  wrong.push(String(error).slice(0, 600));
} finally {
  stop();
  for (const folder of folders) {
    killBrowser(folder);
    rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 });
  }
}
for (const w of wrong) console.log(w);
process.exit(wrong.length === 0 ? 0 : 1);
