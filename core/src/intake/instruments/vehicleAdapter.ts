import { type Channel, type Driver, type Heard, type LineFault, lineFault } from './heard.ts';
import { lateAnswer, lineSplitter } from './lineSplitter.ts';
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

/** @param everyS pause between two values of the same sensor, s */
export function vehicleAdapter(everyS = 0.25): Driver {
  return new VehicleAdapter(everyS);
}

class VehicleAdapter implements Driver {
  private readonly lines = lineSplitter();
  private number = 0;
  private waiting: { number: number; pid: number; sinceS: number } | null = null;
  private notBeforeS = 0;
  private masksLeft = [...MASKS];
  private there: Parameter[] = [];
  private turn = 0;

  constructor(private readonly everyS: number) {}

  step(nowS: number): ReturnType<Driver['step']> {
    const late = lateAnswer(this.lines, this.waiting, nowS, PATIENCE_S);
    const heard: Heard[] = late ? [this.fault(late.fault, nowS, late.text)] : [];
    if (this.waiting || nowS < this.notBeforeS) return { send: '', heard };
    const pid = this.nextPid();
    this.number = (this.number + 1) & 0xff;
    this.waiting = { number: this.number, pid, sinceS: nowS };
    return { send: `${framed('Q', this.number, [0x01, pid])}\n`, heard };
  }

  hear(text: string, nowS: number): Heard[] {
    return this.lines.push(text, nowS).flatMap((l) => this.line(l, nowS));
  }

  /** The next request: which sensors the vehicle has, until that is known; then each of them in turn. */
  private nextPid(): number {
    if (this.masksLeft.length === 0 && this.there.length === 0) this.masksLeft = [...MASKS];
    if (this.masksLeft.length > 0) return this.masksLeft[0];
    return parseInt(this.there[this.turn++ % this.there.length].pid, 16);
  }

  private fault(kind: LineFault, nowS: number, text: string | null): Heard {
    this.waiting = null;
    this.notBeforeS = nowS + QUIET_S;
    return lineFault(kind, nowS, text);
  }

  private line(text: string | null, nowS: number): Heard[] {
    const frame = text === null ? null : unframed(text, 'AN');
    if (!frame) return [this.fault('garbled', nowS, text)];
    // An old answer, or a second one to the same question: the question under way stays open.
    if (!this.waiting || frame.number !== this.waiting.number) return [lineFault('unasked', nowS, text)];
    const { pid } = this.waiting;
    if (frame.letter === 'N') {
      this.masksLeft = this.masksLeft.filter((m) => m !== pid);
      return [this.fault('refused', nowS, `no answer to 01 ${hex(pid)}`)];
    }
    if (frame.bytes[0] !== 0x41 || frame.bytes[1] !== pid) return [this.fault('garbled', nowS, text)];
    this.waiting = null;
    const data = frame.bytes.slice(2);
    this.notBeforeS = nowS + (this.masksLeft.length > 0 ? 0 : this.everyS / Math.max(1, this.there.length));
    const heard = MASKS.includes(pid) ? this.mask(pid, data) : this.values(pid, data, nowS);
    return heard ?? [this.fault('garbled', nowS, text)];
  }

  /** Sensors that the vehicle has; null where the answer cannot be that. */
  private mask(pid: number, data: readonly number[]): Heard[] | null {
    if (data.length !== 4) return null;
    const supported = supportedPids(pid, data);
    this.masksLeft = supported.includes(hex(pid + 0x20)) ? this.masksLeft.filter((m) => m !== pid) : [];
    const found = PARAMETERS.filter((p) => supported.includes(p.pid) && !this.there.includes(p));
    this.there = [...this.there, ...found];
    // Sensors inside an answer that are not fitted show themselves when it comes.
    return found
      .filter((p) => p.sensors.length === 1)
      .map((p) => ({ kind: 'channel', channel: channelOf(`adapter ${p.pid}`, p.sensors[0].name) }));
  }

  private values(pid: number, data: readonly number[], nowS: number): Heard[] | null {
    const parameter = this.there.find((p) => p.pid === hex(pid));
    if (!parameter || data.length !== parameter.bytes) return null;
    const several = parameter.sensors.length > 1;
    return parameter.sensors.flatMap((sensor, k): Heard[] => {
      const value = sensor.read(data);
      if (value === null) return [];
      const id = several ? `adapter ${parameter.pid}.${k + 1}` : `adapter ${parameter.pid}`;
      const sample: Heard = { kind: 'sample', channel: id, timeS: nowS, value };
      return several ? [{ kind: 'channel', channel: channelOf(id, sensor.name) }, sample] : [sample];
    });
  }
}

const channelOf = (id: string, name: string): Channel => ({ id, name, quantity: 'celsius' });
