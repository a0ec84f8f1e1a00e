import type { LogChoices, LogColumn } from './logColumns.ts';
import { type LogLayout, layoutOf, split } from './logLayout.ts';
import { type LogRead, rowStore, type Rows } from './logRows.ts';

/** Why a text is no log. */
export interface LogFault {
  ok: false;
  reason: 'empty' | 'no-figures' | 'no-values' | 'too-long' | 'unit-asked' | 'time-asked';
  /** How its columns were understood, for a person to say more. */
  columns: LogColumn[];
}

/** Most rows of a log. */
const MOST_ROWS = 4_000_000;
/** So much of a file is looked at to find out how it is written, characters. */
const LOOK = 60_000;

/** Reads a log that comes in pieces: nothing of the text is kept but the piece in hand. */
export interface LogReader {
  /** False once there is more than a log may hold: the rest need not be read. */
  push(piece: string): boolean;
  finish(): ({ ok: true } & LogRead) | LogFault;
}

/**
 * What a person said of the columns holds; all else is found out from the first lines.
 *
 * @param everyS seconds from row to row, where a file has no column of time; null: it is asked
 */
export function logReader(choices: LogChoices = {}, everyS: number | null = null): LogReader {
  let held = '';
  let layout: LogLayout | null = null;
  let rows: Rows | null = null;
  let line = 0;

  function take(text: string): boolean {
    if (!layout) {
      layout = layoutOf(text, choices, everyS);
      if (!layout) return false;
      rows = rowStore(layout);
    }
    const parsed = split(text, layout.delimiter);
    for (const cells of parsed) {
      line++;
      if (line <= layout.above || (cells.length === 1 && cells[0].trim() === '')) continue;
      rows!.add(cells, line);
      if (rows!.count() > MOST_ROWS) return false;
    }
    return true;
  }

  return {
    push(piece) {
      held += piece;
      if (!layout && held.length < LOOK) return true;
      const cut = Math.max(held.lastIndexOf('\n'), held.lastIndexOf('\r'));
      if (cut < 0) return held.length < 1e7;
      const whole = held.slice(0, cut + 1);
      held = held.slice(cut + 1);
      return take(whole);
    },
    finish() {
      if (held.trim() !== '') take(held);
      held = '';
      if (!layout || !rows) return { ok: false, reason: line === 0 && !layout ? 'no-figures' : 'empty', columns: [] };
      const { columns } = layout;
      if (rows.count() > MOST_ROWS) return { ok: false, reason: 'too-long', columns };
      if (rows.count() === 0) return { ok: false, reason: 'empty', columns };
      const asked = columns.some((c) => c.use === 'values' && c.unit === null);
      if (!columns.some((c) => c.use === 'values' && c.unit !== null))
        return { ok: false, reason: asked ? 'unit-asked' : 'no-values', columns };
      if (layout.timeAt < 0 && everyS === null) return { ok: false, reason: 'time-asked', columns };
      return { ok: true, ...rows.finish() };
    },
  };
}

/** A whole text as a log. */
export function parseLog(
  text: string,
  choices: LogChoices = {},
  everyS: number | null = null,
): ({ ok: true } & LogRead) | LogFault {
  const reader = logReader(choices, everyS);
  // In pieces, so that the rows as text never stand all at once.
  for (let at = 0; at < text.length; at += 1_000_000) if (!reader.push(text.slice(at, at + 1_000_000))) break;
  return reader.finish();
}
