// Recordings whose window is killed at a random moment, and what is left of them: how much of the end is lost, and whether every one reads.
import { chromium } from '@playwright/test';
import { choose } from '../e2e/bench.ts';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';

const KILLS = Number(process.argv[2] ?? 100);
const { url, stop } = await servePage(4196);
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext();
const uniform = seededUniform(20261127);
/** As text, for the page: the time of the last value that is in the store of the newest recording, s. */
const LENGTH_IN_STORE = `(async () => {
  const wait = (r) => new Promise((done) => (r.onsuccess = () => done(r.result)));
  const db = await wait(indexedDB.open('mellow-probe-recordings'));
  const get = (key) => wait(db.transaction('recordings').objectStore('recordings').get(key));
  const keys = (await wait(db.transaction('recordings').objectStore('recordings').getAllKeys())).map(String);
  const heads = await Promise.all(keys.filter((k) => k.startsWith('head/')).map(get));
  const newest = heads.sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1))[0];
  let last = 0;
  for (const key of keys.filter((k) => k.startsWith('data/' + newest.id + '/')))
    for (const { t } of await get(key)) last = Math.max(last, t[t.length - 1]);
  return last;
})()`;
let [unreadable, worstS, total] = [0, 0, 0];
for (let k = 0; k < KILLS; k++) {
  const page = await context.newPage();
  await page.goto(`${url}/live`);
  await page.getByText('Simulated machine, to try').click();
  await choose(page.getByLabel('Machine', { exact: true }), 'drops out');
  await page.getByRole('button', { name: 'Start the machine' }).click();
  await page.locator('[data-channel="adapter 05"]').waitFor();
  const began = Date.now();
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.waitForTimeout(600 + 2500 * uniform());
  // The renderer is killed in the middle of whatever it does: nothing of the page runs any more.
  const session = await context.newCDPSession(page);
  const killedAfterS = (Date.now() - began) / 1000;
  session.send('Page.crash').catch(() => undefined);
  await page.waitForEvent('crash');
  await page.close();
  const reader = await context.newPage();
  await reader.goto(`${url}/logs`);
  await reader.locator('.list li a').first().click();
  await reader
    .locator('.what')
    .waitFor({ timeout: 15_000 })
    .catch(() => undefined);
  const length = await reader.evaluate<number>(LENGTH_IN_STORE);
  if (!(await reader.getByText(/rows/).first().isVisible())) unreadable++;
  // The clock here runs a little longer than the recording: the click and the kill take their time, so this is an upper bound.
  const lostS = killedAfterS - length;
  worstS = Math.max(worstS, lostS);
  total += lostS;
  await reader.close();
}
console.log(
  `${KILLS} recordings killed: ${unreadable} unreadable; lost at most ${worstS.toFixed(2)} s, ${(total / KILLS).toFixed(2)} s on average`,
);
await browser.close();
stop();
