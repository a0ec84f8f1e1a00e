import type { Driver, Heard } from './heard.ts';
import { listening } from './listening.ts';
import { BUS_PARAMETERS, busTemperatureC, pgnOf } from './parameters.ts';

/** A frame of a heavy-duty bus in a text log: seconds, 29-bit identifier, number of bytes, bytes: "12.340 18FEEE00 8 5AFFFF2BFFFFFFFF". */
const FRAME = /^(\d{1,7}\.\d{3}) ([01][0-9A-F]{7}) 8 ([0-9A-F]{16})$/;

export interface BusFrame {
  timeS: number;
  pgn: number;
  data: number[];
}

/** A line of the log; null where it is none. */
export function busFrame(line: string): BusFrame | null {
  const found = FRAME.exec(line);
  if (!found) return null;
  const data = found[3].match(/../g)!.map((b) => parseInt(b, 16));
  return { timeS: Number(found[1]), pgn: pgnOf(parseInt(found[2], 16)), data };
}

/** The temperatures of a frame (SAE J1939-71), °C; fields that are not available or in error are left out. */
export function busTemperatures({ pgn, data }: BusFrame): { spn: number; name: string; valueC: number }[] {
  return BUS_PARAMETERS.filter((p) => p.pgn === pgn).flatMap((p) => {
    const valueC = busTemperatureC(p, data);
    return typeof valueC === 'number' ? [{ spn: p.spn, name: p.name, valueC }] : [];
  });
}

/** A bus says something at least so often, s. */
const SILENT_S = 5;

/** A bus that is only listened to. A line that is no frame is told; nothing is ever sent. */
export function busLog(): Driver {
  const known = new Set<number>();
  return listening(SILENT_S, (line, nowS) => {
    const frame = busFrame(line);
    if (!frame) return null;
    return busTemperatures(frame).flatMap(({ spn, name, valueC }): Heard[] => {
      const id = `bus ${spn}`;
      const first = !known.has(spn);
      known.add(spn);
      return [
        ...(first ? [{ kind: 'channel', channel: { id, name, quantity: 'celsius' } } as const] : []),
        { kind: 'sample', channel: id, timeS: nowS, value: valueC },
      ];
    });
  });
}
