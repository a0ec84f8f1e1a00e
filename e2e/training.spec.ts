import type { Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { measurementById } from '../core/src/circuit/measurements/list.ts';
import { readCaseNumber } from '../core/src/training/cases/caseNumber.ts';
import { COURSE } from '../core/src/training/cases/course.ts';
import { type Move, replay } from '../core/src/training/cases/play.ts';
import { playBy } from '../core/src/training/cases/policies.ts';
import { THEME_IDS } from '../core/src/training/cases/themes.ts';
import { trainingCase, type TrainingCase } from '../core/src/training/cases/trainingCase.ts';
import { FIELDS } from '../core/src/base/units/vocabulary.ts';
import { groupName } from '../core/src/wording/groupName.ts';
import { trueStateOf } from '../core/src/training/cases/trueState.ts';
import { truthText } from '../core/src/wording/trainingText.ts';
import { STATIONS } from '../core/src/advice/workOrder/stations.ts';
import { choose, fetchedAhead, files, PHONE, toStation } from './bench.ts';

const probe = (page: Page) => page.locator('[data-test="probe"]');
const meter = (page: Page) => page.locator('[data-test="meter"]');
const minutes = (page: Page) => page.locator('[data-test="minutes"]');
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();
const set = (page: Page, row: string, to: string) =>
  probe(page).getByRole('radiogroup', { name: row }).getByRole('radio', { name: to, exact: true }).check();
const caseOf = (number: string): TrainingCase => {
  const read = readCaseNumber(number);
  if (!read.ok) throw new Error(number);
  return trainingCase(read.key);
};

async function begin(page: Page, number: string): Promise<void> {
  await page.goto('/train/cases');
  await page.getByLabel('Case number').fill(number);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(probe(page)).toBeVisible();
}

async function goTest(page: Page, id: string): Promise<void> {
  const station = STATIONS.find((s) => s.tests.includes(id))!;
  const row = page.locator(`[data-station="${station.id}"]`);
  const all = page.locator('[data-test="all-steps"]');
  await expect(all.or(row).first()).toBeVisible();
  if (await all.isVisible()) await toStation(page, station.id);
  else if ((await row.getAttribute('aria-current')) === null) await row.click();
  const card = page.locator(`[data-card="${id}"]`);
  if (await card.isVisible()) return;
  const line = page.locator(`[data-test-id="${id}"]`);
  if (await line.isVisible()) await line.click();
  else
    await page
      .getByRole('group', { name: 'Tests of this step' })
      .getByText(measurementById(id).name, { exact: true })
      .click();
  await expect(card).toBeVisible();
}

const PLUG = { in: 'plugged in', out: 'unplugged', bridged: 'jumpered', resistor: 'resistor in it' } as const;
const WHILE = { steady: 'as found', hot: 'hot', wiggling: 'wiggling' } as const;
const FIELDS_OF = { substituteOhm: 'with resistor', bathC: 'water at', airC: 'air at' } as const;

/** Makes moves as a person does, with every control set by hand; each figure must be the one the same moves give outside the browser. */
async function play(page: Page, ofCase: TrainingCase, moves: readonly Move[]): Promise<void> {
  const { events } = replay(ofCase, moves);
  for (const [i, move] of moves.entries()) {
    if (move.kind === 'look') await press(page, /^Inspect/);
    if (move.kind === 'diagram') await press(page, /^Diagram/);
    if (move.kind === 'warm') await press(page, /^Warm it/);
    if (move.kind === 'which-plug') await press(page, new RegExp(`^Unplug ${move.at}, watch`));
    if (move.kind === 'measure') {
      const { setUp, conditions } = move;
      await goTest(page, move.measurement);
      await set(page, 'Key', setUp.key ? 'on' : 'off');
      if (ofCase.other) await set(page, 'At plug', setUp.at);
      await set(page, 'The plug', PLUG[setUp.plug]);
      const across = probe(page).getByRole('radiogroup', { name: 'Across cavities' });
      if (await across.isVisible()) await set(page, 'Across cavities', setUp.across.replace('-', ' and '));
      const state = probe(page).getByRole('radiogroup', { name: 'While' });
      if (await state.isVisible()) await set(page, 'While', WHILE[setUp.state]);
      for (const name of ['substituteOhm', 'bathC', 'airC'] as const)
        if (conditions[name] !== undefined)
          await probe(page).getByLabel(FIELDS_OF[name], { exact: true }).fill(String(conditions[name]));
      await press(page, 'Probe');
      await expect(meter(page), move.measurement).toContainText(events[i].shown!.text || '– – –');
    }
    if (move.kind === 'act') {
      const words = move.group === 'healthy' ? 'nothing wrong now' : `repair: ${groupName(move.group).toLowerCase()}`;
      await choose(page.getByLabel('Act', { exact: true }), words);
      await press(page, 'Do it');
    }
    if (i === moves.length - 1) break;
    const spent = Math.round(events.slice(0, i + 1).reduce((sum, e) => sum + e.minutes, 0));
    await expect(minutes(page)).toContainText(new RegExp(`^${spent} of`));
  }
}

async function ends(page: Page, ofCase: TrainingCase): Promise<void> {
  await expect(page.locator('[data-test="truth"] h2')).toHaveText(truthText(trueStateOf(ofCase)), { timeout: 60_000 });
}

// Every theme and every order of work is played on the mounted probe (web/src/screens/train/plays.test.ts): here are one of two plugs, one that is
// warmed up, and one with a neighbour.
for (const theme of ['two-sensors', 'only-hot', 'shared-reference'] as const)
  test(`a case of “${theme}”, played by the ideal order to its end: the same figures, the same truth, no regret`, async ({
    page,
  }) => {
    const i = THEME_IDS.indexOf(theme);
    const ofCase = trainingCase({ theme, field: FIELDS[i % 3], difficulty: 1, seed: 300 + i });
    await begin(page, ofCase.number);
    await play(page, ofCase, playBy(ofCase, 'ideal').moves);
    await ends(page, ofCase);
    const rows = page.locator('[data-test="score"] tbody tr');
    await expect(rows.filter({ hasText: 'total' })).toContainText('+0');
  });

test('by hand, and wrongly: key off, plug seated, wrong range, live pins; five volts, the sensor in vain; then it is right', async ({
  page,
}) => {
  const ofCase = trainingCase({ theme: 'series-resistance', field: 'engine', difficulty: 2, seed: 7 });
  await begin(page, ofCase.number);
  await press(page, 'Probe');
  await expect(meter(page)).toContainText('it shows no steady value');
  await set(page, 'Key', 'on');
  await goTest(page, 'open-voltage');
  await set(page, 'I expect', 'sound');
  await set(page, 'The plug', 'unplugged');
  await press(page, 'Probe');
  await expect(meter(page)).toContainText('4.97 V');
  await goTest(page, 'sensor-ohms');
  await choose(probe(page).getByLabel('Meter’s range'), '200 Ω');
  await press(page, 'Probe');
  await expect(meter(page)).toContainText('OL');
  await expect(page.getByText('Ohms on a live circuit: key off first.')).toBeVisible();
  await goTest(page, 'displayed-bridged');
  await set(page, 'The plug', 'jumpered');
  const live = ofCase.cavities.indexOf('supply') + 1;
  const signal = ofCase.cavities.indexOf('signal') + 1;
  await set(page, 'Across cavities', [live, signal].sort().join(' and '));
  await press(page, 'Probe');
  await expect(page.getByText('the module’s input is burnt').first()).toBeVisible();
  await choose(page.getByLabel('I think it is'), 'Sensor');
  await page.getByRole('radio', { name: '90 %' }).check();
  await press(page, 'Record my estimate');
  await choose(page.getByLabel('Act', { exact: true }), 'repair: sensor');
  await page.getByLabel('because').fill('5 V is there');
  await press(page, 'Do it');
  await expect(page.getByText('It did not help.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('It did not help.'), 'kept through a reload').toBeVisible();
  await choose(page.getByLabel('Act', { exact: true }), 'repair: wiring');
  await press(page, 'Do it');
  await ends(page, ofCase);
  const remarks = page.locator('[data-test="remarks"]');
  await expect(remarks).toContainText('You take 5 V at the plug as proof of the wires.');
  await expect(remarks).toContainText('Replaced in vain: sensor.');
  await expect(remarks).toContainText('Cautions ignored: 2.');
  await expect(page.getByText('Live feed on the signal pin')).toBeVisible();
  await expect(page.getByText('The range was too low')).toBeVisible();
  await page.getByRole('link', { name: 'Progress' }).click();
  await expect(page.locator('[data-test="weak"]')).toContainText('1 of 1');
  await expect(page.getByRole('img', { name: /estimated 90 %: right in 0 % of 1/ })).toBeVisible();
  const download = page.waitForEvent('download');
  await press(page, 'Export all cases');
  await files(page, 'Cases from a file').setInputFiles(await (await download).path());
  await expect(page.getByRole('status')).toContainText('0 cases imported');
});

test.describe('on a phone, the server gone after loading', () => {
  test.use({ ...PHONE, fetchesAhead: true });
  test('a step of the course: page, desk, a case to its end', async ({ page, context }) => {
    test.setTimeout(240_000);
    await page.goto('/train');
    await fetchedAhead(page);
    await context.setOffline(true);
    await page.route('**/*', (route) => route.abort());
    const [step] = COURSE;
    await page.getByRole('link', { name: new RegExp(step.title) }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText(step.title);
    const desk = page.locator('[data-test="course-desk"]');
    const before = await desk.innerText();
    await desk.getByRole('slider', { name: 'Temperature' }).press('ArrowRight');
    await expect.poll(() => desk.innerText()).not.toBe(before);
    const ofCase = caseOf(step.cases[0]);
    await press(page, 'Case 1');
    await expect(probe(page)).toBeVisible();
    await play(page, ofCase, playBy(ofCase, 'ideal').moves);
    await ends(page, ofCase);
  });
});
