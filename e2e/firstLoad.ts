import { readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Browser, Page } from '@playwright/test';

const DIST = path.resolve(import.meta.dirname, '../web/dist');

/** What a first load may weigh before charts and worker: kB of gzipped JavaScript, how many scripts, and the window it is asked in. */
export const FIRST_LOADS = [
  { name: 'the list on a phone', viewport: { width: 390, height: 844 }, barKb: 310, most: 12 },
  { name: 'the list on a desk', viewport: { width: 1280, height: 800 }, barKb: 380, most: 20 },
  { name: 'a check on a phone', viewport: { width: 390, height: 844 }, barKb: 400, most: 16 },
] as const;

/** Gzipped size of built scripts, kB. */
export const kilobytes = (scripts: readonly string[]): number =>
  scripts.reduce((sum, script) => sum + gzipSync(readFileSync(path.join(DIST, script))).length, 0) / 1000;

/** The scripts that a page has fetched, by address; the set grows. */
export function scriptsOf(page: Page): Set<string> {
  const loaded = new Set<string>();
  page.on('response', (r) => void (/\.js$/.test(r.url()) && loaded.add(new URL(r.url()).pathname)));
  return loaded;
}

/** The scripts of a visit to a list with a check in it, up to its first row, or to that check, up to its first field: what is fetched while the page rests is none of them. */
export async function firstLoad(
  browser: Browser,
  url: string,
  { name, viewport }: (typeof FIRST_LOADS)[number],
): Promise<string[]> {
  const phone = name.endsWith('phone');
  const context = await browser.newContext({ viewport, hasTouch: phone, isMobile: phone, serviceWorkers: 'block' });
  const before = await context.newPage();
  await before.goto(url);
  await before.getByRole('button', { name: /Start the first check/ }).click();
  await before.locator('[data-test="save-state"]').getByText('Saved').waitFor();
  const check = new URL(before.url()).pathname.replace('/guide', '');
  const [to, shown] = name.startsWith('a check') ? [check, '[data-measurement]'] : ['/', '[data-test="job"]'];
  const visit = await context.newPage();
  const loaded = scriptsOf(visit);
  await visit.addInitScript('window.requestIdleCallback = () => 0');
  await visit.goto(new URL(to, url).href);
  await visit.locator(shown).first().waitFor();
  await context.close();
  return [...loaded].filter((script) => !/plotly|PlotFigure|pdfmake|worker/.test(script));
}
