// The browser killed while a figure is typed, key by key: nothing that was shown as saved may be lost, and no key that was pressed more than 250 ms before.
// Arguments: kills (200), first seed (1). Part of `npm run campaign`.
import { type BrowserContext, chromium, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { CHROMIUM, killBrowser, servePage } from '../scripts/builtPage.ts';
import { noteReliability } from '../scripts/noteReliability.ts';
import { field, kept, startCheck, verdict } from './bench.ts';

const [count, first] = [Number(process.argv[2] ?? 200), Number(process.argv[3] ?? 1)];
/** What may be lost: a key this young, ms. */
const YOUNG_MS = 250;
const LABEL = 'Title of this check';
const { url: baseURL, stop } = await servePage(4289);
const folder = mkdtempSync(path.join(tmpdir(), 'mellow-probe-kills-'));
let context!: BrowserContext;
let page!: Page;

async function start(): Promise<void> {
  context = await chromium.launchPersistentContext(folder, {
    ...CHROMIUM,
    viewport: { width: 1280, height: 800 },
    baseURL,
  });
  page = context.pages()[0] ?? (await context.newPage());
}
const title = () => page.getByLabel(LABEL);

await start();
await page.goto('/');
await startCheck(page);
await field(page, 'Ohms, sensor').fill('3.6k');
await kept(page);
const check = page.url();

let [keys, lostYoung] = [0, 0];
const wrong: string[] = [];
for (let k = 0; k < count; k++) {
  const uniform = seededUniform((first + k) * 911 + 3);
  await title().fill('');
  await kept(page);
  const letters = 3 + Math.floor(7 * uniform());
  const pressed: { text: string; at: number }[] = [];
  await title().focus();
  for (let i = 0; i < letters; i++) {
    const letter = String.fromCharCode(97 + Math.floor(26 * uniform()));
    await page.keyboard.press(letter);
    pressed.push({ text: (pressed.at(-1)?.text ?? '') + letter, at: performance.now() });
    await page.waitForTimeout(40 + 160 * uniform());
  }
  await page.waitForTimeout(300 * uniform());
  // What the page itself says in the moment before: the title in the field, and whether it is saved.
  const shown = await page.evaluate(() => ({
    saved: document.querySelector('[data-test="save-state"]')?.textContent === 'Saved',
    text:
      [...document.querySelectorAll('input')].find((i) => i.labels?.[0]?.textContent?.includes('Title'))?.value ?? '',
  }));
  const killedAt = performance.now();
  killBrowser(folder);
  await context.close().catch(() => undefined);
  await start();
  await page.goto(check);
  await verdict(page).waitFor();
  await page.waitForTimeout(300);
  const found = await title().inputValue();
  keys += letters;
  const lost = pressed.filter((p) => p.text.length > found.length);
  const old = lost.filter((p) => killedAt - p.at > YOUNG_MS);
  lostYoung += lost.length - old.length;
  const whole = pressed.at(-1)!.text;
  if (!whole.startsWith(found)) wrong.push(`kill ${k}: typed "${whole}", found "${found}"`);
  else if (shown.saved && shown.text.length > found.length)
    wrong.push(`kill ${k}: "${shown.text}" was shown as saved, found "${found}"`);
  else if (old.length > 0)
    wrong.push(`kill ${k}: ${old.length} keys lost, the oldest pressed ${Math.round(killedAt - old[0].at)} ms before`);
  if ((k + 1) % 20 === 0) console.error(`${k + 1} of ${count} kills, ${wrong.length} wrong`);
}
await context.close();
stop();
rmSync(folder, { recursive: true, force: true });
const told = `${count} kills while ${keys} keys were typed: ${lostYoung} keys younger than ${YOUNG_MS} ms lost; shown as saved or older and lost: ${wrong.length} (bar: 0)`;
console.log([told, ...wrong].join('\n'));
noteReliability('keys typed while the browser is killed', told);
process.exit(wrong.length > 0 ? 1 : 0);
