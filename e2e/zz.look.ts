import { chromium } from '@playwright/test';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';
import { mkdirSync } from 'node:fs';
mkdirSync('/tmp/look', { recursive: true });
const SIZES: Record<string, [number, number]> = { desk: [1280, 800], phone: [390, 844], tablet: [800, 1280] };
const { url, stop } = await servePage(4198);
const browser = await chromium.launch(CHROMIUM);
try {
  for (const spec of process.argv.slice(2)) {
    const [name, size, where, light, ...steps] = spec.split('|');
    const [width, height] = SIZES[size];
    const context = await browser.newContext({
      viewport: { width, height },
      hasTouch: size === 'phone',
      isMobile: size === 'phone',
      colorScheme: light as 'light' | 'dark',
      acceptDownloads: true,
    });
    const page = await context.newPage();
    page.on('console', (m) => m.type() === 'error' && console.log(name, 'CONSOLE', m.text().slice(0, 300)));
    page.on('pageerror', (e) => console.log(name, 'ERROR', e.message.slice(0, 300)));
    if (where.startsWith('job')) {
      await page.goto(`${url}/demo/`);
      const link = page.locator('[data-test="job"] a.open');
      await link.first().waitFor();
      const n = Number(where.slice(3).split('/')[0]);
      const href = await link.nth(n).getAttribute('href');
      await page.goto(`${url}${href}${where.includes('/') ? where.slice(where.indexOf('/')) : ''}`);
    } else await page.goto(`${url}${where}`);
    await page.waitForTimeout(1800);
    for (const step of steps) {
      const [what, ...rest] = step.split('=');
      const arg = rest.join('=');
      if (what === 'click') await page.getByRole('button', { name: arg }).first().click();
      if (what === 'check') await page.getByLabel(arg).first().check();
      if (what === 'css') await page.locator(arg).first().click();
      if (what === 'text') await page.getByText(arg).first().click();
      if (what === 'type') await page.keyboard.type(arg);
      if (what === 'fill') await page.getByLabel(arg.split(':')[0]).first().fill(arg.split(':')[1]);
      if (what === 'wait') await page.waitForTimeout(Number(arg));
      if (what === 'scroll') await page.mouse.wheel(0, Number(arg));
      if (what === 'save') {
        const [d] = await Promise.all([
          page.waitForEvent('download'),
          page.getByRole('button', { name: arg, exact: true }).first().click(),
        ]);
        await d.saveAs(`/tmp/look/${d.suggestedFilename()}`);
        console.log('saved', d.suggestedFilename());
      }
      await page.waitForTimeout(700);
    }
    await page.screenshot({ path: `/tmp/look/${name}.png`, fullPage: steps.includes('full') });
    await context.close();
  }
} finally {
  await browser.close();
  stop();
}
