import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { PNG } from 'pngjs';
import { begun, choose, field, kept, startCheck, verdict, openDemo } from './bench.ts';
import { FIRST_LOADS, firstLoad, kilobytes } from './firstLoad.ts';

const downloaded = async (page: Page, act: () => Promise<void>): Promise<{ name: string; bytes: Buffer }> => {
  const [download] = await Promise.all([page.waitForEvent('download'), act()]);
  return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
};

test('a newcomer is shown round the bench once, step by step; from the help again', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start with a tour' }).click();
  await expect(page.getByText('Type what the meter shows')).toBeVisible();
  for (const title of ['The verdict follows each figure', 'Where the probes go', 'The whole job, in order']) {
    await page.getByRole('button', { name: 'Next', exact: true }).click();
    await expect(page.getByText(title)).toBeVisible();
  }
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.ant-tour')).toBeHidden();
  await page.reload();
  await expect(page.getByLabel('Title of this check')).toBeVisible();
  await expect(page.locator('.ant-tour')).toHaveCount(0);
  await page.getByRole('button', { name: 'Help and shortcuts' }).click();
  await page.getByRole('button', { name: 'Show me around' }).click();
  await expect(page.getByText('Type what the meter shows')).toBeVisible();
  await page.locator('.ant-tour-close').click();
  await expect(page.locator('.ant-tour')).toBeHidden();
});

test('read far: a figure is typed, held and taken, spoken back on wish; a short press takes nothing', async ({
  page,
}) => {
  // The voice of a browser cannot be heard here: what it is given is.
  await page.addInitScript(() => {
    const spoken: string[] = [];
    Object.assign(window, { spoken });
    window.speechSynthesis.speak = (words) => void spoken.push(words.text);
  });
  await startCheck(page);
  await page.getByLabel('Thermometer').fill('20');
  await page.locator('[data-station="loaded"]').click();
  await page.locator('[data-test-id="loaded-voltage"]').click();
  await page.keyboard.press('Escape');
  await page.keyboard.press('r');
  const far = page.getByRole('dialog', { name: 'Large view' });
  await far.getByLabel('read aloud').check();
  await page.keyboard.type('4.7');
  await expect(far.locator('[data-test="far-figure"]')).toHaveText('4.7 V');
  const size = await far.locator('.figure').evaluate((x) => parseFloat(getComputedStyle(x).fontSize));
  expect(size).toBeGreaterThan(150);
  await expect(far).toContainText('not taken yet');
  const hold = far.getByRole('button', { name: 'Hold to save' });
  await hold.click();
  await page.waitForTimeout(900);
  await expect(far).toContainText('not taken yet');
  await hold.hover();
  await page.mouse.down();
  await expect(far).not.toContainText('not taken yet');
  await page.mouse.up();
  await expect(far).toContainText('High');
  await expect
    .poll(() => page.evaluate(() => (window as unknown as { spoken: string[] }).spoken))
    .toEqual(['4.70 volts, high.']);
  await page.keyboard.type('2.5x8');
  await page.keyboard.press('Backspace');
  await page.keyboard.press('Enter');
  await expect(far.locator('[data-test="far-figure"]')).toHaveText('2.5 V');
  await page.keyboard.press('Escape');
  await expect(far).toBeHidden();
  await expect(page.locator('.large input')).toHaveValue('2.5');
  await kept(page);
});

