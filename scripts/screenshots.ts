// Renews docs/screenshots from the demo data: build first (npm run build).
import { chromium } from '@playwright/test';
import path from 'node:path';
import { choose, PHONE, toStation } from '../e2e/bench.ts';
import { dragCorners, tablePicture } from '../e2e/tablePictures.ts';
import { CHROMIUM, servePage } from './builtPage.ts';

const root = path.resolve(import.meta.dirname, '..');
const { url: base, stop } = await servePage(4197);
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-CA' });
const shoot = async (name: string): Promise<void> => {
  await page.waitForTimeout(1200);
  await page.screenshot({ path: path.join(root, 'docs/screenshots', `${name}.png`) });
};
const open = async (title: RegExp): Promise<void> => {
  await page.goto(`${base}/demo/`);
  await page.getByRole('link', { name: title }).first().click();
  await page.locator('[data-test="verdict"]:visible, [data-test="progress"]').first().waitFor();
  await page.locator('.plot .trace').first().waitFor();
};
const station = (id: string): Promise<void> => page.locator(`[data-station="${id}"]`).click();
const tool = async (id: string): Promise<void> => {
  await page.goto(`${base}/demo/shelf/${id}`);
  await page.locator('[data-tool] .frame, [data-tool] .figure, [data-tool] textarea').first().waitFor();
};

await page.goto(`${base}/demo/`);
await page.locator('[data-test="job"]').first().waitFor();
await shoot('ledger');
await open(/Pilot boat/);
await station('loaded');
await page.locator('[data-test-id="loaded-voltage"]').click();
await shoot('bench');
await station('where');
await page.locator('[data-test="where-next"]').waitFor();
await shoot('where');
await open(/Beet harvester/);
await station('worth');
await page.locator('[data-test="plan"]').waitFor();
await shoot('worth');
await open(/Bakery/);
await station('compare');
await page.locator('.charts').scrollIntoViewIfNeeded();
await page.locator('.charts .trace').first().waitFor();
await shoot('compare');
await open(/Swimming bath/);
await station('proof');
await shoot('proof');
await page.goto(`${page.url()}/report`);
await page.locator('[data-section="proof"]').waitFor();
await page.locator('button:enabled', { hasText: 'Print' }).waitFor();
await shoot('report');
const lines = ['Coolant: 18.5 °C', 'Engine oil: 19 °C', 'Intake air: 6 °C', 'Fuel: 18 °C', 'Exhaust: 20 °C'];
await page.goto(`${base}/demo/shelf/machine?machine=Beet%20harvester&values=${encodeURIComponent(lines.join('\n'))}`);
await page.locator('[data-test="machine-told"]').waitFor();
await shoot('all-sensors');
await tool('own');
const maker = await (await browser.newContext({ deviceScaleFactor: 2 })).newPage();
const photo = await tablePicture(maker, 5);
await page.getByLabel('From a picture').check();
await page
  .locator('[data-files="Picture of the table"] input')
  .setInputFiles({ name: 'page.png', mimeType: 'image/png', buffer: photo.png });
await page.locator('.layer svg').scrollIntoViewIfNeeded();
await dragCorners(page, photo);
await page.getByRole('button', { name: 'Read the table' }).click();
await page.locator('[data-test="picture-figures"]').waitFor({ timeout: 60_000 });
await shoot('shelf-picture');
await page.goto(`${base}/demo/logbook`);
await page.locator('[data-test="machine"]').first().waitFor();
await shoot('logbook');
await page.locator('[data-test="machine"]', { hasText: 'drain pump 3' }).getByRole('link').click();
await page.locator('[data-test="trend-chart"] .main-svg').first().waitFor();
await shoot('place');
await page.goto(`${base}/demo/safe`);
const [backup] = await Promise.all([
  page.waitForEvent('download'),
  page.getByRole('button', { name: 'Save the backup' }).click(),
]);
await page.locator('[data-files="a backup"] input[type="file"]').setInputFiles(await backup.path());
await page.getByText(/Written on/).waitFor();
await shoot('backup');
// A made-up machine, ten times as fast as life: a plug pulled, three places wiggled, and the log of it.
await open(/Pilot boat/);
await page.goto(`${page.url()}/live`);
await page.getByText('Simulated machine, to try').click();
await choose(page.getByLabel('Machine', { exact: true }), 'drops out');
await choose(page.getByLabel('Speed'), '10 times');
await page.getByRole('button', { name: 'Start the machine' }).click();
await page.locator('[data-channel="adapter 05"]').waitFor();
await page.waitForTimeout(1500);
await page.getByRole('button', { name: /^Record/ }).click();
await page.waitForTimeout(1500);
await page.keyboard.press('x');
await page.waitForTimeout(1200);
await page.keyboard.press('x');
for (const key of ['1', '2', '3', '1', '2']) {
  await page.keyboard.press(key);
  await page.waitForTimeout(2300);
}
await shoot('live');
await page.keyboard.press('r');
await page.locator('[data-test="findings"]').waitFor();
await page.locator('[data-test="log-chart"] .main-svg').first().waitFor();
await shoot('log');
// A training case played to its end: five volts, the sensor in vain, then the wire.
await page.goto(`${base}/demo/train/cases`);
await page.getByLabel('Case number').fill('2-VTP2ME-K');
await page.getByRole('button', { name: 'Start', exact: true }).click();
await page.locator('[data-test="probe"]').waitFor();
const probe = (): Promise<void> => page.getByRole('button', { name: 'Probe' }).click();
await page.getByRole('radio', { name: 'on', exact: true }).check();
await probe();
await page.getByRole('button', { name: /^Diagram/ }).click();
await station('supply');
await page.locator('[data-test-id="open-voltage"]').click();
await page.getByRole('radio', { name: 'unplugged' }).check();
await probe();
await page.locator('[data-test="meter"]').getByText('4.97 V').waitFor();
await shoot('training-case');
await choose(page.getByLabel('I think it is'), 'Sensor');
await page.getByRole('button', { name: 'Record my estimate' }).click();
for (const group of ['sensor', 'wiring']) {
  await choose(page.getByLabel('Act', { exact: true }), `repair: ${group}`);
  await page.getByRole('button', { name: 'Do it' }).click();
}
await page.locator('[data-test="truth"]').waitFor({ timeout: 60_000 });
await shoot('training-debrief');
const phone = await browser.newPage({ ...PHONE, locale: 'en-CA' });
const shootPhone = async (name: string): Promise<void> => {
  await phone.waitForTimeout(1200);
  await phone.screenshot({ path: path.join(root, 'docs/screenshots', `${name}.png`) });
};
await phone.goto(`${base}/demo/`);
await phone.locator('[data-test="job"]').first().waitFor();
await shootPhone('phone-ledger');
await phone
  .getByRole('link', { name: /Pilot boat/ })
  .first()
  .tap();
await toStation(phone, 'loaded');
await phone.getByText('Wiring fault: resistance in the return').first().waitFor();
await phone.goto(phone.url().replace(/$/, '/guide?step=test&test=sensor-ohms'));
await phone.locator('[data-card="sensor-ohms"]').waitFor();
await shootPhone('phone-guide');
await phone.emulateMedia({ colorScheme: 'dark' });
await phone.locator('.pull').tap();
await phone.locator('[data-test="evidence"]').waitFor();
await shootPhone('phone-verdict');
await browser.close();
stop();
