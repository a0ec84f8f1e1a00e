import { describe, expect, test } from 'vitest';
import { type DrawnPage, drawnPage, type DrawnStyle, PLAIN } from '../../../test/drawnPage.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { grayOf, graymapFile, noLargerThan } from './grayPicture.ts';
import { levelled } from './levelled.ts';
import { FIGURES, prepareTable, type PreparedTable, readTable, type TextReader, withoutSmudges } from './readTable.ts';
import { skewDegrees, turned } from './skew.ts';
import { type Corners, goRound, onPage, straightened, wholePicture } from './straighten.ts';

const ROWS = [
  ['-20', '28.60'],
  ['-10', '16.20'],
  ['0', '9.420'],
  ['10', '5.780'],
  ['20', '3.518'],
  ['30', '2.238'],
  ['40', '1.459'],
  ['50', '0.9731'],
];

/** A reader that knows what was drawn, and says it with the given slips: it sees only the line it is handed. */
function readerOf(
  page: DrawnPage,
  prepared: PreparedTable,
  slip: (text: string, row: number, column: number) => string,
): TextReader {
  let row = -1;
  return (file, alphabet) => {
    if (alphabet !== '') row++;
    const at = Math.min(row + (alphabet === '' ? 1 : 0), prepared.rows.length - 1);
    const [, width] = /^P5\n(\d+) /.exec(new TextDecoder('latin1').decode(file.slice(0, 20)))!.map(Number);
    const boxes = prepared.rows[at].flatMap((box) => box ?? []);
    const [left, right] = [Math.min(...boxes.map((b) => b.left)) - 3, Math.max(...boxes.map((b) => b.right)) + 3];
    const scale = (width - 24) / (right - left);
    const symbols = page.symbols[at].flatMap((cell, column) => {
      const said = slip(cell.map((s) => s.text).join(''), at, column);
      return [...said].map((text, k) => ({
        text,
        x: 12 + (cell[Math.min(k, cell.length - 1)].x - left) * scale,
        y: 20,
      }));
    });
    return Promise.resolve(symbols);
  };
}

async function readDrawn(
  rows: readonly string[][],
  style: DrawnStyle,
  slip: (t: string, r: number, c: number) => string = (t) => t,
) {
  const page = drawnPage(rows, style);
  const prepared = prepareTable(page.picture, wholePicture(page.picture));
  return { table: await readTable(prepared, readerOf(page, prepared, slip)), prepared };
}

describe('a table drawn dot by dot is found and read', () => {
  const STYLES: Record<string, DrawnStyle> = {
    plain: PLAIN,
    'in a deep shadow': { ...PLAIN, shadow: 0.6 },
    'dim and pale': { ...PLAIN, paper: 150, ink: 90 },
    'light on dark': { ...PLAIN, paper: 30, ink: 220 },
    ruled: { ...PLAIN, rules: true },
    'ruled, large, in a shadow': { ...PLAIN, rules: true, dot: 5, shadow: 0.4 },
  };
  test.each(Object.keys(STYLES))('%s', async (name) => {
    const { table, prepared } = await readDrawn(ROWS, STYLES[name]);
    expect(prepared.rows.map((r) => r.length)).toEqual(ROWS.map(() => 2));
    expect(prepared.figure).toBeCloseTo(7 * STYLES[name].dot, -0.5);
    expect(table.rows.map((row) => row.map((c) => c.text))).toEqual(ROWS);
    expect(table.rows.flat().filter((c) => c.doubtful)).toEqual([]);
  });

  test('what the reader drops or confuses is mended from the ink, and marked where both disagree', async () => {
    const slips: Record<string, string> = {
      '0': '',
      '-10': '10',
      '9.420': '9420',
      '2.238': '2.233',
      '5.780': '5.7S0',
      '40': '10',
    };
    const { table } = await readDrawn(ROWS, PLAIN, (t) => slips[t] ?? t);
    expect(table.rows.map((row) => row.map((c) => c.text))).toEqual(ROWS);
    const doubtful = (r: number, c: number): boolean => table.rows[r][c].doubtful;
    // The minus and the point stand in the ink as plain as can be.
    expect(doubtful(1, 0)).toBe(false);
    expect(doubtful(2, 1)).toBe(false);
    // Figures on which reader and ink disagree are looked at.
    expect([doubtful(2, 0), doubtful(5, 1), doubtful(3, 1), doubtful(6, 0)]).toEqual([true, true, true, true]);
  });

  test('commas are told from points by how far they hang', async () => {
    const rows = ROWS.map((row) => row.map((c) => c.replace('.', ',')));
    const { table } = await readDrawn(rows, { ...PLAIN, dot: 4 }, (t) => t.replace(',', '.'));
    expect(table.rows.map((row) => row.map((c) => c.text))).toEqual(rows);
  });

  test('a heading is kept apart, an empty page has no rows', async () => {
    const page = drawnPage([['111', '222'], ...ROWS]);
    const prepared = prepareTable(page.picture, wholePicture(page.picture));
    const heading = readerOf(page, prepared, (t) => t);
    let calls = 0;
    const reader: TextReader = async (file, alphabet) => {
      expect(['', FIGURES]).toContain(alphabet);
      const symbols = await heading(file, calls === 0 ? FIGURES : alphabet);
      return calls++ === 0 ? symbols.map((s) => ({ ...s, text: s.text === '1' ? 'C' : 'Q' })) : symbols;
    };
    const table = await readTable(prepared, reader);
    expect(table.heads).toEqual(['CCC', 'QQQ']);
    expect(table.rows).toHaveLength(ROWS.length);
    const blank = { width: 200, height: 200, data: new Uint8Array(40_000).fill(240) };
    expect(prepareTable(blank, wholePicture(blank)).rows).toEqual([]);
    expect((await readTable({ page: blank, figure: 0, rows: [] }, reader)).rows).toEqual([]);
  });

  test('progress is told row by row', async () => {
    const page = drawnPage(ROWS);
    const prepared = prepareTable(page.picture, wholePicture(page.picture));
    const told: number[] = [];
    await readTable(
      prepared,
      readerOf(page, prepared, (t) => t),
      (share) => told.push(share),
    );
    expect(told).toEqual(ROWS.map((_, i) => (i + 1) / ROWS.length));
  });
});

