import { describe, expect, test } from 'vitest';
import { python } from '../../../test/python.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { apart, lookOf, shapesOf } from './glyphs.ts';
import { cutOut, type GrayPicture, grayOf, graymapFile, noLargerThan, shadeAt } from './grayPicture.ts';
import { blotsOf, figureHeight, inkOf } from './inkMap.ts';
import { inkThreshold, levelled } from './levelled.ts';
import { readFigures } from './readFigures.ts';
import { withoutRules } from './rules.ts';
import { sharpened } from './sharpened.ts';
import { skewDegrees, turned } from './skew.ts';
import { onPage, straightened } from './straighten.ts';
import { tableCells } from './tableCells.ts';

const picture = (width: number, height: number, shade: (x: number, y: number) => number): GrayPicture => ({
  width,
  height,
  data: Uint8Array.from({ length: width * height }, (_, i) => shade(i % width, Math.floor(i / width))),
});
const random = seededUniform(77);
const noise = picture(23, 17, () => Math.floor(256 * random()));
const rows = ({ width, height, data }: GrayPicture): number[][] =>
  Array.from({ length: height }, (_, y) => [...data.slice(y * width, (y + 1) * width)]);
/** White, with boxes of ink. */
const drawn = (width: number, height: number, boxes: readonly (readonly [number, number, number, number])[]) =>
  picture(width, height, (x, y) => (boxes.some(([l, t, r, b]) => x >= l && x < r && y >= t && y < b) ? 0 : 255));

describe('pixels against scipy.ndimage (Debian’s python3-scipy, live)', () => {
  test('the shade between pixels: map_coordinates of order 1, white outside', () => {
    const places = Array.from({ length: 200 }, () => [26 * random() - 1.5, 20 * random() - 1.5]);
    const theirs = python(
      `import json,numpy as np
from scipy.ndimage import map_coordinates
a=np.array(${JSON.stringify(rows(noise))},float); a=np.pad(a,3,constant_values=255)
p=np.array(${JSON.stringify(places)}).T
print(json.dumps(map_coordinates(a,[p[1]+3,p[0]+3],order=1,cval=255).tolist()))`,
    ) as number[];
    places.forEach(([x, y], i) => expect(shadeAt(noise, x, y)).toBeCloseTo(theirs[i], 9));
  });
  test('a part of it, three times as large on a border: the same shades at the places of its pixels', () => {
    const cut = cutOut(noise, { left: 2, top: 3, right: 9, bottom: 8 }, 3, 2);
    expect([cut.width, cut.height]).toEqual([25, 19]);
    for (let y = 0; y < cut.height; y++)
      for (let x = 0; x < cut.width; x++) {
        const rim = x < 2 || y < 2 || x >= 23 || y >= 17;
        const shade = Math.round(shadeAt(noise, 2 + (x - 1.5) / 3 - 0.5, 3 + (y - 1.5) / 3 - 0.5));
        expect(cut.data[y * cut.width + x]).toBe(rim ? 255 : shade);
      }
    expect(cutOut(noise, { left: 4, top: 4, right: 4, bottom: 4 }, 1, 0)).toMatchObject({ width: 1, height: 1 });
  });
  test('edges drawn harder: what is beyond the mean of the neighbourhood (uniform_filter), held within black and white', () => {
    const theirs = python(
      `import json,numpy as np
from scipy.ndimage import uniform_filter
a=np.array(${JSON.stringify(rows(noise))},float)
s=uniform_filter(a,5,mode='nearest')
print(json.dumps(np.clip(a+0.6*(a-s),0,255).astype(int).ravel().tolist()))`,
    ) as number[];
    sharpened(noise, 2.2, 0.6).data.forEach((v, i) => expect(Math.abs(v - theirs[i])).toBeLessThanOrEqual(1));
    expect(sharpened(noise, 0.4, 3)).toBe(noise);
    expect(sharpened(noise, 0.6, 3)).not.toBe(noise);
  });
  test('pieces of ink: label with corners joined', () => {
    const map = { width: 23, height: 17, ink: noise.data.map((v) => (v < 80 ? 1 : 0)) };
    const theirs = python(
      `import json,numpy as np
from scipy.ndimage import label,find_objects
a=np.array(${JSON.stringify(rows(noise))})<80
l,n=label(a,np.ones((3,3)))
print(json.dumps(sorted([[int(s[1].start),int(s[0].start),int(s[1].stop),int(s[0].stop),int((l[s]==i+1).sum())] for i,s in enumerate(find_objects(l))])))`,
    ) as number[][];
    const own = blotsOf(map).map((b) => [b.left, b.top, b.right, b.bottom, b.area]);
    const key = (list: number[][]): string[] => list.map((b) => b.join(' ')).sort();
    expect(key(own)).toEqual(key(theirs));
    expect(own.length).toBeGreaterThan(5);
  });
});

