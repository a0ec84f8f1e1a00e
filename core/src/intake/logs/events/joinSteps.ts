import { medianOf } from '../../../base/numeric/quantiles.ts';
import type { LogEvent } from '../finding.ts';
import { endOf, type ScaleEnds } from './ends.ts';
import { mean, type Series, slopeOf, span } from './series.ts';
import type { Step } from './steps.ts';

/** Longest stretch between two opposite steps that counts as one event, share of the series. */
const LONGEST_AWAY = 0.25;

/** Steps as they are told: one away and one back are a long drop-out, where what lies between is at an end of the scale. */
export function joinSteps(
  s: Series,
  steps: readonly Step[],
  ends: ScaleEnds,
  explained: readonly LogEvent[],
): LogEvent[] {
  const events: LogEvent[] = [];
  const n = s.x.length;
  for (let k = 0; k < steps.length; k++) {
    const one = steps[k];
    const two = steps[k + 1];
    const before = medianOf(s.x, Math.max(0, one.at - 6), one.at);
    if (two && one.height * two.height < 0 && two.at - one.at <= Math.max(4 * s.half, LONGEST_AWAY * n)) {
      const level = medianOf(s.x, one.at, two.at);
      const end = endOf(level, before, ends);
      if (end || two.at - one.at <= 2 * s.half) {
        for (let i = one.at; i < two.at; i++) s.taken[i] = 1;
        const kind = end ? 'drop-out' : 'spike';
        events.push({
          kind,
          fromS: s.t[one.at],
          toS: s.t[two.at - 1],
          samples: two.at - one.at,
          before,
          level,
          end,
          sigmas: one.z,
        });
        k++;
        continue;
      }
    }
    const away = awayAndBack(s, one);
    if (away) {
      const [from, to] = away;
      const level = medianOf(s.x, from, to);
      const end = endOf(level, s.x[Math.max(0, from - 1)], ends);
      for (let i = from; i < to; i++) s.taken[i] = 1;
      events.push({
        ...span(s, from, to),
        kind: end ? 'drop-out' : 'spike',
        before: s.x[Math.max(0, from - 1)],
        level,
        end,
        sigmas: one.z,
      });
      continue;
    }
    // What a display makes up for after it stood is told with the standing; a rush has two bends.
    const beside = s.half * s.stepS;
    if (explained.some((e) => s.t[one.at] >= e.fromS - beside && s.t[one.at] <= e.toS + beside)) continue;
    const level = medianOf(s.x, one.at, Math.min(n, one.at + 6));
    const end = endOf(level, before, ends);
    const last = two ? two.at : n;
    events.push(
      end
        ? {
            kind: 'drop-out',
            fromS: s.t[one.at],
            toS: s.t[last - 1],
            samples: last - one.at,
            before,
            level,
            end,
            sigmas: one.z,
          }
        : { kind: 'step', fromS: s.t[one.at], toS: s.t[one.at], samples: 1, before, level, end, sigmas: one.z },
    );
    for (let i = Math.max(0, one.at - 2); i < Math.min(n, one.at + 2); i++) s.taken[i] = 1;
  }
  return events;
}

/**
 * Is a lone step one side of something that comes back, whose other side was too soft to stand out? Looked for within two windows on both sides, against
 * the line through the samples beyond: what lies on it again has come back.
 */
function awayAndBack({ x, half, sigma }: Series, step: Step): [number, number] | null {
  if (Math.abs(step.height) < 6 * sigma) return null;
  for (const way of [1, -1]) {
    // The line through the side on which it was, or is again, where it belongs.
    const [a, b] = way > 0 ? [step.at - half, step.at] : [step.at, step.at + half];
    if (a < 0 || b > x.length) continue;
    const slope = slopeOf(x, a, b);
    const middle = (a + b - 1) / 2;
    const level = mean(x, a, b);
    const off = (from: number, to: number): number =>
      mean(x, from, to) - (level + slope * ((from + to - 1) / 2 - middle));
    for (let length = 3; length <= 2 * half; length++) {
      const [from, to] =
        way > 0 ? [step.at + length, step.at + length + half] : [step.at - length - half, step.at - length];
      if (from < 0 || to > x.length) break;
      const near = way > 0 ? off(from, from + 3) : off(to - 3, to);
      if (Math.abs(near) < 0.35 * Math.abs(step.height) && Math.abs(off(from, to)) < 0.35 * Math.abs(step.height))
        return way > 0 ? [step.at, from] : [to, step.at];
    }
  }
  return null;
}
