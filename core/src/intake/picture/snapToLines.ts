import { linearFit } from '../../base/numeric/linearFit.ts';
import { type GrayPicture, shadeAt } from './grayPicture.ts';
import type { Spot } from './straighten.ts';

/** What is looked at on either side along a printed line, px: enough to be no letter, few enough that a photo turned by 3° stays on it. */
const ALONG = 30;
/** A printed line is darker than the paper beside it by so much of its shade, over so much of what is looked at: in a corner the
 * line is there on one side only. */
const [DARKER, SHARE] = [0.12, 0.4];
/** About so far along the way another line may cross it, px. */
const CROSSING = 4;
/** What counts as beside it, px, and the least ink of a line there, shares of the paper. */
const [BESIDE, LEAST_INK] = [4, 0.2];

/**
 * The place of a cross on the axes or grid lines that are printed within `reach` px of it, as exact as a part of a pixel. Where there is no line across
 * or none upright, that coordinate stays as it is.
 */
export function snapToLines(picture: GrayPicture, { x, y }: Spot, reach: number): Spot {
  return {
    x: lineNear((offset, along) => shadeAt(picture, x + offset - 0.5, y + along - 0.5), x, reach),
    y: lineNear((offset, along) => shadeAt(picture, x + along - 0.5, y + offset - 0.5), y, reach),
  };
}

/** The middle of the line nearest to `at`; `shade` is that of a place beside it and along the line. */
function lineNear(shade: (offset: number, along: number) => number, at: number, reach: number): number {
  const strengths = Array.from({ length: 2 * reach + 1 }, (_, i) => strengthAt(shade, i - reach));
  let nearest: number | null = null;
  for (let i = 0; i < strengths.length; i++) {
    const isPeak = strengths[i] >= (strengths[i - 1] ?? 0) && strengths[i] >= (strengths[i + 1] ?? 0);
    if (strengths[i] < SHARE || !isPeak) continue;
    // Once more about its own middle, so that as much is looked at on either side.
    const offset = centreOf(shade, centreOf(shade, i - reach));
    if (nearest === null || Math.abs(offset) < Math.abs(nearest)) nearest = offset;
  }
  return nearest === null ? at : at + nearest;
}

/** Over what share of its length an offset is darker than both of its sides; a line that is a little turned counts where it is one pixel off. */
function strengthAt(shade: (offset: number, along: number) => number, offset: number): number {
  let [dark, all] = [0, 0];
  for (let along = -ALONG; along <= ALONG; along++) {
    if (Math.abs(along) < CROSSING) continue;
    all++;
    const middle = Math.min(shade(offset - 1, along), shade(offset, along), shade(offset + 1, along));
    const beside = Math.min(shade(offset - BESIDE, along), shade(offset + BESIDE, along));
    if (middle < (1 - DARKER) * beside) dark++;
  }
  return dark / all;
}

/** Where the middle of the line crosses the cross, by the straight line through the middle of its ink along the way: it may be a little turned. */
function centreOf(shade: (offset: number, along: number) => number, offset: number): number {
  const [ways, middles]: [number[], number[]] = [[], []];
  for (let along = -ALONG; along <= ALONG; along++) {
    // Where the cross stands another line may cross this one, on one side of it alone.
    if (Math.abs(along) < CROSSING) continue;
    const paper = Math.max(shade(offset - BESIDE, along), shade(offset + BESIDE, along));
    let [ink, moment] = [0, 0];
    for (let o = offset - BESIDE + 1; o <= offset + BESIDE - 1; o += 0.5) {
      const dark = Math.max(0, (1 - DARKER / 2) * paper - shade(o, along));
      ink += dark;
      moment += dark * o;
    }
    if (ink < LEAST_INK * paper) continue;
    ways.push(along);
    middles.push(moment / ink);
  }
  if (ways.length < 3) return offset;
  return linearFit([ways.map(() => 1), ways], middles).coefficients[0];
}
