import type { JobConditions, JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { foldedHistory } from '@mellow-probe/core/check/job/foldedHistory';
import { MOST } from '@mellow-probe/core/check/job/most';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { readTyped } from '@mellow-probe/core/base/units/entry';
import type { MachineState } from '@mellow-probe/core/base/units/vocabulary';
import { newId, nowIso } from '../browser/newId.ts';
import { usePreferences } from '../data/stores/preferences.ts';
import { useSession } from './jobSession.ts';

/** Ways to put figures into the job on the bench. The text is kept as typed; the value is what it was read as, null while it cannot be. */
export function useReadings() {
  const { job } = useSession();
  const preferences = usePreferences();

  /** What a reading of this test was read as. */
  const read = (measurement: string, text: string): number | 'OL' | null =>
    readTyped(text, measurementById(measurement).quantity, preferences.temperatureUnit, true);
  const find = (id: string): JobReading | undefined => job.readings.find((r) => r.id === id);
  const first = (measurement: string): JobReading | undefined =>
    job.readings.find((r) => r.measurement === measurement && !r.voided);

  /** Types into the first reading of a measurement, making it when there is none and dropping it when it is emptied. */
  function typeInto(measurement: string, text: string): void {
    const reading = first(measurement);
    if (reading) retype(reading.id, text);
    else if (text.trim() !== '') add(measurement, text);
  }

  function retype(id: string, text: string): void {
    const reading = find(id);
    if (!reading) return;
    const bare = Object.keys(reading.conditions).length === 0 && reading.history.length === 0 && reading.note === '';
    if (text.trim() === '' && bare) job.readings.splice(job.readings.indexOf(reading), 1);
    else Object.assign(reading, { text, value: read(reading.measurement, text), takenAt: nowIso() });
  }

  /** Adds a reading; null where the job holds as many as it may. */
  function add(
    measurement: string,
    text = '',
    given: JobConditions = {},
    state: MachineState = 'steady',
    moment: string | null = null,
  ): string | null {
    if (job.readings.length >= MOST.readings) return null;
    const { needs } = measurementById(measurement);
    // The first reading of a test has the same id in every window: two windows that type into one field mean one reading.
    const id = find(measurement) ? newId() : measurement;
    const conditions = needs.includes('wire') ? { wire: 'signal' as const, position: 1, ...given } : { ...given };
    job.readings.push(
      newReading(id, measurement, {
        ...{ text, value: read(measurement, text), conditions, state, takenAt: nowIso() },
        ...(moment !== null && { moment }),
      }),
    );
    return id;
  }

  /** Keeps what a reading was before it was corrected. */
  function remember(id: string, before: string): void {
    const reading = find(id);
    if (!reading || before.trim() === '' || before === reading.text) return;
    reading.history = foldedHistory([...reading.history, { text: before, at: nowIso() }]);
  }

  function voidReading(id: string, reason: string): void {
    const reading = find(id);
    if (reading) reading.voided = { reason, at: nowIso() };
  }

  function unvoid(id: string): void {
    const reading = find(id);
    if (reading) reading.voided = null;
  }

  return { read, find, first, typeInto, retype, add, remember, voidReading, unvoid };
}
