import type { Entry, JobReading } from '@mellow-probe/core/job/jobSchema';
import { measurementById } from '@mellow-probe/core/measurements/list';
import { type FieldQuantity, parseReading } from '@mellow-probe/core/units/parseReading';
import { useOpenJob } from '../stores/openJob.ts';
import { usePreferences } from '../stores/preferences.ts';
import { newId, nowIso } from './newId.ts';

/** Ways to put figures into the job on the bench. The text is kept as typed; the value is what it was read as, null while it cannot be. */
export function useReadings() {
  const bench = useOpenJob();
  const preferences = usePreferences();

  function read(text: string, quantity: FieldQuantity, overload = false): number | 'OL' | null {
    const parsed = parseReading(text, quantity, { temperatureUnit: preferences.temperatureUnit, overload });
    if (!parsed.ok) return null;
    return parsed.value === Infinity ? 'OL' : parsed.value;
  }

  /** A figure from what is typed now. A bare temperature is stored with the unit it was typed in, so that a later switch cannot change it. */
  function entryOf(text: string, quantity: FieldQuantity): Entry {
    const value = read(text, quantity);
    return { text, value: value === 'OL' ? null : value };
  }

  const first = (measurement: string): JobReading | undefined => bench.job?.readings.find((r) => r.measurement === measurement);

  /** Types into the first reading of a measurement, making it when there is none and dropping it when it is emptied. */
  function typeInto(measurement: string, text: string): void {
    const reading = first(measurement);
    if (reading) return retype(reading.id, text);
    if (text.trim() !== '') add(measurement, text);
  }

  function retype(id: string, text: string): void {
    const job = bench.job!;
    const reading = job.readings.find((r) => r.id === id);
    if (!reading) return;
    const { quantity, needs } = measurementById(reading.measurement);
    const alone = job.readings.filter((r) => r.measurement === reading.measurement).length === 1;
    if (text.trim() === '' && alone && needs.length === 0) job.readings = job.readings.filter((r) => r.id !== id);
    else Object.assign(reading, { text, value: read(text, quantity, true), takenAt: nowIso() });
  }

  function add(measurement: string, text = '', conditions: JobReading['conditions'] = {}): string {
    const { quantity, needs } = measurementById(measurement);
    const id = newId();
    if (needs.includes('wire')) conditions = { wire: 'signal', position: 1, ...conditions };
    bench.job!.readings.push({
      id,
      measurement,
      text,
      value: read(text, quantity, true),
      conditions,
      state: 'steady',
      note: '',
      takenAt: nowIso(),
    });
    return id;
  }

  function remove(id: string): void {
    bench.job!.readings = bench.job!.readings.filter((r) => r.id !== id);
  }

  return { entryOf, first, typeInto, retype, add, remove };
}
