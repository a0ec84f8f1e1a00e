// How a made-up check is told: begun, read, decided, to be followed up.
import { CATALOGUE_CIRCUITS } from '../../core/src/catalogue/parts/circuits.ts';
import { checkJob } from '../../core/src/check/job/checkJob.ts';
import type { Job } from '../../core/src/check/job/jobSchema.ts';
import { newJob } from '../../core/src/check/job/newJob.ts';
import { newReading } from '../../core/src/check/job/newReading.ts';
import { measurementById } from '../../core/src/circuit/measurements/list.ts';
import { parseField } from '../../core/src/base/units/parseField.ts';
import type { FaultGroup } from '../../core/src/base/units/vocabulary.ts';
import { assess } from '../../core/src/inference/verdict/assessment.ts';

export const celsius = (c: number) => ({ text: `${c} °C`, value: c });

/** A check begun: machine, circuit and complaint. `day`: of March 2026, or YYYY-MM-DD. */
export function begun(
  id: string,
  day: number | string,
  circuitId: string,
  title: string,
  machine: string,
  complaint: string,
): Job {
  const at = `${typeof day === 'string' ? day : `2026-03-${String(day).padStart(2, '0')}`}T08:15:00.000Z`;
  const entry = CATALOGUE_CIRCUITS.find((c) => c.id === circuitId);
  if (!entry) throw new Error(`writeDemo: no circuit "${circuitId}"`);
  const job = newJob(`demo-${id}`, at, entry);
  Object.assign(job, { title, machine, updatedAt: at.replace('08:15', '09:40') });
  job.complaint.text = complaint;
  return job;
}

/** Takes readings: a test, its figure as typed, and under which conditions. */
export function read(
  job: Job,
  ...taken: [test: string, text: string, state?: 'hot' | 'wiggling', note?: string][]
): void {
  for (const [test, text, state, note] of taken) {
    const parsed = parseField(text, measurementById(test).quantity, { temperatureUnit: 'C', overload: true });
    if (!parsed.ok) throw new Error(`writeDemo: "${text}" for ${test} is no figure`);
    const minute = String(20 + job.readings.length).padStart(2, '0');
    job.readings.push(
      newReading(`${job.id}-r${job.readings.length + 1}`, test, {
        text,
        value: parsed.value === Infinity ? 'OL' : parsed.value,
        takenAt: job.createdAt.replace(':15:', `:${minute}:`),
        ...(state ? { state } : {}),
        ...(note ? { note } : {}),
      }),
    );
  }
}

/** The technician decides, beside what the tool says of these figures. */
export function decide(job: Job, group: FaultGroup, reason = ''): void {
  const { problem } = checkJob(job);
  const [first] = assess(problem!).groups;
  const decidedAt = job.updatedAt.replace(':40:', ':00:');
  job.decision = { group, toolGroup: first.group, toolProbability: first.probability, reason, decidedAt };
}

export function followUp(job: Job, text: string, dueOn: string): void {
  job.followUps.push({ id: `${job.id}-f${job.followUps.length + 1}`, text, dueOn, doneAt: null });
}
