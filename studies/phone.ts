// What a phone's processor has to do: main-thread processor time from traces of headless Chromium at a quarter of the speed, on the built page, so that a
// busy machine does not matter. Part of `npm run bench`. `npx tsx studies/phone.ts [repeats, 20]` (after `npm run build`)
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { type Browser, type BrowserContext, chromium, type Page } from '@playwright/test';
import { PHONE } from '../e2e/bench.ts';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';

const repeats = Number(process.argv[2] ?? 20);
const RATE = 4;
const EXAMPLE = path.resolve(import.meta.dirname, '../examples/demo/harbour-crane-oil.json');

/** A task of the page's main thread, ms of the trace's clock; `cpu`: its processor time. */
interface Task {
  from: number;
  to: number;
  cpu: number;
}
interface TraceEvent {
  name: string;
  ph: string;
  pid: number;
  tid: number;
  ts: number;
  dur?: number;
  tdur?: number;
}
/** Main-thread processor time of a stretch, ms. */
interface Spent {
  all: number;
  longest: number;
}

/** Traces what `work` does between the page's marks `begin` and `end`. */
async function spent(browser: Browser, page: Page, work: () => Promise<unknown>): Promise<Spent> {
  await browser.startTracing(page, { categories: ['toplevel', 'devtools.timeline', 'blink.user_timing'] });
  await work();
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] };
  // A page that was left marks too: the last pair counts.
  const markOf = (name: string): TraceEvent => {
    const mark = traceEvents.filter((e) => e.name === name && /^[RIin]$/.test(e.ph)).at(-1);
    if (!mark) throw new Error(`spent: no mark "${name}" in the trace`);
    return mark;
  };
  const [begin, end] = [markOf('begin'), markOf('end')];
  const tasks = traceEvents
    .filter((e) => e.ph === 'X' && e.pid === end.pid && e.tid === end.tid && /RunTask$/.test(e.name))
    .map((e): Task => ({ from: e.ts, to: e.ts + (e.dur ?? 0), cpu: (e.tdur ?? 0) / 1000 }))
    .filter((t) => t.to > begin.ts && t.from < end.ts);
  // A task that began before the mark, or ends after it, counts by its share.
  const shares = tasks.map((t) => {
    const inside = Math.min(t.to, end.ts) - Math.max(t.from, begin.ts);
    return t.to > t.from ? (t.cpu * inside) / (t.to - t.from) : 0;
  });
  return { all: shares.reduce((a, b) => a + b, 0), longest: Math.max(0, ...tasks.map((t) => t.cpu)) };
}

/** Presses what `act` finds and marks the stretch until `done` is found and has been painted; `restMs`: and what follows within this time. */
const pressed = (page: Page, act: string, done: string, restMs = 0): Promise<void> =>
  page.evaluate(
    async ([act, done, restMs]) => {
      const button = document.querySelector<HTMLElement>(act);
      if (!button) throw new Error(`nothing to press: ${act}`);
      performance.mark('begin');
      button.click();
      while (!document.querySelector(done)) await new Promise((painted) => requestAnimationFrame(painted));
      await new Promise((painted) => requestAnimationFrame(() => requestAnimationFrame(painted)));
      await new Promise((rested) => setTimeout(rested, restMs));
      performance.mark('end');
    },
    [act, done, restMs] as const,
  );

async function throttled(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: RATE });
  return page;
}

/** A check with so many readings in the page's store, opened once, so that everything it needs is there. */
async function stored(context: BrowserContext, url: string, readings: number): Promise<string> {
  const job = JSON.parse(readFileSync(EXAMPLE, 'utf8')) as { id: string; readings: { id: string; void?: unknown }[] };
  const first = job.readings.slice(0, 5);
  const many = Array.from({ length: readings }, (_, i) => ({ ...first[i % first.length], id: `r${i}` }));
  const page = await context.newPage();
  await page.goto(url);
  // The store is there once a check has been.
  await page.locator('button.new, [data-test="start"], main button').first().waitFor();
  await page.waitForTimeout(1500);
  await page
    .getByRole('button', { name: /New check|Start the first check/ })
    .first()
    .click();
  await page.locator('[data-test="save-state"]', { hasText: 'Saved' }).waitFor();
  const id = `phone-${readings}`;
  await page.evaluate(
    async ([job, id]) => {
      const database = await new Promise<IDBDatabase>((resolve, reject) => {
        const request = indexedDB.open('mellow-probe');
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error('no database'));
      });
      const writing = database.transaction('jobs', 'readwrite');
      writing.objectStore('jobs').put({ kept: 1, revision: 'r1', at: job.updatedAt, follows: [], value: job }, id);
      await new Promise((resolve) => (writing.oncomplete = resolve));
      database.close();
    },
    [{ ...job, id, readings: many, updatedAt: '2026-01-01T00:00:00.000Z' }, id] as const,
  );
  await page.goto(`${url}/check/${id}`);
  await page.locator('[data-test="verdict"]').first().waitFor({ state: 'attached' });
  await page.waitForTimeout(2000);
  await page.close();
  return id;
}

