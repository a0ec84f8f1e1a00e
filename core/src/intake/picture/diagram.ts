import { KELVIN } from '../../circuit/curves/curveModel.ts';
import type { Spot } from './straighten.ts';

/** A known place on an axis: px along it, and the value that is printed there (°C, or Ω). */
export interface AxisMark {
  at: number;
  value: number;
}

/** An axis by two known places on it. */
export interface Axis {
  scale: 'linear' | 'log';
  marks: readonly [AxisMark, AxisMark];
}

/** What is wrong with an axis: its places lie too close (under 40 px), have one value, or a logarithmic one has a value that is not above 0. */
export type AxisFault = 'too-close' | 'same-value' | 'not-positive';

export function axisFault({ scale, marks: [a, b] }: Axis): AxisFault | null {
  if (scale === 'log' && !(a.value > 0 && b.value > 0)) return 'not-positive';
  if (a.value === b.value) return 'same-value';
  return Math.abs(a.at - b.at) < 40 ? 'too-close' : null;
}

/** A value read off an axis. `ratio`: what one pixel is worth, in the unit of the axis (linear) or as ln of the value (logarithmic). */
export function valueAt(
  { scale, marks: [a, b] }: Axis,
  at: number,
): { value: number; perPixel: number; share: number } {
  const on = scale === 'log' ? Math.log : (v: number) => v;
  const share = (at - a.at) / (b.at - a.at);
  const value = on(a.value) + share * (on(b.value) - on(a.value));
  return {
    value: scale === 'log' ? Math.exp(value) : value,
    perPixel: Math.abs((on(b.value) - on(a.value)) / (b.at - a.at)),
    share,
  };
}

/** A point read off a diagram: °C, Ω, and the half-width within which its resistance lies, as ln. */
export interface DiagramPoint {
  temperatureC: number;
  resistanceOhm: number;
  halfLog: number;
}

/** Coverage factor for about 95 of 100: GUM 6.3.3. */
const COVERAGE = 2;

/** A hand puts a point within this many pixels, rectangular: common practice, no source. */
export const HAND_PX = 2;

/**
 * Reads points off a diagram. Click and both marks of each axis are each off by up to `handPx` (rectangular); their errors add as GUM 5.1 says and,
 * by the slope of the line, an error of the temperature is one of the resistance. The half-width is twice the standard uncertainty (about 95 of 100).
 * Points that are no resistance or lie below absolute zero are left out; of two at one temperature the first stays. Ascending temperature. Throws a `RangeError`
 * for an axis that has a fault.
 */
export function diagramPoints(across: Axis, up: Axis, clicks: readonly Spot[], handPx = HAND_PX): DiagramPoint[] {
  for (const axis of [across, up]) {
    const fault = axisFault(axis);
    if (fault) throw new RangeError(`diagramPoints: ${fault}`);
  }
  const oneSigma = handPx / Math.sqrt(3);
  const spread = (share: number): number => oneSigma * Math.sqrt(1 + (1 - share) ** 2 + share ** 2);
  const read = clicks
    .map(({ x, y }) => ({ t: valueAt(across, x), r: valueAt(up, y) }))
    .filter(({ t, r }) => t.value > -KELVIN && r.value > 0)
    .sort((a, b) => a.t.value - b.t.value)
    .filter(({ t }, i, all) => i === 0 || t.value > all[i - 1].t.value);
  return read.map(({ t, r }, i) => {
    const [before, after] = [read[Math.max(0, i - 1)], read[Math.min(read.length - 1, i + 1)]];
    const slope = before === after ? 0 : Math.log(after.r.value / before.r.value) / (after.t.value - before.t.value);
    const sigmaLog = (up.scale === 'log' ? 1 : 1 / r.value) * r.perPixel * spread(r.share);
    const sigmaK = t.perPixel * (across.scale === 'log' ? t.value : 1) * spread(t.share);
    return {
      temperatureC: t.value,
      resistanceOhm: r.value,
      halfLog: COVERAGE * Math.hypot(sigmaLog, slope * sigmaK),
    };
  });
}

/** The points as a table: temperature, Ω, and the limits within which the picture places them. */
export function diagramText(points: readonly DiagramPoint[]): string {
  const figure = (r: number): string => String(Number(r.toPrecision(5)));
  const rows = points.map(({ temperatureC, resistanceOhm: r, halfLog }) =>
    [temperatureC.toFixed(2), figure(r), figure(r * Math.exp(-halfLog)), figure(r * Math.exp(halfLog))].join('\t'),
  );
  return ['°C\tΩ\tmin Ω\tmax Ω', ...rows].join('\n');
}

/** A picture that is turned by more than this, or whose axes do not agree within that, is taken for straight, degrees: the crosses were set roughly. */
const [MOST_TILT, AXES_AGREE] = [8, 1.5];

/**
 * By how much a picture is turned clockwise, radians, by the two known places on each of its axes (the resistance axis from below); 0 where they do
 * not agree.
 */
export function tiltOf(across: readonly [Spot, Spot], up: readonly [Spot, Spot]): number {
  const by = ([a, b]: readonly [Spot, Spot]): Spot => ({ x: b.x - a.x, y: b.y - a.y });
  const [along, above] = [by(across), by(up)];
  const [first, second] = [Math.atan2(along.y, along.x), Math.atan2(above.x, -above.y)];
  const degrees = (angle: number): number => Math.abs((angle * 180) / Math.PI);
  if (degrees(first) > MOST_TILT || degrees(second) > MOST_TILT || degrees(first - second) > AXES_AGREE) return 0;
  return (first + second) / 2;
}

/** A place as it would be in the same picture turned straight. */
export const straightened = ({ x, y }: Spot, tilt: number): Spot => ({
  x: x * Math.cos(tilt) + y * Math.sin(tilt),
  y: y * Math.cos(tilt) - x * Math.sin(tilt),
});
