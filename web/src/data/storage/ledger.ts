import { jobLineSchema } from '@mellow-probe/core/check/job/jobList';
import { z } from 'zod';
import { withStore } from './stores.ts';
import { oneAtATime } from './windows.ts';

/**
 * What the ledger shows of every job, kept beside the jobs so that years of them are read at once. Only a copy: whoever reads it compares the
 * revisions with the jobs themselves afterwards, and what is missing or stale is made again.
 */
const entrySchema = z.strictObject({ revision: z.string(), line: jobLineSchema });
export type LedgerEntry = z.infer<typeof entrySchema>;
const pageSchema = z.record(z.string(), entrySchema);
type LedgerPage = z.infer<typeof pageSchema>;

/** The entries lie on so many pages: few enough to be read at once, small enough to be written with every change of a job. */
const PAGES = 64;
/** Another shape of the lines makes another name: old pages then count for nothing. */
const pageKey = (page: number): string => `2/${page}`;

function pageOf(job: string): number {
  let sum = 0;
  for (let i = 0; i < job.length; i++) sum = (sum * 31 + job.charCodeAt(i)) >>> 0;
  return sum % PAGES;
}

async function readPage(page: number): Promise<LedgerPage> {
  return pageSchema.safeParse(await withStore('ledger', (s) => s.getItem(pageKey(page)))).data ?? {};
}

/** What is being written by this window. */
let writing: Promise<void> = Promise.resolve();

/** Notes what has become of jobs, null: removed. It never fails: an entry that could not be written is made again from its job. */
export function noteInLedger(changes: ReadonlyMap<string, LedgerEntry | null>): void {
  const pages = new Map<number, [string, LedgerEntry | null][]>();
  for (const change of changes) {
    const page = pageOf(change[0]);
    pages.set(page, [...(pages.get(page) ?? []), change]);
  }
  const writes = [...pages].map(([page, list]) =>
    oneAtATime(`ledger/${page}`, async () => {
      const entries = { ...(await readPage(page)) };
      for (const [job, entry] of list) {
        if (entry) entries[job] = entry;
        else delete entries[job];
      }
      await withStore('ledger', (s) => s.setItem(pageKey(page), entries));
    }).catch(() => undefined),
  );
  writing = Promise.all([writing, ...writes]).then(() => undefined);
}

/** Every entry, by the job's id, with what this window has just noted. Read at one go: a page at a time costs a phone more than what is on them. Rejects with a `StorageError`. */
export async function readLedger(): Promise<Map<string, LedgerEntry>> {
  await writing;
  const known = new Set(Array.from({ length: PAGES }, (_, page) => pageKey(page)));
  const entries = new Map<string, LedgerEntry>();
  await withStore('ledger', (s) =>
    s.iterate((page: unknown, key: string) => {
      if (!known.has(key)) return;
      for (const [job, entry] of Object.entries(pageSchema.safeParse(page).data ?? {})) entries.set(job, entry);
    }),
  );
  return entries;
}
