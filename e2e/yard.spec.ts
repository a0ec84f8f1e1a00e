import { expect, test } from './test.ts';
import { axeFinds } from './axe.ts';
import { field, pick, startCheck, verdict } from './bench.ts';

/** A meter, no thermometer and a line of a specification: what a mechanic really has. */
test('no thermometer: one tap for what was noticed; a band for a curve; a missed k mended with one tap', async ({
  page,
}) => {
  await startCheck(page);
  await pick(page, 'Sensor curve', 'One line of a specification, NTC');
  await field(page, 'Ohms, from … to').fill('2-3 k');
  await expect(page.getByText('read as 2.00 … 3.00 kΩ')).toBeVisible();
  await page.getByRole('button', { name: 'Not measured: what you noticed' }).click();
  await expect(page.getByText('Do not touch to find out')).toBeVisible();
  expect(await axeFinds(page, undefined, '.ant-popover')).toEqual([]);
  await page.getByRole('button', { name: 'hoses can be touched' }).click();
  await expect(field(page, 'Thermometer')).toHaveValue('hoses can be touched');
  await expect(page.getByText('read as 5 … 50 °C')).toBeVisible();
  await field(page, 'Displayed').fill('21');
  await field(page, 'Volts unplugged').fill('4.8');
  await field(page, 'Ohms, sensor').fill('2,4');
  await expect(verdict(page)).toContainText('Probably 2.40 kΩ: the k was missed.');
  await page.getByRole('button', { name: 'Meant 2.40 kΩ?' }).click();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('2.40 kΩ');
  await expect(verdict(page)).not.toContainText('Probably');
  // The next test tells what each outcome would leave, and no two of them lie alike.
  const outcomes = page.locator('[data-test="next"] dt');
  // The corrected figure is weighed first: until then no test stands there.
  await expect(outcomes.nth(1)).toBeVisible();
  const ranges = await outcomes.allTextContents();
  expect(new Set(ranges).size).toBe(ranges.length);
});

test('temperatures that say nothing are asked, ranges and bounds are taken', async ({ page }) => {
  await startCheck(page);
  const under = page.locator('.figure', { has: page.getByText('Thermometer', { exact: true }) }).locator('.under');
  for (const [text, says] of [
    ['hot', 'No figure found'],
    ['24-18', 'smaller figure first'],
    ['18…', 'No figure found'],
    ['18-24', 'read as 18 … 24 °C'],
    ['~20', 'read as 14 … 26 °C'],
    ['<50', 'read as −10 … 50 °C'],
    ['20±3', 'read as 17 … 23 °C'],
  ]) {
    await field(page, 'Thermometer').fill(text);
    await expect(under, text).toContainText(says);
  }
});

test('a curve nobody knows: an open sensor all the same, and the curves that stay possible', async ({ page }) => {
  await startCheck(page);
  await pick(page, 'Sensor curve', 'Not known: learn it from the readings');
  await field(page, 'Pull-up').fill('unknown');
  await field(page, 'Thermometer').fill('20');
  await field(page, 'Ohms, sensor').fill('2.5k');
  await expect(page.getByText(/Curve not known. Still possible: .*2\.5 kΩ at 20 °C/)).toBeVisible();
  await field(page, 'Ohms, sensor').fill('OL');
  await expect(verdict(page)).toContainText('Sensor open');
});

test('two things wrong are said as two, with the test that proves the second', async ({ page }) => {
  await startCheck(page);
  await field(page, 'Thermometer').fill('20');
  await field(page, 'Ohms, sensor').fill('2458');
  await field(page, 'Volts unplugged').fill('3.93');
  await page.locator('[data-station="wires"]').click();
  for (const [test, value] of [
    ['return-wire-ohms', '1200'],
    ['isolation-return', '8000'],
    ['signal-wire-ohms', '0.6'],
    ['isolation-ground', 'OL'],
  ]) {
    await page.locator(`[data-test-id="${test}"]`).click();
    await page.locator(`[data-card="${test}"] .large input`).fill(value);
  }
  await expect(verdict(page)).toContainText('Two things are wrong');
  await expect(verdict(page)).toContainText('resistance in the return');
  await expect(verdict(page)).toContainText('wet connector');
});
