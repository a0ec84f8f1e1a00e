// Garbage on the lines of the instruments, through the page: nothing throws, no value that is none is shown, and the page still answers. Part of
// `npm run campaign`. Arguments: frames (20 000), first seed (1).
import { chromium, type WebSocketRoute } from '@playwright/test';
import { pick, seededUniform } from '../core/src/base/numeric/random.ts';
import { STAND_IN_PATH } from '../core/src/training/simulation/standIns/standInAddress.ts';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';
import { noteReliability } from '../scripts/noteReliability.ts';

const [frames, first] = [20_000, 1].map((usual, i) => Number(process.argv[2 + i] ?? usual));
const uniform = seededUniform(first);
/** What instruments print, and what no instrument should. */
const PIECES = [
  ...['+2.49812000E+00;"VOLT +1.0E+01,+1.0E-05"\n', 'A 1C 41 05 7B =DD\r\n', 'N 1C =1C\n', '17,21.5,C,4A\r\n', '\n'],
  ...[
    'NaN',
    'Infinity',
    '-1e999',
    '+9.9E37',
    '\u0000',
    '﻿',
    'A FF',
    '=',
    '"',
    '{"a":1}',
    '<b>',
    'A 00 41 00 FF FF FF FF =3D\n',
  ],
];
const garbage = (): string => {
  const kind = uniform();
  if (kind < 0.1) return 'A'.repeat(Math.floor(4000 * uniform()));
  const length = 1 + Math.floor(8 * uniform());
  const text = Array.from({ length }, () => pick(PIECES, uniform)).join('');
  if (kind < 0.5) return text;
  const at = Math.floor(text.length * uniform());
  return text.slice(0, at) + String.fromCharCode(Math.floor(300 * uniform())) + text.slice(at + 1);
};

const { url, stop } = await servePage(4193);
const browser = await chromium.launch(CHROMIUM);
const errors: string[] = [];
let [sent, odd] = [0, 0];
try {
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  page.on('pageerror', (error) => void errors.push(String(error).slice(0, 200)));
  const lines = new Set<WebSocketRoute>();
  await page.routeWebSocket(
    (address) => address.pathname.startsWith(STAND_IN_PATH),
    (line) => {
      lines.add(line);
      line.onMessage(() => undefined);
      line.onClose(() => void lines.delete(line));
    },
  );
  await page.goto(`${url}/live`);
  await page.getByText('Simulated machine, to try').click();
  await page.getByRole('button', { name: 'Start the machine' }).click();
  while (lines.size < 2) await page.waitForTimeout(100);
  await page.getByRole('button', { name: /^Record/ }).click();
  for (; sent < frames; sent++) {
    for (const line of lines) line.send(garbage());
    if (sent % 200 !== 0) continue;
    await page.waitForTimeout(50);
    // The last fault of a line is shown with what came: values are another thing.
    const shown = await page.locator('[data-test="live-value"]').allInnerTexts();
    if (shown.some((value) => /NaN|Infinity|undefined/.test(value))) odd++;
  }
  // The page still answers.
  await page.getByRole('button', { name: /Stop and open/ }).click();
  await page
    .getByRole('heading', { name: /Findings|Nothing unusual found|Logs/ })
    .first()
    .waitFor({ timeout: 60_000 });
} finally {
  await browser.close();
  stop();
}
for (const error of errors.slice(0, 10)) console.log(error);
const told = `${sent} frames of garbage on each line: ${errors.length} errors of the page, ${odd} times an impossible figure (bar: 0)`;
console.log(told);
noteReliability(`garbage on the lines of instruments${first === 1 ? '' : `, from seed ${first}`}`, told);
process.exit(errors.length + odd === 0 ? 0 : 1);
