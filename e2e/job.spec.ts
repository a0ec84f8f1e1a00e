import { expect, test } from './test.ts';
import { readFileSync } from 'node:fs';
import { files, kept, openDemo, verdict } from './bench.ts';
import { Hand } from './hand.ts';

/** A 2×2 red PNG. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAIAAAACCAIAAAD91JpzAAAAEElEQVR4nGP4z8AARAwQCgAf7gP9i18U1AAAAABJRU5ErkJggg==',
  'base64',
);

test('a whole job: complaint, readings, decision, repair, proof, report; nothing is lost on the way', async ({
  page,
}) => {
  const hand = new Hand(page);
  await hand.start('2.49 kΩ · NTC 2 kΩ', 'Ferry, jacket water');
  await hand.station('complaint');
  await hand.fill('Machine', 'Ferry Plover');
  await page.getByRole('textbox', { name: 'Complaint' }).fill('Fans never run');
  await hand.check('Fans never come on');
  await hand.fill('Add a code', 'P0118');
  await hand.press('Add code');
  await hand.choose('Thermostat stuck', 'ruled out');
  await hand.station('look');
  await hand.check('Corrosion or bent pins');
  await expect(page.getByText('signal leaks to the return (wet connector) × 3')).toBeVisible();
  await files(page, 'Add photos').setInputFiles({ name: 'plug.png', mimeType: 'image/png', buffer: PNG });
  await expect(page.locator('[data-test="photo"] img')).toBeVisible();
  await hand.air('12');
  await hand.read('displayed', '-24');
  await expect(page.locator('[data-test="outcome"]')).toContainText('Low.');
  await hand.read('open-voltage', '5.01');
  await hand.read('sensor-ohms', '3.6k');
  await hand.read('loaded-voltage', '4.4');
  await expect(verdict(page)).toContainText('Wiring fault: resistance in the return');
  // A figure that is corrected leaves its trace.
  await page.locator('.large input').press('Enter');
  await page.locator('[data-station="loaded"]').click();
  await page.locator('[data-test-id="loaded-voltage"]').click();
  await page.locator('.large input').fill('4.41');
  await page.locator('.large input').press('Enter');
  await hand.station('readings');
  await expect(page.getByText('corrected from 4.4')).toBeVisible();

  await hand.station('decision');
  await page.getByLabel('Sensor', { exact: true }).check();
  await expect(page.getByRole('button', { name: 'Record the decision' })).toBeDisabled();
  await page.getByLabel(/Why you decide otherwise/).fill('owner wants it');
  await hand.press('Record the decision');
  await expect(page.locator('[data-test="decision"]')).toContainText('the tool then: wiring >99 %');
  await page.locator('[data-test="decision"]').getByRole('button', { name: 'Undo' }).click();
  await page.getByLabel('Wiring', { exact: true }).check();
  await hand.press('Record the decision');

  await hand.station('repair');
  await page.getByLabel('Part', { exact: true }).fill('return splice');
  await page.getByLabel('Cause').fill('salt');
  await page.getByLabel('Repaired').check();
  await hand.press('Record a temporary replacement');
  await hand.station('proof');
  await hand.fill('Thermometer now', '14');
  await page.getByLabel('Displayed value').fill('14');
  await page.getByLabel('Signal voltage, plugged in').fill('4.4');
  await expect(page.locator('[data-test="close"]')).toContainText('outside the range: signal voltage, plugged in');
  await page.getByLabel('Signal voltage, plugged in').fill('2.82');
  await page.locator('[data-test="all-passed"]').click();
  await expect(page.locator('[data-test="close"]')).toContainText('temporary replacement is still fitted');
  await kept(page);
  await page.reload();
  await hand.station('repair');
  await hand.press('It is removed');
  await hand.station('proof');
  const panel = page.locator('[data-test="progress"]');
  await expect(panel).toContainText('Verified: close the job');
  await expect(page.locator('[data-test="next"]')).toHaveCount(0);
  await hand.press('Close as verified');
  await expect(panel).toContainText('Closed as verified');
  await kept(page);

  await page.getByRole('link', { name: 'Report' }).last().click();
  await expect(page.locator('[data-section="proof"]')).toContainText('Closed');
  await expect(page.locator('[data-section="readings"]')).toContainText('corrected from 4.4');
  await expect(page.getByRole('heading', { name: 'Photos' })).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF' }).click();
  const file = await (await download).path();
  expect(readFileSync(file).subarray(0, 5).toString()).toBe('%PDF-');
  // Back button: to the bench, everything there.
  await page.goBack();
  await hand.station('complaint');
  await expect(page.getByRole('textbox', { name: 'Complaint' })).toHaveValue('Fans never run');

  // The file carries the photo and everything else to another browser.
  const exported = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).click();
  const json = JSON.parse(readFileSync(await (await exported).path(), 'utf8')) as {
    photos: { image: string }[];
    closed: { how: string };
  };
  expect(json.photos[0].image).toMatch(/^data:image\/jpeg/);
  expect(json.closed.how).toBe('proved');
});

test('portrait tablet: order on top, drawing, card, verdict as a sheet that pulls up; nothing sticks out', async ({
  page,
}) => {
  await page.setViewportSize({ width: 800, height: 1280 });
  await openDemo(page, /Pilot boat/);
  await expect(page.locator('.pull')).toContainText('Wiring fault: resistance in the return');
  await expect(page.locator('[data-test="evidence"]')).not.toBeInViewport();
  await page.locator('.pull').click();
  await expect(page.locator('[data-test="evidence"]')).toBeInViewport();
  await page.locator('.pull').click();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(800);
});
