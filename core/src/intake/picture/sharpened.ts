import type { GrayPicture } from './grayPicture.ts';

/**
 * The page with its edges drawn harder: what differs from the mean of its neighbours is made to differ more (unsharp masking), so that figures out
 * of focus part again.
 *
 * @param radius of the neighbourhood, px; 0 leaves the page
 * @param amount how much of the difference is added
 */
export function sharpened(page: GrayPicture, radius: number, amount: number): GrayPicture {
  const r = Math.round(radius);
  if (r < 1) return page;
  const { width, height, data } = page;
  const soft = boxMean(boxMean(Float64Array.from(data), width, height, r, true), width, height, r, false);
  const out = new Uint8Array(data.length);
  for (let i = 0; i < out.length; i++) out[i] = Math.max(0, Math.min(255, data[i] + amount * (data[i] - soft[i])));
  return { width, height, data: out };
}

/** Mean over 2r + 1 pixels along rows or columns; pixels at the rim stand for those beyond. */
function boxMean(values: Float64Array, width: number, height: number, r: number, across: boolean): Float64Array {
  const [length, lanes] = across ? [width, height] : [height, width];
  const [step, lane] = across ? [1, width] : [width, 1];
  const out = new Float64Array(values.length);
  for (let l = 0; l < lanes; l++) {
    const at = (p: number): number => values[l * lane + Math.max(0, Math.min(length - 1, p)) * step];
    let sum = 0;
    for (let p = -r; p <= r; p++) sum += at(p);
    for (let p = 0; p < length; p++) {
      out[l * lane + p * step] = sum / (2 * r + 1);
      sum += at(p + r + 1) - at(p - r);
    }
  }
  return out;
}
