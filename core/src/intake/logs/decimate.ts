/**
 * Few points that draw the same picture as many: for each pixel column the first, least, greatest and last value. So a line through them
 * covers the same pixels as a line through all of them, and no spike is lost, however short. Source: Jugel et al., "M4: A Visualization-Oriented Time
 * Series Data Aggregation", VLDB 2014. A gap (NaN) stays a gap: a column that holds one ends with a NaN.
 *
 * @param from first sample, `to` the one after the last
 * @param columns pixel columns over the range of time
 * @returns indices of the samples to draw, ascending
 */
export function decimate(
  timeS: Float64Array,
  values: Float64Array,
  columns: number,
  from = 0,
  to = values.length,
): Int32Array {
  if (to - from <= 4 * columns) return Int32Array.from({ length: Math.max(0, to - from) }, (_, i) => from + i);
  const out = new Int32Array(5 * (columns + 2));
  let n = 0;
  const [start, span] = [timeS[from], timeS[to - 1] - timeS[from] || 1];
  const put = (i: number): void => {
    if (i >= 0 && (n === 0 || out[n - 1] < i)) out[n++] = i;
  };
  let i = from;
  for (let column = 0; column < columns && i < to; column++) {
    const end = column === columns - 1 ? Infinity : start + (span * (column + 1)) / columns;
    const began = i;
    while (i < to && timeS[i] < end) i++;
    for (const k of extremes(values, began, i)) put(k);
  }
  return out.slice(0, n);
}

/** First, least, greatest and last value between two samples and the last gap there, by index, ascending; −1 for what is not there. */
function extremes(values: Float64Array, from: number, to: number): number[] {
  let [first, low, high, last, gap] = [-1, -1, -1, -1, -1];
  for (let i = from; i < to; i++) {
    const v = values[i];
    if (!Number.isFinite(v)) {
      gap = i;
      continue;
    }
    if (first < 0) first = i;
    if (low < 0 || v < values[low]) low = i;
    if (high < 0 || v > values[high]) high = i;
    last = i;
  }
  return [first, low, high, last, gap].sort((a, b) => a - b);
}
