// The log laboratory on the page itself with a million rows: longest task of the page's own thread, memory, and how long a zoom takes to its picture.
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { files } from '../e2e/bench.ts';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';

const { url, stop } = await servePage(4195);
const browser = await chromium.launch({
  ...CHROMIUM,
  args: [...(CHROMIUM.args ?? []), '--enable-precise-memory-info'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.addInitScript(() => {
  const own = window as unknown as { longest: number; tasks: number };
  [own.longest, own.tasks] = [0, 0];
  new PerformanceObserver((list) => {
    for (const e of list.getEntries()) {
      own.longest = Math.max(own.longest, e.duration);
      own.tasks++;
    }
  }).observe({ type: 'longtask', buffered: false });
});
await page.goto(`${url}/logs`);
await page.waitForTimeout(3000);
const rows = Array.from(
  { length: 1_000_000 },
  (_, i) =>
    `${(i / 20).toFixed(2)},${(80 + Math.sin(i / 1000)).toFixed(1)},${(1 + Math.sin(i / 900)).toFixed(3)},${(70 + Math.cos(i / 1000)).toFixed(1)}`,
);
// By its path: handed over as bytes it would be put together on the page's own thread.
const file = path.join(mkdtempSync(path.join(tmpdir(), 'mellow-probe-')), 'million.csv');
writeFileSync(file, `time [s],coolant [°C],signal [V],oil [°C]\n${rows.join('\n')}\n`);
await page.evaluate(() => {
  const own = window as unknown as { longest: number; tasks: number };
  [own.longest, own.tasks] = [0, 0];
});
const memory = await workerMemory(page);
await files(page, 'a log file').setInputFiles(file);
await page.getByRole('heading', { name: /Findings|Nothing unusual found/ }).waitFor({ timeout: 120_000 });
const told = await page.evaluate(() => {
  const own = window as unknown as { longest: number; tasks: number };
  return { longest: own.longest, tasks: own.tasks };
});
console.log(`reading and analysing: ${told.tasks} long tasks, the longest ${Math.round(told.longest)} ms`);
const heap = await page.evaluate(
  () => (performance as unknown as { memory: { usedJSHeapSize: number } }).memory.usedJSHeapSize,
);
console.log(`heap of the page, without its worker: ${Math.round(heap / 1e6)} MB`);
const most = memory.stop();
console.log(
  `the worker at its most: ${Math.round(most / 1e6)} MB, ${most === 0 ? 'not measured' : 'heap and the arrays outside it'}`,
);
const zooms: number[] = [];
for (let k = 0; k < 12; k++) {
  zooms.push(
    await page.evaluate(
      async (name) => {
        const chart = document.querySelector<HTMLElement>('[data-test="log-chart"]')!;
        const before = chart.dataset.drawn;
        const button = [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === name)!;
        const at = performance.now();
        button.click();
        while (chart.dataset.drawn === before || performance.now() - at < 1)
          await new Promise((r) => requestAnimationFrame(r));
        return performance.now() - at;
      },
      k % 4 === 3 ? 'Zoom out' : 'Zoom in',
    ),
  );
  await page.waitForTimeout(300);
}
zooms.sort((a, b) => a - b);
console.log(`zoom to the new picture: middle ${Math.round(zooms[6])} ms, longest ${Math.round(zooms[11])} ms`);
await browser.close();
stop();

/** What the page's workers hold at their most, bytes: their heaps and what their arrays hold outside them, asked five times a second. */
async function workerMemory(of: Page): Promise<{ stop: () => number }> {
  const session = await of.context().newCDPSession(of);
  let [most, id] = [0, 0];
  const workers: string[] = [];
  const now = new Map<string, number>();
  session.on('Target.attachedToTarget', ({ sessionId }) => workers.push(sessionId));
  session.on('Target.receivedMessageFromTarget', ({ sessionId, message }) => {
    const { result } = JSON.parse(message) as { result?: { usedSize?: number; backingStorageSize?: number } };
    now.set(sessionId, (result?.usedSize ?? 0) + (result?.backingStorageSize ?? 0));
    most = Math.max(
      most,
      [...now.values()].reduce((sum, bytes) => sum + bytes, 0),
    );
  });
  await session.send('Target.setAutoAttach', { autoAttach: true, waitForDebuggerOnStart: false, flatten: false });
  const timer = setInterval(() => {
    for (const sessionId of workers) {
      const message = JSON.stringify({ id: ++id, method: 'Runtime.getHeapUsage' });
      session.send('Target.sendMessageToTarget', { sessionId, message }).catch(() => undefined);
    }
  }, 200);
  return {
    stop() {
      clearInterval(timer);
      return most;
    },
  };
}
