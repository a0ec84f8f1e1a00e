import type * as whole from './wholeJobActions.ts';

type WholeJobs = typeof whole;

let fetched: Promise<WholeJobs> | null = null;

/** What opens, makes and keeps whole checks. The list is shown without it: a first visit, which has none, need not fetch it at once. */
export function wholeJobs(): Promise<WholeJobs> {
  fetched ??= import('./wholeJobActions.ts').catch((error: unknown) => {
    // Asked for again when it is needed again.
    fetched = null;
    throw error;
  });
  return fetched;
}
