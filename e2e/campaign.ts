// Reloads, closings, kills and failing stores at random moments: nothing that was typed may be lost. `npm run campaign [trials, 2000] [first seed, 1]`
// (about an hour). Every trial types a seeded figure into each of seven fields (where several windows type: each of them one), is struck at a seeded moment
// of the last one, and looks what stands there afterwards.
import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { CHROMIUM, killBrowser, servePage } from '../scripts/builtPage.ts';
import { noteReliability } from '../scripts/noteReliability.ts';
import { kept, startCheck, verdict } from './bench.ts';
import { fieldOf, type Plan, planOf, plansOf, standsIn, typePlan } from './losing.ts';

const [count, first] = [Number(process.argv[2] ?? 2000), Number(process.argv[3] ?? 1)];
const { url: URL, stop } = await servePage(4287);

type Blow = 'reload' | 'page' | 'context' | 'kill' | 'two windows' | 'three windows' | 'full store';
const BLOWS: readonly Blow[] = [
  ...Array<Blow>(11).fill('reload'),
  ...Array<Blow>(4).fill('page'),
  'context',
  'kill',
  'two windows',
  'three windows',
  ...Array<Blow>(2).fill('full store'),
];

const folder = mkdtempSync(path.join(tmpdir(), 'mellow-probe-campaign-'));
let context!: BrowserContext;
let page!: Page;
let check = '';

async function start(): Promise<void> {
  context = await chromium.launchPersistentContext(folder, {
    ...CHROMIUM,
    viewport: { width: 1280, height: 800 },
    baseURL: URL,
  });
  page = context.pages()[0] ?? (await context.newPage());
}
const opened = async (at: Page): Promise<void> => {
  await at.goto(check);
  await verdict(at).waitFor();
};
let figures = 0;
/** One trial; returns what was lost, or nothing. */
async function trial(seed: number): Promise<string | null> {
  const plans = plansOf(seed);
  const plan: Plan = plans.at(-1)!;
  const uniform = seededUniform(seed * 17 + 3);
  const blow = BLOWS[Math.floor(uniform() * BLOWS.length)];
  const typeAll = async (at: Page): Promise<string[]> => {
    const typed: string[] = [];
    for (const one of plans) typed.push(await typePlan(at, one));
    return typed;
  };
  /** Does what was typed stand there? By several windows only the last plan of this one was typed. */
  const compare = async (at: Page, typed: readonly string[]): Promise<string | null> => {
    for (const [k, one] of plans.slice(-typed.length).entries()) {
      figures++;
      let found = '';
      for (let i = 0; i < 60 && found !== typed[k]; i++) {
        if (i > 0) await at.waitForTimeout(50);
        found = await standsIn(at, one);
      }
      if (found !== typed[k]) return `${blow}: typed "${typed[k]}" into ${one.label}, found "${found}"`;
    }
    return null;
  };
  switch (blow) {
    case 'reload': {
      const typed = await typeAll(page);
      await page.reload();
      await verdict(page).waitFor();
      return compare(page, typed);
    }
    case 'page': {
      const typed = await typeAll(page);
      const next = await context.newPage();
      await page.close({ runBeforeUnload: false });
      page = next;
      await opened(page);
      return compare(page, typed);
    }
    case 'context': {
      const typed = await typeAll(page);
      await context.close();
      await start();
      await opened(page);
      return compare(page, typed);
    }
    case 'kill': {
      // Only what the store has acknowledged is owed: the page says "kept".
      const typed = await typeAll(page);
      await kept(page);
      killBrowser(folder);
      await context.close().catch(() => undefined);
      await start();
      await opened(page);
      return compare(page, typed);
    }
    case 'two windows':
    case 'three windows': {
      const others: { page: Page; plan: Plan; typed: string }[] = [];
      for (let k = 1; k < (blow === 'two windows' ? 2 : 3); k++) {
        const other = await context.newPage();
        await opened(other);
        let theirs = planOf(seed * 13 + k);
        // Each window another field: where two type into one, the newest stands, and that is no loss.
        for (let n = 1; [plan, ...others.map((o) => o.plan)].some((p) => p.label === theirs.label); n++)
          theirs = planOf(seed * 13 + k + 1000 * n);
        others.push({ page: other, plan: theirs, typed: '' });
      }
      const typed = await typePlan(page, plan);
      for (const other of others) other.typed = await typePlan(other.page, other.plan);
      await page.reload();
      await verdict(page).waitFor();
      for (const other of others) await other.page.close({ runBeforeUnload: false });
      await page.reload();
      await verdict(page).waitFor();
      const mine = await compare(page, [typed]);
      if (mine) return mine;
      for (const other of others) {
        figures++;
        const found = await standsIn(page, other.plan);
        if (found !== other.typed)
          return `${blow}: another window typed "${other.typed}" into ${other.plan.label}, found "${found}"`;
      }
      return null;
    }
    case 'full store': {
      await page.evaluate(() => {
        IDBObjectStore.prototype.put = () => {
          throw new DOMException('no room', 'QuotaExceededError');
        };
      });
      const typed = await typeAll(page);
      await page.reload();
      await verdict(page).waitFor();
      return compare(page, typed);
    }
  }
}

const lost: string[] = [];
const done = new Map<Blow, number>();
try {
  await start();
  await startCheck(page);
  await kept(page);
  check = page.url();
  for (let seed = first; seed < first + count; seed++) {
    const blow = BLOWS[Math.floor(seededUniform(seed * 17 + 3)() * BLOWS.length)];
    let said: string | null;
    try {
      said = await trial(seed);
    } catch (error) {
      said = `${blow}: the trial itself failed: ${String(error).slice(0, 200)}`;
      await context.close().catch(() => undefined);
      await start();
      await opened(page);
    }
    done.set(blow, (done.get(blow) ?? 0) + 1);
    if (said) {
      lost.push(said);
      console.log(`seed ${seed}: ${said}`);
    }
    if ((seed - first + 1) % 100 === 0) console.error(`${seed - first + 1} of ${count}, ${lost.length} lost`);
    await fieldOf(page, planOf(seed)).waitFor();
  }
} finally {
  await context?.close().catch(() => undefined);
  stop();
  rmSync(folder, { recursive: true, force: true });
}
const told = `${figures} figures under ${count} blows (${[...done].map(([blow, n]) => `${blow} ${n}`).join(', ')}): ${lost.length} lost (bar: 0)`;
console.log(told);
noteReliability('figures typed under blows', told);
process.exit(lost.length === 0 ? 0 : 1);
