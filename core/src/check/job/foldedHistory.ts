import type { JobReading } from './jobSchema.ts';
import { MOST } from './most.ts';

/** The corrections of a reading, oldest first, folded where they are too many: the first one stays, and the latest. */
export function foldedHistory(history: JobReading['history']): JobReading['history'] {
  if (history.length <= MOST.corrections) return history;
  return [history[0], ...history.slice(history.length - MOST.corrections + 1)];
}
