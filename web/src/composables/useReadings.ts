import type { Entry } from '@mellow-probe/core/units/entry';
import type { JobConditions, JobReading } from '@mellow-probe/core/job/jobSchema';
import { measurementById } from '@mellow-probe/core/measurements/list';
import { type FieldQuantity } from '@mellow-probe/core/units/quantity';
import { parseReading } from '@mellow-probe/core/units/parseReading';
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

  const find = (id: string): JobReading | undefined => bench.job?.readings.find((r) => r.id === id);
  const first = (measurement: string): JobReading | undefined =>
    bench.job?.readings.find((r) => r.measurement === measurement && !r.voided);

  /** Types into the first reading of a measurement, making it when there is none and dropping it when it is emptied. */
  function typeInto(measurement: string, text: string): void {
    const reading = first(measurement);
    if (reading) return retype(reading.id, text);
    if (text.trim() !== '') add(measurement, text);
  }

  function retype(id: string, text: string): void {
    const job = bench.job!;
    const reading = find(id);
    if (!reading) return;
    const { quantity } = measurementById(reading.measurement);
    const plain = Object.keys(reading.conditions).length === 0 && reading.history.length === 0 && reading.note === '';
    if (text.trim() === '' && plain) job.readings = job.readings.filter((r) => r.id !== id);
    else Object.assign(reading, { text, value: read(text, quantity, true), takenAt: nowIso() });
  }

  function add(measurement: string, text = '', given: JobConditions = {}): string {
    const { quantity, needs } = measurementById(measurement);
    const id = newId();
    const conditions = needs.includes('wire') ? { wire: 'signal' as const, position: 1, ...given } : { ...given };
    bench.job!.readings.push({
      id,
      measurement,
      text,
      value: read(text, quantity, true),
      conditions,
      state: 'steady',
      note: '',
      takenAt: nowIso(),
      voided: null,
      history: [],
    });
    return id;
  }

  /** Keeps what a reading was before it was corrected. */
  function remember(id: string, before: string): void {
    const reading = find(id);
    if (!reading || before.trim() === '' || before === reading.text) return;
    reading.history.push({ text: before, at: nowIso() });
  }

  function voidReading(id: string, reason: string): void {
    const reading = find(id);
    if (reading) reading.voided = { reason, at: nowIso() };
  }

  function unvoid(id: string): void {
    const reading = find(id);
    if (reading) reading.voided = null;
  }

  /** What a proof reading of this test was read as. */
  const readProof = (measurement: string, text: string): number | 'OL' | null =>
    read(text, measurementById(measurement).quantity, true);

  return { entryOf, readProof, find, first, typeInto, retype, add, remember, voidReading, unvoid };
}
