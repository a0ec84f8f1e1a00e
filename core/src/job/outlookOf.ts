import type { Posterior } from '../inference/posterior.ts';
import { type Access, accessOf } from '../kit/access.ts';
import { type PlaceAdvice, placeAdvice } from '../place/placeAdvice.ts';
import { reachOf } from '../place/reach.ts';
import type { Costs } from '../plan/repairs.ts';
import { costsOf } from '../plan/worthSchema.ts';
import type { Job } from './jobSchema.ts';

/** What a job's own loom, kit and prices make of a posterior: where it lies, what can be done, what that costs. */
export function outlookOf(job: Job, posterior: Posterior): { where: PlaceAdvice; access: Access; costs: Costs } {
  const where = placeAdvice(posterior, reachOf(job.loom, job.kit));
  return { where, access: accessOf(job.kit), costs: costsOf(job.worth, job.kit, where) };
}
