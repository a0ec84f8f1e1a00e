import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { expect, test } from './test.ts';
import { encode } from 'uqr';
import { CHROMIUM } from '../scripts/builtPage.ts';
import { framesOf } from '../core/src/check/sharing/frames.ts';
import { deflateRawSync } from 'node:zlib';
import { newJob } from '../core/src/check/job/newJob.ts';
import { saveJob } from '../core/src/check/job/openJob.ts';
import { field, kept, openDemo, startCheck } from './bench.ts';

// A check from one device to another: as a link, and as pictures before a camera.

test('a link holds the whole check; opening it writes over nothing', async ({ page, browser }) => {
  await startCheck(page);
  await field(page, 'Title of this check').fill('Winch, starboard');
  await field(page, 'Ohms, sensor').fill('2.2k');
  await kept(page);
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await page.getByRole('button', { name: 'Copy a link that contains it' }).click();
  await expect(page.getByText('Copied.')).toBeVisible();
  const link = await page.evaluate(() => navigator.clipboard.readText());
  expect(link).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/take#[\w-]{500,8000}$/);
  const other = await (await browser.newContext()).newPage();
  await other.goto(link);
  await expect(other.locator('[data-test="received"]')).toContainText('Winch, starboard');
  await other.getByRole('button', { name: 'Keep it' }).click();
  await expect(field(other, 'Ohms, sensor')).toHaveValue('2.2k');
  await kept(other);
  // Here it is known already: it is kept beside the first, which has moved on.
  await page.keyboard.press('Escape');
  await field(page, 'Ohms, sensor').fill('2.4k');
  await kept(page);
  await page.goto(link);
  await expect(page.getByText('This one is added beside it')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(field(page, 'Ohms, sensor')).toHaveValue('2.2k');
  await page.goto('/');
  await expect(page.locator('[data-test="job"]')).toHaveCount(2);
  // A link cut off by a mail program, and one of something else.
  for (const bad of [link.slice(0, -40), link.replace(/#.*/, '#AAAA')]) {
    await page.goto('about:blank');
    await page.goto(bad);
    await expect(page.getByText('This contains no complete check. Copy the whole link again.')).toBeVisible();
  }
});

test('pictures on one screen, read by the camera of another', async () => {
  test.slow();
  const job = newJob('from-the-phone', '2026-01-02T03:04:05.000Z');
  job.title = 'Winch, port side';
  const packed = deflateRawSync(Buffer.from(JSON.stringify(JSON.parse(saveJob(job))))).toString('base64url');
  const frames = framesOf(packed)!;
  expect(frames.length).toBeGreaterThan(1);
  const folder = mkdtempSync(path.join(tmpdir(), 'mellow-film-'));
  const film = path.join(folder, 'film.y4m');
  writeFileSync(film, filmOf(frames));
  const browser = await chromium.launch({
    ...CHROMIUM,
    args: [
      ...CHROMIUM.args,
      ...[
        '--use-fake-ui-for-media-stream',
        '--use-fake-device-for-media-stream',
        `--use-file-for-fake-video-capture=${film}`,
      ],
    ],
  });
  try {
    const page = await (await browser.newContext({ permissions: ['camera'] })).newPage();
    await page.goto(`${test.info().project.use.baseURL!}/take`);
    await page.getByRole('button', { name: 'Scan…' }).click();
    await expect(page.locator('[data-test="received"]')).toContainText('Winch, port side', { timeout: 60_000 });
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByLabel('Title of this check')).toHaveValue('Winch, port side');
  } finally {
    await browser.close();
    rmSync(folder, { recursive: true, force: true });
  }
});

/** A film for the fake camera (YUV4MPEG2, 4:2:0): each text as its QR code for half a second, grey round it. */
function filmOf(texts: readonly string[]): Buffer {
  const [width, height, fps] = [640, 480, 10];
  const parts: Buffer[] = [Buffer.from(`YUV4MPEG2 W${width} H${height} F${fps}:1 Ip A1:1 C420jpeg\n`)];
  for (const text of texts) {
    const { data, size } = encode(text, { ecc: 'M', border: 4 });
    const scale = Math.floor(height / size);
    const [left, top] = [Math.floor((width - scale * size) / 2), Math.floor((height - scale * size) / 2)];
    const light = Buffer.alloc(width * height, 128);
    for (let y = 0; y < scale * size; y++)
      for (let x = 0; x < scale * size; x++)
        light[(top + y) * width + left + x] = data[Math.floor(y / scale)][Math.floor(x / scale)] ? 20 : 235;
    const frame = Buffer.concat([Buffer.from('FRAME\n'), light, Buffer.alloc((width * height) / 2, 128)]);
    for (let i = 0; i < fps / 2; i++) parts.push(frame);
  }
  return Buffer.concat(parts);
}

test('without a camera the code is typed; nonsense is said to be none', async ({ page }) => {
  await openDemo(page, /Pilot boat/);
  await page.goto('/demo/logbook');
  await page.getByRole('button', { name: 'Scan a label…' }).click();
  await expect(page.getByText(/camera does not answer|gives no camera/)).toBeVisible();
  await page.getByLabel('Code, typed').fill('nonsense');
  await page.getByRole('button', { name: 'Use this value' }).click();
  await expect(page.getByText('This is not a label of this program.')).toBeVisible();
});
