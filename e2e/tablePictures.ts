// Pictures of tables, made by the tests: a browser sets the table, prints, bends and photographs it.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { curveModel, type Curve } from '../core/src/circuit/curves/curve.ts';
import { seededUniform } from '../core/src/base/numeric/random.ts';

/** A picture of a table, with what stands in it. */
export interface TablePicture {
  png: Buffer;
  /** The figures as printed, a row each: temperature, then the columns of resistance. */
  rows: string[][];
  heads: string[];
  /** The corners of the paper in the picture, px, from the upper left on. */
  corners: [x: number, y: number][];
  /** What was done to it, in words. */
  done: string;
  unit: 'C' | 'F';
  kiloohms: boolean;
  comma: boolean;
}

const resolve = createRequire(import.meta.url).resolve;
const fontFile = (file: string): string => readFileSync(resolve(file)).toString('base64');
const FONTS: Record<string, string> = {
  Arimo: '@fontsource/arimo/files/arimo-latin-400-normal.woff2',
  Tinos: '@fontsource/tinos/files/tinos-latin-400-normal.woff2',
  Cousine: '@fontsource/cousine/files/cousine-latin-400-normal.woff2',
  Plex: '@fontsource-variable/ibm-plex-sans/files/ibm-plex-sans-latin-wght-normal.woff2',
};
const faces = Object.entries(FONTS)
  .map(([name, file]) => `@font-face{font-family:${name};src:url(data:font/woff2;base64,${fontFile(file)})}`)
  .join('');

const CURVES: readonly Curve[] = [
  { kind: 'beta', r25Ohm: 2252, betaK: 3930 },
  { kind: 'beta', r25Ohm: 2795, betaK: 3480 },
  { kind: 'beta', r25Ohm: 10_000, betaK: 3977 },
  { kind: 'beta', r25Ohm: 49_000, betaK: 4090 },
  { kind: 'beta', r25Ohm: 5000, betaK: 3470 },
];

/** The window in which pictures are taken. */
const PAPER = { width: 1400, height: 1500 };

