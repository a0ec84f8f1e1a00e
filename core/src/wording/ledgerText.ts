import { dayText } from '../base/units/writing.ts';

/** How many, of what: `1 check`, `3 checks`. */
export function countText(count: number, one: string, many: string): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** The follow-ups that are not done, in a line. */
export function followUpsText({ open, next }: { open: number; next: string | null }): string {
  return `${countText(open, 'follow-up', 'follow-ups')}${next ? `, next ${dayText(next)}` : ''}`;
}

/** What a check is called, as a heading; and within a line or a list. */
export const titleText = (title: string): string => title || 'Untitled check';
export const titleWithin = (title: string): string => title || 'untitled check';

/** What was deleted and can still be brought back. `titles`: of the checks. */
export function deletedText(titles: readonly string[]): string {
  return titles.length === 1 ? `Deleted “${titles[0] || 'untitled'}”.` : `Deleted ${titles.length} checks.`;
}

/** Checks that were chosen in the ledger, and how many of them the filter hides. */
export function chosenText(chosen: number, hidden: number): string {
  const all = `${countText(chosen, 'check', 'checks')} chosen`;
  return hidden === 0 ? `${all}.` : `${all}, ${hidden} of them not shown here.`;
}
