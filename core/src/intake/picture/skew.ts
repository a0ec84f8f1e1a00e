import { type GrayPicture, noLargerThan, shadeAt } from './grayPicture.ts';
import { inkOf } from './inkMap.ts';

/** Pages are looked at up to this angle, degrees; a phone is held straighter than that. */
const MOST_DEGREES = 6;

/**
 * By how much the lines of text run downhill, degrees: the angle at which the rows of ink stand apart most clearly (the sum of squared
 * differences between neighbouring rows of the projection is the largest).
 */
export function skewDegrees(page: GrayPicture): number {
  const { width, height, ink } = inkOf(noLargerThan(page, 900));
  const spots: number[] = [];
  for (let i = 0; i < ink.length; i++) if (ink[i] === 1) spots.push(i);
  const bins = new Float64Array(height + 2 * width);
  const clearness = (degrees: number): number => {
    bins.fill(0);
    const slope = Math.tan((degrees * Math.PI) / 180);
    for (const i of spots) {
      // Between two bins, so that a small angle counts also where it moves nothing by a whole pixel.
      const y = Math.floor(i / width) - slope * (i % width) + width;
      const low = Math.floor(y);
      bins[low] += 1 - (y - low);
      bins[low + 1] += y - low;
    }
    let sum = 0;
    for (let b = 1; b < bins.length; b++) sum += (bins[b] - bins[b - 1]) ** 2;
    return sum;
  };
  const best = (from: number, to: number, step: number): number => {
    let [angle, most] = [0, -1];
    for (let d = from; d <= to + 1e-9; d += step) {
      const c = clearness(d);
      if (c > most) [angle, most] = [d, c];
    }
    return angle;
  };
  const coarse = best(-MOST_DEGREES, MOST_DEGREES, 0.25);
  return best(coarse - 0.25, coarse + 0.25, 0.05);
}

/** The page turned so that lines that run downhill by `degrees` lie level; what comes in from outside is white. */
export function turned(page: GrayPicture, degrees: number): GrayPicture {
  const { width, height } = page;
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [dx, dy] = [x - width / 2, y - height / 2];
      data[y * width + x] = Math.round(
        shadeAt(page, width / 2 + cos * dx - sin * dy, height / 2 + sin * dx + cos * dy),
      );
    }
  return { width, height, data };
}
