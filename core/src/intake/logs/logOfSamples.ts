import type { Quantity } from '../../base/units/quantity.ts';
import type { Log, Mark } from './log.ts';

/** Samples as they came: time, s from the start of the recording, and value of each, in the order in which they came. */
export interface SampleSeries {
  id: string;
  name: string;
  quantity: Quantity;
  timeS: ArrayLike<number>;
  values: ArrayLike<number>;
}

/** Samples of several instruments on one clock: a row for each time at which any gave a value, a gap (NaN) for those that gave none. */
export function logOfSamples(series: readonly SampleSeries[], marks: readonly Mark[]): Log {
  const total = series.reduce((n, s) => n + s.timeS.length, 0);
  const timeS = new Float64Array(total);
  const rows = series.map((s) => new Int32Array(s.timeS.length));
  const at = series.map(() => 0);
  let n = 0;
  for (let done = 0; done < total;) {
    let next = Infinity;
    series.forEach((s, k) => {
      if (at[k] < s.timeS.length) next = Math.min(next, s.timeS[at[k]]);
    });
    timeS[n] = next;
    series.forEach((s, k) => {
      // A clock that was set back between two samples does not run back in the log.
      while (at[k] < s.timeS.length && s.timeS[at[k]] <= next) {
        rows[k][at[k]++] = n;
        done++;
      }
    });
    n++;
  }
  return {
    timeS: timeS.slice(0, n),
    channels: series.map((s, k) => {
      const values = new Float64Array(n).fill(NaN);
      for (let i = 0; i < s.values.length; i++) values[rows[k][i]] = s.values[i];
      return { id: s.id, name: s.name, quantity: s.quantity, values };
    }),
    marks: marks.map((m) => ({ ...m })),
  };
}
