import { middleOf } from '../../base/numeric/middleOf.ts';
import type { Box, GrayPicture } from './grayPicture.ts';
import { inkThreshold } from './levelled.ts';

/** Which pixels are ink: 1 ink, 0 paper. */
export interface InkMap {
  width: number;
  height: number;
  ink: Uint8Array;
}

/** The ink of a levelled page; `share` of the usual threshold takes only what is darker, which parts figures that touch. */
export function inkOf(picture: GrayPicture, share = 1): InkMap {
  const threshold = share * Math.min(200, Math.max(90, inkThreshold(picture)));
  return { width: picture.width, height: picture.height, ink: picture.data.map((v) => (v < threshold ? 1 : 0)) };
}

/** A connected piece of ink: a figure, a point, a rule. */
export interface Blot extends Box {
  /** Pixels of ink. */
  area: number;
}

/** All connected pieces of ink (also corner to corner), in no order. Time and memory linear in the pixels. */
export function blotsOf({ width, height, ink }: InkMap): Blot[] {
  const seen = new Uint8Array(ink.length);
  const queue = new Int32Array(ink.length);
  const blots: Blot[] = [];
  for (let start = 0; start < ink.length; start++) {
    if (ink[start] === 0 || seen[start] === 1) continue;
    let [head, tail] = [0, 0];
    queue[tail++] = start;
    seen[start] = 1;
    const blot: Blot = { left: width, top: height, right: 0, bottom: 0, area: 0 };
    while (head < tail) {
      const at = queue[head++];
      const [x, y] = [at % width, Math.floor(at / width)];
      blot.area++;
      blot.left = Math.min(blot.left, x);
      blot.right = Math.max(blot.right, x + 1);
      blot.top = Math.min(blot.top, y);
      blot.bottom = Math.max(blot.bottom, y + 1);
      for (let py = Math.max(0, y - 1); py <= Math.min(height - 1, y + 1); py++)
        for (let px = Math.max(0, x - 1); px <= Math.min(width - 1, x + 1); px++) {
          const next = py * width + px;
          if (ink[next] === 1 && seen[next] === 0) {
            seen[next] = 1;
            queue[tail++] = next;
          }
        }
    }
    blots.push(blot);
  }
  return blots;
}

/**
 * The usual height of a figure on the page, px: the middle of all pieces of ink that have the shape of one. 0 where there are none.
 */
export function figureHeight(blots: readonly Blot[]): number {
  const heights = blots
    .filter((b) => {
      const [w, h] = [b.right - b.left, b.bottom - b.top];
      return h >= 6 && w <= 1.5 * h && h <= 8 * w && b.area > 0.12 * w * h;
    })
    .map((b) => b.bottom - b.top);
  return heights.length === 0 ? 0 : middleOf(heights);
}
