import type { Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { choose, field, kept, startCheck, verdict } from './bench.ts';

/** A check begun with these figures, by the labels of their fields. */
async function begun(page: Page, figures: Record<string, string>): Promise<void> {
  await startCheck(page);
  for (const [label, text] of Object.entries(figures)) await field(page, label).fill(text);
}
const station = (page: Page, id: string) => page.locator(`[data-station="${id}"]`).click();

test('in-between volts at the end of a long trunk, three connectors: to the contact at the second one, return side', async ({
  page,
}) => {
  await startCheck(page);
  await page.getByLabel('Title of this check').fill('Plant room, outside sensor');
  await field(page, 'Thermometer').fill('12');
  await field(page, 'Displayed').fill('-24');
  await field(page, 'Volts unplugged').fill('5.01');
  await field(page, 'Ohms, sensor').fill('3.6k');
  await field(page, 'Volts plugged in').fill('4.40');
  await expect(verdict(page)).toContainText('resistance in the return');
  await station(page, 'where');
  await expect(page.locator('[data-test="where"]')).toContainText('No connectors yet');
  await page.getByRole('button', { name: 'Enter the harness row by row' }).click();
  await page
    .getByLabel(/Or paste rows from a spreadsheet/)
    .fill(
      'name\twhere\tminutes\tmetres\nC1\tin the trunk\t12\t18\nC2\tin the trunk, under the stair\t20\t9\nC3\troof box\tsoon\t4',
    );
  await page.getByRole('button', { name: /Replace the present rows/ }).click();
  await expect(page.getByText('Line 4: “soon” is no figure.')).toBeVisible();
  await page.getByRole('group', { name: 'C3' }).getByLabel('Minutes').fill('4');
  // The loom goes to the shelf and comes back on this very check.
  await page.getByLabel('Save this harness as').fill('Plant room');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByRole('group', { name: 'C3' }).getByRole('button').click();
  await page.getByText('Remove', { exact: true }).click();
  await expect(page.locator('[data-test="loom"] li')).toHaveCount(7);
  await choose(page.getByLabel('Use a saved harness'), 'Plant room');
  await expect(page.locator('[data-test="loom"] li')).toHaveCount(9);
  // The machine: 16 kΩ in the contact at C2, in the return. Short of it there is ground, beyond it what the return stands at.
  const shows = (position: number, side: string): string =>
    position < 2 || (position === 2 && side === 'module') ? '0.004' : '3.61';
  const where = page.locator('[data-test="where"]');
  let laidOpen = 0;
  let readings = 0;
  for (; readings < 6; readings++) {
    await expect(where).toContainText(/Likeliest place|Contact at/);
    if (/^Contact at/.test((await where.textContent())!)) break;
    const heading = await page.locator('[data-test="where-next"] h3').textContent();
    const [, name, side, minutes] = /return wire, C(\d), (module|sensor) side · (\d+)\smin/.exec(heading!)!;
    laidOpen += Number(minutes);
    await expect(page.locator('[data-test="where-next"] dd')).toHaveCount(2);
    await page.getByRole('button', { name: `I am at C${name}` }).click();
    const before = await page.locator('[data-station="places"]').count();
    expect(before).toBe(1);
    await page
      .locator('[data-measurement="connector-voltage"] input')
      .first()
      .fill(shows(Number(name), side));
    await kept(page);
    await station(page, 'where');
    await expect(page.locator('[data-test="where-next"] h3', { hasText: heading! })).toHaveCount(0);
  }
  await expect(where).toContainText(/^Contact at C2, return wire: (9\d|>99) %\.$/);
  expect(readings).toBeLessThanOrEqual(4);
  // All three laid open would be 36 minutes and two readings at each; from the sensor backwards it is that.
  expect(laidOpen).toBeLessThan(45);
  await expect(page.locator('[data-test="where-line"]')).toContainText('Contact at C2');
  await page.reload();
  await station(page, 'where');
  await expect(where).toContainText('Contact at C2, return wire');
});

test('several at once lead to the shared return in two readings of neighbours', async ({ page }) => {
  await begun(page, {
    Thermometer: '12',
    Displayed: '-40',
  });
  await page.getByRole('button', { name: 'More…' }).click();
  await choose(page.getByRole('dialog').getByLabel('Other sensors share with this one'), 'reference and return');
  await page.keyboard.press('Escape');
  const order = page.getByRole('navigation', { name: 'Order of work' });
  await station(page, 'live');
  await order.getByRole('button', { name: /Displayed value of a neighbour/ }).click();
  const value = page.locator('[data-measurement="neighbour-displayed"] input').first();
  await value.fill('-40');
  await field(page, 'temperature there').fill('20');
  await expect(verdict(page)).toContainText('return');
  await page.getByRole('group', { name: 'Readings of this test' }).getByRole('button', { name: 'Another' }).click();
  await value.fill('-38');
  await field(page, 'temperature there').fill('25');
  await expect(verdict(page)).toContainText('return wire open');
  await expect(verdict(page)).toContainText('in the part that is shared');
  await kept(page);
});

test('a reference that a neighbour drags down: unplugging the neighbours is the next test, and says what to mend', async ({
  page,
}) => {
  await begun(page, {
    Thermometer: '12',
    'Volts unplugged': '3.1',
    'Ohms, sensor': '3.5k',
  });
  await page.getByRole('button', { name: 'More…' }).click();
  await choose(page.getByRole('dialog').getByLabel('Other sensors share with this one'), 'the reference');
  await page.keyboard.press('Escape');
  const order = page.getByRole('navigation', { name: 'Order of work' });
  await station(page, 'supply');
  await order.getByRole('button', { name: /Reference voltage at a neighbour/ }).click();
  await page.locator('[data-measurement="neighbour-reference"] input').first().fill('3.1');
  await expect(verdict(page)).toContainText('reference low');
  const next = page.locator('[data-test="next"]');
  await expect(next).toContainText('Next: Reference voltage, neighbours unplugged');
  await expect(next).toContainText('reference low, dragged down by a neighbour');
  await next.getByRole('button', { name: /Reference voltage, neighbours unplugged/ }).click();
  await page.locator('[data-measurement="reference-alone"] input').first().fill('4.98');
  await expect(verdict(page)).toContainText('dragged down by a neighbour');
  await expect(page.getByText(/Plug the neighbours in again one by one, key off each time/).first()).toBeVisible();
  await kept(page);
});

test('a wet plug at hand is wiggled before the trunk is laid open; what it did is noted by a tap', async ({ page }) => {
  await begun(page, {
    Thermometer: '12',
    'Volts unplugged': '5.01',
    'Ohms, sensor': '3.6k',
    'Volts plugged in': '4.40',
  });
  await expect(verdict(page)).toContainText('resistance in the return');
  await station(page, 'where');
  await page.getByRole('button', { name: 'Enter the harness row by row' }).click();
  await page
    .getByLabel(/Or paste rows from a spreadsheet/)
    .fill('name\twhere\tminutes\tmetres\nC1\tin the trunk\t25\t8\nC2\tin the trunk\t30\t8');
  await page.getByRole('button', { name: /Replace the present rows/ }).click();
  const loom = page.locator('[data-test="loom"]');
  await loom.getByRole('button', { name: /terminal of the sensor plug/ }).click();
  const sheet = page.getByRole('dialog');
  await sheet
    .getByRole('group', { name: 'What is known about this place' })
    .getByLabel(/water gets at it/)
    .check();
  await page.keyboard.press('Escape');
  const first = page.locator('[data-test="where-first"]');
  await expect(first).toContainText(/First: (wiggle|inspect) sensor plug/);
  const heading = (await first.locator('h3').textContent())!;
  await expect(page.locator('[data-test="next"]')).toContainText('First, under “Locate the fault”');
  await first.getByRole('button').last().click();
  await expect(page.locator('[data-test="where-first"] h3', { hasText: heading })).toHaveCount(0);
  await loom.getByRole('button', { name: /terminal of the sensor plug/ }).click();
  await expect(
    page
      .getByRole('dialog')
      .getByRole('checkbox', { name: /wiggled here, value stands|looked at, nothing seen/, checked: true }),
  ).toHaveCount(1);
  await kept(page);
});
