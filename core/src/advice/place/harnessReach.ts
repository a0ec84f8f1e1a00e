import type { Kit } from '../../catalogue/kit/kitSchema.ts';
import { type HintId, hintFactor } from '../../circuit/harness/hints.ts';
import { type Harness, type StopKind, stopsOf } from '../../circuit/harness/harnessSchema.ts';

/** What can be seen or felt at a stop: the hint each outcome leaves, and by how much it makes the contact there likelier. */
export interface Look {
  kind: 'wiggle' | 'look';
  stop: number;
  outcomes: readonly [LookedAs, LookedAs];
}
interface LookedAs {
  hint: HintId;
  series: number;
  leak: number;
}

/** How much work the stops of a loom are: minutes to get at each, and which are laid open in one go (same number). */
export interface HarnessReach {
  minutes: readonly number[];
  opening: readonly number[];
  /** What can still be looked at or wiggled. */
  looks: readonly Look[];
}

/** Minutes to get at a stop of which nobody said how long it takes. Common practice, no source. */
const USUAL: Readonly<Record<StopKind, number>> = { module: 15, connector: 6, splice: 12, plug: 3 };
const EASE = { easy: 0.6, usual: 1, hard: 3 } as const;

/** The reach of each stop, module and sensor plug included: as told, else as usual for its kind and for this machine. */
export function reachOf(loom: Harness, kit: Kit): HarnessReach {
  const stops = stopsOf(loom);
  const groups = new Map<string, number>();
  const opening = stops.map(({ opening: word }, i) => {
    const name = word.trim().toLowerCase();
    if (name === '') return i;
    if (!groups.has(name)) groups.set(name, i);
    return groups.get(name)!;
  });
  const minutes = stops.map(({ kind, minutes: { value } }) => {
    if (value !== null && value > 0) return Math.min(value, 5000);
    const ease = kind === 'module' || kind === 'plug' ? EASE[kit.access[kind]] : 1;
    return USUAL[kind] * ease;
  });
  return { minutes, opening, looks: stops.flatMap(({ hints }, i) => looksAt(i, hints)) };
}

/** The outcomes of either look: something, or nothing. */
const OUTCOMES = { wiggle: ['wiggle-moves', 'wiggle-still'], look: ['corroded', 'looked'] } as const;

function looksAt(stop: number, hints: readonly HintId[]): Look[] {
  return (['wiggle', 'look'] as const)
    .filter((kind) => !OUTCOMES[kind].some((h) => hints.includes(h)))
    .map((kind) => {
      const as = (hint: HintId): LookedAs => {
        const ratio = (of: 'series' | 'leak'): number => hintFactor([...hints, hint], of) / hintFactor(hints, of);
        return { hint, series: ratio('series'), leak: ratio('leak') };
      };
      return { kind, stop, outcomes: [as(OUTCOMES[kind][0]), as(OUTCOMES[kind][1])] };
    });
}

/** The reach of a loom of so many connectors of which nothing was told. */
export function usualReach(connectors: number): HarnessReach {
  const count = connectors + 2;
  const kind = (i: number): StopKind => (i === 0 ? 'module' : i === count - 1 ? 'plug' : 'connector');
  return {
    minutes: Array.from({ length: count }, (_, i) => USUAL[kind(i)]),
    opening: Array.from({ length: count }, (_, i) => i),
    looks: Array.from({ length: count }, (_, i) => looksAt(i, [])).flat(),
  };
}
