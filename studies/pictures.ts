// Tables read from pictures: `npx tsx studies/pictures.ts [pictures, 80] [first, 1]`, part of `npm run accuracy`; writes its part of docs/accuracy.md.
import { chromium } from '@playwright/test';
import { PNG } from 'pngjs';
import { grayOf } from '../core/src/intake/picture/grayPicture.ts';
import { pictureTable } from '../core/src/intake/picture/pictureTable.ts';
import { prepareTable, readTable } from '../core/src/intake/picture/readTable.ts';
import type { Corners } from '../core/src/intake/picture/straighten.ts';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { tablePicture } from '../e2e/tablePictures.ts';
import { CHROMIUM } from '../scripts/builtPage.ts';
import { percent } from '../cli/src/study/studyText.ts';
import { table as markdownTable, writeSection } from './sections.ts';
import { textReader } from './textReader.ts';

const [count, first] = [Number(process.argv[2] ?? 80), Number(process.argv[3] ?? 1)];
const only = process.env.ONLY?.split(',').map(Number);
const browser = await chromium.launch(CHROMIUM);
const page = await (await browser.newContext({ deviceScaleFactor: 2 })).newPage();
const reader = await textReader();
const sum = { pictures: 0, rows: 0, right: 0, figures: 0, marked: 0, wrong: 0, wrongUnmarked: 0, headings: 0 };
for (let seed = first; seed < first + count; seed++) {
  if (only && !only.includes(seed)) continue;
  const uniform = seededUniform(90_000 + seed);
  const picture = await tablePicture(page, seed);
  const { width, height, data } = PNG.sync.read(picture.png);
  // Dragged by hand: up to 4 px off.
  const by = (): number => 8 * uniform() - 4;
  const corners = picture.corners.map(([x, y]) => ({ x: 2 * x + by(), y: 2 * y + by() })) as unknown as Corners;
  const table = await readTable(prepareTable(grayOf(data, width, height), corners), reader.read);
  const { doubts, text } = pictureTable(table);
  if (text.split('\n')[0] === picture.heads.join('\t')) sum.headings++;
  const wrong: string[] = [];
  let rows = 0;
  picture.rows.forEach((row, i) => {
    const want = row.map((cell) => cell.replace('−', '-'));
    const got = table.rows[i]?.map((c) => c.text) ?? [];
    sum.rows++;
    if (want.join('\t') === got.join('\t')) rows++;
    want.forEach((cell, c) => {
      sum.figures++;
      const why = doubts[i]?.[c] ?? null;
      if (why) sum.marked++;
      if (got[c] === cell) return;
      sum.wrong++;
      if (!why) sum.wrongUnmarked++;
      wrong.push(`${cell} → ${got[c] ?? 'missing'} (${why ?? 'NOT MARKED'})`);
    });
  });
  sum.right += rows;
  sum.pictures++;
  const reasons: Record<string, number> = {};
  for (const why of doubts.flat()) if (why) reasons[why] = (reasons[why] ?? 0) + 1;
  console.error(
    `${seed}: ${rows} of ${picture.rows.length} rows, ${table.rows.length} found; ${picture.done}; ${table.heads.join(' | ')}; ${JSON.stringify(reasons)} ${wrong.slice(0, 5).join(', ')}`,
  );
}
if (!only && count >= 80)
  writeSection(
    'pictures',
    [
      `${sum.pictures} pictures with ${sum.figures} figures in ${sum.rows} rows, made by the tests; corners dragged with an error of up to 4 px. They have four fonts, sizes, rules, up to 3° askew, perspective, blur, shadow, grain, °F and decimal commas.`,
      '',
      markdownTable(
        ['', 'measured', 'bar'],
        [
          ['rows read right', percent(sum.right / sum.rows), '≥ 95 %'],
          ['figures wrong and not marked', String(sum.wrongUnmarked), '0'],
          ['figures wrong and marked', String(sum.wrong - sum.wrongUnmarked), ''],
          ['figures marked to be looked at', percent(sum.marked / sum.figures), ''],
          ['headings read right', percent(sum.headings / sum.pictures), ''],
        ],
      ),
    ].join('\n'),
  );
console.log(sum);
await reader.stop();
await browser.close();
