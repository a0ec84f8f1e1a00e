import type { Page } from '@playwright/test';
import { expect, sparesData, test } from './test.ts';
import { axeFinds } from './axe.ts';
import { kept, PHONE, still, toStation, verdict } from './bench.ts';
import { everyScreen } from './everyScreen.ts';

test.describe.configure({ mode: 'parallel' });

/**
 * Everything of the page that sticks out at the right: a phone would shrink the page, or it would scroll sideways. Also tables that are cut off by
 * what they lie in, words squeezed to a letter a line, figures parted from their unit at the end of a line, and strips that do not show what is open.
 */
const sticksOut = (page: Page, width: number): Promise<string[]> =>
  page.evaluate((wide) => {
    const scroller = (e: Element | null): Element | null =>
      e === null || /auto|scroll|hidden|clip/.test(getComputedStyle(e).overflowX) ? e : scroller(e.parentElement);
    const scrolls = (e: Element | null): boolean => scroller(e) !== null;
    const named = (e: Element): string =>
      `${e.tagName}.${String(e.className)} ${(e.textContent ?? '').trim().slice(0, 40)}`;
    const cut = [...document.querySelectorAll('table')]
      .filter((table) => {
        const around = scroller(table.parentElement);
        return around !== null && table.getBoundingClientRect().right > around.getBoundingClientRect().right + 1;
      })
      .map((table) => `cut off: ${named(table)}`);
    const squeezed = [...document.querySelectorAll('main *, [role="dialog"] *')]
      .filter((e) => {
        const words = [...e.childNodes]
          .filter((n) => n.nodeType === Node.TEXT_NODE)
          .map((n) => n.textContent)
          .join('');
        const { width: across, height } = e.getBoundingClientRect();
        return words.trim().length >= 8 && across > 2 && across < 40 && height > 80;
      })
      .map((e) => `squeezed: ${named(e)}`);
    const more: string[] = [];
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let n = texts.nextNode(); n; n = texts.nextNode()) {
      const text = n.textContent ?? '';
      for (const m of text.matchAll(/(?:\d|±) (?:°[CF]|[kM]?Ω|m?V|K|min|%|mm²|[kMG]B)(?![\p{L}\d])/gu)) {
        const figure = document.createRange();
        figure.setStart(n, m.index);
        figure.setEnd(n, m.index + m[0].length);
        const [first, ...rest] = [...figure.getClientRects()].filter((r) => r.width > 0);
        if (rest.some((r) => r.top > first.bottom - 2)) more.push(`parted: ${named(n.parentElement!)} «${m[0]}»`);
      }
    }
    for (const open of document.querySelectorAll('nav [aria-current]')) {
      const { left, right, width: across } = open.getBoundingClientRect();
      if (across > 0 && (left < -1 || right > wide + 1)) more.push(`out of sight: ${named(open)}`);
    }
    const root = document.scrollingElement!;
    if (root.scrollWidth <= wide && innerWidth <= wide) return [...cut, ...squeezed, ...more];
    return [...document.querySelectorAll('body *')]
      .filter((e) => e.getBoundingClientRect().right > wide + 0.5 && !scrolls(e.parentElement))
      .slice(0, 5)
      .map((e) => `${e.tagName}.${String((e as HTMLElement).className)} ${Math.round(e.getBoundingClientRect().right)}`)
      .concat(`page ${root.scrollWidth} of ${wide}`, cut, squeezed, more);
  }, width);

/**
 * A phone and a desk, with the other widths that are looked at on the same walk: an upright tablet has the phone's order of screens, a small desk the
 * desk's. Both walks are made in both themes.
 */
const TABLET = 768;
const WALKS = [
  { width: 390, others: [360, TABLET] },
  { width: 1280, others: [1024] },
];
/** What another width can spoil that `sticksOut` does not see. */
const RULES_OF_WIDTH = ['target-size', 'scrollable-region-focusable'];
/** Colours come from the theme, not from the width: so many stops in one theme, as many in the other, and on the other walk the other way round. */
const STOPS_A_THEME = 8;
/** What only a phone has is looked at in both themes there. */
const ON_PHONES_ALONE = /^(?:guided|all steps|reading mode)/;

/** Turns the page light or dark, as the device does at dusk. */
async function turn(page: Page, theme: 'light' | 'dark'): Promise<void> {
  await page.emulateMedia({ colorScheme: theme });
  await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
  await still(page);
}

