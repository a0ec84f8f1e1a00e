import type { JobLine } from '../../check/job/jobList.ts';
import type { MachineField } from '../../base/units/vocabulary.ts';
import { placeCode, placeKey, plainName } from './placeKey.ts';

/** A circuit of a machine, as its checks tell of it. */
export interface PlaceEntry {
  code: string;
  key: string;
  machine: string;
  circuit: string;
  field: MachineField;
  /** Its checks, newest first. */
  lines: JobLine[];
}

/** A machine with its places, each by name. */
export interface MachineEntry {
  name: string;
  places: PlaceEntry[];
  /** When one of its checks was last changed, ISO 8601. */
  updatedAt: string;
}

/** The places that a ledger tells of; a check without a machine's name is of none. Named as in the newest check. */
export function placesOfLines(lines: readonly JobLine[]): PlaceEntry[] {
  const found = new Map<string, PlaceEntry>();
  for (const line of [...lines].sort((a, b) => b.createdAt.localeCompare(a.createdAt))) {
    const key = placeKey(line.machine, line.circuit);
    if (key === '') continue;
    const place = found.get(key);
    if (place) place.lines.push(line);
    else
      found.set(key, {
        ...{ key, code: placeCode(key), machine: line.machine.trim(), circuit: line.circuit.trim() },
        ...{ field: line.field, lines: [line] },
      });
  }
  return [...found.values()];
}

/** The place with a code; null where there is none. */
export const placeByCode = (places: readonly PlaceEntry[], code: string | null): PlaceEntry | null =>
  places.find((p) => p.code === code) ?? null;

/** The register: machines with their places, the one worked on last first. */
export function machinesOf(places: readonly PlaceEntry[]): MachineEntry[] {
  const found = new Map<string, MachineEntry>();
  for (const place of places) {
    const key = plainName(place.machine);
    const machine = found.get(key) ?? { name: place.machine, places: [], updatedAt: '' };
    machine.places.push(place);
    for (const { updatedAt } of place.lines) if (updatedAt > machine.updatedAt) machine.updatedAt = updatedAt;
    found.set(key, machine);
  }
  const byName = (a: PlaceEntry, b: PlaceEntry): number => a.circuit.localeCompare(b.circuit);
  for (const machine of found.values()) machine.places.sort(byName);
  return [...found.values()].sort((a, b) => b.updatedAt.localeCompare(a.updatedAt));
}

/** Earlier checks at the place of one, newest first: itself, and those begun after it, left out. */
export function earlierAt(
  lines: readonly JobLine[],
  job: Pick<JobLine, 'id' | 'machine' | 'circuit' | 'createdAt'>,
): JobLine[] {
  const key = placeKey(job.machine, job.circuit);
  if (key === '') return [];
  return lines
    .filter((l) => l.id !== job.id && l.createdAt <= job.createdAt && placeKey(l.machine, l.circuit) === key)
    .sort((a, b) => b.createdAt.localeCompare(a.createdAt));
}