const middle = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1];
async function many(of: (i: number) => Promise<Spent>): Promise<{ all: number; longest: number }> {
  const list: Spent[] = [];
  for (let i = 0; i < repeats; i++) list.push(await of(i));
  return { all: middle(list.map((s) => s.all)), longest: middle(list.map((s) => s.longest)) };
}
const said = (what: string, ms: number, bar: number): void =>
  console.log(`${what}: ${ms.toFixed(0)} ms (bar: ${bar})${ms > bar ? ', missed' : ''}`);

const { url, stop } = await servePage(4197);
const browser = await chromium.launch(CHROMIUM);
try {
  const context = await browser.newContext(PHONE);
  const [few, full] = [await stored(context, url, 5), await stored(context, url, 200)];
  console.log(`main-thread processor time at a quarter of the speed, medians of ${repeats}`);
  for (const [id, readings, bar] of [
    [few, 5, 50],
    [full, 200, 80],
  ] as const) {
    const page = await throttled(context);
    await page.goto(`${url}/check/${id}`);
    const input = page.locator('[data-measurement] input').first();
    await input.waitFor();
    await page.waitForTimeout(4000);
    const letter = await many(async (i) => {
      const s = await spent(browser, page, () =>
        input.evaluate(
          async (field: HTMLInputElement, text) => {
            performance.mark('begin');
            field.value = text;
            field.dispatchEvent(new Event('input', { bubbles: true }));
            await new Promise((painted) => requestAnimationFrame(() => requestAnimationFrame(painted)));
            performance.mark('end');
          },
          `${1 + (i % 9)}.${i}`,
        ),
      );
      await page.waitForTimeout(1500);
      return s;
    });
    said(`letter to painted letter, ${readings} readings`, letter.all, bar);
    await page.close();
  }
  const page = await throttled(context);
  const opened = await many(async () => {
    await page.goto(url);
    await page.locator(`a[href="/check/${few}"]`).waitFor();
    await page.waitForTimeout(2500);
    return spent(browser, page, () => pressed(page, `a[href="/check/${few}"]`, '[data-test="verdict"]', 1500));
  });
  said('longest task on opening a check', opened.longest, 200);
  const report = await many(async () => {
    await page.goto(`${url}/check/${few}`);
    await page.locator('[data-test="verdict"]').first().waitFor({ state: 'attached' });
    await page.waitForTimeout(2500);
    return spent(browser, page, async () => {
      await page.evaluate(() => performance.mark('begin'));
      await page.evaluate((to) => {
        const app = document.querySelector('#app') as unknown as {
          __vue_app__: { config: { globalProperties: { $router: { push: (to: string) => void } } } };
        };
        app.__vue_app__.config.globalProperties.$router.push(to);
      }, `/check/${few}/report`);
      await page.locator('main.paper').first().waitFor();
      await page.evaluate(async () => {
        await new Promise((rested) => setTimeout(rested, 1500));
        performance.mark('end');
      });
    });
  });
  said('opening the report, longest task', report.longest, 300);
  console.log(`opening the report, all of it: ${report.all.toFixed(0)} ms`);
  const begun: Spent[] = [];
  const fresh = await many(async () => {
    await page.goto(url);
    await page.locator('[data-test="job"]').first().waitFor();
    await page.waitForTimeout(2500);
    const s = await spent(browser, page, () => pressed(page, 'button.new', '[data-step="what"], [data-measurement]'));
    begun.push(
      await spent(browser, page, async () => {
        await page.evaluate(() => performance.mark('begin'));
        await page.locator('[data-test="verdict"]').first().waitFor({ state: 'attached' });
        await page.evaluate(() => performance.mark('end'));
      }),
    );
    return s;
  });
  said('a new check on the screen after the tap', fresh.all, 1200);
  said('its first verdict line', fresh.all + middle(begun.map((b) => b.all)), 2500);
  await page.close();
  for (const [name, to, done, bar] of [
    ['list of checks', '/', '[data-test="job"]', 1300],
    ['a check', `/check/${few}`, '[data-test="verdict"]', 1800],
  ] as const) {
    const first = await many(async () => {
      const visit = await throttled(context);
      await (await visit.context().newCDPSession(visit)).send('Network.setCacheDisabled', { cacheDisabled: true });
      await visit.addInitScript('performance.mark("begin")');
      const s = await spent(browser, visit, async () => {
        await visit.goto(url + to);
        await visit.locator(done).first().waitFor({ state: 'attached' });
        await visit.evaluate(async () => {
          await new Promise((painted) => requestAnimationFrame(() => requestAnimationFrame(painted)));
          performance.mark('end');
        });
      });
      await visit.close();
      return s;
    });
    said(`first load, ${name}`, first.all, bar);
  }
} finally {
  await browser.close();
  stop();
}
