import { medianOf } from '../../../base/numeric/quantiles.ts';
import type { LogEvent } from '../finding.ts';
import { endOf, type ScaleEnds } from './ends.ts';
import { FALSE_ALARM, type Series, span, take } from './series.ts';

/** Stretches in which every value is the same although the series has noise of its own, or went on moving underneath. */
export function findStuck(s: Series, ends: ScaleEnds): LogEvent[] {
  const n = s.x.length;
  const events: LogEvent[] = [];
  const equal = equalNeighbours(s);
  for (let from = 0; from < n;) {
    let to = from + 1;
    while (to < n && s.x[to] === s.x[from]) to++;
    const run = to - from;
    const before = s.x[Math.max(0, from - 1)];
    if (run >= 8 && !endOf(s.x[from], before, ends)) {
      const byNoise = equal !== null && run * Math.log(equal) + Math.log(n) < Math.log(FALSE_ALARM);
      if (byNoise || catchesUp(s, from, to)) {
        const after = medianOf(s.x, to, Math.min(n, to + 3));
        take(s, from, to + 2);
        const sigmas = Number.isFinite(after) ? Math.abs(after - s.x[from]) / s.sigma : 0;
        events.push({ ...span(s, from, to), kind: 'stuck', before: s.x[from], level: s.x[from], end: null, sigmas });
      }
    }
    from = to;
  }
  return events;
}

/**
 * How often neighbours are equal by themselves, where the noise is wide enough that they mostly differ; null where it is not: a display that rounds away
 * its noise stands for minutes and is well.
 */
function equalNeighbours(s: Series): number | null {
  const n = s.x.length;
  let [same, far, count] = [0, 0, 0];
  let run = 0;
  for (let i = 1; i < n; i++) {
    const move = Math.abs(s.x[i] - s.x[i - 1]);
    run = move === 0 ? run + 1 : 0;
    const [left, right] = [Math.max(0, i - s.half), Math.min(n - 1, i + s.half)];
    const slow = Math.abs(s.course[right] - s.course[left]) < 0.2 * s.quantum * (right - left);
    // What may be a stretch that stands is left out of its own yardstick; where the course runs, neighbours differ by that alone.
    if (s.taken[i] || run >= 8 || !slow) continue;
    count++;
    if (move === 0) same++;
    if (move > 1.5 * s.quantum) far++;
  }
  return count > 30 && far > 0.02 * count ? Math.min(0.9, Math.max(0.05, (same / count) * 1.3)) : null;
}

/** Does a series that was on the move stand, and then jump by what it had missed? */
function catchesUp(s: Series, from: number, to: number): boolean {
  const n = s.x.length;
  const look = 3 * s.half;
  if (from < look || to + 3 > n) return false;
  const least = Math.max(3 * s.quantum, 5 * s.sigma);
  // Looked at in full only where a neighbour moved so far at all: on a quick log most runs are none.
  if (![0, 1, 2].some((k) => Math.abs(s.x[to + k] - s.x[from]) >= least)) return false;
  const slope = (medianOf(s.x, from - 5, from) - medianOf(s.x, from - look, from - look + 5)) / (look - 5);
  const jump = medianOf(s.x, to, to + 3) - s.x[from];
  const missed = slope * (to - from);
  if (Math.abs(jump) < least) return false;
  return jump * missed > 0 && Math.abs(jump) > 0.5 * Math.abs(missed) && Math.abs(jump) < 2 * Math.abs(missed);
}
