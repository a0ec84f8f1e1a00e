// From a typed figure to the new verdict on the page, and long tasks while typing, in headless Chromium on the built page.
import { chromium } from '@playwright/test';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';

const root = path.resolve(import.meta.dirname, '..');
const { url, stop } = await servePage(4196);
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const loaded: string[] = [];
page.on('response', (r) => void (/\.js$/.test(r.url()) && loaded.push(path.basename(r.url()))));
await page.goto(`${url}/`);
await page.getByRole('button', { name: /Start the first check/ }).click();
await page.getByLabel('Thermometer').fill('12');
await page.getByLabel('Sensor ohms').fill('3.6k');
await page.getByLabel('Volts, unplugged').fill('5.01');
await page.locator('.plot .trace').first().waitFor();
const size = (name: string): number => gzipSync(readFileSync(path.join(root, 'web/dist/assets', name))).length;
const first = [...new Set(loaded)].filter((f) => !/plotly|PlotFigure|pdfmake|worker/.test(f));
console.log(
  `first load without chart library and worker: ${(first.reduce((s, f) => s + size(f), 0) / 1000).toFixed(0)} kB of gzipped JavaScript in ${first.length} files (bar: 300 kB)`,
);
console.log(
  `worker ${(size(readdirSync(path.join(root, 'web/dist/assets')).find((f) => /worker/.test(f))!) / 1000).toFixed(0)} kB, chart ${(size(loaded.find((f) => /plotly/.test(f))!) / 1000).toFixed(0)} kB`,
);

const times = await page.evaluate(async () => {
  const input = document.querySelector<HTMLInputElement>('[data-measurement="loaded-voltage"] input')!;
  const panel = document.querySelector('[aria-label="Verdict"]')!;
  const long: number[] = [];
  new PerformanceObserver((list) => list.getEntries().forEach((e) => long.push(e.duration))).observe({
    type: 'longtask',
  });
  const waits: number[] = [];
  for (let i = 0; i < 25; i++) {
    const text = (2 + i / 12).toFixed(2);
    const start = performance.now();
    input.value = text;
    input.dispatchEvent(new Event('input', { bubbles: true }));
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
  return { waits: waits.slice(5), long };
});
await page.goto(`${url}/shelf/divider`);
await page.locator('.plot .trace').first().waitFor();
await page.waitForTimeout(500);
const sliding = await page.evaluate(async () => {
  const slider = document.querySelector<HTMLInputElement>('input[aria-label="Series resistance"]')!;
  const long: number[] = [];
  new PerformanceObserver((list) => list.getEntries().forEach((e) => long.push(e.duration))).observe({
    type: 'longtask',
  });
  const gaps: number[] = [];
  let last = performance.now();
  for (let i = 0; i < 120; i++) {
    slider.value = String((i % 100) / 100);
    slider.dispatchEvent(new Event('input', { bubbles: true }));
    await new Promise(requestAnimationFrame);
    const now = performance.now();
    gaps.push(now - last);
    last = now;
  }
  return { long, gaps: gaps.sort((a, b) => a - b) };
});
await browser.close();
stop();
const sorted = times.waits.sort((a, b) => a - b);
console.log(
  `typed figure to new verdict: median ${sorted[Math.floor(sorted.length / 2)].toFixed(0)} ms, slowest ${sorted[sorted.length - 1].toFixed(0)} ms (bar: 100 ms)`,
);
console.log(
  `long tasks on the page while typing: ${times.long.length}, longest ${Math.max(0, ...times.long).toFixed(0)} ms (bar: 50 ms)`,
);
console.log(
  `divider desk, 120 steps of a slider with both charts redrawn: median frame ${sliding.gaps[60].toFixed(0)} ms, 95 % ${sliding.gaps[114].toFixed(0)} ms; long tasks ${sliding.long.length}, longest ${Math.max(0, ...sliding.long).toFixed(0)} ms (bar: 50 ms)`,
);
