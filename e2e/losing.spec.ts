import { expect, test } from './test.ts';
import { fetchedAhead, field, kept, startCheck, verdict } from './bench.ts';
import { planOf, standsIn, typePlan } from './losing.ts';

test('a figure typed and the page reloaded at once, five times: every character is there', async ({ page }) => {
  await startCheck(page);
  await kept(page);
  for (let seed = 1; seed <= 5; seed++) {
    const plan = planOf(seed);
    const typed = await typePlan(page, plan);
    await page.reload();
    await expect(verdict(page)).toBeVisible();
    expect(await standsIn(page, plan), `seed ${seed}: ${JSON.stringify(plan)}`).toBe(typed);
  }
});

test('a page closed in the middle of a word: the next one has the word so far', async ({ page, context }) => {
  await startCheck(page);
  await kept(page);
  const url = page.url();
  let at = page;
  for (let seed = 101; seed <= 103; seed++) {
    const plan = planOf(seed);
    const typed = await typePlan(at, plan);
    await at.close({ runBeforeUnload: false });
    at = await context.newPage();
    await at.goto(url);
    await expect(verdict(at)).toBeVisible();
    await expect.poll(() => standsIn(at, plan), { message: `seed ${seed}: ${JSON.stringify(plan)}` }).toBe(typed);
  }
});

test('the same field in two windows: one reading in both, and in the store', async ({ page, context }) => {
  await startCheck(page);
  await kept(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(verdict(other)).toBeVisible();
  await Promise.all([field(page, 'Ohms, sensor').fill('3.61k'), field(other, 'Ohms, sensor').fill('3.62k')]);
  await expect
    .poll(
      async () =>
        (await field(page, 'Ohms, sensor').inputValue()) === (await field(other, 'Ohms, sensor').inputValue()),
    )
    .toBe(true);
  await kept(page);
  await page.locator('[data-station="readings"]').click();
  await expect(page.locator('[data-test="record"]')).toHaveCount(1);
});

test('undo and redo over all sheets, by key and by button, also after a reload', async ({ page }) => {
  await startCheck(page);
  await field(page, 'Ohms, sensor').fill('3.6k');
  await field(page, 'Thermometer').fill('12');
  await page.locator('[data-station="complaint"]').click();
  await page.getByLabel('Machine').fill('Tern');
  await kept(page);
  await page.reload();
  await expect(verdict(page)).toBeVisible();
  const undo = page.getByRole('button', { name: /^Undo/ });
  await expect(undo).toContainText('machine Tern');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-test="undo-told"]')).toContainText('Undone: machine Tern.');
  await undo.click();
  await expect(field(page, 'Thermometer')).toHaveValue('');
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await page.keyboard.press('Control+Shift+Z');
  await expect(field(page, 'Thermometer')).toHaveValue(/^12/);
  // In a field of the job, too, the key takes back what was typed into the job.
  await field(page, 'Thermometer').fill('13');
  await page.keyboard.press('Control+z');
  await expect(field(page, 'Thermometer')).toHaveValue(/^12/);
  await page.keyboard.press('Control+y');
  await expect(field(page, 'Thermometer')).toHaveValue(/^13/);
  // Key by key, and kept in between: still one step, and nothing of it is in the way of taking it back.
  await page.getByLabel('Title of this check').pressSequentially('Tug', { delay: 150 });
  await expect(undo).toContainText('title Tug');
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-test="undo-told"]')).toHaveText('Undone: title Tug.');
  await expect(page.getByLabel('Title of this check')).toHaveValue('');
});

test('the report leaves the technician at his test', async ({ page }) => {
  await startCheck(page);
  await page.locator('[data-station="unplugged"], [data-station="supply"]').first().click();
  const card = page.locator('[data-card]');
  const test = await card.getAttribute('data-card');
  await page.getByRole('link', { name: 'Report' }).click();
  await expect(page.getByLabel('Report').first()).toBeVisible();
  await page.getByRole('link', { name: /‹ Check$/ }).click();
  await expect(card).toHaveAttribute('data-card', test!);
});

test('the engine cannot be loaded: said with the reason, nothing old shown as current; computed again it answers', async ({
  page,
}) => {
  await startCheck(page);
  await field(page, 'Thermometer').fill('12');
  await field(page, 'Ohms, sensor').fill('3.6k');
  await expect(verdict(page)).toHaveAttribute('data-earlier', 'false');
  await page.route('**/engine.worker*.js', (route) => route.abort());
  await page.reload();
  const failed = page.locator('[data-test="verdict-failed"]');
  await expect(failed).toContainText('No verdict for these figures.');
  await expect(verdict(page)).toHaveCount(0);
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await page.unroute('**/engine.worker*.js');
  await failed.getByRole('button', { name: 'Compute again' }).click();
  await expect(verdict(page)).toHaveAttribute('data-earlier', 'false');
});

test('over plain HTTP from another device (no locks, no random UUID) the page still saves', async ({ page }) => {
  await page.addInitScript(() => {
    Object.defineProperty(navigator, 'locks', { value: undefined });
    Object.defineProperty(crypto, 'randomUUID', { value: undefined });
    Object.defineProperty(navigator, 'storage', { value: undefined });
  });
  await startCheck(page);
  await field(page, 'Ohms, sensor').fill('3.6k');
  await kept(page);
  await page.reload();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
});

test('the database does not open: said on the list, the check lives in this window and can be exported; opened again it is kept', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const open = Object.getOwnPropertyDescriptor(IDBFactory.prototype, 'open')!;
    (window as unknown as { mend: () => void }).mend = () => Object.defineProperty(IDBFactory.prototype, 'open', open);
    IDBFactory.prototype.open = () => {
      throw new DOMException('broken', 'InvalidStateError');
    };
  });
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('blocks its storage');
  await page
    .getByRole('button', { name: /New check/ })
    .first()
    .click();
  await expect(verdict(page)).toBeVisible();
  await field(page, 'Ohms, sensor').fill('3.6k');
  await expect(page.getByRole('alert')).toContainText('Not saved.');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export now' }).click();
  expect((await download).suggestedFilename()).toMatch(/\.json$/);
  await page.getByRole('link', { name: 'Checks' }).click();
  await expect(page.locator('[data-test="job"]')).toContainText('not saved: only in this window');
  await page.locator('[data-test="job"] a.open').click();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('alert')).toContainText('Not saved.');
  // Once the database opens it is saved by itself.
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await kept(page, 60_000);
});

test('the server is gone while a page is open: what was fetched ahead works, what was not is said with a way on', async ({
  page,
}) => {
  // The report is not fetched ahead here: its part is gone with the server.
  await page.route(/\/assets\/ReportScreen.*\.js/, (route) => route.abort());
  await startCheck(page);
  await field(page, 'Ohms, sensor').fill('3.6k');
  await kept(page);
  await page.getByRole('link', { name: 'Report' }).click();
  const said = page.locator('[data-test="missing-part"]');
  await expect(said).toContainText('could not be loaded');
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await page.unroute(/\/assets\/ReportScreen.*\.js/);
  await said.getByRole('button', { name: 'Reload the page' }).click();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('3.6k');
  await page.getByRole('link', { name: 'Report' }).click();
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
});

test.describe('fetched ahead', () => {
  test.use({ fetchesAhead: true });
  test('everything is fetched ahead once the page rests: report and shelf open without a server', async ({
    page,
    context,
  }) => {
    await startCheck(page);
    await kept(page);
    await fetchedAhead(page);
    await context.setOffline(true);
    await page.getByRole('link', { name: 'Report' }).click();
    await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
    await context.setOffline(false);
  });
});
