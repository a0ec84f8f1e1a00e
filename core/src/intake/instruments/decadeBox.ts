import { type Driver, type Heard, type LineFault, lineFault } from './heard.ts';
import { lineSplitter } from './lineSplitter.ts';

/** A decade box that is set: "R 1000" puts 1000 Ω, "R OPEN" nothing; it answers with what it then has ("= 1000", "= OPEN"). */
const ANSWER = /^= (OPEN|\d{1,7})$/;
const PATIENCE_S = 1.5;

export interface DecadeBox extends Driver {
  /** Whole ohms, 1 … 9 999 999, or null for open. */
  put(ohm: number | null): void;
}

export function decadeBox(): DecadeBox {
  const lines = lineSplitter();
  let wanted: number | null | undefined;
  let waiting: { ohm: number | null; sinceS: number } | null = null;
  const fault = (kind: LineFault, nowS: number, text: string | null): Heard => {
    waiting = null;
    return lineFault(kind, nowS, text);
  };
  return {
    put(ohm) {
      if (ohm !== null && !(Number.isInteger(ohm) && ohm >= 1 && ohm <= 9_999_999))
        throw new Error('decadeBox.put: whole ohms from 1 to 9999999');
      wanted = ohm;
    },
    step(nowS) {
      const heard: Heard[] = [];
      const half = lines.overdue(nowS, PATIENCE_S / 2);
      if (half !== null) heard.push(fault('half', nowS, half));
      else if (waiting && nowS - waiting.sinceS > PATIENCE_S) heard.push(fault('silent', nowS, ''));
      if (waiting || wanted === undefined) return { send: '', heard };
      waiting = { ohm: wanted, sinceS: nowS };
      wanted = undefined;
      return { send: `R ${waiting.ohm ?? 'OPEN'}\n`, heard };
    },
    hear: (text, nowS) =>
      lines.push(text, nowS).flatMap((line): Heard[] => {
        const found = line === null ? null : ANSWER.exec(line);
        if (!found) return [fault('garbled', nowS, line)];
        if (!waiting) return [fault('unasked', nowS, line)];
        const ohm = found[1] === 'OPEN' ? null : Number(found[1]);
        if (ohm !== waiting.ohm) return [fault('refused', nowS, line)];
        waiting = null;
        return [{ kind: 'set', ohm }];
      }),
  };
}
