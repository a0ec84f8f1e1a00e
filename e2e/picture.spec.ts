import type { Browser, Page } from '@playwright/test';
import { expect, test } from './test.ts';
import { axeFinds } from './axe.ts';
import { choose, files } from './bench.ts';
import { PNG } from 'pngjs';
import { type ColourPicture, grayOf } from '../core/src/intake/picture/grayPicture.ts';
import { pictureTable } from '../core/src/intake/picture/pictureTable.ts';
import { prepareTable, readTable } from '../core/src/intake/picture/readTable.ts';
import type { Corners, Spot } from '../core/src/intake/picture/straighten.ts';
import { drawnDiagram } from '../core/test/drawnDiagram.ts';
import { textReader } from '../studies/textReader.ts';
import { dragCorners, type TablePicture, tablePicture } from './tablePictures.ts';

test.describe.configure({ mode: 'parallel' });

async function made(browser: Browser, seed: number): Promise<TablePicture> {
  const context = await browser.newContext({ deviceScaleFactor: 2 });
  const picture = await tablePicture(await context.newPage(), seed);
  await context.close();
  return picture;
}

/** Opens a picture on the shelf and drags its four corners to those of the paper. */
async function openPicture(page: Page, picture: TablePicture): Promise<void> {
  await page.goto('/shelf/own');
  await page.getByLabel('From a picture').check();
  await files(page, 'Picture of the table').setInputFiles({
    name: 'page.png',
    mimeType: 'image/png',
    buffer: picture.png,
  });
  const stage = page.locator('.layer svg');
  await expect(stage).toBeVisible();
  await page.getByRole('button', { name: 'Read the table' }).scrollIntoViewIfNeeded();
  await dragCorners(page, picture);
}

const figures = (page: Page) => page.locator('[data-test="picture-figures"]');
async function readRows(page: Page): Promise<Cells> {
  await page.getByRole('button', { name: 'Read the table' }).click();
  await expect(figures(page)).toBeVisible({ timeout: 60_000 });
  return figures(page)
    .locator('tbody tr')
    .evaluateAll((rows) =>
      rows.map((row) =>
        [...row.querySelectorAll('.cell')].map((cell) => ({
          text: cell.querySelector('input')!.value,
          unsure: cell.classList.contains('unsure'),
        })),
      ),
    );
}

type Cells = { text: string; unsure: boolean }[][];
/** Rows right, and nothing wrong that is not marked. */
function holdsTo(rows: Cells, picture: TablePicture): void {
  const wanted = picture.rows.map((row) => row.map((cell) => cell.replace('−', '-')));
  expect(rows.length, picture.done).toBe(wanted.length);
  const right = rows.filter((row, r) => row.map((c) => c.text).join('|') === wanted[r].join('|')).length;
  expect(right / rows.length, picture.done).toBeGreaterThanOrEqual(0.9);
  for (const [r, row] of rows.entries())
    for (const [c, cell] of row.entries())
      if (cell.text !== wanted[r][c]) expect(cell.unsure, `${wanted[r][c]} was read as ${cell.text}`).toBe(true);
}

// Eight of the eighty of `npm run accuracy`: every font, rules, perspective, blur, shadow, °F, decimal commas, limits. Three through the page, five
// by the same reader in Node.
test('tables are read from three pictures: rows right, and nothing wrong that is not marked', async ({
  page,
  browser,
}) => {
  for (const seed of [1, 24, 72]) {
    const picture = await made(browser, seed);
    await openPicture(page, picture);
    holdsTo(await readRows(page), picture);
  }
});

test('three more pictures, read in Node by the page’s own reader: rows right, and nothing wrong that is not marked', async ({
  browser,
}) => {
  const reader = await textReader();
  for (const seed of [3, 15, 38]) {
    const picture = await made(browser, seed);
    const { width, height, data } = PNG.sync.read(picture.png);
    const corners = picture.corners.map(([x, y]) => ({ x: 2 * x, y: 2 * y })) as unknown as Corners;
    const table = await readTable(prepareTable(grayOf(data, width, height), corners), reader.read);
    const { doubts } = pictureTable(table);
    holdsTo(
      table.rows.map((row, r) => row.map(({ text }, c) => ({ text, unsure: (doubts[r]?.[c] ?? null) !== null }))),
      picture,
    );
  }
  await reader.stop();
});

