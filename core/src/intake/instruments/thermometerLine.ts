import { type Driver, type Heard, lineFault } from './heard.ts';
import { listening } from './listening.ts';

/** A thermometer that prints a line of CSV at each value: its own count, figure with one decimal, unit C or F, and a check: "117,21.4,C,44". Nothing is asked of it. */
const LINE = /^((\d{1,9}),(-?\d{1,4}\.\d),([CF])),(\d\d)$/;
const SILENT_S = 4;

/** The check at the end of a line: the sum of its characters, each times its place, in two decimal digits. So two that change places are noticed as well. */
export function lineCheck(text: string): string {
  let sum = 0;
  for (let i = 0; i < text.length; i++) sum += (i + 1) * text.charCodeAt(i);
  return String(sum % 97).padStart(2, '0');
}

export function thermometerLine(): Driver {
  let count = -1;
  let known = false;
  return listening(SILENT_S, (line, nowS) => {
    const found = LINE.exec(line);
    if (!found || lineCheck(found[1]) !== found[5]) return null;
    const own = Number(found[2]);
    // Its count stands still where a line was sent twice.
    if (own === count) return [lineFault('unasked', nowS, line)];
    count = own;
    const figure = Number(found[3]);
    const value = found[4] === 'F' ? ((figure - 32) * 5) / 9 : figure;
    if (value < -90 || value > 1400) return null;
    const channel = { id: 'thermometer 1', name: 'Thermometer', quantity: 'celsius' } as const;
    const told: Heard[] = known ? [] : [{ kind: 'channel', channel }];
    known = true;
    return [...told, { kind: 'sample', channel: channel.id, timeS: nowS, value }];
  });
}
