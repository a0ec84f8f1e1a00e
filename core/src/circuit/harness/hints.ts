/** What is known of a place, and by how much it makes it likelier to be the bad one. Source: common practice, no source. */
export const HINTS = [
  { id: 'wet', name: 'water gets at it', series: 4, leak: 6 },
  { id: 'corroded', name: 'corroded, seen', series: 6, leak: 4 },
  { id: 'crash', name: 'hit or squeezed', series: 5, leak: 5 },
  { id: 'moved', name: 'moved or rubbed often', series: 3, leak: 3 },
  { id: 'repaired', name: 'repaired before', series: 4, leak: 2 },
  { id: 'wiggle-moves', name: 'value moves when wiggled here', series: 12, leak: 8 },
  { id: 'wiggle-still', name: 'wiggled here, value stands', series: 0.6, leak: 0.7 },
  { id: 'looked', name: 'looked at, nothing seen', series: 0.5, leak: 0.4 },
  { id: 'likely', name: 'my guess: likely', series: 3, leak: 3 },
  { id: 'unlikely', name: 'my guess: unlikely', series: 1 / 3, leak: 1 / 3 },
] as const;

export type HintId = (typeof HINTS)[number]['id'];
export const HINT_IDS = HINTS.map((h) => h.id) as [HintId, ...HintId[]];

/** However much is known, a place is never made likelier or less likely than by this: together hints weigh like one good look. */
const MOST_TOGETHER = 30;

/** By how much what is known of a place raises it, within 1/30 … 30. */
export function hintFactor(hints: readonly HintId[], kind: 'series' | 'leak'): number {
  const product = HINTS.filter((h) => hints.includes(h.id)).reduce((all, h) => all * h[kind], 1);
  return Math.min(MOST_TOGETHER, Math.max(1 / MOST_TOGETHER, product));
}
