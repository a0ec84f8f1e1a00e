import { expect, test } from './test.ts';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { choose, kept, verdict } from './bench.ts';
import { Hand } from './hand.ts';

/** Cases of the trade with figures of our own invention, driven through the real interface; more of them in web/src/session/scenarios.test.ts. */

/** Strokes as the docs tell them. */
const told = new Map(
  [
    ...readFileSync(path.resolve(import.meta.dirname, '../docs/strokes.md'), 'utf8').matchAll(
      /^\| (.+?) +\| (\d+) +\|$/gm,
    ),
  ].map(([, name, n]) => [name, Number(n)]),
);
function counted(name: string, hand: Hand): void {
  expect(hand.strokes, `docs/strokes.md: | ${name} | ${hand.strokes} |`).toBe(told.get(name));
}

test('gauge sender measured instead of the controller’s sensor', async ({ page }) => {
  const hand = new Hand(page);
  await hand.start('2.49 kΩ · NTC 2 kΩ', 'two senders');
  await hand.fill('Thermometer', '20');
  await hand.read('displayed', '-12');
  await hand.read('sensor-ohms', '690');
  await hand.station('right-sensor');
  for (const [button, field, name] of [
    ['Add a value', 'Name of a displayed value', 'controller'],
    ['Add a plug', 'Name of a plug', 'one pin'],
    ['Add a plug', 'Name of a plug', 'two pins'],
  ] as const) {
    await hand.press(button);
    await page.getByLabel(field).last().fill(name);
    hand.strokes += name.length;
  }
  await page.getByLabel('in the complaint').check();
  await page.getByLabel('measured here').first().check();
  hand.strokes += 2;
  await page.getByRole('button', { name: 'nothing with one pin' }).click();
  await page.getByRole('button', { name: 'controller with two pins' }).click();
  hand.strokes += 2;
  await expect(page.locator('[data-test="plug-told"]').first()).toContainText('wrong plug');
  await expect(page.locator('[data-station="right-sensor"]')).toContainText('wrong plug');
  await hand.station('readings');
  await page.getByRole('button', { name: 'Exclude…' }).nth(1).click();
  await hand.fill('Why it is excluded', 'gauge sender');
  await page.getByRole('button', { name: 'Exclude', exact: true }).click();
  hand.strokes += 2;
  await hand.station('right-sensor');
  await page.getByLabel('measured here').nth(1).check();
  hand.strokes += 1;
  await expect(page.locator('[data-test="plug-told"]').last()).toContainText('right plug');
  await hand.read('sensor-ohms', '2.48k');
  await hand.read('loaded-voltage', '0.91');
  await hand.read('return-drop', '0.004');
  await expect(verdict(page)).toContainText('Wiring fault: resistance in the signal wire');
  counted('gauge sender measured instead of the controller’s sensor', hand);
});

test('evaporator sensor proved by a substitute resistor that must come out again', async ({ page }) => {
  const hand = new Hand(page);
  await hand.start('Evaporator or coil', 'air coil');
  await hand.fill('Thermometer', '10');
  await hand.read('displayed', '24');
  await hand.read('displayed-substituted', '25', { ohm: '5k' });
  await expect(page.getByLabel('The test on the card')).toContainText('Remove the resistor again');
  await hand.read('sensor-ohms', '5.2k');
  await hand.read('bench-ohms', '8.5k', { water: '0' });
  await expect(verdict(page)).toContainText('Sensor drifted low');
  await hand.station('repair');
  await expect(page.getByText('Make sure it is out again')).toBeVisible();
  await hand.press('Record a temporary replacement');
  await hand.fill('What is fitted', '5 kΩ NTC from the drawer');
  await kept(page);
  await page.getByRole('link', { name: 'Checks' }).click();
  await expect(page.getByText('◆ temporary replacement still fitted')).toBeVisible();
  counted('evaporator sensor proved by a substitute resistor that must come out again', hand);
});

test('sensor that fails only after a heat cycle', async ({ page }) => {
  const hand = new Hand(page);
  await hand.start('2.49 kΩ · NTC 2.8 kΩ', 'heat cycle');
  await hand.fill('Thermometer', '29');
  await hand.station('compare');
  const pairs = [
    ['29', '2.33k', 'heating'],
    ['60', '665', 'heating'],
    ['29', '14.5k', 'after'],
    ['30', '14.1k', 'after'],
  ];
  for (const [i, [t, ohm, phase]] of pairs.entries()) {
    await hand.press('Add a pair');
    await hand.fill(`Water at, ${i + 1}`, t);
    await hand.fill(`Ohms, ${i + 1}`, ohm);
    await choose(page.locator('[data-test="pair"]').nth(i).getByLabel('while'), phase);
    hand.strokes += 2;
  }
  await expect(page.locator('[data-test="compare-told"]').filter({ hasText: 'did not come back' })).toBeVisible();
  await expect(verdict(page)).toContainText('Sensor drifted high');
  await expect(verdict(page)).toContainText('only hot');
  for (const [i, [minute, value]] of [
    ['0', '90'],
    ['1', '60'],
    ['2', '45'],
    ['3', '37.5'],
  ].entries()) {
    await hand.press('Add a timed reading');
    const fields = page.locator('[data-test="timed"]').nth(i).locator('input');
    await fields.first().fill(minute);
    await fields.last().fill(value);
    hand.strokes += minute.length + value.length;
  }
  await expect(page.locator('[data-test="settling-told"]')).toContainText('Will settle at about 30');
  counted('sensor that fails only after a heat cycle', hand);
});
