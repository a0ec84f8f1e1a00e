import { jobStateOf } from '@mellow-probe/core/job/jobList';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { groupName } from '@mellow-probe/core/wording/groupName';
import dayjs from 'dayjs';

const STATES = { measuring: '○ measuring', decided: '◐ decided', repaired: '◐ repaired', closed: '● closed' } as const;

/** What the ledger shows of a check beside its title, as table and as card. */
export function jobFacts(job: Job): { decided: string; state: string; readings: number; changed: string } {
  return {
    decided: job.decision ? groupName(job.decision.group) : '—',
    state: `${STATES[jobStateOf(job)]}${job.closed?.how === 'unproved' ? ', no proof' : ''}`,
    readings: job.readings.filter((r) => r.value !== null && !r.voided).length,
    changed: dayjs(job.updatedAt).format('YYYY-MM-DD HH:mm'),
  };
}

/** What can be done with a check from the ledger. */
export type JobAct = 'copy' | 'like' | 'export' | 'archive' | 'remove';

/** Checks on one page of the ledger. */
export const JOBS_A_PAGE = 50;
