import type { GrayPicture } from './grayPicture.ts';

/** Tiles across the longer side, in each of which the brightness of the paper is looked up. */
const TILES = 24;
/** This share of a tile is taken as ink at most: the paper's brightness is the quantile above. */
const PAPER_QUANTILE = 0.8;

/**
 * The page with its paper white everywhere and its ink black: shadows, dim light and dark screens are taken out. The brightness of the paper is
 * looked up tile by tile and drawn smoothly between them; light figures on a dark ground are turned to black on white.
 */
export function levelled(picture: GrayPicture): GrayPicture {
  const { width, height } = picture;
  const size = Math.max(8, Math.ceil(Math.max(width, height) / TILES));
  const [across, down] = [Math.ceil(width / size), Math.ceil(height / size)];
  const upright = isLightOnDark(picture, size) ? inverted(picture) : picture;
  const { data } = upright;
  const paper = new Float64Array(across * down);
  for (let ty = 0; ty < down; ty++)
    for (let tx = 0; tx < across; tx++)
      paper[ty * across + tx] = quantile(shadesIn(upright, tx * size, ty * size, size), PAPER_QUANTILE);
  const spread = smoothed(paper, across, down);
  const out = new Uint8Array(data.length);
  const counts = new Uint32Array(256);
  for (let y = 0; y < height; y++) {
    const fy = Math.min(down - 1, Math.max(0, (y + 0.5) / size - 0.5));
    for (let x = 0; x < width; x++) {
      const fx = Math.min(across - 1, Math.max(0, (x + 0.5) / size - 0.5));
      const v = Math.min(255, (255 * data[y * width + x]) / Math.max(1, between(spread, across, down, fx, fy)));
      out[y * width + x] = v;
      counts[out[y * width + x]]++;
    }
  }
  const ink = inkShade(counts);
  for (let i = 0; i < out.length; i++) out[i] = Math.max(0, Math.min(255, (255 * (out[i] - ink)) / (245 - ink)));
  return { width, height, data: out };
}

/**
 * The shade that parts ink from paper best: the threshold of N. Otsu (IEEE Trans. SMC 9, 1979), which makes the variance between both parts the
 * largest.
 */
export function inkThreshold(picture: GrayPicture): number {
  const counts = new Uint32Array(256);
  for (const v of picture.data) counts[v]++;
  let total = 0;
  for (let v = 0; v < 256; v++) total += v * counts[v];
  let [below, sumBelow, best, threshold] = [0, 0, -1, 128];
  for (let v = 0; v < 255; v++) {
    below += counts[v];
    sumBelow += v * counts[v];
    const above = picture.data.length - below;
    if (below === 0 || above === 0) continue;
    const apart = (below * above * (sumBelow / below - (total - sumBelow) / above) ** 2) / picture.data.length;
    if (apart > best) [best, threshold] = [apart, v];
  }
  return threshold + 0.5;
}

/** In a tile with figures the mean is pulled from the middle towards the ink: over all tiles that says whether ink is lighter than its ground. */
function isLightOnDark(picture: GrayPicture, size: number): boolean {
  const { width, height } = picture;
  let pull = 0;
  for (let top = 0; top < height; top += size)
    for (let left = 0; left < width; left += size) {
      const counts = shadesIn(picture, left, top, size);
      let [sum, number] = [0, 0];
      counts.forEach((n, v) => {
        sum += n * v;
        number += n;
      });
      pull += sum / number - quantile(counts, 0.5);
    }
  return pull > 0;
}

function quantile(counts: Uint32Array, share: number): number {
  let total = 0;
  for (const n of counts) total += n;
  let seen = 0;
  for (let v = 0; v < counts.length; v++) {
    seen += counts[v];
    if (seen > share * total) return v;
  }
  return counts.length - 1;
}

function inverted({ width, height, data }: GrayPicture): GrayPicture {
  return { width, height, data: data.map((v) => 255 - v) };
}

/** How many pixels of a tile have each shade. */
function shadesIn({ width, height, data }: GrayPicture, left: number, top: number, size: number): Uint32Array {
  const counts = new Uint32Array(256);
  for (let y = top; y < Math.min(height, top + size); y++)
    for (let x = left; x < Math.min(width, left + size); x++) counts[data[y * width + x]]++;
  return counts;
}

/** Each tile takes the brightest of its neighbours' middle: one that is all ink says nothing of the paper. */
function smoothed(paper: Float64Array, across: number, down: number): Float64Array {
  return paper.map((_, i) => {
    const [x, y] = [i % across, Math.floor(i / across)];
    const around: number[] = [];
    for (let py = Math.max(0, y - 1); py <= Math.min(down - 1, y + 1); py++)
      for (let px = Math.max(0, x - 1); px <= Math.min(across - 1, x + 1); px++) around.push(paper[py * across + px]);
    around.sort((a, b) => a - b);
    return around[Math.floor(0.6 * around.length)];
  });
}

function between(grid: Float64Array, across: number, down: number, fx: number, fy: number): number {
  const [x, y] = [Math.min(across - 1, Math.floor(fx)), Math.min(down - 1, Math.floor(fy))];
  const [right, below] = [Math.min(across - 1, x + 1), Math.min(down - 1, y + 1)];
  const [u, v] = [fx - x, fy - y];
  const upper = grid[y * across + x] * (1 - u) + grid[y * across + right] * u;
  return upper * (1 - v) + (grid[below * across + x] * (1 - u) + grid[below * across + right] * u) * v;
}

/** The shade of the ink: what the darkest two percent of the page have at most, but never so light that paper would turn black. */
function inkShade(counts: Uint32Array): number {
  return Math.min(120, quantile(counts, 0.02));
}
