import { chromium } from '@playwright/test';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';
const { url, stop } = await servePage(4311);
const browser = await chromium.launch(CHROMIUM);
const shots = process.argv.slice(2);
const size = (s: string) =>
  s === 'phone'
    ? { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true }
    : s === 'tablet'
      ? { viewport: { width: 800, height: 1280 }, hasTouch: true, isMobile: true }
      : { viewport: { width: 1280, height: 800 } };
try {
  for (const shot of shots) {
    const [name, s, path, theme, ...acts] = shot.split('|');
    const context = await browser.newContext({ ...size(s), colorScheme: theme === 'dark' ? 'dark' : 'light' });
    const page = await context.newPage();
    page.on('pageerror', (e) => console.log(name, 'ERR', e.message.slice(0, 300)));
    page.on('console', (m) =>
      m.type() === 'error' || m.type() === 'warning' ? console.log(name, m.type(), m.text().slice(0, 300)) : 0,
    );
    await page.goto(url + '/demo/');
    await page.waitForSelector('[data-test="job"]', { timeout: 15000 });
    if (path) {
      if (path.startsWith('job')) {
        await page
          .locator('[data-test="job"] a.open')
          .nth(Number(path.slice(3)))
          .click();
        await page.waitForTimeout(2500);
      } else {
        await page.goto(url + '/demo' + path);
        await page.waitForTimeout(1500);
      }
    }
    await page.waitForTimeout(700);
    for (const a of acts) {
      const [k, ...r] = a.split('=');
      const v = r.join('=');
      try {
        if (k === 'click') await page.locator(v).first().click({ timeout: 4000 });
        if (k === 'text') await page.getByText(v, { exact: true }).first().click({ timeout: 4000 });
        if (k === 'wait') await page.waitForTimeout(Number(v));
        if (k === 'key') await page.keyboard.press(v);
      } catch (e) {
        console.log(name, a, String(e).slice(0, 200));
      }
    }
    await page.waitForTimeout(400);
    await page.screenshot({ path: `/tmp/look/${name}.png` });
    await context.close();
  }
} finally {
  await browser.close();
  stop();
}
