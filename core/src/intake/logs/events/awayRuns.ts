import { medianOf } from '../../../base/numeric/quantiles.ts';
import type { Quantity } from '../../../base/units/quantity.ts';
import type { LogEvent } from '../finding.ts';
import { endOf, type ScaleEnds } from './ends.ts';

export function overloadRuns(timeS: Float64Array, values: Float64Array, quantity: Quantity): LogEvent[] {
  const out: LogEvent[] = [];
  if (quantity !== 'ohms') return out;
  let n = 0;
  for (let i = 0; i <= values.length; i++) {
    if (i < values.length && values[i] === Infinity) n++;
    else if (n > 0) {
      const from = i - n;
      const before = from > 0 ? values[from - 1] : NaN;
      // A meter whose leads are nowhere shows OL from the start: that is no drop-out.
      if (from > 0 && i < values.length)
        out.push({
          kind: 'drop-out',
          fromS: timeS[from],
          toS: timeS[i - 1],
          samples: n,
          before,
          level: Infinity,
          end: 'high',
          sigmas: Infinity,
        });
      n = 0;
    }
  }
  return out;
}

export interface AwayRun {
  from: number;
  to: number;
  event: LogEvent;
}

/** A drop-out jumps by at least this share of the whole scale: a value that creeps to its end is there by itself. */
const LEAST_JUMP = 0.08;

/** Runs of samples at an end of the scale, into which the value jumped. */
export function awayRuns(t: Float64Array, x: Float64Array, ends: ScaleEnds): AwayRun[] {
  const runs: AwayRun[] = [];
  const least = LEAST_JUMP * (ends.high - ends.low);
  for (let i = 1; i < x.length; i++) {
    const before = x[i - 1];
    const end = endOf(x[i], before, ends);
    if (!end || Math.abs(x[i] - before) < least) continue;
    const at = (v: number): boolean => (end === 'low' ? v <= ends.low : v >= ends.high);
    let to = i;
    while (to < x.length && at(x[to])) to++;
    const level = medianOf(x, i, to);
    const event: LogEvent = {
      kind: 'drop-out',
      fromS: t[i],
      toS: t[to - 1],
      samples: to - i,
      before,
      level,
      end,
      sigmas: Infinity,
    };
    runs.push({ from: i, to, event });
    i = to;
  }
  return runs;
}

export function without(t: Float64Array, x: Float64Array, runs: readonly AwayRun[]): [Float64Array, Float64Array] {
  if (runs.length === 0) return [t, x];
  const away = new Uint8Array(x.length);
  for (const { from, to } of runs) away.fill(1, from, to);
  const inside = (v: Float64Array): Float64Array => v.filter((_, i) => away[i] === 0);
  return [inside(t), inside(x)];
}
