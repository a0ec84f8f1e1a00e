import type { Finding, Found } from './finding.ts';

/** How well a finding stands out from what chance, scatter and the steps of a display bring about. */
export type Strength = 'clear' | 'probable' | 'weak';

/** From where a figure is clear, and from where it is probable; below that it is weak. */
type Limits = readonly [clear: number, probable: number];

/** Events, in 1σ of the series; drift and loops, in 1σ of their own figure. */
const SIGMAS: Limits = [10, 6.5];
const OF_ITS_FIGURE: Limits = [8, 4];
/** Noise: how many times the usual scatter. */
const TIMES_THE_SCATTER: Limits = [6, 4];
/** A supply that sags: share of it. A sensor out of line at a cold start: K. Common practice, no source. */
const SHARE: Limits = [0.08, 0.04];
const APART_K: Limits = [8, 5];

const graded = (figure: number, [clear, probable]: Limits): Strength =>
  figure >= clear ? 'clear' : figure >= probable ? 'probable' : 'weak';

/** Does a sensor drift away from the other by more than its scatter explains, and by more than 1 K an hour? */
export const runsAway = ({ perHourK, sigma }: Found<'drift'>): boolean =>
  Math.abs(perHourK) > 3 * sigma && Math.abs(perHourK) > 1;

/** How strong a finding is; null where it only says what was read, and claims no fault. */
export function strengthOf(finding: Finding): Strength | null {
  switch (finding.kind) {
    case 'events':
      return ofEvents(finding);
    case 'wiggle':
      // The chance that it has nothing to do with the place.
      return finding.place === null ? 'weak' : graded(-Math.log10(Math.max(1e-9, finding.chance)), [2, 1]);
    case 'drift':
      return runsAway(finding) ? graded(Math.abs(finding.perHourK) / finding.sigma, OF_ITS_FIGURE) : null;
    case 'loop':
      return graded(Math.abs(finding.leftK) / Math.max(1e-9, finding.sigmaK), OF_ITS_FIGURE);
    case 'sag':
      return graded(Math.abs(finding.toV - finding.fromV) / Math.max(1e-9, finding.fromV), SHARE);
    case 'cold-start':
      return finding.oddOne === null ? null : graded(finding.apartK, APART_K);
    case 'air':
      return finding.dips.length > 2 ? 'clear' : 'probable';
    default:
      return null;
  }
}

/** What goes to an end of the scale or comes again needs no statistics. */
function ofEvents({ event, events }: Found<'events'>): Strength {
  if (event === 'drop-out') return 'clear';
  if (event === 'stuck') return events.length > 1 ? 'clear' : 'probable';
  const most = Math.max(...events.map((e) => e.sigmas));
  return graded(most, event === 'noise' ? TIMES_THE_SCATTER : SIGMAS);
}
