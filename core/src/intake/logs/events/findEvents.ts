import type { Quantity } from '../../../base/units/quantity.ts';
import type { LogEvent } from '../finding.ts';
import { finitePart } from '../log.ts';
import { awayRuns, overloadRuns, without } from './awayRuns.ts';
import { findBumps } from './bumps.ts';
import { type ScaleEnds, USUAL_ENDS } from './ends.ts';
import { joinSteps } from './joinSteps.ts';
import { findNoise } from './noisyStretches.ts';
import { findRates } from './rates.ts';
import { scaleOf, type Series, seriesOf, slopeOf, widerOf } from './series.ts';
import { findSteps, withoutTurns } from './steps.ts';
import { findStuck } from './stuck.ts';

/**
 * Where a series breaks off from its course: drop-outs, steps, spikes, stuck stretches, noise, rates no mass of metal can follow, in the order of
 * time. What is normal is learned from the series itself: its noise at every scale (whatever its correlation), its smallest step, its own pace; a
 * clean series gives a false alarm in about one of 100.
 *
 * @param values V, Ω or °C; NaN is a gap, Infinity is OL
 */
export function findEvents(
  timeS: Float64Array,
  values: Float64Array,
  quantity: Quantity,
  ends: ScaleEnds = USUAL_ENDS[quantity],
): LogEvent[] {
  const overloads = overloadRuns(timeS, values, quantity);
  const { t, x } = finitePart(timeS, values);
  const away = awayRuns(t, x, ends);
  // What is at an end of the scale is told, and says nothing of the rest.
  const series = seriesOf(...without(t, x, away));
  const gone = [...overloads, ...away.map((a) => a.event)];
  if (!series) return gone;
  // In this order: each leaves out what the ones before it have explained.
  const noise = findNoise(series);
  const stuck = findStuck(series, ends);
  series.sigma = Math.max(scaleOf(series.left, series.quantum, series.taken), series.quantum / Math.sqrt(12), 1e-12);
  series.wider = widerOf(series);
  const rates = quantity === 'celsius' ? findRates(series) : [];
  const bumps = findBumps(series, ends);
  const steps = withoutTurns(findSteps(series));
  const joined = joinSteps(series, steps, ends, [...stuck, ...rates, ...gone]);
  const all = [...gone, ...bumps, ...stuck, ...joined, ...noise, ...rates].sort((a, b) => a.fromS - b.fromS);
  return withoutTwins(withoutGaps(series, all), series.half * series.stepS);
}

/** A pause of the logger: so many times the usual time between two samples. */
const PAUSE = 4;
/** What the course does in a pause is known from both sides to within so much. */
const SLACK = { times: 2, sigmas: 6 } as const;

/** Without steps and spikes that a pause explains: while nothing was written, the value went on as it does before and after. */
function withoutGaps({ t, x, half, stepS, sigma }: Series, events: readonly LogEvent[]): LogEvent[] {
  const pauses: { fromS: number; toS: number; goesOn: number }[] = [];
  for (let i = 1; i < t.length; i++) {
    const lasts = t[i] - t[i - 1];
    if (lasts < PAUSE * stepS) continue;
    const slope = Math.max(Math.abs(slopeOf(x, i - half, i)), Math.abs(slopeOf(x, i, i + half))) / stepS;
    pauses.push({ fromS: t[i - 1], toS: t[i], goesOn: SLACK.times * slope * lasts + SLACK.sigmas * sigma });
  }
  if (pauses.length === 0) return [...events];
  const beside = half * stepS;
  return events.filter(
    (e) =>
      (e.kind !== 'step' && e.kind !== 'spike' && e.kind !== 'rate') ||
      !pauses.some(
        (p) => e.fromS <= p.toS + beside && e.toS >= p.fromS - beside && Math.abs(e.level - e.before) <= p.goesOn,
      ),
  );
}

/** An event that lies inside another of more weight is the same one. */
function withoutTwins(events: readonly LogEvent[], besideS: number): LogEvent[] {
  const weight: Record<LogEvent['kind'], number> = { 'drop-out': 5, stuck: 4, noise: 3, step: 2, spike: 1, rate: 0 };
  return events.filter((e) => {
    // The sides of any event are steep.
    const beside = e.kind === 'rate' ? besideS : 1e-9;
    return !events.some(
      (o) => o !== e && weight[o.kind] > weight[e.kind] && e.fromS <= o.toS + beside && e.toS >= o.fromS - beside,
    );
  });
}
