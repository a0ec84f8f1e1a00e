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

test('figures as they are typed: asked where ambiguous, told where wrong, kept either way', async ({ page }) => {
  await startCheck(page);
  const ohms = field(page, 'Ohms, sensor');
  await ohms.fill('11,883');
  await expect(page.getByRole('alert')).toContainText('Two ways to read this');
  await page.getByRole('button', { name: '11883', exact: true }).click();
  await expect(ohms).toHaveValue('11883');
  await ohms.fill('5 V');
  await expect(page.getByRole('alert')).toContainText('takes ohms');
  await ohms.fill('-20');
  await expect(page.getByRole('alert')).toContainText('cannot be negative');
  await ohms.fill('3.5');
  await field(page, 'Thermometer').fill('12');
  await page.getByRole('button', { name: /Meant 3.50 kΩ/ }).click();
  await expect(ohms).toHaveValue('3.50 kΩ');
  const pullUp = field(page, 'Pull-up');
  await pullUp.fill('0');
  await expect(page.getByText('Must be more than zero.')).toBeVisible();
  await expect(page.getByText('The circuit is not complete')).toBeVisible();
  await field(page, 'Thermometer').fill('-300');
  await expect(page.getByText('Below absolute zero')).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(pullUp).toHaveValue('0');
  await expect(field(page, 'Thermometer')).toHaveValue('-300');
  await pullUp.fill('unknown');
  await field(page, 'Thermometer').fill('53,6 F');
  await field(page, 'Volts plugged in').fill('2.9');
  await expect(page.getByText('Pull-up learned')).toBeVisible();
});

test('a curve typed as R25 and B, or as points', async ({ page }) => {
  await startCheck(page);
  await pick(page, 'Sensor curve', 'NTC by R25');
  await field(page, 'R25').fill('2k');
  await field(page, 'B (K)').fill('3600');
  await field(page, 'Thermometer').fill('12');
  await expect(page.locator('[data-measurement="sensor-ohms"] .under')).toContainText(/healthy 2\.\d+ … 4\.\d+ kΩ/);
  await pick(page, 'Sensor curve', 'Points of a table');
  const pairs = [
    ['17', '3650'],
    ['21', '3040'],
    ['48', '1000'],
  ];
  for (const [i, [t, r]] of pairs.entries()) {
    await field(page, `Temperature ${i + 1}`).fill(t);
    await field(page, `Resistance ${i + 1}`).fill(r);
  }
  await field(page, 'Resistance 2').fill('3040');
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await field(page, 'Thermometer').fill('21');
  await expect(page.locator('[data-measurement="sensor-ohms"] .under')).toContainText(/healthy 2\.\d+ … 3\.\d+ kΩ/);
  // Any kind of curve can be typed by its figures: a platinum one of 200 Ω at 0 °C.
  await pick(page, 'Sensor curve', 'Platinum by R at 0');
  await field(page, 'R at 0 °C').fill('200');
  await expect(page.locator('[data-measurement="sensor-ohms"] .under')).toContainText(/healthy 2[01]\d … 22\d Ω/);
});

test('°C and °F: the unit typed wins and a later switch does not change a figure', async ({ page }) => {
  await startCheck(page);
  await field(page, 'Thermometer').fill('12');
  await field(page, 'Ohms, sensor').focus();
  await expect(field(page, 'Thermometer')).toHaveValue('12 °C');
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(page.locator('[data-measurement="displayed"] .under')).toContainText('°F');
  await field(page, 'Displayed').fill('54');
  await field(page, 'Ohms, sensor').fill('3450');
  await expect(page.locator('[data-measurement="displayed"] .sign')).toHaveText('●');
  await kept(page);
});

