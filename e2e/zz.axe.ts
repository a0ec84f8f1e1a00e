import AxeBuilder from '@axe-core/playwright';
import { chromium } from '@playwright/test';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';
const { url, stop } = await servePage(4312);
const browser = await chromium.launch(CHROMIUM);
try {
  for (const dark of [false, true]) {
    const page = await (
      await browser.newContext({ viewport: { width: 1280, height: 800 }, colorScheme: dark ? 'dark' : 'light' })
    ).newPage();
    await page.goto(url + '/demo/');
    await page.waitForSelector('[data-test="job"]');
    await page.locator('[data-test="job"] a.open').first().click();
    await page.waitForTimeout(2500);
    const v = (await new AxeBuilder({ page }).analyze()).violations;
    for (const x of v)
      for (const n of x.nodes)
        console.log(dark, x.id, n.target.join(' '), n.html.slice(0, 160), (n.failureSummary ?? '').slice(0, 200));
  }
} finally {
  await browser.close();
  stop();
}
