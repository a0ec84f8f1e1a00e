import { type Driver, type Heard, lineFault } from './heard.ts';
import { lineSplitter } from './lineSplitter.ts';

/** A line begun may stand unfinished so long, s. */
const HALF_S = 1;

/**
 * A driver of an instrument that prints by itself: nothing is ever sent, what is half or silent is told.
 *
 * @param silentS it prints at least so often
 * @param read what a whole line says; null where it is none of this instrument's
 */
export function listening(silentS: number, read: (line: string, nowS: number) => readonly Heard[] | null): Driver {
  const lines = lineSplitter();
  let lastS = 0;
  return {
    step(nowS) {
      const half = lines.overdue(nowS, HALF_S);
      if (half !== null) return { send: '', heard: [lineFault('half', nowS, half)] };
      if (nowS - lastS < silentS) return { send: '', heard: [] };
      lastS = nowS;
      return { send: '', heard: [lineFault('silent', nowS, '')] };
    },
    hear: (text, nowS) =>
      lines.push(text, nowS).flatMap((line) => {
        lastS = nowS;
        return (line === null ? null : read(line, nowS)) ?? [lineFault('garbled', nowS, line)];
      }),
  };
}
