import { exponentialFit } from '../../base/numeric/exponentialFit.ts';
import { medianOf, quantileOf } from '../../base/numeric/quantiles.ts';
import { type Blocks, blocksOf } from './blocks.ts';
import type { Found, LogEvent } from './finding.ts';
import type { LogChannel } from './log.ts';

/** A warm-up rises by at least so much, K. */
const LEAST_RISE_K = 20;
/** What never gets warmer than this is no coolant, °C. */
const LEAST_TOP_C = 48;
/** The machine cools down again where it is so far below the highest, K. */
const COOLS_K = 12;
/** A machine with a thermostat is held at least so warm, °C. Common practice, no source: about 85 … 95. */
const HELD_FROM_C = 74;
/** A turn of the fan swings at least so much, K. */
const LEAST_SWING_K = 1.2;
/** Slope below which a machine no longer warms up, K a minute. */
const FLAT_K_MIN = 0.8;
/** Over so long some turns of a fan are in it, whose halves need not be alike, s. */
const LONG_S = 200;

type WarmUp = Found<'warm-up'>;

/** The warm-up in a channel of temperature, judged; null where it does not warm up. `leave` are events that are told by themselves. */
export function warmUp(timeS: Float64Array, channel: LogChannel, leave: readonly LogEvent[]): WarmUp | null {
  const series = blocksOf(timeS, channel.values, 2, leave);
  const { t, x } = series;
  const n = x.length;
  if (n < 30) return null;
  const highest = quantileOf(x, 0.98);
  // The lowest before the highest: where the warm-up begins.
  const top = x.findIndex((v) => v >= highest - 0.02 * Math.abs(highest));
  let low = 0;
  for (let i = 0; i <= top; i++) if (x[i] < x[low]) low = i;
  const rise = x[top] - x[low];
  if (rise < LEAST_RISE_K || x[top] < LEAST_TOP_C || top - low < 8) return null;
  const begins = lastBelow(x, low, top, x[low] + 0.03 * rise);
  const ends = firstAbove(x, begins, x[low] + 0.9 * rise);
  const stops = coolsFrom(x, ends, highest - COOLS_K);
  const plateauC = plateauOf(afterRise(series, ends, stops));
  const until = plateauC === null ? ends + 1 : stops;
  const approach = exponentialFit(t.slice(begins, until), x.slice(begins, until));
  const told = approach !== null && approach.sigma.timeConstantS < 0.3 * approach.timeConstantS;
  return {
    kind: 'warm-up',
    channel: channel.id,
    fromS: t[begins],
    toS: t[ends],
    fromC: x[low],
    toC: x[top],
    setback: setbackOf(x, begins, ends),
    holds: plateauC === null ? 'still-rising' : plateauC >= HELD_FROM_C ? 'holds' : 'stays-low',
    plateauC,
    overshootK: plateauC === null ? 0 : Math.max(0, Math.max(...x.slice(ends, stops)) - plateauC),
    cycles: plateauC === null ? null : cyclesOf(t.slice(ends, stops), x.slice(ends, stops), plateauC),
    timeConstantS: told ? { value: approach.timeConstantS, sigma: approach.sigma.timeConstantS } : null,
  };
}

/** The most that it falls back on its way up, K. */
function setbackOf(x: readonly number[], begins: number, ends: number): number {
  let [peak, setback] = [-Infinity, 0];
  for (let i = begins; i <= ends; i++) {
    peak = Math.max(peak, x[i]);
    setback = Math.max(setback, peak - x[i]);
  }
  return setback;
}

/** The temperature that is held after the rise, °C; null where it still rises or too little follows. */
function plateauOf(tail: ReturnType<typeof afterRise>): number | null {
  if (!tail) return null;
  const mostSlope = tail.overS > LONG_S ? 2 * FLAT_K_MIN : FLAT_K_MIN;
  return Math.abs(tail.slopeKMin) < mostSlope ? tail.level : null;
}

function lastBelow(x: readonly number[], from: number, to: number, level: number): number {
  let found = from;
  for (let i = from; i <= to; i++) if (x[i] <= level) found = i;
  return found;
}

