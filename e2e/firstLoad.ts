import { readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Browser, Page } from '@playwright/test';

const DIST = path.resolve(import.meta.dirname, '../web/dist');

/** What a first load may weigh before charts and worker: kB of gzipped JavaScript, and the window it is asked in. */
export const FIRST_LOADS = [
  { name: 'phone', viewport: { width: 390, height: 844 }, barKb: 310 },
  { name: 'desk', viewport: { width: 1280, height: 800 }, barKb: 380 },
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

/** The scripts of a visit to a ledger with a check in it, up to its first row: what is fetched while the page rests is none of them. */
export async function firstLoad(
  browser: Browser,
  url: string,
  { name, viewport }: (typeof FIRST_LOADS)[number],
): Promise<string[]> {
  const phone = name === 'phone';
  const context = await browser.newContext({ viewport, hasTouch: phone, isMobile: phone, serviceWorkers: 'block' });
  const before = await context.newPage();
  await before.goto(url);
  await before.getByRole('button', { name: /Start the first check/ }).click();
  await before.locator('[data-test="save-state"]').getByText('Saved').waitFor();
  const visit = await context.newPage();
  const loaded = scriptsOf(visit);
  await visit.addInitScript('window.requestIdleCallback = () => 0');
  await visit.goto(url);
  await visit.locator('[data-test="job"]').first().waitFor();
  await context.close();
  return [...loaded].filter((script) => !/plotly|PlotFigure|pdfmake|worker/.test(script));
}
