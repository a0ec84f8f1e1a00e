import type { Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { readFileSync } from 'node:fs';
import { axeFinds } from './axe.ts';
import { choose, chosen, files, kept, startCheck } from './bench.ts';

const told = (page: Page, words: string | RegExp) => page.locator('.told').filter({ hasText: words });

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

test('bad tables: told at the line, nothing lost', async ({ page }) => {
  await page.goto('/shelf/own');
  const area = page.getByLabel(/Temperature and ohms/);
  const cases: [string, RegExp][] = [
    ['0;9000\nfive;2800\n20;3520', /Line 2: No temperature/],
    ['0;9000\n0;8900\n20;3520', /Line 2: This temperature is listed twice/],
    ['0;11,883\n25;9,912', /Column 2: is a mark before three digits a decimal point/],
    ['20;3520', /at least two points/],
    ['0;100\n50;119\n100;110\n150;157', /reverses|does not fit/],
  ];
  for (const [text, words] of cases) {
    await area.fill(text);
    await expect(told(page, words).first()).toBeVisible();
    await expect(area).toHaveValue(text);
  }
  // What a table does not tell is asked, and nothing is used before the answer.
  await area.fill('0;32,650\n25;10,000\n60;2,488');
  await expect(page.getByRole('button', { name: 'Save the curve' })).toBeDisabled();
  await choose(page.getByLabel('Decimal mark of column 2'), 'comma');
  await choose(page.getByLabel('Unit of column 2'), 'kΩ');
  await expect(page.locator('[data-test="table-reading"]')).toContainText('25.0 °C: 10.0 kΩ');
  await expect(page.getByRole('button', { name: 'Save the curve' })).toBeEnabled();
  await page.reload();
  await expect(page.locator('[data-test="table-reading"]')).toContainText('25.0 °C: 10.0 kΩ');
  await area.fill('0;100\n50;119\n100;110\n150;157');
  const many = Array.from({ length: 100_000 }, (_, i) => `${i};${300_000 - i}`).join('\n');
  await files(page, 'Curve file').setInputFiles({ name: 'many.csv', mimeType: 'text/csv', buffer: Buffer.from(many) });
  await expect(page.getByRole('status')).toContainText('Too many: 100000 rows');
  await expect(area).toHaveValue('0;100\n50;119\n100;110\n150;157');
  // A PTC table is no NTC, but a curve all the same.
  await area.fill('0 100\n50 119.4\n100 138.5\n150 157.3');
  await expect(page.locator('[data-test="fit"]')).toContainText('table');
  await page.getByRole('radio', { name: 'R25 and B' }).check();
  await page.getByLabel('R25', { exact: true }).fill('0');
  await expect(told(page, 'do not describe a sensor')).toBeVisible();
});

test('files in and out: CSV and JSON of a curve come back', async ({ page }) => {
  await page.goto('/shelf/curves');
  await pickCurve(page, 'Platinum Pt200');
  const csvDownload = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV' }).click();
  const csv = await (await csvDownload).path();
  expect(readFileSync(csv, 'utf8')).toContain('temperature (°C),resistance (Ω)');
  const jsonDownload = page.waitForEvent('download');
  await page.getByRole('button', { name: 'JSON' }).click();
  const json = await (await jsonDownload).path();
  await page.goto('/shelf/own');
  await files(page, 'Curve file').setInputFiles({ name: 'pt200.csv', mimeType: 'text/csv', buffer: readFileSync(csv) });
  await expect(page.locator('[data-test="fit"]')).toContainText(
    'platinum (Callendar–Van Dusen): misses 0.00 K at left-out rows',
  );
  await files(page, 'Curve file').setInputFiles({
    name: 'pt200.json',
    mimeType: 'application/json',
    buffer: readFileSync(json),
  });
  await expect(page.getByRole('status')).toContainText('is saved.');
  await files(page, 'Curve file').setInputFiles({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"a":1}'),
  });
  await expect(page.getByRole('status')).toContainText('not a curve');
  await page.goto('/shelf/curves');
  await pickCurve(page, 'Platinum Pt200');
  await page.getByRole('button', { name: 'Delete this curve' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await pickCurve(page, 'Platinum Pt200');
});

test('divider desk: sliders move the curves without blocking; a pull-up is learned from a good pair', async ({
  page,
}) => {
  await page.goto('/shelf/divider');
  await expect(page.locator('.plot .trace').first()).toBeVisible();
  const before = await page.locator('[data-test="desk-at"]').innerText();
  await page.getByRole('slider', { name: 'Bad joint in the signal wire' }).press('End');
  await expect(page.locator('[data-test="desk-at"]')).not.toHaveText(before);
  await page.getByRole('button', { name: 'Reset to healthy' }).click();
  await page.getByLabel('Pull-up', { exact: true }).fill('');
  await page.getByLabel('A good pair: ohms').fill('4.9k');
  await page.getByLabel('and volts').fill('1.88');
  await expect(page.locator('[data-test="learned"]')).toContainText('about 8.13 kΩ');
  await page.getByRole('button', { name: 'Use this circuit on a check' }).click();
  await expect(page.getByLabel('Title of this check')).toBeVisible();
  await expect(page.getByLabel('Pull-up')).toHaveValue('8132');
});

test('substitutes from the drawer; the test lands on a check with its caution', async ({ page }) => {
  await page.goto('/shelf/substitutes');
  await choose(page.getByLabel('My resistors'), 'what I own');
  await page.getByLabel('Resistors I own').fill('1k, 1k8');
  await expect(page.locator('[data-test="substitutes"] tbody tr').first()).toContainText('1.80 kΩ + 1.00 kΩ');
  await page.getByRole('button', { name: 'Add the best to a check as a test' }).click();
  await page.locator('[data-station="bypass"]').click();
  await page.locator('[data-test-id="displayed-substituted"]').click();
  await expect(page.getByLabel('with resistor')).toHaveValue('2800');
  await expect(page.getByText('Remove the resistor again')).toBeVisible();
});

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

test('own codes of a boiler: kept through a reload, understood on a check', async ({ page }) => {
  await page.goto('/shelf/codes');
  await page.getByLabel('Code', { exact: true }).fill('E12');
  await page.getByLabel('Circuit', { exact: true }).fill('flow temperature');
  await page.reload();
  await expect(page.getByLabel('Circuit', { exact: true })).toHaveValue('flow temperature');
  await page.getByRole('button', { name: 'Add the code' }).click();
  await expect(page.locator('[data-test="own-codes"]')).toContainText('E12flow temperatureopen');
  expect(await axeFinds(page)).toEqual([]);

  await startCheck(page);
  await page.locator('[data-station="complaint"]').click();
  await page.getByLabel('Add a code').fill('e-12');
  await page.getByRole('button', { name: 'Add code' }).click();
  await expect(page.locator('[data-test="code"]')).toContainText('E12');
  await expect(page.locator('[data-test="code"]')).toContainText('Flow temperature: circuit open');
  await kept(page);
});
