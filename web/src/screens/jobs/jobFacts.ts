import { jobStateOf } from '@mellow-probe/core/job/jobList';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { groupName } from '@mellow-probe/core/wording/groupName';
import dayjs from 'dayjs';

const STATES = { measuring: '○ measuring', decided: '◐ decided', repaired: '◐ repaired', closed: '● closed' } as const;

// What the ledger shows of a check beside its title, as table and as card. Apart, because sorting asks for one of them thousands of times.
export const decidedText = (job: Job): string => (job.decision ? groupName(job.decision.group) : '—');
export const stateText = (job: Job): string =>
  `${STATES[jobStateOf(job)]}${job.closed?.how === 'unproved' ? ', no proof' : ''}`;
export const readingCount = (job: Job): number => job.readings.filter((r) => r.value !== null && !r.voided).length;
export const changedText = (job: Job): string => dayjs(job.updatedAt).format('YYYY-MM-DD HH:mm');

/** What can be done with a check from the ledger. */
export type JobAct = 'copy' | 'like' | 'export' | 'archive' | 'remove';

/** Checks on one page of the ledger. */
export const JOBS_A_PAGE = 50;
