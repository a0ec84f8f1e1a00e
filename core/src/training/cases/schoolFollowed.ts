import { SCHOOLS } from '../../advice/nextTest/schools.ts';
import type { Move } from './play.ts';

/** Tests of a school's beginning that are looked at, and how many of them, in its order, make a follower. */
const [LOOKED_AT, FOLLOWED] = [4, 2];

/**
 * The school whose order the first tests of a play follow, by id; 'swap-first' where the sensor was changed before two tests were taken; null
 * where the order is nobody's.
 */
export function schoolFollowed(moves: readonly Move[]): string | null {
  const tests: string[] = [];
  for (const move of moves) {
    if (move.kind === 'act') {
      if (move.group === 'sensor' && tests.length < 2) return 'swap-first';
      break;
    }
    if (move.kind === 'measure' && !tests.includes(move.measurement)) tests.push(move.measurement);
  }
  const first = tests.slice(0, LOOKED_AT - 1);
  const scored = SCHOOLS.map(({ id, first: order }) => ({
    id,
    // The first test is the school's mark; then how many follow in its order.
    inOrder: first[0] === order[0] ? inOrder(first, order.slice(0, LOOKED_AT)) : 0,
  }));
  const best = scored.reduce((a, b) => (b.inOrder > a.inOrder ? b : a));
  return best.inOrder >= FOLLOWED ? best.id : null;
}

/** Length of the longest run through `tests` that keeps the order of `order`. */
function inOrder(tests: readonly string[], order: readonly string[]): number {
  let [count, last] = [0, -1];
  for (const test of tests) {
    const at = order.indexOf(test);
    if (at > last) [count, last] = [count + 1, at];
  }
  return count;
}
