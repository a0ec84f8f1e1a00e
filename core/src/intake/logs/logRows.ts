import type { Log, LogChannel, Mark } from './log.ts';
import { figureOf, insideOf, type LogColumn, type LogUnit, quantityOf, type TimeKind } from './logColumns.ts';
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

interface Growing {
  push(v: number): void;
  done(n: number): Float64Array;
}

/** A column of numbers that grows. */
function growing(): Growing {
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

/** A store for the rows of a log that is laid out so. */
export function rowStore(layout: LogLayout): Rows {
  return new RowStore(layout);
}

class RowStore implements Rows {
  private readonly kind: TimeKind;
  private readonly readTime: (cell: string) => number;
  private readonly used: { k: number; unit: LogUnit; store: Growing }[];
  private readonly markAt: number;
  private readonly times = growing();
  private readonly texts: { row: number; text: string }[] = [];
  private n = 0;
  private skipped = 0;
  private firstSkipped: number | null = null;
  private setBack = 0;
  private first = 0;
  private last = -Infinity;
  /** What the times are moved by, s, where the clock was set back. */
  private shift = 0;
  /** A row whose time does not follow the one before: the next one tells whether the clock was set or the cell is damaged. */
  private held: { cells: readonly string[]; line: number; told: number } | null = null;

  constructor(private readonly layout: LogLayout) {
    const { columns, comma, timeAt, everyS } = layout;
    this.kind = timeAt < 0 ? 'rows' : columns[timeAt].time!;
    this.readTime = timeReader(this.kind, comma, everyS ?? 1);
    this.used = columns.flatMap((c, k) =>
      c.use === 'values' && c.unit !== null ? [{ k, unit: c.unit, store: growing() }] : [],
    );
    this.markAt = columns.findIndex((c) => c.use === 'mark');
  }

  add(cells: readonly string[], line: number): void {
    const { timeAt } = this.layout;
    const told = this.readTime(timeAt < 0 ? '' : (cells[timeAt] ?? ''));
    if (!Number.isFinite(told)) return this.leaveOut(line);
    if (this.held) this.settle(this.held, told);
    const t = told + this.shift;
    if (this.n > 0 && (this.isFar(t) || t < this.last)) this.held = { cells, line, told };
    else this.put(cells, told);
  }

  count(): number {
    return this.n;
  }

  finish(): LogRead {
    if (this.held) this.settle(this.held, null);
    const { n, skipped, firstSkipped, setBack } = this;
    const { columns, comma, delimiter } = this.layout;
    const raw = this.times.done(n);
    const channels = this.used.map(({ k, unit, store }): LogChannel => {
      const name = nameOf(columns[k].head, k);
      return { id: `${k + 1} ${name}`, name, quantity: quantityOf(unit), values: store.done(n) };
    });
    const timeS = evenedOut(raw);
    const log = { timeS, channels, marks: closed(marksOf(this.texts, timeS)) };
    const began = beganAt(this.kind, raw[0]);
    return { log, columns, rows: n, skipped, firstSkipped, setBack, delimiter, comma, began };
  }

  /** Decides on the row that was held, by the time of the row after it; null where none follows. */
  private settle(held: NonNullable<RowStore['held']>, nextTold: number | null): void {
    this.held = null;
    const isBack = held.told + this.shift < this.last;
    // The row between two that follow each other was the one with the wrong time.
    const isDamaged =
      nextTold === null ? !isBack : nextTold + this.shift >= this.last && (isBack || nextTold < held.told);
    if (isDamaged) this.leaveOut(held.line);
    else this.put(held.cells, held.told);
  }

  private isFar(t: number): boolean {
    const usualS = (this.last - this.first) / (this.n - 1);
    return this.n > ENOUGH_ROWS && t - this.last > Math.max(FAR_S, FAR_STEPS * usualS);
  }

  private leaveOut(line: number): void {
    this.skipped++;
    this.firstSkipped ??= line;
  }

  private put(cells: readonly string[], told: number): void {
    let t = told + this.shift;
    if (t < this.last) {
      // Set back by hand, or started anew: it runs on from where it was.
      this.setBack++;
      this.shift += this.last - t;
      t = this.last;
    }
    if (this.n === 0) this.first = t;
    this.last = t;
    this.times.push(t);
    for (const u of this.used) {
      const cell = cells[u.k];
      const v = cell === undefined ? NaN : figureOf(cell, this.layout.comma);
      u.store.push(v === v && v !== Infinity ? insideOf(u.unit, v) : v);
    }
    if (this.markAt >= 0 && cells[this.markAt]) this.texts.push({ row: this.n, text: cells[this.markAt].trim() });
    this.n++;
  }
}

const marksOf = (texts: readonly { row: number; text: string }[], timeS: Float64Array): Mark[] =>
  texts.flatMap(({ row, text }) => text.split(MARKS_APART).flatMap((one) => markFromText(one, timeS[row]) ?? []));

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
