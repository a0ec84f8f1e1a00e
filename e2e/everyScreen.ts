import type { Page } from '@playwright/test';
import { begun, files, goWithin, openDemo, still, TOOL_PAGES, toStation } from './bench.ts';

/** Goes to every screen, station and sheet of the demo workshop as it stands at this size, and has each looked at. */
export async function everyScreen(page: Page, look: (name: string) => Promise<void>): Promise<void> {
  await page.goto('/');
  await begun(page);
  await page.getByText('Four figures are enough').waitFor();
  await look('empty ledger');
  await page.goto('/demo/');
  await page.locator('[data-test="job"]').first().waitFor();
  await look('ledger');
  await page.locator('[data-test="job"]').first().getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Tag…' }).waitFor();
  await look('ledger, one chosen');
  await page.getByRole('button', { name: 'Tag…' }).click();
  await page.getByLabel('Tags, separated by commas').waitFor();
  await look('tags');
  await openDemo(page, /Swimming bath/);
  const all = page.locator('[data-test="all-steps"]');
  await all.or(page.locator('[data-station]')).first().waitFor();
  const folded = await all.isVisible();
  if (folded) {
    await all.click();
    await page.locator('[data-station]').first().waitFor();
    await still(page);
    await look('all steps');
  }
  const stations = await page
    .locator('[data-station]')
    .evaluateAll((list) => list.map((e) => e.getAttribute('data-station')!));
  for (const [i, station] of stations.entries()) {
    if (folded && i > 0) await all.click();
    await page.locator(`[data-station="${station}"]`).evaluate((e) => (e as HTMLElement).click());
    await page.getByRole('dialog').waitFor({ state: 'hidden' });
    await still(page);
    await look(`station ${station}`);
  }
  const check = new URL(page.url()).pathname;
  const within = check.replace('/demo', '');
  // An open check has its verdict, next test and drawer on the screen.
  await openDemo(page, /Pilot boat/);
  await toStation(page, 'where');
  await page.locator('[data-test="where-next"]').waitFor();
  await look('where in the loom');
  await page.locator('[data-test="loom"] button').nth(2).click();
  await page.getByLabel('Opened together with').waitFor();
  await still(page);
  await look('a stop of the loom');
  await page.keyboard.press('Escape');
  await toStation(page, 'loaded');
  await page.locator('[data-test="next"], .pull').first().waitFor({ state: 'attached' });
  const pull = page.locator('.pull');
  if (await pull.isVisible()) await pull.click();
  await page.locator('[data-test="evidence"]').waitFor();
  await look('verdict of an open check');
  await page.getByRole('button', { name: 'Why, in figures' }).click();
  await page.locator('[data-test="course"]').waitFor();
  await still(page);
  await look('the verdict in figures');
  await page.keyboard.press('Escape');
  if (await pull.isVisible()) await pull.click();
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
  await toStation(page, 'quick');
  // A phone shows the circuit in a line, and its choice on a tap.
  const change = page.getByRole('button', { name: 'Change the circuit' });
  const more = page.getByRole('button', { name: 'More…' });
  await change.or(more).first().waitFor();
  if (await change.isVisible()) await change.click();
  await more.click();
  await page.getByRole('dialog', { name: 'Circuit and kit in detail' }).waitFor();
  await still(page);
  await look('circuit and kit in detail');
  await page.keyboard.press('Escape');
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
  await page.keyboard.press('?');
  await page.getByRole('dialog', { name: 'Keys and figures' }).waitFor();
  await still(page);
  await look('keys and figures');
  await page.keyboard.press('Escape');
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
  await toStation(page, 'loaded');
  await page.locator('[data-card]').waitFor();
  // Out of the field, so that the key is no letter of a figure.
  await page.keyboard.press('Escape');
  await page.keyboard.press('r');
  await page.getByRole('dialog', { name: 'Large view' }).waitFor();
  await look('reading mode');
  await page.goto(`${check}?tour`);
  await page.getByText('Type what the meter shows').waitFor();
  await still(page);
  await look('tour of the bench');
  for (const step of ['what', 'trouble', 'temperature', 'test', 'result', 'decision']) {
    // Without a test named, a check that has all it needs goes on to its result.
    await goWithin(page, `${within}/guide?step=${step}${step === 'test' ? '&test=sensor-ohms' : ''}`);
    await page.locator(`[data-step="${step}"]`).waitFor();
    if (step === 'test') await page.locator('[data-card="sensor-ohms"]').waitFor();
    await still(page);
    await look(`guided: ${step}`);
  }
  await goWithin(page, `${within}/report`);
  await page.locator('[data-section="proof"]').waitFor();
  await look('report');
  for (const tool of TOOL_PAGES) {
    await goWithin(page, `/shelf/${tool}`);
    await page.locator('main, [data-tool]').first().waitFor();
    await still(page);
    await look(`shelf ${tool}`);
  }
  for (const part of ['places', 'due', 'experience']) {
    await goWithin(page, `/logbook/${part}`);
    await page.locator('main section').first().waitFor();
    await look(`logbook ${part}`);
  }
  await goWithin(page, '/logbook');
  await page.locator('[data-test="machine"]', { hasText: 'drain pump 3' }).getByRole('link').click();
  await page.locator('[data-test="trend-chart"] .main-svg').first().waitFor();
  await look('place');
  await page.getByRole('button', { name: 'Next check here' }).click();
  await page.locator('[data-test="earlier"]').waitFor();
  // Pale, on purpose, while the new check's own verdict is being computed.
  await page.locator('[data-earlier="true"]').waitFor({ state: 'detached' });
  await look('earlier checks on the bench');
  await goWithin(page, '/logbook');
  await page.getByRole('button', { name: 'Scan a label…' }).click();
  await page.getByLabel('Code, typed').waitFor();
  await still(page);
  await look('scan a label');
  const code = await page.locator('[data-test="machine"] .code').first().innerText();
  await goWithin(page, `/logbook/place/${code}/label`);
  await page.locator('.qr').waitFor();
  await look('label');
  for (const part of ['general', 'workshop', 'instruments', 'about']) {
    await goWithin(page, `/settings/${part}`);
    await page.locator(`[data-part="${part}"]`).waitFor();
    await look(`settings ${part}`);
  }
  await goWithin(page, '/safe');
  await page.getByRole('button', { name: 'What takes space' }).click();
  await page.locator('[data-test="sizes"]').waitFor();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the backup' }).click(),
  ]);
  await files(page, 'a backup').setInputFiles(await saved.path());
  await page.getByText(/Written on/).waitFor();
  await look('safe-keeping');
  // Another workshop: the page is loaded anew.
  await page.goto('/take');
  await page.getByRole('button', { name: 'Scan…' }).waitFor();
  await look('receive');
  await goWithin(page, '/live');
  await page.getByText('Simulated machine, to try').click();
  await page.getByRole('button', { name: 'Start the machine' }).click();
  await page.locator('[data-channel="adapter 05"]').waitFor();
  await page.getByRole('button', { name: /^Record/ }).click();
  await page.getByRole('button', { name: /^unplugged/ }).click();
  await still(page);
  await look('live values, recording');
  await page.goto('/logs');
  await files(page, 'a log file').setInputFiles('examples/logs/loose-plug.csv');
  await page.locator('[data-test="findings"]').waitFor();
  await page.locator('[data-test="log-chart"] .main-svg').first().waitFor();
  await look('log laboratory');
  for (const part of ['course', 'cases', 'exam', 'progress', 'course/load']) {
    await goWithin(page, `/train/${part}`);
    await page.locator('main section').first().waitFor();
    await look(`training ${part}`);
  }
  await goWithin(page, '/train/cases');
  await page.getByLabel('Case number').fill('2-VTP2ME-K');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.locator('[data-test="probe"]').waitFor();
  await page.getByRole('button', { name: 'Probe' }).click();
  await page.getByRole('button', { name: /^Diagram/ }).click();
  await page.locator('[data-test="cavities"]').waitFor();
  await look('training case');
  await page.getByRole('button', { name: 'Give up' }).click();
  await page.locator('[data-test="truth"]').waitFor({ timeout: 60_000 });
  await look('training debrief');
}
