import type { ReadingInput } from '../../inference/model/problem.ts';

/**
 * Readings of one test under the same conditions that are weighed one by one. More of them tell the same once more: what a meter, a thermometer or a
 * contact has of its own does not shrink by repeating.
 */
export const MOST_OF_A_KIND = 8;

/**
 * Readings as they are weighed: of one kind at most `MOST_OF_A_KIND`, spread evenly over what was read, so that their middle and width stay. While
 * something is wiggled the ends are what tells, and they are kept. In the order in which they were taken.
 */
export function ofOneKind(readings: readonly ReadingInput[]): ReadingInput[] {
  const kinds = new Map<string, ReadingInput[]>();
  for (const reading of readings) {
    const { measurement, state, conditions } = reading;
    const key = JSON.stringify([measurement, state, Object.entries(conditions).sort()]);
    const kind = kinds.get(key);
    if (kind) kind.push(reading);
    else kinds.set(key, [reading]);
  }
  const left = new Set<ReadingInput>();
  for (const kind of kinds.values()) for (const reading of spread(kind)) left.add(reading);
  return readings.filter((r) => left.has(r));
}

function spread(kind: readonly ReadingInput[]): readonly ReadingInput[] {
  if (kind.length <= MOST_OF_A_KIND) return kind;
  const sorted = [...kind].sort((a, b) => (a.value === b.value ? 0 : a.value < b.value ? -1 : 1));
  const last = kind.length - 1;
  return Array.from({ length: MOST_OF_A_KIND }, (_, k) =>
    kind[0].state === 'wiggling'
      ? sorted[Math.round((k * last) / (MOST_OF_A_KIND - 1))]
      : sorted[Math.floor(((k + 0.5) * kind.length) / MOST_OF_A_KIND)],
  );
}