describe('shades', () => {
  test('the threshold of ink makes the variance between both parts the largest (Otsu), by plain definition', () => {
    const check = (page: GrayPicture): void => {
      const between = (t: number): number => {
        const part = (list: number[]): [number, number] => [list.length, list.reduce((a, b) => a + b, 0) / list.length];
        const [n, low] = part([...page.data].filter((v) => v <= t));
        const [m, high] = part([...page.data].filter((v) => v > t));
        return n === 0 || m === 0 ? -1 : n * m * (low - high) ** 2;
      };
      const best = Array.from({ length: 255 }, (_, t) => t).reduce((a, b) => (between(b) > between(a) + 1e-6 ? b : a));
      expect(inkThreshold(page)).toBe(best + 0.5);
    };
    check(noise);
    check(picture(40, 30, (x, y) => ((x * y) % 7 === 0 ? 30 + x : 150 + 3 * y)));
    check(picture(40, 30, (x) => (x < 3 ? 100 + x : 200 + (x % 5))));
    expect(inkThreshold(picture(4, 4, () => 90))).toBe(128.5);
  });
  test('gray is the luma on white paper', () => {
    const gray = grayOf([255, 0, 0, 255, 0, 255, 0, 255, 0, 0, 255, 255, 0, 0, 0, 0, 0, 0, 0, 128, 9, 9, 9, 255], 3, 2);
    expect([...gray.data]).toEqual([76, 150, 29, 255, 127, 9]);
    expect(() => grayOf([1, 2, 3], 1, 1)).toThrow('grayOf: 3 bytes for 1 × 1');
    expect(() => grayOf([], 0, 1)).toThrow(RangeError);
    expect(() => grayOf([], 1, 0)).toThrow(RangeError);
  });
  test('blocks are averaged over all they cover; what is small enough is left', () => {
    const wide = picture(5, 2, (x, y) => 10 * x + 100 * y);
    const small = noLargerThan(wide, 3);
    expect([small.width, small.height]).toEqual([3, 1]);
    // 5/3 pixels a block: columns 0–1, 1–3, 3–4 of both rows.
    expect([...small.data]).toEqual([55, 70, 85]);
    expect(noLargerThan(wide, 5)).toBe(wide);
    expect(
      noLargerThan(
        picture(2, 9, (_, y) => y),
        3,
      ),
    ).toMatchObject({ width: 1, height: 3 });
  });
  test('a portable graymap: its head and its pixels', () => {
    expect([...graymapFile(picture(2, 1, (x) => 7 + x))]).toEqual([
      ...new TextEncoder().encode('P5\n2 1\n255\n'),
      7,
      8,
    ]);
  });
  test('dim paper becomes white, pale ink black; light on dark is turned round', () => {
    const ink = (x: number, y: number): boolean => x % 12 < 3 && y % 14 < 8;
    for (const [paper, pen] of [
      [140, 60],
      [40, 180],
      [250, 5],
    ]) {
      const level = levelled(picture(240, 160, (x, y) => (ink(x, y) ? pen : paper)));
      for (const [x, y] of [
        [1, 1],
        [121, 71],
        [229, 147],
      ])
        expect(level.data[y * 240 + x], `${paper} ${pen}`).toBeLessThan(20);
      for (const [x, y] of [
        [7, 11],
        [127, 80],
        [235, 152],
      ])
        expect(level.data[y * 240 + x], `${paper} ${pen}`).toBeGreaterThan(240);
    }
    // Light that falls off to one side: the ink of both sides is black.
    const slope = levelled(picture(240, 160, (x, y) => (ink(x, y) ? 0.3 : 1) * (80 + 0.6 * x + 0.2 * y)));
    for (const x of [1, 61, 121, 181, 229]) {
      expect(slope.data[71 * 240 + x]).toBeLessThan(30);
      expect(slope.data[80 * 240 + Math.min(239, x + 6)]).toBeGreaterThan(235);
    }
  });
  test('ink is what is darker than the threshold, which stays between 90 and 200', () => {
    const of = (low: number, high: number, share?: number): number =>
      inkOf(
        picture(10, 10, (x) => (x < 4 ? low : high)),
        share,
      ).ink.reduce((a, b) => a + b, 0);
    expect(of(40, 220)).toBe(40);
    expect(of(205, 250)).toBe(0);
    expect(of(10, 85)).toBe(100);
    expect(of(89, 250, 0.9)).toBe(0);
    expect(of(70, 250, 0.9)).toBe(40);
  });
  test('the usual height of a figure: flat, small and hollow pieces do not count', () => {
    const blot = (w: number, h: number, area = w * h) => ({ left: 0, top: 0, right: w, bottom: h, area });
    expect(figureHeight([blot(8, 12), blot(9, 14), blot(9, 14)])).toBe(14);
    expect(figureHeight([blot(3, 5), blot(20, 12), blot(1, 9), blot(8, 20, 19)])).toBe(0);
    expect(figureHeight([blot(4, 6), blot(18, 12), blot(2, 16), blot(10, 10, 13)])).toBe(12);
    expect(figureHeight([])).toBe(0);
  });
});

