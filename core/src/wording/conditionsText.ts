import type { Job, JobReading } from '../check/job/jobSchema.ts';
import { AS_FOUND, type Moment } from '../check/job/moments.ts';
import type { Harness } from '../circuit/harness/harnessSchema.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import type { Conditions } from '../circuit/measurements/measurement.ts';
import { formatOhm, formatTemperature, type TemperatureUnit } from '../base/units/format.ts';
import { wayText } from './placeText.ts';

/** The conditions of a test in words, empty where it has none: "with 1.00 kΩ", "water at 60 °C", "signal wire, connector 2". */
export function conditionsText(conditions: Conditions, unit: TemperatureUnit, loom?: Harness): string {
  const { substituteOhm, bathC, airC } = conditions;
  const parts: string[] = [];
  if (substituteOhm !== undefined) parts.push(`with ${formatOhm(substituteOhm)}`);
  if (airC !== undefined) parts.push(`air at ${formatTemperature(airC, unit, Number.isInteger(airC) ? 0 : 1)}`);
  if (bathC !== undefined) parts.push(`water at ${formatTemperature(bathC, unit, Number.isInteger(bathC) ? 0 : 1)}`);
  const way = wayText(conditions, loom);
  if (way !== '') parts.push(way);
  return parts.join(', ');
}

/** A reading's conditions and the state of the machine, in words. */
export function readingConditionsText(
  { conditions, state, moment }: Pick<JobReading, 'conditions' | 'state' | 'moment'>,
  unit: TemperatureUnit,
  { loom, moments = [] }: { loom?: Harness; moments?: readonly Moment[] } = {},
): string {
  const words = conditionsText(knownConditions(conditions), unit, loom);
  const machine = state === 'hot' ? 'hot or after heat' : state === 'wiggling' ? 'while wiggling' : '';
  // What holds for the whole check is not said of each reading.
  const beside = moment === AS_FOUND ? null : (moments.find((m) => m.id === moment)?.temperatureC.value ?? null);
  const at = beside === null ? '' : `at ${formatTemperature(beside, unit, Number.isInteger(beside) ? 0 : 1)}`;
  return [words, machine, at].filter((w) => w !== '').join(', ');
}

/** Conditions of which a figure is known. */
function knownConditions(told: JobReading['conditions']): Conditions {
  const known: Conditions = {};
  for (const key of ['substituteOhm', 'airC', 'bathC'] as const) {
    const value = told[key]?.value;
    if (typeof value === 'number') known[key] = value;
  }
  if (told.wire && told.position) Object.assign(known, { wire: told.wire, position: told.position, side: told.side });
  return known;
}

/** Name of a reading of a job by its id, pairs of the comparison included; empty for an id that is not there. */
export function readingNameById(job: Pick<Job, 'readings' | 'comparison'> | null, id: string): string {
  if (id.startsWith('comparison.')) {
    const pair = job?.comparison.pairs.find((p) => `comparison.${p.id}` === id);
    return `${measurementById('bench-ohms').name.toLowerCase()}${pair ? `, ${pair.temperatureC.text}` : ''}`;
  }
  const reading = job?.readings.find((r) => r.id === id);
  return reading ? measurementById(reading.measurement).name.toLowerCase() : '';
}
