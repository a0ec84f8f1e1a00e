import type { LogEvent } from '../src/intake/logs/finding.ts';
import type { Log, LogChannel, Mark } from '../src/intake/logs/log.ts';

// Short logs with a sample a second, written down as formulas, for the tests of what a log tells.

export const mark = (kind: Mark['kind'], fromS: number, toS: number | null, place = '', text = ''): Mark => ({
  kind,
  fromS,
  toS,
  place,
  text,
});
export const channel = (id: string, quantity: LogChannel['quantity'], values: ArrayLike<number>): LogChannel => ({
  id,
  name: id,
  quantity,
  values: Float64Array.from(values),
});
export const seconds = (n: number, step = 1): Float64Array => Float64Array.from({ length: n }, (_, i) => i * step);
export const made = (
  n: number,
  of: Record<string, readonly [LogChannel['quantity'], (t: number) => number]>,
  marks: Mark[] = [],
): Log => ({
  timeS: seconds(n),
  channels: Object.entries(of).map(([id, [quantity, f]]) => channel(id, quantity, Array.from(seconds(n), f))),
  marks,
});
export const event = (kind: LogEvent['kind'], fromS: number, toS: number): LogEvent => ({
  ...{ kind, fromS, toS, samples: 3, before: 20, level: -40, end: null, sigmas: 9 },
});
