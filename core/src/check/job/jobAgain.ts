import type { FaultGroup, ReplaceablePart } from '../../base/units/vocabulary.ts';
import type { Job } from './jobSchema.ts';
import { newMoments } from './moments.ts';
import { emptyRecord } from './newJob.ts';

/** A new job like another one: machine, customer, circuit, kit, tags and way of working; nothing of the case itself. */
export function templateOf(job: Job, id: string, now: string): Job {
  const like = structuredClone(job);
  delete like.recurrenceOf;
  delete like.experience;
  return {
    ...like,
    ...emptyRecord(),
    id,
    createdAt: now,
    updatedAt: now,
    note: '',
    orderNumber: '',
    moments: newMoments(),
  };
}

/** What was repaired in vain, by what a check decided; nothing where nothing was at fault in the circuit. */
const IN_VAIN: Partial<Record<FaultGroup, ReplaceablePart>> = {
  sensor: 'sensor',
  wiring: 'wiring',
  reference: 'module',
  module: 'module',
};

/**
 * A new check of a fault that came back: as a template, linked to the first, with its complaint and with what was repaired then among what was
 * replaced without help, so that it weighs in the new verdict.
 */
export function recurrenceOf(job: Job, id: string, now: string): Job {
  const part = job.repair.doneAt !== null && job.decision ? IN_VAIN[job.decision.group] : undefined;
  const next = templateOf(job, id, now);
  const { text, symptoms, replaced } = job.complaint;
  next.complaint = {
    ...next.complaint,
    text,
    symptoms: [...symptoms],
    replaced: [...new Set([...replaced, ...(part ? [part] : [])])],
  };
  next.recurrenceOf = { id: job.id, title: job.title };
  return next;
}
