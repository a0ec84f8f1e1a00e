/**
 * How well the figures told of a circuit are known: 1σ of the core of each. `tail` gives all of them heavier tails than the normal (0: none),
 * see `heavy`.
 */
export interface Spread {
  tail: number;
  /** Of the reference, relative, with tails of its own downwards and upwards. The module knows its own reference. */
  reference: number;
  referenceTails: readonly [down: number, up: number];
  /** Of the pull-up as given, relative: where it is wrong, the real one and what the module takes it for are wrong together. */
  pullUpGiven: number;
  /** Of the part itself against what the module takes it for, relative. Not heavy-tailed: parts are sorted. */
  pullUp: number;
  /** Bounds of what the module's own input loads its pin with, Ω; log-uniform between them. */
  inputMinOhm: number;
  inputMaxOhm: number;
  /** Of the ends of the display scale as told, K. */
  lowEndK: number;
  highEndK: number;
  /** Of the supply, V, and of the module's ground against the battery's, V. */
  supplyV: number;
  groundV: number;
}

/** Where the figure of a pull-up comes from: the maker's data, read off the board, or what is usual for such a circuit. */
export const PULL_UP_SOURCES = ['usual', 'typed', 'board'] as const;
export type PullUpSource = (typeof PULL_UP_SOURCES)[number];

/** 1σ of a pull-up as given, by where its figure comes from, relative. Common practice, no source. */
export const PULL_UP_SPREAD: Readonly<Record<PullUpSource, number>> = { usual: 0.025, typed: 0.01, board: 0.01 };

/**
 * What is told of circuits in the yard. A reference of 4.8 … 5.3 V at the plug is sound in common practice: core of 1 %, one in forty
 * above 5.3 V, and one in forty below 4.8 V. A module's input loads its pin with some 0.3 MΩ or hardly at all. Ends of a scale are known to a few kelvin at best.
 * Source: fault model §6, common practice.
 */
export const YARD_SPREAD: Spread = {
  tail: 1.3,
  reference: 0.01,
  referenceTails: [2, 3],
  pullUpGiven: PULL_UP_SPREAD.usual,
  // A part of 1 % (limit, 2 σ).
  pullUp: 0.005,
  inputMinOhm: 3e5,
  inputMaxOhm: 3e8,
  lowEndK: 2.5,
  highEndK: 4,
  supplyV: 0.3,
  groundV: 0.01,
};

/** Where `heavy` turns from its core to its tail, in units of u². */
const TURN = 2.5;

/**
 * A standard normal u stretched to heavier tails: u near the middle, (1 + tail)·u far out; odd, rising and smooth. With a tail of 1.3: 1.4 at
 * 1σ, 3.6 at 2σ, 6.0 at 3σ, about as three parts of a normal of width 1 and one part of width 3.
 *
 * @example heavy(3, 1.3) // 6.052173913
 */
export function heavy(u: number, tail: number): number {
  const square = u * u;
  return u * (1 + (tail * square) / (square + TURN));
}
