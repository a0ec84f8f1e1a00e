import type { Due } from '../history/register/dues.ts';
import type { PlaceEntry } from '../history/register/register.ts';
import type { FittedPart, SharedFault } from '../history/register/repeats.ts';
import type { JobLine } from '../check/job/jobList.ts';
import { groupName } from './groupName.ts';
import { countText } from './ledgerText.ts';
import { dayText } from '../base/units/writing.ts';

const checks = (n: number): string => countText(n, 'check', 'checks');

/** What a check came to, in a few words. */
export function lineOutcomeText({ state, group, unproved }: JobLine): string {
  const found = group ? groupName(group).toLowerCase() : 'not decided';
  if (state === 'closed') return `${found}, ${unproved ? 'closed without verifying' : 'verified'}`;
  return state === 'measuring' ? 'still open' : `${found}, ${state}, not closed`;
}

/** How often a place was looked at, and what came of it the last time. */
export function placeLastText({ lines }: PlaceEntry): string {
  const [last] = lines;
  return `${checks(lines.length)}, last ${dayText(last.createdAt)}: ${lineOutcomeText(last)}`;
}

export function sharedFaultText({ group, circuit, machines, lines }: SharedFault): string {
  const named = machines.slice(0, 4).join(', ') + (machines.length > 4 ? ' …' : '');
  return `${groupName(group)} in ${circuit || 'circuits without a name'} on ${machines.length} machines (${named}; ${checks(lines.length)}). The same part, place or repair on all of them? The cause may be one.`;
}

export function failingPartText({ partNumber, fitted, failedAgain }: FittedPart): string {
  return `Part ${partNumber}: fitted ${countText(fitted, 'time', 'times')}, at fault again ${failedAgain === 1 ? 'once' : `${failedAgain} times`}. A poor batch, or a cause that was not found.`;
}

/** When something is due, seen from a day (both YYYY-MM-DD). */
export function dueText({ kind, on }: Due, today: string): string {
  const days = Math.round((Date.parse(on) - Date.parse(today)) / 86_400_000);
  const count = (n: number): string => countText(n, 'day', 'days');
  if (kind === 'stand-in') return `fitted ${days === 0 ? 'today' : `for ${count(-days)}`}`;
  if (days === 0) return 'due today';
  return days < 0 ? `${count(-days)} overdue` : `due in ${count(days)}`;
}

/** How much is due on a day, in a line; empty where nothing is. */
export function dueCountText(dues: readonly Due[], today: string): string {
  const standIns = dues.filter((d) => d.kind === 'stand-in').length;
  const late = dues.filter((d) => d.kind === 'follow-up' && d.on <= today).length;
  return [
    ...(standIns > 0 ? [`${countText(standIns, 'temporary replacement', 'temporary replacements')} still fitted`] : []),
    ...(late > 0 ? [`${countText(late, 'follow-up', 'follow-ups')} due`] : []),
  ].join(', ');
}
