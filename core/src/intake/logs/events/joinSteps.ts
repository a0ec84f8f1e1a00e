import { medianOf } from '../../../base/numeric/quantiles.ts';
import type { LogEvent } from '../finding.ts';
import { endOf, type ScaleEnds } from './ends.ts';
import { mean, type Series, slopeOf, span, take } from './series.ts';
import type { Step } from './steps.ts';

/** Longest stretch between two opposite steps that counts as one event, share of the series. */
const LONGEST_AWAY = 0.25;

/** The events that steps make: one away and one back are a long drop-out, where what lies between is at an end of the scale. */
export function joinSteps(
  s: Series,
  steps: readonly Step[],
  ends: ScaleEnds,
  explained: readonly LogEvent[],
): LogEvent[] {
  const events: LogEvent[] = [];
  for (let k = 0; k < steps.length; k++) {
    const [one, two] = [steps[k], steps[k + 1]];
    const pair = awayInTwoSteps(s, one, two, ends);
    const event = pair ?? awayAgain(s, one, ends) ?? loneStep(s, one, two, ends, explained);
    if (event) events.push(event);
    // The second step of a pair belongs to the event of the first.
    if (pair) k++;
  }
  return events;
}

const beforeOf = ({ x }: Series, { at }: Step): number => medianOf(x, Math.max(0, at - 6), at);

/** One step away and one back: a drop-out where the stretch between is at an end, else a short spike; null where the two are no pair. */
function awayInTwoSteps(s: Series, one: Step, two: Step | undefined, ends: ScaleEnds): LogEvent | null {
  if (!two || one.height * two.height >= 0) return null;
  if (two.at - one.at > Math.max(4 * s.half, LONGEST_AWAY * s.x.length)) return null;
  const before = beforeOf(s, one);
  const level = medianOf(s.x, one.at, two.at);
  const end = endOf(level, before, ends);
  if (!end && two.at - one.at > 2 * s.half) return null;
  take(s, one.at, two.at);
  return { ...span(s, one.at, two.at), kind: end ? 'drop-out' : 'spike', before, level, end, sigmas: one.z };
}

/** A step that comes back softly. */
function awayAgain(s: Series, one: Step, ends: ScaleEnds): LogEvent | null {
  const away = awayAndBack(s, one);
  if (!away) return null;
  const [from, to] = away;
  const before = s.x[Math.max(0, from - 1)];
  const level = medianOf(s.x, from, to);
  const end = endOf(level, before, ends);
  take(s, from, to);
  return { ...span(s, from, to), kind: end ? 'drop-out' : 'spike', before, level, end, sigmas: one.z };
}

/** A step that stays: at an end of the scale a drop-out until the next one. */
function loneStep(
  s: Series,
  one: Step,
  two: Step | undefined,
  ends: ScaleEnds,
  explained: readonly LogEvent[],
): LogEvent | null {
  const n = s.x.length;
  // What a display makes up for after it stood belongs to the standing; a rush has two bends.
  const beside = s.half * s.stepS;
  if (explained.some((e) => s.t[one.at] >= e.fromS - beside && s.t[one.at] <= e.toS + beside)) return null;
  const before = beforeOf(s, one);
  const level = medianOf(s.x, one.at, Math.min(n, one.at + 6));
  const end = endOf(level, before, ends);
  take(s, one.at - 2, one.at + 2);
  const whole = span(s, one.at, end ? (two?.at ?? n) : one.at + 1);
  return { ...whole, kind: end ? 'drop-out' : 'step', before, level, end, sigmas: one.z };
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