test('the verdict’s course, the figures and pictures of a chart, the next test’s outcomes on the meter’s scale', async ({
  page,
}) => {
  await openDemo(page, /Pilot boat/);
  // The screen's own style lies over that of what it is made of: what pulls up on a phone is not there at a desk.
  await verdict(page).waitFor();
  await expect(page.locator('.pull')).toBeHidden();
  await expect(verdict(page)).toContainText('Wiring');
  await page.getByRole('button', { name: 'Why, in figures' }).click();
  await expect(page.locator('[data-test="course"] .plot .trace').first()).toBeVisible();
  await page.getByRole('button', { name: 'More for the chart: How the verdict changed' }).click();
  await page.getByRole('menuitem', { name: 'Figures of the chart' }).click();
  const figures = page.getByRole('dialog', { name: /How the verdict changed/ });
  await expect(figures.getByRole('row').filter({ hasText: 'Wiring' })).toHaveCount(5);
  await page.keyboard.press('Escape');
  await expect(figures).toBeHidden();
  // Each Escape closes one sheet: first the figures, then the one below.
  const sheet = page.getByRole('dialog');
  await expect(sheet).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();

  const more = page.getByRole('button', { name: 'More for the chart: Sensor resistance' });
  await more.click();
  const svg = await downloaded(page, () => page.getByRole('menuitem', { name: 'Picture as SVG' }).click());
  expect([svg.name, svg.bytes.toString().slice(0, 4)]).toEqual(['Sensor-resistance-against-temperature.svg', '<svg']);
  await more.click();
  const png = await downloaded(page, () => page.getByRole('menuitem', { name: 'Picture as PNG' }).click());
  expect(png.bytes.subarray(1, 4).toString()).toBe('PNG');

  await openDemo(page, /Beet harvester/);
  const next = page.locator('[data-test="next"]');
  await expect(next.locator('dt').nth(1)).toBeVisible();
  await expect(next.locator('[data-test="outcome-scale"] .band')).toHaveCount(await next.locator('dt').count());
});

test('the report: who measured stands on its head; for the customer in plain words; HTML stands alone, PDF has language and bookmarks', async ({
  page,
}) => {
  await page.goto('/demo/settings/workshop');
  await page.getByRole('textbox', { name: 'Workshop', exact: true }).fill('Quay Works');
  await page.getByLabel('Technician').fill('A. Made-up');
  await page.locator('[data-files="Logo of the workshop"] input[type="file"]').setInputFiles({
    name: 'logo.png',
    mimeType: 'image/png',
    buffer: PNG.sync.write(new PNG({ width: 12, height: 8 })),
  });
  await expect(page.getByAltText('The workshop’s logo')).toBeVisible();
  await page.waitForTimeout(600);
  await openDemo(page, /Swimming bath/);
  await page.getByRole('link', { name: 'Report' }).click();
  await expect(page.locator('[data-test="report-head"]')).toContainText('Quay Works');
  await expect(page.locator('[data-section="wrong"]')).toContainText('The temperature sensor was faulty.');
  await expect(page.locator('[data-section="proved"]')).toContainText('The repair is confirmed.');
  await expect(page.getByText('Technician: A. Made-up · date')).toBeVisible();
  await choose(page.getByLabel('Pages'), 'for the customer');
  await expect(page.locator('[data-section="readings"]')).toHaveCount(0);
  await choose(page.getByLabel('Pages'), 'both pages');
  await expect(page.locator('[data-section="readings"]')).toBeVisible();
  const pdf = await downloaded(page, () => page.getByRole('button', { name: 'PDF' }).click());
  const text = pdf.bytes.toString('latin1');
  expect(text).toContain('/Lang (en)');
  expect(text).toContain('/Outlines');
  expect(text).not.toContain('/MarkInfo');
  const html = await downloaded(page, () => page.getByRole('button', { name: 'HTML' }).click());
  expect(html.name).toMatch(/^\d{4}-\d\d-\d\d Swimming bath boiler flow\.html$/);
  await page.setContent(html.bytes.toString());
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Swimming bath');
  await expect(page.getByRole('table').first()).toBeVisible();
  await expect(page.getByAltText('Resistance against temperature')).toBeVisible();
});

