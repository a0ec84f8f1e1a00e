import type { Job } from '../check/job/jobSchema.ts';
import type { Interval } from '../base/numeric/interval.ts';
import type { Costs } from '../advice/plan/repairs.ts';
import { formatInterval, formatOhm, formatProbability } from '../base/units/format.ts';
import { dayText, momentText } from '../base/units/writing.ts';
import { closingName } from './closingName.ts';
import { groupName } from './groupName.ts';
import { countText } from './ledgerText.ts';

/** Notices of the screens that have figures or names in them: whole sentences, so that another language can put them in its own order. */

/** Photos that are none, on a report. */
export const unreadablePhotosText = (count: number): string =>
  `${countText(count, 'photo is not a picture and is', 'photos are not pictures and are')} left out.`;

/** Records of a backup that were changed since it was written; a few are named. */
export const damagedRecordsText = (paths: readonly string[]): string =>
  `${countText(paths.length, 'record is', 'records are')} damaged or ${paths.length === 1 ? 'not a record' : 'not records'} of this program, and will not be restored: ${paths.slice(0, 3).join(', ')}${paths.length > 3 ? ' …' : ''}`;

/** Figures of a table in a picture that a person has to look at; 0: none, of so many rows. */
export const unsureFiguresText = (count: number, rows: number): string =>
  count > 0
    ? `${countText(count, 'figure', 'figures')} to check: correct ${count === 1 ? 'it' : 'them'}, or tap ✓ if ${count === 1 ? 'it matches' : 'they match'} the picture.`
    : `${countText(rows, 'row', 'rows')}, each figure beside its place in the picture.`;

/** Checks that name no machine, in the logbook. */
export const namelessText = (count: number): string =>
  `${countText(count, 'check names', 'checks name')} no machine and ${count === 1 ? 'is' : 'are'} not in here.`;

/** Earlier checks of a place, above the bench. */
export const earlierText = (count: number, cameBack: boolean): string =>
  `${countText(count, 'earlier check', 'earlier checks')} here${cameBack ? ', and it came back' : ''}:`;

/** What the workshop's own experience rests on. */
export const provedChecksText = (count: number): string => `${countText(count, 'check', 'checks')} verified`;

/** Minutes that measuring took, against those its tests were planned with. */
export const measuringMinutesText = (m: { spent: number; planned: number; checks: number }): string =>
  `${Math.round(m.spent)} min spent in ${countText(m.checks, 'check', 'checks')}, pauses over half an hour left out; the tests taken were planned with ${Math.round(m.planned)} min.`;

/** Where the base rates of a check come from. */
export const ownRatesText = ({ checks, at }: NonNullable<Job['experience']>): string =>
  `It starts from this workshop’s own ${countText(checks, 'closed check', 'closed checks')}, as they stood on ${dayText(at)}.`;

/** How often a line to an instrument failed, and what it was last. */
export const lineFaultsText = (count: number, last: string): string =>
  `${countText(count, 'fault', 'faults')}; last: ${last}. No figure was taken from it.`;

/** A decision beside what the tool said at the time. */
export const decidedText = (d: NonNullable<Job['decision']>): { decided: string; then: string } => ({
  decided: `Decided: ${groupName(d.group)}`,
  then: `(the tool then: ${groupName(d.toolGroup).toLowerCase()} ${formatProbability(d.toolProbability)}). ${d.reason}`.trim(),
});

/** How a check was closed; `when` writes the day. */
export const closedText = ({ at, how, reason }: NonNullable<Job['closed']>, when = momentText): string =>
  `Closed ${when(at)}, ${closingName(how)}. ${reason}`.trim();

/** A pull-up that a pair of figures says, Ω, or that the readings have taught. */
export const pullUpOfPairText = (ohm: number, sigmaOhm: number): string =>
  `That pair says a pull-up of about ${formatOhm(ohm)} ± ${formatOhm(2 * sigmaOhm)}. Empty the field to use it.`;
export const pullUpLearnedText = ({ middle, ...range }: Interval & { middle: number }): string =>
  `Pull-up learned: about ${formatOhm(middle)} (${formatInterval(range, 'ohms', 'C')})`;

/** What things cost in a training case: money, minutes. */
export const caseCostsText = (c: Pick<Costs, 'part' | 'fitMinutes' | 'module' | 'back'>): string =>
  `A sensor costs ${c.part} and ${Math.round(c.fitMinutes)} min, a module ${c.module}; a second visit ${c.back}.`;

/** A code as a training case has it. */
export const caseCodeText = ({ code, state, own }: Job['complaint']['codes'][number]): string =>
  `Code ${code}, ${state === 'past' ? 'from the past' : state}${own ? `: ${own.what}` : ''}`;

/** The plays of a learner: how many were right first time, how many of those as cheap as the ideal, and what comes next. */
export const rightAtOnceText = (right: number, of: number): string => `${right} of ${of} right first time`;
export const beatenText = (beaten: number, level: number): string =>
  `In ${beaten} of them at no more than the ideal’s cost. The next ones are of difficulty ${level} of 3.`;
