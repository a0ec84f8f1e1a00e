import type { Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { choose, files, kept, openDemo } from './bench.ts';

/** Puts a made-up machine behind the instruments; its time runs ten times as fast, so that minutes are seconds. */
async function startMachine(page: Page, name: string, speed: '10 times' | '60 times' = '10 times'): Promise<void> {
  await page.getByText('Simulated machine, to try').click();
  await choose(page.getByLabel('Machine', { exact: true }), name);
  await choose(page.getByLabel('Speed'), speed);
  await page.getByRole('button', { name: 'Start the machine' }).click();
  await expect(page.locator('[data-channel="adapter 05"] [data-test="live-value"]')).toHaveText(/\d/);
  await expect(page.locator('[data-channel="thermometer 1"] [data-test="live-value"]')).toHaveText(/\d/);
}
const value = (page: Page, channel: string) => page.locator(`[data-channel="${channel}"] [data-test="live-value"]`);
const number = async (page: Page, channel: string): Promise<number> =>
  Number((await value(page, channel).innerText()).replace('−', '-').split(' ')[0]);
/** Waits until a channel has shown its last value several times in a row: on a busy machine values come seldom. */
async function repeated(page: Page, channel: string): Promise<void> {
  const line = page.locator(`[data-channel="${channel}"] .course path`);
  const inARow = async (): Promise<number> => {
    const [last, ...earlier] = (await line.getAttribute('d'))!
      .split('L')
      .reverse()
      .map((spot) => spot.split(' ').at(-1));
    const other = earlier.findIndex((height) => height !== last);
    return other === -1 ? earlier.length : other;
  };
  await expect.poll(inARow, { timeout: 60_000 }).toBeGreaterThan(3);
}
const act = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();
const finding = (page: Page, words: RegExp) =>
  page.locator('[data-test="findings"] li').filter({ hasText: words }).first();

async function endAndLook(page: Page): Promise<void> {
  await act(page, /Stop and open/);
  await expect(page.getByRole('heading', { name: 'Findings' })).toBeVisible();
}

test('the plug is pulled, and without typing it is seen which values move; the log has both as readings of the check', async ({
  page,
}) => {
  await openDemo(page, /Pilot boat/);
  await page.getByRole('link', { name: 'Live data', exact: true }).click();
  await startMachine(page, 'Nothing wrong');
  await act(page, /^Record/);
  await page.waitForTimeout(2500);
  await act(page, /^unplugged/);
  await expect(value(page, 'adapter 05')).toHaveText('−40 °C');
  expect(await number(page, 'meter volts')).toBeGreaterThan(4.7);
  expect(await number(page, 'adapter 0F')).toBeGreaterThan(0);
  // Several values of each channel while it is out: the adapter answers one channel after the other.
  await page.waitForTimeout(2000);
  await repeated(page, 'adapter 05');
  await act(page, /^unplugged/);
  await expect(value(page, 'adapter 05')).not.toHaveText('−40 °C');
  await endAndLook(page);
  const moved = finding(page, /^Unplugged at/);
  await expect(moved).toContainText('Coolant');
  // On a busy machine one channel may have sent nothing in the seconds about the act: it is listed neither as moved nor as unchanged.
  const others = /Intake air|Outside air|Thermometer/;
  const [moving, standing] = (await moved.innerText()).split('Did not change:');
  expect(moving).not.toMatch(others);
  expect(standing).toMatch(others);
  const pulled = finding(page, /^Unplugged:/);
  await pulled.getByRole('button', { name: 'Put on the check' }).click();
  await expect(pulled).toContainText('on the check');
  await page.getByRole('link', { name: 'Back to the check' }).click();
  await kept(page);
  const id = /check\/([^/?]+)/.exec(page.url())![1];
  const readings = await page.evaluate(async (job) => {
    const open = indexedDB.open('mellow-probe-demo');
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
    const all = db.transaction('jobs').objectStore('jobs').get(job);
    return new Promise<string>((done) => (all.onsuccess = () => done(JSON.stringify(all.result))));
  }, id);
  expect(readings).toContain('displayed-unplugged');
  expect(readings).toContain('-40 °C');
});

test.describe('what is fetched ahead', () => {
  test.use({ fetchesAhead: true });
  test('a warm-up is recorded, judged and put on a check; the server may be gone by then', async ({
    page,
    context,
  }) => {
    await openDemo(page, /Pilot boat/);
    await page.getByRole('link', { name: 'Live data', exact: true }).click();
    // Everything that is fetched late is fetched once, as a visit with the server does.
    await page.getByRole('link', { name: 'Logs' }).click();
    await expect(page.getByText('Open a log, or a recording')).toBeVisible();
    await files(page, 'a log file').setInputFiles('examples/logs/open-thermostat.csv');
    await expect(page.getByRole('heading', { name: 'Findings' })).toBeVisible();
    await expect(finding(page, /warms up smoothly/).first()).toBeVisible();
    await expect(finding(page, /stays at/)).toContainText('thermostat');
    await page.getByRole('banner').getByRole('link', { name: 'Live data' }).click();
    await context.setOffline(true);
    await page.route('**/*', (route) => route.abort());
    await startMachine(page, 'Nothing wrong', '60 times');
    await expect(page.locator('[data-test="stand-in"]')).toContainText('in this page, without the server');
    await act(page, 'Engine runs');
    await act(page, /^Record/);
    await expect.poll(() => number(page, 'thermometer 1'), { timeout: 60_000 }).toBeGreaterThan(88);
    await page.waitForTimeout(5000);
    await endAndLook(page);
    const warm = finding(page, /Thermometer warms up smoothly/);
    await expect(warm).toContainText(/Held at (8|9)\d\s°C/);
    await expect(page.locator('[data-test="log-chart"] .main-svg').first()).toBeVisible();
    // At sixty times its speed a busy machine leaves gaps: which of the readings has half a minute without one differs from run to run.
    const useful = page.locator('[data-test="findings"] li', {
      has: page.getByRole('button', { name: 'Put on the check' }),
    });
    const name = await useful.first().getByRole('heading').innerText();
    await useful.first().getByRole('button', { name: 'Put on the check' }).click();
    await expect(page.locator('[data-test="findings"] li', { hasText: name }).first()).toContainText('on the check');
  });
});

test('an intermittent fault is found by wiggling, and its place goes on the check', async ({ page }) => {
  await openDemo(page, /Pilot boat/);
  await page.getByRole('link', { name: 'Live data', exact: true }).click();
  await startMachine(page, 'drops out');
  await act(page, /^Record/);
  const wiggles = page.getByRole('group', { name: 'Wiggling here' }).getByRole('button');
  const names = await wiggles.allInnerTexts();
  // The machine's bad place lies second: by key, as with hands full.
  for (const key of ['1', '2', '3', '1', '2', '3']) {
    await page.keyboard.press(key);
    await page.waitForTimeout(2200);
  }
  await page.keyboard.press('3');
  await endAndLook(page);
  const place = names[1].replace(/^wiggle /, '').replace(/\s*2$/, '');
  const found = finding(page, new RegExp(`drops out when ${place} is wiggled`));
  await expect(found).toBeVisible();
  await found.getByRole('button', { name: 'Put on the check' }).click();
  await expect(found).toContainText('on the check');
});

test('a sensor that fails after heat is caught by the guided heat cycle', async ({ page }) => {
  await openDemo(page, /Pilot boat/);
  await page.getByRole('link', { name: 'Live data', exact: true }).click();
  await startMachine(page, 'after a heat cycle', '60 times');
  await page.getByText('Heat-cycle test, step by step').click();
  const read = (step: string) => page.getByRole('button', { name: `Save the reading: ${step}` }).click();
  await read('cold');
  await page.getByText('Plug, decade box, heat').click();
  await act(page, 'Put in hot water, 90 °C');
  await page.waitForTimeout(1800);
  await read('hot');
  await act(page, 'Put back in its place');
  await expect(page.locator('[data-test="cycle"]')).toContainText('wait ten minutes');
  await page.waitForTimeout(11_000);
  await read('after');
  await expect(page.locator('[data-test="cycle"]')).toContainText('fails after a heat cycle');
  await act(page, 'Put it on the check');
  await expect(page.getByText('It is in the note of the check.')).toBeVisible();
});

test('a recording outlives the window: what was read up to the last second is there', async ({ page, context }) => {
  await page.goto('/live');
  await startMachine(page, 'Nothing wrong');
  await act(page, /^Record/);
  await page.waitForTimeout(3000);
  const told = (await page.locator('[data-test="recording"]').innerText())
    .match(/([\d,]+) values/)![1]
    .replace(',', '');
  await page.waitForTimeout(900);
  const other = await context.newPage();
  await page.close({ runBeforeUnload: false });
  await other.goto('/logs');
  await other.getByRole('link', { name: /Recording.*cut off/ }).click();
  await expect(other.getByRole('heading', { name: /Findings|Nothing unusual found/ })).toBeVisible();
  const rows = Number((await other.locator('.what').innerText()).match(/([\d,]+) rows/)![1].replace(',', ''));
  // Two values may lie on one row.
  expect(rows).toBeGreaterThan(0.8 * Number(told));
});
