import { expect, test } from './test.ts';
import { field, kept, startCheck, verdict } from './bench.ts';

test('two windows on one check: both sets of figures are kept', async ({ page, context }) => {
  await startCheck(page);
  await field(page, 'Thermometer').fill('12');
  await kept(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(field(other, 'Thermometer')).toHaveValue(/^12/);
  await field(other, 'Ohms, sensor').fill('3.6k');
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await field(page, 'Volts unplugged').fill('5.01');
  await expect(field(other, 'Volts unplugged')).toHaveValue('5.01');
  await kept(page);
  await page.reload();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await expect(field(page, 'Volts unplugged')).toHaveValue('5.01');
});

test('a window that is killed while typing loses nothing that was shown as kept', async ({ page, context }) => {
  await startCheck(page);
  const url = page.url();
  await field(page, 'Ohms, sensor').pressSequentially('3.61 kΩ');
  await kept(page);
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  await again.goto(url);
  await expect(field(again, 'Ohms, sensor')).toHaveValue('3.61 kΩ');
});

test('a full store is said at once, the figures stay, export and another try are offered', async ({ page }) => {
  await startCheck(page);
  await kept(page);
  await page.evaluate(() => {
    const store = IDBObjectStore.prototype;
    const put = Object.getOwnPropertyDescriptor(store, 'put')!;
    (window as unknown as { mend: () => void }).mend = () => Object.defineProperty(store, 'put', put);
    store.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await field(page, 'Ohms, sensor').fill('3.6k');
  await expect(page.getByRole('alert')).toContainText('storage is full');
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await expect(verdict(page)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export now' }).click();
  expect((await download).suggestedFilename()).toMatch(/\.json$/);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('alert')).toContainText('storage is full');
  // Once there is room it is saved by itself.
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await kept(page, 60_000);
  await page.reload();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
});

test('a store that is blocked from the start is said on the list', async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', { value: undefined });
    Object.defineProperty(window, 'localStorage', {
      get: () => {
        throw new DOMException('blocked', 'SecurityError');
      },
    });
  });
  await page.goto('/');
  await page
    .getByRole('button', { name: /New check/ })
    .first()
    .click();
  await expect(page.getByRole('alert')).toContainText('blocks its storage');
});

test('text from a file is shown as text, in the page and in the chart', async ({ page }) => {
  page.on('dialog', () => expect('a script ran').toBe('never'));
  await startCheck(page);
  const nasty = '<b>bold</b><img src=x onerror=alert(1)>';
  await page.getByLabel('Title of this check').fill(nasty);
  await kept(page);
  await page.getByRole('link', { name: 'Checks' }).click();
  await expect(page.getByRole('link', { name: nasty })).toBeVisible();
  await expect(page.locator('main b')).toHaveCount(0);
});

test('the demo workshop has checks of its own and never mixes with mine', async ({ page }) => {
  await page.goto('/demo/');
  await expect(page.getByText('Demo workshop: invented data')).toBeVisible();
  await expect(page.locator('[data-test="job"]')).toHaveCount(21);
  await page.getByRole('link', { name: /Swimming bath/ }).click();
  await expect(verdict(page)).toContainText('Sensor drifted high');
  await page.getByLabel('Title of this check').fill('Changed in the demo');
  await kept(page);
  await page.goto('/');
  await expect(page.locator('[data-test="job"]')).toHaveCount(0);
  await page.goto('/demo/');
  await expect(page.getByRole('link', { name: 'Changed in the demo' })).toBeVisible();
  await expect(page.locator('[data-test="job"]')).toHaveCount(21);
});
