import type { Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { choose, field, files, kept, openImport, startCheck, verdict } from './bench.ts';

// A workshop's years: machines and their places, trends, what is due, a fault that came back.

async function nameMachine(page: Page, machine: string): Promise<void> {
  await page.locator('[data-station="complaint"]').click();
  await page.getByLabel('Machine', { exact: true }).fill(machine);
}

test('the third check on the same pump begins with the first two on the screen, and takes over what is known of it', async ({
  page,
}) => {
  const ohms = ['3.61k', '3.70k'];
  for (const [i, ohm] of ohms.entries()) {
    await startCheck(page);
    await field(page, 'Title of this check').fill(`Pump ${i + 1}`);
    await nameMachine(page, i === 0 ? 'Quay pump 7' : ' quay  PUMP 7');
    if (i === 1) {
      // The machine is known: one tap brings its circuit.
      await expect(page.getByText('1 check, last')).toBeVisible();
      await page.getByRole('button', { name: /^Use Engine coolant/ }).click();
      await expect(page.locator('[data-test="earlier"]')).toContainText('1 earlier check here');
    }
    await page.locator('[data-station="quick"]').click();
    if (i === 0)
      await choose(page.getByLabel('Circuit', { exact: true }), 'Engine coolant · 5 V · 2.49 kΩ · NTC 2.8 kΩ');
    await expect(page.getByLabel('Pull-up')).toHaveValue('2490');
    await page.getByLabel('Thermometer', { exact: true }).fill('20');
    await field(page, 'Ohms, sensor').fill(ohm);
    await expect(verdict(page)).toBeVisible();
    await kept(page);
  }
  await page.goto('/logbook');
  const machine = page.locator('[data-test="machine"]');
  await expect(machine).toHaveCount(1);
  await expect(machine).toContainText('2 checks, last');
  await machine.getByRole('link').click();
  await expect(page.locator('[data-test="place-check"]')).toHaveCount(2);
  await page.getByRole('button', { name: 'Next check here' }).click();
  const earlier = page.locator('[data-test="earlier"]');
  await expect(earlier).toContainText('2 earlier checks here');
  await expect(earlier.getByRole('link', { name: /still open/ })).toHaveCount(2);
  await expect(page.getByLabel('Pull-up')).toHaveValue('2490');
  await expect(field(page, 'Ohms, sensor')).toHaveValue('');
  await earlier.getByRole('link', { name: 'History' }).click();
  await expect(page.locator('[data-test="place-check"]')).toHaveCount(3);
});

test('the years of a pump: its drift in words, chart and figures; three machines with one fault; found by its code', async ({
  page,
}) => {
  await page.goto('/demo/');
  await expect(page.locator('[data-test="job"]').first()).toBeVisible();
  await page.goto('/demo/logbook');
  await expect(page.locator('[data-test="shared-fault"]')).toContainText('Sensor in Engine coolant');
  await expect(page.locator('[data-test="shared-fault"]')).toContainText('on 3 machines');
  await page.getByLabel('Search machines').fill('drain pump 3');
  await expect(page.locator('[data-test="machine"]')).toHaveCount(1);
  await page.locator('[data-test="machine"]').getByRole('link').click();
  await expect(page.locator('[data-test="trend"]')).toHaveText(
    /^8 figures: it drifts by −1\.\d K a year .* It is out of its tolerance/,
  );
  await expect(page.locator('[data-test="trend-chart"] .main-svg').first()).toBeVisible();
  const code = (await page.locator('[data-test="code"]').innerText()).trim();
  await page.getByRole('link', { name: 'Label' }).click();
  await expect(page.getByRole('img', { name: new RegExp(`QR code: .*/demo/logbook/place/${code}$`) })).toBeVisible();
  await page.goto('/demo/logbook');
  await page.getByLabel('Search machines').fill(code.toLowerCase().replace('-', ''));
  await page.getByLabel('Search machines').press('Enter');
  await expect(page).toHaveURL(new RegExp(`/demo/logbook/place/${code}$`));
  await expect(page.getByRole('heading', { name: /drain pump 3/ })).toBeVisible();
  // A code of no place here says so.
  await page.goto('/demo/logbook/place/222-2222');
  await expect(page.getByText('No machine here has the code 222-2222')).toBeVisible();
});

test('a fault that came back: linked to the first, which counts as replaced in vain and weighs in the verdict', async ({
  page,
}) => {
  await page.goto('/demo/');
  await expect(page.locator('[data-test="job"]').first()).toBeVisible();
  await page.goto('/demo/logbook');
  await page.locator('[data-test="machine"]', { hasText: 'drain pump 1' }).getByRole('link').click();
  await page.getByRole('button', { name: 'It came back…' }).click();
  await expect(page.locator('[data-test="earlier"]')).toContainText('1 earlier check here, and it came back');
  await page.locator('[data-station="complaint"]').click();
  await expect(
    page.getByRole('group', { name: 'Replaced already' }).getByRole('checkbox', { name: 'Sensor' }),
  ).toBeChecked();
  await page.locator('[data-station="quick"]').click();
  await page.getByRole('button', { name: 'Why, in figures' }).click();
  await expect(page.getByText('A new sensor is fitted already and did not help').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.goto('/demo/logbook/experience');
  const sensor = page.getByRole('row', { name: /^Sensor/ });
  await expect(sensor).toContainText('1');
  await expect(sensor.getByRole('cell').nth(4)).toHaveText('1');
});

test('a file with an unreadable place, or none, takes nothing from the register', async ({ page }) => {
  await page.goto('/');
  await openImport(page);
  await files(page, 'Import check files').setInputFiles({
    name: 'odd.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"mellow-probe/job","formatVersion":6}'),
  });
  await expect(page.getByText(/odd.json: not opened/)).toBeVisible();
  await page.goto('/logbook');
  await expect(page.getByText('No machines yet')).toBeVisible();
});
