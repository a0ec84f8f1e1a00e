// A workshop of 5,000 checks in the built page: how long until the first rows stand, how long a search takes, and what it holds in memory. Part of
// `npm run campaign`. Arguments: checks (5000), visits (10).
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';
import { noteReliability } from '../scripts/noteReliability.ts';
import { fillLedger } from './manyChecks.ts';

const [checks, visits] = [5000, 10].map((usual, i) => Number(process.argv[2 + i] ?? usual));
const SEARCHES = ['machine 4321', 'frost gauge 10', 'sensor 3', 'made-up machine 77', 'reads low'];
const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1];

/** Milliseconds from a letter in the search field to the rows that go with it, by the page's own clock. */
const search = (page: Page, words: string): Promise<number> =>
  page.getByLabel('Search checks').evaluate(async (field: HTMLInputElement, text) => {
    const list = document.querySelector('main')!;
    const begun = performance.now();
    const changed = new Promise<void>((done) => {
      const watcher = new MutationObserver(() => (watcher.disconnect(), requestAnimationFrame(() => done())));
      watcher.observe(list, { childList: true, subtree: true, characterData: true });
    });
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    await changed;
    return performance.now() - begun;
  }, words);

const { url, stop } = await servePage(4194);
const browser = await chromium.launch(CHROMIUM);
try {
  const page = await (await browser.newContext()).newPage();
  await page.goto(url);
  await page.getByRole('button', { name: 'Start the first check' }).click();
  await page.getByText('Saved', { exact: true }).waitFor();
  await page.goto(url);
  await page.locator('[data-test="job"]').first().waitFor();
  await fillLedger(page, checks);
  await page.reload();
  await page.locator('[data-test="job"]').nth(20).waitFor({ timeout: 120_000 });
  const rows: number[] = [];
  const searches: number[] = [];
  for (let visit = 0; visit < visits; visit++) {
    await page.goto('about:blank');
    await page.goto(url);
    await page.locator('[data-test="job"]').first().waitFor();
    rows.push(await page.evaluate(() => performance.now()));
    await page.locator('[data-test="job"]').nth(20).waitFor();
    for (const words of SEARCHES) searches.push(await search(page, words));
    await page.getByLabel('Search checks').fill('');
  }
  const session = await page.context().newCDPSession(page);
  await session.send('HeapProfiler.collectGarbage');
  const { usedSize } = await session.send('Runtime.getHeapUsage');
  const told = `${checks} checks, ${visits} visits: first rows after ${Math.round(median(rows))} ms (worst ${Math.round(Math.max(...rows))}; bar 1000); ${searches.length} searches ${Math.round(median(searches))} ms (worst ${Math.round(Math.max(...searches))}; bar 100); heap ${(usedSize / 1e6).toFixed(0)} MB`;
  console.log(told);
  noteReliability('a workshop of many checks', told);
  process.exitCode = median(rows) <= 1000 && median(searches) <= 100 ? 0 : 1;
} finally {
  await browser.close();
  stop();
}
