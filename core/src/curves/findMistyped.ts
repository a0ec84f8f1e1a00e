import { KELVIN } from './curveModel.ts';
import type { TablePoint } from './table.ts';

/** A row that sticks out of its neighbours: by how much, K, and what it was probably meant to be, Ω. */
export interface Mistyped {
  row: number;
  errorK: number;
  meantOhm: number;
}

const MOST = 3;
/** Less than this a table's own rounding can do, K. */
const FLOOR_K = 0.4;
/** The rest must fit this much better than the row that is blamed. */
const CALMER = 0.25;
/** Rows whose neighbourhood a removal changes, on either side. */
const REACH = 4;
const MOST_CANDIDATES = 60;

interface Spot {
  row: number;
  /** 1/K, ln Ω. */
  x: number;
  l: number;
}

/**
 * Rows that were probably mistyped. Each row is compared with the smooth curve through its neighbours (ln R against 1/T, up to four of
 * them); the row is named whose removal leaves the others smooth, so that neither its neighbours nor a bend of the curve itself is blamed.
 * At least four rows; at most three are named.
 */
export function findMistyped(points: readonly TablePoint[]): Mistyped[] {
  let kept: Spot[] = points.map((p, row) => ({ row, x: 1 / (p.temperatureC + KELVIN), l: Math.log(p.resistanceOhm) }));
  const found: Mistyped[] = [];
  while (found.length < MOST && kept.length >= 4) {
    const misses = kept.map((_, i) => Math.abs(miss(kept, i)));
    const [before, after] = [runningMax(misses), runningMax([...misses].reverse()).reverse()];
    let best = { i: -1, rest: Infinity };
    for (const i of candidates(misses)) {
      const without = kept.filter((_, k) => k !== i);
      let rest = Math.max(
        i > REACH ? before[i - REACH - 1] : 0,
        i + REACH + 1 < kept.length ? after[i + REACH + 1] : 0,
      );
      for (let k = Math.max(0, i - REACH); k < Math.min(without.length, i + REACH); k++)
        rest = Math.max(rest, Math.abs(miss(without, k)));
      if (rest < best.rest) best = { i, rest };
    }
    if (best.i < 0) break;
    const own = miss(kept, best.i);
    const errorK = own / slopePerK(kept, best.i);
    if (!(Math.abs(errorK) > FLOOR_K) || !(best.rest < CALMER * Math.abs(own))) break;
    found.push({ row: kept[best.i].row, errorK, meantOhm: Math.exp(kept[best.i].l - own) });
    kept = kept.filter((_, k) => k !== best.i);
  }
  return found.sort((a, b) => a.row - b.row);
}

function runningMax(values: readonly number[]): number[] {
  let most = 0;
  return values.map((v) => (most = Math.max(most, v)));
}

/** All rows of a short table; of a long one the rows that miss most, with their neighbours. */
function candidates(misses: readonly number[]): number[] {
  if (misses.length <= 2 * MOST_CANDIDATES) return misses.map((_, i) => i);
  const worst = misses
    .map((m, i) => ({ m, i }))
    .sort((a, b) => b.m - a.m)
    .slice(0, MOST_CANDIDATES / 5);
  return [...new Set(worst.flatMap(({ i }) => [i - 2, i - 1, i, i + 1, i + 2]))].filter(
    (i) => i >= 0 && i < misses.length,
  );
}

/** ln R at spot i minus the polynomial through its nearest neighbours there: two on each side where there are that many. */
function miss(list: readonly Spot[], i: number): number {
  const from = Math.max(0, Math.min(i - 2, list.length - 5));
  const to = Math.min(list.length, from + 5);
  let smooth = 0;
  for (let a = from; a < to; a++) {
    if (a === i) continue;
    let weight = 1;
    for (let b = from; b < to; b++) if (b !== a && b !== i) weight *= (list[i].x - list[b].x) / (list[a].x - list[b].x);
    smooth += weight * list[a].l;
  }
  return list[i].l - smooth;
}

/** d ln R / dT beside spot i, 1/K, from its neighbours. */
function slopePerK(list: readonly Spot[], i: number): number {
  const [a, b] = i === 0 ? [1, 2] : i === list.length - 1 ? [i - 2, i - 1] : [i - 1, i + 1];
  return (list[b].l - list[a].l) / (1 / list[b].x - 1 / list[a].x);
}
