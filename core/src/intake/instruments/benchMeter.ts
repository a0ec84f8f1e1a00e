import { type Channel, type Driver, type Heard, type LineFault, lineFault } from './heard.ts';
import { lateAnswer, lineSplitter } from './lineSplitter.ts';

/**
 * A bench meter over SCPI (SCPI-1999 and IEEE 488.2, from memory): `*IDN?`, `CONF:VOLT:DC`, `CONF:RES`, `READ?`. Each reading is asked together with
 * the function it is of (`READ?;:CONF?`, answered "+4.98712000E+00;\"VOLT +1.0E+01,+1.0E-05\""): an answer that comes late can never
 * be taken for one of another function, and half an answer is none.
 */
export const METER_FUNCTIONS = ['volts', 'ohms'] as const;
export type MeterFunction = (typeof METER_FUNCTIONS)[number];
const CONFIGURE: Record<MeterFunction, string> = { volts: 'CONF:VOLT:DC', ohms: 'CONF:RES' };
const ANSWERED: Record<string, MeterFunction> = { VOLT: 'volts', RES: 'ohms' };

/** A figure as IEEE 488.2 NR3 prints it, all its digits there: sign, one digit, eight decimals, two of the exponent. */
const NR3 = /^([+-]\d\.\d{8}E[+-]\d{2});"(VOLT|RES) [+-]\d\.\d+E[+-]\d+,[+-]\d\.\d+E[+-]\d+"$/;
/** SCPI's infinity: the meter is over its range. */
const OVERLOAD = 9.9e37;
/** The least and most a meter can show; what lies outside is no reading of it. V, Ω. */
const RANGE: Record<MeterFunction, readonly [number, number]> = { volts: [-1000, 1000], ohms: [-10, 2e9] };
const CHANNELS: Record<MeterFunction, Channel> = {
  volts: { id: 'meter volts', name: 'Meter, volts', quantity: 'volts' },
  ohms: { id: 'meter ohms', name: 'Meter, ohms', quantity: 'ohms' },
};
/** An answer may take so long; a line begun may stand unfinished so long. s */
const PATIENCE_S = 2;
/** After a fault the line is listened to, and nothing sent, for so long. s */
const QUIET_S = 0.4;

export interface BenchMeter extends Driver {
  /** What it shall measure from now on. */
  use(wanted: MeterFunction): void;
}

/** @param everyS pause between two readings, s */
export function benchMeter(everyS = 0.1): BenchMeter {
  return new ScpiMeter(everyS);
}

class ScpiMeter implements BenchMeter {
  private readonly lines = lineSplitter();
  private wanted: MeterFunction = 'volts';
  private configured: MeterFunction | null = null;
  private named = false;
  private waiting: { for: 'name' | 'reading'; sinceS: number } | null = null;
  private notBeforeS = 0;

  constructor(private readonly everyS: number) {}

  use(wanted: MeterFunction): void {
    this.wanted = wanted;
  }

  step(nowS: number): ReturnType<Driver['step']> {
    const late = lateAnswer(this.lines, this.waiting, nowS, PATIENCE_S);
    const heard: Heard[] = late ? [this.fault(late.fault, nowS, late.text)] : [];
    if (this.waiting || nowS < this.notBeforeS) return { send: '', heard };
    this.waiting = { for: this.named ? 'reading' : 'name', sinceS: nowS };
    if (!this.named) return { send: '*IDN?\n', heard };
    if (this.configured === this.wanted) return { send: 'READ?;:CONF?\n', heard };
    this.configured = this.wanted;
    heard.push({ kind: 'channel', channel: CHANNELS[this.wanted] });
    return { send: `${CONFIGURE[this.wanted]}\nREAD?;:CONF?\n`, heard };
  }

  hear(text: string, nowS: number): Heard[] {
    return this.lines.push(text, nowS).flatMap((l) => this.line(l, nowS));
  }

  private fault(kind: LineFault, nowS: number, text: string | null): Heard {
    this.waiting = null;
    this.configured = null;
    this.notBeforeS = nowS + QUIET_S;
    return lineFault(kind, nowS, text);
  }

  private line(text: string | null, nowS: number): Heard[] {
    if (text === null) return [this.fault('garbled', nowS, null)];
    if (!this.waiting) return [this.fault('unasked', nowS, text)];
    return this.waiting.for === 'name' ? this.name(text, nowS) : this.reading(text, nowS);
  }

  private name(text: string, nowS: number): Heard[] {
    const parts = text.split(',');
    if (parts.length !== 4) return [this.fault('garbled', nowS, text)];
    [this.waiting, this.named] = [null, true];
    return [{ kind: 'named', name: parts.slice(0, 2).join(' ').slice(0, 60) }];
  }

  private reading(text: string, nowS: number): Heard[] {
    const found = NR3.exec(text);
    if (!found) return [this.fault('garbled', nowS, text)];
    const [of, figure] = [ANSWERED[found[2]], Number(found[1])];
    this.waiting = null;
    this.notBeforeS = nowS + this.everyS;
    // Of the function before: right, and no longer asked for.
    if (of !== this.wanted) {
      this.configured = null;
      return [];
    }
    const value = figure >= OVERLOAD ? Infinity : figure;
    const [low, high] = RANGE[of];
    if (value !== Infinity && (value < low || value > high)) return [this.fault('garbled', nowS, text)];
    if (value === Infinity && of === 'volts') return [this.fault('refused', nowS, 'over its range')];
    return [{ kind: 'sample', channel: `meter ${of}`, timeS: nowS, value }];
  }
}

/** A figure as the meter prints it: NR3 with nine digits; Infinity is SCPI's 9.9E+37. */
export function scpiFigure(value: number): string {
  if (!Number.isFinite(value)) return '+9.90000000E+37';
  const [mantissa, exponent] = Math.abs(value).toExponential(8).split('e');
  const power = Number(exponent);
  return `${value < 0 ? '-' : '+'}${mantissa}E${power < 0 ? '-' : '+'}${String(Math.abs(power)).padStart(2, '0')}`;
}
