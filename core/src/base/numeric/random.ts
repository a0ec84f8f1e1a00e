/** A stream of numbers in (0, 1). Core takes randomness only through this type, so that every run can be repeated. */
export type Uniform = () => number;

/**
 * Seeded uniform stream (mulberry32, T. Ettinger's public-domain generator): same seed, same numbers.
 *
 * @example seededUniform(1)() === seededUniform(1)() // true
 */
export function seededUniform(seed: number): Uniform {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return (((t ^ (t >>> 14)) >>> 0) + 0.5) / 4294967296;
  };
}

/** True with this chance, 0 … 1. */
export const happens = (chance: number, uniform: Uniform): boolean => uniform() < chance;

/** One of a list, any of them alike; the list holds one at least. */
export const pick = <T>(list: readonly T[], uniform: Uniform): T => list[Math.floor(uniform() * list.length)];

/**
 * Draws a place of a list by its weight; weights of any scale, their sum above 0.
 *
 * @example drawIndex([0, 1], () => 0.5) // 1
 */
export function drawIndex(weights: readonly number[], uniform: Uniform): number {
  let rest = uniform() * weights.reduce((a, b) => a + b, 0);
  const found = weights.findIndex((w) => (rest -= w) < 0);
  return found < 0 ? weights.length - 1 : found;
}

/**
 * One of a list, each by its weight; weights of any scale, their sum above 0.
 *
 * @example drawBy(['a', 'b'], (x) => (x === 'a' ? 0 : 1), () => 0.5) // 'b'
 */
export const drawBy = <T>(list: readonly T[], weight: (of: T) => number, uniform: Uniform): T =>
  list[drawIndex(list.map(weight), uniform)];