test('any test can be added, under its conditions; keys lead to the proposed one', async ({ page }) => {
  await startCheck(page);
  await field(page, 'Thermometer').fill('12');
  await page.locator('[data-station="bypass"]').click();
  await page.locator('[data-test-id="displayed-substituted"]').click();
  await expect(page.locator('.large input')).toBeFocused();
  await page.keyboard.type('25');
  await expect(page.getByText('Needed with this reading')).toBeVisible();
  await field(page, 'with resistor').fill('2k');
  await expect(page.locator('[data-test="evidence"]')).toContainText('Displayed value, substitute resistor');
  await page.getByRole('button', { name: 'Exclude…' }).click();
  await page.getByLabel('Why it is excluded').fill('wrong resistor');
  await page.getByRole('button', { name: 'Exclude', exact: true }).click();
  await expect(page.locator('[data-test="evidence"]')).toHaveCount(0);
  await page.locator('[data-station="readings"]').click();
  await expect(page.locator('[data-test="record"]')).toContainText('excluded: wrong resistor');
  await page.getByRole('button', { name: 'Include again' }).click();
  await expect(page.locator('[data-test="evidence"]')).toContainText('Displayed value, substitute resistor');
  await expect(page.locator('[data-test="next"]')).toBeVisible();
  const proposed = (await page.locator('[data-test="next"] h3').innerText()).match(/Next: (.*?)\s*\d+ min/)![1];
  await page.locator('h2').first().click();
  await page.keyboard.press('n');
  await expect(page.locator('.large input')).toBeFocused();
  const focused = await page.evaluate(() =>
    document.activeElement?.closest('[data-measurement]')?.getAttribute('data-measurement'),
  );
  expect(focused, proposed).toBeTruthy();
});

/** What a technician noted on the job card, and where each part of it goes by the words on the screen: pressed, or a field with its figure. */
const NOTES: readonly [note: string, by: readonly (string | readonly [field: string, figure: string])[]][] = [
  [
    'gauge pegged cold, 5 V at the plug, sensor reads 2.2k',
    [
      'Complaint',
      'Stuck at the cold end, about −40',
      'Quick check',
      ['Volts unplugged', '5 V'],
      ['Ohms, sensor', '2.2k'],
    ],
  ],
  [
    'code P0118; 4.98 with the plug off, 4.2 plugged in, 0.9 V on the return',
    [
      'Complaint',
      ['Add a code', 'P0118'],
      'Add code',
      'Quick check',
      ['Volts unplugged', '4.98'],
      ['Volts plugged in', '4.2'],
      ['Return voltage drop', '0.9 V'],
    ],
  ],
  [
    'gauge says 33, hose is 60 by the thermometer, 8.7k across the sensor',
    [
      ['Displayed', '33'],
      ['Thermometer', '60'],
      ['Ohms, sensor', '8.7k'],
    ],
  ],
  [
    'unplugged it: gauge drops to −40; jumpered: 150. Sensor open',
    [
      'Bypass test',
      ['Displayed value, unplugged', '-40'],
      'Displayed value, jumpered',
      ['Displayed value, jumpered', '150'],
      'Sensor resistance',
      ['Sensor resistance', 'OL'],
    ],
  ],
  [
    'fine cold, only acts up hot; green pins, wet plug',
    [
      'Complaint',
      'Only when hot',
      'Inspect',
      'Corrosion or bent pins at the plug',
      'Water, coolant or condensate on the plug',
    ],
  ],
  [
    'new sensor already in, still reads too hot, 0 V at the plug',
    ['Complaint', 'Reads too hot', 'Sensor', 'Quick check', ['Volts unplugged', '0 V']],
  ],
];

test('six plain notes are entered by the words on the screen alone', async ({ page }) => {
  await startCheck(page);
  for (const [note, parts] of NOTES)
    await test.step(note, async () => {
      await page.goto('/');
      await page.getByRole('button', { name: /New check/ }).click();
      await expect(page.getByLabel('Title of this check')).toBeVisible();
      const main = page.locator('main');
      for (const part of parts) {
        if (typeof part === 'string') {
          const box = main.getByRole('checkbox', { name: part, exact: true });
          const words = main.getByText(part, { exact: true }).filter({ visible: true }).first();
          await expect(words).toBeVisible();
          if ((await box.count()) > 0) await box.check();
          else await words.click();
        } else {
          const [label, figure] = part;
          await expect(main.getByText(label).filter({ visible: true }).first()).toBeVisible();
          const input = main.getByRole('textbox', { name: label }).first();
          await input.fill(figure);
          await input.blur();
        }
      }
      await kept(page);
      await expect(verdict(page)).toBeVisible();
      await main.getByText('All readings').first().click();
      const figures = parts.filter((p) => typeof p !== 'string' && !/code|Thermometer/.test(p[0]));
      await expect(main.getByRole('row').filter({ hasText: 'Exclude…' })).toHaveCount(figures.length);
    });
});
