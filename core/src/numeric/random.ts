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
