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
