import type { Patch } from '@mellow-probe/core/base/records/changes';
import { z } from 'zod';
import { windowId, windowLives } from '../../browser/windowId.ts';
import { workshop } from '../../browser/workshop.ts';
import { patchesSchema } from './patchesSchema.ts';

/**
 * What was typed and is not yet known to be stored: written synchronously, before the page can be reloaded or closed, and taken away when the
 * store has it. Small: the differences alone. It also stays in memory, for a browser that keeps nothing.
 */
export interface Ahead {
  /** Which record, by the name of its door. */
  record: string;
  window: string;
  at: string;
  /** Revision of the record the differences start from; null where it is not stored at all. */
  base: string | null;
  patches: readonly Patch[];
  /**
   * The differences from the write that is under way to what was typed since. Whether that write arrived is not known where this is read: one
   * of the two lists starts from what is stored.
   */
  since?: readonly Patch[];
}

const PREFIX = `mellow-probe.${workshop}.ahead.`;
const keyOf = (record: string, window: string): string => `${PREFIX}${window}.${record}`;
const memory = new Map<string, Ahead>();

/** Keeps what is ahead of the store; an earlier entry of this window for the same record is replaced. */
export function writeAhead(
  record: string,
  base: string | null,
  patches: readonly Patch[],
  at: string,
  since: readonly Patch[] = [],
): void {
  const entry: Ahead = { record, window: windowId, at, base, patches, ...(since.length > 0 && { since }) };
  memory.set(record, entry);
  try {
    localStorage.setItem(keyOf(record, windowId), JSON.stringify(entry));
  } catch {
    // Full or blocked: the entry lives in memory, and the store itself is tried anyway.
  }
}

/** The store has it all: takes away what this window, or a window that is gone, left for the record. */
export function clearAhead(record: string, window = windowId): void {
  if (window === windowId) memory.delete(record);
  try {
    localStorage.removeItem(keyOf(record, window));
  } catch {
    // Nothing was there.
  }
}

/** Everything left for a record by this window or by windows that are gone, oldest first. What a living window has in hand is its own. */
export async function readAhead(record: string): Promise<Ahead[]> {
  const found = (await everything()).filter((entry) => entry.record === record);
  return found.sort((a, b) => a.at.localeCompare(b.at));
}

/** The whole record, where it is not stored at all; undefined where only differences were left. */
export function wholeOf(entry: Ahead): unknown {
  return entry.patches.find((p) => p.at.length === 0)?.after;
}

/** Names of the records for which something was left, with the earliest entry of each. */
export async function recordsAhead(store: string): Promise<Map<string, Ahead>> {
  const found = new Map<string, Ahead>();
  for (const entry of await everything()) if (entry.record.startsWith(`${store}/`)) found.set(entry.record, entry);
  return found;
}

/** A window that does not say whether it lives (plain HTTP) is taken for gone when it has been silent for this long, ms. */
const SILENT_MS = 15_000;

async function everything(): Promise<Ahead[]> {
  const found = new Map([...memory.values()].map((entry) => [keyOf(entry.record, entry.window), entry]));
  for (const [key, entry] of stored()) {
    if (found.has(key)) continue;
    if (entry.window !== windowId) {
      const lives = await windowLives(entry.window);
      if (lives ?? Date.now() - Date.parse(entry.at) < SILENT_MS) continue;
    }
    found.set(key, entry);
  }
  return [...found.values()];
}

function stored(): [string, Ahead][] {
  const list: [string, Ahead][] = [];
  try {
    for (let i = 0; i < localStorage.length; i++) {
      const key = localStorage.key(i);
      if (!key?.startsWith(PREFIX)) continue;
      const entry = parsed(localStorage.getItem(key) ?? '');
      if (entry && keyOf(entry.record, entry.window) === key) list.push([key, entry]);
    }
  } catch {
    // Blocked: only memory is left.
  }
  return list;
}

const aheadSchema = z.object({
  record: z.string(),
  window: z.string(),
  at: z.string(),
  base: z.string().nullable(),
  patches: patchesSchema,
  since: patchesSchema.optional(),
});

/** An entry as it was written; null where it is something else. */
function parsed(text: string): Ahead | null {
  try {
    return aheadSchema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
}
