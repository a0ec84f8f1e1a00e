import type { JobLine } from '../../check/job/jobList.ts';
import type { FaultGroup } from '../../base/units/vocabulary.ts';
import { placeKey, plainName } from './placeKey.ts';
import { placesOfLines } from './register.ts';

/** The same fault found in the same kind of circuit on several machines. */
export interface SharedFault {
  group: FaultGroup;
  circuit: string;
  /** Names of the machines, each once. */
  machines: string[];
  lines: JobLine[];
}

/** Fewest machines that make it more than chance worth a look. Common practice, no source: two is a coincidence, three a batch. */
const FEWEST = 3;

/** Faults that were decided on three machines or more in circuits of one name; where nothing was wrong there is no fault. Most machines first. */
export function sharedFaults(lines: readonly JobLine[]): SharedFault[] {
  const found = new Map<string, SharedFault>();
  for (const line of lines) {
    if (!line.group || line.group === 'healthy' || plainName(line.machine) === '') continue;
    const key = `${line.group} ${plainName(line.circuit)}`;
    const fault = found.get(key) ?? { group: line.group, circuit: line.circuit, machines: [], lines: [] };
    fault.lines.push(line);
    if (!fault.machines.some((m) => plainName(m) === plainName(line.machine))) fault.machines.push(line.machine.trim());
    found.set(key, fault);
  }
  return [...found.values()]
    .filter((f) => f.machines.length >= FEWEST)
    .sort((a, b) => b.machines.length - a.machines.length);
}

/** A part by its number: how often it was fitted, and how often the sensor was at fault again at the same place afterwards. */
export interface FittedPart {
  partNumber: string;
  fitted: number;
  failedAgain: number;
}

/** Parts that failed again where they had been fitted, the most often first. */
export function failingParts(lines: readonly JobLine[]): FittedPart[] {
  const found = new Map<string, FittedPart>();
  const places = new Map(placesOfLines(lines).map((place) => [place.key, place]));
  for (const { id, machine, circuit, partNumber, repairedAt, group } of lines) {
    const number = plainName(partNumber);
    if (number === '' || !repairedAt || group !== 'sensor') continue;
    const part = found.get(number) ?? { partNumber: partNumber.trim(), fitted: 0, failedAgain: 0 };
    part.fitted++;
    // The next check there tells: what comes after its repair is another part's. A place has its checks newest first.
    const here = places.get(placeKey(machine, circuit))?.lines ?? [];
    const next = here.filter((l) => l.createdAt > repairedAt && l.id !== id).at(-1);
    if (next?.group === 'sensor') part.failedAgain++;
    found.set(number, part);
  }
  return [...found.values()].filter((p) => p.failedAgain > 0).sort((a, b) => b.failedAgain - a.failedAgain);
}
