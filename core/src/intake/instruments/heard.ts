import type { Quantity } from '../../base/units/quantity.ts';

/** What can go wrong on the line of an instrument. */
export const LINE_FAULTS = ['silent', 'garbled', 'half', 'unasked', 'refused', 'gone'] as const;
export type LineFault = (typeof LINE_FAULTS)[number];

/** One series of values that an instrument gives. */
export interface Channel {
  /** Unique among all instruments: "meter volts", "adapter 05". */
  id: string;
  name: string;
  quantity: Quantity;
}

/** What a driver made of the line: a value, a channel it will give, or that something was no value. */
export type Heard =
  | { kind: 'channel'; channel: Channel }
  /** V, Ω (Infinity is OL) or °C, at the time at which its last character came. */
  | { kind: 'sample'; channel: string; timeS: number; value: number }
  | { kind: 'named'; name: string }
  | { kind: 'set'; ohm: number | null }
  /** `text`: what came, cut to a line's length, for the person to see. */
  | { kind: 'fault'; fault: LineFault; timeS: number; text: string };

/** Longest text of a fault that is shown. */
const SHOWN = 80;

/** A fault of a line, with what came, cut to what a person looks at. Null stands for a line that had no end. */
export const lineFault = (fault: LineFault, timeS: number, text: string | null): Heard => ({
  kind: 'fault',
  fault,
  timeS,
  text: (text ?? '(a line without an end)').slice(0, SHOWN),
});

/**
 * A driver is a conversation without a line: it is told what came and what time it is, and says what to send. So the same one runs over a socket, a
 * serial port and in a test, and nothing it does depends on a clock.
 */
export interface Driver {
  /** What to send now ('' for nothing), and what time alone tells: an answer that did not come. */
  step(nowS: number): { send: string; heard: Heard[] };
  /** What came: any piece of text, whole lines or not. */
  hear(text: string, nowS: number): Heard[];
}
