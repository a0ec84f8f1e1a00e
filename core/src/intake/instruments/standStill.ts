import type { Quantity } from '../../base/units/quantity.ts';

/** One value at its time, s. */
export interface Sample {
  timeS: number;
  value: number;
}

/** Does a value stand still? With the figure that would be taken, or why not. */
export type StandStill =
  /** `spread` is half the width of what the values in the window lie in. */
  | { still: true; value: number; spread: number; overS: number }
  /** 'moving' tells the slope per minute, 'noisy' the spread of the values. */
  | { still: false; why: 'few' | 'moving' | 'noisy'; amount: number };

/** How far values of one quantity may scatter and drift and still be one figure: relative and absolute (V, Ω, K), and drift a minute; `shows`: the share of
 * the scatter by which a drift must have moved it in the window; `step`: the coarsest step in which an instrument shows it. */
const BOUNDS: Record<
  Quantity,
  { relative: number; absolute: number; driftRelative: number; drift: number; shows: number; step: number }
> = {
  volts: { relative: 0.004, absolute: 0.006, driftRelative: 0.01, drift: 0.02, shows: 0.33, step: 0.05 },
  ohms: { relative: 0.006, absolute: 0.4, driftRelative: 0.015, drift: 1, shows: 0.33, step: 10 },
  celsius: { relative: 0, absolute: 0.8, driftRelative: 0, drift: 1, shows: 0.6, step: 2.5 },
};
/** The window it is looked at over, s, and the fewest values in it that must agree: a lone one is never taken. */
export const STILL_OVER_S = 3;
export const STILL_VALUES = 3;

/**
 * Stands a channel still? Looked at over the last three seconds: all values (OL only with OL) must lie in a band of the instrument's own scatter, and the
 * line through them must not drift by more than a sensor may and still be called settled. The figure is their middle one. Common practice, no source.
 *
 * @param samples in the order of time, V, Ω (Infinity is OL) or °C
 */
export function standStill(samples: readonly Sample[], quantity: Quantity): StandStill {
  const last = samples[samples.length - 1];
  const window = last ? samples.filter((s) => s.timeS > last.timeS - STILL_OVER_S) : [];
  const first = window[0];
  if (window.length < STILL_VALUES || last.timeS - first.timeS < STILL_OVER_S / 2)
    return { still: false, why: 'few', amount: window.length };
  const overS = last.timeS - first.timeS;
  if (window.every((s) => s.value === Infinity)) return { still: true, value: Infinity, spread: 0, overS };
  if (window.some((s) => !Number.isFinite(s.value))) return { still: false, why: 'noisy', amount: Infinity };
  const values = window.map((s) => s.value).sort((a, b) => a - b);
  const value = values[Math.floor(values.length / 2)];
  const spread = (values[values.length - 1] - values[0]) / 2;
  const bounds = BOUNDS[quantity];
  const size = Math.abs(value);
  const slope = 60 * slopeOf(window);
  const step = stepOf(values, bounds.step);
  const scatter = Math.max(bounds.relative * size + bounds.absolute, step / 2);
  const moved = Math.abs(slope) * (overS / 60);
  if (
    Math.abs(slope) > bounds.driftRelative * size + bounds.drift &&
    moved > bounds.shows * scatter &&
    moved > STEPS_MOVED * step
  )
    return isJump(window, Math.max(bounds.step, JUMP_SHARE * 2 * spread))
      ? { still: false, why: 'noisy', amount: spread }
      : { still: false, why: 'moving', amount: slope };
  if (spread > scatter) return { still: false, why: 'noisy', amount: spread };
  return { still: true, value, spread, overS };
}

/** A figure that goes from one step of its display to the next may not have moved at all: more than so many steps are a movement. */
const STEPS_MOVED = 1.5;

/** Most of the change in one go, and more than any display's step, is a jump: a line that drops out has no slope. */
const JUMP_SHARE = 0.7;

/** Is there a change from one value to the next larger than this? */
const isJump = (window: readonly Sample[], most: number): boolean =>
  window.some((s, i) => i > 0 && Math.abs(s.value - window[i - 1].value) > most);

/** The step in which these values are shown: the least difference between two of them; 0 where that is coarser than any instrument shows. */
function stepOf(sorted: readonly number[], coarsest: number): number {
  const gaps = sorted.slice(1).flatMap((v, i) => (v - sorted[i] > 1e-9 ? [v - sorted[i]] : []));
  const least = gaps.length > 0 ? Math.min(...gaps) : 0;
  return least <= coarsest ? least : 0;
}

/** Slope of the line through the values, per second. */
function slopeOf(samples: readonly Sample[]): number {
  const n = samples.length;
  const t = samples.reduce((a, s) => a + s.timeS, 0) / n;
  const v = samples.reduce((a, s) => a + s.value, 0) / n;
  let [up, down] = [0, 0];
  for (const s of samples) {
    up += (s.timeS - t) * (s.value - v);
    down += (s.timeS - t) ** 2;
  }
  return down > 0 ? up / down : 0;
}
