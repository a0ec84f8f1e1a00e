import { namesHighVoltage } from '../../catalogue/parts/troubleCodes.ts';
import type { Posterior } from '../../inference/posterior/posterior.ts';
import { type Access, accessOf } from '../../catalogue/kit/access.ts';
import { type PlaceAdvice, placeAdvice } from '../../advice/place/placeAdvice.ts';
import { reachOf } from '../../advice/place/harnessReach.ts';
import type { Costs } from '../../advice/plan/repairs.ts';
import { costsOf } from '../../advice/plan/worthSchema.ts';
import type { Job } from './jobSchema.ts';

/** What a job's own loom, kit and prices make of a posterior: where it lies, what can be done, what that costs. */
export function outlookOf(job: Job, posterior: Posterior): { where: PlaceAdvice; access: Access; costs: Costs } {
  const advice = placeAdvice(posterior, reachOf(job.loom, job.kit));
  const where = namesHighVoltage(job.complaint.codes) ? { ...advice, next: null, first: null } : advice;
  return { where, access: { ...accessOf(job.kit), leftOut: job.leftOut }, costs: costsOf(job.worth, job.kit, where) };
}
