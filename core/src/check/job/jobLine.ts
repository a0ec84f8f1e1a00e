import { measurementById } from '../../circuit/measurements/list.ts';
import type { JobState } from '../../base/units/vocabulary.ts';
import type { JobLine } from './jobList.ts';
import type { Job } from './jobSchema.ts';

export function jobStateOf(job: Job): JobState {
  if (job.closed) return 'closed';
  if (job.repair.doneAt) return 'repaired';
  return job.decision ? 'decided' : 'measuring';
}

/** Most characters of the complaint that a list shows. */
const ABOUT = 240;

export function jobLine(job: Job): JobLine {
  const { complaint, repair } = job;
  const about = complaint.text || job.note;
  const words = [
    job.title,
    job.machine,
    job.customer,
    job.orderNumber,
    job.circuit.name,
    job.note,
    complaint.text,
    repair.part,
    repair.partNumber,
  ];
  return {
    id: job.id,
    createdAt: job.createdAt,
    updatedAt: job.updatedAt,
    title: job.title,
    machine: job.machine,
    field: job.field,
    about: about.length > ABOUT ? `${about.slice(0, ABOUT)}…` : about,
    circuit: job.circuit.name,
    state: jobStateOf(job),
    unproved: job.closed?.how === 'unproved',
    group: job.decision?.group ?? null,
    tool: job.decision && { group: job.decision.toolGroup, probability: job.decision.toolProbability },
    minutes: minutesOf(job),
    readings: job.readings.filter((r) => r.value !== null && !r.voided).length,
    archived: job.archivedAt !== null,
    tags: [...job.tags],
    open: job.followUps
      .filter((f) => f.doneAt === null)
      .map(({ id, text, dueOn }) => ({ id, text, dueOn }))
      .sort((a, b) => a.dueOn.localeCompare(b.dueOn)),
    standIn:
      repair.standIn !== null && repair.standIn.removedAt === null
        ? { what: repair.standIn.what, fittedAt: repair.standIn.fittedAt }
        : null,
    repairedAt: repair.doneAt,
    partNumber: repair.partNumber,
    recurrenceOf: job.recurrenceOf?.id ?? null,
    words: [...words, ...complaint.codes.map((c) => c.code), ...job.tags].join(' ').toLowerCase(),
  };
}

/** A gap between two readings that is longer than this was a pause, minutes. Common practice, no source. */
const PAUSE = 30;

/** Minutes really spent at measuring, beside those planned; null where fewer than two readings know their time. */
function minutesOf({ readings }: Job): JobLine['minutes'] {
  const timed = readings.filter((r) => r.takenAt !== null && !r.voided);
  const times = timed.map((r) => Date.parse(r.takenAt!) / 60_000).sort((a, b) => a - b);
  if (times.length < 2) return null;
  const gaps = times.slice(1).map((t, i) => t - times[i]);
  return {
    spent: gaps.reduce((sum, gap) => sum + (gap <= PAUSE ? gap : 0), 0),
    // The first one's own minutes lie before its time and are not seen.
    planned: timed.slice(1).reduce((sum, r) => sum + measurementById(r.measurement).minutes, 0),
  };
}
