import { titleWithin } from '@mellow-probe/core/wording/ledgerText';
import { jobFactsWords as say } from '@mellow-probe/core/wording/screens/jobs';
import type { JobLine } from '@mellow-probe/core/check/job/jobList';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { momentText } from '@mellow-probe/core/base/units/writing';

const STATES = { measuring: say.measuring, decided: say.decided, repaired: say.repaired, closed: say.closed } as const;

// What the ledger shows of a check beside its title, as table and as card. Apart, because sorting asks for one of them thousands of times.
export const nameText = ({ title }: JobLine): string => titleWithin(title);
export const decidedText = ({ group }: JobLine): string => (group ? groupName(group) : '—');
export const stateText = ({ state, unproved }: JobLine): string =>
  unproved ? say.withoutProof(STATES[state]) : STATES[state];
export const changedText = ({ updatedAt }: JobLine): string => momentText(updatedAt);

/** What can be done with a check from the ledger. */
export type JobAct = 'copy' | 'like' | 'again' | 'export' | 'archive' | 'remove';

/** Checks on one page of the ledger. */
export const JOBS_A_PAGE = 25;
