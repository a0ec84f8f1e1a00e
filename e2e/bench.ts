import { expect, type Locator, type Page } from '@playwright/test';
import { TOOLS } from '../web/src/screens/tools/tools.ts';

/** A phone held upright: a finger, a small window that does not shrink the page to fit. */
export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

/** Waits until the first screen has taken the place of the first paint. */
export const begun = (page: Page): Promise<void> => expect(page.locator('body > .first')).toHaveCount(0);

/** Starts a new check from an empty ledger, as a newcomer does. */
export async function startCheck(page: Page): Promise<void> {
  await page.goto('/');
  await page
    .getByRole('button', { name: /New check|Start the first check/ })
    .first()
    .click();
  await expect(page.getByLabel('Title of this check')).toBeVisible();
}

/** Goes to a station of the order of work: beside the bench at a desk, behind "All steps" on a phone or an upright tablet. */
export async function toStation(page: Page, id: string): Promise<void> {
  const all = page.locator('[data-test="all-steps"]');
  await expect(all.or(page.locator('[data-station]')).first()).toBeVisible();
  if (await all.isVisible()) await all.click();
  await page.locator(`[data-station="${id}"]`).click();
}

/** Opens the sheet for files of checks, on the list of checks. */
export async function openImport(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).first().click();
  await page.getByRole('menuitem', { name: 'Import files…' }).click();
}

/** Opens a check of the demo workshop, as a visitor does: from its ledger. */
export async function openDemo(page: Page, name: RegExp): Promise<void> {
  await page.goto('/demo/');
  await page.getByRole('link', { name }).first().click();
  // The list of checks has links of the same names: it is left before anything else is pressed.
  await expect(page.getByRole('navigation', { name: 'Order of work' })).toBeVisible();
}

/** Picks from a list by part of a name. */
export async function pick(page: Page, list: 'Circuit' | 'Sensor curve', words: string): Promise<void> {
  await choose(page.getByLabel(list, { exact: true }), words);
}

/** The list that a labelled field belongs to. */
const listOf = (field: Locator): Locator =>
  field.locator('xpath=ancestor::*[contains(concat(" ", @class, " "), " ant-select ")][1]');
/** What a list shows as picked. */
export const chosen = (field: Locator): Locator => listOf(field).locator('.ant-select-selection-item');

/** Opens a list and takes the first entry with these words; a whole name where several begin alike. */
export async function choose(field: Locator, words: string | RegExp): Promise<void> {
  await listOf(field).click();
  const open = field.page().locator('.ant-select-dropdown:visible');
  // On a busy machine the list comes a while after the click.
  await expect(open).not.toHaveCount(0);
  // A list that is still unfolding can move away from under the click.
  await still(field.page());
  const entries = open.locator('.ant-select-item-option');
  const entry = entries.filter({ hasText: words }).first();
  // A list that is filled anew between the press and the release leaves the click without its entry: a hand presses again.
  await expect(async () => {
    if ((await open.count()) > 0) await entry.click({ timeout: 5000 });
    await expect(open).toHaveCount(0, { timeout: 5000 });
  }).toPass({ timeout: 30_000 });
}

/** The hidden field behind a button that picks files. */
export const files = (page: Page, about: string): Locator => page.locator(`[data-files="${about}"] input[type="file"]`);

export const field = (page: Page, label: string): Locator => page.getByLabel(label, { exact: false }).first();
export const verdict = (page: Page): Locator => page.getByTestId('verdict').or(page.locator('[data-test="verdict"]'));

/** Waits until what was typed is in the store; for a store that refused at first, as long as the page pauses before it tries again. */
export async function kept(page: Page, timeout?: number): Promise<void> {
  await expect(page.locator('[data-test="save-state"]')).toHaveText('Saved', timeout === undefined ? {} : { timeout });
}

/** Every tool, and the pocket card, by their addresses. */
export const TOOL_PAGES: readonly string[] = [...TOOLS.map(({ id }) => id), 'card'];

/** Waits until nothing on the page moves any more. */
export const still = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
    const finite = document.getAnimations().filter((a) => Number.isFinite(a.effect?.getComputedTiming().endTime));
    await Promise.all(finite.map((a) => a.finished.catch(() => undefined)));
  });

/** Waits until the page has fetched, while it rests, what other screens need: the reader of sealed backups comes last. */
export async function fetchedAhead(page: Page): Promise<void> {
  const last = (): boolean => performance.getEntriesByType('resource').some((r) => /\/sealed-/.test(r.name));
  await page.waitForFunction(last, undefined, { timeout: 60_000 });
  await page.waitForLoadState('networkidle');
}

/** Goes to another screen of the workshop as a link of the page does, without loading the page anew; `to` is its address within the workshop. */
export async function goWithin(page: Page, to: string): Promise<void> {
  await page.evaluate(async (address) => {
    interface Mounted {
      __vue_app__: { config: { globalProperties: { $router: { push(to: string): Promise<unknown> } } } };
    }
    const { __vue_app__: app } = document.querySelector('#app') as unknown as Mounted;
    await app.config.globalProperties.$router.push(address);
  }, to);
  await still(page);
}
