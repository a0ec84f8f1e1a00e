import { expect, test } from './test.ts';
import { readFileSync } from 'node:fs';
import { field, files, kept, openImport, pick, startCheck, verdict } from './bench.ts';

test('from four figures to a verdict, kept, exported, deleted, imported', async ({ page }) => {
  await startCheck(page);
  await pick(page, 'Circuit', '2.49 kΩ · NTC 2 kΩ');
  await page.getByLabel('Title of this check').fill('Tern, jacket water');
  await field(page, 'Thermometer').fill('12');
  await field(page, 'Ohms, sensor').fill('3.6k');
  await field(page, 'Volts unplugged').fill('5.01');
  await expect(verdict(page)).not.toContainText('resistance in the return');
  await field(page, 'Volts plugged in').fill('4.4');
  await expect(verdict(page)).toContainText('Wiring fault: resistance in the return');
  await expect(verdict(page)).toContainText(/About 1[456]\skΩ/);
  await expect(page.getByText('healthy 2.7', { exact: false }).first()).toBeVisible();
  await expect(page.locator('[data-test="evidence"]')).toContainText('Signal voltage, plugged in');
  await expect(page.locator('[data-test="next"]')).toContainText('Next:');

  await kept(page);
  await page.reload();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await expect(verdict(page)).toContainText('resistance in the return');

  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).click();
  const file = await (await download).path();
  const data = JSON.parse(readFileSync(file, 'utf8')) as { format: string; readings: { value: number }[] };
  expect(data.format).toBe('mellow-probe/job');
  expect(data.readings.map((r) => r.value).sort((a, b) => a - b)).toEqual([4.4, 5.01, 3600]);

  await page.getByRole('link', { name: 'Checks' }).click();
  await page.getByRole('button', { name: /^More for (?!the chart)/ }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.locator('[data-test="job"]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-test="job"]')).toHaveCount(1);
  await page.getByRole('button', { name: /^More for (?!the chart)/ }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await openImport(page);
  await files(page, 'Import check files').setInputFiles(file);
  await page.getByRole('link', { name: 'Tern, jacket water' }).click();
  await expect(verdict(page)).toContainText('resistance in the return');
});

test('the whole check stands on one screen at 1280×800, charts drawn as lines and points', async ({ page }) => {
  await startCheck(page);
  await field(page, 'Thermometer').fill('12');
  await field(page, 'Ohms, sensor').fill('3.6k');
  await field(page, 'Volts plugged in').fill('4.4');
  await expect(page.locator('.plot .scatterlayer .trace')).toHaveCount(9);
  const types = await page
    .locator('.plot')
    .evaluateAll((plots) =>
      plots.flatMap((plot) => (plot as unknown as { _fullData: { type: string }[] })._fullData.map((t) => t.type)),
    );
  expect(new Set(types)).toEqual(new Set(['scatter']));
  const scroll = await page.evaluate(() => [
    document.documentElement.scrollHeight,
    document.documentElement.scrollWidth,
  ]);
  expect(scroll).toEqual([800, 1280]);
  for (const part of ['The circuit as this test needs it', 'Quick check', 'Verdict', 'Charts']) {
    const box = (await page.getByLabel(part, { exact: true }).boundingBox())!;
    expect(box.y + box.height, part).toBeLessThanOrEqual(801);
  }
});