/** Picture number `seed`: the same number, the same picture (on one version of the browser). */
export async function tablePicture(page: Page, seed: number): Promise<TablePicture> {
  const uniform = seededUniform(7000 + seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)];
  const between = (low: number, high: number): number => low + (high - low) * uniform();
  const model = curveModel(pick(CURVES));
  const unit = pick(['C', 'C', 'C', 'F'] as const);
  const comma = uniform() < 0.3;
  const kiloohms = uniform() < 0.5;
  const limits = uniform() < 0.3;
  const step = pick(unit === 'F' ? [10, 20] : [5, 10]);
  const count = pick([10, 14, 18, 22]);
  const first = pick(unit === 'F' ? [-40, 0, 32] : [-40, -30, -20, 0]);
  const mark = (text: string): string => (comma ? text.replace('.', ',') : text);
  const minus = pick(['-', '−']);
  const ohms = (r: number): string =>
    mark(
      kiloohms
        ? (r / 1000).toFixed(r < 1000 ? 4 : r < 100_000 ? 3 : 2)
        : r < 100
          ? r.toFixed(2)
          : r < 1000
            ? r.toFixed(1)
            : r.toFixed(0),
    );
  const rows = Array.from({ length: count }, (_, i) => {
    const t = first + i * step;
    const r = model.resistanceOhm(unit === 'F' ? (t - 32) / 1.8 : t);
    const shown = limits ? [r * 0.95, r, r * 1.05] : [r];
    return [String(t).replace('-', minus), ...shown.map(ohms)];
  });
  const ohm = kiloohms ? 'kΩ' : 'Ω';
  const heads = [`°${unit}`, ...(limits ? [`min ${ohm}`, `nom ${ohm}`, `max ${ohm}`] : [ohm])];

  const font = pick(Object.keys(FONTS));
  const size = pick([13, 16, 19, 23]);
  const rules = pick(['none', 'rows', 'grid', 'frame'] as const);
  const askew = between(-3, 3);
  const tilt = uniform() < 0.4 ? [between(-14, 14), between(-14, 14)] : [0, 0];
  const blur = pick([0, 0, 0.5, 0.8]);
  const shadow = uniform() < 0.4 ? between(0.25, 0.55) : 0;
  const noise = pick([0, 3, 6]);
  const align = pick(['right', 'center', 'left'] as const);
  const line = rules === 'none' ? '0' : '1.5px solid #333';
  const border =
    rules === 'grid'
      ? `td,th{border:${line}}`
      : rules === 'rows'
        ? `tr{border-bottom:${line}}`
        : rules === 'frame'
          ? `table{border:${line}} th{border-bottom:${line}}`
          : '';
  await page.setViewportSize(PAPER);
  await page.setContent(`<style>${faces}
    body{margin:0;background:#777;width:1400px;height:1500px;overflow:hidden;position:relative}
    #paper{position:absolute;left:160px;top:70px;background:#f4f1ea;padding:40px 50px;font:${size}px ${font};color:#1c1c1c;
      transform:perspective(1600px) rotateX(${tilt[0]}deg) rotateY(${tilt[1]}deg) rotate(${askew}deg);filter:blur(${blur}px)}
    table{border-collapse:collapse;text-align:${align}} td,th{padding:${Math.round(size * 0.22)}px ${Math.round(size * 0.9)}px;font-weight:400} ${border}
    .c{position:absolute;width:0;height:0}
    #dark{position:absolute;inset:0;background:linear-gradient(${Math.round(between(0, 360))}deg,rgba(0,0,0,${shadow}),rgba(0,0,0,0))}
  </style><div id="paper"><i class="c" style="left:0;top:0"></i><i class="c" style="right:0;top:0"></i><i class="c" style="right:0;bottom:0"></i><i class="c" style="left:0;bottom:0"></i>
  <table><tr>${heads.map((h) => `<th>${h}</th>`).join('')}</tr>${rows.map((r) => `<tr>${r.map((c) => `<td>${c}</td>`).join('')}</tr>`).join('')}</table></div><div id="dark"></div>`);
  await page.evaluate(() => document.fonts.ready);
  const corners = await page.$$eval('.c', (list) =>
    list.map((e) => [e.getBoundingClientRect().x, e.getBoundingClientRect().y] as [number, number]),
  );
  const shot = PNG.sync.read(await photo(page));
  for (let i = 0; i < shot.data.length; i += 4) {
    const by = noise * (uniform() + uniform() - 1) * 1.5;
    for (let c = 0; c < 3; c++) shot.data[i + c] = Math.max(0, Math.min(255, shot.data[i + c] + by));
  }
  const done = `${font} ${size} px, rules ${rules}, ${align}, ${askew.toFixed(1)}° askew, tilt ${tilt.map((t) => t.toFixed(0)).join('/')}°, blur ${blur}, shadow ${shadow.toFixed(2)}, noise ${noise}`;
  return { png: PNG.sync.write(shot), rows, heads, corners, done, unit, kiloohms, comma };
}

/** A busy machine's browser now and then answers “Unable to capture screenshot”. The picture is only the material of a test, so it is taken again. */
async function photo(page: Page): Promise<Buffer> {
  for (let left = 3; ; left--)
    try {
      return await page.screenshot();
    } catch (error) {
      if (left === 0) throw error;
    }
}

/** Drags the four corners on the shelf to those of the paper, as a hand does. */
export async function dragCorners(page: Page, { corners }: TablePicture): Promise<void> {
  const stage = page.locator('.layer svg');
  for (const [i, [x, y]] of corners.entries()) {
    const ring = (await page.locator('.handle.corner .ring').nth(i).boundingBox())!;
    const box = (await stage.boundingBox())!;
    await page.mouse.move(ring.x + ring.width / 2, ring.y + ring.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + (x / PAPER.width) * box.width, box.y + (y / PAPER.height) * box.height, { steps: 3 });
    await page.mouse.up();
  }
}
