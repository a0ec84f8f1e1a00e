import type { Log, LogChannel, Mark } from './log.ts';
import { figureOf, insideOf, type LogColumn, quantityOf, type TimeKind } from './logColumns.ts';
import type { LogLayout } from './logLayout.ts';
import { timeReader } from './logTime.ts';
import { markFromText, MARKS_APART } from './markText.ts';

/** How a file was read, beside what is in it. */
export interface LogRead {
  log: Log;
  columns: LogColumn[];
  /** Rows of values, lines that could not be read, and the first of these, counted from 1. */
  rows: number;
  skipped: number;
  firstSkipped: number | null;
  /** How often the clock ran back; the log runs on from there. */
  setBack: number;
  delimiter: string;
  comma: boolean;
  /** When it began, s: since 1970 where its times say the day, since midnight where they say the hour only; null where neither. */
  began: { dayKnown: boolean; s: number } | null;
}

/** The rows of a log while they come. */
export interface Rows {
  add(cells: readonly string[], line: number): void;
  count(): number;
  finish(): LogRead;
}

/** A column of numbers that grows. */
function growing(): { push(v: number): void; done(n: number): Float64Array } {
  let data = new Float64Array(4096);
  let n = 0;
  return {
    push(v) {
      if (n === data.length) {
        const wider = new Float64Array(2 * n);
        wider.set(data);
        data = wider;
      }
      data[n++] = v;
    },
    done: (count) => data.slice(0, count),
  };
}

/** A time is far off where it lies so many usual steps, and so many seconds, behind the one before; after so many rows the step is known. */
const [FAR_STEPS, FAR_S, ENOUGH_ROWS] = [200, 600, 5];

export function rowStore({ columns, comma, delimiter, timeAt, everyS }: LogLayout): Rows {
  const readTime = timeReader(timeAt < 0 ? 'rows' : columns[timeAt].time!, comma, everyS ?? 1);
  const used = columns.flatMap((c, k) =>
    c.use === 'values' && c.unit !== null ? [{ k, unit: c.unit, store: growing() }] : [],
  );
  const markAt = columns.findIndex((c) => c.use === 'mark');
  const times = growing();
  const texts: { row: number; text: string }[] = [];
  let [n, skipped, setBack, last, shift] = [0, 0, 0, -Infinity, 0];
  let firstSkipped: number | null = null;
  let first = 0;
  /** A row whose time does not follow the one before: the next one tells whether the clock was set or the cell is damaged. */
  let held: { cells: readonly string[]; line: number; told: number } | null = null;
  function leaveOut(line: number): void {
    skipped++;
    firstSkipped ??= line;
  }
  function put(cells: readonly string[], told: number): void {
    let t = told + shift;
    if (t < last) {
      // Set back by hand, or started anew: it runs on from where it was.
      setBack++;
      shift += last - t;
      t = last;
    }
    if (n === 0) first = t;
    last = t;
    times.push(t);
    for (const u of used) {
      const cell = cells[u.k];
      const v = cell === undefined ? NaN : figureOf(cell, comma);
      u.store.push(v === v && v !== Infinity ? insideOf(u.unit, v) : v);
    }
    if (markAt >= 0 && cells[markAt]) texts.push({ row: n, text: cells[markAt].trim() });
    n++;
  }
  return {
    add(cells, line) {
      const told = readTime(timeAt < 0 ? '' : (cells[timeAt] ?? ''));
      if (!Number.isFinite(told)) return leaveOut(line);
      if (held) {
        const before = held;
        held = null;
        // The row between two that follow each other was the one with the wrong time.
        const follows = told + shift >= last && (before.told + shift < last || told < before.told);
        if (follows) leaveOut(before.line);
        else put(before.cells, before.told);
      }
      const t = told + shift;
      const far = n > ENOUGH_ROWS && t - last > Math.max(FAR_S, FAR_STEPS * ((last - first) / (n - 1)));
      if (n > 0 && (far || t < last)) held = { cells, line, told };
      else put(cells, told);
    },
    count: () => n,
    finish() {
      if (held && held.told + shift < last) put(held.cells, held.told);
      else if (held) leaveOut(held.line);
      held = null;
      const raw = times.done(n);
      const timeS = evenedOut(raw);
      const channels = used.map(({ k, unit, store }): LogChannel => {
        const name = nameOf(columns[k].head, k);
        return { id: `${k + 1} ${name}`, name, quantity: quantityOf(unit), values: store.done(n) };
      });
      const began = beganAt(timeAt < 0 ? 'rows' : columns[timeAt].time!, raw[0]);
      const marks = texts.flatMap(({ row, text }) =>
        text.split(MARKS_APART).flatMap((one) => markFromText(one, timeS[row]) ?? []),
      );
      return {
        log: { timeS, channels, marks: closed(marks) },
        columns,
        rows: n,
        skipped,
        firstSkipped,
        setBack,
        delimiter,
        comma,
        began,
      };
    },
  };
}

const nameOf = (head: string, k: number): string =>
  head.replace(/\s*[([]\s*[^)\]]{0,8}[)\]]\s*$/, '').trim() || `Column ${k + 1}`;

/** Day 0 of a spreadsheet lies so many days before 1970. */
const SPREADSHEET_DAYS = 25_569;

function beganAt(kind: TimeKind, s: number): LogRead['began'] {
  switch (kind) {
    case 'date-time':
    case 'epoch':
    case 'epoch-ms':
      return { dayKnown: true, s };
    case 'serial':
      return { dayKnown: true, s: s - SPREADSHEET_DAYS * 86_400 };
    case 'clock':
      return { dayKnown: false, s };
    default:
      return null;
  }
}

/** Times from 0; rows that share one (a clock without fractions) lie evenly up to the next. */
function evenedOut(raw: Float64Array): Float64Array {
  const n = raw.length;
  const out = new Float64Array(n);
  const start = n > 0 ? raw[0] : 0;
  for (let i = 0; i < n;) {
    let j = i + 1;
    while (j < n && raw[j] === raw[i]) j++;
    const next = j < n ? raw[j] - raw[i] : i > 0 ? out[i - 1] - out[Math.max(0, i - 2)] : 1;
    // A long pause is one: rows of one second stay in that second.
    const span = j - i > 1 ? Math.min(next, j < n && next > 2 ? 1 : next) : 0;
    for (let k = i; k < j; k++) out[k] = raw[i] - start + (span * (k - i)) / (j - i);
    i = j;
  }
  return out;
}

/** A mark "begin" lasts to its "end", or to the next mark of the same kind. */
function closed(marks: Mark[]): Mark[] {
  const out: Mark[] = [];
  for (const m of marks) {
    const open = out.find((o) => o.kind === m.kind && o.place === m.place && o.toS === null && o.kind !== 'note');
    if (m.text === 'end' && open) open.toS = m.fromS;
    else if (m.text !== 'end') out.push(m.kind === 'note' ? { ...m, toS: m.fromS } : m);
  }
  return out;
}