describe('geometry', () => {
  test('a page of lines turned by 2° has them; turned back they are level', () => {
    const lines = picture(300, 200, (x, y) => (y % 20 < 3 && x > 30 && x < 270 ? 0 : 255));
    expect(skewDegrees(lines)).toBeCloseTo(0, 1);
    for (const degrees of [-3.1, 2]) {
      const tilted = turned(lines, degrees);
      expect(Math.abs(skewDegrees(tilted) + degrees)).toBeLessThan(0.11);
    }
    // A quarter of a turn is far beyond, but shows which way it goes: the upper right corner comes from the upper left one.
    const corner = picture(21, 21, (x, y) => (x < 5 && y < 5 ? 0 : 255));
    expect(turned(corner, 90).data[2 * 21 + 18]).toBe(255);
    expect(turned(corner, 90).data[18 * 21 + 2]).toBe(0);
    expect([...turned(corner, 0).data]).toEqual([...corner.data]);
  });
  test('the map of a square to a quadrilateral: corners, and the middle where the diagonals cross', () => {
    const corners = [
      { x: 10, y: 5 },
      { x: 110, y: 20 },
      { x: 95, y: 120 },
      { x: 2, y: 80 },
    ] as const;
    const at = onPage(corners);
    [
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ].forEach(([u, v], i) => {
      expect(at(u, v).x).toBeCloseTo(corners[i].x, 9);
      expect(at(u, v).y).toBeCloseTo(corners[i].y, 9);
    });
    // Straight lines stay straight under a projection, so the middle lies on both diagonals.
    const middle = at(0.5, 0.5);
    const cross = (p: { x: number; y: number }, q: { x: number; y: number }): number =>
      (q.x - p.x) * (middle.y - p.y) - (q.y - p.y) * (middle.x - p.x);
    expect(cross(corners[0], corners[2])).toBeCloseTo(0, 6);
    expect(cross(corners[1], corners[3])).toBeCloseTo(0, 6);
  });
  test('a page as large as its longer sides, seen from above', () => {
    const page = picture(90, 70, (x, y) => 2 * x + y);
    const seen = straightened(page, [
      { x: 10, y: 10 },
      { x: 60, y: 10 },
      { x: 60, y: 40 },
      { x: 10, y: 40 },
    ]);
    expect([seen.width, seen.height]).toEqual([50, 30]);
    for (const [x, y] of [
      [0, 0],
      [49, 0],
      [20, 29],
    ])
      expect(seen.data[y * 50 + x]).toBe(2 * (x + 10) + y + 10);
    const wider = straightened(page, [
      { x: 20, y: 10 },
      { x: 60, y: 10 },
      { x: 75, y: 50 },
      { x: 5, y: 50 },
    ]);
    expect([wider.width, wider.height]).toEqual([70, Math.round(Math.hypot(15, 40))]);
  });
});

