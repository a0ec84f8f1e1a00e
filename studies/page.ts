// From a typed figure to the new verdict on the page, and long tasks while typing, in headless Chromium on the built page.
import { chromium } from '@playwright/test';
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { FIRST_LOADS, firstLoad, kilobytes, scriptsOf } from '../e2e/firstLoad.ts';
import { fillLedger } from '../e2e/manyChecks.ts';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';

const root = path.resolve(import.meta.dirname, '..');
const { url, stop } = await servePage(4196);
const browser = await chromium.launch(CHROMIUM);
for (const wanted of FIRST_LOADS) {
  const first = await firstLoad(browser, `${url}/`, wanted);
  console.log(
    `first load, ${wanted.name}: ${kilobytes(first).toFixed(0)} kB of gzipped JavaScript in ${first.length} files (bar: ${wanted.barKb} kB)`,
  );
}
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const loaded = scriptsOf(page);
await page.goto(`${url}/`);
await page.getByRole('button', { name: /Start the first check/ }).click();
await page.getByLabel('Thermometer').fill('12');
await page.getByLabel('Ohms, sensor').fill('3.6k');
await page.getByLabel('Volts unplugged').fill('5.01');
await page.locator('.plot .trace').first().waitFor();
const worker = `/assets/${readdirSync(path.join(root, 'web/dist/assets')).find((f) => /engine.*worker/.test(f))!}`;
const chart = [...loaded].filter((script) => /plotly/.test(script));
console.log(`worker ${kilobytes([worker]).toFixed(0)} kB, chart ${kilobytes(chart).toFixed(0)} kB`);

/** Types figure after figure and waits each time for the verdict that names it; ms, and long tasks meanwhile. */
const typing = () =>
  page.evaluate(async () => {
    const input = document.querySelector<HTMLInputElement>('[data-measurement="loaded-voltage"] input')!;
    const panel = document.querySelector('[aria-label="Verdict"]')!;
    const long: number[] = [];
    new PerformanceObserver((list) => list.getEntries().forEach((e) => long.push(e.duration))).observe({
      type: 'longtask',
    });
    const waits: number[] = [];
    const letters: number[] = [];
    for (let i = 0; i < 25; i++) {
      const text = (2 + i / 12).toFixed(2);
      const start = performance.now();
      input.value = text;
      input.dispatchEvent(new Event('input', { bubbles: true }));
      // The letter is on the screen with the second frame.
      requestAnimationFrame(() => requestAnimationFrame(() => letters.push(performance.now() - start)));
      await new Promise<void>((resolve) => {
        const watcher = new MutationObserver(() => {
          if (!panel.textContent?.includes(`${text} V`)) return;
          watcher.disconnect();
          waits.push(performance.now() - start);
          resolve();
        });
        watcher.observe(panel, { subtree: true, childList: true, characterData: true });
      });
      await new Promise((resolve) => setTimeout(resolve, 80));
    }
    return { waits, letters, long };
  });
const times = await typing();
const phone = await page.context().newCDPSession(page);
await phone.send('Emulation.setCPUThrottlingRate', { rate: 4 });
const slow = await typing();
await phone.send('Emulation.setCPUThrottlingRate', { rate: 1 });
await page.goto(`${url}/shelf/divider`);
await page.locator('.plot .trace').first().waitFor();
await page.waitForTimeout(500);
const sliding = await page.evaluate(async () => {
  const slider = document.querySelectorAll<HTMLElement>('[role="slider"]')[1];
  const long: number[] = [];
  new PerformanceObserver((list) => list.getEntries().forEach((e) => long.push(e.duration))).observe({
    type: 'longtask',
  });
  const gaps: number[] = [];
  let last = performance.now();
  for (let i = 0; i < 120; i++) {
    const keyCode = i % 40 < 20 ? 39 : 37;
    slider.dispatchEvent(new KeyboardEvent('keydown', { keyCode, bubbles: true }));
    await new Promise(requestAnimationFrame);
    const now = performance.now();
    gaps.push(now - last);
    last = now;
  }
  return { long, gaps: gaps.sort((a, b) => a - b) };
});
const ledger = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await ledger.goto(`${url}/`);
await ledger.getByRole('button', { name: /Start the first check/ }).waitFor();
await fillLedger(ledger, 5000);
const firstRows = async (): Promise<number> => {
  const start = performance.now();
  await ledger.reload();
  await ledger.locator('[data-test="job"]').first().waitFor();
  return performance.now() - start;
};
const withoutCopy = await firstRows();
await ledger.waitForTimeout(3000);
const opening = [await firstRows(), await firstRows(), await firstRows()].sort((a, b) => a - b);
await ledger.waitForTimeout(3000);
const searches = await ledger.evaluate(async () => {
  const input = document.querySelector<HTMLInputElement>('[role="search"] input')!;
  const waits: number[] = [];
  for (let i = 0; i < 20; i++) {
    const number = String(4000 + 17 * i);
    const start = performance.now();
    input.value = number;
    input.dispatchEvent(new Event('input', { bubbles: true }));
    while (!document.querySelector('[data-test="job"]')?.textContent?.includes(`Machine ${number}`))
      await new Promise(requestAnimationFrame);
    waits.push(performance.now() - start);
    input.value = '';
    input.dispatchEvent(new Event('input', { bubbles: true }));
    await new Promise((resolve) => setTimeout(resolve, 300));
  }
  return waits.slice(2).sort((a, b) => a - b);
});
await browser.close();
stop();
/** The first few are the page warming up. */
const warm = (list: readonly number[]): number[] => list.slice(5).sort((a, b) => a - b);
const middle = (list: readonly number[]): string => list[Math.floor(list.length / 2)].toFixed(0);
const most = (list: readonly number[]): string => Math.max(0, ...list).toFixed(0);
for (const [name, t] of [
  ['', times],
  [' at a quarter of the speed', slow],
] as const) {
  console.log(
    `typed figure to new verdict${name}: median ${middle(warm(t.waits))} ms, slowest ${most(warm(t.waits))} ms (bar: 100 ms at full speed)`,
  );
  console.log(
    `the letter on the screen${name}: median ${middle(warm(t.letters))} ms, slowest ${most(warm(t.letters))} ms (bar: 50 ms)`,
  );
  console.log(`long tasks on the page while typing${name}: ${t.long.length}, longest ${most(t.long)} ms (bar: 50 ms)`);
}
console.log(
  `ledger of 5 000 checks: first rows ${middle(opening)} ms (bar: 1500), without its own copy ${withoutCopy.toFixed(0)} ms; a search median ${middle(searches)} ms, slowest ${most(searches)} ms (bar: 100)`,
);
console.log(
  `divider desk, 120 steps of a slider with both charts redrawn: median frame ${sliding.gaps[60].toFixed(0)} ms, 95 % ${sliding.gaps[114].toFixed(0)} ms; long tasks ${sliding.long.length}, longest ${Math.max(0, ...sliding.long).toFixed(0)} ms (bar: 50 ms)`,
);
