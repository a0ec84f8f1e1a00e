// The same case number in Node and in Chromium: readings as shown, and the score of a play to three figures. `npx tsx studies/trainingBoth.ts
// [cases] [cases scored]`.
import path from 'node:path';
import { chromium } from '@playwright/test';
import { build } from 'vite';
import { CHROMIUM } from '../scripts/builtPage.ts';
import { readingsOf, scoreOf } from './trainingDigest.ts';

const [cases, scored] = [Number(process.argv[2] ?? 1000), Number(process.argv[3] ?? 200)];
const built = await build({
  configFile: false,
  logLevel: 'error',
  build: {
    write: false,
    minify: false,
    lib: {
      entry: path.resolve(import.meta.dirname, 'trainingDigest.ts'),
      formats: ['iife'],
      name: 'digest',
    },
  },
});
const [{ output }] = built as unknown as { output: { code: string }[] }[];
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage();
await page.addScriptTag({ content: output[0].code });
const there = (call: string): Promise<string> => page.evaluate(call);
let [same, alike] = [0, 0];
for (let i = 0; i < cases; i++) {
  const here = readingsOf(i);
  const other = await there(`digest.readingsOf(${i})`);
  if (here === other) same++;
  else console.log(`case ${i}:\n  ${here}\n  ${other}`);
}
console.log(`readings: ${same} of ${cases} cases the same`);
for (let i = 0; i < scored; i++) {
  const [here, other] = await Promise.all([Promise.resolve().then(() => scoreOf(i)), there(`digest.scoreOf(${i})`)]);
  if (here === other) alike++;
  else console.log(`score of case ${i}: ${here} here, ${other} there`);
  if ((i + 1) % 50 === 0) console.log(`scores: ${alike} of ${i + 1}`);
}
console.log(`scores: ${alike} of ${scored} the same to three figures`);
await browser.close();
