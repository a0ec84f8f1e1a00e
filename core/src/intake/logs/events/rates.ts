import { runningMedian } from '../../../base/numeric/runningMedian.ts';
import type { LogEvent } from '../finding.ts';
import { type Series, span, take } from './series.ts';

/** Faster than this no sensor in a liquid or a duct follows, K/s. Common practice, no source. */
const FASTEST_K_S = 4;
/** A rate that is told covers at least so much, K. */
const LEAST_RATE_K = 8;
export function findRates(s: Series): LogEvent[] {
  const n = s.x.length;
  const reach = Math.max(3, Math.round(1 / s.stepS));
  const x = runningMedian(s.x, 2);
  const events: LogEvent[] = [];
  for (let i = 0; i + reach < n; i++) {
    const seconds = s.t[i + reach] - s.t[i];
    if (s.taken[i] || s.taken[i + reach] || seconds > 2 * reach * s.stepS) continue;
    const change = x[i + reach] - x[i];
    if (Math.abs(change) < FASTEST_K_S * seconds || Math.abs(change) < 6 * s.sigma) continue;
    let to = i + reach;
    while (
      to + 1 < n &&
      (x[to + 1] - x[to + 1 - reach]) * Math.sign(change) >= FASTEST_K_S * (s.t[to + 1] - s.t[to + 1 - reach])
    )
      to++;
    const total = x[to] - x[i];
    let most = 0;
    for (let k = i + 1; k <= to; k++) most = Math.max(most, Math.abs(x[k] - x[k - 1]));
    // What comes mostly between two neighbours is a step, or the side of a drop-out.
    if (Math.abs(total) >= LEAST_RATE_K && most < 0.5 * Math.abs(total)) {
      events.push({
        ...span(s, i, to + 1),
        kind: 'rate',
        before: x[i],
        level: x[to],
        end: null,
        sigmas: Math.abs(total) / s.sigma,
      });
      take(s, i - 3, to + 4);
    }
    i = to;
  }
  return events;
}
