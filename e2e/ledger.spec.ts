import { expect, test } from './test.ts';
import { startCheck } from './bench.ts';
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
