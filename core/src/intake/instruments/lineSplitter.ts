import type { LineFault } from './heard.ts';

/** Longest line of any instrument here; what runs on longer is noise. */
export const LONGEST_LINE = 200;

/** Pieces of text made lines: what came so far of a line that has no end yet, and since when, s. */
export interface LineSplitter {
  /** Whole lines without their ends (CR, LF or both), empty ones left out. Null stands for a line that was too long to be one. */
  push(text: string, nowS: number): (string | null)[];
  /** A line that was begun and not ended for so long, taken away; null where there is none. */
  overdue(nowS: number, patienceS: number): string | null;
}

export function lineSplitter(): LineSplitter {
  let held = '';
  let sinceS = 0;
  let tooLong = false;
  return {
    push(text, nowS) {
      const lines: (string | null)[] = [];
      for (const piece of text.split(/(\r\n|\r|\n)/)) {
        if (piece === '') continue;
        if (!/^[\r\n]/.test(piece)) {
          if (held === '') sinceS = nowS;
          held += piece;
          if (held.length > LONGEST_LINE) [held, tooLong] = [held.slice(0, LONGEST_LINE), true];
          continue;
        }
        if (tooLong) lines.push(null);
        else if (held !== '') lines.push(held);
        [held, tooLong] = ['', false];
      }
      return lines;
    },
    overdue(nowS, patienceS) {
      if (held === '' || nowS - sinceS < patienceS) return null;
      const line = held;
      [held, tooLong] = ['', false];
      return line;
    },
  };
}

/**
 * What time alone says of an answer that should be there: a line half come, or nothing at all; null where none is late.
 *
 * @param waiting since when an answer is waited for, s; null where none is
 * @param patienceS an answer may take so long; a line begun may stand for half of it
 */
export function lateAnswer(
  lines: LineSplitter,
  waiting: { sinceS: number } | null,
  nowS: number,
  patienceS: number,
): { fault: LineFault; text: string } | null {
  const half = lines.overdue(nowS, patienceS / 2);
  if (half !== null) return { fault: 'half', text: half };
  return waiting && nowS - waiting.sinceS > patienceS ? { fault: 'silent', text: '' } : null;
}