test('from a picture to a curve that keeps it: doubts are answered first, nothing is lost by a reload', async ({
  page,
  browser,
}) => {
  const picture = await made(browser, 9);
  await openPicture(page, picture);
  await readRows(page);
  const use = page.getByRole('button', { name: 'Use these figures' });
  const first = figures(page).getByLabel('Row 2, kΩ', { exact: true });
  const right = await first.inputValue();
  await first.fill('3.2064');
  await first.press('Tab');
  await expect(first).toHaveValue('3.2064');
  await page.reload();
  await expect(first).toHaveValue('3.2064');
  await expect(figures(page).locator('.snippet').first()).toHaveCSS('background-image', /blob:/, { timeout: 30_000 });
  await first.fill(right);
  await first.press('Tab');
  const confirm = figures(page).getByRole('button', { name: /matches the picture/ });
  while ((await confirm.count()) > 0) await confirm.first().click();
  // Every figure is sure now, and still nothing is used before heading and unit of both columns are confirmed.
  await expect(use).toBeDisabled();
  const headings = page.locator('[data-test="picture-headings"]');
  const unit = headings.getByRole('button', { name: /is the unit of column/ });
  while ((await unit.count()) > 0) await unit.first().click();
  // A reader of text sees a Q in place of an Ω: such a heading proposes nothing.
  if (await use.isDisabled()) await choose(headings.getByLabel('Unit of column 2'), 'kΩ');
  await expect(use).toBeEnabled();
  expect(await axeFinds(page)).toEqual([]);
  await use.click();
  await expect(page.getByLabel(/Temperature and ohms/)).toHaveValue(/°C\tkΩ\n-30\t44\.407/);
  await expect(page.getByRole('img', { name: 'The picture the figures were read from' })).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Off a photo');
  await page.getByRole('button', { name: 'Save the curve' }).click();
  const list = page.getByLabel('Curve', { exact: true });
  await choose(list, 'Off a photo');
  await page.getByText('The picture it was read from').click();
  await expect(page.getByRole('img', { name: /Picture of the table of Off a photo/ })).toBeVisible();
});

/** A picture of the core as a file. */
function pngOf({ width, height, data }: ColourPicture): Buffer {
  const png = new PNG({ width, height });
  png.data.set(data);
  return PNG.sync.write(png);
}

test('a curve off a diagram: two values on each axis, the line followed by its colour', async ({ page }) => {
  const { picture, model, across, up, temperatures, ohms, at } = drawnDiagram(4);
  const png = pngOf(picture);

  await page.goto('/shelf/own');
  await page.getByLabel('From a diagram').check();
  await files(page, 'Picture of the diagram').setInputFiles({ name: 'd.png', mimeType: 'image/png', buffer: png });
  const stage = page.locator('.layer svg');
  await expect(stage).toBeVisible();
  await stage.scrollIntoViewIfNeeded();
  const onStage = async ({ x, y }: Spot): Promise<[number, number]> => {
    const box = (await stage.boundingBox())!;
    return [box.x + (x / picture.width) * box.width, box.y + (y / picture.height) * box.height];
  };
  const drag = async (handle: string, to: Spot): Promise<void> => {
    const ring = (await page.getByRole('button', { name: handle }).locator('.ring').boundingBox())!;
    await page.mouse.move(ring.x + ring.width / 2, ring.y + ring.height / 2);
    await page.mouse.down();
    await page.mouse.move(...(await onStage(to)), { steps: 3 });
    await page.mouse.up();
  };
  const known = [
    ['Known temperature, left', across[0], temperatures[0]],
    ['Known temperature, right', across[1], temperatures[1]],
    ['Known resistance, low', up[0], ohms[0]],
    ['Known resistance, high', up[1], ohms[1]],
  ] as const;
  for (const [handle, place] of known) await drag(handle, place);
  for (const [handle, , value] of known) await page.getByLabel(handle, { exact: true }).fill(String(value));
  await page.getByRole('button', { name: 'Follow by colour' }).click();
  await page.mouse.click(...(await onStage(at(40))));
  await expect(page.locator('[data-test="diagram-points"] tbody tr')).toHaveCount(24);
  await page.reload();
  await expect(page.locator('[data-test="diagram-points"] tbody tr')).toHaveCount(24);
  await page.getByRole('button', { name: 'Use these points' }).click();
  const text = await page.getByLabel(/Temperature and ohms/).inputValue();
  for (const row of text.split('\n').slice(1)) {
    const [t, r, low, high] = row.split('\t').map(Number);
    const truth = model.resistanceOhm(t);
    expect(Math.abs(Math.log(r / truth)), row).toBeLessThan(0.04);
    expect(low < truth && truth < high, row).toBe(true);
  }
});