test('a key pressed before the program is there is answered when it is, and once', async ({ page }) => {
  let letGo = (): void => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(/assets\/index-.*\.js$/, async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/');
  await page.getByText('Four figures are enough').waitFor();
  await page.keyboard.press('c');
  letGo();
  await expect(page.getByLabel('Title of this check')).toBeVisible();
  await begun(page);
  await page.goto('/');
  await expect(page.locator('[data-test="job"]')).toHaveCount(1);
});

test('by keys alone: from the complaint to the closed check', async ({ page }) => {
  test.setTimeout(180_000);
  /** Walks with Tab until the focus is on what has this name. */
  const tabTo = async (name: RegExp): Promise<void> => {
    for (let i = 0; i < 160; i++) {
      const here = await page.evaluate(() => {
        const e = document.activeElement as HTMLElement | null;
        if (!e || e === document.body) return '';
        const labels = 'labels' in e ? [...((e as HTMLInputElement).labels ?? [])].map((l) => l.textContent) : [];
        return [e.getAttribute('aria-label'), e.textContent, ...labels].filter(Boolean).join(' | ');
      });
      if (name.test(here)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`no way to ${String(name)} by Tab`);
  };
  await page.goto('/');
  await begun(page);
  await page.getByText('Four figures are enough').waitFor();
  await page.keyboard.press('c');
  await expect(page.getByLabel('Title of this check')).toBeVisible();
  await tabTo(/Title of this check/);
  await page.keyboard.type('Tug · coolant');
  await tabTo(/Complaint/);
  await page.keyboard.press('Enter');
  await tabTo(/Machine/);
  await page.keyboard.type('Tug');
  await tabTo(/Complaint/);
  await page.keyboard.type('Fan never runs');
  await tabTo(/Fans never come on/);
  await page.keyboard.press('Space');
  await page.keyboard.press('Escape');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('q');
  for (const [label, figure] of [
    ['Thermometer', '12'],
    ['Displayed', '-24'],
    ['Ohms, sensor', '3.6k'],
    ['Volts unplugged', '5.01'],
    ['Volts plugged in', '4.40'],
  ] as const) {
    await tabTo(new RegExp(label));
    await page.keyboard.type(figure);
  }
  await expect(verdict(page)).toContainText('resistance in the return');
  await page.keyboard.press('Escape');
  await page.keyboard.press('d');
  await tabTo(/Wiring/);
  await page.keyboard.press('Space');
  await tabTo(/Record the decision/);
  await page.keyboard.press('Enter');
  await tabTo(/Repair/);
  await page.keyboard.press('Enter');
  await tabTo(/Repaired/);
  await page.keyboard.press('Space');
  await tabTo(/Verify the repair/);
  await page.keyboard.press('Enter');
  await tabTo(/say why/);
  await page.keyboard.type('proved at sea by the owner');
  await tabTo(/Close without verifying/);
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-test="close"]')).toContainText('proved at sea by the owner');
  await kept(page);
});

test('with the system’s own colours what is told by a ground is still told', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openDemo(page, /Pilot boat/);
  await page.locator('.probability .fill').first().waitFor();
  await page.locator('[data-station="where"]').click();
  await page.locator('[data-test="where-next"]').waitFor();
  const grounds = await page.evaluate(() => {
    const canvas = getComputedStyle(document.body).backgroundColor;
    return ['.probability .fill', '.strip .span', '.strip .tick', '.loom .rail', '.loom .bar span', '.swatch'].map(
      (one) => {
        const { backgroundColor, backgroundImage } = getComputedStyle(document.querySelector(one)!);
        return [one, backgroundImage !== 'none' || ![canvas, 'rgba(0, 0, 0, 0)'].includes(backgroundColor)];
      },
    );
  });
  for (const [name, told] of grounds) expect(told, String(name)).toBe(true);
});

/** Without it nothing but what stands in the page itself is seen. */
const FIRST_SCRIPT = /\/assets\/index-.*\.js$/;
test('before the first script an empty ledger’s words stand there; who has checks sees that they are opened', async ({
  page,
}) => {
  await page.route(FIRST_SCRIPT, (route) => route.abort());
  await page.goto('/');
  const empty = page.getByRole('heading', { name: 'Sensor, supply or wiring?' });
  const opening = page.getByText('Opening the checks');
  await expect(empty).toBeVisible();
  await expect(page.getByText('Enter them in any order.')).toBeVisible();
  await expect(opening).toBeHidden();
  await page.unroute(FIRST_SCRIPT);
  await startCheck(page);
  await kept(page);
  await page.goto('/');
  await page.locator('[data-test="job"]').first().waitFor();
  await page.route(FIRST_SCRIPT, (route) => route.abort());
  await page.reload();
  await expect(opening).toBeVisible();
  await expect(empty).toBeHidden();
});

