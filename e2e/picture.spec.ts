import { type Browser, expect, type Page, test } from '@playwright/test';
import { axeFinds } from './axe.ts';
import { choose, files } from './bench.ts';
import { PNG } from 'pngjs';
import { curveModel } from '../core/src/circuit/curves/curve.ts';
import { grayOf } from '../core/src/intake/picture/grayPicture.ts';
import { pictureTable } from '../core/src/intake/picture/pictureTable.ts';
import { prepareTable, readTable } from '../core/src/intake/picture/readTable.ts';
import type { Corners } from '../core/src/intake/picture/straighten.ts';
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
for (const seed of [1, 24, 72])
  test(`a table is read from picture ${seed}: rows right, and nothing wrong that is not marked`, async ({
    page,
    browser,
  }) => {
    const picture = await made(browser, seed);
    await openPicture(page, picture);
    holdsTo(await readRows(page), picture);
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

test('a file that is no picture, reading that is stopped, and corners that cross are said', async ({
  page,
  browser,
}) => {
  const picture = await made(browser, 10);
  await openPicture(page, picture);
  await page.getByRole('button', { name: 'Read the table' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Read the table' })).toBeEnabled();
  await expect(figures(page)).toHaveCount(0);
  const corner = page.getByRole('button', { name: /Upper left corner/ });
  // Dragged to the far side of the other corners.
  const [from, to] = [corner, page.getByRole('button', { name: /Upper right corner/ })].map((c) => c.locator('.ring'));
  const [start, end] = [(await from.boundingBox())!, (await to.boundingBox())!];
  await page.mouse.move(start.x + start.width / 2, start.y + start.height / 2);
  await page.mouse.down();
  await page.mouse.move(end.x + end.width + 40, end.y + end.height / 2, { steps: 3 });
  await page.mouse.up();
  await expect(page.getByText('The corners must go round the table without crossing.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Read the table' })).toBeDisabled();
  await files(page, 'Picture of the table').setInputFiles({
    name: 'page.png',
    mimeType: 'image/png',
    buffer: Buffer.from('no picture at all'),
  });
  await expect(page.getByRole('alert').filter({ hasText: /cannot read this( file)? as a picture/ })).toBeVisible();
});

test('a curve off a diagram: two values on each axis, the line followed by its colour', async ({ page, browser }) => {
  const model = curveModel({ kind: 'beta', r25Ohm: 10_000, betaK: 3977 });
  const [x, y] = [
    (t: number) => 100 + ((t + 20) / 120) * 800,
    (r: number) => 650 - (Math.log(r / 500) / Math.log(200)) * 600,
  ];
  const line = Array.from({ length: 241 }, (_, i) => -20 + i / 2)
    .map((t) => `${x(t)},${y(model.resistanceOhm(t))}`)
    .join(' ');
  const drawing = await browser.newPage({ viewport: { width: 1000, height: 720 } });
  await drawing.setContent(
    `<body style="margin:0"><svg width="1000" height="720"><path d="M100 50V650H900M300 50V650M500 50V650M700 50V650M100 350H900" stroke="#bbb" fill="none"/><polyline points="${line}" fill="none" stroke="#b02020" stroke-width="4"/></svg>`,
  );
  const png = await drawing.screenshot();
  await drawing.close();

  await page.goto('/shelf/own');
  await page.getByLabel('From a diagram').check();
  await files(page, 'Picture of the diagram').setInputFiles({ name: 'd.png', mimeType: 'image/png', buffer: png });
  const stage = page.locator('.layer svg');
  await expect(stage).toBeVisible();
  await stage.scrollIntoViewIfNeeded();
  const drag = async (handle: string, px: number, py: number): Promise<void> => {
    const ring = (await page.getByRole('button', { name: handle }).locator('.ring').boundingBox())!;
    const box = (await stage.boundingBox())!;
    await page.mouse.move(ring.x + ring.width / 2, ring.y + ring.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + (px / 1000) * box.width, box.y + (py / 720) * box.height, { steps: 3 });
    await page.mouse.up();
  };
  await drag('Known temperature, left', x(0), 650);
  await drag('Known temperature, right', x(100), 650);
  await drag('Known resistance, low', 100, y(1000));
  await drag('Known resistance, high', 100, y(100_000));
  await page.getByLabel('Known temperature, left', { exact: true }).fill('0');
  await page.getByLabel('Known temperature, right', { exact: true }).fill('100');
  await page.getByLabel('Known resistance, low', { exact: true }).fill('1k');
  await page.getByLabel('Known resistance, high', { exact: true }).fill('100k');
  await page.getByRole('button', { name: 'Follow by colour' }).click();
  const box = (await stage.boundingBox())!;
  await page.mouse.click(box.x + (x(40) / 1000) * box.width, box.y + (y(model.resistanceOhm(40)) / 720) * box.height);
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