function firstAbove(x: readonly number[], from: number, level: number): number {
  for (let i = from; i < x.length; i++) if (x[i] >= level) return i;
  return x.length - 1;
}

/** Level and slope of what follows the rise, until the machine cools down again; null where too little follows. */
function afterRise(
  { t, x }: Blocks,
  ends: number,
  stops: number,
): { level: number; slopeKMin: number; overS: number } | null {
  const from = ends + Math.floor(0.35 * (stops - ends));
  if (stops - from < 12 || t[stops - 1] - t[from] < 40) return null;
  const half = (from + stops) >> 1;
  const minutes = (t[stops - 1] - t[from]) / 120;
  return {
    level: medianOf(x, from, stops),
    slopeKMin: (medianOf(x, half, stops) - medianOf(x, from, half)) / minutes,
    overS: 120 * minutes,
  };
}

/** The first block after the rise from which it stays well below its highest. */
function coolsFrom(x: readonly number[], ends: number, level: number): number {
  for (let i = ends; i < x.length; i++) if (x[i] < level) return i;
  return x.length;
}

/** Turns of the fan: swings about the level, counted where they cross it by more than half of the least swing. */
function cyclesOf(t: readonly number[], x: readonly number[], level: number): WarmUp['cycles'] {
  const crossings: number[] = [];
  let side = 0;
  for (let i = 0; i < x.length; i++) {
    const now = x[i] > level + LEAST_SWING_K / 2 ? 1 : x[i] < level - LEAST_SWING_K / 2 ? -1 : side;
    if (now === -1 && side === 1) crossings.push(t[i]);
    side = now;
  }
  if (crossings.length < 2) return null;
  const periods = crossings.slice(1).map((c, i) => c - crossings[i]);
  return {
    count: crossings.length,
    periodS: medianOf(periods),
    swingK: quantileOf(x, 0.95) - quantileOf(x, 0.05),
  };
}

/** Dips that are too slow for a wire and too quick for a mass of coolant: depth and length at least so much, and the sides not steeper than a drop-out's. */
const DIP = { depthK: 5, leastS: 3, mostS: 90, sideS: 1.5 } as const;

/** Air at the sensor: such dips during or after a warm-up, while no other sensor of the machine shows them. */
export function airDips(timeS: Float64Array, channel: LogChannel, events: readonly LogEvent[]): Found<'air'> | null {
  const electric = events.filter(
    (e) => e.kind === 'drop-out' || e.kind === 'step' || e.kind === 'stuck' || e.kind === 'spike',
  );
  const series = blocksOf(timeS, channel.values, 1);
  const dips: Dip[] = [];
  for (let i = 1; i < series.x.length; i++) {
    const dip = dipAt(series, i);
    if (!dip || electric.some((e) => e.fromS < dip.toS + 2 && e.toS > dip.fromS - 2)) continue;
    dips.push({ fromS: dip.fromS, toS: dip.toS, depthK: dip.depthK });
    i = dip.end;
  }
  // The fan pulls down slowly and again and again: that is no air.
  return dips.length > 0 && dips.every((d) => d.depthK / (d.toS - d.fromS) > 0.25)
    ? { kind: 'air', channel: channel.id, dips }
    : null;
}

interface Dip {
  fromS: number;
  toS: number;
  depthK: number;
}

/** The dip that begins with this block, and the block in which it ends; null where there is none. */
function dipAt({ t, x }: Blocks, from: number): (Dip & { end: number }) | null {
  const before = x[from - 1];
  if (x[from] >= before || before <= 40) return null;
  let [low, end] = [from, from];
  while (end < x.length && x[end] < before - 1 && t[end] - t[from] < DIP.mostS) {
    if (x[end] < x[low]) low = end;
    end++;
  }
  const lastsS = end < x.length ? t[end] - t[from] : Infinity;
  const depthK = before - x[low];
  const slow = t[low] - t[from - 1] > DIP.sideS;
  if (!slow || depthK < DIP.depthK || lastsS < DIP.leastS || lastsS >= DIP.mostS) return null;
  return { fromS: t[from - 1], toS: t[end], depthK, end };
}