describe('the page is made straight', () => {
  test('the corners of the unit square are those of the page, whatever the perspective', () => {
    const corners: Corners = [
      { x: 120, y: 80 },
      { x: 900, y: 140 },
      { x: 860, y: 1010 },
      { x: 60, y: 930 },
    ];
    const place = onPage(corners);
    [place(0, 0), place(1, 0), place(1, 1), place(0, 1)].forEach((spot, i) => {
      expect(spot.x).toBeCloseTo(corners[i].x, 9);
      expect(spot.y).toBeCloseTo(corners[i].y, 9);
    });
    // A straight line stays one: three places on an edge of the square.
    const [a, b, c] = [place(0.2, 0.3), place(0.5, 0.45), place(0.8, 0.6)];
    expect((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)).toBeCloseTo(0, 6);
  });

  test('a page turned by any angle up to five degrees is turned back', () => {
    const page = levelled(drawnPage([...ROWS, ...ROWS]).picture);
    for (const degrees of [-5, -2.3, -0.4, 0, 1.15, 3, 4.8])
      expect(skewDegrees(turned(page, -degrees))).toBeCloseTo(degrees, 0);
    expect(Math.abs(skewDegrees(turned(turned(page, 3), -3)))).toBeLessThanOrEqual(0.1);
  });

  test('corners that cross, dent or lie on one spot are no page', () => {
    const whole = wholePicture({ width: 400, height: 300 });
    expect(goRound(whole)).toBe(true);
    expect(goRound([whole[1], whole[0], whole[2], whole[3]])).toBe(false);
    expect(goRound([whole[0], whole[1], { x: 100, y: 80 }, whole[3]])).toBe(false);
    expect(goRound([whole[0], { x: 5, y: 0 }, whole[2], whole[3]])).toBe(false);
    const blank = { width: 400, height: 300, data: new Uint8Array(120_000) };
    expect(() => straightened(blank, [whole[1], whole[0], whole[2], whole[3]])).toThrow(RangeError);
    expect(straightened(blank, whole)).toMatchObject({ width: 400, height: 300 });
  });

  test('paper becomes white and ink black at every place of a shaded page', () => {
    const uniform = seededUniform(4);
    const { picture } = drawnPage(ROWS, { ...PLAIN, shadow: 0.7 });
    const noisy = { ...picture, data: picture.data.map((v) => Math.max(0, v + Math.round(6 * uniform() - 3))) };
    const level = levelled(noisy);
    const reference = drawnPage(ROWS).picture.data;
    let wrong = 0;
    level.data.forEach((v, i) => (wrong += Number(reference[i] < 100 ? v > 110 : v < 200)));
    expect(wrong / level.data.length).toBeLessThan(0.001);
  });

  test('gray is the luma on white paper; blocks are averaged; a graymap says its size', () => {
    expect([...grayOf([255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 255, 255, 9, 9, 9, 0], 2, 2).data]).toEqual([
      76, 150, 29, 255,
    ]);
    expect(() => grayOf([1, 2, 3], 1, 1)).toThrow(RangeError);
    const small = noLargerThan({ width: 4, height: 2, data: Uint8Array.from([0, 100, 10, 30, 200, 100, 20, 60]) }, 2);
    expect(small).toEqual({ width: 2, height: 1, data: Uint8Array.from([100, 30]) });
    expect(new TextDecoder().decode(graymapFile({ width: 2, height: 1, data: Uint8Array.from([65, 66]) }))).toBe(
      'P5\n2 1\n255\nAB',
    );
  });
});

test('rows and columns without a single figure are smudges; a figure or a heading keeps its column', () => {
  const row = (...texts: string[]) => texts.map((text) => ({ text, doubtful: text === '', box: null }));
  const texts = (heads: string[], ...rows: string[][]) => {
    const table = withoutSmudges({ heads, rows: rows.map((r) => row(...r)) });
    return [table.heads, ...table.rows.map((r) => r.map((c) => c.text))];
  };
  expect(texts(['°C', '', ''], ['', '', ''], ['0', '5.1', ''], ['10', '', ''], ['', '', ''])).toEqual([
    ['°C', ''],
    ['0', '5.1'],
    ['10', ''],
  ]);
  expect(texts(['°C', 'kΩ'], ['0', ''])).toEqual([
    ['°C', 'kΩ'],
    ['0', ''],
  ]);
  expect(texts([], ...[])).toEqual([[]]);
});