for (const { width, others } of WALKS)
  test(`every screen and sheet at ${[width, ...others].join(', ')} px, light and dark: nothing scrolls sideways, nothing is against accessibility`, async ({
    browser,
  }) => {
    test.setTimeout(300_000);
    const onPhone = width < 1024;
    const context = await browser.newContext({
      ...PHONE,
      isMobile: onPhone,
      viewport: { width, height: 844 },
      reducedMotion: 'reduce',
    });
    await sparesData(context);
    context.setDefaultTimeout(60_000);
    const page = await context.newPage();
    const found: Record<string, string[]> = {};
    let [theme, stops]: ['light' | 'dark', number] = ['light', 0];
    await everyScreen(page, async (name) => {
      const isEven = Math.floor(stops++ / STOPS_A_THEME) % 2 === 0;
      const [first, other] = isEven === onPhone ? (['light', 'dark'] as const) : (['dark', 'light'] as const);
      if (theme !== first) await turn(page, (theme = first));
      const out = await sticksOut(page, width);
      out.push(...(await axeFinds(page)));
      if (onPhone && ON_PHONES_ALONE.test(name)) {
        await turn(page, (theme = other));
        out.push(...(await axeFinds(page, ['color-contrast'])));
      }
      // Colours move nothing: the other widths are looked at in one of them.
      for (const other of others) {
        await page.setViewportSize({ width: other, height: other === TABLET ? 1024 : 844 });
        // Charts draw themselves anew a moment later.
        await expect
          .poll(() => sticksOut(page, other), { timeout: 3000 })
          .toEqual([])
          .catch(async () => out.push(...(await sticksOut(page, other)).map((what) => `${other} px: ${what}`)));
        if (other === TABLET) out.push(...(await axeFinds(page, RULES_OF_WIDTH)));
      }
      await page.setViewportSize({ width, height: 844 });
      if (out.length > 0) found[name] = out;
    });
    await context.close();
    expect(found).toEqual({});
  });

test('a job on a phone, by touch alone: from the complaint to the closed job', async ({ browser }) => {
  const context = await browser.newContext(PHONE);
  await sparesData(context);
  const page = await context.newPage();
  const station = (id: string): Promise<void> => toStation(page, id);
  const key = (name: string): Promise<void> =>
    page.getByRole('group', { name: 'Number pad' }).getByRole('button', { name, exact: true }).tap();
  const figure = async (id: string, keys: readonly string[]): Promise<void> => {
    const card = page.locator(`[data-card="${id}"]`);
    if (!(await card.isVisible()))
      await page.getByRole('group', { name: 'Tests of this step' }).getByRole('button', { name: NAMES[id] }).tap();
    await expect(card).toBeVisible();
    for (const k of keys) await key(k);
  };
  const NAMES: Record<string, RegExp> = {
    'sensor-ohms': /ohms/i,
    'open-voltage': /unplugged/i,
    'loaded-voltage': /plugged in/i,
  };

  await page.goto('/');
  await page.getByRole('button', { name: 'Start the first check' }).tap();
  await page.locator('[data-test="quick"]').tap();
  // The form begins at its top, wherever the guided check was scrolled to.
  await expect(page.locator('[data-measurement="displayed"]')).toBeVisible();
  expect(await page.evaluate(() => scrollY)).toBe(0);
  await station('complaint');
  await page.getByText('Fans never come on', { exact: false }).tap();
  await station('live');
  await expect(page.locator('[data-card="displayed"] .large input')).toHaveAttribute('inputmode', 'none');
  await figure('displayed', ['2', '4', 'minus']);
  await expect(page.locator('.large input')).toHaveValue('-24');
  await station('supply');
  await figure('open-voltage', ['5', 'decimal mark', '0', '1']);
  await station('sensor');
  await figure('sensor-ohms', ['3', 'decimal mark', '6', '9', 'delete', 'kilo']);
  await expect(page.locator('.large input')).toHaveValue('3.6k');
  await station('loaded');
  await figure('loaded-voltage', ['4', 'decimal mark', '4']);
  // The verdict is one line at the foot, and pulls up.
  const foot = page.getByRole('complementary', { name: 'Verdict' });
  await expect(foot.locator('.short')).toContainText(/Wiring|resistance/);
  await foot.getByRole('button', { name: /why/ }).tap();
  await expect(verdict(page)).toBeVisible();
  await foot.getByRole('button', { name: /down/ }).tap();

  await station('decision');
  await page.getByLabel('Wiring', { exact: true }).tap();
  await page.getByRole('button', { name: 'Record the decision' }).tap();
  await station('repair');
  await page.getByLabel('Repaired').tap();
  await station('proof');
  await page.getByLabel('Thermometer now').tap();
  await page.keyboard.insertText('14');
  await page.getByLabel(/say why/).tap();
  await page.keyboard.insertText('the owner proves it at sea');
  await page.getByRole('button', { name: 'Close without verifying' }).tap();
  await expect(page.locator('[data-test="close"]')).toContainText('the owner proves it at sea');
  await kept(page);
  await context.close();
});

test('keys and rows are large enough for a glove, light and dark', async ({ browser }) => {
  for (const colorScheme of ['light', 'dark'] as const) {
    const context = await browser.newContext({ ...PHONE, colorScheme });
    await sparesData(context);
    const page = await context.newPage();
    await page.goto('/demo/');
    await page
      .getByRole('link', { name: /Pilot boat/ })
      .first()
      .tap();
    await toStation(page, 'loaded');
    await expect(page.getByRole('group', { name: 'Number pad' })).toBeVisible();
    const low = await page
      .locator('.pad button')
      .evaluateAll((list) =>
        list
          .filter((b) => b.getBoundingClientRect().height < 48 || b.getBoundingClientRect().width < 48)
          .map((b) => b.textContent),
      );
    expect(low).toEqual([]);
    await page.getByRole('button', { name: 'More', exact: true }).tap();
    await expect(page.getByRole('menuitem', { name: 'Report' })).toBeVisible();
    await page.keyboard.press('Escape');
    await context.close();
  }
});
