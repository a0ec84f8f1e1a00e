import { expect, type Locator, type Page } from '@playwright/test';

/** Starts a new check from an empty ledger, as a newcomer does. */
export async function startCheck(page: Page): Promise<void> {
  await page.goto('/');
  await page
    .getByRole('button', { name: /New check|Start the first check/ })
    .first()
    .click();
  await expect(page.getByLabel('Title of this check')).toBeVisible();
}

/** Picks from a list by part of a name. */
export async function pick(page: Page, list: 'Circuit' | 'Sensor curve', words: string): Promise<void> {
  const select = page.getByLabel(list, { exact: true });
  const option = select.locator('option', { hasText: words }).first();
  await select.selectOption(await option.getAttribute('value'));
}

export const field = (page: Page, label: string): Locator => page.getByLabel(label, { exact: false }).first();
export const verdict = (page: Page): Locator => page.getByTestId('verdict').or(page.locator('[data-test="verdict"]'));

/** Waits until what was typed is in the store. */
export async function kept(page: Page): Promise<void> {
  await expect(page.locator('[data-test="save-state"]')).toHaveText('kept');
}

/** Every tool of the shelf, and the pocket card, by their addresses. */
export const SHELF_TOOLS = [
  ...['curves', 'own', 'identify', 'sweep', 'divider', 'substitutes', 'baths', 'judge', 'codes', 'kit', 'card'],
];