describe('rules and cells', () => {
  /** A figure is a box of 8 × 12. */
  const figures = (list: readonly (readonly [number, number])[]) =>
    list.map(([x, y]) => [x, y, x + 8, y + 12] as const);
  test('long thin lines go, figures on them stay, thick bars stay', () => {
    const boxes = figures([
      [40, 30],
      [60, 30],
      [80, 50],
    ]);
    const page = drawn(220, 120, [...boxes, [10, 60, 210, 62], [20, 5, 22, 115], [10, 80, 210, 100]]);
    const clean = withoutRules(page, 12);
    const at = (x: number, y: number): number => clean.data[y * 220 + x];
    expect([at(150, 60), at(150, 61), at(21, 20), at(21, 70)]).toEqual([255, 255, 255, 255]);
    expect([at(44, 35), at(64, 35), at(84, 55), at(150, 90)]).toEqual([0, 0, 0, 0]);
    // A figure standing on a rule keeps its body.
    const standing = withoutRules(
      drawn(220, 120, [
        [60, 48, 68, 60],
        [10, 60, 210, 62],
      ]),
      12,
    );
    expect(standing.data[50 * 220 + 64]).toBe(0);
    expect(standing.data[60 * 220 + 150]).toBe(255);
    // One that is no longer than seven figures may be figures that touch.
    expect(withoutRules(drawn(220, 120, [[10, 60, 80, 62]]), 12).data[60 * 220 + 40]).toBe(0);
    expect(withoutRules(drawn(220, 120, [[10, 60, 110, 62]]), 12).data[60 * 220 + 40]).toBe(255);
  });
  describe('what is a rule', () => {
    /** Is the ink at this place gone? */
    const gone = (page: GrayPicture, figure: number, x: number, y: number): boolean =>
      withoutRules(page, figure).data[y * page.width + x] === 255;
    const across = (left: number, right: number, thick: number) => drawn(300, 80, [[left, 40, right, 40 + thick]]);
    test('where it is, not its mirror image; across and down', () => {
      expect(gone(across(5, 150, 2), 12, 20, 41)).toBe(true);
      expect(gone(across(150, 290, 2), 12, 160, 41)).toBe(true);
      const down = drawn(80, 300, [[30, 20, 32, 90]]);
      expect(gone(down, 12, 31, 30)).toBe(true);
      expect(gone(drawn(80, 300, [[30, 210, 32, 280]]), 12, 31, 220)).toBe(true);
      // Three figures high and no more: that may be a letter.
      expect(gone(drawn(80, 300, [[30, 20, 32, 56]]), 12, 31, 30)).toBe(false);
      // Seven figures long and no more: figures that touch.
      expect(gone(across(5, 89, 2), 12, 20, 41)).toBe(false);
      expect(gone(across(5, 91, 2), 12, 20, 41)).toBe(true);
    });
    test('so thick as three tenths of a figure, three pixels at least; what lies within two pixels of it goes too', () => {
      expect(gone(across(5, 250, 4), 12, 100, 42)).toBe(true);
      expect(gone(across(5, 250, 5), 12, 100, 42)).toBe(false);
      expect(gone(across(5, 250, 7), 24, 100, 43)).toBe(true);
      expect(gone(across(5, 250, 8), 24, 100, 43)).toBe(false);
      expect(gone(across(5, 250, 3), 6, 100, 41)).toBe(true);
      const pale = picture(300, 80, (x, y) =>
        x < 5 || x >= 250 ? 255 : y === 40 ? 0 : y === 42 || y === 43 ? 190 : 255,
      );
      const clean = withoutRules(pale, 12).data;
      expect([42, 43].map((y) => clean[y * 300 + 100])).toEqual([255, 190]);
    });
    test('a gap of one pixel is bridged, of two only where figures are large', () => {
      const gapped = (gap: number) =>
        picture(300, 80, (x, y) => (y === 40 && x > 5 && x < 290 && x % 30 >= gap ? 0 : 255));
      expect(gone(gapped(1), 12, 100, 40)).toBe(true);
      expect(gone(gapped(2), 12, 100, 40)).toBe(false);
      expect(gone(gapped(2), 20, 100, 40)).toBe(false);
      expect(gone(gapped(2), 21, 100, 40)).toBe(true);
      expect(gone(gapped(3), 21, 100, 40)).toBe(false);
    });
    test('half of it stands free, else it is what figures stand on; where a figure touches it only its own row goes', () => {
      const feet = (share: number) =>
        drawn(300, 80, [[10, 40, 210, 42], ...(share > 0 ? [[10, 20, 10 + 200 * share, 40] as const] : [])]);
      expect(gone(feet(0.4), 12, 180, 41)).toBe(true);
      expect(gone(feet(0.5), 12, 180, 41)).toBe(true);
      expect(gone(feet(0.6), 12, 180, 41)).toBe(false);
      const clean = withoutRules(feet(0.2), 12).data;
      expect([30, 41].map((y) => clean[y * 300 + 20])).toEqual([0, 255]);
    });
  });
  test('rows and columns of a table: cells by their place, an empty cell is none', () => {
    const at = [
      [20, 20],
      [30, 20],
      [100, 20],
      [110, 20],
      [20, 50],
      [100, 50],
      [180, 50],
      [20, 80],
      [30, 80],
      [180, 80],
      [180, 20],
    ] as const;
    const { rows: cells, figure } = tableCells(drawn(220, 120, figures(at)));
    expect(figure).toBe(12);
    expect(cells.map((r) => r.map((c) => (c ? [c.left, c.right] : null)))).toEqual([
      [
        [20, 38],
        [100, 118],
        [180, 188],
      ],
      [
        [20, 28],
        [100, 108],
        [180, 188],
      ],
      [[20, 38], null, [180, 188]],
    ]);
    expect(cells.map((r) => r[0]!.top)).toEqual([20, 50, 80]);
    expect(tableCells(drawn(60, 60, [])).rows).toEqual([]);
    // One column only is no table, and figures too small to read are none.
    expect(
      tableCells(
        drawn(
          60,
          120,
          figures([
            [20, 20],
            [20, 50],
            [20, 80],
          ]),
        ),
      ).rows,
    ).toEqual([]);
  });
  test('points and signs go to the row they lie in; specks to none', () => {
    const table = figures([
      [20, 20],
      [34, 20],
      [100, 20],
      [20, 50],
      [100, 50],
      [20, 80],
      [100, 80],
    ]);
    const { rows: cells } = tableCells(
      drawn(160, 120, [...table, [30, 30, 32, 32], [12, 55, 18, 57], [60, 108, 63, 111]]),
    );
    expect(cells.map((r) => r.map((c) => c && [c.left, c.right]))).toEqual([
      [
        [20, 42],
        [100, 108],
      ],
      [
        [12, 28],
        [100, 108],
      ],
      [
        [20, 28],
        [100, 108],
      ],
    ]);
  });
});

