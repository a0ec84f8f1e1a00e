// Hostile files and texts through the page: nothing throws, nothing hangs, no figure that is none is shown. Arguments: inputs (3000), first seed (1).
// Two thirds are files opened from the ledger, of which every batch has some looked at on bench and paper; the rest is typed, pasted or followed as links.
import { type Browser, chromium, type Page } from '@playwright/test';
import { hostileSource, oddFigure } from '../core/test/hostileJobs.ts';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';
import { noteReliability } from '../scripts/noteReliability.ts';
import { field, files, openImport, startCheck } from './bench.ts';

const [count, first] = [Number(process.argv[2] ?? 3000), Number(process.argv[3] ?? 1)];
const { url, stop } = await servePage(4289);
const BATCH = 40;
/** Of a batch, so many of the checks that opened are looked at. */
const LOOKED_AT = 3;
const faults: string[] = [];
const counts = { files: 0, 'looked at': 0, figures: 0, tables: 0, links: 0, searches: 0 };
const hostile = hostileSource(first);
const text = hostile.figurelessText;

/** A page of its own that tells what goes wrong in it, also when it stands still for more than two seconds. */
async function newPage(browser: Browser, told: () => string): Promise<Page> {
  const context = await browser.newContext({ baseURL: url, serviceWorkers: 'block' });
  const page = await context.newPage();
  const fault = (what: string): void => void faults.push(`${told()}: ${what.slice(0, 300)}`);
  page.on('pageerror', (error) => fault(String(error)));
  page.on('crash', () => fault('the page crashed'));
  await page.exposeFunction('stoodStill', (ms: number) => fault(`stood still for ${Math.round(ms)} ms`));
  await page.addInitScript(() => {
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries())
        if (duration > 2000) (window as unknown as { stoodStill: (ms: number) => void }).stoodStill(duration);
    }).observe({ type: 'longtask' });
  });
  return page;
}
async function sensible(page: Page, what: string): Promise<void> {
  const odd = oddFigure(await page.locator('body').innerText());
  if (odd) faults.push(`${what}: "${odd}"`);
}

const browser = await chromium.launch(CHROMIUM);
let what = '';
const told = (): string => what;
try {
  while (counts.files < Math.round((2 * count) / 3)) {
    const page = await newPage(browser, told);
    await page.goto('/');
    const batch = Array.from({ length: BATCH }, (_, i) => ({
      name: `f${i}.json`,
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(hostile.job())),
    }));
    what = `files ${first}/${counts.files}`;
    await openImport(page);
    await files(page, 'Import check files').setInputFiles(batch);
    const note = page.locator('.lines');
    await note.waitFor({ timeout: 120_000 });
    const lines = (await note.innerText())
      .split('\n')
      .filter((line) => /^f\d+\.json: (added\.|not opened\. \S)/.test(line));
    if (lines.length !== BATCH) faults.push(`${what}: ${lines.length} of ${BATCH} files are told of`);
    counts.files += BATCH;
    await sensible(page, `${what}, ledger`);
    const links = await page
      .locator('[data-test="job"] a[href*="/check/"]')
      .evaluateAll((list) => list.map((a) => (a as HTMLAnchorElement).pathname));
    for (const link of [...new Set(links)].filter((l) => /\/check\/[^/]+$/.test(l)).slice(0, LOOKED_AT)) {
      what = `files ${first}/${counts.files}, ${link}`;
      await page.goto(link);
      await page.locator('[data-station]').first().waitFor();
      await page
        .locator('[data-test="verdict"]')
        .or(page.getByText('The circuit is not complete'))
        .first()
        // After a repair it lies folded away.
        .waitFor({ state: 'attached', timeout: 60_000 });
      await sensible(page, what);
      await page.goto(`${link}/report`);
      await page.locator('[data-section]').first().waitFor({ timeout: 60_000 });
      await sensible(page, `${what}, report`);
      counts['looked at']++;
    }
    await page.context().close();
    if (counts.files % 400 === 0) console.error(`${counts.files} files, ${faults.length} faults`);
  }

  const page = await newPage(browser, told);
  await page.goto('/');
  await startCheck(page);
  const FIELDS = [
    'Reference',
    'Thermometer',
    'Displayed',
    'Ohms, sensor',
    'Volts unplugged',
    'Volts plugged in',
    'Return voltage drop',
  ];
  for (let n = 0; n < Math.round(count / 6); n++) {
    const typed = text(6);
    what = `figure ${JSON.stringify(typed)}`;
    await field(page, FIELDS[n % FIELDS.length]).fill(typed);
    counts.figures++;
    if (n % FIELDS.length === FIELDS.length - 1) {
      await page.waitForTimeout(150);
      await sensible(page, what);
    }
  }
  await page.goto('/shelf/own');
  for (let n = 0; n < Math.round(count / 18); n++) {
    const table = Array.from({ length: 5 }, () => `${text(3)};${text(3)}`).join('\n');
    what = `table ${JSON.stringify(table)}`;
    await page.locator('textarea').first().fill(table);
    counts.tables++;
    await page.waitForTimeout(60);
    await sensible(page, what);
  }
  for (let n = 0; n < Math.round(count / 18); n++) {
    // Half a sign of two cannot be written into an address.
    const link = encodeURIComponent(text(6).replace(/\p{Surrogate}/gu, ''));
    what = `link ${link}`;
    await page.goto(`/take#${link}`);
    await page.locator('main').first().waitFor();
    counts.links++;
    await sensible(page, what);
  }
  await page.goto('/');
  for (let n = 0; n < Math.round(count / 18); n++) {
    const search = text(4);
    what = `search ${JSON.stringify(search)}`;
    await page.getByLabel('Search checks').fill(search);
    counts.searches++;
    if (n % 10 === 0) await sensible(page, what);
  }
} catch (error) {
  faults.push(`${what}: the campaign itself failed: ${String(error).slice(0, 300)}`);
} finally {
  await browser.close();
  stop();
}
for (const fault of faults.slice(0, 30)) console.log(fault);
const { 'looked at': looked, ...inputs } = counts;
const sum = Object.values(inputs).reduce((a, b) => a + b, 0);
const line = `${sum} inputs (${Object.entries(inputs)
  .map(([kind, n]) => `${kind} ${n}`)
  .join(', ')}; ${looked} checks looked at on bench and paper): ${faults.length} faults (bar: 0)`;
console.log(line);
noteReliability('hostile inputs through the page', line);
process.exit(faults.length === 0 ? 0 : 1);