for (const colorScheme of ['light', 'dark'] as const)
  for (const hasTouch of [false, true])
    test(`the library’s styles come ready made: ${colorScheme}, ${hasTouch ? 'thumb' : 'mouse'}; without them they are worked out`, async ({
      browser,
      baseURL,
    }) => {
      const look = async (withSheet: boolean) => {
        const context = await browser.newContext({
          ...{
            baseURL,
            colorScheme,
            hasTouch,
            isMobile: hasTouch,
            serviceWorkers: 'block',
            reducedMotion: 'no-preference',
          },
          viewport: hasTouch ? { width: 390, height: 844 } : { width: 1280, height: 800 },
        });
        const page = await context.newPage();
        // What other screens need later is none of it.
        await page.addInitScript('window.requestIdleCallback = () => 0');
        if (!withSheet) await page.route(/library-\w+-\w+-.*\.css$/, (route) => route.abort());
        await page.goto('/');
        const button = page.getByRole('button', { name: 'Start the first check' });
        await button.waitFor();
        const shown = await button.evaluate((b) => {
          const { height, padding, color, backgroundColor, borderRadius, fontSize } = getComputedStyle(b);
          return { height, padding, color, backgroundColor, borderRadius, fontSize };
        });
        const workedOut = await page.evaluate(
          () =>
            [...document.querySelectorAll('style[data-css-hash]')].filter((s) => s.textContent.includes('.ant-btn'))
              .length,
        );
        await context.close();
        return { shown, workedOut };
      };
      const ready = await look(true);
      expect(ready.workedOut).toBe(0);
      const without = await look(false);
      expect(without.workedOut).toBeGreaterThan(0);
      expect(ready.shown).toEqual(without.shown);
    });

for (const wanted of FIRST_LOADS)
  test(`the first load of ${wanted.name} stays below ${wanted.barKb} kB in ${wanted.most} scripts`, async ({
    browser,
    baseURL,
  }) => {
    const scripts = await firstLoad(browser, baseURL!, wanted);
    // Something is counted at all: the library's buttons alone are 40 kB.
    expect(kilobytes(scripts)).toBeGreaterThan(150);
    expect(kilobytes(scripts)).toBeLessThanOrEqual(wanted.barKb);
    expect(scripts.length).toBeLessThanOrEqual(wanted.most);
  });

test.describe('a reader who writes 12,5 and 27.11.2026', () => {
  test.use({ locale: 'de-DE' });
  test('figures and days are his; figures typed either way are read; the other way is two taps, at once and kept', async ({
    page,
  }) => {
    await page.goto('/demo/');
    await expect(page.locator('[data-test="job"]').first()).toContainText('21.03.2026 09:40');
    await openDemo(page, /Pilot boat/);
    await expect(verdict(page)).toContainText('14,8 … 19,7 kΩ');
    await field(page, 'Volts plugged in').fill('4,41');
    const read = page.locator('[data-test="evidence"]');
    await expect(read).toContainText('4,41 V');
    const check = page.url();
    await page.goto('/demo/settings');
    await page.getByLabel('as on this device: 12,5').waitFor();
    await page.getByLabel('12.5', { exact: true }).check();
    await page.getByRole('radio', { name: /^\d{4}-\d\d-\d\d$/ }).check();
    await page.goto(check);
    await expect(read).toContainText('4.41 V');
    await page.getByRole('link', { name: 'Checks' }).click();
    await expect(page.locator('[data-test="job"]', { hasText: 'Village hall' })).toContainText('2026-03-17 09:40');
  });
});
