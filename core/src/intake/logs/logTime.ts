import type { TimeKind } from './logColumns.ts';

const DAY_S = 86_400;
/** A clock that falls back by more than this went past midnight, s. */
const PAST_MIDNIGHT_S = DAY_S / 2;

/** Reads the times of a log one after the other: s from any origin, not yet running from 0; NaN where a cell holds no time. */
export function timeReader(kind: TimeKind, comma: boolean, everyS = 1): (cell: string) => number {
  const figure = (cell: string): number => (cell === '' ? NaN : comma ? +cell.replace(',', '.') : +cell);
  switch (kind) {
    case 'seconds':
    case 'epoch':
      return figure;
    case 'milliseconds':
    case 'epoch-ms':
      return (cell) => figure(cell) / 1000;
    case 'minutes':
      return (cell) => figure(cell) * 60;
    case 'serial':
      return (cell) => figure(cell) * DAY_S;
    case 'clock':
      return clockReader();
    case 'date-time':
      return dateReader();
    case 'rows': {
      let row = 0;
      return () => everyS * row++;
    }
  }
}

/** "10:02:03.5", "10:02", "2:03.5" (minutes and seconds, where there is a fraction), with am or pm; past midnight it runs on. */
function clockReader(): (cell: string) => number {
  let [days, last] = [0, -Infinity];
  return (cell) => {
    const s = clockS(cell.trim());
    if (Number.isNaN(s)) return NaN;
    if (s < last - PAST_MIDNIGHT_S) days++;
    last = s;
    return days * DAY_S + s;
  };
}

/**
 * Seconds since midnight of a time of day.
 *
 * @example clockS('1:02:03.5 pm') // 46923.5
 */
export function clockS(text: string): number {
  const found = /^(\d{1,3}):(\d{2})(?::(\d{2}))?(?:[.,](\d{1,9}))?\s*([ap]m)?/i.exec(text);
  if (!found) return NaN;
  const fraction = found[4] ? Number(`0.${found[4]}`) : 0;
  const [a, b] = [Number(found[1]), Number(found[2])];
  if (found[3] === undefined && found[4] !== undefined) return a * 60 + b + fraction;
  const half = found[5]?.toLowerCase();
  const hours = half === 'pm' && a < 12 ? a + 12 : half === 'am' && a === 12 ? 0 : a;
  return hours * 3600 + b * 60 + Number(found[3] ?? 0) + fraction;
}

/** Date and time of day, ISO or as written in a country; the day is worked out once for all rows that begin alike. */
function dateReader(): (cell: string) => number {
  let [begins, dayS] = ['\n', NaN];
  return (cell) => {
    const text = cell.trim();
    const at = text.search(/[T\s,]/);
    const date = at < 0 ? text : text.slice(0, at);
    if (date !== begins) [begins, dayS] = [date, DAY_S * dayNumber(date)];
    const clock = at < 0 ? 0 : clockS(text.slice(at + 1).replace(/^[\s,]+/, ''));
    return dayS + clock;
  };
}

/**
 * Days since 1970-01-01 of a date: year first, or (with points) day first, or (with strokes) month first unless it cannot be one.
 *
 * @example dayNumber('2026-11-26') // 20783
 */
export function dayNumber(date: string): number {
  const parts = date.split(/[-/.]/).map(Number);
  if (parts.length !== 3 || parts.some((p) => !Number.isInteger(p))) return NaN;
  let [year, month, day] = parts;
  if (parts[0] < 1000) {
    const dayFirst = !date.includes('/') || parts[0] > 12;
    [day, month] = dayFirst ? [parts[0], parts[1]] : [parts[1], parts[0]];
    year = parts[2] < 100 ? 2000 + parts[2] : parts[2];
  }
  if (month < 1 || month > 12 || day < 1 || day > 31) return NaN;
  return Date.UTC(year, month - 1, day) / (DAY_S * 1000);
}
