import type { Job } from '../check/job/jobSchema.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import { PROOF_STEPS, type ProofState, proofStepsFor } from '../check/proof/proofPlan.ts';

const names = (ids: readonly string[]): string =>
  ids.map((id) => PROOF_STEPS.find((s) => s.id === id)?.name.toLowerCase() ?? id).join(', ');

/** What a proof still lacks, each in a few words; empty where it is proved. */
export function lacksText({ missing, failed, outside, inside, standInFitted }: ProofState): string[] {
  const list: string[] = [];
  if (inside + outside.length === 0) list.push('no value read again');
  if (outside.length > 0)
    list.push(`outside the range: ${outside.map((id) => measurementById(id).name.toLowerCase()).join(', ')}`);
  if (failed.length > 0) list.push(`failed: ${names(failed)}`);
  if (missing.length > 0) list.push(`still to do: ${names(missing)}`);
  if (standInFitted) list.push('a temporary replacement is still fitted');
  return list;
}

/** How far a repaired job is, in words. */
export interface ProgressText {
  title: string;
  /** What is shown to be right again. */
  proved: string[];
  /** What stands between here and a closed job. */
  lacking: string[];
}

/** Where a job stands after its repair: what is proved, what is still to do. Null before the repair, when the verdict speaks. */
export function progressText(job: Job, proof: ProofState): ProgressText | null {
  if (!job.closed && !job.repair.doneAt) return null;
  const passed = proofStepsFor(job).filter((s) => job.proof.steps[s.id]?.state === 'passed');
  const proved = [
    ...(proof.inside > 0 ? [`${proof.inside} ${proof.inside === 1 ? 'value' : 'values'} repeated, within range`] : []),
    ...passed.map((s) => s.name),
  ];
  const lacking = lacksText(proof);
  if (job.closed)
    return { title: job.closed.how === 'proved' ? 'Closed as verified' : 'Closed without verifying', proved, lacking };
  return { title: lacking.length === 0 ? 'Verified: close the job' : 'Repaired: verify it now', proved, lacking };
}
