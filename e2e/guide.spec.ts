import type { Locator, Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { kept, PHONE } from './bench.ts';

/** What a meter shows at one machine, by test; with "hot " before it: while the machine is hot. What is not here cannot be done there. */
type Machine = Readonly<Record<string, string>>;

/** Taps and keys of a check that is worked by the guide: taps beside the keys of the figures, "Next" counted. */
class Guided {
  taps = 0;

  constructor(readonly page: Page) {}

  async tap(what: Locator): Promise<void> {
    await what.tap();
    this.taps++;
  }

  step(name: string): Promise<void> {
    return expect(this.page.locator(`[data-step="${name}"]`)).toBeVisible();
  }

  next(): Promise<void> {
    return this.tap(this.page.getByRole('button', { name: 'Next ›' }).first());
  }

  /** A figure on the keys of the page. */
  async figure(text: string): Promise<void> {
    const pad = this.page.getByRole('group', { name: 'Number pad' });
    // What keeps a key from being pressed is said while the test has time left.
    const press = (name: string | RegExp) => pad.getByRole('button', { name, exact: true }).tap({ timeout: 15_000 });
    if (text === 'OL') return press(/^OL/);
    for (const sign of text.replace('-', '')) await press(sign === '.' ? 'decimal mark' : sign === 'k' ? 'kilo' : sign);
    if (text.startsWith('-')) await press('minus');
  }

  /** From an empty browser to the first suggested test: what it is, what is wrong, how warm it is and by which thermometer. */
  async begin(sensor: RegExp, symptoms: readonly string[], air: string, thermometer?: RegExp): Promise<void> {
    await this.page.goto('/');
    await this.tap(this.page.getByRole('button', { name: 'Start the first check' }));
    await this.step('what');
    await this.tap(this.page.getByRole('button', { name: sensor }).first());
    await this.step('trouble');
    for (const s of symptoms) await this.tap(this.page.getByRole('button', { name: s, exact: true }));
    await this.next();
    await this.step('temperature');
    await this.figure(air);
    if (thermometer) await this.tap(this.page.getByRole('button', { name: thermometer }));
    await this.next();
  }

  /** Types a figure; false where the card went away before its first key, as the result may take its place. */
  private async typed(card: Locator, id: string, text: string): Promise<boolean> {
    try {
      await this.figure(text);
      return true;
    } catch (error) {
      if ((await card.count()) > 0 && (await card.getAttribute('data-card')) === id) throw error;
      return false;
    }
  }

  /** Does every suggested test at this machine until the result is there. Each card has its caution and waits until it is tapped away. */
  async measure(machine: Machine): Promise<string[]> {
    const done: string[] = [];
    const result = this.page.locator('[data-test="result"]');
    const card = this.page.locator('[data-card]');
    for (let i = 0; i < 12; i++) {
      await expect(result.or(card).first()).toBeVisible();
      if (await result.isVisible()) return done;
      const id = (await card.getAttribute('data-card'))!;
      const hot = (await card.locator('h3').first().innerText()).includes('when hot');
      const shows = machine[`${hot ? 'hot ' : ''}${id}`];
      const here = this.page.url();
      if (process.env.GUIDE_LOG) console.log(id, shows);
      if (shows === undefined) await this.tap(this.page.getByRole('button', { name: /can’t do this one/ }));
      else {
        if (!(await this.typed(card, id, shows))) continue;
        await expect(this.page.locator('[data-test="moved"]')).toContainText('Verdict:');
        done.push(`${hot ? 'hot ' : ''}${id}`);
        await this.tap(this.page.locator('.pad .next'));
      }
      await expect.poll(() => this.page.url()).not.toBe(here);
    }
    return done;
  }

  /** The verdict of the result; then the decision, and the report as a file that leaves the phone. */
  async end(verdict: RegExp, decision: string): Promise<void> {
    await expect(this.page.locator('[data-test="result"] h3')).toHaveText(verdict);
    await this.tap(this.page.getByRole('button', { name: 'Decide', exact: true }));
    await this.page.getByLabel(decision, { exact: true }).tap();
    await this.page.getByRole('button', { name: 'Record the decision' }).tap();
    await expect(this.page.locator('[data-test="decision"]')).toBeVisible();
    await kept(this.page);
    await this.page.goto(this.page.url().replace(/\/guide.*/, '/report'));
    const [file] = await Promise.all([
      this.page.waitForEvent('download'),
      this.page.getByRole('button', { name: 'PDF' }).tap(),
    ]);
    expect(file.suggestedFilename()).toMatch(/^\d{4}-\d\d-\d\d .+\.pdf$/);
  }
}

/** An engine coolant sensor of 2 kΩ at 25 °C, B 3600, on 5 V by 2.49 kΩ, at 20 °C: 2.46 kΩ and 2.48 V. By hand. */
const SOUND: Machine = {
  displayed: '20',
  'open-voltage': '5.01',
  'open-voltage-return': '5.01',
  'supply-to-return': '12.5',
  'loaded-voltage': '2.48',
  'loaded-voltage-return': '2.48',
  'return-drop': '0.003',
  'sensor-ohms': '2.46k',
  'displayed-unplugged': '-40',
  'displayed-bridged': '150',
};
const COOLANT = /Engine coolant.*NTC 2 kΩ/;

test.use(PHONE);

test('guided by touch: a sensor that drifted, begun on the phone and finished on the desk', async ({
  page,
  browser,
}) => {
  const hand = new Guided(page);
  await hand.begin(COOLANT, ['Reads too cold'], '20');
  await hand.measure({
    ...SOUND,
    displayed: '1',
    'loaded-voltage': '3.34',
    'loaded-voltage-return': '3.34',
    'sensor-ohms': '5.0k',
    'off-ohms': '5.0k',
  });
  // A sensor far off asks for its ohms in place and taken off: one test more than the others.
  expect(hand.taps).toBeLessThanOrEqual(13);
  await hand.end(/[Dd]rifted|[Ss]ensor/, 'Sensor');
  await page.getByRole('link', { name: '‹ Check', exact: true }).tap();
  await page.getByRole('button', { name: 'More', exact: true }).tap();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export' }).tap(),
  ]);
  const desk = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, hasTouch: false, isMobile: false })
  ).newPage();
  await desk.goto('/');
  await desk.getByRole('button', { name: 'More', exact: true }).click();
  await desk.getByRole('menuitem', { name: 'Import files…' }).click();
  await desk.locator('[data-files="Import check files"] input[type="file"]').setInputFiles(await file.path());
  await desk.locator('[data-test="job"]').getByRole('link').first().click();
  await desk.locator('[data-station="repair"]').click();
  await desk.getByLabel('Repaired').check();
  await kept(desk);
  await desk.context().close();
});

