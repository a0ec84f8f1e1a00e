import { titleWithin } from '@mellow-probe/core/wording/ledgerText';
import type { JobLine } from '@mellow-probe/core/check/job/jobList';
import type { PickOption } from './base/pickOption.ts';

/** The checks on which something can be put, as a list to pick from. */
export const openChecks = (lines: readonly JobLine[]): PickOption<string>[] =>
  lines
    .filter((line) => line.state !== 'closed' && !line.archived)
    .map((line) => ({ value: line.id, label: titleWithin(line.title) }));
