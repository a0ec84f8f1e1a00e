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
