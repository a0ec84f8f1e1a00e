import type { Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { choose, chosen, kept, startCheck } from './bench.ts';

test('from a table in a manual to a curve in use on a check', async ({ page }) => {
  await startCheck(page);
  await page.getByLabel('Title of this check').fill('crane oil');
  await kept(page);
  await page.goto('/shelf/own');
  const area = page.getByLabel(/Temperature and ohms/);
  await area.fill(
    'Temperatur (°C);min (kΩ);nenn (kΩ);max (kΩ)\n-20;27,5;28,68;29,9\n0;9,1;9,42;9,75\n20;3,42;3,52;3,62\n40;1,42;1,954;2,0\n60;0,65;0,667;0,68\n80;0,325;0,332;0,34\n100;0,172;0,177;0,182',
  );
  await expect(page.locator('[data-test="mistyped"]')).toContainText(/Line 5.*about 1\.4\d kΩ/);
  await page.reload();
  await expect(area).toHaveValue(/1,954/);
  await area.fill((await area.inputValue()).replace('1,954;2,0', '1,459;1,50'));
  await expect(page.locator('[data-test="mistyped"]')).toHaveCount(0);
  await expect(page.locator('[data-test="fit"]')).toContainText('Tolerance from min and max: ± 3');
  await page.getByLabel('Name', { exact: true }).fill('Crane oil, page 12');
  await page.getByRole('button', { name: 'Save the curve' }).click();
  await expect(page.getByLabel('Curve', { exact: true })).toBeVisible();
  await pickCurve(page, 'Crane oil, page 12');
  await expect(page.locator('[data-test="curve-table"]')).toContainText(/20\s°C3\.5[12]\skΩ/);
  await choose(page.getByLabel('Which check'), 'crane oil');
  await page.getByRole('button', { name: 'Use on this check' }).click();
  await expect(chosen(page.getByLabel('Sensor curve', { exact: true }))).toHaveText('Crane oil, page 12');
  await page.getByLabel('Thermometer').fill('20');
  await expect(page.locator('[data-measurement="sensor-ohms"] .under')).toContainText(/healthy 2\.\d+ … 4\.\d+ kΩ/);
  await kept(page);
});

async function pickCurve(page: Page, name: string): Promise<void> {
  const list = page.getByLabel('Curve', { exact: true });
  await choose(list, name);
}

test('the kit is what is suggested with', async ({ page }) => {
  await page.goto('/shelf/kit');
  await page.getByLabel('Scan tool or display').uncheck();
  await page.getByLabel('Name of the kit').fill('pocket meter');
  await page.reload();
  await expect(page.getByLabel('Name of the kit')).toHaveValue('pocket meter');
  await startCheck(page);
  await page.getByLabel('Thermometer').fill('12');
  await expect(page.locator('[data-test="next"]')).toBeVisible();
  await expect(page.locator('[data-test="next"]')).not.toContainText('Displayed');
});

test('the pocket card prints on one A4 page', async ({ page }) => {
  await page.goto('/shelf/card?curve=pt1000');
  await expect(page.getByLabel('Pocket card').locator('tbody tr').first()).toBeVisible();
  const pdf = await page.pdf({ format: 'A4', preferCSSPageSize: false });
  expect([...pdf.toString('latin1').matchAll(/\/Type\s*\/Page[^s]/g)]).toHaveLength(1);
});
