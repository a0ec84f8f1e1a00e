import type { Entry } from '../../base/units/entry.ts';
import type { FieldQuantity } from '../../base/units/quantity.ts';
import type { Kit, MeterRange } from './kitSchema.ts';

/** What figures of a kit can be, wide of anything that is sold: beyond it is a slip of the finger. Ω, K, %, digits. */
const LIMITS = {
  inputOhm: [1e3, 1e13],
  overloadOhm: [100, 1e13],
  leadOhm: [0, 100],
  kelvin: [0.001, 200],
  tolerancePercent: [0.001, 50],
  upTo: [1e-3, 1e13],
  percent: [0, 50],
  digits: [0, 1e4],
  digit: [0, 1e7],
} as const;

/** A figure of a kit: where it stands, what it is, and what it can be. */
export interface KitFigure {
  path: string;
  entry: Entry;
  quantity: FieldQuantity;
  low: number;
  high: number;
}

/** All figures of a kit; the paths as in a job's file. */
export function kitFigures(kit: Kit): KitFigure[] {
  const figure = (path: string, entry: Entry, quantity: FieldQuantity, limit: keyof typeof LIMITS): KitFigure => {
    const [low, high] = LIMITS[limit];
    return { path: `kit.${path}`, entry, quantity, low, high };
  };
  const ranges = (kind: 'volts' | 'ohms'): KitFigure[] =>
    kit.meter[kind].flatMap((range, i) => [
      figure(`meter.${kind}.${i}.upTo`, range.upTo, kind, 'upTo'),
      figure(`meter.${kind}.${i}.percent`, range.percent, 'number', 'percent'),
      figure(`meter.${kind}.${i}.digits`, range.digits, 'number', 'digits'),
      figure(`meter.${kind}.${i}.digit`, range.digit, kind, 'digit'),
    ]);
  return [
    figure('meter.inputOhm', kit.meter.inputOhm, 'ohms', 'inputOhm'),
    figure('meter.overloadOhm', kit.meter.overloadOhm, 'ohms', 'overloadOhm'),
    figure('meter.leadOhm', kit.meter.leadOhm, 'ohms', 'leadOhm'),
    figure('thermometerK', kit.thermometerK, 'number', 'kelvin'),
    figure('displayedK', kit.displayedK, 'number', 'kelvin'),
    figure('resistors.tolerancePercent', kit.resistors.tolerancePercent, 'number', 'tolerancePercent'),
    ...ranges('volts'),
    ...ranges('ohms'),
  ];
}

/** A figure of a kit where it is one that can be; null while it is empty, unread or beyond what can be. */
export function possible({ value }: Entry, limit: keyof typeof LIMITS): number | null {
  const [low, high] = LIMITS[limit];
  return value !== null && value >= low && value <= high ? value : null;
}

/** A range of which both figures that it needs are there; null else. `absolute`: of the digits, in V or Ω. */
export function completeRange(range: MeterRange): { upTo: number; percent: number; absolute: number } | null {
  const [upTo, percent] = [possible(range.upTo, 'upTo'), possible(range.percent, 'percent')];
  if (upTo === null || percent === null) return null;
  return { upTo, percent, absolute: (possible(range.digits, 'digits') ?? 0) * (possible(range.digit, 'digit') ?? 0) };
}
