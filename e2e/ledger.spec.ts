import { readFileSync } from 'node:fs';
import { expect, test } from './test.ts';
import { strFromU8, unzipSync } from 'fflate';
import { choose, startCheck } from './bench.ts';
import { JOBS_A_PAGE } from '../web/src/screens/jobs/jobFacts.ts';
import { fillLedger } from './manyChecks.ts';

test('5 000 checks: pages of rows, search, sort; the second visit reads the ledger’s copy; another window’s change arrives', async ({
  page,
  context,
}) => {
  test.slow();
  await startCheck(page);
  await page.goto('/');
  const rows = page.locator('[data-test="job"]');
  await expect(rows).toHaveCount(1);
  await fillLedger(page, 5000);
  await page.reload();
  // One row is in the ledger's copy; the rest is found behind it.
  await expect(rows).toHaveCount(JOBS_A_PAGE, { timeout: 60_000 });
  await page.getByLabel('Search checks').fill('machine 4321');
  await expect(rows).toHaveCount(1);
  await expect(rows).toContainText('Machine 4321 · sensor 2');
  await page.getByLabel('Search checks').fill('frost gauge 10');
  await expect(rows).toHaveCount(JOBS_A_PAGE);
  await page.getByLabel('Search checks').fill('');
  await page.getByRole('columnheader', { name: 'Machine and sensor' }).click();
  // The untitled check comes before all names; figures in names count as figures.
  await expect(rows.nth(3)).toContainText('Machine 2 · sensor 2');

  await page.reload();
  await expect(rows).toHaveCount(JOBS_A_PAGE);
  const other = await context.newPage();
  await other.goto('/check/many-4999');
  await other.getByLabel('Title of this check').fill('Renamed elsewhere');
  await expect(other.locator('[data-test="save-state"]')).toHaveText('Saved');
  await expect(rows.first()).toContainText('Renamed elsewhere');
});

test('several at once: tags, filter by tag, archive, export as ZIP with photos, delete and undo', async ({ page }) => {
  await page.goto('/demo/');
  const rows = page.locator('[data-test="job"]');
  await expect(rows).toHaveCount(21);
  const row = (name: string) => rows.filter({ hasText: name });
  for (const name of ['Greenhouse', 'Ferry Plover', 'Pilot boat']) await row(name).getByRole('checkbox').check();
  const bar = page.getByRole('status').filter({ hasText: '3 checks chosen' });
  await bar.getByRole('button', { name: 'Tag…' }).click();
  await page.getByLabel('Tags, separated by commas').fill('spring round, -ferry fleet');
  await page.getByRole('button', { name: 'Set tags' }).click();
  await expect(row('Greenhouse')).toContainText('spring round');
  await expect(row('Ferry Plover')).toContainText('harbour');
  await expect(row('Ferry Plover')).not.toContainText('ferry fleet');
  await choose(page.getByLabel('Tag', { exact: true }), 'spring round');
  await expect(rows).toHaveCount(3);

  for (const box of await rows.getByRole('checkbox').all()) await box.check();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export', exact: true }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('checks-3.zip');
  const files = unzipSync(readFileSync(await download.path()));
  expect(Object.keys(files)).toHaveLength(3);
  const ferry = JSON.parse(strFromU8(files['Ferry-Plover-generator-coolant.json'])) as {
    tags: string[];
    photos: { image: string }[];
  };
  expect(ferry.tags).toEqual(['harbour', 'spring round']);
  expect(ferry.photos[0].image).toMatch(/^data:image\/jpeg/);

  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByText('Deleted 3 checks.')).toBeVisible();
  await expect(rows).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(rows).toHaveCount(3);
  for (const box of await rows.getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(rows).toHaveCount(0);
  await page.getByLabel('archive').check();
  await expect(rows).toHaveCount(3);
});