describe('looks', () => {
  const box = { left: 0, top: 0, right: 20, bottom: 28 };
  test('darkness through a grid of 10 × 14, of length 1, and the breadth beside it', () => {
    // Left half ink: 70 of 140 parts, each 1/√70.
    const look = lookOf(drawn(20, 28, [[0, 0, 10, 28]]), box);
    expect(look).toHaveLength(141);
    look.slice(0, 140).forEach((v, i) => expect(v).toBeCloseTo(i % 10 < 5 ? 1 / Math.sqrt(70) : 0, 9));
    expect(look[140]).toBeCloseTo((0.7 * 20) / 28, 9);
    // Parts that are cut by an edge count by their share: ink to 9 of 20 pixels is four and a half parts.
    const cut = lookOf(drawn(20, 28, [[0, 0, 9, 28]]), box);
    expect(cut[4] / cut[3]).toBeCloseTo(0.5, 9);
    const low = lookOf(drawn(20, 28, [[0, 0, 20, 7]]), box);
    expect(low[30] / low[20]).toBeCloseTo(0.5, 9);
    expect([...lookOf(drawn(20, 28, []), box).slice(0, 140)].every((v) => v === 0)).toBe(true);
    // A box between pixels, and one that runs off the page.
    const shifted = lookOf(drawn(30, 28, [[5, 0, 15, 28]]), { left: 4.5, top: 0, right: 24.5, bottom: 28 });
    expect(shifted[0] / shifted[1]).toBeCloseTo(0.75, 9);
    expect(shifted[5] / shifted[1]).toBeCloseTo(0.25, 9);
    const off = lookOf(drawn(20, 28, [[0, 0, 20, 28]]), { left: -10, top: 0, right: 10, bottom: 28 });
    expect([off[0], off[4], off[5] > 0]).toEqual([0, 0, true]);
    expect(apart(look, look)).toBe(0);
    expect(apart(Float64Array.of(0, 3), Float64Array.of(4, 0))).toBe(5);
  });
  /** Figures of 10 × 14 on a line, feet at y = 34; marks beside them. */
  const cell = { left: 10, top: 18, right: 110, bottom: 38 };
  const shape = (boxes: readonly (readonly [number, number, number, number])[]) =>
    shapesOf(drawn(160, 60, boxes), [cell], 14, [2])[0];
  test('figures, a point, a comma, a minus', () => {
    const two = [
      [40, 20, 50, 34],
      [60, 20, 70, 34],
    ] as const;
    expect(shape(two)).toMatchObject({ marks: [], minus: false, odd: false });
    expect(shape(two).figures.map((b) => b.left)).toEqual([40, 60]);
    expect(shape([...two, [54, 31, 57, 34]]).marks).toEqual([{ after: 1, comma: false }]);
    expect(shape([...two, [54, 31, 57, 37]]).marks).toEqual([{ after: 1, comma: true }]);
    expect(shape([...two, [26, 26, 34, 28]])).toMatchObject({ minus: true, odd: false });
    // A dash after the first figure is no minus, and a piece at half height no mark.
    expect(shape([...two, [52, 26, 58, 28]]).odd).toBe(true);
    expect(shape([...two, [54, 22, 57, 25]]).odd).toBe(true);
    // Two figures that touch are broader than high.
    expect(shape([[40, 20, 60, 34]]).odd).toBe(true);
    expect(shape([]).odd).toBe(true);
    // What lies outside the cell is none of its business.
    expect(shape([...two, [130, 20, 140, 34]]).figures).toHaveLength(2);
  });
  test('figures are read by how they look: the reader’s word stands unless another is clearly nearer', () => {
    const glyphs: Record<string, readonly (readonly [number, number, number, number])[]> = {
      '1': [[4, 0, 6, 14]],
      '7': [
        [0, 0, 10, 2],
        [8, 0, 10, 14],
      ],
      '0': [
        [0, 0, 10, 2],
        [0, 12, 10, 14],
        [0, 0, 2, 14],
        [8, 0, 10, 14],
      ],
    };
    const texts = ['170', '017', '701', '071'];
    const page = drawn(
      120,
      30 * texts.length,
      texts.flatMap((text, r) =>
        [...text].flatMap((d, c) =>
          glyphs[d].map(
            ([l, t, right, b]) => [20 + 20 * c + l, 10 + 30 * r + t, 20 + 20 * c + right, 10 + 30 * r + b] as const,
          ),
        ),
      ),
    );
    const cells = texts.map((_, r) => ({ left: 15, top: 8 + 30 * r, right: 85, bottom: 26 + 30 * r }));
    const read = (said: string[]) =>
      readFigures(
        page,
        shapesOf(
          page,
          cells,
          14,
          said.map((s) => s.length),
        ),
        said,
      );
    expect(read(texts)).toEqual(texts.map((text) => ({ text, doubtful: false })));
    // One slip of the reader: mended, and marked.
    expect(read(['170', '017', '707', '071'])[2]).toEqual({ text: '701', doubtful: true });
    // A digit dropped: the count does not fit, the ink is read by the looks of the others.
    expect(read(['170', '017', '70', '071'])[2]).toEqual({ text: '701', doubtful: true });
    // Nothing to learn from: what the reader said stands, and someone must look.
    expect(read(['', '', '', ''])).toEqual(texts.map(() => ({ text: '', doubtful: true })));
  });
});
