import type { GrayPicture } from './grayPicture.ts';
import { type InkMap, inkOf } from './inkMap.ts';

/** A run of ink at least this many figures long may be a rule: figures that run into each other are shorter, and a 1 is one figure high. */
const LONG_ACROSS = 7;
const LONG_DOWN = 3;
/** This share of a rule stands free: figures that run into each other along their feet do not. */
const FREE_SHARE = 0.5;

/**
 * The page without its rules: long thin runs of ink, across and down, are painted white with the gray at their edge; where a figure touches a
 * rule, the figure stays.
 *
 * @param figure usual height of a figure, px
 */
export function withoutRules(page: GrayPicture, figure: number): GrayPicture {
  const map = inkOf(page);
  const data = page.data.slice();
  for (const across of [true, false]) paintOut(map, data, figure, across);
  return { width: page.width, height: page.height, data };
}

/** Lanes run along the rules: rows for those across, columns for those down. */
function paintOut({ width, height, ink }: InkMap, data: Uint8Array, figure: number, across: boolean): void {
  const [length, lanes] = across ? [width, height] : [height, width];
  const at = across ? (lane: number, p: number) => lane * width + p : (lane: number, p: number) => p * width + lane;
  const long = (across ? LONG_ACROSS : LONG_DOWN) * figure;
  const thick = Math.max(3, Math.round(0.3 * figure));
  const bridged = figure > 20 ? 2 : 1;
  /** From where to where the ink goes across the rule there. */
  const depth = (lane: number, p: number): [number, number] => {
    let [from, to] = [lane, lane];
    while (from > 0 && to - from <= thick && ink[at(from - 1, p)] === 1) from--;
    while (to < lanes - 1 && to - from <= thick && ink[at(to + 1, p)] === 1) to++;
    return [from, to];
  };
  const wipe = (lane: number, start: number, end: number): void => {
    const depths = Array.from({ length: end - start }, (_, i) => depth(lane, start + i));
    const free = depths.filter(([from, to]) => to - from + 1 <= thick);
    if (free.length < FREE_SHARE * depths.length) return;
    depths.forEach(([from, to], i) => {
      const thin = to - from + 1 <= thick;
      const [first, last] = thin ? [Math.max(0, from - 2), Math.min(lanes - 1, to + 2)] : [lane, lane];
      for (let l = first; l <= last; l++) data[at(l, start + i)] = 255;
    });
  };
  for (let lane = 0; lane < lanes; lane++) {
    let [start, last] = [-1, -1];
    for (let p = 0; p <= length; p++) {
      if (p < length && ink[at(lane, p)] === 1) {
        if (start < 0) start = p;
        last = p;
      } else if (start >= 0 && (p === length || p - last > bridged)) {
        if (last - start >= long) wipe(lane, start, last + 1);
        start = -1;
      }
    }
  }
}
