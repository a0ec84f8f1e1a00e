import { type Driver, type Heard, type LineFault, lineFault } from './heard.ts';
import { lineSplitter } from './lineSplitter.ts';

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
/** An answer may take so long; a line begun may stand unfinished so long. s */
const PATIENCE_S = 2;
/** After a fault the line is listened to, and nothing sent, for so long. s */
const QUIET_S = 0.4;

export interface BenchMeter extends Driver {
  /** What it shall measure from now on. */
  use(wanted: MeterFunction): void;
}

export function benchMeter(everyS = 0.1): BenchMeter {
  const lines = lineSplitter();
  let wanted: MeterFunction = 'volts';
  let configured: MeterFunction | null = null;
  let named = false;
  let waiting: { for: 'name' | 'reading'; sinceS: number } | null = null;
  let notBefore = 0;

  function fault(kind: LineFault, nowS: number, text: string | null): Heard {
    waiting = null;
    configured = null;
    notBefore = nowS + QUIET_S;
    return lineFault(kind, nowS, text);
  }

  function line(text: string | null, nowS: number): Heard[] {
    if (text === null) return [fault('garbled', nowS, null)];
    if (!waiting) return [fault('unasked', nowS, text)];
    const asked = waiting.for;
    if (asked === 'name') {
      if (text.split(',').length !== 4) return [fault('garbled', nowS, text)];
      [waiting, named] = [null, true];
      return [{ kind: 'named', name: text.split(',').slice(0, 2).join(' ').slice(0, 60) }];
    }
    const found = NR3.exec(text);
    if (!found) return [fault('garbled', nowS, text)];
    const [of, figure] = [ANSWERED[found[2]], Number(found[1])];
    waiting = null;
    notBefore = nowS + everyS;
    // Of the function before: right, and no longer asked for.
    if (of !== wanted) {
      configured = null;
      return [];
    }
    const value = figure >= OVERLOAD ? Infinity : figure;
    const [low, high] = RANGE[of];
    if (value !== Infinity && (value < low || value > high)) return [fault('garbled', nowS, text)];
    if (value === Infinity && of === 'volts') return [fault('refused', nowS, 'over its range')];
    return [{ kind: 'sample', channel: `meter ${of}`, timeS: nowS, value }];
  }

  return {
    use(next) {
      wanted = next;
    },
    step(nowS) {
      const heard: Heard[] = [];
      const half = lines.overdue(nowS, PATIENCE_S / 2);
      if (half !== null) heard.push(fault('half', nowS, half));
      else if (waiting && nowS - waiting.sinceS > PATIENCE_S) heard.push(fault('silent', nowS, ''));
      if (waiting || nowS < notBefore) return { send: '', heard };
      if (!named) {
        waiting = { for: 'name', sinceS: nowS };
        return { send: '*IDN?\n', heard };
      }
      waiting = { for: 'reading', sinceS: nowS };
      if (configured !== wanted) {
        configured = wanted;
        const channel = {
          id: `meter ${wanted}`,
          name: wanted === 'volts' ? 'Meter, volts' : 'Meter, ohms',
          quantity: wanted,
        };
        heard.push({ kind: 'channel', channel });
        return { send: `${CONFIGURE[wanted]}\nREAD?;:CONF?\n`, heard };
      }
      return { send: 'READ?;:CONF?\n', heard };
    },
    hear: (text, nowS) => lines.push(text, nowS).flatMap((l) => line(l, nowS)),
  };
}

/** A figure as the meter prints it: NR3 with nine digits; Infinity is SCPI's 9.9E+37. */
export function scpiFigure(value: number): string {
  if (!Number.isFinite(value)) return '+9.90000000E+37';
  const [mantissa, exponent] = Math.abs(value).toExponential(8).split('e');
  const power = Number(exponent);
  return `${value < 0 ? '-' : '+'}${mantissa}E${power < 0 ? '-' : '+'}${String(Math.abs(power)).padStart(2, '0')}`;
}
