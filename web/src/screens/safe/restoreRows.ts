import { STANDING_NAMES } from '@mellow-probe/core/wording/safeText';
import { type BackupEntry, type Kind, KIND_LIST } from '../../data/backup/manifest.ts';
import type { Standing } from '../../data/backup/restore.ts';

export const STANDINGS = Object.keys(STANDING_NAMES) as Standing[];

/** One kind of record in a backup: how many of each standing, and their size. */
export interface RestoreRow {
  kind: Kind;
  counts: Record<Standing, number>;
  bytes: number;
}

/** What a backup holds, kind by kind; kinds of which it has none are left out. */
export function restoreRows(found: ReadonlyMap<BackupEntry, Standing>): RestoreRow[] {
  return KIND_LIST.flatMap((kind) => {
    const own = [...found].filter(([e]) => e.kind === kind);
    if (own.length === 0) return [];
    const counts = Object.fromEntries(STANDINGS.map((s) => [s, own.filter(([, x]) => x === s).length]));
    return [{ kind, counts: counts as RestoreRow['counts'], bytes: own.reduce((sum, [e]) => sum + e.bytes, 0) }];
  });
}