test('guided by touch: a sensor that opens only when hot', async ({ page }) => {
  const hand = new Guided(page);
  await hand.begin(COOLANT, ['Only when hot'], '20');
  const done = await hand.measure({
    ...SOUND,
    'hot displayed': '-40',
    'hot loaded-voltage': '5.0',
    'hot loaded-voltage-return': '5.0',
    'hot open-voltage': '5.0',
    'hot open-voltage-return': '5.0',
    'hot sensor-ohms': 'OL',
  });
  expect(done.some((id) => id.startsWith('hot '))).toBe(true);
  await hand.end(/[Ss]ensor|open/, 'Sensor');
});

test('five cold readings fit; a hot repeat asks how, and its temperature is its own', async ({ page }) => {
  const hand = new Guided(page);
  await hand.begin(COOLANT, [], '20');
  await page.goto(page.url().replace(/\/guide.*/, ''));
  for (const id of ['displayed', 'sensor-ohms', 'open-voltage', 'loaded-voltage', 'return-drop']) {
    await page.locator(`[data-field="${id}"] input`).tap();
    await hand.figure(SOUND[id]);
  }
  await page.getByRole('button', { name: 'Done', exact: true }).tap();
  const foot = page.getByRole('complementary', { name: 'Verdict' }).locator('.short');
  await expect(foot).toContainText('Nothing wrong');
  await page.locator('[data-test="all-steps"]').tap();
  await page.locator('[data-station="sensor"]').tap();
  await page.locator('[data-test="all-steps"]').tap();
  await page.locator('[data-test-id="sensor-ohms"]').tap();
  await page.getByRole('button', { name: 'Repeat', exact: true }).tap();
  await page.locator('[data-test="repeat"]').getByRole('button', { name: /^Same/ }).tap();
  await hand.figure('280');
  // Its own temperature, the other way: typed on the card of this reading alone.
  await page.getByLabel('Thermometer', { exact: true }).fill('83');
  await page.getByLabel('Thermometer', { exact: true }).press('Tab');
  await expect(page.locator('[data-test="moment"]')).toContainText('were taken at 20');
  await expect(foot).toContainText('Nothing wrong');
  await page.getByRole('button', { name: /^Yes, all at 83/ }).tap();
  await expect(foot).not.toContainText('Nothing wrong');
});
