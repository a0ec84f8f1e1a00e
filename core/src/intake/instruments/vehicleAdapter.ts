import { type Driver, type Heard, type LineFault, lineFault } from './heard.ts';
import { lineSplitter } from './lineSplitter.ts';
import { hex, type Parameter, PARAMETERS, supportedPids } from './parameters.ts';

/**
 * A vehicle adapter in a line protocol of our own around the requests of SAE J1979. A line is a letter, a number that counts round 00 … FF, its
 * bytes and a check, all in hexadecimal: `Q 1C 01 05 =22` asks, `A 1C 41 05 7B =DD` answers, `N 1C =1C` says that nobody answered. The check is the sum of all
 * bytes, the counting number with them, modulo 256. So an answer belongs to one question, and a letter lost or turned is noticed.
 */
const LINE = /^([AQN]) ([0-9A-F]{2})((?: [0-9A-F]{2})*) =([0-9A-F]{2})$/;
const PATIENCE_S = 1.5;
const QUIET_S = 0.3;

/** A line of this protocol. */
export function framed(letter: 'Q' | 'A' | 'N', number: number, bytes: readonly number[]): string {
  const sum = (number + bytes.reduce((a, b) => a + b, 0)) & 0xff;
  return [letter, hex(number), ...bytes.map(hex), `=${hex(sum)}`].join(' ');
}

/** A line taken apart; null where it is none of these letters, or its check is wrong. */
export function unframed(line: string, letters: string): { letter: string; number: number; bytes: number[] } | null {
  const found = LINE.exec(line);
  if (!found || !letters.includes(found[1])) return null;
  const number = parseInt(found[2], 16);
  const bytes =
    found[3].trim() === ''
      ? []
      : found[3]
          .trim()
          .split(' ')
          .map((b) => parseInt(b, 16));
  const sum = (number + bytes.reduce((a, b) => a + b, 0)) & 0xff;
  return sum === parseInt(found[4], 16) ? { letter: found[1], number, bytes } : null;
}

/** Masks are asked at these, as long as the one before says that the next is there. */
const MASKS = [0x00, 0x20, 0x40, 0x60];

export function vehicleAdapter(everyS = 0.25): Driver {
  const lines = lineSplitter();
  let number = 0;
  let waiting: { number: number; pid: number; sinceS: number } | null = null;
  let notBefore = 0;
  let masksLeft = [...MASKS];
  let there: Parameter[] = [];
  let turn = 0;

  function fault(kind: LineFault, nowS: number, text: string | null): Heard {
    waiting = null;
    notBefore = nowS + QUIET_S;
    return lineFault(kind, nowS, text);
  }

  function answered(pid: number, data: readonly number[], nowS: number, text: string): Heard[] {
    notBefore = nowS + (masksLeft.length > 0 ? 0 : everyS / Math.max(1, there.length));
    if (MASKS.includes(pid)) {
      if (data.length !== 4) return [fault('garbled', nowS, text)];
      const supported = supportedPids(pid, data);
      masksLeft = supported.includes(hex(pid + 0x20)) ? masksLeft.filter((m) => m !== pid) : [];
      const found = PARAMETERS.filter((p) => supported.includes(p.pid) && !there.includes(p));
      there = [...there, ...found];
      // Sensors inside an answer that are not fitted show themselves when it comes.
      return found
        .filter((p) => p.sensors.length === 1)
        .map((p) => ({
          kind: 'channel',
          channel: { id: `adapter ${p.pid}`, name: p.sensors[0].name, quantity: 'celsius' },
        }));
    }
    const parameter = there.find((p) => p.pid === hex(pid));
    if (!parameter || data.length !== parameter.bytes) return [fault('garbled', nowS, text)];
    return parameter.sensors.flatMap((sensor, k): Heard[] => {
      const value = sensor.read(data);
      if (value === null) return [];
      const id = parameter.sensors.length === 1 ? `adapter ${parameter.pid}` : `adapter ${parameter.pid}.${k + 1}`;
      const channel = { id, name: sensor.name, quantity: 'celsius' } as const;
      return [
        ...(parameter.sensors.length > 1 ? [{ kind: 'channel', channel } as const] : []),
        { kind: 'sample', channel: id, timeS: nowS, value },
      ];
    });
  }

  function line(text: string | null, nowS: number): Heard[] {
    const frame = text === null ? null : unframed(text, 'AN');
    if (!frame) return [fault('garbled', nowS, text)];
    if (!waiting || frame.number !== waiting.number) {
      // An old answer, or a second one to the same question: the question under way stays open.
      return [lineFault('unasked', nowS, text)];
    }
    const { pid } = waiting;
    if (frame.letter === 'N') {
      masksLeft = masksLeft.filter((m) => m !== pid);
      return [fault('refused', nowS, `no answer to 01 ${hex(pid)}`)];
    }
    if (frame.bytes[0] !== 0x41 || frame.bytes[1] !== pid) return [fault('garbled', nowS, text)];
    waiting = null;
    return answered(pid, frame.bytes.slice(2), nowS, text!);
  }

  return {
    step(nowS) {
      const heard: Heard[] = [];
      const half = lines.overdue(nowS, PATIENCE_S / 2);
      if (half !== null) heard.push(fault('half', nowS, half));
      else if (waiting && nowS - waiting.sinceS > PATIENCE_S) heard.push(fault('silent', nowS, ''));
      if (waiting || nowS < notBefore) return { send: '', heard };
      if (masksLeft.length === 0 && there.length === 0) masksLeft = [...MASKS];
      const pid = masksLeft.length > 0 ? masksLeft[0] : parseInt(there[turn++ % there.length].pid, 16);
      number = (number + 1) & 0xff;
      waiting = { number, pid, sinceS: nowS };
      return { send: `${framed('Q', number, [0x01, pid])}\n`, heard };
    },
    hear: (text, nowS) => lines.push(text, nowS).flatMap((l) => line(l, nowS)),
  };
}
