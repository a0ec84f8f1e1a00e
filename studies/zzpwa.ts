import { chromium } from '@playwright/test';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';
const { url, stop } = await servePage(4196);
const browser = await chromium.launch(CHROMIUM);
const ctx = await browser.newContext();
const page = await ctx.newPage();
page.on('pageerror', (e) => console.log('PAGEERR', e.message));
page.on('console', (m) => m.type() === 'error' && console.log('CONSOLE', m.text()));
await page.goto(`${url}/`); const t = Date.now();
await page.waitForFunction('navigator.serviceWorker.ready.then(r => r.active && r.active.state === "activated")', null, { timeout: 60000 }); console.log('ready ms', Date.now() - t);
const cdp = await ctx.newCDPSession(page);
console.log(JSON.stringify(await cdp.send('Page.getInstallabilityErrors')));
console.log(JSON.stringify(await page.evaluate('caches.keys().then(async k => [k, (await (await caches.open(k[0])).keys()).length, (await navigator.storage.estimate()).usage])')));
stop();
await new Promise((r) => setTimeout(r, 1500));
for (const path of ['/', '/demo/', '/shelf/divider', '/train', '/logs', '/logbook', '/safe', '/live']) { await page.goto(`${url}${path}`); await page.locator('main').first().waitFor(); console.log(path, (await page.locator('main').first().innerText()).slice(0, 50).replace(/\n/g, ' ')); }
await browser.close();
